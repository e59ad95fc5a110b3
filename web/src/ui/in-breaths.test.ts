import { expect, test } from '@jest/globals';
import { inBreaths } from './in-breaths.ts';

function* counting(to: number, ms: number): Generator<undefined, number> {
  for (let at = 0; at < to; at += 1) {
    const until = performance.now() + ms;
    while (performance.now() < until);
    yield undefined;
  }
  return to;
}

test('steps come to their end, and others have their turn meanwhile', async () => {
  let turns = 0;
  const ticking = setInterval(() => {
    turns += 1;
  }, 1);
  await expect(inBreaths(counting(20, 4), () => false)).resolves.toBe(20);
  clearInterval(ticking);
  expect(turns).toBeGreaterThan(2);
});

test('short steps are not held up', async () => {
  await expect(inBreaths(counting(5000, 0), () => false)).resolves.toBe(5000);
});

test('what is called off ends with nothing', async () => {
  let asked = 0;
  const isOff = (): boolean => {
    asked += 1;
    return asked > 3;
  };
  await expect(inBreaths(counting(100, 0), isOff)).resolves.toBeUndefined();
  expect(asked).toBe(4);
});
