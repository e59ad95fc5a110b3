import { contrastRatio } from '@garnish/core/color/contrast';
import {
  GRADIENT_SPACES,
  gradientAt,
  gradientCss,
  lowestContrast,
  type Stop,
} from '@garnish/core/color/gradient';
import { hexOf, rgbOf, type Hex } from '@garnish/core/color/srgb';
import { expect, test } from '@playwright/test';

const PAIRS: readonly (readonly [Hex, Hex])[] = [
  ['#ffff00', '#0000ff'],
  ['#00ff00', '#ff00ff'],
  ['#ff0000', '#00ffff'],
  ['#ff0000', '#0000ff'],
  ['#808080', '#c8692c'],
  ['#0000ff', '#777777'],
  ['#ffffff', '#2a6365'],
  ['#000000', '#ffff00'],
  ['#c8f04a', '#4b3f8f'],
  ['#2a6365', '#b5391a'],
  ['#123456', '#fedcba'],
  ['#00ff40', '#0040ff'],
  ['#810b38', '#81d8d0'],
];
const TEXTS: readonly Hex[] = ['#ffffff', '#000000', '#2a6365', '#767676'];
const WIDTH = 1024;
const ROW = 4;

/** By how much a painted level may differ: the browser dithers nothing, but rounds in another order. */
const LEVELS = 1.01;
/** A gray that holds a hue does so to the digits of the browser's own conversion. */
const LEVELS_THROUGH_GRAY = 3.01;

test('a gradient and its lowest contrast are what Chromium paints', async ({ page }) => {
  const ways: readonly (readonly Stop[])[] = [
    ...PAIRS.map(([from, to]) => [
      { at: 0, color: from },
      { at: 1, color: to },
    ]),
    // Through a gray, and with more than one hue.
    [
      { at: 0, color: '#ff0000' },
      { at: 0.4, color: '#777777' },
      { at: 0.6, color: '#0000ff' },
      { at: 1, color: '#00ff00' },
    ],
  ];
  const rows = ways.flatMap((stops) => GRADIENT_SPACES.map((space) => ({ space, stops })));
  await page.setViewportSize({ width: WIDTH, height: rows.length * ROW });
  await page.setContent(
    `<body style="margin:0">${rows
      .map(({ space, stops }) => {
        const css = gradientCss(
          stops.map(({ at, color }) => ({ at, color, css: color })),
          space,
        );
        return `<div style="height:${ROW}px;background:${css}"></div>`;
      })
      .join('')}`,
  );
  const shot = await page.screenshot();
  const painted = await page.evaluate(
    async ({ png, step }) => {
      const image = await createImageBitmap(await (await fetch(png)).blob());
      const canvas = new OffscreenCanvas(image.width, image.height);
      const context = canvas.getContext('2d');
      context?.drawImage(image, 0, 0);
      return Array.from({ length: image.height / step }, (_, row) => [
        ...(context?.getImageData(0, row * step + 1, image.width, 1).data ?? []),
      ]);
    },
    { png: `data:image/png;base64,${shot.toString('base64')}`, step: ROW },
  );

  rows.forEach(({ space, stops }, row) => {
    const data = painted[row] ?? [];
    const colors = Array.from({ length: WIDTH }, (_, x) =>
      hexOf([0, 1, 2].map((c) => (data[x * 4 + c] ?? 0) / 255) as [number, number, number]),
    );
    const name = `${stops.map(({ color }) => color).join(' to ')} in ${space}`;
    const furthest = Math.max(
      ...colors.map((color, x) => {
        const ours = rgbOf(gradientAt(stops, (x + 0.5) / WIDTH, space));
        return Math.max(...rgbOf(color).map((c, at) => Math.abs(c - (ours[at] ?? 0)) * 255));
      }),
    );
    const through = space === 'oklch' && stops.length > 2;
    expect(furthest, name).toBeLessThanOrEqual(through ? LEVELS_THROUGH_GRAY : LEVELS);
    for (const text of TEXTS) {
      const theirs = Math.min(...colors.map((color) => contrastRatio(text, color)));
      const told = lowestContrast(stops, space, text).ratio;
      // No pixel is lower than what is told, but for a level of rounding; nor is what is told too low.
      expect(told / theirs, `${text} on ${name}`).toBeLessThan(1.015);
      expect(told / theirs, `${text} on ${name}`).toBeGreaterThan(0.985);
    }
  });
});
