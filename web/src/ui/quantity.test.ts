import { expect, test } from '@jest/globals';
import { PX_UNITS, readQuantity, unitsOf } from './quantity.ts';

test.each([
  ['17', 17],
  ['17 px', 17],
  ['1.5rem', 24],
  ['1,5rem', 24],
  ['17 + 1', 18],
  ['(2 + 3) * 4', 20],
  ['2 + 3 * 4', 14],
  ['1rem - 2px', 14],
  ['-4 + 20', 16],
  ['4/3', 4 / 3],
  ['4:3', 4 / 3],
  ['.5rem', 8],
  ['12pt', 16],
])('%s is %d px', (text, value) => {
  const read = readQuantity(text, PX_UNITS);
  expect(read.ok && read.value).toBeCloseTo(value, 10);
});

test.each(['', 'seventeen', '17 +', '(17', '17)', '1/0', '17 km', '2 3', '--', '*4'])(
  '“%s” is no number, and that is said in words',
  (text) => {
    const read = readQuantity(text, PX_UNITS);
    expect(read.ok).toBe(false);
    expect(!read.ok && read.problem.length).toBeGreaterThan(10);
  },
);

test.each([
  ['50%', '', 0.5],
  ['16px', 'px', 16],
  ['16 px;', 'px', 16],
  ['120 %', '%', 120],
  ['200ms', 'ms', 200],
  ['45°', '°', 45],
  ['60 char.', 'char.', 60],
  ['200kB', 'kB', 200],
])('%s in a field of %j is %d', (text, unit, value) => {
  expect(readQuantity(text, unitsOf(unit, {}))).toEqual({ ok: true, value });
});
