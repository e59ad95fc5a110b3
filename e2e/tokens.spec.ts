import { propertyOf } from '@garnish/core/tokens/token';
import { derive } from '@garnish/core/derive/derive';
import type { Page } from '@playwright/test';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  openArea,
  proof,
  saved,
  test,
} from './garnish.ts';

const table = (page: Page) => page.getByRole('listbox', { name: 'Tokens' });
const search = (page: Page) => page.getByRole('searchbox', { name: /^Part of a name or a value/ });
const copied = (page: Page): Promise<string> => page.evaluate(() => navigator.clipboard.readText());

test('a token is found, opened, traced to its decisions, walked from, and copied by a click', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens');
  await search(page).fill('button.background');
  await table(page)
    .getByRole('option', { name: /^button\.background:/ })
    .click();
  const detail = page.getByRole('region', { name: 'button.background', exact: true });
  await detail.getByRole('button', { name: 'Copy button.background in light: #b5391a' }).click();
  await expect(page.getByText('copied', { exact: true })).toBeVisible();
  expect(await copied(page)).toBe('#b5391a');
  await detail.getByRole('button', { name: 'Copy var(--button-background)' }).click();
  await expect.poll(() => copied(page)).toBe('var(--button-background)');
  // To what it is taken from, and from there to something else that takes it.
  await detail.getByRole('list', { name: 'Takes from' }).getByRole('button').click();
  await expect(page).toHaveURL(/token=color\.action/);
  const action = page.getByRole('region', { name: 'color.action', exact: true });
  await expect(
    action.getByRole('list', { name: 'Taken by' }).getByRole('button', { name: 'slider.ink' }),
  ).toBeVisible();
  // The proof shows where it is used.
  await expect(page.getByRole('status', { name: 'Place of what is decided' })).toHaveText(
    /1 of \d/,
  );
  await expect(proof(page).locator('[data-place].button')).toBeVisible();
  await action.getByRole('link', { name: 'action in light' }).click();
  await expect(page).toHaveURL(/\/color\?at=/);
});

test('tokens are sought by a length, a near color, their type and their use; columns are chosen', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens');
  const options = table(page).getByRole('option');
  const first = options.first();
  await search(page).fill('#b5391a');
  await expect(first).toHaveAccessibleName(/#b5391a/);
  await search(page).fill('44px');
  await expect(first).toHaveAccessibleName(/2\.75rem/);
  await search(page).fill('no such token');
  await expect(page.getByText('No token answers to that.')).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('combobox', { name: 'Type' }).selectOption('shadow');
  await expect(first).toHaveAccessibleName(/^shadow\./);
  await page.getByRole('combobox', { name: 'Type' }).selectOption('');
  await page.getByRole('combobox', { name: 'Use' }).selectOption('unused');
  await expect(first).toHaveAccessibleName(/used 0 times/);
  await page.locator('summary', { hasText: 'Columns' }).click();
  await page.getByRole('checkbox', { name: 'tier' }).check();
  await expect(page.getByText('tier', { exact: true }).first()).toBeVisible();
  await page.reload();
  await expect(table(page)).toBeVisible();
  await page.locator('summary', { hasText: 'Columns' }).click();
  await expect(page.getByRole('checkbox', { name: 'tier' })).toBeChecked();
});

test('radii and shadows are copied bare into another sheet, and some lines of them, by keyboard', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens');
  await search(page).fill('radius');
  await expect(table(page).getByRole('option')).toHaveCount(3);
  await table(page).focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('Control+a');
  await search(page).fill('shadow.page');
  await expect(table(page).getByRole('option')).toHaveCount(2);
  await table(page).focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('Shift+End');
  const copy = page.getByRole('region', { name: 'Copy 5 tokens' });
  await copy.getByRole('button', { name: 'Copy 5 lines' }).click();
  const bare = await copied(page);
  expect(bare.split('\n').filter(Boolean)).toHaveLength(5);
  expect(bare).not.toMatch(/var\(|\{/);
  // In another sheet they have the values that they have here.
  const { tokens } = derive(await documentOf(request, id));
  await page.goto('about:blank');
  const wrong = await page.evaluate(
    ([css, wanted]) => {
      const own = document.createElement('style');
      own.textContent = `.other { ${css} }`;
      document.head.append(own);
      const other = document.createElement('div');
      other.className = 'other';
      document.body.append(other);
      return wanted.filter(
        ([name, value]) => getComputedStyle(other).getPropertyValue(name) !== value,
      );
    },
    [
      bare,
      tokens
        .filter(({ id: own }) => /^(?:radius|shadow\.page)\./.test(own))
        .map((token) => [propertyOf(token), token.values.light.css ?? ''] as const),
    ] as const,
  );
  expect(wrong).toEqual([]);
});

test('what is chosen brings what it takes, in a rule of one’s own, in px, and lines are picked', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?token=button.background');
  await table(page).focus();
  await page.keyboard.press('Space');
  const copy = page.getByRole('region', { name: 'Copy 1 token', exact: true });
  await copy.getByRole('button', { name: 'kept' }).click();
  await expect(
    copy.getByText(/^With \d more that it takes its values from: color\.action/),
  ).toBeVisible();
  await copy.getByRole('button', { name: 'in a rule' }).click();
  await copy.getByRole('textbox', { name: 'Selector of the rule' }).fill('.booking');
  await page.keyboard.press('Enter');
  const shown = copy.getByRole('group', { name: 'What is copied' });
  await expect(shown).toContainText('.booking {');
  await expect(shown).toContainText(':root[data-theme="dark"] .booking {');
  const line = shown.getByRole('button', { name: '--button-background: var(--color-action);' });
  await line.click();
  await copy.getByRole('button', { name: /^Copy 1 of \d+ lines$/ }).click();
  expect((await copied(page)).trim()).toBe('--button-background: var(--color-action);');
  await copy.getByRole('button', { name: 'Choose none' }).click();
  await expect(copy).toHaveCount(0);
  // A text style comes with everything that belongs to it.
  await search(page).fill('type.h1.style');
  await table(page).getByRole('option').first().locator('[data-box]').click();
  const style = page.getByRole('region', { name: 'Copy 1 token', exact: true });
  for (const part of ['family', 'weight', 'size', 'line-height', 'letter-spacing'])
    await expect(style.getByRole('group', { name: 'What is copied' })).toContainText(
      `--type-h1-${part}: `,
    );
});

test('a table of thousands stays small in the page, and its end is reached by key', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const count = 4000;
  const ids = Array.from({ length: count }, (_, at) => `t${at}`);
  await change(request, id, [
    {
      op: 'replace',
      path: '/tokens/custom',
      value: {
        order: ids,
        items: Object.fromEntries(
          ids.map((one, at) => [
            one,
            { path: `from-elsewhere.number-${at}`, type: 'number', value: at },
          ]),
        ),
      },
    },
  ]);
  await openArea(page, id, 'tokens');
  await search(page).fill('from-elsewhere');
  await expect(page.getByRole('region', { name: 'All tokens' })).toContainText('4000 of');
  await table(page).focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('region', { name: 'from-elsewhere.number-3999' })).toBeVisible();
  expect(await table(page).getByRole('option').count()).toBeLessThan(40);
  await search(page).fill('number-3998');
  await expect(table(page).getByRole('option')).toHaveCount(1);
});

test('the files are told by whom they are for, and each comes as what it is', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  const builds = page.getByRole('list', { name: 'Files for builds and other programs' });
  for (const file of ['tokens.scss', 'tokens.less', 'tokens.js', 'theme.css']) {
    const started = page.waitForEvent('download');
    await builds.getByRole('link', { name: file, exact: true }).click();
    expect((await started).suggestedFilename()).toMatch(
      new RegExp(`^brackwater-ferries.*-${file.replaceAll('.', String.raw`\.`)}$`),
    );
  }
});

test('a foreign file of 2,000 tokens is looked at, three in the way are decided, and it goes out equal', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  const theirs = Object.fromEntries(
    Array.from({ length: 2000 }, (_, at) => [`n${at}`, { $type: 'number', $value: at / 8 }]),
  );
  const inTheWay = {
    color: { page: { $type: 'number', $value: 1 } },
    step: { m: { $type: 'number', $value: 2 } },
    corner: { card: { $type: 'number', $value: 3 } },
  };
  const put = (file: object) =>
    page.getByLabel('Import a token file').setInputFiles({
      name: 'theirs.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(file)),
    });
  await put({ brand: theirs, ...inTheWay });
  const bringing = page.getByRole('region', { name: 'Tokens to take from theirs.json' });
  await expect(bringing.getByRole('heading')).toBeFocused();
  await expect(bringing.getByRole('button', { name: 'Take 2000 tokens' })).toBeVisible();
  // Nothing is taken before somebody says so.
  expect((await documentOf(request, id)).tokens.custom.order).toEqual([]);
  const states = bringing.getByRole('group', { name: 'Which tokens are shown' });
  await states.getByRole('button', { name: /^in the way/ }).click();
  const list = bringing.getByRole('listbox');
  await expect(list.getByRole('option')).toHaveCount(3);
  await list.focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect(bringing.getByText(/come in below theirs\./)).toBeVisible();
  await bringing.getByRole('button', { name: 'Take 2002 tokens' }).click();
  await expect(page.getByText('2002 tokens came in.')).toBeVisible();
  await saved(page);
  const out = (await (await request.get(`/api/systems/${id}/export/tokens.json`)).json()) as {
    brand: object;
    theirs: { color: object };
    color: { page: { $type: string } };
  };
  expect(out.brand).toEqual(theirs);
  expect(out.theirs.color).toEqual(inTheWay.color);
  expect(out.color.page.$type).toBe('color');
  // The same file again: what is there is the same, and one that changed is told from it.
  await put({ brand: { ...theirs, n7: { $type: 'number', $value: 77 } } });
  await expect(states.getByRole('button', { name: 'same as before 1999' })).toBeVisible();
  await states.getByRole('button', { name: 'changed 1', exact: true }).click();
  await expect(list.getByRole('option')).toHaveAccessibleName('brand.n7, changed: 0.875 → 77');
  await bringing.getByRole('button', { name: 'Leave the file' }).click();
  await expect(bringing).toHaveCount(0);
});

test('custom properties of any sheet are pasted, looked at, and are there in both themes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  await page.evaluate(() =>
    navigator.clipboard.writeText(
      ':root { --theirs-blue: #1d4ed8; --theirs-link: var(--theirs-blue); --theirs-grid: 1fr 2fr } .dark { --theirs-blue: #93c5fd }',
    ),
  );
  await page.getByRole('textbox', { name: 'Paste custom properties or a token file' }).focus();
  await page.keyboard.press('Control+v');
  const bringing = page.getByRole('region', { name: 'Tokens to take from what was pasted' });
  await expect(
    bringing.getByRole('option', { name: 'theirs-blue, new: #1d4ed8, in dark #93c5fd' }),
  ).toBeVisible();
  await expect(page.getByText('--theirs-grid: “1fr 2fr” is no value')).toBeVisible();
  await bringing.getByRole('button', { name: 'Take 2 tokens' }).click();
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toContain('--theirs-link: var(--theirs-blue);');
  expect(css.match(/--theirs-blue: #93c5fd;/g)).toHaveLength(2);
});

test('a token from elsewhere is renamed with its old name deprecated, described, and removed', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await change(request, id, [
    {
      op: 'replace',
      path: '/tokens/custom',
      value: {
        order: ['gap', 'inset'],
        items: {
          gap: { path: 'old.gap', type: 'dimension', value: { value: 8, unit: 'px' } },
          inset: {
            path: 'old.inset',
            type: 'dimension',
            value: { value: 8, unit: 'px' },
            alias: 'old.gap',
          },
        },
      },
    },
  ]);
  await openArea(page, id, 'tokens?token=old.gap');
  const own = page.getByRole('region', { name: 'old.gap', exact: true });
  const name = own.getByRole('textbox', { name: 'Name' });
  await name.fill('color.page');
  await name.press('Enter');
  await expect(own.getByText(/color\.page cannot be: the system has a token/)).toBeVisible();
  await name.fill('site.gap');
  await name.press('Enter');
  const renamed = page.getByRole('region', { name: 'site.gap', exact: true });
  await expect(renamed).toBeVisible();
  await renamed.getByRole('textbox', { name: 'What it is for' }).fill('Between cards');
  await page.keyboard.press('Tab');
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  for (const line of [
    '--site-gap: 8px;',
    '--old-inset: var(--site-gap);',
    '--old-gap: var(--site-gap);',
  ])
    expect(css).toContain(line);
  const tokens = (await (await request.get(`/api/systems/${id}/export/tokens.json`)).json()) as {
    old: { gap: { $deprecated: string } };
    site: { gap: { $description: string } };
  };
  expect(tokens.old.gap.$deprecated).toBe('Renamed to site.gap.');
  expect(tokens.site.gap.$description).toBe('Between cards');
  await search(page).fill('old.');
  await table(page).focus();
  await page.keyboard.press('Control+a');
  await page.getByRole('button', { name: /^Remove (?:the )?2 imported$/ }).click();
  await saved(page);
  expect((await documentOf(request, id)).tokens.custom.order).toHaveLength(1);
  await page.keyboard.press('Control+z');
  await saved(page);
  expect((await documentOf(request, id)).tokens.custom.order).toHaveLength(3);
});

test('a tier is called otherwise: seen before, taken with the old names deprecated, and back', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=names');
  const take = page.getByRole('button', { name: 'Take these names' });
  const says = page.getByRole('status').filter({ hasText: /name/ });
  await expect(says).toHaveText('no name changes');
  await expect(take).toHaveAttribute('aria-disabled', 'true');
  const prefix = page.getByLabel('Prefix of semantic tokens');
  await prefix.fill('Role!');
  await expect(page.getByRole('alert')).toContainText('Small letters, digits and hyphens');
  await prefix.fill('role');
  await expect(says).toHaveText(/^\d+ names change$/);
  const preview = page.getByRole('region', { name: 'Names before and after' });
  await expect(preview.getByRole('row', { name: '--color-page --role-color-page' })).toBeVisible();
  // Nothing has changed yet.
  expect((await documentOf(request, id)).tokens.sheet).toBeUndefined();
  await take.click();
  await expect(says).toHaveText('no name changes');
  await expect(page.getByRole('list', { name: 'Names from before' })).toContainText('no prefix');
  await saved(page);
  const exported = async (file: string) =>
    (await request.get(`/api/systems/${id}/export/${file}`)).text();
  expect(await exported('tokens.css')).toContain('  --color-page: var(--role-color-page);');
  const tree = JSON.parse(await exported('tokens.json')) as {
    color: { page: { $value: string; $deprecated: string } };
  };
  expect(tree.color.page).toMatchObject({
    $value: '{role.color.page}',
    $deprecated: 'Renamed to role.color.page.',
  });
  // A single token, by its own name; one that another has is refused beside the field.
  await openArea(page, id, 'tokens?token=color.page');
  await page.getByText('Name outside: role.color.page').click();
  const name = page.getByLabel('Name outside');
  await name.fill('role.color.text');
  await name.press('Enter');
  await expect(
    page.getByText(/role\.color\.text cannot be: .*It stays role\.color\.page\./),
  ).toBeVisible();
  await name.fill('paper');
  await name.press('Enter');
  await expect(page.getByRole('button', { name: 'Copy var(--paper)' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Copy var(--role-color-page)' })).toBeVisible();
  await openArea(page, id, 'tokens?view=names');
  await page
    .getByRole('list', { name: 'Names from before' })
    .getByRole('button', { name: 'Remove' })
    .click();
  await saved(page);
  expect(await exported('tokens.css')).not.toContain('--color-page:');
});

test('what a page or a component needs is found, put in order, chosen and copied', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens');
  await page.getByRole('combobox', { name: 'Needed by' }).selectOption('Table');
  const options = table(page).getByRole('option');
  await expect(table(page).getByRole('option', { name: /^table\.line:/ })).toBeVisible();
  await expect(table(page).getByRole('option', { name: /^button\.background:/ })).toHaveCount(0);
  const head = (name: string) => page.getByRole('button', { name: `In order of ${name}` });
  await head('uses').click();
  await head('uses').click();
  await expect(head('uses')).toHaveAccessibleName('In order of uses, from the last');
  const most = await options.first().getAttribute('aria-label');
  expect(Number(/used (\d+) times/.exec(most ?? '')?.[1])).toBeGreaterThan(20);
  await head('uses').click();
  await expect(head('uses')).toHaveAttribute('aria-pressed', 'false');
  await table(page).focus();
  await page.keyboard.press('Control+a');
  const copying = page.getByRole('region', { name: /^Copy \d+ tokens$/ });
  await copying.getByRole('button', { name: 'kept', exact: true }).click();
  await copying.getByRole('button', { name: /^Copy/ }).first().click();
  await expect.poll(() => copied(page)).toContain('--table-line: var(--color-line);');
  // Everything that these take comes along, down to what is taken from nothing.
  const text = await copied(page);
  const declared = new Set([...text.matchAll(/^\s*(--[\w-]+):/gm)].map(([, name]) => name));
  const taken = [...text.matchAll(/var\((--[\w-]+)/g)].map(([, name]) => name);
  expect(taken.filter((name) => !declared.has(name))).toEqual([]);
  // And the other way round: where a token is needed, by itself or by what takes it.
  await openArea(page, id, 'tokens?token=color.line');
  await page.getByText('Where it is needed').click();
  await expect(page.getByText('Home, Timetable')).toBeVisible();
  await expect(page.getByText(/Table, .*Field/)).toBeVisible();
});

test('tokens are made here: a share of a color, a border in a color of the system, each theme by itself', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens');
  const make = async (name: string, type: string): Promise<void> => {
    await page.getByRole('button', { name: 'New token' }).click();
    const form = page.getByRole('form', { name: 'New token' });
    await form.getByLabel('Name, its groups before it').fill(name);
    await form.getByRole('combobox', { name: 'Type of the new token' }).selectOption(type);
    await page.keyboard.press('Tab');
    await form.getByRole('button', { name: 'Make it' }).click();
  };
  // A name that the system has is refused beside the field.
  await make('color.page', 'color');
  await expect(page.getByRole('alert')).toContainText('the system has a token of this name');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'New token' })).toBeFocused();
  await make('mine.glow', 'color');
  const glow = page.getByRole('region', { name: 'mine.glow', exact: true });
  await glow.getByRole('button', { name: 'a share of another' }).click();
  const from = glow.getByLabel('What mine.glow is taken from');
  await from.fill('{color.none}');
  await from.press('Enter');
  await expect(glow.getByText('There is no token color.none.')).toBeVisible();
  await from.fill('{color.action}');
  await from.press('Enter');
  const share = glow.getByLabel('How much of it, in percent');
  await share.fill('25 %');
  await share.press('Enter');
  await expect(glow.getByText('0.25 times color.action')).toBeVisible();
  await make('mine.edge', 'border');
  const edge = page.getByRole('region', { name: 'mine.edge', exact: true });
  const color = edge.getByLabel('color in light');
  await color.fill('{color.line}');
  await color.press('Enter');
  const width = edge.getByLabel('width in dark');
  await width.fill('3px');
  await width.press('Enter');
  await expect(edge.getByRole('button', { name: 'The same in both themes' })).toBeVisible();
  await edge.getByText('What it is for, and its groups').click();
  await edge.getByLabel('What the group mine is for').fill('Of this site alone');
  await page.keyboard.press('Tab');
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toContain('--mine-edge: 1px solid var(--color-line);');
  expect(css).toContain('--mine-edge: 3px solid var(--color-line);');
  const tree = JSON.parse(
    await (await request.get(`/api/systems/${id}/export/tokens.json`)).text(),
  ) as { mine: Record<string, unknown> };
  expect(tree.mine).toMatchObject({
    $description: 'Of this site alone',
    glow: { $value: { alpha: 0.25 } },
    edge: { $value: { color: '{color.line}' } },
  });
  // Every file says what is shown of them too.
  await openArea(page, id, 'tokens?view=files');
  await page.getByRole('button', { name: 'Verify', exact: true }).click();
  await expect(page.getByText(/^[\d,]+ values, all as shown$/)).toBeVisible({ timeout: 60_000 });
});

test('a token tells what it was before, and which change made it what it is', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  for (const value of ['#123456', '#654321'])
    await change(request, id, [
      { op: 'replace', path: '/color/roles/items/page/light', value: { kind: 'own', value } },
    ]);
  await openArea(page, id, 'tokens?token=color.page');
  await page.getByText('Its history').click();
  const items = page.getByRole('list', { name: 'History of the token' }).getByRole('listitem');
  await expect(items).toHaveCount(2);
  await expect(items.first()).toContainText('#123456');
  await expect(items.first()).toContainText('#654321');
  await expect(page.getByText('Before that it was so from the beginning.')).toBeVisible();
  // Another has none.
  await openArea(page, id, 'tokens?token=type.h1.size');
  await page.getByText('Its history').click();
  await expect(page.getByText('It is what it was from the beginning.')).toBeVisible();
});
