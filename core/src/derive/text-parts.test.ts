/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { findingsOf } from '../checks/checks.ts';
import { COMPONENTS } from '../components/components.ts';
import { writeCss } from '../formats/css.ts';
import { writeDtcg } from '../formats/dtcg.ts';
import { readDtcg } from '../formats/read-dtcg.ts';
import { writeHtml } from '../proof/node.ts';
import { specimenOf } from '../proof/specimens.ts';
import type { Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { componentNeeds } from './color/component-needs.ts';
import { derive } from './derive.ts';
import { TEXT, TEXT_PARTS, textPartOf } from './text-parts.ts';

const departs = (of: string, role: string): Patch => [
  { op: 'add', path: `/components/departures/${of}.${TEXT}`, value: `type.${role}` },
];
const systemOf = (patch: Patch) => {
  const document = sampleDocument(patch);
  return { document, derived: derive(document) };
};

/** Some HTML in a page with a sheet: which custom property the size of an element comes from. */
function sizeIn(html: string, css: string, selector: string): string | undefined {
  const page = document.implementation.createHTMLDocument('');
  page.body.innerHTML = html;
  const element = page.querySelector(selector);
  if (!element) throw new Error(`${selector} is not there`);
  const matching = [...css.matchAll(/^ *([^{}@]+?) \{\n([^}]*)\}/gm)].flatMap(
    ([, selectors = '', body = '']) => {
      const size = /font-size: var\(--(type-[\w-]+)\)/.exec(body)?.[1];
      if (size === undefined) return [];
      return selectors
        .split(',')
        .map((one) => one.trim())
        .flatMap((one) => {
          try {
            return element.matches(one)
              ? [{ size, weight: (one.match(/\.|\[/g) ?? []).length }]
              : [];
          } catch {
            return [];
          }
        });
    },
  );
  return matching.toSorted((one, other) => one.weight - other.weight).at(-1)?.size;
}

describe('the text of a component', () => {
  test('is one of the list, and a role that new systems have', () => {
    const { derived } = systemOf([]);
    expect(TEXT_PARTS.length).toBeGreaterThan(12);
    const known = new Set(COMPONENTS.flatMap(({ classes }) => classes.map(({ name }) => name)));
    for (const { of, text } of TEXT_PARTS) {
      expect([of, known.has(of)]).toEqual([of, true]);
      expect([text, derived.styles.has(text)]).toEqual([text, true]);
    }
    // What holds texts of several roles has none.
    for (const other of ['card', 'hero', 'band', 'quotation'])
      expect(textPartOf(other)).toBeUndefined();
  });

  test('says nothing as long as it follows', () => {
    const { derived } = systemOf([]);
    expect(
      derived.tokens.filter(({ path, tier }) => tier === 'component' && path[1] === TEXT),
    ).toEqual([]);
  });

  test.each(TEXT_PARTS.map(({ of }) => [of] as const))(
    '.%s departs to another role: a token, and words set in it',
    (of) => {
      const { derived } = systemOf(departs(of, 'h4'));
      const slug = derived.styles.get('h4')?.slug ?? '';
      expect(derived.tokenById.get(`${of}.${TEXT}`)).toMatchObject({
        type: 'typography',
        tier: 'component',
        values: { light: { reference: `type.${slug}.style` } },
      });
      expect(derived.trailOf(`${of}.${TEXT}`)?.decisions[0]?.path).toBe(
        `/components/departures/${of}.${TEXT}`,
      );
      const variant = COMPONENTS.flatMap(({ variants = [] }) => variants).find(
        (one) => one.of === of,
      );
      if (!variant) return;
      const html = writeHtml(specimenOf(variant, derived), (svg) => svg);
      const words = html.includes(`${of} `) || html.includes(`${of}"`) ? `.${of}` : undefined;
      if (words === undefined) return;
      const css = writeCss(derived);
      expect(sizeIn(html, css, words)).toBe(`type-${slug}-size`);
      const page = document.implementation.createHTMLDocument('');
      page.body.innerHTML = html;
      if (page.querySelector(`${words} > [class^="type-"]`))
        expect(sizeIn(html, css, `${words} > [class^="type-"]`)).toBe(`type-${slug}-size`);
    },
  );

  test('of a variant of one’s own wins over that of what it follows', () => {
    const { derived } = systemOf([
      ...departs('button', 'small'),
      {
        op: 'add',
        path: '/components/variants',
        value: {
          order: ['one'],
          items: { one: { name: 'Loud', of: 'button', takes: { text: 'type.h4' } } },
        },
      },
    ]);
    const css = writeCss(derived);
    const html = (own: string) =>
      `<a class="button ${own}" href="#a"><span class="type-label">Go</span></a>`;
    expect(sizeIn(html(''), css, 'span')).toBe('type-small-size');
    expect(sizeIn(html('loud'), css, 'span')).toBe(
      `type-${derived.styles.get('h4')?.slug ?? ''}-size`,
    );
  });

  test('to a role that is gone follows, and is told', () => {
    const { document: decided, derived } = systemOf(departs('button', 'nothing'));
    expect(derived.tokenById.has('button.text')).toBe(false);
    const found = findingsOf(decided, derived).filter(({ id }) => id.startsWith('lost:'));
    expect(found.map(({ decision }) => decision)).toEqual(['/components/departures/button.text']);
  });

  test('a smaller one needs more contrast, in the color assignment too', () => {
    const needed = (patch: Patch): number =>
      Math.max(
        ...componentNeeds({
          components: sampleDocument(patch).components,
          has: () => true,
          neededBy: (role) => (role === 'h2' ? 3 : 4.5),
        })
          .filter(({ of, kind }) => of === 'button' && kind === 'text')
          .map(({ needed: one }) => one),
      );
    expect(needed([])).toBe(4.5);
    // Source: WCAG 2.2, 1.4.3: 3:1 for large text, 4.5:1 for all other.
    expect(needed(departs('button', 'h2'))).toBe(3);
    expect(needed(departs('button', 'small'))).toBe(4.5);
  });

  test('is read back from the open format as what it was', () => {
    const { document: decided, derived } = systemOf(departs('button', 'small'));
    const written = writeDtcg(derived, decided);
    const { button } = JSON.parse(written) as Record<string, Record<string, { $value?: unknown }>>;
    expect(button?.[TEXT]?.$value).toBe('{type.small.style}');
    const read = readDtcg(written);
    expect(read.kind === 'system' && read.document.components).toEqual(decided.components);
  });
});
