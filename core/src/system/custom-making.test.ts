import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { writeCss } from '../formats/css.ts';
import { writeDtcg } from '../formats/dtcg.ts';
import { readDtcg } from '../formats/read-dtcg.ts';
import { tokenUse } from '../proof/token-uses.ts';
import { cssOfValue } from '../tokens/css-value.ts';
import { adding } from './collection.ts';
import {
  decidingAt,
  isInside,
  multiplying,
  newToken,
  placesOf,
  standingAlone,
  textAt,
  TOKEN_TYPES,
  turnedInside,
  withOneMore,
  withoutOne,
  type Surroundings,
  type TokenType,
} from './custom-making.ts';
import { removingTokens } from './custom-tokens.ts';
import { saidIn, type CustomItem } from './custom-values.ts';
import { describing, descriptionsOf, extendingGroups } from './descriptions.ts';
import type { Mode, StyleDocument } from './document.ts';
import { jsonOf, patched, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';

const after = (patch: Patch, from: StyleDocument = sampleDocument()): StyleDocument => {
  const result = patched(from, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};
const made = (...items: readonly CustomItem[]): StyleDocument =>
  items.reduce(
    (document, item, at) =>
      after(adding('/tokens/custom', document.tokens.custom, `t${at}`, item), document),
    sampleDocument(),
  );
function around(document: StyleDocument): Surroundings {
  const { tokenById } = derive(document);
  return {
    custom: document.tokens.custom,
    own: (path) => tokenById.get(path),
    ownValue: (path, mode) => {
      const token = tokenById.get(path);
      const { json, extension } = token?.values[mode] ?? { json: null };
      return (
        token && { type: token.type, value: json, ...(extension !== undefined && { extension }) }
      );
    },
  };
}
const cssIn = (document: StyleDocument, id: string, mode: Mode = 'light') =>
  derive(document).tokenById.get(id)?.values[mode].css;
/** Decides a place of the first token that was made. */
function decided(
  document: StyleDocument,
  mode: Mode,
  place: { readonly at: string; readonly type: TokenType },
  text: string,
): StyleDocument {
  const item = document.tokens.custom.items['t0'];
  if (!item) throw new Error('nothing was made');
  const result = decidingAt(around(document), item, mode, place, text);
  if (!result.ok) throw new Error(result.problem);
  return after(
    [{ op: 'replace', path: '/tokens/custom/items/t0', value: jsonOf(result.item) }],
    document,
  );
}

/** What somebody may write for a place of each type, and what CSS has for it. */
const WRITTEN: Readonly<Record<string, readonly [text: string, css: string]>> = {
  color: ['#12ab34', '#12ab34'],
  dimension: ['3rem', '3rem'],
  fontFamily: ['Literata, serif', '"Literata", serif'],
  fontWeight: ['bold', '700'],
  duration: ['0.3s', '0.3s'],
  cubicBezier: ['ease-in', 'cubic-bezier(0.42, 0, 1, 1)'],
  number: ['0.25', '0.25'],
  strokeStyle: ['dotted', 'dotted'],
};

describe.each(TOKEN_TYPES)('a token of the type %s', (type) => {
  const start = made(newToken('mine.one', type));
  const item = newToken('mine.one', type);

  test('begins as one that the format takes, and goes through a file', () => {
    const read = readDtcg(JSON.stringify({ mine: { one: { $type: type, $value: item.value } } }));
    expect(read).toMatchObject({ kind: 'tokens', leftOut: [] });
    const text = writeDtcg(derive(start), start);
    expect(JSON.parse(text)).toMatchObject({ mine: { one: { $type: type, $value: item.value } } });
    expect(derive(start).tokenById.get('mine.one')?.tier).toBe('primitive');
  });

  test('is decided place by place in each theme, and each place says what was written', () => {
    let document = start;
    for (const mode of ['light', 'dark'] as const)
      for (const place of placesOf(type, item.value)) {
        const [text, css] = WRITTEN[place.type] ?? ['', ''];
        document = decided(document, mode, place, text);
        const now = document.tokens.custom.items['t0'];
        expect([place.at, now && textAt(saidIn(now, mode), place)]).toEqual([place.at, css]);
      }
    // Both themes were decided alike, place by place.
    const { values } = derive(document).tokenById.get('mine.one') ?? {};
    expect(values?.dark.css).toBe(values?.light.css);
    expect(values?.dark.json).toEqual(values?.light.json);
  });

  test('what is no value of a place is refused in words, and nothing changes', () => {
    for (const place of placesOf(type, item.value))
      for (const wrong of ['', 'nonsense(', '{no.such}', '12parsecs'])
        if (!(place.type === 'fontFamily' && !wrong.includes('{') && wrong !== '')) {
          const result = decidingAt(around(start), item, 'light', place, wrong);
          expect([place.at, wrong, result.ok]).toEqual([place.at, wrong, false]);
          if (!result.ok) expect(result.problem.length).toBeGreaterThan(5);
        }
  });
});

describe('a token that is taken from one of the system', () => {
  test('follows it in every theme, and is a reference in the sheet and in the open format', () => {
    const start = made(newToken('mine.glow', 'color'));
    const document = decided(start, 'light', { at: '', type: 'color' }, '{color.page}');
    const { tokenById } = derive(document);
    for (const mode of ['light', 'dark'] as const)
      expect(tokenById.get('mine.glow')?.values[mode]).toMatchObject({
        reference: 'color.page',
        css: tokenById.get('color.page')?.values[mode].css,
      });
    expect(writeCss(derive(document))).toContain('--mine-glow: var(--color-page);');
    expect(JSON.parse(writeDtcg(derive(document), document))).toMatchObject({
      mine: { glow: { $value: '{color.page}' } },
    });
    expect(tokenById.get('mine.glow')?.tier).toBe('semantic');
    // The system's color changes: so does it.
    const other = after(
      [
        {
          op: 'replace',
          path: '/color/roles/items/page/light',
          value: { kind: 'own', value: '#fedcba' },
        },
      ],
      document,
    );
    expect(cssIn(other, 'mine.glow')).toBe('#fedcba');
  });

  test('in a part: a border in a color of the system', () => {
    const start = made(newToken('mine.edge', 'border'));
    const document = decided(start, 'light', { at: '/color', type: 'color' }, '{color.line}');
    expect(cssIn(document, 'mine.edge')).toBe('1px solid var(--color-line)');
    expect(JSON.parse(writeDtcg(derive(document), document))).toMatchObject({
      mine: { edge: { $value: { color: '{color.line}' } } },
    });
  });

  test.each<[string, TokenType, string, string]>([
    ['of another type', 'color', '{type.h1.size}', 'is a dimension'],
    ['that is not there', 'color', '{color.none}', 'There is no token'],
    ['that is itself', 'color', '{mine.one}', 'in a circle'],
  ])('%s is refused', (_, type, text, words) => {
    const start = made(newToken('mine.one', type));
    const item = start.tokens.custom.items['t0'];
    const result = item && decidingAt(around(start), item, 'light', { at: '', type }, text);
    expect(result).toMatchObject({ ok: false, problem: expect.stringContaining(words) as unknown });
  });

  test('from a place in the value of another: written, followed, and refused where it does not fit', () => {
    const edge: CustomItem = {
      path: 'a.edge',
      type: 'border',
      value: { color: '#000000', width: { value: 2, unit: 'px' }, style: 'solid' },
    };
    const document = made(newToken('a.width', 'dimension'), edge);
    const place = { at: '', type: 'dimension' } as const;
    const next = decided(document, 'light', place, '{a.edge}/width');
    const item = next.tokens.custom.items['t0'];
    if (!item) throw new Error('it is gone');
    expect(item.parts).toEqual({ '': { of: 'a.edge', at: '/width' } });
    expect(textAt(item, place)).toBe('{a.edge}/width');
    expect(cssIn(next, 'a.width')).toBe('2px');
    const problem = (text: string): string => {
      const result = decidingAt(around(next), item, 'light', place, text);
      return result.ok ? '' : result.problem;
    };
    expect(problem('{a.edge}/style')).toBe('What stands at /style in a.edge is no dimension.');
    expect(problem('{a.edge}/height')).toBe('There is nothing at /height in a.edge.');
    expect(problem('{a.width}/value')).toContain('circle');
    // A value of its own takes the place of the reference.
    const own = decided(next, 'light', place, '5px').tokens.custom.items['t0'];
    expect([own?.parts, own?.value]).toEqual([undefined, { value: 5, unit: 'px' }]);
  });

  test('and that leads back to it over another is refused too', () => {
    const first = decided(
      made(newToken('mine.one', 'number'), newToken('mine.two', 'number')),
      'light',
      { at: '', type: 'number' },
      '{mine.two}',
    );
    const two = first.tokens.custom.items['t1'];
    const result =
      two && decidingAt(around(first), two, 'light', { at: '', type: 'number' }, '{mine.one}');
    expect(result).toMatchObject({ ok: false });
  });
});

describe('a share or a multiple', () => {
  const multiple = (type: TokenType, of: string, times: number): StyleDocument => {
    const start = made(newToken('mine.some', type));
    const item = start.tokens.custom.items['t0'];
    const result = item && multiplying(around(start), item, of, times);
    if (!result?.ok) throw new Error(result?.problem);
    return after(
      [{ op: 'replace', path: '/tokens/custom/items/t0', value: jsonOf(result.item) }],
      start,
    );
  };

  test('of a color is that color in each theme, as much of it, and its trail says so', () => {
    const document = multiple('color', 'color.text', 0.4);
    const { tokenById, trailOf } = derive(document);
    for (const mode of ['light', 'dark'] as const) {
      const { json } = tokenById.get('color.text')?.values[mode] ?? {};
      expect(tokenById.get('mine.some')?.values[mode].json).toEqual({
        ...(json as object),
        alpha: 0.4,
      });
    }
    expect(trailOf('mine.some')?.steps).toEqual(['0.4 times color.text']);
    expect(tokenUse(derive(document), 'mine.some').takes).toContain('color.text');
    expect(trailOf('mine.some')?.decisions[0]?.value).toBe('decided here');
  });

  test('of a length that flows flows with it, and stands in the open format as a length', () => {
    const document = multiple('dimension', 'type.h1.size', 1.5);
    expect(cssIn(document, 'mine.some')).toBe('calc(1.5 * var(--type-h1-size))');
    const base = derive(document).tokenById.get('type.h1.size')?.values.light.json as {
      readonly value: number;
    };
    expect(derive(document).tokenById.get('mine.some')?.values.light.json).toEqual({
      value: Number((base.value * 1.5).toFixed(5)),
      unit: 'rem',
    });
  });

  test.each<[TokenType, string, number]>([
    ['color', 'color.text', 1.2],
    ['color', 'color.text', -0.1],
    ['dimension', 'type.h1.size', Number.NaN],
    ['dimension', 'color.text', 2],
    ['number', 'none', 2],
  ])('a %s of %s times %d is refused', (type, of, times) => {
    expect(() => multiple(type, of, times)).toThrow(/./);
  });

  test('keeps what it is where it is to stand for itself, or what it is taken from goes', () => {
    const base = {
      ...newToken('mine.base', 'dimension'),
      dark: { value: { value: 20, unit: 'px' } },
    };
    const start = made(newToken('mine.some', 'dimension'), base);
    const item = start.tokens.custom.items['t0'];
    const result = item && multiplying(around(start), item, 'mine.base', 2);
    if (!result?.ok) throw new Error(result?.problem);
    const document = after(
      [{ op: 'replace', path: '/tokens/custom/items/t0', value: jsonOf(result.item) }],
      start,
    );
    expect(cssIn(document, 'mine.some')).toBe('calc(2 * var(--mine-base))');
    expect(standingAlone(around(document), result.item)).toEqual({
      path: 'mine.some',
      type: 'dimension',
      isOwn: true,
      value: { value: 32, unit: 'px' },
      dark: { value: { value: 40, unit: 'px' } },
    });
    const left = after(removingTokens(document.tokens.custom, new Set(['t1'])), document);
    expect([cssIn(left, 'mine.some'), cssIn(left, 'mine.some', 'dark')]).toEqual(['32px', '40px']);
  });
});

test('layers come and go, and references in those behind move with them', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5 }), fc.nat(4), (more, out) => {
      let item = newToken('mine.cast', 'shadow');
      for (let at = 0; at < more; at += 1) item = withOneMore(item, 'light');
      const { value } = item;
      if (!Array.isArray(value)) throw new Error('one layer is no list');
      expect(value).toHaveLength(more + 1);
      const named: CustomItem = {
        ...item,
        parts: Object.fromEntries(value.map((_, at) => [`/${at}/color`, `a.c${at}`])),
      };
      const gone = out % (more + 1);
      const left = withoutOne(named, 'light', gone);
      expect(Object.values(left.parts ?? {})).toEqual(
        value.flatMap((_, at) => (at === gone ? [] : [`a.c${at}`])),
      );
      expect(Object.keys(left.parts ?? {})).toEqual(value.slice(1).map((_, at) => `/${at}/color`));
      expect(cssOfValue('shadow', left.value)).toBeDefined();
    }),
  );
});

test('a layer is turned inside and out again, the others stay as they are', () => {
  for (const item of [
    newToken('mine.cast', 'shadow'),
    withOneMore(newToken('mine.cast', 'shadow'), 'light'),
  ]) {
    const turned = turnedInside(item, 'light', 0);
    expect(isInside(turned, 0)).toBe(true);
    expect(cssOfValue('shadow', turned.value)).toMatch(/^inset /);
    if (Array.isArray(turned.value)) expect(isInside(turned, 1)).toBe(false);
    expect(turnedInside(turned, 'light', 0)).toEqual(item);
  }
});

describe('descriptions', () => {
  const ids = (() => {
    let count = 0;
    return () => `w${(count += 1)}`;
  })();
  const said = after(
    describing(
      undefined,
      [
        { path: 'color', text: 'Roles of colors' },
        { path: 'color.page', text: 'The paper' },
      ],
      ids,
    ),
  );

  test('of the system’s own tokens and of groups go with them into the files', () => {
    expect(derive(said).tokenById.get('color.page')?.description).toBe('The paper');
    expect(JSON.parse(writeDtcg(derive(said), said))).toMatchObject({
      color: { $description: 'Roles of colors', page: { $description: 'The paper' } },
    });
  });

  test('keep which group a group extends when their words change, and after they are gone', () => {
    const first = after(
      describing(undefined, [{ path: 'a.b', text: '', extends: 'a.c' }], () => 'w'),
    );
    expect([...descriptionsOf(first.tokens.descriptions)]).toEqual([]);
    const said = after(
      describing(first.tokens.descriptions, [{ path: 'a.b', text: 'For ends' }], () => 'x'),
      first,
    );
    const unsaid = after(
      describing(said.tokens.descriptions, [{ path: 'a.b', text: ' ' }], () => 'x'),
      said,
    );
    for (const { tokens } of [first, said, unsaid])
      expect([...extendingGroups(tokens.descriptions)]).toEqual([['a.b', 'a.c']]);
  });

  test('change in their place, go where nothing is said, and say nothing twice', () => {
    const { descriptions } = said.tokens;
    const other = after(
      describing(descriptions, [{ path: 'color', text: ' Other words ' }], ids),
      said,
    );
    expect([...descriptionsOf(other.tokens.descriptions)]).toEqual([
      ['color', 'Other words'],
      ['color.page', 'The paper'],
    ]);
    expect(describing(descriptions, [{ path: 'color', text: 'Roles of colors' }], ids)).toEqual([]);
    const none = after(
      describing(
        descriptions,
        ['color', 'color.page'].map((path) => ({ path, text: '' })),
        ids,
      ),
      said,
    );
    expect(none.tokens.descriptions).toBeUndefined();
  });
});
