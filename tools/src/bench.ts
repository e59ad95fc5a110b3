/**
 * Measures what speed is promised, as ratios of two things timed in the same run; then one slider
 * movement in the browser, in milliseconds. The median of several rounds counts.
 */
import { contrastTable } from '@garnish/core/color/contrast';
import { dominantColors } from '@garnish/core/color/dominant';
import { oklabDistance, oklabOf, type Oklab } from '@garnish/core/color/oklab';
import { hexOf, rgbOf } from '@garnish/core/color/srgb';
import { histogramUnder, leastStrength } from '@garnish/core/image/veil-strength';
import { buildPaletteSync, utils } from 'image-q';
import quantize from 'quantize';
import { assignRungs } from '@garnish/core/derive/assign';
import { createDeriver, derive } from '@garnish/core/derive/derive';
import { deriveGrid, deriveGridRules, deriveGridTokens, gridFrom } from '@garnish/core/derive/grid';
import { deriveLayoutRules, deriveLayoutTokens, derivePatterns } from '@garnish/core/derive/layout';
import { deriveParts } from '@garnish/core/derive/parts';
import { deriveShapeRules, deriveShapeTokens } from '@garnish/core/derive/shape';
import {
  breakpointRules,
  breakpointSlugs,
  deriveSpaces,
  deriveSpaceTokens,
  deriveSteps,
} from '@garnish/core/derive/space';
import { deriveStyles, rootShare } from '@garnish/core/derive/styles';
import { writeCss } from '@garnish/core/formats/css';
import { inOrder, type StyleDocument, type TextRole } from '@garnish/core/system/document';
import { rankPairings, rankTrios, type PairingBrief } from '@garnish/core/fonts/pairing';
import { sampleFamilies } from '@garnish/core/system/sample';
import { collectionOf } from '@garnish/core/system/new-document';
import { jsonOf, patched, type Patch } from '@garnish/core/system/patch';
import { fluidPx, piecesOf } from '@garnish/core/type/fluid';
import { zoomGaps } from '@garnish/core/type/zoom';
import { demoSystems } from '@garnish/server/demo/demo';
import type { Browser, Page } from '@playwright/test';
import { wcagContrast } from 'culori';
import { launch } from './browser.ts';
import { demoServer } from './demo-server.ts';
import { end } from './say.ts';

const median = (values: readonly number[]): number =>
  values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)] ?? NaN;

/** The median time in ms of one call; rounds long enough for the clock, after a warm-up. */
function timed(work: () => unknown, rounds = 15, calls = 20): number {
  for (let call = 0; call < calls * 3; call += 1) work();
  return median(
    Array.from({ length: rounds }, () => {
      const started = performance.now();
      for (let call = 0; call < calls; call += 1) work();
      return (performance.now() - started) / calls;
    }),
  );
}

const row = (name: string, ms: number, against: string, otherMs: number): void => {
  console.log(
    `${name.padEnd(52)} ${ms.toFixed(3).padStart(9)} ms   ${(ms / otherMs).toFixed(2).padStart(7)} × ${against} (${otherMs.toFixed(3)} ms)`,
  );
};

const brackwater = ((): StyleDocument => {
  const [first] = demoSystems();
  if (!first) throw new Error('there is no demo');
  return first;
})();

/** Documents that differ as a slider makes them differ: one number, another each time. */
function slide(): () => StyleDocument {
  let base = 18;
  return () => {
    base = base >= 24 ? 18 : base + 0.01;
    const patch: Patch = [{ op: 'replace', path: '/type/anchors/items/wide/base', value: base }];
    const result = patched(brackwater, patch);
    if (!result.ok) throw new Error('the slider left its range');
    return result.document;
  };
}

function measureCore(): void {
  const values = derive(brackwater).tokens.map(({ id, values: own }) => [id, own]);
  const stringify = timed(() => JSON.stringify(values));
  const against = 'JSON.stringify of the tokens';
  row(
    'derive everything and emit CSS',
    timed(() => writeCss(derive(brackwater))),
    against,
    stringify,
  );
  const next = slide();
  const deriver = createDeriver();
  row(
    'patch, validate, derive and emit after one movement',
    timed(() => writeCss(deriver(next()))),
    against,
    stringify,
  );

  const colors = Array.from({ length: 200 }, (_, index) =>
    hexOf(
      [(index * 37) % 256, (index * 91) % 256, (index * 53) % 256].map((byte) => byte / 255) as [
        number,
        number,
        number,
      ],
    ),
  );
  const pairByPair = timed(
    () => {
      let sum = 0;
      for (const one of colors) for (const other of colors) sum += wcagContrast(one, other);
      return sum;
    },
    5,
    1,
  );
  row(
    'contrast of 200 by 200 colors',
    timed(() => contrastTable(colors), 15, 5),
    'a general library, pair by pair',
    pairByPair,
  );
}

/**
 * Deriving and proving 30 text roles through three anchors, against evaluating as many clamps at
 * 100 widths: what a chart drawn by sampling would cost at the least.
 */
function measureType(): void {
  const roles = Array.from({ length: 30 }, (_, index): [string, TextRole] => [
    `role-${index}`,
    { name: `role ${index}`, face: index % 2 ? 'text' : 'heading', place: (index % 12) - 2 },
  ]);
  const made = patched(brackwater, [
    { op: 'replace', path: '/color/texts', value: { order: [], items: {} } },
    { op: 'replace', path: '/color/veils', value: { order: [], items: {} } },
    { op: 'remove', path: '/content/heroVeil' },
    {
      op: 'replace',
      path: '/type/roles',
      value: jsonOf(collectionOf(roles)),
    },
  ]);
  if (!made.ok) throw new Error('the roles do not fit');
  const { brief, fonts, type } = made.document;
  const sizes = [...deriveStyles(fonts, type, brief.languages, {}).values()].map(
    ({ size }) => size,
  );
  const naive = timed(() => {
    let sum = 0;
    for (const size of sizes)
      for (let width = 240; width < 2560; width += 23.2) sum += fluidPx(size, width);
    return sum;
  });
  row(
    'derive 30 text roles',
    timed(() => deriveStyles(fonts, type, brief.languages, {})),
    'their clamps at 100 widths',
    naive,
  );
  row(
    'prove the zoom of 30 text roles at every width',
    timed(() => sizes.map((size) => zoomGaps(piecesOf(size)))),
    'their clamps at 100 widths',
    naive,
  );
}

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
async function measureSampling(): Promise<void> {
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
  console.log(
    `${count} colors of a photograph of ${((width * height) / 1e6).toFixed(1)} megapixels: ` +
      `${own.ms.toFixed(0)} ms, ${(own.ms / cut.ms).toFixed(2)} × median cut (${cut.ms.toFixed(0)} ms), ` +
      `${(own.ms / wu.ms).toFixed(2)} × Wu (${wu.ms.toFixed(0)} ms); mean error ${errors[0].toFixed(4)}, ` +
      `median cut ${errors[1].toFixed(4)}, Wu ${errors[2].toFixed(4)} in OKLab`,
  );
  const twelve = photograph(4000, 3000);
  const large = await once(() => dominantColors(twelve));
  console.log(`colors of 12 megapixels: ${large.ms.toFixed(0)} ms (limit 1500)`);
}

/** The least veil over a large picture, and the 500 by 500 table. */
function measurePixels(): void {
  const [width, height] = [1600, 1200];
  const picture = { data: photograph(width, height), width, height };
  const frame = { x: 0, y: 0, width, height };
  const started = performance.now();
  const seen = histogramUnder(picture, frame, { x: 0, y: 0, width: 1, height: 1 }, 'all over');
  const found = leastStrength([seen], {
    ink: '#ffffff',
    color: '#000000',
    needed: 4.5,
    pixels: 1,
  });
  console.log(
    `least veil over 1.9 megapixels: ${(performance.now() - started).toFixed(0)} ms, strength ${found?.strength ?? 'none'}`,
  );
  const colors = Array.from({ length: 500 }, (_, index) =>
    hexOf([((index * 37) % 256) / 255, ((index * 91) % 256) / 255, ((index * 53) % 256) / 255]),
  );
  row(
    'contrast of 500 by 500 colors',
    timed(() => contrastTable(colors), 9, 3),
    'a general library, pair by pair (limit 1/30)',
    timed(
      () => {
        let sum = 0;
        for (const one of colors) for (const other of colors) sum += wcagContrast(one, other);
        return sum;
      },
      1,
      1,
    ),
  );
}

/** A full derive with eight ramps and two themes, the assignment known; the limit is 4 ms. */
function measureEightRamps(): void {
  const made = patched(brackwater, [
    { op: 'add', path: '/color/sources/items/eighth', value: { name: 'eighth', value: '#7a3f8f' } },
    {
      op: 'replace',
      path: '/color/sources/order',
      value: [...brackwater.color.sources.order, 'eighth'],
    },
  ]);
  if (!made.ok) throw new Error('the eighth color does not fit');
  const deriver = createDeriver();
  deriver(made.document);
  let flip = false;
  const ms = timed(
    () => {
      // Another tint of the neutrals by a hair: every color is derived again, no wish changes its rung.
      flip = !flip;
      return deriver({
        ...made.document,
        color: {
          ...made.document.color,
          roles: { ...made.document.color.roles },
          sources: { ...made.document.color.sources },
          neutral: { ...made.document.color.neutral, tint: flip ? 0.42 : 0.421 },
        },
      });
    },
    9,
    5,
  );
  const same = timed(
    () => {
      flip = !flip;
      return deriver({
        ...made.document,
        name: flip ? 'one' : 'other',
        type: { ...made.document.type },
      });
    },
    9,
    5,
  );
  console.log(
    `derive ${made.document.color.sources.order.length} ramps, ${made.document.color.roles.order.length} roles, two themes, all assigned anew: ${ms.toFixed(1)} ms; ` +
      `the assignment known: ${same.toFixed(1)} ms (limit 4)`,
  );
}

/** A new assignment of all roles in both themes; the limit is 20 ms. */
function measureAssignment(): void {
  const { needs, ramps } = derive(brackwater);
  const plans = needs.map((need) => ({ ...need, color: need.color.id, on: need.on.id }));
  const ms = timed(() => assignRungs(brackwater.color.roles, ramps, plans, 'every rung'), 9, 5);
  console.log(`assign all color roles in both themes: ${ms.toFixed(1)} ms (limit 20)`);
}

/** Ranking all pairs against a double loop that only adds up as many numbers computed before. */
function measureRanking(): void {
  const families = sampleFamilies();
  const brief: PairingBrief = {
    mood: ['steady', 'plain'],
    needs: [],
    languages: ['en'],
    budgetKb: 160,
  };
  const count = families.length;
  const { count: pairs, excluded } = rankPairings(families, brief);
  const texts = count - excluded.length;
  const numbers = Float64Array.from({ length: count * 6 }, (_, index) => (index * 7919) % 100);
  const bare = timed(
    () => {
      const found = [];
      for (let one = 0; one < count; one += 1)
        for (let other = 0; other < texts; other += 1) {
          let score = 0;
          for (let part = 0; part < 6; part += 1)
            score += (numbers[one * 6 + part] ?? 0) * (numbers[other * 6 + part] ?? 0);
          found.push({ one, other, score });
        }
      return found.sort((a, b) => b.score - a.score);
    },
    9,
    3,
  );
  row(
    `rank ${pairs} pairs`,
    timed(() => rankPairings(families, brief), 9, 3),
    'a bare double loop, sorted',
    bare,
  );
}

/** Everything that follows from the decisions of space, layout and shape, with nothing remembered. */
function measureSpace(): void {
  const { color, layout, shape, space, type } = brackwater;
  const { colors } = derive(brackwater);
  const root = rootShare(type);
  const all = (): unknown => {
    const steps = deriveSteps(space);
    const grid = deriveGrid(layout);
    const spaces = deriveSpaces(
      space.roles,
      {
        steps,
        anchors: inOrder(type.anchors).map(([id, { width }]) => [id, width] as const),
        unit: type.unit,
        breakpoints: layout.breakpoints,
        root,
      },
      grid,
    );
    const patterns = derivePatterns(layout.patterns, colors, steps);
    return [
      deriveGridTokens(grid, root),
      deriveSpaceTokens(space, steps, spaces, root),
      deriveParts(space.parts, spaces, steps, root),
      deriveLayoutTokens(layout, root),
      deriveShapeTokens(shape, colors, spaces, root),
      deriveGridRules(grid, breakpointSlugs(layout)),
      deriveLayoutRules(layout, patterns),
      deriveShapeRules(shape, colors),
      breakpointRules(spaces, gridFrom(grid, root)),
    ];
  };
  const roles = JSON.stringify(color.roles);
  row(
    'derive space, layout and shape (limit 2 ms)',
    timed(all),
    'reading the color roles as JSON',
    timed(() => JSON.parse(roles) as unknown),
  );
}

/** Ranking all trios beside a held face against the same double loop over as many. */
function measureTrios(): void {
  const families = sampleFamilies();
  const brief: PairingBrief = { mood: ['plain'], needs: [], languages: ['en'], budgetKb: 160 };
  const { count } = rankTrios(families, brief, { heading: 'archivo' });
  const numbers = Float64Array.from({ length: count }, (_, index) => (index * 7919) % 100);
  const bare = timed(
    () => {
      const found = [];
      const side = Math.ceil(Math.sqrt(count));
      for (let one = 0; one < side; one += 1)
        for (let other = 0; other < side; other += 1) {
          let score = 0;
          for (let part = 0; part < 6; part += 1)
            score += (numbers[one * 6 + part] ?? 0) * (numbers[other * 6 + part] ?? 0);
          found.push({ one, other, score });
        }
      return found.sort((a, b) => b.score - a.score);
    },
    9,
    3,
  );
  row(
    `rank ${count} trios beside a held face`,
    timed(() => rankTrios(families, brief, { heading: 'archivo' }), 9, 3),
    'a bare double loop, sorted',
    bare,
  );
}

interface Movement {
  readonly work: number;
  readonly proof: number;
  readonly bench: number;
}

/**
 * Moves a slider again and again. Timed are the work up to the replaced style sheet (React renders
 * in a microtask), then the style and layout that it causes in the proof and in the page around it.
 */
const movements = (page: Page): Promise<readonly Movement[]> =>
  page.evaluate(async () => {
    const slider = document.querySelector<HTMLInputElement>('input[type=range]');
    const frame =
      document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]')?.contentDocument;
    if (!slider || !frame) throw new Error('there is no slider');
    const own = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
    const found = [];
    for (let index = 0; index < 90; index += 1) {
      await new Promise(requestAnimationFrame);
      const started = performance.now();
      own?.set?.call(slider, String(15 + (index % 20) * 0.5));
      slider.dispatchEvent(new Event('input', { bubbles: true }));
      await Promise.resolve();
      const worked = performance.now();
      frame.body.getBoundingClientRect();
      const proofed = performance.now();
      document.body.getBoundingClientRect();
      const ended = performance.now();
      found.push({ work: worked - started, proof: proofed - worked, bench: ended - proofed });
    }
    return found.slice(20);
  });

/**
 * The list of families with 300 generated entries: what one step of scrolling costs, and how long
 * after an arrow key the proof stands in the face that it tries, once its file has been loaded.
 */
async function measureList(browser: Browser, url: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const families = sampleFamilies();
  const generated = Array.from({ length: 300 }, (_, index) => {
    const family = families[index % families.length];
    return index < families.length
      ? family
      : { ...family, id: `${family?.id}-${index}`, name: `${family?.name} ${index}` };
  });
  await page.route('**/api/fonts', (route) => route.fulfill({ json: generated }));
  await page.goto(url);
  await page.getByRole('heading', { name: 'Brackwater Ferries' }).getByRole('link').click();
  await page.getByRole('link', { name: /^Fonts/ }).click();
  const list = page.getByRole('listbox', { name: 'Families for the heading face' });
  await list.getByRole('option').first().waitFor();
  await page.getByText('300 of 300').waitFor();
  const steps = await list.evaluate(async (element) => {
    const found: number[] = [];
    for (let index = 0; index < 120; index += 1) {
      await new Promise(requestAnimationFrame);
      const started = performance.now();
      element.scrollTop += 97;
      element.dispatchEvent(new Event('scroll'));
      await Promise.resolve();
      element.getBoundingClientRect();
      found.push(performance.now() - started);
    }
    element.scrollTop = 0;
    return found.sort((one, other) => one - other);
  });
  const at = (share: number): number => steps[Math.floor(steps.length * share)] ?? NaN;
  console.log(
    `one step of scrolling 300 families: ${at(0.5).toFixed(1)} ms, ` +
      `95 of 100 within ${at(0.95).toFixed(1)} ms (limit 16)`,
  );
  await list.focus();
  await page.keyboard.press('Home');
  for (let round = 0; round < 12; round += 1) await page.keyboard.press('ArrowDown');
  await page.waitForTimeout(1500);
  const tries = await list.evaluate(async (element) => {
    const heading = document
      .querySelector<HTMLIFrameElement>('iframe[title="Proof"]')
      ?.contentDocument?.querySelector('h1');
    if (!heading) throw new Error('the proof has no heading');
    const found: number[] = [];
    for (let index = 0; index < 10; index += 1) {
      const before = getComputedStyle(heading).fontFamily;
      const started = performance.now();
      element.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
      while (getComputedStyle(heading).fontFamily === before)
        await new Promise((resolve) => setTimeout(resolve));
      await heading.ownerDocument.fonts.ready;
      heading.getBoundingClientRect();
      found.push(performance.now() - started);
      await new Promise((resolve) => setTimeout(resolve, 60));
    }
    return found;
  });
  console.log(
    `a face tried by key stands in the proof after ${median(tries).toFixed(1)} ms, ` +
      `at most ${Math.max(...tries).toFixed(1)} ms (limit 100)`,
  );
  await page.close();
}

/** The home page with so many more rows in its table that it has about 5,000 elements. */
const longPage = (): StyleDocument => {
  const { columns } = brackwater.content.table;
  const rows = collectionOf(
    Array.from({ length: 940 }, (_, index): [string, Readonly<Record<string, string>>] => [
      `row-${index}`,
      Object.fromEntries(columns.order.map((column) => [column, `${index}:${column}`])),
    ]),
  );
  const made = patched(brackwater, [
    { op: 'replace', path: '/content/table/rows', value: jsonOf(rows) },
  ]);
  if (!made.ok) throw new Error('the rows do not fit');
  return made.document;
};

/** Measuring the layout of a page: how long for each width, and how long a key waits at the most. */
async function measureMeasuring(page: Page, name: string, limit: number): Promise<void> {
  const said = page.getByText(/elements at .* px, measured in/);
  await said.waitFor({ timeout: 120_000 });
  // One change, so that all is measured again while the wait of keys is looked at.
  const waits = await page.evaluate(async () => {
    const found: number[] = [];
    let last = performance.now();
    const limit = document.querySelector<HTMLElement>(
      '[data-decision="/space/limits/phone"] input',
    );
    limit?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
    const until = performance.now() + 6000;
    while (performance.now() < until) {
      await new Promise((resolve) => setTimeout(resolve));
      const now = performance.now();
      found.push(now - last);
      last = now;
    }
    return found.sort((one, other) => other - one);
  });
  const text = (await said.textContent()) ?? '';
  const [, elements = '0', widths = '', ms = '0'] =
    /(\d+) elements at ([\d, ]+) px, measured in (\d+) ms/.exec(text) ?? [];
  const each = Number(ms) / Math.max(1, widths.split(',').length);
  console.log(
    `measure the layout of ${name}, ${elements} elements: ${each.toFixed(0)} ms a width (limit ${limit}); ` +
      `nothing waits longer than ${(waits[0] ?? 0).toFixed(0)} ms`,
  );
}

async function measurePages(browser: Browser, url: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(url);
  await page.getByRole('heading', { name: 'Brackwater Ferries' }).getByRole('link').click();
  await page.getByRole('navigation', { name: 'Areas' }).waitFor();
  const base = page.url().replace(/\/[^/]*$/, '');
  await page.goto(`${base}/space?view=check`);
  await measureMeasuring(page, 'the home page', 50);
  const id = base.split('/').at(-1) ?? '';
  const { sequence } = (await (await page.request.get(`${url}/api/systems/${id}`)).json()) as {
    sequence: number;
  };
  await page.request.post(`${url}/api/systems/${id}/changes`, {
    data: {
      id: crypto.randomUUID(),
      base: sequence,
      patch: [{ op: 'replace', path: '/content/table/rows', value: longPage().content.table.rows }],
      label: 'many rows',
      window: crypto.randomUUID(),
      gesture: crypto.randomUUID(),
      kind: 'change',
    },
  });
  await page.goto(`${base}/space?view=check`);
  await measureMeasuring(page, 'a long page', 500);
  await page.close();
}

async function measureBrowser(): Promise<void> {
  const server = await demoServer('bench');
  const browser = await launch();
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(server.url);
    await page.getByRole('heading', { name: 'Brackwater Ferries' }).getByRole('link').click();
    await page.getByRole('link', { name: /^Type/ }).click();
    await page.getByRole('slider', { name: /^base on the narrow/ }).waitFor();
    await page.frameLocator('iframe[title="Proof"]').getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(1000);
    const found = await movements(page);
    const [work, proof, bench] = (['work', 'proof', 'bench'] as const).map((part) =>
      median(found.map((movement) => movement[part])),
    ) as [number, number, number];
    console.log(
      `one slider movement: ${work.toFixed(1)} ms of work (limit 6), ${(work + proof + bench).toFixed(1)} ms with ` +
        `style and layout (limit 16; ${proof.toFixed(1)} in the proof, ${bench.toFixed(1)} around it)`,
    );
    await measureList(browser, server.url);
    await measurePages(browser, server.url);
  } finally {
    await browser.close();
    await server.close();
  }
}

async function main(): Promise<void> {
  measureCore();
  measureType();
  measureAssignment();
  measureEightRamps();
  measurePixels();
  await measureSampling();
  measureRanking();
  measureTrios();
  measureSpace();
  await measureBrowser();
}

main().catch(end);
