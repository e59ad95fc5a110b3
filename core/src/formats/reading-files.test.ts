import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { deriveCustomTokens } from '../derive/custom.ts';
import { sampleDocument } from '../system/sample.ts';
import { THEME_FILES, writeDtcg, writeDtcgTheme, writeResolver } from './dtcg.ts';
import { readFiles, type TextFile } from './reading-files.ts';

const file = (name: string, content: unknown): TextFile => ({
  name,
  text: typeof content === 'string' ? content : JSON.stringify(content),
});
function tokensOf(...files: readonly TextFile[]) {
  const read = readFiles(files);
  if (read.kind !== 'tokens') throw new Error(JSON.stringify(read));
  return { ...read, byPath: new Map(read.tokens.map((token) => [token.path, token])) };
}
const number = (value: unknown) => ({ $type: 'number', $value: value });

describe('several files', () => {
  test('are one: references lead from one to the other, groups stand together, the last counts', () => {
    const { byPath, leftOut, groups } = tokensOf(
      file('base.json', { a: { $description: 'First', one: number(1), two: number(2) } }),
      file('more/own.json', { a: { two: number(3) }, b: { ref: number('{a.one}') } }),
      file('look.css', ':root { --gap: 8px; --pad: var(--gap); }'),
    );
    expect(leftOut).toEqual([]);
    expect(byPath.get('a.two')?.value).toBe(3);
    expect(byPath.get('b.ref')).toMatchObject({ alias: 'a.one', value: 1 });
    expect(byPath.get('pad')).toMatchObject({ alias: 'gap', type: 'dimension' });
    expect(groups).toEqual([{ path: 'a', text: 'First' }]);
  });

  test('what cannot be read is named, and the rest comes in', () => {
    const { byPath, leftOut } = tokensOf(
      file('base.json', { a: number(1) }),
      file('broken.json', '{"a": '),
      file('list.json', '[1]'),
      file('deep.json', `${'{"a":'.repeat(60)}1${'}'.repeat(60)}`),
    );
    expect([...byPath.keys()]).toEqual(['a']);
    expect(leftOut.map(({ path }) => path)).toEqual(['broken.json', 'list.json', 'deep.json']);
  });

  test('names that every object has do no harm in any of them', () => {
    const { byPath, leftOut } = tokensOf(
      file(
        'one.json',
        '{"a":{"__proto__":{"$type":"number","$value":1}},"b":{"$type":"number","$value":2}}',
      ),
      file(
        'two.json',
        '{"a":{"__proto__":{"$type":"number","$value":3}},"constructor":{"$type":"number","$value":4}}',
      ),
    );
    expect([...byPath.keys()]).toEqual(['b']);
    expect(leftOut.map(({ path }) => path).toSorted()).toEqual(['a.__proto__', 'constructor']);
    expect(({} as Record<string, unknown>)['$value']).toBeUndefined();
  });

  test('one from Garnish gives the whole system back', () => {
    const document = sampleDocument();
    const read = readFiles([
      file('tokens.json', writeDtcg(derive(document), document)),
      file('tokens.css', ':root { --a: 1px }'),
    ]);
    expect(read.kind).toBe('system');
  });

  test('far too many are refused in words', () => {
    const many = Array.from({ length: 1001 }, (_, at) => file(`${at}.json`, '{'));
    expect(readFiles(many)).toEqual({
      kind: 'problem',
      message: 'These are 1,001 files; 1,000 is the most.',
    });
  });

  test('without any token are a problem in words', () => {
    expect(readFiles([])).toMatchObject({ kind: 'problem' });
    expect(readFiles([file('a.json', '{'), file('b.json', '{}')])).toMatchObject({
      kind: 'problem',
      message: expect.stringContaining('a.json') as unknown,
    });
  });

  test('in any parts say what one file says', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 99 }), { minLength: 2, maxLength: 12 }),
        fc.array(fc.nat(2), { minLength: 12, maxLength: 12 }),
        (values, places) => {
          const token = (value: number, at: number) =>
            at === 0 ? number(value) : number(`{g${(at - 1) % 2}.t${at - 1}}`);
          const tree = (isIn: (at: number) => boolean) => {
            const groups: Record<string, Record<string, unknown>> = {};
            values.forEach((value, at) => {
              if (isIn(at)) (groups[`g${at % 2}`] ??= {})[`t${at}`] = token(value, at);
            });
            return groups;
          };
          const whole = tokensOf(
            file(
              'all.json',
              tree(() => true),
            ),
          );
          const parts = [0, 1, 2].map((part) =>
            file(
              `part-${part}.json`,
              tree((at) => places[at] === part),
            ),
          );
          const { byPath, leftOut } = tokensOf(...parts);
          expect(leftOut).toEqual([]);
          expect(byPath).toEqual(
            new Map([...byPath.keys()].map((path) => [path, whole.byPath.get(path)])),
          );
          expect(byPath.size).toBe(values.length);
        },
      ),
    );
  });
});

describe('a resolver document', () => {
  test.each(['light and dark', 'dark first'] as const)(
    'puts the files of the themes together, as we write them: %s',
    (themes) => {
      const document = sampleDocument(
        themes === 'light and dark' ? [] : [{ op: 'add', path: '/color/themes', value: themes }],
      );
      const derived = derive(document);
      const { tokens, leftOut } = tokensOf(
        file('out/tokens.resolver.json', writeResolver(derived, document)),
        ...THEME_FILES.map((name, at) =>
          file(`out/${name}`, writeDtcgTheme(derived, document, at === 0 ? 0 : 1)),
        ),
      );
      expect(leftOut).toEqual([]);
      const items = Object.fromEntries(tokens.map((token) => [token.path, token]));
      const read = new Map(
        deriveCustomTokens({ custom: { order: Object.keys(items), items } }).map((token) => [
          token.id,
          token,
        ]),
      );
      for (const { id, type, values } of derived.tokens)
        if (type === 'color')
          for (const mode of ['light', 'dark'] as const)
            expect([id, mode, read.get(id)?.values[mode].json]).toEqual([
              id,
              mode,
              values[mode].json,
            ]);
    },
  );

  test('of sets and modifiers with parts of its own is followed; a file that is missing is told', () => {
    const { byPath, leftOut } = tokensOf(
      file('site.resolver.json', {
        version: '2025.10',
        sets: { base: { sources: [{ $ref: 'base.json' }, { $ref: 'gone.json' }] } },
        modifiers: {
          theme: {
            contexts: { day: [], dark: [{ ink: number(9) }] },
            default: 'day',
          },
        },
        resolutionOrder: [{ $ref: '#/sets/base' }, { $ref: '#/modifiers/theme' }],
      }),
      file('base.json', { ink: number(1), paper: number(2) }),
    );
    expect(byPath.get('ink')).toMatchObject({ value: 1, dark: { value: 9 } });
    expect(byPath.get('paper')).not.toHaveProperty('dark');
    expect(new Set(leftOut.map(({ path }) => path))).toEqual(new Set(['gone.json']));
  });

  test('that leads to itself ends', () => {
    const read = readFiles([
      file('a.resolver.json', {
        sets: { one: { sources: [{ $ref: '#/sets/one' }] } },
        resolutionOrder: [{ $ref: '#/sets/one' }],
      }),
      file('base.json', { ink: number(1) }),
    ]);
    expect(read.kind).toBe('problem');
  });
});
