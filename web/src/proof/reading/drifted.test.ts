/** @jest-environment jsdom */
import type { DriftRow } from '@garnish/core/reading/drift';
import { seenElement } from '@garnish/core/reading/seen-element';
import { afterEach, expect, test } from '@jest/globals';
import { driftedOn } from './drifted.ts';
import type { Sight } from './look.ts';

afterEach(() => {
  document.body.innerHTML = '';
});

const row = (match: DriftRow['match'], ...selectors: readonly string[]): DriftRow => ({
  ...{ kind: 'space', match, value: '9px', theme: 'light', isTaken: false },
  places: selectors.map((selector, index) => ({
    ...{ file: 'a.css', line: index + 1, selector, within: [], property: 'padding' },
    ...{ from: index, to: index },
  })),
});

/** A page of 160 by 160 px with two things in it, one over the other by half. */
function sight(): Sight {
  document.body.innerHTML = '<div class="a"></div><div class="b"></div><p></p>';
  const boxes = [
    { left: 0, top: 0, width: 160, height: 160 },
    { left: 0, top: 0, width: 80, height: 80 },
    { left: 0, top: 32, width: 80, height: 96 },
  ];
  return [...document.querySelectorAll('body, div')].map(
    (element, index) => [element, seenElement(boxes[index] && { box: boxes[index] })] as const,
  );
}

test('how much of a page wears what is not the system’s, no part of it counted twice', () => {
  const near = row('near', '.a:hover', '.a');
  const foreign = row('foreign', '.b', '.nowhere', '..nonsense');
  const equal = row('equal', 'body');
  const { count, of, area, byRow } = driftedOn(document, sight(), { rows: [near, foreign, equal] });
  expect([count, of]).toEqual([2, 3]);
  // 80 × 80, 80 × 96 and what both cover, 80 × 48, of 160 × 160.
  expect(byRow.get(near)).toBe(0.25);
  expect(byRow.get(foreign)).toBe(0.3);
  expect(area).toBe(0.4);
  expect(byRow.has(equal)).toBe(false);
});

test('what is not shown covers nothing; an empty page has nothing that could drift', () => {
  const hidden = row('near', 'p');
  expect(driftedOn(document, sight(), { rows: [hidden] }).byRow.size).toBe(0);
  expect(driftedOn(document, [], { rows: [hidden] })).toMatchObject({ count: 0, of: 0, area: 0 });
});
