import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import * as csstree from 'css-tree';
import { derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { jsonOf, patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import {
  callingToken,
  keepingProblem,
  MOST_FORMER,
  namingPatch,
  withoutFormer,
  type TokenNaming,
} from '../system/sheet-naming.ts';
import { TIERS } from '../tokens/token.ts';
import { tokenNames } from '../tokens/token-names.ts';
import { writeCss } from './css.ts';
import { writeDtcg } from './dtcg.ts';
import { writeFlatJson, writeNestedJson } from './json.ts';
import { readDtcg } from './read-dtcg.ts';
import { nameChanges, tokenNamesOf } from './token-naming.ts';

const start = sampleDocument([
  {
    op: 'replace',
    path: '/tokens/custom',
    value: jsonOf({
      order: ['gap'],
      items: { gap: { path: 'old.gap', type: 'dimension', value: { value: 8, unit: 'px' } } },
    }),
  },
]);
const after = (naming: TokenNaming, kept?: string, from: StyleDocument = start): StyleDocument => {
  const result = patched(from, namingPatch(from.tokens.sheet, naming, kept));
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};
const namesIn = (document: StyleDocument) => tokenNamesOf(document.tokens.sheet, derive(document));
const sheetIn = (document: StyleDocument): string =>
  writeCss(derive(document), document.tokens.sheet);

/** What is declared in a sheet, and what is taken, as an independent parser (css-tree) sees it. */
function seenIn(css: string) {
  const declared = new Set<string>();
  const taken = new Set<string>();
  csstree.walk(csstree.parse(css, { parseCustomProperty: true }), (node) => {
    if (node.type === 'Declaration' && node.property.startsWith('--')) declared.add(node.property);
    if (node.type === 'Identifier' && node.name.startsWith('--')) taken.add(node.name);
  });
  return { declared, taken };
}

describe('a tier is called', () => {
  test.each<[string, TokenNaming, string, string]>([
    [
      'with a prefix',
      { tiers: { semantic: { prefix: 'role' } } },
      'color.page',
      '--role-color-page',
    ],
    [
      'with its group last',
      { tiers: { semantic: { groupLast: true, prefix: 'role' } } },
      'color.page',
      '--role-page-color',
    ],
    ['with another sign', { tiers: { semantic: { joint: '_' } } }, 'color.page', '--color_page'],
    [
      'with all of these, below the prefix of all',
      {
        properties: 'rc',
        tiers: { component: { prefix: 'part', groupLast: true, joint: '--' } },
      },
      'button.background',
      '--rc-part--background--button',
    ],
    ['and another not', { tiers: { component: { prefix: 'x' } } }, 'color.page', '--color-page'],
    [
      'but for what came from elsewhere',
      { tiers: { primitive: { prefix: 'p' }, semantic: { prefix: 's' } } },
      'old.gap',
      '--old-gap',
    ],
  ])('%s', (_, naming, id, property) => {
    const document = after(naming);
    expect(namesIn(document).clashes).toEqual([]);
    expect(namesIn(document).tokens.get(id)?.property).toBe(property);
    expect(sheetIn(document)).toContain(`  ${property}: `);
  });

  test('and one token otherwise', () => {
    const called = callingToken(undefined, 'color.page', 'paper.white', 'one');
    const document = after(called);
    expect(sheetIn(document)).toContain('--paper-white: ');
    expect(sheetIn(document)).toContain('var(--paper-white)');
    expect(sheetIn(document)).not.toContain('--color-page');
    // It is called as its tier again.
    const back = callingToken(document.tokens.sheet, 'color.page', undefined, 'two');
    expect(after(back, undefined, document).tokens.sheet).toEqual({});
  });
});

const tier = fc.record(
  {
    prefix: fc.constantFrom('a', 'color', 'page', 'button', 'x-y'),
    groupLast: fc.constant(true as const),
    joint: fc.constantFrom('_' as const, '--' as const),
  },
  { requiredKeys: [] },
);
const anyNaming = fc.record(
  {
    properties: fc.constantFrom('rc', 'color', 'x-y'),
    tiers: fc.record({ primitive: tier, semantic: tier, component: tier }, { requiredKeys: [] }),
  },
  { requiredKeys: [] },
);

test('whatever is decided: every name is there once, and nothing is taken that is not declared', () => {
  const plain = derive(start);
  const locals = seenIn(writeCss(plain));
  fc.assert(
    fc.property(anyNaming, anyNaming, (first, second) => {
      const document = after(second, 'before', after(first));
      const { tokens, former } = namesIn(document);
      const properties = [...tokens.values(), ...former].map(({ property }) => property);
      expect(new Set(properties).size).toBe(properties.length);
      const { declared, taken } = seenIn(sheetIn(document));
      // What the sheet takes without declaring it are the same few properties of its own as ever.
      const open = [...taken].filter((name) => !declared.has(name)).length;
      expect(open).toBe([...locals.taken].filter((name) => !locals.declared.has(name)).length);
      for (const { property } of [...tokens.values(), ...former])
        if (![...declared].includes(property))
          expect([
            property,
            plain.tokens.some(({ values }) => values.light.css === undefined),
          ]).toEqual([property, true]);
      // No token stands below another in the open format.
      const names = tokenNames([]);
      for (const { path } of tokens.values()) {
        expect([path, names.problemWith(path, '')]).toEqual([path, undefined]);
        names.add(path);
      }
    }),
    { numRuns: 25 },
  );
});

test('names that something else has are told, and what cannot be called so keeps its name', () => {
  const naming = callingToken(undefined, 'color.page', 'color.text', 'one');
  const { changes, clashes } = nameChanges(start.tokens.sheet, naming, derive(start));
  expect(clashes.map(({ id }) => id)).toEqual(['color.text']);
  expect(clashes[0]?.reason).toContain('a token of this name');
  expect(changes.find(({ id }) => id === 'color.page')?.after).toBe('--color-text');
  const properties = [...namesIn(after(naming)).tokens.values()].map(({ property }) => property);
  expect(new Set(properties).size).toBe(properties.length);
});

test('what changes is told for each token once, and nothing where nothing does', () => {
  const derived = derive(start);
  expect(nameChanges(undefined, {}, derived).changes).toEqual([]);
  const { changes } = nameChanges(undefined, { tiers: { component: { prefix: 'c' } } }, derived);
  const components = derived.tokens.filter((token) => token.tier === 'component');
  expect(changes).toHaveLength(components.length);
  for (const { before, after: then } of changes) expect(then).toBe(`--c-${before.slice(2)}`);
});

describe('names from before', () => {
  const renamed = after({ tiers: { semantic: { prefix: 'role' } } }, 'before');

  test('stay in every file, take their values from the new ones, and are deprecated', () => {
    expect(sheetIn(renamed)).toContain('/* Deprecated: names from before. */');
    expect(sheetIn(renamed)).toContain('  --color-page: var(--role-color-page);');
    const derived = derive(renamed);
    const read = readDtcg(
      JSON.stringify({ ...(JSON.parse(writeDtcg(derived, renamed)) as object), $extensions: {} }),
    );
    if (read.kind !== 'tokens') throw new Error(JSON.stringify(read));
    expect(read.leftOut).toEqual([]);
    expect(read.tokens.find(({ path }) => path === 'color.page')).toMatchObject({
      alias: 'role.color.page',
      deprecated: 'Renamed to role.color.page.',
    });
    const flat = JSON.parse(writeFlatJson(renamed, derived)) as Record<
      string,
      Record<string, string>
    >;
    expect(flat['light']?.['color-page']).toBe(flat['light']?.['role-color-page']);
    const nested = JSON.parse(writeNestedJson(renamed, derived)) as {
      light: { color: Record<string, string>; role: { color: Record<string, string> } };
    };
    expect(nested.light.color['page']).toBe(nested.light.role.color['page']);
  });

  test('go, are not kept twice, and never stand where a name of today does', () => {
    const sheet = renamed.tokens.sheet ?? {};
    const gone = patched(renamed, withoutFormer(sheet, 'before'));
    expect(gone.ok && sheetIn(gone.document)).not.toContain('--color-page');
    // Back to what they were: the former names are those of today.
    const back = after({}, 'again', renamed);
    expect(back.tokens.sheet?.former?.order).toEqual(['again']);
    expect(sheetIn(back)).toContain('  --role-color-page: var(--color-page);');
    expect(sheetIn(back).match(/ {2}--color-page: /g)?.length).toBe(
      sheetIn(start).match(/ {2}--color-page: /g)?.length,
    );
  });

  test('of more than a few times are refused in words', () => {
    let document = start;
    for (let at = 0; at < MOST_FORMER; at += 1) {
      expect(keepingProblem(document.tokens.sheet)).toBeUndefined();
      document = after({ properties: `p${at}` }, `time-${at}`, document);
    }
    expect(keepingProblem(document.tokens.sheet)).toContain('let those of one time go');
  });
});

test('choices that say nothing leave nothing behind, and the others stay', () => {
  const named = after({ tiers: Object.fromEntries(TIERS.map((one) => [one, { prefix: '' }])) });
  expect(named.tokens.sheet).toBeUndefined();
  const layered = sampleDocument([
    { op: 'add', path: '/tokens/sheet', value: { layer: 'look', classes: 'x' } },
  ]);
  expect(after({ properties: 'p' }, undefined, layered).tokens.sheet).toEqual({
    layer: 'look',
    classes: 'x',
    properties: 'p',
  });
});
