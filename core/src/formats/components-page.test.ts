/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { parse, walk } from 'css-tree';
import { COMPONENTS } from '../components/components.ts';
import { derive } from '../derive/derive.ts';
import { sampleDocument } from '../system/sample.ts';
import { writeComponentsPage } from './components-page.ts';
import { writeCss } from './css.ts';

const read = (html: string): Document => new DOMParser().parseFromString(html, 'text/html');
const sample = sampleDocument();
const derived = derive(sample);
const page = read(writeComponentsPage(sample, derived));
const SHOWN = COMPONENTS.filter(({ variants = [] }) => variants.length > 0);

/** The classes that a sheet speaks of. */
function classesOf(css: string): ReadonlySet<string> {
  const found = new Set<string>();
  walk(parse(css), { visit: 'ClassSelector', enter: ({ name }) => void found.add(name) });
  return found;
}

describe('the page of components', () => {
  test('shows each in each of its states, and leads to it', () => {
    expect(SHOWN.length).toBeGreaterThan(20);
    for (const { id, variants = [] } of SHOWN) {
      expect(page.querySelector(`a[href="#${id}"]`)).not.toBeNull();
      const shown = page.querySelectorAll(`[id="${id}"] [data-doc="state"]`);
      const count = variants.reduce((sum, { states }) => sum + 1 + states.length, 0);
      expect([id, shown.length]).toEqual([id, count]);
    }
  });

  test('is written in classes that the sheet beside it has, and in nothing that acts', () => {
    const known = classesOf(writeCss(derived));
    const used = [...page.querySelectorAll('[class]')].flatMap(({ classList }) => [...classList]);
    expect(used.length).toBeGreaterThan(100);
    expect([...new Set(used)].filter((name) => !known.has(name))).toEqual([]);
    expect(page.querySelectorAll('script, [onclick], iframe')).toHaveLength(0);
  });

  test('has the HTML that makes what stands above it', () => {
    const button = page.querySelector('#button details code')?.textContent ?? '';
    const made = read(button).body.firstElementChild;
    const [first] = page.querySelectorAll('#button [data-doc="state"] > :first-child');
    expect(made?.outerHTML).toBe(first?.outerHTML);
  });

  test('names classes as the sheet does, and bears a name that would be markup', () => {
    const named = sampleDocument([
      { op: 'add', path: '/tokens/sheet', value: { properties: 'rc', classes: 'rcc' } },
      { op: 'replace', path: '/name', value: '<b>"Light" & dark</b>' },
    ]);
    const other = read(writeComponentsPage(named, derive(named)));
    const used = [...other.querySelectorAll('[class]')].flatMap(({ classList }) => [...classList]);
    expect(used.filter((name) => !name.startsWith('rcc-'))).toEqual([]);
    expect(other.querySelector('h1')?.textContent).toBe('Components of <b>"Light" & dark</b>');
    expect(other.querySelector('style')?.textContent).toContain('.rcc-button[data-drawn~="hover"]');
  });
});
