/** @jest-environment jsdom */
import { derive } from '@garnish/core/derive/derive';
import { classesIn, writeHtml } from '@garnish/core/proof/node';
import { sheetPage } from '@garnish/core/proof/sheet/sheet';
import { sitePage } from '@garnish/core/proof/site';
import { sampleDocument } from '@garnish/core/system/sample';
import { describe, expect, test } from '@jest/globals';
import { decisionOf, elementsMadeOf, tokensOf } from './elements.ts';

const system = sampleDocument();
const derived = derive(system);
const pageOf = (html: string): Document => {
  const page = document.implementation.createHTMLDocument('');
  page.body.innerHTML = html;
  return page;
};
const sheet = sheetPage(system, derived, 'light');
const parts = pageOf(writeHtml(sheet, (svg) => svg));
const one = (page: Document, selector: string): Element => {
  const found = page.querySelector(selector);
  if (!found) throw new Error(`there is no ${selector}`);
  return found;
};

describe('a specimen on the sheet of parts', () => {
  const rung = one(parts, '[class*="sheet-shows-fill-palette"]');

  test('is made of the token that it shows, and leads to what that rests on', () => {
    const [id = ''] = tokensOf(rung, derived);
    expect(id).toMatch(/^palette\./);
    expect(decisionOf(rung, derived)).toBe(derived.trailOf(id)?.decisions[0]?.path);
    expect(decisionOf(rung, derived)).toMatch(/^\/color\//);
  });

  test('is found by its token, beside whatever else is made of it', () => {
    const duration = derived.tokens.find(({ path }) => path[0] === 'duration');
    const found = elementsMadeOf(parts, [duration?.id ?? ''], derived);
    expect(found).toHaveLength(1);
    expect(found[0]?.className).toContain('sheet-moving');
  });

  test('stands on no page of the site, whose elements lead to their own decisions', () => {
    const page = pageOf(writeHtml(sitePage(system, derived), (svg) => svg));
    expect(page.querySelector('[class*="sheet-"]')).toBeNull();
    const duration = derived.tokens.find(({ path }) => path[0] === 'duration');
    expect(elementsMadeOf(page, [duration?.id ?? ''], derived)).toEqual([]);
    const button = one(page, '.button');
    button.setAttribute('data-decision', '/color/roles/items/action/light');
    expect(decisionOf(one(page, '.button > *'), derived)).toBe('/color/roles/items/action/light');
    expect(decisionOf(page.body, derived)).toBeUndefined();
  });
});

test('every class of a specimen on the sheet shows a token that there is', () => {
  const shown = [...classesIn(sheet)].filter((name) => name.startsWith('sheet-shows-'));
  expect(shown.length).toBeGreaterThan(200);
  for (const name of new Set(shown)) {
    const element = one(parts, `[class~="${name}"]`);
    expect(tokensOf(element, derived).length).toBeGreaterThan(0);
  }
});
