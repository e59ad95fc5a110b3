import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sideBySide } from './side-by-side.ts';

const width = fc.integer({ min: 320, max: 5120 });

describe('pages side by side', () => {
  test('one fills the room at most, and is never larger than it is', () => {
    expect(sideBySide([720], 1000)).toEqual({ scale: 1, starts: [0] });
    expect(sideBySide([1440], 720)).toEqual({ scale: 0.5, starts: [0] });
  });

  test('three share the room in one scale', () => {
    const { scale, starts } = sideBySide([720, 375, 1440], 1000);
    expect(scale).toBeCloseTo((1000 - 2 * 20) / (720 + 375 + 1440), 10);
    expect(starts[1]).toBeCloseTo(720 * scale + 20, 10);
    expect(starts[2]).toBeCloseTo((720 + 375) * scale + 40, 10);
  });

  test('a narrow one beside very wide ones keeps room for its controls', () => {
    const { scale, starts } = sideBySide([5120, 375, 5120], 1200);
    expect(375 * scale).toBeLessThan(116);
    expect((starts[2] ?? 0) - (starts[1] ?? 0)).toBe(116 + 20);
  });

  test('none overlap, and all stay in the room that there is', () => {
    fc.assert(
      fc.property(
        fc.array(width, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 700, max: 3000 }),
        (widths, room) => {
          const { scale, starts } = sideBySide(widths, room);
          expect(scale).toBeGreaterThan(0);
          expect(scale).toBeLessThanOrEqual(1);
          widths.forEach((px, index) => {
            const end = (starts[index] ?? 0) + px * scale;
            expect(end).toBeLessThanOrEqual((starts[index + 1] ?? room) + 1e-6);
          });
        },
      ),
    );
  });
});
