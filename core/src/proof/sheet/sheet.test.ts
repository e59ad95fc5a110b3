/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { checkUses } from '../../checks/measured-uses.ts';
import { derive } from '../../derive/derive.ts';
import type { StyleDocument } from '../../system/document.ts';
import type { Patch } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { propertyOf } from '../../tokens/token.ts';
import { classesIn, writeHtml, type ProofNode } from '../node.ts';
import { tokensStanding } from '../standing.ts';
import { propertyShownBy, showing, specimenRules } from './manners.ts';
import { CHAPTERS, sheetPage } from './sheet.ts';

const sheetOf = (system: StyleDocument) => sheetPage(system, derive(system), 'light');

/** The tokens of a system that do not stand on its sheet of parts. */
function missing(system: StyleDocument): readonly string[] {
  const derived = derive(system);
  const node = sheetPage(system, derived, 'light');
  const page = document.implementation.createHTMLDocument('');
  page.body.innerHTML = writeHtml(node, (svg) => svg);
  const own = { key: 'specimens', rules: specimenRules(classesIn(node)) };
  const standing = tokensStanding([{ page, own }], derived);
  return derived.tokens.filter(({ id }) => !standing.has(id)).map(({ id }) => id);
}

const custom = (type: string, json: unknown): Patch => [
  { op: 'replace', path: '/tokens/custom/order', value: ['one'] },
  {
    op: 'add',
    path: '/tokens/custom/items/one',
    value: { path: 'elsewhere.one', type, value: json },
  } as Patch[number],
];

const wordsOf = (node: ProofNode): string =>
  typeof node === 'string' ? node : node.children.map(wordsOf).join(' ');

describe('the sheet of parts', () => {
  const system = sampleDocument();

  test('has every token of a system', () => {
    expect(missing(system)).toEqual([]);
  });

  test.each([
    ['its colors renamed', system.color.roles.order, '/color/roles'],
    ['its steps of space renamed', system.space.steps.order, '/space/steps'],
    ['its radii renamed', system.shape.radii.order, '/shape/radii'],
    ['its texts renamed', system.type.roles.order, '/type/roles'],
  ] as const)('has every token with %s, all alike', (_, order, at) => {
    const patch = order.map((id) => ({
      op: 'replace' as const,
      path: `${at}/items/${id}/name`,
      value: 'Großer Ton',
    }));
    expect(missing(sampleDocument(patch))).toEqual([]);
  });

  test('has no chapter for what there is nothing of', () => {
    const empty = sampleDocument([
      { op: 'replace', path: '/color/gradients', value: { order: [], items: {} } },
      { op: 'replace', path: '/layout/patterns', value: { order: [], items: {} } },
      { op: 'replace', path: '/shape/durations', value: { order: [], items: {} } },
      { op: 'replace', path: '/shape/opacities', value: { order: [], items: {} } },
    ]);
    const words = wordsOf(sheetOf(empty));
    expect(words).not.toContain('Gradients and patterns');
    expect(words).not.toContain('Other tokens');
    expect(words).not.toContain('Durations');
    expect(words).toContain('Easings');
  });

  test('names every chapter that it has by a heading, and leads nowhere into the document', () => {
    const html = writeHtml(sheetOf(system), (svg) => svg);
    const page = document.implementation.createHTMLDocument('');
    page.body.innerHTML = html;
    const headings = [...page.querySelectorAll('.sheet-heading')].map((one) => one.textContent);
    const names = CHAPTERS.map(({ name }) => name);
    expect(headings.length).toBeGreaterThan(9);
    expect(headings).toEqual(names.filter((name) => headings.includes(name)));
    const written: string[] = [];
    const look = (node: ProofNode): void => {
      if (typeof node === 'string') return;
      if (node.content !== undefined) written.push(node.content);
      node.children.forEach(look);
    };
    look(sheetOf(system));
    expect(written).toEqual([]);
  });

  test('tells the values of the theme that it is shown in', () => {
    const derived = derive(system);
    const page = derived.colors.get('page');
    const [light, dark] = (['light', 'dark'] as const).map((mode) =>
      wordsOf(sheetPage(system, derived, mode)),
    );
    expect(light).toContain(page?.colors.light);
    expect(dark).toContain(page?.colors.dark);
    expect(page?.colors.light).not.toBe(page?.colors.dark);
  });
});

describe('a specimen', () => {
  const token = { path: ['step', 'xs'] };

  test('is a class with one rule that takes the property of the token', () => {
    const name = showing('long', token);
    expect(specimenRules([name, 'grid', name])).toEqual([
      { selector: `.${name}`, declarations: [['inline-size', 'var(--step-xs)']] },
    ]);
    expect(propertyShownBy(['grid', name])).toBe(propertyOf(token));
  });

  test('is no class of another name, and none of a manner that is no manner of ours', () => {
    for (const name of ['sheet-shows-', 'sheet-shows-constructor-a', 'sheet-shows-fill', 'grid']) {
      expect(specimenRules([name])).toEqual([]);
      expect(propertyShownBy([name])).toBeUndefined();
    }
  });
});

describe('tokens that stand on pages', () => {
  const derived = derive(system());
  function system(): StyleDocument {
    return sampleDocument();
  }
  const own = { key: 'specimens', rules: [] };
  const standingOn = (html: string): ReadonlySet<string> => {
    const page = document.implementation.createHTMLDocument('');
    page.body.innerHTML = html;
    return tokensStanding([{ page, own }], derived);
  };

  test('are those of its classes, what these take their values from, and their states', () => {
    const standing = standingOn('<a class="button">Go</a>');
    expect(standing).toContain('button.background');
    expect(standing).toContain('color.action');
    expect([...standing].some((id) => id.startsWith('palette.'))).toBe(true);
    expect(standing).not.toContain('card.corner');
    expect(standingOn('<a class="fill-action">Go</a>')).toContain('color.action-hover');
  });

  test('are those of a rule with a list in parentheses too, and of none that nothing answers to', () => {
    const rules = [
      { selector: ':is(.a, .b):hover', declarations: [['color', 'var(--color-text)']] },
      { selector: '.c, .d', declarations: [['color', 'var(--color-quiet)']] },
    ] as const;
    const page = document.implementation.createHTMLDocument('');
    page.body.innerHTML = '<p class="b"></p>';
    const standing = tokensStanding([{ page, own: { key: 'own', rules } }], {
      rules: [],
      tokens: derived.tokens,
    });
    expect(standing).toContain('color.text');
    expect(standing).not.toContain('color.quiet');
  });

  test('have a text style where all its parts stand', () => {
    expect(standingOn('<p class="type-h3"></p>')).toContain('type.h3.style');
    expect(standingOn('<p></p>')).not.toContain('type.h3.style');
  });

  test('are followed through what a rule hands on', () => {
    expect(standingOn('<div class="on-page"></div>')).not.toContain('shadow.page.low');
    expect(standingOn('<div class="on-page"><p class="raise-low"></p></div>')).toContain(
      'shadow.page.low',
    );
  });

  test('leave a finding that counts the others and names some', () => {
    const ids = Array.from({ length: 9 }, (_, index) => `one.${index}`);
    expect(checkUses(ids, new Set(ids))).toEqual([]);
    const [finding] = checkUses(ids, new Set(['one.0']));
    expect(finding?.title).toBe('8 tokens stand on no page');
    expect(finding?.figures).toBe('one.1, one.2, one.3, one.4, one.5, one.6 and 2 more; of 9');
    const [single] = checkUses(ids, new Set(ids.slice(1)));
    expect(single?.title).toBe('The token one.0 stands on no page');
  });

  test('can miss: a token of a type that nothing shows', () => {
    expect(missing(sampleDocument(custom('color', '#123456')))).toEqual([]);
    expect(missing(sampleDocument(custom('string', 'words')))).toEqual(['elsewhere.one']);
  });
});
