import { describe, expect, test } from '@jest/globals';
import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { hexOf, type Hex } from '../color/srgb.ts';
import { judgeVeil, leastLook, type JudgedBox } from './judge-veil.ts';
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
const frame = <Box>(...boxes: readonly Box[]) => ({ width: 800, height: 400, boxes });

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
            themes: [
              { color: gray(light), strength },
              { color: gray(dark), strength: LEVELS - strength },
            ],
            share: 1,
          });
          // Source: culori, contrast of WCAG 2.
          [
            ['#ffffff', light, strength],
            ['#000000', dark, LEVELS - strength],
          ].forEach(([ink, veil, own], theme) => {
            const lowest = Math.min(
              ...[left, right].map((level) =>
                wcagContrast(String(ink), gray(under(level, Number(veil), Number(own)))),
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
    const look = {
      side: 'all over',
      themes: [{ color: '#000000', strength: 0 }],
      share: 1,
    } as const;
    const white = { inks: ['#ffffff'] as const };
    const left = judgeVeil(picture, [frame(box({ ...white, width: 0.5 }))], look);
    expect(left.proofs[0]?.[0]?.[0]).toMatchObject({ passing: 1, lowest: 21 });
    expect(left.themes[0]?.least).toBe(0);
    const whole = judgeVeil(picture, [frame(box(white))], look);
    expect(whole.proofs[0]?.[0]?.[0]).toMatchObject({ passing: 0.5, lowest: 1 });
    expect(whole.themes[0]?.least).toBeGreaterThan(0);
    expect(judgeVeil(picture, [frame(box(white))], { ...look, share: 0.5 }).themes[0]?.least).toBe(
      0,
    );
  });

  test('the least veil of each theme lets all pass there, and no weaker one does', () => {
    fc.assert(
      fc.property(fc.nat(255), fc.nat(255), (left, right) => {
        const picture = halves(left, right);
        const frames = [
          frame(
            box({ inks: ['#ffffff', '#eeeeee'] }),
            box({ needed: 3, inks: ['#ffffff', '#eeeeee'] }),
          ),
        ];
        const colors = ['#1a1a1a', '#2a0a0a'] as const;
        const look = (strength: number) =>
          ({
            side: 'all over',
            themes: colors.map((color) => ({ color, strength })),
            share: 1,
          }) as const;
        const isProved = (theme: number, strength: number): boolean =>
          judgeVeil(picture, frames, look(strength))
            .proofs.flat()
            .every((themes) => themes[theme]?.passing === 1);
        for (const [theme, { least }] of judgeVeil(picture, frames, look(0)).themes.entries()) {
          expect(least === undefined || isProved(theme, least)).toBe(true);
          for (let strength = 0; strength < (least ?? LEVELS); strength += 15)
            expect([strength, isProved(theme, strength)]).toEqual([strength, false]);
        }
      }),
      { numRuns: 12 },
    );
  });

  test('has no least veil where one theme’s words are as light as its veil; the other theme has', () => {
    const { themes } = judgeVeil(halves(250, 255), [frame(box({ inks: ['#ffffff', '#ffffff'] }))], {
      side: 'all over',
      themes: [
        { color: '#ffffff', strength: 0 },
        { color: '#000000', strength: 0 },
      ],
      share: 1,
    });
    expect(themes[0]?.least).toBeUndefined();
    expect(themes[1]?.least).toBeGreaterThan(100);
  });

  test('another ink is told only where it needs less of a veil, and it is the one that needs least', () => {
    const inks = [
      { id: 'pale', ink: '#dddddd' },
      { id: 'gray', ink: '#444444' },
      { id: 'black', ink: '#000000' },
    ] as const;
    const ask = (level: number) =>
      judgeVeil(halves(level, level), [frame(box({ inks: ['#ffffff'] }))], {
        side: 'all over',
        themes: [{ color: '#000000', strength: 0, inks }],
        share: 1,
      }).themes[0];
    // Dark words read on a light picture without any veil.
    expect(ask(250)?.ink).toEqual({ id: 'gray', strength: 0 });
    // Where the present ink reads, none is searched.
    expect(ask(20)).toEqual({ least: 0, ink: undefined });
    // Of a middle gray black needs nothing; gray would.
    expect(ask(130)?.ink).toEqual({ id: 'black', strength: 0 });
  });

  test('the look with the least veil is found among all inks and veils, and proves itself', () => {
    const inks = [
      { id: 'page', ink: '#f4efe6' },
      { id: 'text', ink: '#1d1a16' },
    ] as const;
    fc.assert(
      fc.property(fc.nat(255), fc.nat(255), (left, right) => {
        const picture = halves(left, right);
        const { inks: _inks, ...words } = box();
        const ask = { side: 'all over', share: 1, inks, colors: ['#000000', '#ffffff'] } as const;
        const found = leastLook(picture, frame(words), ask);
        const strengthOf = (ink: Hex, color: Hex) =>
          judgeVeil(picture, [frame(box({ inks: [ink] }))], {
            side: 'all over',
            themes: [{ color, strength: 0 }],
            share: 1,
          }).themes[0]?.least ?? Infinity;
        const all = inks.flatMap(({ ink }) => ask.colors.map((color) => strengthOf(ink, color)));
        expect(found?.strength).toBe(Math.min(...all));
        const own = inks.find(({ id }) => id === found?.ink)?.ink ?? '#888888';
        expect(strengthOf(own, found?.color ?? '#888888')).toBe(found?.strength);
      }),
      { numRuns: 20 },
    );
    expect(
      leastLook(halves(0, 255), frame(box()), { side: 'all over', share: 1, inks: [], colors: [] }),
    ).toBeUndefined();
  });

  test('stand on what the crop point keeps in view', () => {
    // A square frame shows half of the picture: its dark left, or its light right.
    const ask = (x: number) =>
      judgeVeil(
        halves(0, 255, 16, 8),
        [{ width: 100, height: 100, boxes: [box({ inks: ['#ffffff'] })] }],
        {
          side: 'all over',
          themes: [{ color: '#000000', strength: 0 }],
          share: 1,
          crop: { x, y: 0.5 },
        },
      ).proofs[0]?.[0]?.[0]?.passing;
    expect([ask(0), ask(0.5), ask(1)]).toEqual([1, 0.5, 0]);
  });

  test('another crop point is told only where all reads at it', () => {
    const ask = (left: number, crops: readonly { x: number; y: number }[]) =>
      judgeVeil(
        halves(left, 255, 16, 8),
        [{ width: 100, height: 100, boxes: [box({ inks: ['#ffffff'] })] }],
        { side: 'all over', themes: [{ color: '#000000', strength: 0 }], share: 1, crops },
      ).crop;
    const [start, end] = [
      { x: 0, y: 0.5 },
      { x: 1, y: 0.5 },
    ] as const;
    expect(ask(0, [end, start])).toEqual(start);
    expect(ask(0, [end])).toBeUndefined();
    expect(ask(200, [start, end])).toBeUndefined();
  });
});
