import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { oklabOf, oklchOf } from '../../color/oklab.ts';
import { SHIPPED_PALETTES } from '../../color/palettes.ts';
import { rgbOf, type Hex } from '../../color/srgb.ts';
import { inOrder } from '../../system/document.ts';
import { patched, type Patch } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import { asRole, matchPalette, matched, recoloring, TRIED_AS } from './match-palette.ts';
import { mergeSources } from './palette.ts';

const applied = (document: ReturnType<typeof sampleDocument>, patch: Patch) => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.document;
};
const hex = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n): Hex => `#${n.toString(16).padStart(6, '0')}`);

/** What it costs that one color becomes another, told anew. */
const cost = (one: Hex, other: Hex): number => {
  const [a, b] = [one, other].map((each) => oklchOf(oklabOf(rgbOf(each))));
  return (
    Math.abs((a?.lightness ?? 0) - (b?.lightness ?? 0)) +
    2.5 * Math.abs((a?.chroma ?? 0) - (b?.chroma ?? 0))
  );
};
/** All ways to give some sources colors of a palette, each color once. */
function* ways(sources: readonly Hex[], left: readonly Hex[]): Generator<number> {
  const [first, ...others] = sources;
  if (first === undefined) yield 0;
  else
    for (const one of left)
      for (const rest of ways(
        others,
        left.filter((other) => other !== one),
      ))
        yield cost(first, one) + rest;
}

describe('a palette in the places of others', () => {
  test('costs as little as the best of all ways to assign it', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(hex, { minLength: 1, maxLength: 4 }),
        fc.uniqueArray(hex, { minLength: 4, maxLength: 6 }),
        (sources, palette) => {
          const found = matched(sources, palette);
          expect(new Set(found).size).toBe(sources.length);
          const sum = found.reduce(
            (total, one, index) => total + cost(sources[index] as Hex, one as Hex),
            0,
          );
          expect(sum).toBeCloseTo(Math.min(...ways(sources, palette)), 9);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('of fewer colors serves the first sources, of none none, of one twice once', () => {
    expect(matched(['#123456', '#abcdef'], ['#ff0000'])).toEqual(['#ff0000', undefined]);
    expect(matched(['#123456'], [])).toEqual([undefined]);
    expect(matched(['#123456', '#abcdef'], ['#ff0000', '#ff0000'])).toEqual(['#ff0000', undefined]);
    expect(matched([], ['#ff0000'])).toEqual([]);
  });

  test('of 256 colors is answered', () => {
    const many = Array.from(
      { length: 256 },
      (_, index): Hex => `#${(index * 65_793).toString(16).padStart(6, '0')}`,
    );
    const twelve = many.slice(0, 12);
    expect(matched(twelve, many).filter((one) => one !== undefined)).toHaveLength(8);
  });
});

test('every shipped palette is worn whole: states stay, what is locked stays, neutrals follow, everything is derived', () => {
  const document = sampleDocument([
    { op: 'add', path: '/brief/locked', value: ['/color/sources/items/accent'] },
  ]);
  for (const { name, colors } of SHIPPED_PALETTES) {
    const matches = matchPalette(document, colors);
    expect([name, matches.map(({ source }) => source)]).toEqual([name, ['brand']]);
    const { color } = applied(document, recoloring(document.color, matches));
    for (const id of ['accent', 'success', 'warning', 'danger', 'notice'])
      expect(color.sources.items[id]).toEqual(document.color.sources.items[id]);
    expect(colors).toContain(color.sources.items['brand']?.value);
  }
  // A role that is locked holds the source that it is taken from.
  const link = sampleDocument([
    { op: 'add', path: '/brief/locked', value: ['/color/roles/items/link'] },
  ]);
  expect(matchPalette(link, ['#ff0000', '#00ff00']).map(({ source }) => source)).toEqual([
    'accent',
  ]);
  const open = sampleDocument();
  const [palette] = SHIPPED_PALETTES;
  const worn = applied(open, recoloring(open.color, matchPalette(open, palette?.colors ?? [])));
  expect(derive(worn).colors.get('line')?.colors.light).not.toBe(
    derive(open).colors.get('line')?.colors.light,
  );
});

test('a color that was told of a wide display is told anew', () => {
  const document = sampleDocument();
  const sources = {
    ...document.color.sources,
    items: {
      ...document.color.sources.items,
      brand: { ...document.color.sources.items['brand'], wide: {} },
    },
  } as never;
  expect(
    recoloring({ ...document.color, sources }, [
      { source: 'brand', name: 'brand', before: '#2a6365', after: '#ff0000' },
    ]).map(({ op, path }) => [op, path]),
  ).toEqual([
    ['replace', '/color/sources/items/brand/value'],
    ['remove', '/color/sources/items/brand/wide'],
  ]);
});

describe('a color tried as', () => {
  const document = sampleDocument();
  test.each(TRIED_AS)('%s stands there in both the role and what belongs to it', (as) => {
    const color: Hex = '#7a1fa2';
    const next = applied(document, asRole(document, { hex: color, name: 'plum', as, id: 'tried' }));
    const painted = derive(next).colors.get(as);
    expect(next.color.sources.items['tried']).toEqual({ name: 'plum', value: color });
    const ramp = painted?.painted.light.ramp?.id;
    expect(ramp).toBe('tried');
    if (as !== 'page')
      for (const part of ['hover', 'pressed', 'edge', 'wash'])
        expect([part, derive(next).colors.get(`${as}-${part}`)?.painted.light.ramp?.id]).toEqual([
          part,
          'tried',
        ]);
    // What it does not belong to stays.
    for (const [id, role] of inOrder(document.color.roles))
      if (!id.startsWith(as)) expect(next.color.roles.items[id]).toEqual(role);
    // Where it is locked, nothing is changed, and nothing is left behind.
    const locked = sampleDocument([
      {
        op: 'add',
        path: '/brief/locked',
        value: inOrder(document.color.roles)
          .filter(([id]) => id.startsWith(as))
          .map(([id]) => `/color/roles/items/${id}`),
      },
    ]);
    expect(asRole(locked, { hex: color, name: 'plum', as, id: 'tried' })).toEqual([]);
  });

  test('one that the system has already is not added again', () => {
    const { value } = document.color.sources.items['accent'] ?? { value: '#000000' };
    const next = applied(
      document,
      asRole(document, { hex: value, name: 'again', as: 'action', id: 'tried' }),
    );
    expect(next.color.sources.order).toEqual(document.color.sources.order);
    expect(next.color.roles.items['action']?.light).toEqual({ kind: 'source', source: 'accent' });
  });
});

test('two sources at any distance become one, and everything that hung on the other hangs on it', () => {
  const document = sampleDocument();
  const next = applied(document, mergeSources(document.color, 'accent', 'notice'));
  expect(next.color.sources.order).not.toContain('accent');
  expect(JSON.stringify(next.color.roles)).not.toMatch(/"(?:ramp|source)":"accent"/);
  expect(derive(next).colors.get('visited')?.painted.light.ramp?.id).toBe('notice');
});
