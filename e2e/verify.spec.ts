import { derive } from '@garnish/core/derive/derive';
import { namedProperty } from '@garnish/core/formats/naming';
import { inOrder, MODES } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { propertyOf } from '@garnish/core/tokens/token';
import { fluidPx, type FluidSize } from '@garnish/core/type/fluid';
import type { Page } from '@playwright/test';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  KESTREL,
  openArea,
  TALLOW,
  test,
} from './garnish.ts';

const white = { colorSpace: 'srgb', components: [1, 1, 1], alpha: 1, hex: '#ffffff' };
const black = { colorSpace: 'srgb', components: [0, 0, 0], alpha: 1, hex: '#000000' };
const px = (value: number) => ({ value, unit: 'px' });

/** Everything that stands between a decision and what a file says: names, a layer, themes, classes, tokens from elsewhere. */
const ODD: Patch = [
  {
    op: 'add',
    path: '/tokens/sheet',
    value: jsonOf({
      properties: 'rc',
      classes: 'x',
      layer: 'look',
      registered: true,
      tiers: {
        primitive: { joint: '_' },
        semantic: { prefix: 'role' },
        component: { prefix: 'part', groupLast: true, joint: '--' },
      },
      called: { order: ['paper'], items: { paper: { of: 'color.page', name: 'paper.white' } } },
      former: { order: ['one', 'two'], items: { one: {}, two: { properties: 'before' } } },
    }),
  },
  { op: 'add', path: '/color/themes', value: 'dark first' },
  { op: 'add', path: '/type/root', value: 62.5 },
  {
    op: 'add',
    path: '/space/utilities',
    value: { prefix: 'u-', steps: 'all', breakpoints: true },
  },
  {
    op: 'replace',
    path: '/tokens/custom',
    value: jsonOf({
      order: ['base', 'gap', 'again', 'edge', 'cast', 'way'],
      items: {
        base: { path: 'old.base', type: 'color', value: white, dark: { value: black } },
        gap: { path: 'old.gap', type: 'dimension', value: px(-3), dark: { value: px(5) } },
        again: { path: 'old.again', type: 'color', value: white, alias: 'old.base' },
        edge: {
          path: 'old.edge',
          type: 'border',
          value: { width: px(2), style: 'dashed', color: white },
          parts: { '/color': 'old.base' },
        },
        cast: {
          path: 'old.cast',
          type: 'shadow',
          value: [
            { color: white, offsetX: px(0), offsetY: px(2), blur: px(4), spread: px(0) },
            { color: black, offsetX: px(0), offsetY: px(8), blur: px(9), inset: true },
          ],
          parts: { '/0/color': 'old.base', '/1/offsetX': 'old.gap' },
        },
        way: {
          path: 'old.way',
          type: 'gradient',
          value: [
            { color: white, position: 0 },
            { color: black, position: 1 },
          ],
          parts: { '/0/color': 'old.base' },
        },
      },
    }),
  },
];

const group = (page: Page) => page.getByRole('group', { name: 'Verify', exact: true });
const verify = async (page: Page, id: string) => {
  await openArea(page, id, 'tokens?view=files');
  await page.getByRole('button', { name: 'Verify', exact: true }).click();
};

test.describe('every file says what is shown, in each theme, at each width', () => {
  for (const [name, patch] of [
    [BRACKWATER, []],
    [KESTREL, []],
    [TALLOW, ODD],
  ] as const)
    test(patch.length === 0 ? name : `${name}, with everything odd`, async ({ page, request }) => {
      const id = await copyOf(request, name);
      if (patch.length > 0) await change(request, id, patch);
      await verify(page, id);
      await expect(group(page).getByText(/^[\d,]+ values, all as shown$/)).toBeVisible({
        timeout: 60_000,
      });
      // What came out is kept with the export, and told in it.
      const text = await (await request.get(`/api/systems/${id}/export/verified.md`)).text();
      expect(text.match(/as shown/g)?.length).toBe(patch.length === 0 ? 8 : 9);
      expect(text).not.toContain('differ');
      const handoff = await (await request.get(`/api/systems/${id}/export/handoff.md`)).text();
      expect(handoff).toMatch(/## Verified files\n\n- `tokens\.css`: [\d,]+ values/);
    });
});

test('a file that says another thing is told with its figures, is a finding, and stays one until something changes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await page.route('**/export/tokens-stepped.css', async (route) => {
    const answer = await route.fetch();
    const body = (await answer.text())
      .replaceAll(/--corner-card: [^;]+;/g, '--corner-card: 77px;')
      .replaceAll(/--duration-calm: [^;]+;/g, '');
    await route.fulfill({ response: answer, body });
  });
  await verify(page, id);
  await expect(group(page).getByText(/^[\d,]+ of [\d,]+ values differ$/)).toBeVisible({
    timeout: 60_000,
  });
  const row = group(page)
    .getByRole('row')
    .filter({ hasText: /^duration\.calm/ })
    .first();
  await expect(row.getByRole('cell').nth(1)).toHaveText(/s$/);
  await expect(row.getByRole('cell').nth(2)).toHaveText('not in the file');
  await expect(
    group(page)
      .getByRole('row')
      .filter({ hasText: /^corner\.card/ })
      .first()
      .getByRole('cell')
      .nth(2),
  ).toHaveText('77px');
  // The others are right, and said to be.
  await expect(group(page).getByText(/^[\d,]+ values of \d+ tokens as shown/)).toHaveCount(7);
  const finding = page.getByText('tokens-stepped.css does not say what is shown');
  await openArea(page, id, 'review');
  // Opened anew: what was kept is of what is saved.
  await expect(finding).toBeVisible({ timeout: 15_000 });
  await page.getByRole('link', { name: 'tokens' }).first().click();
  await change(request, id, [{ op: 'replace', path: '/name', value: 'Another name' }]);
  await openArea(page, id, 'review');
  await page.waitForTimeout(5000);
  await expect(finding).toHaveCount(0);
  await openArea(page, id, 'tokens?view=files');
  await expect(group(page).getByText(/values differ, before the last change$/)).toBeVisible();
});

test('verifying is called off, or fails in words, and what was known is kept', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, KESTREL);
  await page.route('**/export/tokens-flat.json', (route) => route.abort());
  await verify(page, id);
  await expect(group(page).getByRole('progressbar')).toBeVisible();
  await group(page).getByRole('button', { name: 'Cancel' }).click();
  await expect(group(page).getByRole('progressbar')).toHaveCount(0);
  const button = page.getByRole('button', { name: 'Verify', exact: true });
  await expect(button).toBeFocused();
  await button.click();
  await expect(group(page).getByRole('alert')).toContainText('The server does not answer', {
    timeout: 60_000,
  });
  const kept: unknown = await (await request.get(`/api/systems/${id}/verified`)).json();
  expect(kept).toBeNull();
  // Without the file that does not come, the others are verified.
  await group(page).getByText('8 of 8 files').click();
  await group(page).getByRole('checkbox', { name: 'tokens-flat.json' }).uncheck();
  await button.click();
  await expect(group(page).getByText(/values, all as shown$/)).toBeVisible({ timeout: 60_000 });
  expect(quietConsole.splice(0).every((said) => said.includes('ERR_FAILED'))).toBe(true);
});

test.describe('the sheet as a browser computes it', () => {
  // Against the figures of core itself, by the reader's preference rather than an attribute.
  for (const colorScheme of MODES)
    test(`has every flowing size and every color of roles, in ${colorScheme}`, async ({
      page,
      request,
    }) => {
      const id = await copyOf(request, BRACKWATER);
      const document = await documentOf(request, id);
      const derived = derive(document);
      const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
      const sizes: readonly (readonly [string, FluidSize])[] = [...derived.styles.values()].map(
        ({ slug, size }) => [`type.${slug}.size`, size],
      );
      const spaces = [...derived.spaces.values()].flatMap(({ slug, inline }) =>
        inline.fluid ? [[`space.${slug}`, inline.fluid] as const] : [],
      );
      await page.emulateMedia({ colorScheme });
      for (const [, { width }] of inOrder(document.type.anchors)) {
        await page.setViewportSize({ width, height: 600 });
        await page.setContent(`<style>${css}</style><p id="p"></p>`);
        const read = await page.evaluate(
          ([lengths, colors]) => {
            const element = globalThis.document.querySelector<HTMLElement>('#p');
            if (!element) return { lengths: [], colors: [] };
            element.style.position = 'absolute';
            const style = getComputedStyle(element);
            return {
              lengths: lengths.map((name) => {
                element.style.marginLeft = `var(${name})`;
                return Number.parseFloat(style.marginLeft);
              }),
              colors: colors.map((name) => {
                element.style.color = `var(${name})`;
                return style.color;
              }),
            };
          },
          [
            [...sizes, ...spaces]
              .filter(([, { unit }]) => unit !== 'cqi')
              .map(([token]) => nameOf(token)),
            [...derived.colors.values()].map(({ slug }) => nameOf(`color.${slug}`)),
          ] as const,
        );
        const flowing = [...sizes, ...spaces].filter(([, { unit }]) => unit !== 'cqi');
        expect(flowing.length).toBeGreaterThan(10);
        for (const [at, [token, size]] of flowing.entries())
          expect([token, width, Math.abs((read.lengths[at] ?? 0) - fluidPx(size, width))]).toEqual([
            token,
            width,
            expect.closeTo(0, 2),
          ]);
        for (const [at, { slug, painted }] of [...derived.colors.values()].entries()) {
          const { hex, transparent } = painted[colorScheme];
          const [red, green, blue] = (transparent?.of ?? hex)
            .slice(1)
            .match(/../g)
            ?.map((two) => Number.parseInt(two, 16)) ?? [0, 0, 0];
          expect([slug, read.colors[at]]).toEqual([
            slug,
            transparent
              ? expect.stringContaining(`rgba(${red}, ${green}, ${blue}, `)
              : `rgb(${red}, ${green}, ${blue})`,
          ]);
        }
      }
    });
});

test('registered with their types, properties are animated; unregistered ones jump', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const sheet = async () => (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  /** The color half way between two tokens, and how the browser keeps them. */
  const seen = async (css: string) => {
    await page.setContent(`<style>${css}</style><p id="p">x</p>`);
    return page.evaluate(() => {
      const element = globalThis.document.querySelector<HTMLElement>('#p');
      if (!element) throw new Error('there is nothing to animate');
      const animation = element.animate(
        { '--color-action': ['rgb(0, 0, 0)', 'rgb(200, 100, 50)'] },
        { duration: 1000, fill: 'both' },
      );
      animation.pause();
      animation.currentTime = 500;
      element.style.color = 'var(--color-action)';
      const style = getComputedStyle(element);
      const root = getComputedStyle(globalThis.document.documentElement);
      return {
        half: style.color,
        page: root.getPropertyValue('--color-page'),
        inset: root.getPropertyValue('--space-control-inline'),
      };
    });
  };
  const before = await seen(await sheet());
  expect(before.half).not.toBe('rgb(100, 50, 25)');
  expect(before.page).toMatch(/^#/);
  await change(request, id, [{ op: 'add', path: '/tokens/sheet', value: { registered: true } }]);
  const after = await seen(await sheet());
  expect(after.half).toBe('rgb(100, 50, 25)');
  expect(after.page).toMatch(/^rgb\(/);
  // What depends on where it stands stays as it is written.
  expect([before.inset, after.inset]).toEqual(['1.25em', '1.25em']);
});

const nameOf = (token: string): string =>
  namedProperty(propertyOf({ path: token.split('.') }), undefined);
