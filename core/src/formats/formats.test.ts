import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { deriveCustomTokens } from '../derive/custom.ts';
import { derive } from '../derive/derive.ts';
import { findingsOf } from '../checks/checks.ts';
import { weightsOf } from '../fonts/family.ts';
import { LOCAL_FAMILIES } from '../fonts/local-families.ts';
import { jsonOf, patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { writeCss } from './css.ts';
import { EXTENSION, writeDtcg } from './dtcg.ts';
import { readDtcg } from './read-dtcg.ts';

const document = sampleDocument();
const derived = derive(document);
const css = writeCss(derived);
const json = writeDtcg(derived, document);

describe('the style sheet', () => {
  test('defines every custom property that it uses', () => {
    const defined = new Set([...css.matchAll(/^\s*(--[\w-]+):/gm)].map(([, name]) => name));
    const used = [...css.matchAll(/var\((--[\w-]+)\)/g)].map(([, name]) => name);
    expect(used.length).toBeGreaterThan(50);
    for (const name of used) expect(defined).toContain(name);
  });

  test('has a class for every text role, and asks for no weight that the files lack', () => {
    for (const { slug } of derived.styles.values()) expect(css).toContain(`.type-${slug} {`);
    expect(css).toContain('font-synthesis: none;');
    for (const { slug, family, weight } of derived.styles.values()) {
      expect(css).toContain(`--type-${slug}-weight: ${weight};`);
      expect([slug, weightsOf(family)]).toEqual([slug, expect.arrayContaining([weight])]);
    }
  });

  test('names its font files by their hashes, beside itself', () => {
    const files = [...css.matchAll(/url\("([^"]+)"\)/g)]
      .map(([, file]) => file)
      .filter((file) => file?.startsWith('data:') === false);
    expect(files.length).toBe(derived.faces.flatMap((face) => face.files).length);
    for (const file of files) expect(file).toMatch(/^fonts\/[a-z0-9-]+\.[0-9a-f]{12}\.woff2$/);
  });

  test('of local fonts loads nothing, and fits no stand-in', () => {
    const [local] = LOCAL_FAMILIES;
    const bare = sampleDocument(
      (['heading', 'text'] as const).map((face) => ({
        op: 'replace',
        path: `/fonts/roles/${face}/family`,
        value: jsonOf(local),
      })),
    );
    const sheet = writeCss(derive(bare));
    expect(sheet).not.toContain('@font-face');
    expect(sheet).toContain('--face-text: system-ui, sans-serif;');
    expect(findingsOf(bare, derive(bare))).toEqual([]);
  });

  test('says the dark theme twice: by preference, and by attribute', () => {
    expect(css).toContain('@media (prefers-color-scheme: dark)');
    expect(css).toContain(':root:not([data-theme="light"])');
    expect(css).toContain(':root[data-theme="dark"]');
  });

  test('takes nothing but slugs from the names of things, whatever they are', () => {
    // Every place of the sample that is a name of something.
    const named: string[] = [];
    const look = (value: unknown, path: string): void => {
      if (typeof value !== 'object' || value === null) return;
      for (const [key, part] of Object.entries(value)) {
        const at = `${path}/${key}`;
        if (key === 'name' && typeof part === 'string' && !path.includes('/family')) named.push(at);
        else look(part, at);
      }
    };
    for (const part of ['color', 'type', 'space', 'layout'] as const)
      look(document[part], `/${part}`);
    expect(named.length).toBeGreaterThan(60);
    const name = fc
      .array(fc.constantFrom(...'{}*/<>"\\:;()@a é'.split(''), '*/ </style>', '} red {'), {
        minLength: 1,
        maxLength: 8,
      })
      .map((signs) => signs.join('').trim().slice(0, 40))
      .filter((text) => text !== '');
    const changed = writeCss(derived);
    fc.assert(
      fc.property(fc.constantFrom(...named), name, (path, value) => {
        const result = patched(document, [{ op: 'replace', path, value }]);
        if (!result.ok) return;
        const sheet = writeCss(derive(result.document));
        const shape = (text: string): string => text.replaceAll(/[\w-]+/g, '');
        expect([path, value, shape(sheet)]).toEqual([path, value, shape(changed)]);
      }),
      { numRuns: 40 },
    );
  });
});

type Node = { readonly [key: string]: unknown };
const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function* tokensIn(node: Node, path: readonly string[] = []): Generator<readonly [string, Node]> {
  if ('$value' in node) yield [path.join('.'), node];
  for (const [key, child] of Object.entries(node))
    if (!key.startsWith('$') && isNode(child)) yield* tokensIn(child, [...path, key]);
}

describe('the token file', () => {
  const root: unknown = JSON.parse(json);
  if (!isNode(root)) throw new Error('not an object');
  const tokens = [...tokensIn(root)];
  const byPath = new Map(tokens);

  test('has every token, with a type of the format', () => {
    // Design Tokens Community Group, Format Module 2025.10, types.
    const types = [
      ...['color', 'dimension', 'fontFamily', 'fontWeight', 'number', 'typography'],
      ...['shadow', 'border', 'duration', 'cubicBezier'],
    ];
    expect(tokens.length).toBe(derived.tokens.length);
    for (const [, token] of tokens) expect(types).toContain(token['$type']);
  });

  test('without its decisions still says every length, shadow, border and movement, as the same CSS', () => {
    const document = sampleDocument([
      {
        op: 'replace',
        path: '/space/roles/items/section/value',
        value: { kind: 'step', step: 'xl', at: { wide: 'xxl' } },
      },
      {
        op: 'replace',
        path: '/space/roles/items/inset/value',
        value: { kind: 'shrinking', form: 'min', fixed: { value: 5, unit: 'em' }, share: 8 },
      },
    ]);
    const own = derive(document);
    const file = JSON.parse(writeDtcg(own, document)) as { $extensions?: unknown };
    delete file.$extensions;
    const read = readDtcg(JSON.stringify(file));
    if (read.kind !== 'tokens') throw new Error(read.kind);
    expect(read.leftOut).toEqual([]);
    const custom = { order: read.tokens.map((_, at) => `t${at}`), items: {} };
    const items = Object.fromEntries(read.tokens.map((token, at) => [`t${at}`, token]));
    const taken = new Map(
      deriveCustomTokens({ custom: { ...custom, items } }).map((token) => [token.id, token]),
    );
    const types = ['dimension', 'number', 'duration', 'cubicBezier', 'shadow', 'border'];
    // A color with its opacity is written in another way.
    const plain = (css = ''): string => css.replaceAll(/(rgb|color)\([^)]*\)/g, 'color');
    for (const { id, type, values } of own.tokens) {
      if (!types.includes(type)) continue;
      const { css, reference } = taken.get(id)?.values.light ?? {};
      // What is taken from another token is written as that token, whatever it says.
      expect([id, reference]).toEqual([id, values.light.reference]);
      if (reference !== undefined) continue;
      if (id.startsWith('picture.')) expect(Number(css)).toBeGreaterThan(0);
      else expect([id, plain(css)]).toEqual([id, plain(values.light.css)]);
    }
  });

  test('has no token inside a token, and no name that the format forbids', () => {
    for (const [path, token] of tokens) {
      expect(path).not.toMatch(/[{}$]/);
      for (const key of Object.keys(token)) expect(key.startsWith('$')).toBe(true);
    }
  });

  test('has only references that lead somewhere', () => {
    const references = [...json.matchAll(/"\{([^}"]+)\}"/g)].map(([, path]) => path ?? '');
    expect(references.length).toBeGreaterThan(40);
    for (const path of references) expect(byPath.has(path)).toBe(true);
  });

  test('writes colors and dimensions as objects', () => {
    // The same, Color Module and the type dimension.
    expect(byPath.get('palette.brand.1')?.['$value']).toMatchObject({
      colorSpace: 'srgb',
      alpha: 1,
    });
    expect(byPath.get('step.m')?.['$value']).toEqual({ value: 1, unit: 'rem' });
  });

  test('carries what the format cannot say under a key of its own', () => {
    const extension = byPath.get('scale.up-5')?.['$extensions'];
    expect(extension).toMatchObject({ [EXTENSION]: { value: { fluid: { unit: 'vi' } } } });
    expect(byPath.get('color.text')?.['$extensions']).toMatchObject({
      [EXTENSION]: { modes: { dark: '{palette.gray.2}' } },
    });
  });

  test('says why the faces were chosen', () => {
    const told = sampleDocument([
      {
        op: 'replace',
        path: '/fonts/reasons',
        value: { because: ['fits the mood', 'few bytes'], note: 'As on the boats.' },
      },
    ]);
    expect(JSON.parse(writeDtcg(derive(told), told))).toMatchObject({
      face: { text: { $description: 'fits the mood, few bytes. As on the boats.' } },
    });
  });

  test('gives all decisions back', () => {
    expect(readDtcg(json)).toEqual({ kind: 'system', document });
  });
});

describe('a token file from elsewhere', () => {
  const read = (value: unknown) => readDtcg(JSON.stringify(value));

  test('gives its tokens, types inherited and references followed', () => {
    const result = read({
      brand: {
        $type: 'color',
        red: { $value: { colorSpace: 'srgb', components: [1, 0, 0], hex: '#ff0000' } },
        main: { $value: '{brand.red}', $description: 'the first choice' },
      },
    });
    expect(result).toMatchObject({
      kind: 'tokens',
      leftOut: [],
      tokens: [
        { path: 'brand.red', type: 'color' },
        { path: 'brand.main', alias: 'brand.red', description: 'the first choice' },
      ],
    });
  });

  test('leaves out what it cannot follow, and says why', () => {
    const result = read({
      a: { $type: 'number', one: { $value: '{a.two}' }, two: { $value: '{a.one}' } },
      b: { $type: 'number', $value: '{gone}' },
      c: { $value: 4 },
    });
    expect(result).toMatchObject({ kind: 'tokens', tokens: [] });
    expect(result.kind === 'tokens' && result.leftOut.map(({ path }) => path)).toEqual([
      'a.one',
      'a.two',
      'b',
      'c',
    ]);
  });

  test('brings its custom properties into the style sheet', () => {
    const imported = sampleDocument([
      {
        op: 'replace',
        path: '/tokens/custom',
        value: {
          order: ['one', 'two'],
          items: {
            one: { path: 'motion.quick', type: 'duration', value: { value: 120, unit: 'ms' } },
            two: {
              path: 'motion.usual',
              type: 'duration',
              alias: 'motion.quick',
              value: { value: 120, unit: 'ms' },
            },
          },
        },
      },
    ]);
    const sheet = writeCss(derive(imported));
    expect(sheet).toContain('--motion-quick: 120ms;');
    expect(sheet).toContain('--motion-usual: var(--motion-quick);');
  });

  test.each(['', 'no json', '[]', '{}', '42', '{"a":{"b":1}}'])(
    '“%s” is a problem in words',
    (text) => {
      expect(readDtcg(text).kind).toBe('problem');
    },
  );

  test('of any form at all never throws', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        readDtcg(text);
      }),
    );
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        readDtcg(JSON.stringify({ group: { $type: 'color', token: { $value: value } } }));
      }),
    );
  });

  test('that claims to be ours but holds broken decisions is refused', () => {
    const result = read({ $extensions: { [EXTENSION]: { decisions: { schema: 1 } } } });
    expect(result.kind).toBe('problem');
  });
});

describe('a hostile token file', () => {
  const inherited = Object.getOwnPropertyNames(Object.prototype);

  test('with groups, names, types and values that every object has changes no object', () => {
    const before = [Object.prototype, Function.prototype].map((one) =>
      Object.getOwnPropertyNames(one),
    );
    for (const name of inherited) {
      const token = `{"$type": "number", "$value": 1}`;
      for (const text of [
        `{"${name}": ${token}, "fine": ${token}}`,
        `{"${name}": {"a": ${token}}, "fine": ${token}}`,
        `{"a": {"${name}": {"b": ${token}}}, "fine": ${token}}`,
        `{"a": {"$type": "${name}", "$value": 1}, "fine": ${token}}`,
        `{"$type": "${name}", "a": {"$value": 1}, "fine": ${token}}`,
        `{"a": {"$type": "shadow", "$value": {"${name}": 1}}, "fine": ${token}}`,
        `{"a": {"$type": "x", "$value": 1, "$extensions": {"${name}": {"x": 1}}}, "fine": ${token}}`,
      ]) {
        const read = readDtcg(text);
        if (read.kind !== 'tokens') throw new Error(JSON.stringify(read));
        expect(read.tokens.map(({ path }) => path)).toContain('fine');
        const custom = {
          order: read.tokens.map((_, index) => `t${index}`),
          items: Object.fromEntries(read.tokens.map((one, index) => [`t${index}`, one])),
        };
        const document = sampleDocument([
          { op: 'replace', path: '/tokens/custom', value: jsonOf(custom) },
        ]);
        const derived = derive(document);
        writeCss(derived);
        expect(JSON.parse(writeDtcg(derived, document))).toHaveProperty('fine');
      }
    }
    const after = [Object.prototype, Function.prototype].map((one) =>
      Object.getOwnPropertyNames(one),
    );
    expect(after).toEqual(before);
  });

  test('whose references double at each level is left out with a reason, the rest is taken', () => {
    const levels = Array.from({ length: 30 }, (_, level): [string, unknown] => [
      `l${level}`,
      { $type: 'x', $value: [`{l${level + 1}}`, `{l${level + 1}}`] },
    ]);
    const file = { ...Object.fromEntries(levels), l30: { $type: 'number', $value: 1 } };
    const read = readDtcg(JSON.stringify(file));
    if (read.kind !== 'tokens') throw new Error('no tokens');
    expect(read.tokens.map(({ path }) => path)).toContain('l30');
    expect(read.leftOut.find(({ path }) => path === 'l0')?.reason).toMatch(/too large/);
  });

  test('of a million empty lists, or of lists in lists, is refused in words', () => {
    const wide = `{"a": {"$type": "x", "$value": [${'[],'.repeat(1_000_000)}[]]}}`;
    const deep = `{"a": {"$type": "x", "$value": ${'['.repeat(100_000)}${']'.repeat(100_000)}}}`;
    for (const text of [wide, deep])
      expect(JSON.stringify(readDtcg(text)).slice(0, 200)).toMatch(
        /^\{"kind":"problem".*cannot be taken/,
      );
  });
});
