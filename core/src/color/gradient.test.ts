import { describe, expect, test } from '@jest/globals';
import { formatHex, interpolate } from 'culori';
import fc from 'fast-check';
import { contrastRatio } from './contrast.ts';
import { gradientAt, gradientCss, gradientFacts, lowestContrast } from './gradient.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));

const two = (from: Hex, to: Hex) => [
  { at: 0, color: from },
  { at: 1, color: to },
];

describe('a gradient', () => {
  test.each([
    ['srgb', 'rgb'],
    ['srgb-linear', 'lrgb'],
    ['oklab', 'oklab'],
  ] as const)('in %s runs as culori interpolates', (space, mode) => {
    fc.assert(
      fc.property(hex, hex, fc.double({ min: 0, max: 1, noNaN: true }), (from, to, share) => {
        const theirs = formatHex(interpolate([from, to], mode)(share));
        const ours = gradientAt(two(from, to), share, space);
        rgbOf(theirs).forEach((channel, index) => {
          expect(Math.abs(channel - (rgbOf(ours)[index] ?? 0))).toBeLessThanOrEqual(1.01 / 255);
        });
      }),
    );
  });

  test('in oklch takes the hue of the other end from a gray, and clips what leaves sRGB', () => {
    // culori interpolates in OKLCH; clipping is what browsers do with what leaves sRGB.
    fc.assert(
      fc.property(hex, hex, fc.double({ min: 0, max: 1, noNaN: true }), (from, to, share) => {
        const theirs = formatHex(interpolate([from, to], 'oklch')(share));
        const ours = gradientAt(two(from, to), share, 'oklch');
        rgbOf(theirs).forEach((channel, index) => {
          expect(Math.abs(channel - (rgbOf(ours)[index] ?? 0))).toBeLessThanOrEqual(1.01 / 255);
        });
      }),
    );
    expect(gradientAt(two('#808080', '#ff0000'), 0.5, 'oklch')).toBe(
      formatHex(interpolate(['#808080', '#ff0000'], 'oklch')(0.5)),
    );
  });

  test('begins and ends with its stops, and rests beyond them', () => {
    const stops = [
      { at: 0.2, color: '#b5391a' },
      { at: 0.8, color: '#2a6365' },
    ] as const;
    for (const space of ['oklab', 'oklch', 'srgb', 'srgb-linear'] as const) {
      expect(gradientAt(stops, 0, space)).toBe('#b5391a');
      expect(gradientAt(stops, 0.2, space)).toBe('#b5391a');
      expect(gradientAt(stops, 1, space)).toBe('#2a6365');
    }
  });

  test('of yellow and blue goes gray in sRGB, and keeps its color round the hue circle', () => {
    const stops = two('#ffff00', '#0000ff');
    expect(gradientFacts(stops, 'srgb', 400).grayest.left).toBeLessThan(0.1);
    expect(gradientFacts(stops, 'oklch', 400).grayest.left).toBeGreaterThan(0.3);
  });

  test('of two near grays stands in bands', () => {
    // Arithmetic: eight levels over 800 px are bands of about 800 / 9.
    const { colors, widestBandPx } = gradientFacts(two('#808080', '#888888'), 'srgb', 800);
    expect(colors).toBe(9);
    expect(widestBandPx).toBeGreaterThan(90);
  });

  test('is judged by its lowest contrast, wherever that is', () => {
    const stops = two('#000000', '#ffffff');
    const { ratio, color, at } = lowestContrast(stops, 'srgb', '#767676');
    expect(ratio).toBeLessThan(1.1);
    expect(at).toBeGreaterThan(0.3);
    expect(contrastRatio('#767676', color)).toBe(ratio);
  });

  test('from or to a gray alone is written as the straight line that it is', () => {
    const stops = [
      { at: 0, css: 'var(--gray)', color: '#808080' },
      { at: 1, css: 'var(--a)', color: '#b5391a' },
    ] as const;
    expect(gradientCss(stops, 'oklch')).toBe(
      'linear-gradient(to right in oklab, var(--gray) 0%, var(--a) 100%)',
    );
    for (const share of [0.1, 0.5, 0.8])
      expect(gradientAt(stops, share, 'oklch')).toBe(gradientAt(stops, share, 'oklab'));
  });

  test('through a gray gives it the hues on either side', () => {
    expect(
      gradientCss(
        [
          { at: 0, css: 'var(--a)', color: '#ff0000' },
          { at: 0.5, css: 'var(--gray)', color: '#808080' },
          { at: 0.7, css: 'var(--b)', color: '#0000ff' },
          { at: 1, css: 'var(--c)', color: '#00ff00' },
        ],
        'oklch',
      ),
    ).toBe(
      'linear-gradient(to right in oklch, var(--a) 0%, oklch(0.59987 0.002 29.23) 50%, ' +
        'oklch(0.59987 0.002 -95.95) 50%, var(--b) 70%, var(--c) 100%)',
    );
  });

  test('is written as CSS has it', () => {
    expect(
      gradientCss(
        [
          { at: 0, css: 'var(--a)', color: '#b5391a' },
          { at: 0.5, css: 'var(--b)', color: '#2a6365' },
        ],
        'oklch',
      ),
    ).toBe('linear-gradient(to right in oklch, var(--a) 0%, var(--b) 50%)');
  });
});
