import { expect, test } from '@jest/globals';
import { stacksOf, type Past } from './history.ts';

let sequence = 0;
const change = (label: string, more: Partial<Past> = {}): Past => ({
  author: 'me',
  gesture: label,
  kind: 'change',
  label,
  inverse: [{ op: 'replace', path: '/name', value: label }],
  sequence: (sequence += 1),
  ...more,
});

const labels = (changes: readonly Past[]) => {
  const { undo, redo } = stacksOf(changes, 'me');
  return { undo: undo.map(({ label }) => label), redo: redo.map(({ label }) => label) };
};

test('what one did oneself can be undone, last first; what others did cannot', () => {
  expect(labels([change('a'), change('b', { author: 'other' }), change('c')])).toEqual({
    undo: ['a', 'c'],
    redo: [],
  });
});

test('what was undone can be done again, until something new is done', () => {
  const undone = [change('a'), change('b'), change('b', { kind: 'undo' })];
  expect(labels(undone)).toEqual({ undo: ['a'], redo: ['b'] });
  expect(labels([...undone, change('b', { kind: 'redo' })])).toEqual({
    undo: ['a', 'b'],
    redo: [],
  });
  expect(labels([...undone, change('c')])).toEqual({ undo: ['a', 'c'], redo: [] });
});

test('the changes of one gesture are one step, undone in reverse', () => {
  const { undo } = stacksOf(
    [change('first', { gesture: 'drag' }), change('second', { gesture: 'drag' })],
    'me',
  );
  expect(undo).toHaveLength(1);
  expect(undo[0]?.patch.map((operation) => 'value' in operation && operation.value)).toEqual([
    'second',
    'first',
  ]);
});

test('a gesture after an undo does not melt into the one before it', () => {
  const { undo } = stacksOf(
    [change('a', { gesture: 'one' }), change('b', { gesture: 'two' })],
    'me',
  );
  expect(undo).toHaveLength(2);
});
