import { COMPONENTS } from '@garnish/core/components/components';
import { derive } from '@garnish/core/derive/derive';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { element, writeHtml } from '@garnish/core/proof/node';
import { specimenOf, variantsOf } from '@garnish/core/proof/specimens';
import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  goOn,
  openArea,
  saved,
  test,
  violationsOf,
} from './garnish.ts';
import { servePlain } from './plain.ts';

/** The SVG of the drawing that is shown, once it is that of a component on a screen. */
async function drawn(page: Page, title: string, screenPx: number): Promise<string> {
  const source = await page.waitForFunction(
    ([wanted, foot]) => {
      const image = document.querySelector<HTMLImageElement>('img[alt*="Measures:"]');
      if (!image || image.closest('[aria-busy="true"]')) return false;
      const svg = decodeURIComponent(image.src.slice(image.src.indexOf(',') + 1));
      return svg.includes(`aria-label="${wanted}"`) && svg.includes(foot) && svg;
    },
    [title, `on a screen of ${screenPx} px`] as const,
  );
  return String(await source.jsonValue());
}

interface FoundMeasure {
  readonly key: string;
  readonly px: number;
  readonly along: number;
}

interface Read {
  readonly measures: readonly FoundMeasure[];
  readonly labels: readonly (readonly [left: number, top: number, width: number, height: number])[];
  readonly component: readonly [left: number, top: number, width: number, height: number];
}

/** What a drawing says, read from its SVG alone, on a page that lets one read it. */
const readDrawing = (page: Page, svg: string): Promise<Read> =>
  page.evaluate((text) => {
    const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
    const numbers = (box: Element): [number, number, number, number] => {
      const at = (name: string) => Number(box.getAttribute(name));
      return [at('x'), at('y'), at('width'), at('height')];
    };
    const groups = [...parsed.querySelectorAll('g[data-measure]')];
    const [first] = groups;
    const block = first?.parentElement;
    const rects = [...(block?.children ?? [])].filter((one) => one.localName === 'rect');
    return {
      measures: groups.map((group) => {
        // Helping lines, leader, the measure itself, its ends.
        const line = [...group.querySelectorAll('path')].at(-2)?.getAttribute('d') ?? '';
        const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = (line.match(/-?[\d.]+/g) ?? []).map(Number);
        return {
          key: group.getAttribute('data-measure') ?? '',
          px: Number(group.getAttribute('data-px')),
          along: Math.hypot(x2 - x1, y2 - y1),
        };
      }),
      labels: rects.filter((rect) => rect.getAttribute('fill') === '#fff').map(numbers),
      component: numbers(
        rects.find((rect) => rect.getAttribute('fill') === 'none') ?? parsed.documentElement,
      ),
    };
  }, svg);

/** The same lengths of a plain page, by its own layout: the key of a measure says of what. */
const inPlain = (page: Page, name: string, keys: readonly string[]): Promise<number[]> =>
  page.evaluate(
    ([which, wanted]) => {
      const room = document.querySelector<HTMLElement>(`[data-drawing="${which}"]`);
      const root = room?.firstElementChild;
      if (!room || !root) return [];
      room.style.display = 'block';
      const isInline = getComputedStyle(root).display.startsWith('inline');
      room.style.display = 'grid';
      if (isInline) room.style.width = 'max-content';
      const nameOf = (one: Element): string =>
        (
          [...one.classList].find((own) => !/^(?:on|fill|wash|width|span)-/.test(own)) ??
          one.localName
        )
          .replace(/^type-/, 'words in ')
          .replaceAll('-', ' ');
      const at = (place: string): Element | undefined => {
        let here: Element | undefined = root;
        for (const part of place.split('/').slice(1)) {
          const [, own = '', count = '1'] = /^(.*?)(?: (\d+))?$/.exec(part) ?? [];
          here = [...(here?.children ?? [])].filter(
            (one) => nameOf(one) === own || nameOf(one) === part,
          )[Number(count) - 1];
        }
        return here;
      };
      return wanted.map((key) => {
        const [, kind = '', place = '', side = ''] = /^(\w+) (.*) (\w+)$/.exec(key) ?? [];
        const thing = at(place);
        if (!thing) return Number.NaN;
        const box = thing.getBoundingClientRect();
        if (kind === 'size') return side === 'height' ? box.height : box.width;
        const style = getComputedStyle(thing);
        const property =
          kind === 'gap' ? `${side}-gap` : `${kind === 'inset' ? 'padding' : 'margin'}-${side}`;
        return Number.parseFloat(style.getPropertyValue(property));
      });
    },
    [name, keys] as const,
  );

test('every measure of every component equals the layout of the exported sheet at three widths, and no label covers another', async ({
  page,
  context,
  request,
}) => {
  test.setTimeout(240_000);
  const id = await copyOf(request, BRACKWATER);
  const system = await documentOf(request, id);
  const derived = derive(system);
  const all = COMPONENTS.flatMap((component) =>
    variantsOf(component, ownVariantsOf(system.components)).map((variant) => ({
      component,
      variant,
    })),
  );
  const plain = await context.newPage();
  const rooms = all.map(({ component, variant }) => ({
    ...element('div', { class: 'site' }, specimenOf(variant, derived)),
    attributes: {
      class: 'site',
      'data-drawing': `${component.id} ${variant.id}`,
      style: 'display: grid; width: 360px',
    },
  }));
  const still =
    '<style>[data-drawing] > * { position: static !important; translate: none !important } :is(.dialog, .skip-link, .nav-panel, .tip) { justify-self: start; display: block !important }</style>';
  await servePlain(
    plain,
    id,
    new Map([['all', still + rooms.map((room) => writeHtml(room, () => '')).join('')]]),
  );
  await openArea(page, id, 'handoff?view=drawings');
  await page.getByText('How it is drawn').click();
  for (const chapter of ['parts', 'states', 'narrow to wide'])
    await page.getByRole('checkbox', { name: chapter, exact: true }).uncheck();
  let told = 0;
  for (const screenPx of [375, 720, 1440]) {
    await plain.setViewportSize({ width: screenPx, height: 900 });
    await plain.goto('/plain/all');
    await plain.evaluate(async () => {
      await document.fonts.ready;
    });
    for (const { component, variant } of all) {
      await goOn(page, id, `handoff?view=drawings&component=${component.id}&variant=${variant.id}`);
      await page
        .getByRole('group', { name: 'Width of the screen, px' })
        .getByRole('button', { name: String(screenPx) })
        .click();
      const title =
        variant.name.toLowerCase() === component.name.toLowerCase()
          ? component.name
          : `${component.name}: ${variant.name}`;
      const name = `${component.id} ${variant.id}`;
      const {
        measures,
        labels,
        component: box,
      } = await readDrawing(plain, await drawn(page, title, screenPx));
      const there = await inPlain(
        plain,
        name,
        measures.map(({ key }) => key),
      );
      const off = measures.flatMap(({ key, px, along }, index) => {
        const isTrue = Math.abs(px - (there[index] ?? Number.NaN)) <= 0.01;
        return isTrue && Math.abs(px - along) <= 0.011 ? [] : [[key, px, along, there[index]]];
      });
      expect([name, screenPx, off]).toEqual([name, screenPx, []]);
      const boxes = [...labels, box];
      const covered = boxes.flatMap(([x, y, w, h], index) =>
        boxes
          .slice(index + 1)
          .filter(([x2, y2, w2, h2]) => x < x2 + w2 && x2 < x + w && y < y2 + h2 && y2 < y + h)
          .map((other) => [[x, y, w, h], other]),
      );
      expect([name, screenPx, covered]).toEqual([name, screenPx, []]);
      told += measures.length;
    }
  }
  expect(told).toBeGreaterThan(600);
});

test('a component is drawn, a label moved by hand and by key, a corner changed: the drawing stays right, and is taken', async ({
  page,
  context,
  request,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'handoff?view=drawings&component=card');
  const image = page.getByRole('img', { name: /^Card: usual/ });
  const label = page.getByRole('button', { name: /^Label inset 16 all round/ });
  await expect(label).toBeVisible();
  expect(await violationsOf(page, { within: 'main' })).toEqual([]);

  // By hand: it is kept, and goes back with an undo.
  const before = await label.boundingBox();
  await label.hover();
  await page.mouse.down();
  await page.mouse.move((before?.x ?? 0) + 60, (before?.y ?? 0) + 70, { steps: 4 });
  await page.mouse.up();
  await expect(label).toHaveAccessibleName(/, moved$/);
  const after = await label.boundingBox();
  expect((after?.y ?? 0) - (before?.y ?? 0)).toBeGreaterThan(30);
  await saved(page);
  const [kept] = Object.values((await documentOf(request, id)).components.labels?.items ?? {});
  expect(kept).toMatchObject({ drawing: 'card usual', measure: 'inset card top' });
  // By key, and back where it stood by itself.
  await label.press('ArrowDown');
  await expect
    .poll(async () => {
      await saved(page);
      const { labels } = (await documentOf(request, id)).components;
      return Object.values(labels?.items ?? {})[0]?.y;
    })
    .toBe((kept?.y ?? 0) + 4);
  await expect(label).toBeFocused();
  await label.press('Home');
  await expect(label).not.toHaveAccessibleName(/, moved$/);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(label).toHaveAccessibleName(/, moved$/);

  // Made again after a change: the corner in its list of parts, the moved label where it was put.
  await expect(image).toHaveAccessibleName(/corner 4 card\.corner/);
  await change(request, id, [{ op: 'replace', path: '/shape/radii/items/soft/px', value: 9 }]);
  await expect(image).toHaveAccessibleName(/corner 9 card\.corner/);
  await expect(label).toHaveAccessibleName(/, moved$/);

  // How it is drawn.
  await page.getByText('How it is drawn').click();
  await page.getByRole('group', { name: 'What labels tell' }).getByText('value').click();
  await page.getByRole('group', { name: 'Unit of the drawing' }).getByText('rem').click();
  await expect(image).toHaveAccessibleName(/inset 1rem all round gap/);
  await page.getByText('everything in it is measured').click();
  await page.getByRole('checkbox', { name: 'card', exact: true }).uncheck();
  await expect(image).not.toHaveAccessibleName(/inset 1rem all round/);
  await page.getByRole('checkbox', { name: 'card', exact: true }).check();

  // Taken: as a file, at twice its size, and on the clipboard.
  const taken = page.waitForEvent('download');
  await page.getByRole('button', { name: 'SVG', exact: true }).click();
  const svg = await readFile(await (await taken).path(), 'utf8');
  expect(svg).toContain('<title>Card: usual</title>');
  // Nothing in it is fetched.
  expect(svg.match(/(?:src|href)="(?!data:)[^"]+"|url\((?!"?(?:data:|#))[^)]+\)/g) ?? []).toEqual(
    [],
  );
  const picture = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PNG, twice its size' }).click();
  const bytes = await readFile(await (await picture).path());
  const [, width = '0'] = /<svg[^>]* width="(\d+)"/.exec(svg) ?? [];
  expect(bytes.subarray(1, 4).toString()).toBe('PNG');
  expect(bytes.readUInt32BE(16)).toBe(2 * Number(width));
  await page.getByRole('button', { name: 'Copy as SVG' }).click();
  await expect(page.getByRole('button', { name: 'copied' })).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(svg);
  await page.getByRole('button', { name: 'Copy as picture' }).click();
  await expect
    .poll(() => page.evaluate(async () => (await navigator.clipboard.read())[0]?.types))
    .toContain('image/png');

  // One page explains the others.
  await page.getByRole('combobox', { name: 'drawn' }).selectOption('approach');
  await expect(page.getByRole('img', { name: /^The approach of .* unit of 8 px/ })).toBeVisible();

  // The picture in the drawing looks as the sheet has it: its own layout equals what was measured.
  const other = await context.newPage();
  await other.setContent(svg);
  const px = (key: string): number =>
    Number(new RegExp(`data-measure="${key}" data-px="([\\d.]+)"`).exec(svg)?.[1]);
  const card = other.locator('foreignObject .card').first();
  await expect
    .poll(async () =>
      card.evaluate((one) => {
        const { width: w, height: h } = one.getBoundingClientRect();
        return [w, h];
      }),
    )
    .toEqual([px('size card width'), px('size card height')]);
  expect(await card.evaluate((one) => getComputedStyle(one).borderRadius)).toBe('9px');
});
