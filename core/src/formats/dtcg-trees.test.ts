import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import type { TokenJson } from '../tokens/token.ts';
import { customIdOf, removingTokens, renamingToken } from '../system/custom-tokens.ts';
import { THEME_FILES, writeDtcg, writeDtcgTheme, writeResolver } from './dtcg.ts';
import { pointerParts, valueThere } from './extended-groups.ts';
import { readDtcg } from './read-dtcg.ts';
import { takeFile } from './take-files.ts';

type Tree = { [key: string]: TokenJson | Tree };

const read = (tree: unknown) => readDtcg(JSON.stringify(tree));
function tokensOf(tree: unknown) {
  const found = read(tree);
  if (found.kind !== 'tokens') throw new Error(JSON.stringify(found));
  return { ...found, byPath: new Map(found.tokens.map((token) => [token.path, token])) };
}

/** A file taken into a system and written out of it: what stands at its places then. */
function throughSystem(tree: Tree): Tree {
  const document = sampleDocument();
  let count = 0;
  const taken = takeFile(document, JSON.stringify(tree), () => `t${(count += 1)}`);
  if (taken.kind !== 'tokens') throw new Error(JSON.stringify(taken));
  expect(taken.leftOut).toEqual([]);
  const after = patched(document, taken.patch);
  if (!after.ok) throw new Error(JSON.stringify(after.problems));
  return JSON.parse(writeDtcg(derive(after.document), after.document)) as Tree;
}

const px = (value: number): TokenJson => ({ value, unit: 'px' });
const color = (red: number): TokenJson => ({
  colorSpace: 'srgb',
  components: [red, 0.5, 0.25],
  alpha: 1,
});

describe('references by JSON Pointer', () => {
  test('lead to a token, to its value, or to a part of it', () => {
    const { byPath, leftOut } = tokensOf({
      base: {
        $type: 'color',
        blue: { $value: color(0.1) },
        'a/b~c': { $value: color(0.9) },
      },
      whole: { $type: 'color', $value: { $ref: '#/base/blue' } },
      value: { $type: 'color', $value: { $ref: '#/base/blue/$value' } },
      instead: { $type: 'color', $ref: '#/base/blue/$value' },
      escaped: { $type: 'color', $value: { $ref: '#/base/a~1b~0c/$value' } },
      part: {
        $type: 'color',
        $value: {
          colorSpace: { $ref: '#/base/blue/$value/colorSpace' },
          components: [{ $ref: '#/base/blue/$value/components/0' }, 0, 0],
        },
      },
      border: {
        $type: 'border',
        $value: { width: px(1), style: 'solid', color: { $ref: '#/base/blue/$value' } },
      },
    });
    expect(leftOut).toEqual([]);
    for (const path of ['whole', 'value', 'instead'])
      expect(byPath.get(path)).toMatchObject({ alias: 'base.blue', value: color(0.1) });
    expect(byPath.get('escaped')).toMatchObject({ value: color(0.9) });
    expect(byPath.get('part')?.value).toEqual({ colorSpace: 'srgb', components: [0.1, 0, 0] });
    expect(byPath.get('part')?.alias).toBeUndefined();
    expect(byPath.get('part')?.parts).toEqual({
      '/colorSpace': { of: 'base.blue', at: '/colorSpace' },
      '/components/0': { of: 'base.blue', at: '/components/0' },
    });
    expect(byPath.get('border')?.value).toMatchObject({ color: color(0.1) });
  });

  test('that lead nowhere, in a circle, or out of the file are told', () => {
    const { byPath, leftOut } = tokensOf({
      $type: 'number',
      fine: { $value: 1 },
      nowhere: { $value: { $ref: '#/none/$value' } },
      round: { $value: { $ref: '#/trip/$value' } },
      trip: { $value: { $ref: '#/round/$value' } },
      out: { $value: { $ref: 'other.json#/a' } },
    });
    expect([...byPath.keys()]).toEqual(['fine']);
    expect(leftOut.map(({ path }) => path)).toEqual(['nowhere', 'round', 'trip', 'out']);
  });

  // RFC 6901, 5 and 6: its own examples, as they stand in a URI fragment.
  test('are read as RFC 6901 has them', () => {
    const document = {
      foo: ['bar', 'baz'],
      '': 0,
      'a/b': 1,
      'c%d': 2,
      'e^f': 3,
      'g|h': 4,
      'i\\j': 5,
      'k"l': 6,
      ' ': 7,
      'm~n': 8,
    };
    for (const [pointer, value] of [
      ['#', document],
      ['#/foo', ['bar', 'baz']],
      ['#/foo/0', 'bar'],
      ['#/', 0],
      ['#/a~1b', 1],
      ['#/c%25d', 2],
      ['#/e%5Ef', 3],
      ['#/g%7Ch', 4],
      ['#/i%5Cj', 5],
      ['#/k%22l', 6],
      ['#/%20', 7],
      ['#/m~0n', 8],
    ] as const)
      expect([pointer, valueThere(document, pointerParts(pointer) ?? ['none'])]).toEqual([
        pointer,
        value,
      ]);
    expect(pointerParts('#/%')).toBeUndefined();
    expect(pointerParts('a/b')).toBeUndefined();
    expect(valueThere({}, ['__proto__'])).toBeUndefined();
  });
});

describe('groups', () => {
  test('that extend another have its tokens, but for their own of the same name', () => {
    const { byPath, leftOut } = tokensOf({
      button: {
        $type: 'dimension',
        inset: { $value: px(8) },
        edge: { width: { $value: px(1) }, gap: { $value: px(2) } },
      },
      large: {
        $extends: '{button}',
        inset: { $value: px(16) },
        edge: { width: { $value: px(3) } },
      },
      larger: { $extends: '#/large', edge: { gap: { $value: '{large.edge.gap}' } } },
    });
    expect(leftOut).toEqual([]);
    expect(
      [
        'large.inset',
        'large.edge.width',
        'large.edge.gap',
        'larger.inset',
        'larger.edge.width',
      ].map((path) => byPath.get(path)?.value),
    ).toEqual([px(16), px(3), px(2), px(16), px(3)]);
    expect(byPath.get('larger.edge.gap')).toMatchObject({ value: px(2), alias: 'large.edge.gap' });
    // What a group has from another follows it.
    expect(byPath.get('large.edge.gap')).toMatchObject({ alias: 'button.edge.gap' });
    expect(byPath.get('large.edge.width')?.alias).toBeUndefined();
  });

  const extending: Tree = {
    $type: 'dimension',
    knob: {
      $description: 'What one presses',
      inset: { $value: px(8), $description: 'On all sides' },
      night: { $value: px(1), $extensions: { 'app.garnish': { modes: { dark: px(3) } } } },
      edge: { width: { $value: px(1), $deprecated: true }, gap: { $value: px(2) } },
      $root: { $value: px(7) },
    },
    large: { $extends: '{knob}', inset: { $value: px(16) }, edge: { width: { $value: px(3) } } },
    same: { $extends: '{large}' },
    more: { $extends: '{knob}', added: { $value: px(5) } },
  };
  const group = (type: string, from: Tree): Tree =>
    Object.fromEntries(
      Object.entries(from).map(([key, value]) => [
        key,
        typeof value !== 'object' || value === null || Array.isArray(value)
          ? value
          : '$value' in value
            ? { $type: type, ...value }
            : group(type, value as Tree),
      ]),
    );

  test('that extend another go out extending it, with their own tokens only', () => {
    const out = throughSystem(extending);
    for (const name of ['knob', 'large', 'same', 'more'])
      expect([name, out[name]]).toEqual([name, group('dimension', extending)[name]]);
    // And in and out again.
    const again = throughSystem({ knob: out['knob'] ?? null, large: out['large'] ?? null });
    expect(again['large']).toEqual(out['large']);
  });

  test('that have no longer all of the group that they extend have their tokens written out', () => {
    const document = sampleDocument();
    let count = 0;
    const taken = takeFile(document, JSON.stringify(extending), () => `t${(count += 1)}`);
    if (taken.kind !== 'tokens') throw new Error(JSON.stringify(taken));
    const full = patched(document, taken.patch);
    if (!full.ok) throw new Error(JSON.stringify(full.problems));
    const gone = customIdOf(full.document.tokens.custom, 'large.edge.gap');
    const less = patched(
      full.document,
      removingTokens(full.document.tokens.custom, new Set([gone ?? ''])),
    );
    if (!less.ok) throw new Error(JSON.stringify(less.problems));
    const out = JSON.parse(writeDtcg(derive(less.document), less.document)) as Tree;
    expect(out['large']).toMatchObject({
      inset: { $value: px(16) },
      night: { $value: '{knob.night}' },
      edge: { width: { $value: px(3) } },
    });
    expect(out['large']).not.toHaveProperty('$extends');
    expect(out['large']).not.toHaveProperty('edge.gap');
    // Another keeps what it had through the one that is gone.
    const { byPath } = tokensOf({ ...out, $extensions: {} });
    expect(byPath.get('same.edge.gap')?.value).toEqual(px(2));
    expect(byPath.get('more.edge.gap')?.alias).toBe('knob.edge.gap');
  });

  test('that extended themselves go out as they stand', () => {
    const document = sampleDocument();
    const taken = takeFile(
      document,
      '{"a":{"$extends":"{a}","b":{"$type":"number","$value":1}}}',
      () => 'only',
    );
    if (taken.kind !== 'tokens') throw new Error(JSON.stringify(taken));
    expect(taken.leftOut.map(({ path }) => path)).toEqual(['a']);
    const after = patched(document, taken.patch);
    if (!after.ok) throw new Error(JSON.stringify(after.problems));
    const out = JSON.parse(writeDtcg(derive(after.document), after.document)) as Tree;
    expect(out['a']).toEqual({ b: { $type: 'number', $value: 1 } });
  });

  test('that extend themselves, or what is no group, stand as they are and are told', () => {
    const { byPath, leftOut } = tokensOf({
      $type: 'number',
      one: { $extends: '{two}', a: { $value: 1 } },
      two: { $extends: '{one}', b: { $value: 2 } },
      three: { $extends: '{one.a}', c: { $value: 3 } },
      four: { $extends: 7, d: { $value: 4 } },
    });
    expect(leftOut.map(({ path }) => path).toSorted()).toEqual(['four', 'three', 'two']);
    for (const path of ['one.a', 'two.b', 'three.c', 'four.d']) expect(byPath.has(path)).toBe(true);
  });

  test('that double by extending at each level end in words', () => {
    const tree: Tree = { $type: 'number', g0: { a: { $value: 1 }, b: { $value: 2 } } };
    for (let level = 1; level < 40; level += 1)
      tree[`g${level}`] = {
        x: { $extends: `{g${level - 1}}` },
        y: { $extends: `{g${level - 1}}` },
      };
    const found = read(tree);
    expect(found.kind === 'problem' || (found.kind === 'tokens' && found.leftOut.length > 0)).toBe(
      true,
    );
  });

  test('have a value of their own, which is referred to by their name too', () => {
    const { byPath } = tokensOf({
      accent: { $type: 'color', $root: { $value: color(0.3) }, light: { $value: color(0.8) } },
      link: { $type: 'color', $value: '{accent}' },
      other: { $type: 'color', $value: '{accent.$root}' },
    });
    expect(byPath.get('accent.$root')?.value).toEqual(color(0.3));
    for (const path of ['link', 'other'])
      expect(byPath.get(path)).toMatchObject({ alias: 'accent.$root', value: color(0.3) });
  });

  test('say for all in them that they are deprecated, unless one says otherwise', () => {
    const { byPath } = tokensOf({
      $type: 'number',
      old: {
        $deprecated: 'Use new.',
        a: { $value: 1 },
        b: { $value: 2, $deprecated: true },
        c: { $value: 3, $deprecated: false },
      },
    });
    expect(['a', 'b', 'c'].map((name) => byPath.get(`old.${name}`)?.deprecated)).toEqual([
      'Use new.',
      true,
      undefined,
    ]);
  });
});

const number = fc.integer({ min: 0, max: 400 });
const share = fc.integer({ min: 0, max: 100 }).map((value) => value / 100);
const dimension = fc.record({ value: number, unit: fc.constantFrom('px', 'rem') });
const duration = fc.record({ value: number, unit: fc.constantFrom('ms', 's') });
const anyColor = fc.record({
  colorSpace: fc.constantFrom(
    ...['srgb', 'srgb-linear', 'display-p3', 'a98-rgb', 'prophoto-rgb', 'rec2020'],
    ...['hsl', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'xyz-d50', 'xyz-d65'],
  ),
  components: fc.tuple(
    fc.oneof(share, fc.constant('none')),
    fc.oneof(share, fc.constant('none')),
    share,
  ),
  alpha: share,
});
const curve = fc.tuple(share, share, share, share);
const shadow = fc.record({
  color: anyColor,
  offsetX: dimension,
  offsetY: dimension,
  blur: dimension,
  spread: dimension,
  inset: fc.boolean(),
});
const stroke = fc.oneof(
  fc.constantFrom('solid', 'dashed', 'dotted', 'double', 'groove', 'ridge', 'outset', 'inset'),
  fc.record({
    dashArray: fc.array(dimension, { minLength: 1, maxLength: 4 }),
    lineCap: fc.constantFrom('round', 'butt', 'square'),
  }),
);
/** Every type of the format with values of it. Source: Design Tokens Format Module 2025.10, types. */
const TYPES: Readonly<Record<string, fc.Arbitrary<unknown>>> = {
  color: anyColor,
  dimension,
  duration,
  number: share,
  fontWeight: fc.integer({ min: 1, max: 1000 }),
  fontFamily: fc.constantFrom('Literata', 'Archivo Narrow', ['Literata', 'Georgia', 'serif']),
  cubicBezier: curve,
  strokeStyle: stroke,
  border: fc.record({ color: anyColor, width: dimension, style: stroke }),
  transition: fc.record({ duration, delay: duration, timingFunction: curve }),
  shadow: fc.oneof(shadow, fc.array(shadow, { minLength: 1, maxLength: 3 })),
  gradient: fc.array(fc.record({ color: anyColor, position: share }), {
    minLength: 2,
    maxLength: 4,
  }),
  typography: fc.record({
    fontFamily: fc.constant('Literata'),
    fontSize: dimension,
    fontWeight: fc.constant(400),
    letterSpacing: dimension,
    lineHeight: share,
  }),
};

const token = fc.constantFrom(...Object.keys(TYPES)).chain((type) =>
  fc.record(
    {
      $type: fc.constant(type),
      $value: TYPES[type] ?? fc.constant(0),
      $description: fc.string({ minLength: 1, maxLength: 30 }),
      $deprecated: fc.oneof(fc.constant(true as const), fc.string({ minLength: 1, maxLength: 20 })),
    },
    { requiredKeys: ['$type', '$value'] },
  ),
);

describe('any tree of tokens', () => {
  test('comes in and goes out equal: types, values, aliases, descriptions, what is deprecated', () => {
    fc.assert(
      fc.property(
        fc.array(token, { minLength: 1, maxLength: 12 }),
        fc.array(fc.nat(11), { maxLength: 6 }),
        (tokens, aliased) => {
          const tree: Tree = {
            elsewhere: Object.fromEntries(tokens.map((one, at) => [`t${at}`, one as Tree])),
            again: Object.fromEntries(
              aliased.map((of, at) => {
                const target = of % tokens.length;
                return [
                  `a${at}`,
                  { $type: tokens[target]?.$type ?? '', $value: `{elsewhere.t${target}}` },
                ];
              }),
            ),
          };
          const { elsewhere, again } = throughSystem(tree);
          expect(elsewhere).toEqual(tree['elsewhere']);
          expect(again ?? {}).toEqual(tree['again']);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('with values of their own in dark goes out equal, and each theme has its own', () => {
    const inDark = (value: TokenJson): TokenJson => ({ 'app.garnish': { modes: { dark: value } } });
    const tree: Tree = {
      ink: {
        black: { $type: 'color', $value: color(0) },
        white: { $type: 'color', $value: color(1) },
        text: { $type: 'color', $value: '{ink.black}', $extensions: inDark('{ink.white}') },
        gap: { $type: 'dimension', $value: px(4), $extensions: inDark(px(6)) },
      },
    };
    expect(throughSystem(tree)['ink']).toEqual(tree['ink']);
    const { byPath } = tokensOf(tree);
    expect(byPath.get('ink.text')).toMatchObject({
      alias: 'ink.black',
      dark: { alias: 'ink.white', value: color(1) },
    });
  });

  test('keeps the references inside its values, whatever refers to what, in each theme', () => {
    const parts = fc.record({
      ink: anyColor,
      night: anyColor,
      line: dimension,
      blur: dimension,
      way: duration,
      curve,
      stroke: fc.constantFrom('solid', 'dotted'),
    });
    fc.assert(
      fc.property(parts, fc.boolean(), (own, isWhole) => {
        const ref = (name: string): string => `{base.${name}}`;
        const layer = {
          color: ref('ink'),
          offsetX: px(0),
          offsetY: ref('line'),
          blur: ref('blur'),
          spread: px(1),
        };
        const tree: Tree = {
          base: {
            ink: {
              $type: 'color',
              $value: own.ink as TokenJson,
              $extensions: { 'app.garnish': { modes: { dark: own.night as TokenJson } } },
            },
            line: { $type: 'dimension', $value: own.line },
            blur: { $type: 'dimension', $value: own.blur },
            way: { $type: 'duration', $value: own.way },
            curve: { $type: 'cubicBezier', $value: own.curve },
            stroke: { $type: 'strokeStyle', $value: own.stroke },
            cast: { $type: 'shadow', $value: { ...layer } },
          },
          made: {
            edge: {
              $type: 'border',
              $value: { color: ref('ink'), width: ref('line'), style: ref('stroke') },
            },
            move: {
              $type: 'transition',
              $value: {
                duration: ref('way'),
                delay: { value: 0, unit: 'ms' },
                timingFunction: ref('curve'),
              },
            },
            cast: { $type: 'shadow', $value: isWhole ? [ref('cast'), { ...layer }] : { ...layer } },
            run: {
              $type: 'gradient',
              $value: [
                { color: ref('ink'), position: 0 },
                { color: own.night as TokenJson, position: 1 },
              ],
            },
            again: { $type: 'border', $value: '{made.edge}' },
          },
        };
        const out = throughSystem(tree);
        expect(out['base']).toEqual(tree['base']);
        expect(out['made']).toEqual(tree['made']);
      }),
      { numRuns: 20 },
    );
  });

  test('keeps references to places in other values, and follows them', () => {
    const tree: Tree = {
      base: {
        'red/~1': {
          $type: 'color',
          $value: color(0.1),
          $extensions: { 'app.garnish': { modes: { dark: color(0.7) } } },
        },
        edge: { $type: 'border', $value: { color: color(0.4), width: px(2), style: 'solid' } },
        casts: {
          $type: 'shadow',
          $value: [
            { color: color(0), offsetX: px(1), offsetY: px(2), blur: px(3), spread: px(0) },
            { color: color(1), offsetX: px(4), offsetY: px(5), blur: px(6), spread: px(0) },
          ],
        },
      },
      made: {
        mixed: {
          $type: 'color',
          $value: {
            colorSpace: { $ref: '#/base/red~1~01/$value/colorSpace' },
            components: [{ $ref: '#/base/red~1~01/$value/components/0' }, 0, 0],
            alpha: 1,
          },
        },
        width: { $type: 'dimension', $value: { $ref: '#/base/edge/$value/width' } },
        line: {
          $type: 'border',
          $value: {
            color: '{base.red/~1}',
            width: { $ref: '#/base/casts/$value/1/blur' },
            style: { $ref: '#/base/edge/$value/style' },
          },
        },
      },
    };
    const out = throughSystem(tree);
    expect([out['base'], out['made']]).toEqual([tree['base'], tree['made']]);
    const document = sampleDocument();
    let count = 0;
    const taken = takeFile(document, JSON.stringify(tree), () => `t${(count += 1)}`);
    const after = taken.kind === 'tokens' ? patched(document, taken.patch) : undefined;
    if (!after?.ok) throw new Error('not taken');
    const values = (now: StyleDocument) => {
      const { tokenById } = derive(now);
      return ['made.mixed', 'made.width', 'made.line'].map((id) => [
        tokenById.get(id)?.values.light.css,
        tokenById.get(id)?.values.dark.css,
      ]);
    };
    expect(values(after.document)).toEqual([
      ['color(srgb 0.1 0 0)', 'color(srgb 0.7 0 0)'],
      ['2px', '2px'],
      ['6px solid var(--base-red-1)', '6px solid var(--base-red-1)'],
    ]);
    const { custom } = after.document.tokens;
    const edge = customIdOf(custom, 'base.edge') ?? '';
    const wider = patched(after.document, [
      { op: 'replace', path: `/tokens/custom/items/${edge}/value/width`, value: px(9) },
      ...renamingToken(custom, customIdOf(custom, 'base.casts') ?? '', 'base.thrown'),
    ]);
    if (!wider.ok) throw new Error(JSON.stringify(wider.problems));
    expect(values(wider.document)[1]).toEqual(['9px', '9px']);
    const renamed = JSON.parse(writeDtcg(derive(wider.document), wider.document)) as Tree;
    expect(renamed['made']).toMatchObject({
      line: { $value: { width: { $ref: '#/base/thrown/$value/1/blur' } } },
    });
    expect(derive(wider.document).trailOf('made.width')?.steps).toContain(
      'taken from {base.edge}/width',
    );
    // Without the token that it is taken from, a part keeps the value that it has.
    const left = patched(
      wider.document,
      removingTokens(wider.document.tokens.custom, new Set([edge])),
    );
    if (!left.ok) throw new Error(JSON.stringify(left.problems));
    expect(values(left.document)[1]).toEqual(['9px', '9px']);
  });

  test('writes them as custom properties, which follow their themes', () => {
    const document = sampleDocument();
    const taken = takeFile(
      document,
      JSON.stringify({
        base: {
          ink: {
            $type: 'color',
            $value: color(0),
            $extensions: { 'app.garnish': { modes: { dark: color(1) } } },
          },
          dashes: { $type: 'strokeStyle', $value: { dashArray: [px(2)], lineCap: 'butt' } },
        },
        edge: {
          $type: 'border',
          fine: { $value: { color: '{base.ink}', width: px(2), style: 'solid' } },
          dashed: { $value: { color: '{base.ink}', width: px(2), style: '{base.dashes}' } },
        },
      }),
      (() => {
        let count = 0;
        return () => `t${(count += 1)}`;
      })(),
    );
    if (taken.kind !== 'tokens') throw new Error(JSON.stringify(taken));
    // CSS has no single value for a border of dashes of its own.
    expect(taken.silent.map(({ path }) => path)).toEqual(['base.dashes', 'edge.dashed']);
    const after = patched(document, taken.patch);
    if (!after.ok) throw new Error(JSON.stringify(after.problems));
    const { tokenById } = derive(after.document);
    const edge = tokenById.get('edge.fine');
    expect(edge?.values.light.css).toBe('2px solid var(--base-ink)');
    expect(edge?.values.dark.css).toBe('2px solid var(--base-ink)');
    expect(tokenById.get('edge.dashed')?.values.light.css).toBeUndefined();
  });

  test('keeps what extensions of other makers say, beside ours', () => {
    const tree: Tree = {
      theirs: {
        plain: {
          $type: 'number',
          $value: 1,
          $extensions: { 'org.example.other': { id: 7, tags: ['a', { b: null }] } },
        },
        both: {
          $type: 'dimension',
          $value: px(4),
          $extensions: {
            'org.example.other': 'kept',
            'app.garnish': { modes: { dark: px(6) } },
          },
        },
        again: {
          $type: 'dimension',
          $value: '{theirs.both}',
          $extensions: { 'org.example.other': true },
        },
      },
    };
    expect(throughSystem(tree)['theirs']).toEqual(tree['theirs']);
    // A name that every object has is kept out, and does no harm.
    const odd = '{"a":{"$type":"number","$value":1,"$extensions":{"__proto__":{"x":1}}}}';
    const found = readDtcg(odd);
    expect(found).toMatchObject({ kind: 'tokens', tokens: [{ path: 'a', value: 1 }] });
    expect(({} as Record<string, unknown>)['x']).toBeUndefined();
  });

  test('with groups that say what they are for goes out equal', () => {
    const tree: Tree = {
      brand: {
        $description: 'Of the house',
        ink: { $description: 'For words', deep: { $type: 'number', $value: 1 } },
        paper: { $type: 'number', $value: 2, $description: 'A token of its own' },
      },
    };
    expect(throughSystem(tree)['brand']).toEqual(tree['brand']);
  });

  test('with a group that has a value of its own goes out equal', () => {
    const tree: Tree = {
      accent: {
        $root: { $type: 'number', $value: 1 },
        light: { $type: 'number', $value: 2 },
      },
      use: { $type: 'number', $value: '{accent.$root}' },
    };
    const { accent, use } = throughSystem(tree);
    expect([accent, use]).toEqual([tree['accent'], tree['use']]);
  });
});

describe('the files of single themes', () => {
  test.each<[string, 'light and dark' | 'dark first' | 'light only', readonly string[]]>([
    ['in two themes', 'light and dark', ['light', 'dark']],
    ['dark first', 'dark first', ['dark', 'light']],
    ['in one theme', 'light only', ['light']],
  ])(
    '%s have every token with its value there, and are named by the resolver',
    (_, themes, modes) => {
      const document = sampleDocument(
        themes === 'light and dark' ? [] : [{ op: 'add', path: '/color/themes', value: themes }],
      );
      const derived = derive(document);
      const { modifiers, resolutionOrder } = JSON.parse(writeResolver(derived, document)) as {
        modifiers: {
          theme: { contexts: Record<string, readonly { $ref: string }[]>; default: string };
        };
        resolutionOrder: readonly { $ref: string }[];
      };
      expect(resolutionOrder).toEqual([{ $ref: '#/modifiers/theme' }]);
      expect(Object.keys(modifiers.theme.contexts)).toEqual(modes);
      expect(modifiers.theme.default).toBe(modes[0]);
      for (const [at, mode] of modes.entries()) {
        const [{ $ref: file } = { $ref: '' }] = modifiers.theme.contexts[mode] ?? [];
        expect(file).toBe(THEME_FILES[at]);
        const text = writeDtcgTheme(derived, document, at === 0 ? 0 : 1);
        const { byPath, leftOut } = tokensOf(JSON.parse(text));
        expect(leftOut).toEqual([]);
        expect(byPath.size).toBe(derived.tokens.length);
        expect(text).not.toContain('"modes"');
        const page = byPath.get('color.page');
        expect(page?.value).toMatchObject({
          hex: derived.colors.get('page')?.colors[mode as 'light' | 'dark'],
        });
        expect(page?.alias).toBe(
          derived.tokenById.get('color.page')?.values[mode as 'light'].reference,
        );
      }
    },
  );
});
