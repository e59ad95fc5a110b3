import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import postcss from 'postcss';
import { createDeriver } from '../derive/derive.ts';
import { sheetCss, sheetOf, type SheetBlock } from '../formats/sheet.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { wornWords, type Wearing } from './wearing.ts';
import { wearing } from './worn-sheet.ts';

const system = sampleDocument();
const derive = createDeriver();
const sheet = sheetOf(derive(system));
const classes = [
  ...new Set(
    sheet.flatMap(({ rules }) =>
      rules.flatMap(({ selector }) =>
        [...selector.matchAll(/\.([a-z][\w-]*)/g)].map(([, name = '']) => name),
      ),
    ),
  ),
];
const wearsAll = wearing([{ classes, values: [] }]);
const wears = (classNames: readonly string[], values: Wearing['values'] = []): string =>
  sheetCss(wearing([{ classes: [...classNames], values }])(sheet));

const rulesIn = (css: string): readonly postcss.Rule[] => {
  const found: postcss.Rule[] = [];
  postcss.parse(css).walkRules((rule) => {
    found.push(rule);
  });
  return found;
};

describe('a sheet that somebody’s page wears', () => {
  test('reaches only what wears a class, above whatever the page says, and arranges nothing', () => {
    const rules = rulesIn(sheetCss(wearsAll(sheet)));
    expect(rules.length).toBeGreaterThan(300);
    for (const { selector, nodes } of rules) {
      if (/^:root(?:\[|:not\(\[|$)/.test(selector)) continue;
      for (const one of selector.split(/,(?![^(]*\))/))
        expect(one.trim()).toMatch(/^:root:not\(#_#_\) .*\[data-worn/);
      // A class or an element of the page’s own is never asked for by its name alone.
      expect(selector.replaceAll(/\[data-worn[^\]]*\]/g, '')).not.toMatch(/\.[a-z]/);
      for (const node of nodes)
        if (node.type === 'decl') {
          expect(node.important).toBe(true);
          expect(node.prop).not.toMatch(/^(?:display|position|margin|width|inline-size|grid|flex)/);
        }
    }
  });

  test('has its custom properties under names of its own, all of them', () => {
    const css = sheetCss(wearsAll(sheet));
    expect(css.match(/(?<![\w-])--(?!worn-)[\w-]+/g)).toBeNull();
    const set = new Set([...css.matchAll(/(--worn-[\w-]+):/g)].map(([, name]) => name));
    const taken = [...css.matchAll(/var\((--worn-[\w-]+)(?!.*--worn-[\w-]+,)/g)].map(
      ([, name]) => name,
    );
    // Those of components are set where they are worn; tokens all at the root.
    expect(taken.filter((name) => !set.has(name)).length).toBeLessThan(taken.length / 50);
  });

  test('holds what is worn and nothing else', () => {
    const css = wears(['type-h1'], [{ property: 'color', token: 'color.quiet' }]);
    expect(css).toContain('[data-worn~="type-h1"]');
    expect(css).not.toContain('"type-h2"');
    expect(css).toMatch(
      /\[data-worn~="color:color\.quiet"\](?:\[data-worn\])+ \{\n {2}color: var\(--worn-color-quiet\) !important;/,
    );
    expect(wears([])).not.toContain('data-worn');
  });

  test('leaves the color of words that keep their own, and takes a gradient away', () => {
    const css = wears(
      ['type-h1', 'on-action'],
      [
        { property: 'color', token: 'own' },
        { property: 'background-image', token: 'none' },
      ],
    );
    for (const rule of rulesIn(css))
      rule.walkDecls('color', () => {
        if (rule.selector.includes('type-h1'))
          expect(rule.selector).toContain(':not([data-worn~="color:own"])');
      });
    expect(css).toContain('background-image: none !important');
    expect(css).not.toContain('var(--worn-own)');
  });

  test('keeps every block that a change does not touch', () => {
    const worn = wearing([{ classes: ['button', 'type-body'], values: [] }]);
    const before = worn(sheet);
    const change = patched(system, [{ op: 'replace', path: '/space/unit', value: 6 }]);
    if (!change.ok) throw new Error('the sample cannot be changed');
    const next = sheetOf(derive(change.document));
    const after = worn(next);
    const known = new Set<SheetBlock>(before);
    const isRule = ({ rules }: SheetBlock): boolean =>
      rules.some(({ selector }) => selector.includes('data-worn'));
    const others = next.filter((block) => !new Set(sheet).has(block));
    expect(after.filter((block) => isRule(block) && !known.has(block)).length).toBeLessThanOrEqual(
      others.length,
    );
    expect(after.filter((block) => known.has(block)).length).toBeGreaterThan(after.length / 2);
    expect(worn(sheet)).toBe(before);
  });

  test('is a sheet that can be read, whatever is worn', () => {
    fc.assert(
      fc.property(fc.subarray(classes), (some) => {
        const css = wears(some);
        expect(() => postcss.parse(css)).not.toThrow();
        for (const [, name = ''] of css.matchAll(/\[data-worn~="([^"]+)"\]/g))
          expect(name.startsWith('color:') || some.includes(name)).toBe(true);
      }),
      { numRuns: 20 },
    );
  });
});

test('the words of an element are its classes and its properties', () => {
  expect(
    wornWords({
      classes: ['card', 'on-surface'],
      values: [{ property: 'color', token: 'color.text' }],
    }),
  ).toBe('card on-surface color:color.text');
});
