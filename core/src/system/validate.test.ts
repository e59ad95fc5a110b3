import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isSame } from '../same.ts';
import { documentSchema, type StyleDocument } from './document.ts';
import { jsonOf, patched, valueAt, type Json, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';
import { isSound } from './sound.ts';
import { RULES, validate } from './validate.ts';

// What a family is measured at is long, and no change addresses it: here it is short.
const short = (role: 'heading' | 'text'): Patch => [
  { op: 'replace', path: `/fonts/roles/${role}/family/statics`, value: [] },
];
const document = sampleDocument([...short('heading'), ...short('text')]);

/** Every place of a value that holds no other, as JSON Pointers. */
const leavesOf = (value: unknown, path = ''): readonly string[] =>
  typeof value !== 'object' || value === null || Array.isArray(value)
    ? [path]
    : Object.entries(value).flatMap(([key, one]) =>
        leavesOf(one, `${path}/${key.replaceAll('~', '~0').replaceAll('/', '~1')}`),
      );

// Families are long lists of measurements of their own, which no change addresses one by one.
const LEAVES = leavesOf(document).filter((path) => !path.includes('/family/'));

const plain = (value: unknown): Json => jsonOf(JSON.parse(JSON.stringify(value)));

/** The same change on a copy that nothing is known of. */
function anew(before: StyleDocument, patch: Patch): unknown {
  const copy = plain(before) as Record<string, unknown>;
  for (const operation of patch) {
    const parts = operation.path.split('/').slice(1);
    const name = parts.pop() ?? '';
    const holder = parts.reduce<Record<string, unknown>>(
      (here, part) => here[part] as Record<string, unknown>,
      copy,
    );
    if (operation.op === 'remove') Reflect.deleteProperty(holder, name);
    else holder[name] = plain(operation.value);
  }
  return copy;
}

const words = (result: ReturnType<typeof validate> | ReturnType<typeof patched>) =>
  result.ok ? [] : result.problems.map(({ path, message }) => `${path}: ${message}`);

describe('a document of which a part has changed', () => {
  const leaf = fc.constantFrom(...LEAVES);
  const change = fc
    .tuple(leaf, leaf, fc.constantFrom('other', 'odd', 'gone'))
    .map(([path, from, kind]): Patch =>
      kind === 'gone'
        ? [{ op: 'remove', path }]
        : [{ op: 'replace', path, value: kind === 'odd' ? -7 : plain(valueAt(document, from)) }],
    );

  test('is judged as if it had never been seen, whatever it came through', () => {
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 6 }), (changes) => {
        let here = document;
        for (const wanted of changes) {
          // A place that a change before has taken away is added, not replaced.
          const patch = wanted.flatMap((one): Patch => {
            if (valueAt(here, one.path) !== undefined) return [one];
            return one.op === 'remove' ? [] : [{ ...one, op: 'add' }];
          });
          const known = patched(here, patch);
          const fresh = validate(anew(here, patch));
          expect(words(known)).toEqual(words(fresh));
          if (known.ok) here = known.document;
        }
      }),
      { numRuns: 250 },
    );
  });
});

describe('what is remembered of a form', () => {
  test('is forgotten where a value can still change', () => {
    const open = { from: 10, to: 20 };
    const { line } = documentSchema.shape.brief.shape;
    expect(isSound(line, open)).toBe(true);
    open.to = -1;
    expect(isSound(line, open)).toBe(false);
  });

  test('holds for that form alone', () => {
    const frozen = Object.freeze({ from: 10, to: 20 });
    expect(isSound(documentSchema.shape.brief.shape.line, frozen)).toBe(true);
    expect(isSound(documentSchema.shape.fonts, frozen)).toBe(false);
  });

  test('tells orders that name too much, too little or a thing twice', () => {
    const { anchors } = documentSchema.shape.type.shape;
    const anchor = { width: 360, base: 16, ratio: 1.2 };
    expect(isSound(anchors, { order: ['one'], items: { one: anchor } })).toBe(true);
    for (const order of [[], ['one', 'one'], ['one', 'two'], ['two']])
      expect(isSound(anchors, { order, items: { one: anchor } })).toBe(false);
    expect(isSound(anchors, { order: ['one'], items: { one: anchor }, more: 1 })).toBe(false);
    expect(isSound(anchors, { items: {} })).toBe(false);
  });
});

test.each(RULES.map((rule, index) => [index, rule] as const))(
  'rule %i reads parts of the document, the same each time',
  (_, { reads }) => {
    expect(reads(document).length).toBeGreaterThan(0);
    expect(isSame(reads(document), reads(document))).toBe(true);
  },
);
