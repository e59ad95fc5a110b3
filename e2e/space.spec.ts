import { derive } from '@garnish/core/derive/derive';
import { gridAt } from '@garnish/core/derive/space/grid';
import { tokenOf } from '@garnish/core/derive/space/space';
import type { Page } from '@playwright/test';
import { documentOf, expect, copyOf, openArea, proof, saved, test } from './garnish.ts';
import { BRACKWATER, KESTREL, TALLOW } from './garnish.ts';

const view = (page: Page, name: string): Promise<void> =>
  page
    .getByRole('navigation', { name: 'Views of space' })
    .getByRole('button', { name, exact: true })
    .click();

const type = async (page: Page, name: string, value: string): Promise<void> => {
  await page.getByRole('spinbutton', { name, exact: true }).fill(value);
  await page.keyboard.press('Enter');
};

/** The grid's fields are no spin buttons: they may be empty. */
const known = async (page: Page, name: string, value: string): Promise<void> => {
  await page.getByRole('textbox', { name, exact: true }).fill(value);
  await page.keyboard.press('Enter');
};

const measured = (page: Page) => page.getByText(/elements at .* px, measured in/);

test('the whole job: base 8, six steps, a fluid section, a shrinking inset, a 12-column grid, two shadows', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/systems', { data: { name: 'A new site' } });
  const { id } = (await made.json()) as { id: string };
  await openArea(page, id, 'space');
  await page.getByRole('button', { name: '8', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Every step' }).getByRole('listitem')).toHaveCount(6);

  await view(page, 'Roles');
  await page.getByRole('button', { name: 'section', exact: true }).click();
  await page.getByLabel('section at 360 px').selectOption({ label: 'xl, 40 px' });
  await page.getByLabel('section at 1440 px').selectOption({ label: 'xxl, 64 px' });
  await page.getByRole('button', { name: 'inset', exact: true }).click();
  await page
    .getByRole('group', { name: 'Kind of inset' })
    .getByRole('button', { name: 'shrinking' })
    .click();
  await type(page, 'inset, fixed', '5');
  await page.getByLabel('Unit of inset, fixed').selectOption('em');
  await expect(page.getByText('they swap at a container of 1000 px')).toBeVisible();

  await view(page, 'Grid');
  await known(page, 'container, wide', '');
  await known(page, 'column, wide', '60');
  await known(page, 'gutter, wide', '20');
  await known(page, 'margin, wide', '0');
  const spans = page.getByRole('list', { name: 'Spans, wide' });
  await expect(spans).toContainText('940');
  await expect(spans).toContainText('620');

  await view(page, 'Depth');
  await expect(page.getByRole('list', { name: 'Every level' }).getByRole('listitem')).toHaveCount(
    2,
  );
  await page.getByRole('checkbox', { name: 'cards' }).first().click();
  const shadow = proof(page).locator('.card').first();
  await expect
    .poll(() => shadow.evaluate((element) => getComputedStyle(element).boxShadow))
    .toContain('rgba');
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toContain('--space-section: clamp(2.5rem, 2rem + 2.2222vi, 4rem);');
  expect(css).toContain('--space-inset: min(5em, 8%);');
  expect(css).toMatch(/--shadow-page-low: .*\n.*--shadow-page-high: /);

  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect
    .poll(() => shadow.evaluate((element) => getComputedStyle(element).boxShadow))
    .toBe('none');
});

test('three planted mistakes are found on the page and repaired from there', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space?view=check');
  await expect(measured(page)).toBeVisible();
  await expect(page.getByText('Nothing is off.')).toBeVisible();
  await page.getByRole('button', { name: /^All \d+ others/ }).click();
  const part = (name: string) => page.getByRole('combobox', { name: `Space ${name}`, exact: true });
  await part('between the words of a card').selectOption('px');
  await type(page, 'Length between the words of a card', '22');
  await part('between a label and its field').selectOption({ label: 'stack' });
  await part('height of a link in the footer').selectOption('px');
  await type(page, 'Length height of a link in the footer', '20');

  const off = page.getByRole('article', {
    name: '22 px between the words of a card is on no step',
  });
  const group = page.getByRole('article', { name: /^Inside form row things stand as far apart/ });
  const small = page.getByRole('article', { name: 'footer link is small to press' });
  await expect(off).toContainText('24 px is the nearest step');
  await expect(group).toContainText('16 px inside, 16 px around');
  await expect(small).toContainText('24 by 24');
  await off.getByRole('button', { name: /^Show in the proof/ }).click();
  await expect(page.locator('[data-shown]')).toBeVisible();

  await off.getByRole('button', { name: 'Use step l, 24 px' }).click();
  await expect(off).toHaveCount(0);
  await group.getByRole('button', { name: 'Follow tight again' }).click();
  await expect(group).toHaveCount(0);
  await small.getByRole('button', { name: 'Follow target small again' }).click();
  await expect(small).toHaveCount(0);
  await expect(page.getByText('Nothing is off.')).toBeVisible();
  await saved(page);
  expect((await documentOf(request, id)).space.parts).toEqual({
    'card.inset': { role: 'inset-small' },
    'picture-words.inset': { role: 'inset-large' },
    'card.gap': { step: 'l' },
  });
});

test('nonsense is explained beside its field and changes nothing', async ({ page, request }) => {
  const id = await copyOf(request, KESTREL);
  const before = await documentOf(request, id);
  await openArea(page, id, 'space');
  const told = page.getByRole('alert');
  for (const value of ['0', '-8', 'wide']) {
    await type(page, 'unit', value);
    await expect(told).toContainText('4 px stays in force');
  }
  await page.keyboard.press('Escape');
  await view(page, 'Grid');
  await known(page, 'columns, smallest', '0');
  await expect(told).toHaveText('A grid has whole columns, and one at least. 4 stays in force.');
  await page.keyboard.press('Escape');
  await known(page, 'gutter, smallest', '120');
  await expect(told).toContainText('are wider than the container');
  await page.keyboard.press('Escape');
  await type(page, 'Width of breakpoint wide', '500');
  await expect(told).toContainText('is to be above 720 px');
  await page.keyboard.press('Escape');
  expect(await documentOf(request, id)).toEqual(before);
});

test('values by breakpoint are inherited upward until they change, as Chromium computes them', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'space?view=roles');
  await page.getByLabel('inset small from medium').selectOption({ label: 'xl, 40 px' });
  await expect(page.getByLabel('inset small from wide')).toHaveValue('');
  await expect(page.getByLabel('inset small from wide').locator('option').first()).toHaveText(
    'xl, inherited',
  );
  await saved(page);
  const { spaces } = derive(await documentOf(request, id));
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  await page.goto('about:blank');
  await page.setContent(
    `<style>${css}</style><div id="probe" style="padding: var(--space-inset-small)"></div>`,
  );
  for (const width of [320, 719, 720, 1079, 1080, 1600]) {
    await page.setViewportSize({ width, height: 600 });
    const px = await page
      .locator('#probe')
      .evaluate((element) => Number.parseFloat(getComputedStyle(element).paddingTop));
    expect([width, px]).toEqual([width, spaces.get('inset-small')?.inline.px({ widthPx: width })]);
  }
});

/** What Chromium computes for every role, corner and track of an exported sheet. */
async function computed(
  page: Page,
  roles: readonly string[],
  corners: readonly string[],
  columns: number,
) {
  return page.evaluate(
    ([roleTokens, cornerTokens, count]) => {
      const host = document.querySelector('#host');
      if (!host) throw new Error('there is no host');
      const read = (
        property: 'padding-top' | 'row-gap' | 'border-top-left-radius',
        value: string,
      ): number => {
        const probe = document.createElement('div');
        probe.style.setProperty(property, value);
        probe.style.display = 'grid';
        host.append(probe);
        const text = getComputedStyle(probe).getPropertyValue(property);
        probe.remove();
        return Number.parseFloat(text);
      };
      const grid = document.querySelector('.grid');
      return {
        paddings: roleTokens.map((token) => read('padding-top', `var(${token})`)),
        gaps: roleTokens.map((token) => read('row-gap', `var(${token})`)),
        radii: cornerTokens.map((token) => read('border-top-left-radius', `var(${token})`)),
        tracks: grid
          ? getComputedStyle(grid).gridTemplateColumns.split(' ').map(Number.parseFloat)
          : [],
        spans: Array.from({ length: count }, (_, index) => {
          const child = document.querySelector(`.span-${index + 1}`);
          return child?.getBoundingClientRect().width ?? 0;
        }),
      };
    },
    [roles, corners, columns] as const,
  );
}

test('paddings, gaps, radii and tracks are their tokens at 12 widths and 3 font sizes of the browser', async ({
  page,
  request,
  context,
}) => {
  test.slow();
  for (const name of [BRACKWATER, KESTREL]) {
    const id = await copyOf(request, name);
    const document = await documentOf(request, id);
    const derived = derive(document);
    const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
    const most = Math.max(...derived.grid.map(({ grid }) => grid.columns));
    const spans = Array.from(
      { length: most },
      (_, index) => `<div class="span-${index + 1}">x</div>`,
    );
    // Of lengths that follow the container a gap has no height to be a share of.
    const roles = [...derived.spaces.values()].flatMap((one) =>
      (one.apart ? (['inline', 'block'] as const) : (['inline'] as const))
        .filter(() => one.use !== 'pull')
        .map((side) => ({ length: one[side], token: `--${tokenOf(one, side).replace('.', '-')}` })),
    );
    const corners = Object.entries(document.shape.corners);
    await page.setContent(
      `<style>${css} body { margin: 0 }</style><div id="host"></div><div class="grid-frame"><div class="grid">${spans.join('')}</div></div>`,
    );
    const session = await context.newCDPSession(page);
    for (const rootPx of [12, 16, 24]) {
      await session.send('Page.setFontSizes', { fontSizes: { standard: rootPx } });
      for (const widthPx of [320, 360, 375, 480, 600, 719, 720, 900, 1079, 1080, 1440, 1920]) {
        await page.setViewportSize({ width: widthPx, height: 700 });
        const found = await computed(
          page,
          roles.map(({ token }) => token),
          corners.map(([what]) => `--corner-${what}`),
          most,
        );
        const at = `${name} at ${widthPx} px, root ${rootPx} px`;
        for (const [index, { length, token }] of roles.entries()) {
          const px = length.px({ widthPx, rootPx, containerPx: widthPx, fontPx: rootPx });
          expect(Math.abs((found.paddings[index] ?? NaN) - px), `${token}, ${at}`).toBeLessThan(
            length.follows === 'container' ? 1 / 64 : 0.01,
          );
          if (length.follows !== 'container')
            expect(Math.abs((found.gaps[index] ?? NaN) - px), `${token}, ${at}`).toBeLessThan(0.01);
        }
        for (const [index, [what, radius]] of corners.entries()) {
          const px = ((document.shape.radii.items[radius]?.px ?? 0) * rootPx) / 16;
          expect(Math.abs((found.radii[index] ?? NaN) - px), `${what}, ${at}`).toBeLessThan(0.01);
        }
        const grid = gridAt(derived.grid, widthPx, rootPx);
        if (!grid) throw new Error('there is no grid');
        expect(found.tracks, at).toHaveLength(grid.columns);
        for (const track of found.tracks)
          expect(Math.abs(track - grid.column), `track, ${at}`).toBeLessThanOrEqual(1 / 64);
        for (const [index, width] of found.spans.entries()) {
          const columns = Math.min(index + 1, grid.columns);
          const px = columns * grid.column + (columns - 1) * grid.gutter;
          expect(Math.abs(width - px), `span ${index + 1}, ${at}`).toBeLessThanOrEqual(
            columns / 64 + 1 / 64,
          );
        }
      }
    }
    await session.detach();
  }
});

test('space is drawn over the proof by kind, with values and tokens; so is the grid', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space?view=check');
  await page.getByRole('checkbox', { name: 'draw all spaces over the proof' }).click();
  const drawn = page.getByRole('list', { name: 'Spaces over the proof' });
  await expect(drawn).toContainText('24 header.inset');
  await proof(page).locator('.hero-words .actions').scrollIntoViewIfNeeded();
  await expect(drawn).toContainText('picture-words.gap');
  await expect(page.getByRole('list', { name: 'What the patterns mean' })).toContainText(
    'paddinggapmarginsize',
  );
  await view(page, 'Grid');
  await page.getByRole('checkbox', { name: 'drawn over the proof' }).click();
  await expect(page.getByRole('img', { name: '8 columns of 63 px' }).last()).toBeVisible();
});

test('squinting names the three things that draw most, and says whether the right ones are among them', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, KESTREL);
  await openArea(page, id, 'space?view=check');
  await page.getByRole('button', { name: 'Find what stands out' }).click();
  const spots = page.getByRole('list', { name: 'What draws the eye most' });
  await expect(spots.getByRole('listitem')).toHaveCount(3);
  await expect(spots.getByRole('listitem').first()).toContainText(
    'The sky, an hour before it opens',
  );
  await expect(page.getByText('the title is among them')).toBeVisible();
  await type(page, 'blur the proof', '8');
  await expect
    .poll(() =>
      page
        .locator('iframe[title="Proof"]')
        .evaluate((frame) => frame.parentElement && getComputedStyle(frame.parentElement).filter),
    )
    .toContain('blur');
});

test('utility classes are exported with the steps in use, and read by Chromium', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'space?view=classes');
  await page.getByRole('checkbox', { name: /^Export classes/ }).click();
  await page.getByLabel('Prefix of the classes').fill('lane');
  await page.keyboard.press('Enter');
  await page.getByRole('checkbox', { name: 'again from each breakpoint up' }).click();
  await expect(page.getByRole('list', { name: 'Utility classes' })).toContainText('lane-pad-m');
  await saved(page);
  const [tokens, utilities] = await Promise.all(
    ['tokens.css', 'utilities.css'].map(async (file) =>
      (await request.get(`/api/systems/${id}/export/${file}`)).text(),
    ),
  );
  await page.goto('about:blank');
  await page.setContent(
    `<style>${tokens ?? ''}${utilities ?? ''}</style><div class="lane-pad-s lane-pad-l-from-wide">x</div>`,
  );
  const padding = () =>
    page.locator('.lane-pad-s').evaluate((element) => getComputedStyle(element).paddingLeft);
  await page.setViewportSize({ width: 800, height: 600 });
  expect(await padding()).toBe('8px');
  await page.setViewportSize({ width: 1200, height: 600 });
  expect(await padding()).toBe('24px');
});

test('a breakpoint comes from where the content breaks, and takes what was decided at it along when it goes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'space?view=grid');
  const breaks = page.getByRole('list', { name: 'Where the content breaks' });
  await breaks.getByRole('button').first().click();
  await expect(
    page.getByRole('list', { name: 'Every breakpoint' }).getByRole('listitem'),
  ).toHaveCount(3);
  await page.getByRole('button', { name: 'Remove breakpoint wide' }).click();
  await saved(page);
  expect((await documentOf(request, id)).layout.grid.at).toEqual({ medium: { columns: 8 } });
});

test('shapes crop a picture, the logo has two versions, and a pattern is checked', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space?view=page');
  await expect(page.getByText('50 % is cut off')).toBeVisible();
  await expect(proof(page).locator('.logo-light svg')).toBeVisible();
  await page.getByRole('button', { name: 'dark', exact: true }).click();
  await expect(proof(page).locator('.logo-dark svg')).toBeVisible();
  await expect(proof(page).locator('.logo-light')).toBeHidden();
  await page.getByRole('combobox', { name: 'ink', exact: true }).selectOption({ label: 'text' });
  await type(page, 'ink laid over', '90');
  const lost = page.getByRole('article', { name: /is lost on pattern ripples/ }).first();
  await expect(lost).toBeVisible();
  await lost.getByRole('button', { name: /^Lay \d+ % over/ }).click();
  await expect(page.getByRole('article', { name: /is lost on pattern ripples/ })).toHaveCount(0);
  await page
    .getByLabel('Logo for light grounds from a file')
    .locator('input')
    .setInputFiles({
      name: 'notes.txt',
      mimeType: 'text/plain',
      buffer: Buffer.from('no drawing'),
    });
  await expect(page.getByRole('alert')).toContainText('is no SVG. Nothing was changed.');
});

test('no space, one side of a space, a width of columns and rows of the grid are as wide in the browser as is said', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space');
  await page.getByRole('button', { name: 'A step none, for no space' }).click();
  const steps = page.getByRole('list', { name: 'Every step' }).getByRole('listitem');
  await expect(steps.first()).toContainText('0 px');

  await view(page, 'Check');
  await page.getByRole('button', { name: /^All \d+ others$/ }).click();
  await page
    .getByRole('combobox', { name: 'Space inside a card', exact: true })
    .selectOption({ label: 'above' });
  await page
    .getByRole('combobox', { name: 'Space inside a card, above' })
    .selectOption({ label: 'step none, 0 px' });
  const card = proof(page).locator('.card').first();
  await expect
    .poll(() => card.evaluate((element) => getComputedStyle(element).paddingBlockStart))
    .toBe('0px');
  expect(
    await card.evaluate((element) => Number.parseFloat(getComputedStyle(element).paddingBlockEnd)),
  ).toBeGreaterThan(4);

  await view(page, 'Page');
  await page.getByRole('combobox', { name: 'Unit of width text' }).selectOption('columns');
  await type(page, 'Length of width text', '3');
  await known(page, 'Width text from wide', '6');
  await page
    .locator('[data-decision="/layout/widths/items/text"]')
    .getByRole('checkbox', { name: 'centered' })
    .check();
  await view(page, 'Grid');
  await known(page, 'row gap, smallest', '12');
  await known(page, 'row, at least, wide', '90');
  await saved(page);

  // As a browser lays it out: the same as the spans of the grid itself.
  const { sheet } = await request
    .get(`/api/systems/${id}/export/tokens.css`)
    .then(async (answer) => ({ sheet: await answer.text() }));
  const alone = await page.context().newPage();
  await alone.setContent(
    `<style>${sheet}</style><div class="grid-frame"><div class="grid">${'<i class="span-1">x</i>'.repeat(30)}</div><div class="grid"><b class="span-3">x</b></div><div class="grid"><b class="span-6">x</b></div><p class="width-text">x</p></div>`,
  );
  for (const [width, span] of [
    [360, 'span-3'],
    [800, 'span-3'],
    [1300, 'span-6'],
  ] as const) {
    await alone.setViewportSize({ width, height: 600 });
    const [column, text, room] = await Promise.all(
      [`.${span}`, '.width-text', '.grid'].map((selector) =>
        alone.locator(selector).first().boundingBox(),
      ),
    );
    expect(text?.width, `${width} px`).toBeCloseTo(column?.width ?? 0, 1);
    // In the middle of the room.
    const sides = [
      (text?.x ?? 0) - (room?.x ?? 0),
      (room?.x ?? 0) + (room?.width ?? 0) - (text?.x ?? 0) - (text?.width ?? 0),
    ];
    expect(sides[0]).toBeCloseTo(sides[1] ?? 0, 1);
  }
  const rows = await alone
    .locator('.grid')
    .first()
    .evaluate((element) => {
      const style = getComputedStyle(element);
      return [style.rowGap, style.gridTemplateRows.split(' ')[0]];
    });
  expect(rows).toEqual(['12px', '90px']);
  await alone.close();
});
