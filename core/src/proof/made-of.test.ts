/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { propertyOf } from '../tokens/token.ts';
import { sitePage } from './site.ts';
import { declarationsOf, madeOf, weightOf } from './made-of.ts';
import { writeHtml } from './node.ts';

/** What each element of the page of a system is made of, as the rules of its sheet say. */
function pageOf(patch: Patch) {
  const system = sampleDocument(patch);
  const derived = derive(system);
  const properties = new Set(derived.tokens.map(propertyOf));
  document.body.innerHTML = writeHtml(sitePage(system, derived), (svg) => svg);
  const made = (element: Element) =>
    madeOf<Element>(element, derived.rules, (property) => properties.has(property));
  return { made, all: [...document.querySelectorAll('*')] };
}

const system = sampleDocument();
const renamed: Patch = system.color.roles.order.map((id, index) => ({
  op: 'replace',
  path: `/color/roles/items/${id}/name`,
  value: `Hue ${index}`,
}));
const sided = (form: 'apart' | 'alike'): Patch =>
  system.space.roles.order.flatMap((id): Patch => {
    const { value, block } = system.space.roles.items[id] ?? {};
    if (form === 'alike')
      return block ? [{ op: 'remove' as const, path: `/space/roles/items/${id}/block` }] : [];
    return value && !block
      ? [{ op: 'add' as const, path: `/space/roles/items/${id}/block`, value: jsonOf(value) }]
      : [];
  });

describe('what an element is made of', () => {
  test.each([
    ['as usual', []],
    ['with its colors renamed', renamed],
    ['with the sides of its spaces alike', sided('alike')],
    ['with the sides of its spaces apart', sided('apart')],
  ] as const)('is a token by every name on the page, %s', (_, patch) => {
    const { made, all } = pageOf([...patch]);
    expect(all.length).toBeGreaterThan(60);
    const found = all.map((element) => ({ element, ...made(element) }));
    expect(found.flatMap(({ unknown }) => unknown)).toEqual([]);
    expect(found.flatMap(({ properties }) => properties).length).toBeGreaterThan(200);
    const button = found.find(({ element }) => element.matches('.button'));
    expect(button?.properties).toEqual(
      expect.arrayContaining(['--button-background', '--button-target', '--button-corner']),
    );
  });

  test('is what wins: a label on a button takes the color of labels there, and not that of the page', () => {
    const { made } = pageOf([]);
    const label = document.querySelector('.button > .type-label');
    const { properties } = made(label ?? document.body);
    expect(properties).toContain('--button-ink');
    expect(properties).not.toContain('--color-text');
    expect(properties).toContain('--type-label-size');
  });

  test('misses no rule that an element answers to', () => {
    const { all } = pageOf([]);
    const { rules } = derive(sampleDocument());
    const plain = rules.flatMap((group) =>
      group.rules.filter(({ within }) => within === undefined),
    );
    let answered = 0;
    for (const rule of plain) {
      const own = [{ key: 'one', rules: [rule] }];
      for (const element of all) {
        // What a reader has typed no element of these has, and not every DOM knows to ask for it.
        const asked = rule.selector.replaceAll(':user-invalid', '[data-typed]');
        if (/::(?!before|after)|:popover-open/.test(asked) || !element.matches(asked)) continue;
        answered += 1;
        expect(declarationsOf<Element>(element, own, () => true).size).toBeGreaterThan(0);
      }
    }
    expect(answered).toBeGreaterThan(200);
  });

  test('follows what a rule hands on: a raised card has the shadow of its ground', () => {
    const { made } = pageOf([]);
    document.body.innerHTML =
      '<div class="on-page"><article class="raise-low"></article></div><div class="on-surface"><p class="raise-low"></p></div>';
    const [onPage, onSurface] = ['article', 'p'].map((one) =>
      made(document.querySelector(one) ?? document.body),
    );
    expect(onPage?.properties).toEqual(['--shadow-page-low']);
    expect(onSurface?.properties).toEqual(['--shadow-surface-low']);
  });

  test('changes with the at-rules that hold', () => {
    document.body.innerHTML = '<p class="a"></p>';
    const rules = [
      { selector: '.a', declarations: [['gap', 'var(--one)']] },
      { selector: '.a', within: '@media (width >= 700px)', declarations: [['gap', 'var(--two)']] },
    ] as const;
    const element = document.querySelector('.a') ?? document.body;
    const groups = [{ key: 'x', rules }];
    expect(declarationsOf(element, groups, () => true).get('gap')).toBe('var(--two)');
    expect(declarationsOf(element, groups, () => false).get('gap')).toBe('var(--one)');
  });
});

test('selectors weigh as the standard has it', () => {
  // Selectors 4, 17: classes, attributes and pseudo-classes before elements; :where() weighs nothing.
  const weights = [
    ['*', 0],
    ['p', 1],
    ['.table th', 1001],
    ['.on-surface .type-body a', 2001],
    ['.type-body a:visited', 2001],
    [':root:not([data-theme="light"]) .logo-dark', 3000],
    [':where(.a .b) .c', 1000],
    ['*::before', 1],
    ['.fill-action[aria-disabled="true"]', 2000],
  ] as const;
  expect(weights.map(([selector]) => [selector, weightOf(selector)])).toEqual(weights);
});
