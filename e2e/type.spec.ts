import { derive } from '@garnish/core/derive/derive';
import { columnPx, lineAt } from '@garnish/core/checks/lines';
import { writeCss } from '@garnish/core/formats/css';
import { fluidPx } from '@garnish/core/type/fluid';
import { chromium } from '@playwright/test';
import {
  BRACKWATER,
  KESTREL,
  TALLOW,
  copyOf,
  documentOf,
  expect,
  openArea,
  proof,
  saved,
  test,
} from './garnish.ts';

test('from the chosen pair to a proved scale: an own size, a skipped place, by keys', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/systems', { data: { name: 'Scale by keys' } });
  const { id } = (await made.json()) as { id: string };
  await openArea(page, id, 'type');
  const ratio = page.getByRole('spinbutton', { name: 'ratio on the wide screen', exact: true });
  await ratio.focus();
  await page.keyboard.type('1.5');
  await page.keyboard.press('Enter');
  // So steep that zooming does not help: a finding beside the roles, with its repair.
  const finding = page.getByRole('article', { name: /^The scale is too steep/ });
  await finding.getByText(/^\d+ places$/).click();
  const place = finding.getByRole('listitem').filter({ hasText: /^h1 cannot be zoomed/ });
  await expect(place).toContainText('of 2.00 times at 1440 px');
  // The ratio causes more than this one, so that its repair comes first; the size alone is another way.
  await finding.getByText('Other ways').click();
  await finding
    .getByRole('button', { name: /^h1 to .* px when wide$/ })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('h1 cannot be zoomed to twice its size')).toHaveCount(0);
  // h4 skips a place, with the arrow keys on the stair.
  await page.getByRole('button', { name: 'h4 stands up 2: arrow keys move it' }).focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowRight');
  await page
    .getByRole('button', { name: 'h3 stands up 3: arrow keys move it' })
    .press('ArrowRight');
  await page.getByRole('button', { name: 'Everything about h1' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'size at 1440 px automatic again' })).toBeVisible();
  // A size that stands in CSS already is taken apart; what is none changes nothing.
  const css = page.getByRole('textbox', { name: 'size of h1 as CSS, typed or pasted' });
  await css.fill('var(--h1)');
  await css.press('Enter');
  await expect(page.getByText(/^It cannot be worked out/)).toBeVisible();
  await css.fill('font-size: clamp(2rem, 1rem + 4vw, 4rem);');
  await css.press('Enter');
  await expect(page.getByText(/^Taken: 32 to 64 px at the anchors\./)).toBeVisible();
  await page.keyboard.press('Control+z');
  await saved(page);
  const { roles } = (await documentOf(request, id)).type;
  expect(Object.keys(roles.items['h1']?.sizes ?? {})).toEqual(['wide']);
  expect([roles.items['h3']?.place, roles.items['h4']?.place]).toEqual([4, 2]);
  // The own size stays when the scale changes, and is let go by itself.
  const own = roles.items['h1']?.sizes?.['wide'] ?? 0;
  await ratio.fill('1.2');
  await ratio.press('Enter');
  const size = page.getByRole('spinbutton', { name: 'h1 on the wide screen' }).last();
  await expect(size).toHaveValue(String(own));
  await page.getByRole('button', { name: 'size at 1440 px automatic again' }).press('Enter');
  await saved(page);
  expect((await documentOf(request, id)).type.roles.items['h1']?.sizes).toBeUndefined();
});

test('an anchor is put between without a jump, decides, and is taken out with what hangs on it', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, KESTREL);
  await openArea(page, id, 'type');
  const before = (await documentOf(request, id)).type.anchors.order;
  await page.getByRole('button', { name: 'Another anchor between' }).click();
  await saved(page);
  const { anchors } = (await documentOf(request, id)).type;
  expect(anchors.order).toHaveLength(before.length + 1);
  const width = anchors.items[anchors.order[1] ?? '']?.width ?? 0;
  await page.getByRole('spinbutton', { name: `base on the ${width} px screen` }).fill('22');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Everything about lead' }).click();
  await page.getByRole('spinbutton', { name: `lead on the ${width} px screen` }).fill('30');
  await page.keyboard.press('Enter');
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toMatch(/--type-lead-size: calc\([\d.]+rem \+ clamp\(.*\) \+ clamp\(.*\)\);/);
  await page.getByRole('button', { name: `Remove the anchor at ${width} px` }).click();
  await saved(page);
  const after = await documentOf(request, id);
  expect(after.type.anchors.order).toEqual(before);
  expect(after.type.roles.items['lead']?.sizes).toBeUndefined();
});

test('a scale by hand, by two ratios, rounded, and held to a grid reaches the style sheet', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, KESTREL);
  await openArea(page, id, 'type');
  await page.getByRole('combobox', { name: 'sizes by' }).selectOption('by hand');
  await page.getByRole('spinbutton', { name: 'up 2 at 1400 px' }).fill('60');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'up 2 at 1400 px by the ratio again' }).click();
  await page.getByRole('spinbutton', { name: 'up 1 at 1400 px' }).fill('31');
  await page.keyboard.press('Enter');
  await page.getByRole('combobox', { name: 'rounded to' }).selectOption('px');
  await page.getByRole('combobox', { name: 'baseline grid' }).selectOption('4 px');
  await saved(page);
  const document = await documentOf(request, id);
  const lead = derive(document).styles.get('lead');
  expect(lead && fluidPx(lead.size, 1400)).toBeCloseTo(31, 2);
  expect(Object.keys(document.type.anchors.items['wide']?.sizes ?? {})).toEqual(['1']);
  for (const { size } of derive(document).styles.values())
    expect(Math.abs(fluidPx(size, 1400) - Math.round(fluidPx(size, 1400)))).toBeLessThan(0.01);
  // The browser rounds the line height up to the grid.
  await page.getByRole('button', { name: '1440 px wide' }).click();
  await expect
    .poll(() =>
      proof(page)
        .locator('.type-body')
        .first()
        .evaluate((element) => Number.parseFloat(getComputedStyle(element).lineHeight) % 4),
    )
    .toBeCloseTo(0, 3);
  await page.getByRole('combobox', { name: 'sizes by' }).selectOption('two ratios');
  await page.getByRole('spinbutton', { name: 'second ratio on the wide screen' }).fill('1.1');
  await page.keyboard.press('Enter');
  await saved(page);
  expect((await documentOf(request, id)).type.anchors.items['wide']?.second).toBe(1.1);
});

test('the curve is read with the keyboard, beyond the proof too', async ({ page, request }) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'type');
  const curve = page.getByRole('slider', { name: 'Sizes over the screen width' });
  await curve.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(curve).toHaveAttribute('aria-valuenow', '820');
  await expect(page.getByRole('spinbutton', { name: 'Width of the proof' })).toHaveValue('820');
  await expect(curve).toHaveAttribute(
    'aria-valuetext',
    /^h1 at 820 px: [\d.]+ px, \+[\d.]+ px for/,
  );
  await page.keyboard.press('ArrowDown');
  await expect(curve).toHaveAttribute('aria-valuetext', /^h2 at 820 px/);
  await page.keyboard.press('End');
  await expect(curve).toHaveAttribute('aria-valuetext', /^h2 at 2560 px: .* at rest$/);
  await expect(
    page.getByText(
      /^h1 cannot be zoomed to twice their size where dashed, at up to 500 %; h3 under h4 where/,
    ),
  ).toBeVisible();
});

test('the table is sorted and copied, a length converted, a scale read from sizes', async ({
  page,
  request,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page
    .getByRole('group', { name: 'View of the roles' })
    .getByRole('button', { name: 'table' })
    .click();
  await page.getByRole('button', { name: 'role', exact: true }).click();
  await expect(page.getByRole('row').nth(1)).toContainText('body');
  await page.getByRole('button', { name: 'TSV', exact: true }).click();
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied.trimEnd().split('\n')).toHaveLength(14);
  expect(copied).toContain('\tcalc(');

  await page.getByRole('textbox', { name: 'length, a sum, or several' }).fill('16 + 8');
  const units = page.getByRole('list', { name: 'The length in other units' });
  await expect(units).toContainText('1.5rem');
  await page.getByRole('textbox', { name: 'length, a sum, or several' }).fill('16px 24 1.5rem');
  const table = page.getByRole('table', { name: 'The lengths in every unit' });
  await expect(table.getByRole('row')).toHaveCount(4);
  await expect(table.getByRole('row').last()).toContainText('24');
  await page.getByRole('textbox', { name: 'length, a sum, or several' }).fill('a lot');
  await expect(page.getByRole('alert')).toBeVisible();

  await page.getByRole('button', { name: 'read a scale from sizes' }).click();
  await page
    .getByRole('textbox', { name: /^sizes in px/ })
    .fill('13px, 16px, 20px, 25px, 31px, 39px');
  const fits = page.getByRole('list', { name: 'Scales that fit' }).getByRole('listitem');
  await expect(fits.first()).toContainText('16 px × 1.250');
  await fits.first().getByRole('button', { name: 'Take at 360 px' }).click();
  await saved(page);
  expect((await documentOf(request, id)).type.anchors.items['narrow']?.base).toBe(16);
});

test('the proof plays the reader’s font size and zoom, and shows the values over the page', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const document = await documentOf(request, id);
  const h1 = derive(document).styles.get('h1');
  if (!h1) throw new Error('no h1');
  await openArea(page, id, 'type');
  const px = () =>
    proof(page)
      .locator('h1')
      .evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize));
  await page.getByRole('button', { name: 'reader', exact: true }).click();
  const set = async (name: string, value: string): Promise<void> => {
    await page.getByRole('spinbutton', { name }).fill(value);
    await page.keyboard.press('Enter');
  };
  await set('Font size of the browser', '24');
  await expect.poll(px).toBeCloseTo(fluidPx(h1.size, 720, 24), 1);
  await set('Font size of the browser', '16');
  await set('Zoom of the browser', '200');
  // Zoom halves the page's own screen.
  await expect.poll(px).toBeCloseTo(fluidPx(h1.size, 360), 1);
  await page.getByRole('button', { name: 'values', exact: true }).click();
  await proof(page).locator('h1').scrollIntoViewIfNeeded();
  const said = page.getByRole('list', { name: 'Sizes over the proof' });
  await expect(said).toContainText('42.3 / ');
  await page.getByRole('button', { name: 'units', exact: true }).click();
  await expect(said).toContainText(/42\.3 px = 2\.64\d? rem/);
  await page.getByRole('button', { name: 'As usual again' }).click();
  await expect.poll(px).toBeCloseTo(fluidPx(h1.size, 720), 1);
});

const WIDTHS = [320, 360, 420, 540, 640, 768, 900, 1024, 1280, 1440, 1920, 2560];

test('every role has its token’s size and line height at twelve widths and three browser font sizes', async ({
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const derived = derive(await documentOf(request, id));
  const styles = [...derived.styles.values()];
  const body = styles.map(({ slug }) => `<p class="type-${slug}">x</p>`).join('');
  const html = `<!doctype html><style>${writeCss(derived)}</style>${body}`;
  for (const rootPx of [12, 16, 24]) {
    // Set through the browser, as a reader does, and not on the root.
    const browser = await chromium.launch({
      executablePath: process.env['GARNISH_CHROMIUM'] ?? '',
      args: ['--no-sandbox', '--disable-gpu', `--blink-settings=defaultFontSize=${rootPx}`],
    });
    const page = await browser.newPage();
    await page.setContent(html);
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 600 });
      const measured = await page.locator('p').evaluateAll((all) =>
        all.map((element) => {
          const { fontSize, lineHeight } = getComputedStyle(element);
          return [Number.parseFloat(fontSize), Number.parseFloat(lineHeight)] as const;
        }),
      );
      styles.forEach(({ name, size, lineHeight }, index) => {
        const px = fluidPx(size, width, rootPx);
        const [fontSize = 0, height = 0] = measured[index] ?? [];
        expect([name, width, rootPx, Math.abs(fontSize - px) < 0.01]).toEqual([
          name,
          width,
          rootPx,
          true,
        ]);
        expect(Math.abs(height - lineHeight * fontSize)).toBeLessThan(0.01);
      });
    }
    await browser.close();
  }
});

test('lines of real paragraphs have about as many characters as is said: within 5 % over the text', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const document = await documentOf(request, id);
  const derived = derive(document);
  const body = derived.styles.get('body');
  if (!body) throw new Error('no body');
  await openArea(page, id, 'type');
  for (const width of [375, 720, 1440]) {
    await page.getByRole('button', { name: `${width} px wide` }).click();
    const text = proof(page).locator('.block.width-text p.type-body').first();
    await expect
      .poll(() => text.evaluate((element) => element.ownerDocument.documentElement.clientWidth))
      .toBe(width);
    // A long text made of the site's own sentences: few lines say little about the mean.
    const measured = await text.evaluate(async (element) => {
      await element.ownerDocument.fonts.ready;
      const words = element.textContent.repeat(12);
      const before = element.innerHTML;
      element.textContent = words;
      const lines =
        element.getBoundingClientRect().height /
        Number.parseFloat(getComputedStyle(element).lineHeight);
      element.innerHTML = before;
      return words.length / lines;
    });
    const told = lineAt(document, derived, body, width);
    expect([width, Math.abs(measured - told) / measured < 0.05, measured, told]).toEqual([
      width,
      true,
      measured,
      told,
    ]);
  }
});

test('the column of the text is as wide as is said, whatever the unit of its width', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const base = (await (await request.get(`/api/systems/${id}`)).json()) as { sequence: number };
  let { sequence } = base;
  for (const root of [100, 62.5])
    for (const [value, unit] of [
      [38, 'rem'],
      [42, 'em'],
      [70, 'ch'],
      [61, '%'],
      [555, 'px'],
    ] as const) {
      const posted = await request.post(`/api/systems/${id}/changes`, {
        data: {
          id: crypto.randomUUID(),
          base: sequence,
          label: 'width of text',
          window: crypto.randomUUID(),
          gesture: crypto.randomUUID(),
          patch: [
            { op: 'replace', path: '/layout/widths/items/text/value', value },
            { op: 'replace', path: '/layout/widths/items/text/unit', value: unit },
            { op: 'add', path: '/type/root', value: root },
          ],
        },
      });
      expect(posted.ok(), await posted.text()).toBe(true);
      sequence = ((await posted.json()) as { sequence: number }).sequence;
      const document = await documentOf(request, id);
      const derived = derive(document);
      const body = derived.styles.get('body');
      if (!body) throw new Error('no body');
      for (const width of [375, 1440]) {
        await page.getByRole('button', { name: `${width} px wide` }).click();
        const told = columnPx(document, derived, body, width);
        await expect
          .poll(
            () =>
              proof(page)
                .locator('.block.width-text p.type-body')
                .first()
                .evaluate((element, limit) => {
                  const { width: wide } = element.getBoundingClientRect();
                  return Math.abs(wide - limit) < 1 ? 'as told' : `${wide} px, told ${limit} px`;
                }, told),
            { message: `${value}${unit} at a root of ${root} %, ${width} px wide`, timeout: 5000 },
          )
          .toBe('as told');
      }
    }
});

test('at 320 px every word of a heading fits, and wider text spacing clips nothing: measured', async ({
  page,
  request,
}) => {
  for (const name of [BRACKWATER, KESTREL, TALLOW]) {
    const id = await copyOf(request, name);
    await openArea(page, id, 'type');
    await page.getByRole('button', { name: 'Measure the proof at 320 px' }).click();
    const told = page.getByRole('region', { name: 'In the browser' }).getByRole('status');
    await expect(told).toContainText('Words of headings that are wider than the screen: none');
    await expect(told).toContainText('(WCAG 2.2, 1.4.12): none');
    await expect(told).toContainText('The page does not scroll sideways then.');
    // What is measured can fail: a word that is wider than any phone.
    if (name !== TALLOW) continue;
    const refused = await request.post(`/api/systems/${id}/changes`, {
      data: {
        id: crypto.randomUUID(),
        base: 0,
        patch: [
          {
            op: 'replace',
            path: '/content/pages/items/home/sections/items/hero/title',
            value: 'Donaudampfschifffahrtsgesellschaft',
          },
        ],
        label: 'a long word',
        window: crypto.randomUUID(),
        gesture: crypto.randomUUID(),
        kind: 'change',
      },
    });
    expect(refused.ok()).toBe(true);
    await expect(proof(page).locator('h1')).toHaveText('Donaudampfschifffahrtsgesellschaft');
    await page.getByRole('button', { name: 'Measure the proof at 320 px' }).click();
    await expect(told).toContainText('wider than the screen: 1');
  }
});

test('a heading that is to fit stands in one line at every width, in the very face', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page.getByRole('button', { name: 'Everything about h1' }).click();
  await page.getByRole('spinbutton', { name: 'lines of h1 at most' }).fill('1');
  await page.keyboard.press('Enter');
  await page.getByRole('spinbutton', { name: 'least size of h1' }).fill('8');
  await page.keyboard.press('Enter');
  for (const width of [320, 360, 500, 720, 1000, 1440]) {
    await page.getByRole('spinbutton', { name: 'Width of the proof' }).fill(String(width));
    await page.keyboard.press('Enter');
    const lines = () =>
      proof(page)
        .locator('h1')
        .evaluate((element) => {
          const { lineHeight } = getComputedStyle(element);
          return Math.round(element.getBoundingClientRect().height / Number.parseFloat(lineHeight));
        });
    await expect.poll(lines).toBe(1);
  }
  await page.getByRole('button', { name: 'lines at most automatic again' }).click();
  await saved(page);
  expect((await documentOf(request, id)).type.roles.items['h1']?.fit).toBeUndefined();
});

test('a role flows with its container, another is in px with a reason, and both are exported', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page.getByRole('button', { name: 'Everything about h4' }).click();
  await page.getByRole('combobox', { name: 'What h4 flows with' }).selectOption('its container');
  await page.getByRole('combobox', { name: 'Unit of h4' }).selectOption('em');
  await page.getByLabel('because', { exact: true }).fill('cards are set smaller in lists');
  await page.keyboard.press('Enter');
  await saved(page);
  const document = await documentOf(request, id);
  const size = derive(document).styles.get('h4')?.size;
  if (!size) throw new Error('no h4');
  const card = proof(page).locator('.card').first();
  const inside = await card.evaluate((element) => {
    const { paddingInlineStart, width } = getComputedStyle(element);
    return Number.parseFloat(width) - 2 * Number.parseFloat(paddingInlineStart);
  });
  // Containers measure their content box (CSS Containment 3).
  await expect
    .poll(() =>
      card
        .locator('h3')
        .evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize)),
    )
    .toBeCloseTo(fluidPx(size, inside), 1);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toMatch(/--type-h4-size: calc\([\d.]+em \+ clamp\(0em, -?[\d.]+em \+ [\d.]+cqi/);
  const stepped = await (await request.get(`/api/systems/${id}/export/tokens-stepped.css`)).text();
  expect(stepped).not.toContain('clamp(');
  expect(stepped).toContain('@media (width >= 1440px)');
  const handoff = await (await request.get(`/api/systems/${id}/export/handoff.md`)).text();
  expect(handoff).toContain('cqi');
});

test('a knee is moved on the drawing, and does not pass its neighbor', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const knee = page.getByRole('slider', { name: 'Knee at 768 px' });
  await knee.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('spinbutton', { name: 'width of the 780 px screen' })).toHaveValue(
    '780',
  );
  await page.getByRole('slider', { name: 'Knee at 780 px' }).scrollIntoViewIfNeeded();
  const box = await page.getByRole('slider', { name: 'Knee at 780 px' }).boundingBox();
  if (!box) throw new Error('no knee');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 400, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  await saved(page);
  expect(
    Object.values((await documentOf(request, id)).type.anchors.items)
      .map(({ width }) => width)
      .sort((one, other) => one - other),
  ).toEqual([360, 1430, 1440]);
});

test('a role is dragged along the stair', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const stair = page.getByRole('figure', { name: /^The sizes of/ });
  await stair
    .getByRole('button', { name: /^quote stands up 2/ })
    .dragTo(stair.getByRole('listitem', { name: 'up 3' }));
  await saved(page);
  expect((await documentOf(request, id)).type.roles.items['quote']?.place).toBe(3);
});

test('a role follows another but for one thing, is tried as that, and goes with what it becomes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page.getByRole('button', { name: 'Everything about lead' }).click();
  const follows = page.getByRole('combobox', { name: 'Role that lead follows' });
  await follows.selectOption({ label: 'body' });
  await expect(page.getByText('in everything; what is changed here is its own')).toBeVisible();
  const lead = page.getByRole('group', { name: 'Text role lead' });
  await lead.getByRole('combobox', { name: 'case of lead' }).selectOption('uppercase');
  const back = lead.getByRole('button', { name: 'case as body again' });
  await expect(back.first()).toBeVisible();

  // What the other becomes, this becomes too; what is its own stays.
  await page.getByRole('combobox', { name: 'Place of body' }).selectOption({ index: 2 });
  await saved(page);
  const { body, lead: after } = (await documentOf(request, id)).type.roles.items;
  expect(after).toMatchObject({
    follows: { of: 'body', but: ['case'] },
    place: body?.place,
    face: body?.face,
    case: 'uppercase',
  });
  await back.first().click();
  await saved(page);
  const again = (await documentOf(request, id)).type.roles.items['lead'];
  expect([again?.follows?.but, again?.case]).toEqual([[], undefined]);
  await follows.selectOption('');
  await saved(page);
  expect((await documentOf(request, id)).type.roles.items['lead']?.follows).toBeUndefined();
});
