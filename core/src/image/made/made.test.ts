import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fromHtml } from 'hast-util-from-html';
import { contrastRatio } from '../../color/contrast.ts';
import { hexOf, rgbOf } from '../../color/srgb.ts';
import { between, type MadePalette } from './ink.ts';
import { MADE_MANNERS, MADE_OF } from './kinds.ts';
import { drawMade } from './made.ts';
import { AGES, HAIRS, lookOf, SKINS, STYLES } from './portrait.ts';

const PALETTE: MadePalette = {
  page: '#fdf9f2',
  ink: '#03211f',
  vivid: ['#2a6365', '#b5391a', '#d8a23a'],
};
const hex = fc
  .tuple(
    fc.double({ min: 0, max: 1, noNaN: true }),
    fc.double({ min: 0, max: 1, noNaN: true }),
    fc.double({ min: 0, max: 1, noNaN: true }),
  )
  .map((rgb) => hexOf(rgb));
const palettes = fc.record({
  page: hex,
  ink: hex,
  vivid: fc.array(hex, { minLength: 1, maxLength: 6 }),
});

describe('made pictures', () => {
  test('are the same for the same seed, and others for another', () => {
    for (const of of MADE_OF)
      for (const manner of MADE_MANNERS) {
        const drawn = Array.from({ length: 40 }, (_, index) =>
          drawMade({ of, manner, seed: `${index}` }, PALETTE),
        );
        expect(drawMade({ of, manner, seed: '7' }, PALETTE)).toBe(drawn[7]);
        expect(new Set(drawn).size).toBe(40);
      }
  });

  test('are nothing but paths with finite numbers and colors, whatever the palette and seed', () => {
    fc.assert(
      fc.property(
        palettes,
        fc.string(),
        fc.constantFrom(...MADE_OF),
        fc.constantFrom(...MADE_MANNERS),
        (palette, seed, of, manner) => {
          const svg = drawMade({ of, manner, seed }, palette);
          expect(svg).not.toMatch(/NaN|Infinity|undefined|url\(|href|<script|<text/);
          const [root] = fromHtml(svg, { fragment: true }).children;
          if (root?.type !== 'element') throw new Error('no picture');
          for (const child of root.children) {
            expect(child.type === 'element' && child.tagName).toBe('path');
            if (child.type !== 'element') continue;
            expect(String(child.properties['d'])).toMatch(/^M[-\d. MLHVCQAZhvq]+$/);
            expect(String(child.properties['fill'])).toMatch(/^(none|#[0-9a-f]{6})$/);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  test('follow the palette: another one paints the same paths', () => {
    const paths = (svg: string): readonly string[] =>
      [...svg.matchAll(/ d="([^"]+)"/g)].map(([, d]) => d ?? '');
    const other: MadePalette = { ...PALETTE, vivid: ['#5b3fa8', '#0a7f4f', '#c02a6b'] };
    for (const of of MADE_OF) {
      const made = { of, manner: 'flat', seed: 'a' } as const;
      expect(paths(drawMade(made, other))).toEqual(paths(drawMade(made, PALETTE)));
      expect(drawMade(made, other)).not.toBe(drawMade(made, PALETTE));
    }
  });

  test('lines have the ink of the system and its page alone', () => {
    for (const of of MADE_OF) {
      const colors = new Set(
        drawMade({ of, manner: 'lines', seed: 'b' }, PALETTE).match(/#[0-9a-f]{6}/g),
      );
      expect([...colors].sort()).toEqual([PALETTE.ink, PALETTE.page].sort());
    }
  });
});

describe('people who do not exist', () => {
  const looks = Array.from({ length: 600 }, (_, index) => lookOf(`person ${index}`));

  test('are of every age, skin, hair and style, none of them seldom', () => {
    const count = (is: (look: (typeof looks)[number]) => boolean): number =>
      looks.filter(is).length;
    for (const age of AGES) expect(count((look) => look.age === age)).toBeGreaterThan(90);
    for (const skin of SKINS) expect(count((look) => look.skin === skin)).toBeGreaterThan(40);
    for (const hair of HAIRS) expect(count((look) => look.hair === hair)).toBeGreaterThan(30);
    for (const style of STYLES) expect(count((look) => look.style === style)).toBeGreaterThan(30);
    expect(count(({ glasses }) => glasses)).toBeGreaterThan(80);
    expect(count(({ age, beard }) => age === 'child' && beard)).toBe(0);
  });

  test('skins run from light to dark without a gap', () => {
    const lights = SKINS.map((skin) => contrastRatio(skin, '#000000'));
    expect(lights).toEqual(lights.toSorted((one, other) => other - one));
    for (const [index, light] of lights.entries())
      if (index > 0) expect((lights[index - 1] ?? 0) / light).toBeLessThan(1.8);
  });
});

test('between two colors is one of them at either end, and never leaves sRGB', () => {
  fc.assert(
    fc.property(hex, hex, fc.double({ min: 0, max: 1, noNaN: true }), (one, other, share) => {
      expect(between(one, other, 0)).toBe(one);
      expect(between(one, other, 1)).toBe(other);
      for (const part of rgbOf(between(one, other, share))) {
        expect(part).toBeGreaterThanOrEqual(0);
        expect(part).toBeLessThanOrEqual(1);
      }
    }),
  );
});
