import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { sectionsOf } from '@garnish/core/proof/texts';
import type { Patch } from '@garnish/core/system/patch';
import { jsonOf } from '@garnish/core/system/patch';
import { collectionOf } from '@garnish/core/system/new-document';
import { sampleFamilies } from '@garnish/core/system/sample';
import type { Browser, Locator, Page } from '@playwright/test';
import { launch } from '../browser.ts';
import { demoServer } from '../demo-server.ts';
import { brackwater } from './core.ts';
import { median, ms, type Row } from './measure.ts';

const NAME = 'Brackwater Ferries';
const OTHER = 'Tallow Lane Candles';

async function openSystem(page: Page, url: string, name = NAME): Promise<string> {
  await page.goto(url);
  await page.getByRole('heading', { name, exact: true }).getByRole('link').click();
  await page.getByRole('navigation', { name: 'Areas' }).waitFor();
  return page.url().replace(/\/[^/]*$/, '');
}

/** The control of a movement, and the values it goes through. */
interface Moved {
  readonly name: string;
  readonly address: string;
  readonly find: (page: Page) => Locator;
  /** A slider hears of each value; a field takes each with Enter. */
  readonly by: 'slider' | 'field';
  readonly values: readonly string[];
}

const MOVED: readonly Moved[] = [
  {
    name: 'a base in Type',
    address: 'type',
    find: (page) => page.locator('input[type=range]').first(),
    by: 'slider',
    values: Array.from({ length: 20 }, (_, index) => String(15 + index * 0.5)),
  },
  {
    name: 'a source in Color',
    address: 'color',
    find: (page) => page.getByLabel('Value of buoy', { exact: true }),
    by: 'field',
    values: Array.from({ length: 20 }, (_, index) => `#b5${(0x30 + index * 3).toString(16)}1a`),
  },
  {
    name: 'the unit in Space',
    address: 'space',
    find: (page) => page.locator('[data-decision="/space/unit"] input'),
    by: 'field',
    values: Array.from({ length: 20 }, (_, index) => String(6 + index * 0.2)),
  },
];

/** Dials over many decisions, which are tried as they turn. */
const DIALED: readonly Moved[] = (
  [
    ['all spaces', [60, 70, 80, 90, 110, 120, 130]],
    ['line height of texts', [80, 85, 90, 95, 105, 110, 115]],
    ['distance of all colors from the page', [-3, -2, -1, 1, 2, 3]],
  ] as const
).map(([name, values]) => ({
  name: `the dial of ${name}`,
  address: 'brief?view=dials',
  find: (page) => page.getByRole('slider', { name: `${name}, slider` }),
  by: 'slider',
  values: values.map(String),
}));

interface Movement {
  readonly work: number;
  readonly proof: number;
  readonly bench: number;
}

/**
 * Moves a control again and again, and lets everything come to rest between. Timed are the work up to the changed style sheet (React renders in a
 * microtask), then the style and layout that it causes in the proof and in the page around it.
 */
const movements = (page: Page, moved: Moved): Promise<readonly Movement[]> =>
  moved.find(page).evaluate(
    async (element, { by, values }) => {
      const control = element as HTMLInputElement;
      const frame =
        document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]')?.contentDocument;
      if (!frame) throw new Error('there is no proof');
      const own = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
      const found = [];
      for (let index = 0; index < 90; index += 1) {
        // What follows the movement before, checks and drawings, is over.
        await new Promise((resolve) => setTimeout(resolve, 120));
        await new Promise(requestAnimationFrame);
        if (by === 'field') {
          control.focus();
          own?.set?.call(control, values[index % values.length] ?? '');
          control.dispatchEvent(new Event('input', { bubbles: true }));
          await new Promise(requestAnimationFrame);
        }
        const started = performance.now();
        if (by === 'slider') {
          own?.set?.call(control, values[index % values.length] ?? '');
          control.dispatchEvent(new Event('input', { bubbles: true }));
        } else control.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        await Promise.resolve();
        const worked = performance.now();
        frame.body.getBoundingClientRect();
        const proofed = performance.now();
        document.body.getBoundingClientRect();
        const ended = performance.now();
        found.push({ work: worked - started, proof: proofed - worked, bench: ended - proofed });
      }
      return found.slice(20);
    },
    { by: moved.by, values: moved.values },
  );

const choiceOf = (page: Page): Locator => page.getByRole('combobox', { name: 'Page of the proof' });

/** Movements beside the home page of the demo, or beside its sheet of parts. */
async function movingBeside(
  browser: Browser,
  url: string,
  shown: string,
  all: readonly Moved[] = MOVED,
): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const base = await openSystem(page, url);
  const rows: Row[] = [];
  const beside = shown === SHEET_OF_PARTS ? ' beside the sheet of parts' : '';
  for (const moved of all) {
    await page.goto(`${base}/${moved.address}`);
    await moved.find(page).waitFor();
    await page.frameLocator('iframe[title="Proof"]').getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(1000);
    await choiceOf(page).selectOption(shown);
    await page.waitForTimeout(6000);
    const found = await movements(page, moved);
    const [work, proof, bench] = (['work', 'proof', 'bench'] as const).map((part) =>
      median(found.map((movement) => movement[part])),
    ) as [number, number, number];
    const whole = median(found.map((one) => one.work + one.proof + one.bench));
    rows.push(
      ms(`one movement of ${moved.name}${beside}: work`, work, '', 4),
      ms(
        `one movement of ${moved.name}${beside}: with style and layout`,
        whole,
        `${proof.toFixed(1)} in the proof, ${bench.toFixed(1)} around it`,
        12,
      ),
    );
  }
  await page.close();
  return rows;
}

const moving = async (browser: Browser, url: string): Promise<Row[]> => [
  ...(await movingBeside(browser, url, 'home')),
  ...(await movingBeside(browser, url, SHEET_OF_PARTS)),
];

/** Things that are pointed at to be tried: where they are, and which of them. */
const POINTED: readonly (readonly [name: string, address: string, selector: string])[] = [
  ['a place of a heading', 'type', 'select[aria-label="Place of h2"] option'],
  ['a corner of cards', 'space?view=shape', '[data-decision="/shape/corners/card"] select option'],
  ['a palette as a whole', 'color', 'button[aria-label^="Take "][aria-label$=" whole"]'],
  ['a color as the action', 'color', 'button[title$=": take it as action"]'],
];

/** Dials, and how long after something is reached it stands in the proof, laid out. */
async function trying(browser: Browser, url: string): Promise<Row[]> {
  const rows = await movingBeside(browser, url, 'home', DIALED);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const base = await openSystem(page, url);
  for (const [name, address, selector] of POINTED) {
    await page.goto(`${base}/${address}`);
    await page.locator(selector).first().waitFor({ state: 'attached' });
    await page.frameLocator('iframe[title="Proof"]').getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(6000);
    const times = await page.evaluate(async (which) => {
      const things = [...document.querySelectorAll<HTMLElement>(which)];
      const frame =
        document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]')?.contentDocument;
      if (!frame) throw new Error('there is no proof');
      const found: number[] = [];
      for (let index = 0; index < 40; index += 1) {
        const thing = things[index % things.length];
        await new Promise((resolve) => setTimeout(resolve, 120));
        const started = performance.now();
        thing?.dispatchEvent(new FocusEvent('focusin', { bubbles: true }));
        await Promise.resolve();
        frame.body.getBoundingClientRect();
        found.push(performance.now() - started);
        thing?.dispatchEvent(new FocusEvent('focusout', { bubbles: true }));
      }
      return found.slice(8).sort((one, other) => one - other);
    }, selector);
    rows.push(
      ms(
        `trying ${name}: until it stands in the proof, 95 of 100`,
        times[Math.floor(times.length * 0.95)] ?? NaN,
        `median ${median(times).toFixed(1)} ms`,
        50,
      ),
    );
  }
  await page.close();
  return rows;
}

/** How long it takes from the press until a component stands there in its states; the first time fetches it. */
async function openingComponents(page: Page): Promise<number> {
  const times = await page.evaluate(async () => {
    const [away, there] = ['space', 'components'].map((area) =>
      document.querySelector<HTMLAnchorElement>(`nav[aria-label="Areas"] a[href$="/${area}"]`),
    );
    if (!away || !there) throw new Error('there is no way to the area');
    const found: number[] = [];
    for (let round = 0; round < 7; round += 1) {
      away.click();
      await new Promise((resolve) => setTimeout(resolve, 1200));
      const started = performance.now();
      there.click();
      while (
        !document
          .querySelector<HTMLIFrameElement>('iframe[title$="in its states"]')
          ?.contentDocument?.querySelector('.drawn [class]')
      )
        await new Promise((resolve) => setTimeout(resolve));
      if (round > 0) found.push(performance.now() - started);
    }
    return found;
  });
  return median(times);
}

/** How long after a page was chosen it stands in the proof, laid out: of each page the median of several times. */
async function turning(browser: Browser, url: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await openSystem(page, url);
  await page.waitForTimeout(6000);
  const found = await choiceOf(page).evaluate(async (element) => {
    const choice = element as HTMLSelectElement;
    const frame =
      document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]')?.contentDocument;
    if (!frame) throw new Error('there is no proof');
    const times = new Map<string, number[]>();
    for (let round = 0; round < 7; round += 1)
      for (const { value } of choice.options) {
        // What is written on the page says which one it is.
        const mark = value.startsWith('~')
          ? '.sheet'
          : `[data-section^="/content/pages/items/${value}/"]`;
        if (frame.querySelector(mark)) continue;
        await new Promise((resolve) => setTimeout(resolve, 400));
        const started = performance.now();
        choice.value = value;
        choice.dispatchEvent(new Event('change', { bubbles: true }));
        while (!frame.querySelector(mark)) await new Promise((resolve) => setTimeout(resolve));
        frame.body.getBoundingClientRect();
        const took = performance.now() - started;
        // The first time fetches what the sheet is made with.
        if (round > 0) times.set(value, [...(times.get(value) ?? []), took]);
      }
    return [...times];
  });
  const opened = await openingComponents(page);
  await page.close();
  const sheet = found.filter(([id]) => id === SHEET_OF_PARTS).map(([, times]) => median(times));
  const others = found.filter(([id]) => id !== SHEET_OF_PARTS).map(([, times]) => median(times));
  return [
    ms(
      'turning to another page of the demo, the slowest',
      Math.max(...others),
      `of ${others.length}`,
      100,
    ),
    ms('turning to the sheet of parts', Math.max(...sheet), '', 100),
    ms(
      'opening the area of components, once it was fetched',
      opened,
      'until a component is drawn in its states',
      200,
    ),
  ];
}

/** What is held after many edits, as a share of what was held before them. */
async function memory(browser: Browser, url: string): Promise<Row> {
  const edits = 2000;
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const base = await openSystem(page, url);
  await page.goto(`${base}/type`);
  await page.locator('input[type=range]').first().waitFor();
  const client = await page.context().newCDPSession(page);
  const used = async (): Promise<number> => {
    await client.send('HeapProfiler.collectGarbage');
    await client.send('HeapProfiler.collectGarbage');
    return (await client.send('Runtime.getHeapUsage')).usedSize;
  };
  const edit = (count: number): Promise<void> =>
    page.evaluate(async (times) => {
      const slider = document.querySelector<HTMLInputElement>('input[type=range]');
      const own = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
      for (let index = 0; index < times; index += 1) {
        own?.set?.call(slider, String(15 + (index % 40) * 0.25));
        slider?.dispatchEvent(new Event('input', { bubbles: true }));
        if (index % 10 === 0) await new Promise(requestAnimationFrame);
      }
    }, count);
  // The first edits fill what is remembered at any time.
  await edit(200);
  await page.waitForTimeout(3000);
  const before = await used();
  await edit(edits);
  await page.waitForTimeout(4000);
  const now = await used();
  await page.close();
  return {
    name: `memory after ${edits} edits`,
    value: (now / before) * 100,
    unit: '%',
    against: `before them: ${(before / 1e6).toFixed(1)} to ${(now / 1e6).toFixed(1)} MB`,
    limit: 110,
  };
}

/**
 * The list of families with 300 generated entries: what one step of scrolling costs, and how long
 * after an arrow key the proof stands in the face that it tries, once its file has been loaded.
 */
async function list(browser: Browser, url: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const families = sampleFamilies();
  const generated = Array.from({ length: 300 }, (_, index) => {
    const family = families[index % families.length];
    return index < families.length
      ? family
      : { ...family, id: `${family?.id}-${index}`, name: `${family?.name} ${index}` };
  });
  await page.route('**/api/fonts', (route) => route.fulfill({ json: generated }));
  await openSystem(page, url);
  await page.getByRole('link', { name: /^Fonts/ }).click();
  const listbox = page.getByRole('listbox', { name: 'Families for the heading face' });
  await listbox.getByRole('option').first().waitFor();
  await page.getByText('300 of 300').waitFor();
  const steps = await listbox.evaluate(async (element) => {
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
  await listbox.focus();
  await page.keyboard.press('Home');
  for (let round = 0; round < 12; round += 1) await page.keyboard.press('ArrowDown');
  await page.waitForTimeout(1500);
  const tries = await listbox.evaluate(async (element) => {
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
  await page.close();
  return [
    ms(
      'one step of scrolling 300 families, 95 of 100',
      steps[Math.floor(steps.length * 0.95)] ?? NaN,
      '',
      16,
    ),
    ms(
      'a face tried by key stands in the proof, at most',
      Math.max(...tries),
      `median ${median(tries).toFixed(1)} ms`,
      100,
    ),
  ];
}

/**
 * The table of 5,000 tokens: how many frames are dropped while it is scrolled from end to end, as the browser tells of
 * frames.
 */
async function tokens(browser: Browser, url: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // Another demo than those before it were measured with, whose pages are as they were.
  const address = await openSystem(page, url, OTHER);
  const id = address.split('/').at(-1) ?? '';
  const own = Array.from({ length: 4400 }, (_, at): [string, object] => [
    `own-${at}`,
    {
      path: `elsewhere.group-${at % 60}.token-${at}`,
      type: at % 2 === 0 ? 'dimension' : 'color',
      value:
        at % 2 === 0
          ? { value: at % 400, unit: 'px' }
          : { colorSpace: 'srgb', components: [(at % 256) / 255, (at % 97) / 97, 0.5], alpha: 1 },
      description: `What token ${at} is for.`,
    },
  ]);
  const { sequence } = (await (await page.request.get(`${url}/api/systems/${id}`)).json()) as {
    readonly sequence: number;
  };
  const answer = await page.request.post(`${url}/api/systems/${id}/changes`, {
    data: {
      id: crypto.randomUUID(),
      base: sequence,
      label: 'many tokens',
      window: crypto.randomUUID(),
      gesture: crypto.randomUUID(),
      patch: [{ op: 'replace', path: '/tokens/custom', value: jsonOf(collectionOf(own)) }],
    },
  });
  if (!answer.ok()) throw new Error(`the tokens were refused: ${await answer.text()}`);
  await page.goto(`${address}/tokens`);
  const table = page.getByRole('listbox', { name: 'Tokens' });
  await table.getByRole('option').first().waitFor();
  // What is measured after opening, the pages and the sheet of parts with all these tokens, is over by then.
  await page.waitForTimeout(12_000);
  const frames = await table.evaluate(async (element) => {
    const found: number[] = [];
    let before = await new Promise<number>(requestAnimationFrame);
    for (let index = 0; index < 300; index += 1) {
      element.scrollTop += 260;
      const now = await new Promise<number>(requestAnimationFrame);
      found.push(now - before);
      before = now;
    }
    return found;
  });
  await page.close();
  const FRAME_MS = 1000 / 60;
  const dropped = frames.reduce(
    (sum, frame) => sum + Math.max(0, Math.round(frame / FRAME_MS) - 1),
    0,
  );
  return [
    {
      name: 'frames dropped while 5,000 tokens are scrolled, ten rows a frame',
      value: (dropped / frames.length) * 100,
      unit: '%',
      limit: 1,
      against: `${dropped} of ${frames.length}, the longest ${Math.max(...frames).toFixed(1)} ms`,
    },
  ];
}

/** The home page with so many more rows in its table that it has about 5,000 elements. */
const longPage = (): Patch => {
  const [table] = sectionsOf(brackwater.content, 'table');
  if (!table) throw new Error('the demo has no table');
  const { columns } = table.own;
  const rows = collectionOf(
    Array.from({ length: 940 }, (_, index): [string, Readonly<Record<string, string>>] => [
      `row-${index}`,
      Object.fromEntries(columns.order.map((column) => [column, `${index}:${column}`])),
    ]),
  );
  return [{ op: 'replace', path: `${table.path}/rows`, value: jsonOf(rows) }];
};

/** What a page keeps of the keys that it was given, and of its long tasks, in ms. */
interface Waited {
  waits: number[];
  tasks: number[];
}

/** Measuring the layout of a page: how long for each width, and how long a task keeps the keys waiting. */
async function measuring(page: Page, name: string, limit: number, isEach: boolean): Promise<Row[]> {
  const said = page.getByText(/elements at .* px, measured in/);
  await said.waitFor({ timeout: 120_000 });
  // One change, so that all is measured again; the change itself is another matter, measured as a movement.
  await page.evaluate(async () => {
    const control = document.querySelector<HTMLElement>('[data-decision="/space/unit"] input');
    control?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
    await new Promise((resolve) => setTimeout(resolve, 500));
    const seen = window as unknown as Waited;
    seen.waits = [];
    seen.tasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.tasks.push(duration);
    }).observe({ type: 'longtask' });
    addEventListener(
      'keydown',
      ({ timeStamp }) => seen.waits.push(performance.now() - timeStamp),
      true,
    );
  });
  // A key that changes nothing, again and again, at any moment of what goes on there.
  const until = performance.now() + 8000;
  while (performance.now() < until) await page.keyboard.press('Shift');
  const { waits, tasks } = await page.evaluate(() => {
    const { waits: found, tasks: long } = window as unknown as Waited;
    return { waits: found, tasks: long };
  });
  const text = (await said.textContent()) ?? '';
  const [, elements = '0', widths = '', whole = '0'] =
    /(\d+) elements at ([\d, ]+) px, measured in (\d+) ms/.exec(text) ?? [];
  // All pages of the site are measured, each at every width.
  const pages = choiceOf(page).locator(`option:not([value="${SHEET_OF_PARTS}"])`);
  const parts = isEach ? await pages.count() : 1;
  const each = Number(whole) / Math.max(1, widths.split(',').length) / parts;
  return [
    ms(
      `measure the layout of ${name}, ${isEach ? 'each page and width' : 'each width'}`,
      each,
      `${elements} elements`,
      limit,
    ),
    ms(
      `the longest wait of a key meanwhile, ${name}`,
      waits.length === 0 ? NaN : Math.max(...waits),
      `${waits.length} keys, ${tasks.length} tasks over 50 ms`,
      50,
    ),
  ];
}

async function pages(browser: Browser, url: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const base = await openSystem(page, url);
  await page.goto(`${base}/space?view=check`);
  const home = await measuring(page, 'the pages of the demo', 50, true);
  const id = base.split('/').at(-1) ?? '';
  const { sequence } = (await (await page.request.get(`${url}/api/systems/${id}`)).json()) as {
    sequence: number;
  };
  await page.request.post(`${url}/api/systems/${id}/changes`, {
    data: {
      id: crypto.randomUUID(),
      base: sequence,
      patch: longPage(),
      label: 'many rows',
      window: crypto.randomUUID(),
      gesture: crypto.randomUUID(),
      kind: 'change',
    },
  });
  await page.goto(`${base}/space?view=check`);
  const long = await measuring(page, 'a long page', 500, false);
  await page.close();
  return [...home, ...long];
}

/** How fast the machine is just now: what no change of ours can change. */
async function reference(browser: Browser, when: string): Promise<Row> {
  const page = await browser.newPage();
  const took = await page.evaluate(() => {
    const started = performance.now();
    let sum = 0;
    for (let index = 0; index < 100_000_000; index += 1) sum = (sum * 31 + index) | 0;
    return sum === 0 ? 0 : performance.now() - started;
  });
  await page.close();
  return ms(`reference: a bare loop of 100 million steps, ${when}`, took, '');
}

/** What is measured in the browser; names choose among the parts. */
export async function browserRows(only: readonly string[] = []): Promise<readonly Row[]> {
  const server = await demoServer('bench');
  const browser = await launch();
  const parts = { moving, trying, turning, memory, list, pages, scrolling: tokens } as const;
  const rows: Row[] = [];
  try {
    rows.push(await reference(browser, 'before'));
    for (const [name, part] of Object.entries(parts))
      if (only.length === 0 || only.includes(name))
        rows.push(...[await part(browser, server.url)].flat());
    rows.push(await reference(browser, 'after'));
    return rows;
  } finally {
    await browser.close();
    await server.close();
  }
}
