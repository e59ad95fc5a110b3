import { measureIcon } from '@garnish/core/icons/measure';
import { drawMade } from '@garnish/core/image/made/made';
import { findIcons } from '@garnish/server/icons/search';
import { iconSets } from '@garnish/server/icons/sets';
import { contrastTable } from '@garnish/core/color/contrast';
import { dominantColors } from '@garnish/core/color/dominant';
import { oklabDistance, oklabOf, type Oklab } from '@garnish/core/color/oklab';
import { hexOf, rgbOf } from '@garnish/core/color/srgb';
import { judgeVeil } from '@garnish/core/image/judge-veil';
import { histogramUnder, leastStrength } from '@garnish/core/image/veil-strength';
import { wcagContrast } from 'culori';
import { buildPaletteSync, utils } from 'image-q';
import quantize from 'quantize';
import { ms, timed, type Row } from './measure.ts';

/** A picture like a photograph: soft light, texture, a few small vivid things. Always the same. */
function photograph(width: number, height: number): Uint8ClampedArray {
  const data = new Uint8ClampedArray(width * height * 4);
  let seed = 7;
  const random = (): number => {
    seed = (seed * 1103515245 + 12345) & 0x7fffffff;
    return seed / 0x7fffffff;
  };
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const [u, v] = [x / width, y / height];
      const grain = (random() - 0.5) * 26;
      const wave = Math.sin(u * 21 + v * 9) * 18 + Math.sin(v * 47) * 9;
      const sky = v < 0.45;
      const boat = Math.hypot((u - 0.55) * 2.2, v - 0.5) < 0.045;
      const [r, g, b] = boat
        ? [190, 50, 30]
        : sky
          ? [70 + v * 260, 110 + v * 150, 125 + v * 60]
          : [60 + wave + u * 60, 95 + wave + v * 30, 100 + wave - u * 20];
      data.set([r + grain, g + grain, b + grain, 255], (y * width + x) * 4);
    }
  return data;
}

/** The mean distance in OKLab from the pixels to the nearest color of a palette. */
function meanError(data: Uint8ClampedArray, palette: readonly Oklab[]): number {
  let sum = 0;
  let count = 0;
  for (let at = 0; at < data.length; at += 4 * 97) {
    const lab = oklabOf([
      (data[at] ?? 0) / 255,
      (data[at + 1] ?? 0) / 255,
      (data[at + 2] ?? 0) / 255,
    ]);
    sum += Math.min(...palette.map((color) => oklabDistance(lab, color)));
    count += 1;
  }
  return sum / count;
}

/** The colors of a photograph against two general quantising libraries, at the same number of colors. */
async function sampling(): Promise<Row[]> {
  const [width, height] = [1600, 1200];
  const data = photograph(width, height);
  const once = async <Result>(work: () => Result | Promise<Result>) => {
    await work();
    const started = performance.now();
    const result = await work();
    return { result, ms: performance.now() - started };
  };
  const own = await once(() => dominantColors(data));
  const count = own.result.length;
  const labs = (colors: readonly (readonly number[])[]): Oklab[] =>
    colors.map(([r = 0, g = 0, b = 0]) => oklabOf([r / 255, g / 255, b / 255]));
  const cut = await once(() => {
    const pixels: [number, number, number][] = [];
    for (let at = 0; at < data.length; at += 4)
      pixels.push([data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0]);
    return quantize(pixels, count);
  });
  const wu = await once(() =>
    buildPaletteSync([utils.PointContainer.fromUint8Array(data, width, height)], {
      colors: count,
      paletteQuantization: 'wuquant',
    }),
  );
  const errors = [
    meanError(
      data,
      own.result.map(({ hex }) => oklabOf(rgbOf(hex))),
    ),
    meanError(data, labs(cut.result ? cut.result.palette() : [])),
    meanError(
      data,
      labs(
        wu.result
          .getPointContainer()
          .getPointArray()
          .map(({ r, g, b }) => [r, g, b]),
      ),
    ),
  ] as const;
  const twelve = photograph(4000, 3000);
  const large = await once(() => dominantColors(twelve));
  const megapixels = ((width * height) / 1e6).toFixed(1);
  const cutBeside = `median cut: ${own.ms.toFixed(0)} to ${cut.ms.toFixed(0)} ms; mean error in OKLab ${errors[0].toFixed(4)}, ${errors[1].toFixed(4)} of median cut, ${errors[2].toFixed(4)} of Wu`;
  return [
    {
      name: `${count} colors of a photograph of ${megapixels} megapixels`,
      value: own.ms / cut.ms,
      unit: '×',
      against: cutBeside,
    },
    ms('colors of 12 megapixels', large.ms, '', 1500),
  ];
}

/** Words over a picture of 12 megapixels at twelve widths in two themes, where they read and where what helps is searched. */
function judging(): Row[] {
  const picture = { data: photograph(4000, 3000), width: 4000, height: 3000 };
  const inks = ['#ffffff', '#ffffff'] as const;
  const frames = Array.from({ length: 12 }, (_, at) => ({
    width: 320 + at * 100,
    height: 700,
    boxes: [
      { x: 0.04, y: 0.45, width: 0.6, height: 0.2, needed: 3, inks },
      { x: 0.04, y: 0.68, width: 0.55, height: 0.12, needed: 4.5, inks },
      { x: 0.2, y: 0.85, width: 0.15, height: 0.04, needed: 4.5, inks },
    ],
  }));
  const judged = (strength: number): number => {
    const started = performance.now();
    judgeVeil(picture, frames, {
      side: 'bottom',
      share: 1,
      themes: [
        { color: '#000000', strength: 230 },
        { color: '#000000', strength, inks: [{ id: 'dark', ink: '#111111' }] },
      ],
    });
    return performance.now() - started;
  };
  const what = 'words over 12 megapixels, at 12 widths in both themes';
  return [
    ms(`judge ${what}`, judged(230), '', 1500),
    ms(`the same, with the least veil and another ink searched in one theme`, judged(20)),
  ];
}

const colorsOf = (count: number) =>
  Array.from({ length: count }, (_, index) =>
    hexOf([((index * 37) % 256) / 255, ((index * 91) % 256) / 255, ((index * 53) % 256) / 255]),
  );

/** All pairs of so many colors, against a general library that is asked pair by pair. */
function contrasts(count: number, limit?: number): Row {
  const colors = colorsOf(count);
  const table = timed(() => contrastTable(colors), 9, 3);
  const pairs = timed(
    () => {
      let sum = 0;
      for (const one of colors) for (const other of colors) sum += wcagContrast(one, other);
      return sum;
    },
    1,
    1,
  );
  return {
    name: `contrast of ${count} by ${count} colors`,
    value: table / pairs,
    unit: '×',
    against: `a general library, pair by pair: ${table.toFixed(1)} to ${pairs.toFixed(0)} ms`,
    ...(limit !== undefined && { limit }),
  };
}

/** The least veil over a large picture. */
function veil(): Row {
  const [width, height] = [1600, 1200];
  const picture = { data: photograph(width, height), width, height };
  const frame = { x: 0, y: 0, width, height };
  const started = performance.now();
  const seen = histogramUnder(picture, frame, { x: 0, y: 0, width: 1, height: 1 }, 'all over');
  leastStrength([seen], { ink: '#ffffff', color: '#000000', needed: 4.5, pixels: 1 });
  return ms('least veil over 1.9 megapixels', performance.now() - started);
}

/** Searching all shipped icons, by a word, by the beginning of one and by a mistyped one. */
function searching(): Row {
  findIcons({ words: 'warm' });
  const slowest = ['arrow', 'a', 'calender', 'telephone', '']
    .map((words) => {
      const started = performance.now();
      findIcons({ words });
      return performance.now() - started;
    })
    .reduce((most, one) => Math.max(most, one), 0);
  return { ...ms('search all shipped icons, the slowest of five', slowest), limit: 50 };
}

/** Measuring one icon from its paths. */
function measuring(): Row {
  const names = ['phone', 'calendar', 'gear', 'house', 'globe'];
  const set = iconSets().get('ph');
  const drawings = names.flatMap((name) => set?.drawing(name) ?? []);
  const started = performance.now();
  for (const drawing of drawings) measureIcon(drawing);
  return ms('measure an icon from its paths', (performance.now() - started) / drawings.length);
}

/** Drawing a scene and a portrait for an empty place. */
function drawing(): Row {
  const palette = { page: '#ffffff', ink: '#111111', vivid: ['#2a6365', '#b5391a'] } as const;
  const started = performance.now();
  for (let seed = 0; seed < 20; seed += 1)
    for (const of of ['scene', 'portrait'] as const)
      drawMade({ of, manner: 'flat', seed: `${seed}` }, palette);
  return ms('draw a picture for an empty place', (performance.now() - started) / 40);
}

export const pixelRows = async (): Promise<readonly Row[]> => [
  contrasts(200),
  contrasts(500, 1 / 30),
  veil(),
  ...judging(),
  searching(),
  measuring(),
  drawing(),
  ...(await sampling()),
];
