import { describe, expect, test } from '@jest/globals';
import { oklabOf, oklchOf } from './oklab.ts';
import { HUE_RULES, HUE_RULE_NAMES, relatedColors, type HueRule } from './harmony.ts';
import { rgbOf, type Hex } from './srgb.ts';

const polar = (hex: Hex) => oklchOf(oklabOf(rgbOf(hex)));
const turnOf = (one: number, other: number): number => (one - other + 720) % 360;

describe('related colors', () => {
  // A soft color: at its chroma sRGB holds every hue of this lightness.
  const soft = '#9a7f86';

  test.each(Object.entries(HUE_RULES))('%s stand at %j degrees', (rule, turns) => {
    const found = relatedColors(soft, rule as HueRule);
    found.forEach((hex, index) => {
      const { lightness, hue } = polar(hex);
      expect(Math.abs(lightness - polar(soft).lightness)).toBeLessThan(0.004);
      const off = turnOf(hue, polar(soft).hue + (turns[index] ?? 0));
      expect(Math.min(off, 360 - off)).toBeLessThan(5);
    });
  });

  test('turn as a whole', () => {
    const [turned] = relatedColors(soft, 'complement', 40);
    const off = turnOf(polar(turned ?? soft).hue, polar(soft).hue + 220);
    expect(Math.min(off, 360 - off)).toBeLessThan(5);
  });

  test('keep their lightness where sRGB does not hold their chroma', () => {
    for (const rule of HUE_RULE_NAMES.filter((name) => name !== 'single hue'))
      for (const hex of relatedColors('#b5391a', rule))
        expect(Math.abs(polar(hex).lightness - polar('#b5391a').lightness)).toBeLessThan(0.02);
  });

  test('of a single hue differ in lightness', () => {
    const [lighter, darker] = relatedColors('#2a6365', 'single hue');
    expect(polar(lighter ?? '#000000').lightness).toBeGreaterThan(polar('#2a6365').lightness);
    expect(polar(darker ?? '#ffffff').lightness).toBeLessThan(polar('#2a6365').lightness);
  });
});
