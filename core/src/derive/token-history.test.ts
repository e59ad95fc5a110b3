import { expect, test } from '@jest/globals';
import { atOnce } from '../once.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { derive } from './derive.ts';
import { tokenHistory, type PastChange } from './token-history.ts';

/** A system with what was done to it, one change after the other. */
function changed(...patches: readonly (readonly [label: string, patch: Patch])[]) {
  const changes: PastChange[] = [];
  let document: StyleDocument = sampleDocument();
  for (const [at, [label, patch]] of patches.entries()) {
    const result = patched(document, patch);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    ({ document } = result);
    changes.push({
      label,
      at: new Date(at * 1000).toISOString(),
      author: 'me',
      inverse: result.inverse,
    });
  }
  return { document, changes };
}
const page = (value: string): Patch => [
  { op: 'replace', path: '/color/roles/items/page/light', value: { kind: 'own', value } },
];

test('a token is told from now backwards, change by change, and only where it said something else', () => {
  const { document, changes } = changed(
    ['page red', page('#ff0000')],
    ['name', [{ op: 'replace', path: '/name', value: 'Another' }]],
    ['page blue', page('#0000ff')],
  );
  const before = derive(sampleDocument()).tokenById.get('color.page')?.values.light;
  const { steps, isWhole } = atOnce(tokenHistory(document, changes, 'color.page'));
  expect(isWhole).toBe(true);
  expect(steps.map(({ label, before: was, after }) => [label, was?.light, after?.light])).toEqual([
    ['page blue', '#ff0000', '#0000ff'],
    [
      'page red',
      before?.reference === undefined ? before?.css : `{${before.reference}}`,
      '#ff0000',
    ],
  ]);
});

test('of a token that was made, or went, nothing stands on the other side', () => {
  const item = { path: 'mine.one', type: 'number', value: 1 };
  const { document, changes } = changed(
    [
      'made',
      [{ op: 'replace', path: '/tokens/custom', value: { order: ['a'], items: { a: item } } }],
    ],
    ['two', [{ op: 'replace', path: '/tokens/custom/items/a/value', value: 2 }]],
    ['gone', [{ op: 'replace', path: '/tokens/custom', value: { order: [], items: {} } }]],
  );
  const { steps } = atOnce(tokenHistory(document, changes, 'mine.one'));
  expect(steps.map(({ before, after }) => [before?.light, after?.light])).toEqual([
    ['2', undefined],
    ['1', '2'],
    [undefined, '1'],
  ]);
});

test('ends where a change cannot be gone back over, and says so', () => {
  const { document, changes } = changed(['page red', page('#ff0000')]);
  const broken: PastChange = {
    label: 'old',
    at: '',
    author: '',
    inverse: [{ op: 'replace', path: '/nothing/here', value: 1 }],
  };
  const { steps, isWhole } = atOnce(tokenHistory(document, [broken, ...changes], 'color.page'));
  expect(steps).toHaveLength(1);
  expect(isWhole).toBe(false);
});
