import { expect, test } from '@jest/globals';
import { contestedPaths, outermost } from './contest.ts';
import type { Patch } from './patch.ts';

const write = (...paths: readonly string[]): Patch =>
  paths.map((path) => ({ op: 'add', path, value: 1 }));

const others = (...changes: readonly (readonly [sequence: number, ...paths: string[]])[]) =>
  changes.map(([sequence, ...paths]) => ({ sequence, patch: write(...paths) }));

test('a place is contested by the same, one around it and one within it, and by no other', () => {
  const asked = (mine: string, theirs: string) =>
    contestedPaths({ patch: write(mine), settled: [] }, others([4, theirs]));
  for (const theirs of ['/space/unit', '/space', '/space/unit/deep'])
    expect(asked('/space/unit', theirs)).toEqual(['/space/unit']);
  for (const theirs of ['/space/units', '/space/uni', '/type'])
    expect(asked('/space/unit', theirs)).toEqual([]);
});

test('what was settled is contested only by what came after', () => {
  const settled = [{ path: '/space/unit', sequence: 5 }];
  const claim = { patch: write('/space/unit', '/name'), settled };
  expect(contestedPaths(claim, others([5, '/space/unit', '/name']))).toEqual(['/name']);
  expect(contestedPaths(claim, others([6, '/space/unit']))).toEqual(['/space/unit']);
});

test('a place within another is asked about with that one, and each once', () => {
  expect(outermost(['/a/b', '/a', '/ab', '/a/b', '/c/d'])).toEqual(['/a', '/ab', '/c/d']);
});
