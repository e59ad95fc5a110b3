import { describe, expect, test } from '@jest/globals';
import { generate, parse, walk } from 'css-tree';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { sampleDocument } from '../system/sample.ts';
import { propertyOf } from '../tokens/token.ts';
import { FORMS, REFERENCES, textOfLines, UNITS, writeChosen, type Writing } from './chosen.ts';
import { writeCss } from './css.ts';

const document = sampleDocument();
const derived = derive(document);
const ids = derived.tokens.map(({ id }) => id);
const USUAL: Writing = {
  form: 'as a sheet',
  selector: '.mine',
  references: 'kept',
  theme: 'both',
  units: 'as decided',
  isMinified: false,
};
const written = (of: readonly string[], writing: Partial<Writing> = {}): string => {
  const all = { ...USUAL, ...writing };
  return textOfLines(writeChosen(document, derived, of, all).lines, all);
};

/** What a sheet declares, by at-rule, selector and property. */
function declared(css: string): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  walk(parse(css), {
    visit: 'Declaration',
    enter(node) {
      const within = this.atrule?.prelude ? generate(this.atrule.prelude) : '';
      const selector = this.rule ? generate(this.rule.prelude) : '';
      if (node.property.startsWith('--'))
        found.set(`${within} ${selector} ${node.property}`, generate(node.value).trim());
    },
  });
  return found;
}

const some = fc.subarray(ids, { maxLength: 12 });
const writing: fc.Arbitrary<Writing> = fc.record({
  form: fc.constantFrom(...FORMS),
  selector: fc.constant('.mine'),
  references: fc.constantFrom(...REFERENCES),
  theme: fc.constantFrom('both', 'light', 'dark'),
  units: fc.constantFrom(...UNITS),
  isMinified: fc.boolean(),
});

describe('chosen tokens as text', () => {
  test('all of them as a sheet declare what the exported sheet declares of tokens', () => {
    const own = declared(written(ids));
    const sheet = declared(writeCss(derived));
    const properties = new Set(derived.tokens.map(propertyOf));
    const wanted = [...sheet].filter(([key]) => properties.has(key.split(' ').at(-1) ?? ''));
    expect(new Map(wanted)).toEqual(own);
    expect(own.size).toBeGreaterThan(derived.tokens.length);
  });

  test('whatever is chosen brings what it takes its values from, and says what it brought', () => {
    fc.assert(
      fc.property(some, writing, (of, how) => {
        const { lines, added } = writeChosen(document, derived, of, how);
        const text = textOfLines(lines, how);
        const names = new Set([...text.matchAll(/(--[\w-]+)\s*:/g)].map(([, name = '']) => name));
        const taken = [...text.matchAll(/var\((--[\w-]+)/g)].map(([, name = '']) => name);
        if (how.references === 'resolved') expect([taken, added]).toEqual([[], []]);
        for (const name of taken) expect([name, names.has(name)]).toEqual([name, true]);
        for (const id of added) expect(of).not.toContain(id);
        for (const id of of) {
          const token = derived.tokenById.get(id);
          if (token?.values.light.css !== undefined) expect(names).toContain(propertyOf(token));
        }
      }),
      { numRuns: 120 },
    );
  });

  test('without spaces it says the same', () => {
    fc.assert(
      fc.property(some, writing, (of, how) => {
        const text = (isMinified: boolean): string => {
          const chosen = written(of, { ...how, isMinified });
          return how.form === 'bare' ? `x {${chosen}}` : chosen;
        };
        const spaceless = (css: string) =>
          new Map([...declared(css)].map(([key, value]) => [key, value.replaceAll(/,\s+/g, ',')]));
        expect(spaceless(text(true))).toEqual(spaceless(text(false)));
        expect(text(true).length).toBeLessThanOrEqual(text(false).length);
      }),
      { numRuns: 60 },
    );
  });

  test('lengths are in one unit, of the same length, and nothing else is touched', () => {
    const number = (css: string, unit: string): number[] =>
      [...css.matchAll(new RegExp(`(-?[\\d.]+)${unit}\\b`, 'g'))].map(([, value]) => Number(value));
    for (const token of derived.tokens.filter(({ type }) => type === 'dimension')) {
      const [plain, px, rem] = UNITS.map((units) =>
        written([token.id], { form: 'bare', references: 'resolved', units }),
      );
      if (plain === undefined || px === undefined || rem === undefined) continue;
      expect(px).not.toMatch(/[\d.]rem/);
      expect(rem).not.toMatch(/(?<!\()\b[\d.]+px/);
      const inPx = number(px, 'px');
      const inRem = number(rem, 'rem');
      expect(inPx).toHaveLength(inRem.length);
      inPx.forEach((value, at) => expect(value).toBeCloseTo((inRem[at] ?? NaN) * 16, 1));
    }
    const veil = written(ids, { units: 'px' });
    expect(veil).toContain('"Literata"');
  });

  test('a text style comes with everything that belongs to it', () => {
    const text = written(['type.h1.style'], { form: 'bare', references: 'resolved' });
    for (const part of ['family', 'weight', 'size', 'line-height', 'letter-spacing'])
      expect(text).toContain(`--type-h1-${part}: `);
    expect(written(['type.h1.style'], { form: 'bare' })).toContain('--scale-up-5: ');
  });

  test('a rule of one’s own has the second theme where it stands; bare lines are of one theme', () => {
    const text = written(['color.page'], { form: 'in a rule', references: 'resolved' });
    expect(text).toMatch(
      /^\.mine \{\n {2}--color-page: #[0-9a-f]{6};\n\}\n@media \(prefers-color-scheme: dark\) \{\n {2}:root:not\(\[data-theme="light"\]\) \.mine \{/,
    );
    expect(text).toContain(':root[data-theme="dark"] .mine {');
    const list = written(['color.page'], {
      form: 'in a rule',
      references: 'resolved',
      selector: '.a, p:is(.b, .c), [title="x,y"]',
    });
    const dark1 = ':root[data-theme="dark"]';
    expect(list).toContain(`${dark1} .a, ${dark1} p:is(.b, .c), ${dark1} [title="x,y"] {`);
    const dark = written(['color.page'], { form: 'bare', references: 'resolved', theme: 'dark' });
    expect(dark).toBe(`--color-page: ${derived.colors.get('page')?.colors.dark ?? ''};\n`);
    expect(written(['color.page'], { form: 'bare', references: 'resolved' })).toBe(
      `--color-page: ${derived.colors.get('page')?.colors.light ?? ''};\n`,
    );
  });
});
