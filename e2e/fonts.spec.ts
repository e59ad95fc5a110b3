import { firstText } from '@garnish/core/proof/texts';
import {
  BRACKWATER,
  KESTREL,
  copyOf,
  documentOf,
  expect,
  openArea,
  proof,
  saved,
  test,
} from './garnish.ts';

test('from an empty brief to a chosen pair with reasons, with the keyboard alone', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/systems', { data: { name: 'Pair by keys' } });
  const { id } = (await made.json()) as { id: string };
  await openArea(page, id, 'brief');
  const tick = async (name: string): Promise<void> => {
    const box = page.getByRole('checkbox', { name, exact: true });
    await box.focus();
    await page.keyboard.press('Space');
    await expect(box).toBeChecked();
  };
  await tick('elegant');
  await tick('traditional');
  await tick('Polish');
  await tick('tables');
  await page.getByRole('link', { name: /Fonts/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'pairs', exact: true }).focus();
  await page.keyboard.press('Enter');
  const list = page.getByRole('listbox', { name: 'Pairs, the best first' });
  await expect(list.getByRole('option').first()).toBeVisible();
  await list.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowDown');
  await expect(list.getByText(/^Carries elegant, traditional to \d+ %/)).toBeVisible();
  const second = (await list.getByRole('option').nth(1).getAttribute('aria-label')) ?? '';
  const [heading = '', text = ''] = second.replace(/,.*$/, '').split(' over ');
  const face = (selector: string) =>
    proof(page)
      .locator(selector)
      .first()
      .evaluate((element) => getComputedStyle(element).fontFamily);
  await expect.poll(() => face('h1')).toContain(heading);
  await expect.poll(() => face('.type-body')).toContain(text);
  await page.keyboard.press('Enter');
  await tick('fits the mood');
  await page.getByLabel('in your own words').focus();
  await page.keyboard.type('It reads like the old almanacs.');
  await page.keyboard.press('Tab');
  await saved(page);
  const { brief, fonts } = await documentOf(request, id);
  expect(brief.mood).toEqual(['elegant', 'traditional']);
  expect([fonts.roles.heading.family.name, fonts.roles.text.family.name]).toEqual([heading, text]);
  expect(fonts.reasons).toEqual({
    because: ['fits the mood'],
    note: 'It reads like the old almanacs.',
  });
  expect(fonts.roles.text.family.languages).toContain('pl');
  expect(fonts.roles.text.family.figures).not.toBe('proportional');
});

test('one face is held and the ranking finds the other, with what was left out and why', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'pairs', exact: true }).click();
  await page.getByRole('checkbox', { name: 'Literata' }).check();
  const options = page.getByRole('listbox').getByRole('option');
  await expect
    .poll(async () => {
      const labels = await options.evaluateAll((all) =>
        all.map((option) => option.getAttribute('aria-label') ?? ''),
      );
      return labels.length > 20 && labels.every((label) => label.includes('over Literata'));
    })
    .toBe(true);
  await page.getByText(/faces cannot set this text/).click();
  await expect(page.getByText(/which tires in running text/).first()).toBeVisible();
  await page.getByText('The last, and why').click();
});

test('a third face for labels is ranked beside a held one, taken by keys, and let go again', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'pairs', exact: true }).click();
  const withLabel = page.getByRole('checkbox', { name: 'with a label face' });
  await expect(withLabel).toBeDisabled();
  await page.getByRole('checkbox', { name: 'Literata' }).check();
  await withLabel.check();
  const list = page.getByRole('listbox', { name: 'Trios, the best first' });
  await expect(list.getByRole('option').first()).toHaveAccessibleName(/over Literata, labels /);
  await list.focus();
  await page.keyboard.press('Home');
  await expect(list.getByText(/for text, \d+ for labels\./)).toBeVisible();
  const name = (await list.getByRole('option').first().getAttribute('aria-label')) ?? '';
  const label = /labels ([^,]+),/.exec(name)?.[1] ?? '';
  await page.keyboard.press('Enter');
  await saved(page);
  expect((await documentOf(request, id)).fonts.roles.label?.family.name).toBe(label);
  await expect
    .poll(() =>
      proof(page)
        .locator('.type-label')
        .first()
        .evaluate((element) => getComputedStyle(element).fontFamily),
    )
    .toContain(label);
  await page.getByRole('group', { name: 'Face to choose' }).getByText('label').click();
  await page.getByRole('button', { name: 'Use the heading face' }).click();
  await saved(page);
  expect((await documentOf(request, id)).fonts.roles.label).toBeUndefined();
});

test('another pair for narrow screens is chosen, seen below its width, and exported', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'Another pair for narrow screens' }).click();
  await page.getByRole('spinbutton', { name: 'narrow screens end at' }).fill('700');
  await page.getByRole('spinbutton', { name: 'narrow screens end at' }).press('Enter');
  const list = page.getByRole('listbox', {
    name: 'Families for the heading face on narrow screens',
  });
  await page.getByLabel('Search by name').fill('Oswald');
  await list.getByRole('option', { name: /^Oswald/ }).click();
  await saved(page);
  const heading = () =>
    proof(page)
      .locator('h1')
      .evaluate((element) => getComputedStyle(element).fontFamily);
  expect(await heading()).toContain('Archivo');
  await page.getByRole('button', { name: 'Make it narrow' }).click();
  await expect.poll(heading).toContain('Oswald');
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toMatch(/@media \(width < 700px\) \{\n {2}:root \{\n {4}--face-heading: "Oswald"/);
  await page.getByRole('button', { name: 'The same everywhere' }).click();
  await expect.poll(heading).toContain('Archivo');
});

test('a brief that no face meets says so', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief');
  await page.getByRole('checkbox', { name: 'small capitals' }).check();
  await page.getByRole('link', { name: /Fonts/ }).click();
  await page.getByRole('button', { name: 'pairs', exact: true }).click();
  await expect(page.getByText('No face has all that the brief needs.')).toBeVisible();
});

test('the list is narrowed by mood, language, figures and weights, and ordered by a figure', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  const count = page.getByText(/^\d+ of \d+$/);
  await expect(count).toBeVisible();
  const shown = async (): Promise<number> => Number((await count.innerText()).split(' ')[0]);
  const all = await shown();
  await page.getByText('language, weights, proportions, bytes').click();
  await page
    .getByRole('combobox', { name: 'Weights that it has' })
    .selectOption('weights 100 to 900');
  await expect.poll(shown).toBeLessThan(all);
  await expect(page.getByText('1 asked for')).toBeVisible();
  await page.getByRole('combobox', { name: 'Weights that it has' }).selectOption('any weights');
  await page.getByRole('combobox', { name: 'Language that it writes' }).selectOption('Greek');
  await expect.poll(shown).toBeLessThan(all);
  const greek = await shown();
  await page.getByRole('checkbox', { name: 'even figures' }).check();
  await expect.poll(shown).toBeLessThanOrEqual(greek);
  await page
    .getByRole('combobox', { name: 'Language that it writes' })
    .selectOption('any language');
  await page.getByRole('combobox', { name: 'Mood that it carries' }).selectOption('technical');
  await expect(page.getByRole('listbox').getByRole('option').first()).toContainText('%');
  await page.getByRole('combobox', { name: 'Ordered by' }).selectOption('by bytes');
  await expect(page.getByRole('listbox').getByRole('option').first()).toContainText('kB');
});

test('only the files that are needed are delivered, with fallback fonts that keep the lines', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'delivery', exact: true }).click();
  await expect(page.getByText('A first visit loads')).toBeVisible();
  await expect(page.getByText(/Fallback font until it has loaded: Times New Roman/)).toBeVisible();
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toContain('font-family: "Literata fallback";');
  expect(css).toContain('src: local("Times New Roman"), local("Liberation Serif");');
  expect(css).not.toContain('cyrillic');
  await page.getByRole('link', { name: /Brief/ }).click();
  await page.getByRole('checkbox', { name: 'Russian' }).check();
  await expect(page.getByRole('link', { name: /Fonts.*1 to repair/ })).toBeVisible();
  await saved(page);
  const russian = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(russian).toContain('literata-cyrillic');
});

test('the site’s words are changed where they stand in the proof, and an empty label goes back', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'write', exact: true }).click();
  const title = proof(page).getByRole('heading', { level: 1 });
  await title.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Ten crossings <b>a day</b>');
  await page.keyboard.press('Enter');
  await saved(page);
  expect(firstText((await documentOf(request, id)).content, 'h1')?.words).toBe(
    'Ten crossings <b>a day</b>',
  );
  await expect(title).toHaveText('Ten crossings <b>a day</b>');
  const label = proof(page).locator('.nav-link span').first();
  await label.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  await page.keyboard.press('Enter');
  await expect(label).toHaveText('Crossings');
  await expect(page.getByRole('alert')).toContainText('Nothing was changed');
  await page.getByRole('button', { name: /^Undo: words/ }).click();
  await expect(title).toHaveText('Nine crossings a day, whatever the tide says');
});

test('figures are measured as set and tabular, and words are drawn as coarse and fine screens do', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'close look', exact: true }).click();
  const figures = page.getByRole('region', { name: 'Figures' });
  await expect(figures.getByText(/^digits 0\.\d{3} to 0\.\d{3} em$/)).toBeVisible();
  await expect(figures.getByText(/^every digit 0\.\d{3} em$/)).toBeVisible();
  const screens = page.getByRole('region', { name: 'On coarse and fine screens' }).getByRole('img');
  await expect(screens).toHaveCount(4);
  // Twice as dense is twice as many dots, give or take the last one.
  const dots = () =>
    screens.evaluateAll((all) => all.map((canvas) => (canvas as HTMLCanvasElement).width));
  await expect
    .poll(async () => {
      const [coarse = 0, fine = 0] = await dots();
      return coarse > 30 && Math.abs(fine - 2 * coarse) <= 1;
    })
    .toBe(true);
});

test('what moves when the fonts arrive is measured, and the stand-ins are fitted so that less does', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  await page.getByRole('button', { name: 'delivery', exact: true }).click();
  await page.getByRole('button', { name: 'Measure what moves' }).click();
  const table = page.getByRole('table', { name: 'What moves when the fonts arrive' });
  const row = async (name: string): Promise<number[]> =>
    (await table.getByRole('row').filter({ hasText: name }).getByRole('cell').allInnerTexts()).map(
      Number,
    );
  const fitted = await row('fitted fallback fonts');
  const unfitted = await row('the bare local fonts');
  expect(unfitted[2]).toBeGreaterThan(0);
  expect(fitted[2]).toBeLessThan(unfitted[2] ?? 0);
  await page.getByRole('button', { name: 'with fallback fonts' }).click();
  const title = proof(page).getByRole('heading', { level: 1 });
  await expect
    .poll(() => title.evaluate((element) => getComputedStyle(element).fontFamily))
    .toBe('"Archivo fallback"');
  await page.getByRole('button', { name: 'with its fonts' }).click();
  await expect
    .poll(() => title.evaluate((element) => getComputedStyle(element).fontFamily))
    .toContain('Archivo,');
});

test('pairs are set aside with a note, found by it, set side by side and taken in another system', async ({
  page,
  request,
}) => {
  const first = await copyOf(request, BRACKWATER);
  await openArea(page, first, 'fonts');
  await page.getByRole('button', { name: 'set aside', exact: true }).click();
  await page.getByRole('button', { name: 'Set the present pair aside' }).click();
  const note = page.getByLabel('Note on Archivo over Literata').first();
  await note.fill('for windy quays');
  await note.press('Enter');

  const second = await copyOf(request, KESTREL);
  await openArea(page, second, 'fonts');
  await page.getByRole('button', { name: 'set aside', exact: true }).click();
  await page.getByLabel('Search what was set aside').fill('windy');
  const kept = page.getByRole('list', { name: 'Set aside' }).getByRole('listitem');
  await expect(kept).toHaveCount(1);
  await kept.getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Compare with the present' }).click();
  const dialog = page.getByRole('dialog', { name: 'Side by side' });
  await expect(dialog.getByRole('article')).toHaveCount(2);
  const size = () =>
    dialog
      .getByRole('article', { name: 'Archivo over Literata' })
      .locator('p')
      .nth(2)
      .evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize));
  const before = await size();
  await dialog.getByRole('button', { name: 'x-height', exact: true }).click();
  await expect.poll(size).not.toBe(before);
  await dialog.getByRole('button', { name: 'dark', exact: true }).click();
  // Words are changed where they stand, in every column at once.
  const title = dialog
    .getByRole('article')
    .first()
    .locator('[data-content="/content/pages/items/home/sections/items/hero/title"]');
  await title.fill('Under the dome tonight');
  await title.press('Escape');
  await expect(dialog).toBeVisible();
  await expect(title).not.toHaveText('Under the dome tonight');
  await title.fill('Under the dome tonight');
  await title.press('Enter');
  await expect(
    dialog.locator('[data-content="/content/pages/items/home/sections/items/hero/title"]'),
  ).toHaveText(['Under the dome tonight', 'Under the dome tonight']);
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(proof(page).getByRole('heading', { level: 1 })).toHaveText('Under the dome tonight');
  await kept.getByRole('button', { name: 'Take Archivo over Literata' }).click();
  await saved(page);
  expect((await documentOf(request, second)).fonts.roles.text.family.id).toBe('literata');
  await kept.getByRole('button', { name: /^Remove/ }).click();
  await expect(kept).toHaveCount(0);
});

test('own files are measured, chosen and shown in the proof; what is no font is refused in words', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'fonts');
  const { roles } = (await documentOf(request, id)).fonts;
  const font = roles.heading.family.files.find(({ style }) => style === 'normal');
  const bytes = await (await request.get(`/proof/fonts/${font?.name ?? ''}`)).body();
  const input = page.getByLabel('Import your own files');
  await input.setInputFiles([
    { name: 'Harbor.woff2', mimeType: 'font/woff2', buffer: bytes },
    { name: 'Letter.ttf', mimeType: 'font/ttf', buffer: Buffer.from('Dear friend') },
  ]);
  await page.getByRole('button', { name: 'Import them' }).click();
  await expect(page.getByRole('alert')).toContainText('Letter.ttf: it is no font');
  await input.setInputFiles([{ name: 'Harbor.woff2', mimeType: 'font/woff2', buffer: bytes }]);
  await page.getByLabel('what the license allows').fill('Ours.');
  await page.getByRole('button', { name: 'Import them' }).click();
  await expect(page.getByText(/is measured and taken as the heading face/)).toBeVisible();
  await saved(page);
  const own = (await documentOf(request, id)).fonts.roles.heading.family;
  expect([own.version, own.copyright]).toEqual(['own', 'Ours.']);
  await expect
    .poll(() =>
      page
        .locator('iframe[title="Proof"]')
        .evaluate(
          (frame, name) =>
            Array.from((frame as HTMLIFrameElement).contentDocument?.fonts ?? []).some(
              ({ family, status }) => family.includes(name) && status === 'loaded',
            ),
          own.name,
        ),
    )
    .toBe(true);
  // The browser reports the answer of 422 on the console.
  quietConsole.length = 0;
});

test('proposals come one after the other, are stepped back to, and are the same the next time', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const proposed = async (): Promise<string[]> => {
    await openArea(page, id, 'fonts');
    await page.getByRole('button', { name: 'pairs', exact: true }).click();
    await page.getByRole('checkbox', { name: 'Archivo' }).check();
    await expect(page.getByText(/^the best \d+ of \d+$/)).toBeVisible();
    const group = page.getByRole('group', { name: 'Proposals' });
    const status = group.getByRole('status');
    await group.getByRole('button', { name: 'Propose one' }).click();
    const first = await status.innerText();
    await group.getByRole('button', { name: 'Another' }).click();
    await expect(status).not.toHaveText(first);
    const second = await status.innerText();
    await group.getByRole('button', { name: 'The one before' }).click();
    await expect(status).toHaveText(first);
    return [first, second];
  };
  const once = await proposed();
  const again = await proposed();
  expect(again).toEqual(once);
  const [, text = ''] = (once[0] ?? '').split(' over ');
  await expect
    .poll(() =>
      proof(page)
        .locator('.type-body')
        .first()
        .evaluate((element) => getComputedStyle(element).fontFamily),
    )
    .toContain(text);
});

test('pairs are set aside from the ranking by key without being taken, and compared; two of three faces are held', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const before = (await documentOf(request, id)).fonts;
  await openArea(page, id, 'fonts?view=pairs');
  const list = page.getByRole('listbox', { name: 'Pairs, the best first' });
  await expect(list.getByRole('option').nth(5)).toBeVisible();
  await list.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('s');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('s');
  // Once more changes nothing.
  await page.keyboard.press('s');
  await page.getByRole('button', { name: 'Compare these 2 with the present' }).click();
  const dialog = page.getByRole('dialog', { name: 'Side by side' });
  await expect(dialog.getByRole('article')).toHaveCount(3);
  await dialog.getByRole('button', { name: 'Done' }).click();
  expect((await documentOf(request, id)).fonts).toEqual(before);
  await page.getByRole('button', { name: 'set aside', exact: true }).click();
  await expect
    .poll(() => page.getByRole('list', { name: 'Set aside' }).getByRole('listitem').count())
    .toBeGreaterThanOrEqual(2);
  // With a third face two can be held, and the third is sought.
  await page.getByRole('button', { name: 'pairs', exact: true }).click();
  const { heading, text } = before.roles;
  const hold = (name: string) => page.getByRole('checkbox', { name, exact: true });
  await hold(heading.family.name).check();
  await expect(hold(text.family.name)).toBeDisabled();
  await page.getByRole('checkbox', { name: 'with a label face' }).check();
  await hold(text.family.name).check();
  const trios = page.getByRole('listbox', { name: 'Trios, the best first' });
  await expect
    .poll(async () => {
      const names = await trios
        .getByRole('option')
        .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
      const held = `${heading.family.name} over ${text.family.name}, labels `;
      return names.length > 5 && names.every((name) => name.startsWith(held));
    })
    .toBe(true);
});
