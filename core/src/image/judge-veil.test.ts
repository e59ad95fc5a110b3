import { describe, expect, test } from '@jest/globals';
import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { hexOf, type Hex } from '../color/srgb.ts';
import { judgeVeil, type JudgedBox } from './judge-veil.ts';
import { LEVELS, type Pixels } from './veil.ts';

/** A picture whose left half is of one gray and whose right half is of another. */
function halves(left: number, right: number, width = 8, height = 4): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let at = 0; at < width * height; at += 1) {
    const level = at % width < width / 2 ? left : right;
    data.set([level, level, level, 255], at * 4);
  }
  return { data, width, height };
}

const gray = (level: number): Hex => hexOf([level / 255, level / 255, level / 255]);

/** A gray under so much of a color, as browsers blend it. */
const under = (level: number, color: number, strength: number): number =>
  Math.round(level * (1 - strength / LEVELS) + color * (strength / LEVELS));

const box = (more: Partial<JudgedBox> = {}): JudgedBox => ({
  x: 0,
  y: 0,
  width: 1,
  height: 1,
  needed: 4.5,
  inks: ['#ffffff', '#000000'],
  ...more,
});
const frame = (...boxes: readonly JudgedBox[]) => ({ width: 800, height: 400, boxes });

describe('words over a picture', () => {
  test('have the lowest contrast of all pixels behind them, in each theme', () => {
    fc.assert(
      fc.property(
        fc.nat(255),
        fc.nat(255),
        fc.nat(LEVELS),
        fc.nat(255),
        fc.nat(255),
        (left, right, strength, light, dark) => {
          const { proofs } = judgeVeil(halves(left, right), [frame(box())], {
            side: 'all over',
            strength,
            colors: [gray(light), gray(dark)],
            share: 1,
          });
          // Source: culori, contrast of WCAG 2.
          [
            ['#ffffff', light],
            ['#000000', dark],
          ].forEach(([ink, veil], theme) => {
            const lowest = Math.min(
              ...[left, right].map((level) =>
                wcagContrast(String(ink), gray(under(level, Number(veil), strength))),
              ),
            );
            expect(proofs[0]?.[0]?.[theme]?.lowest).toBeCloseTo(lowest, 2);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  test('are judged where they stand alone, and by the share that is to pass', () => {
    const picture = halves(0, 255);
    const look = { side: 'all over', strength: 0, colors: ['#000000'], share: 1 } as const;
    const white = { inks: ['#ffffff'] as const };
    const left = judgeVeil(picture, [frame(box({ ...white, width: 0.5 }))], look);
    expect(left.proofs[0]?.[0]?.[0]).toMatchObject({ passing: 1, lowest: 21 });
    expect(left.least).toBe(0);
    const whole = judgeVeil(picture, [frame(box(white))], look);
    expect(whole.proofs[0]?.[0]?.[0]).toMatchObject({ passing: 0.5, lowest: 1 });
    expect(whole.least).toBeGreaterThan(0);
    expect(judgeVeil(picture, [frame(box(white))], { ...look, share: 0.5 }).least).toBe(0);
  });

  test('the least veil lets all pass in every theme, and no weaker one does', () => {
    fc.assert(
      fc.property(fc.nat(255), fc.nat(255), (left, right) => {
        const picture = halves(left, right);
        const frames = [frame(box({ inks: ['#ffffff', '#eeeeee'] }), box({ needed: 3 }))];
        const look = {
          side: 'all over',
          strength: 0,
          colors: ['#1a1a1a', '#2a0a0a'],
          share: 1,
        } as const;
        const asked = frames.map(({ boxes, ...size }) => ({
          ...size,
          boxes: boxes.map((one) => ({ ...one, inks: ['#ffffff', '#eeeeee'] as const })),
        }));
        const isProved = (strength: number): boolean =>
          judgeVeil(picture, asked, { ...look, strength })
            .proofs.flat(2)
            .every(({ passing }) => passing === 1);
        const { least } = judgeVeil(picture, asked, look);
        expect(least === undefined || isProved(least)).toBe(true);
        for (let strength = 0; strength < (least ?? LEVELS); strength += 15)
          expect([strength, isProved(strength)]).toEqual([strength, false]);
      }),
      { numRuns: 12 },
    );
  });

  test('has no least veil where one theme’s words are as light as its veil', () => {
    const { least } = judgeVeil(halves(250, 255), [frame(box({ inks: ['#ffffff'] }))], {
      side: 'all over',
      strength: 0,
      colors: ['#ffffff'],
      share: 1,
    });
    expect(least).toBeUndefined();
  });
});
