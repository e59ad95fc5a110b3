import { inOrder } from '@garnish/core/system/document';
import { sectionsOf } from '@garnish/core/proof/texts';
import { documentOf, expect, proof, saved, setWidth, test } from './garnish.ts';
import { bodyOf, compare, renamed, servePlain } from './plain.ts';

test('a riverside cinema: four pages, prices from a spreadsheet, dark only, its own prefix, the same outside', async ({
  page,
  request,
}) => {
  test.slow();
  await page.goto('/');
  await page.getByRole('button', { name: 'New system' }).click();
  await page.getByLabel('Name of the site').fill('Millrace Cinema');
  await page.getByRole('radio', { name: /^A place to visit/ }).check();
  const colors = page.getByLabel('Colors of the brand, if there are any');
  await colors.fill('#c2453a, nonsense');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('alert')).toContainText('“nonsense” is no color');
  await colors.fill('#c2453a, oklch(0.45 0.08 230)');
  await page.getByLabel('Logo as SVG, if there is one').setInputFiles({
    name: 'millrace.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><script>1</script><path d="M2 24h28v4H2z" fill="#c2453a"/></svg>',
    ),
  });
  await page.getByRole('button', { name: 'Make it' }).click();
  // It opens in the brief, with fitting pages.
  await expect(page).toHaveURL(/\/brief$/);
  await expect(proof(page).getByRole('heading', { level: 1 })).toHaveText('Millrace Cinema');
  await expect(proof(page).locator('.logo svg')).toBeVisible();
  const choice = page.getByRole('combobox', { name: 'Page of the proof' });
  await expect(choice.locator('option')).toHaveText([
    ...['Home', 'Program', 'Prices', 'Visit'],
    'Sheet of parts',
  ]);
  const id = /systems\/([^/]+)/.exec(page.url())?.[1] ?? '';

  // By the keyboard: a section is moved, a page gets another one.
  await page.getByRole('button', { name: 'Pages', exact: true }).click();
  await choice.selectOption('prices');
  await page.getByRole('button', { name: /^Table/ }).click();
  await page
    .getByRole('textbox', { name: 'Paste a table' })
    .fill('Who\tStalls\tBalcony\nAdult\t9.50\t12.00\nChild\t5.00\t6.50\nSeason\t88.00\t110.00');
  await expect(proof(page).locator('.table')).toContainText('110.00');
  await page.getByRole('grid', { name: 'Sections of Prices' }).getByRole('row').first().focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Alt+ArrowDown');
  await saved(page);
  await choice.selectOption('program');
  await page.getByRole('button', { name: 'Another section' }).press('Enter');
  await page.getByRole('button', { name: 'Add Notice' }).press('Enter');
  await expect(proof(page).locator('.notice')).toBeVisible();

  // Dark only: one theme in the proof, the sheet, the findings.
  await page.goto(`/systems/${id}/color?view=roles`);
  await page.getByRole('button', { name: 'dark only', exact: true }).click();
  await expect(
    page.getByRole('group', { name: 'Theme of the proof' }).getByRole('button'),
  ).toHaveText(['dark']);
  await saved(page);
  await page.goto(`/systems/${id}/tokens?view=names`);
  const prefix = page.getByLabel('Prefix of custom properties');
  await prefix.fill('R C');
  await prefix.press('Enter');
  await expect(page.getByText('Small letters, digits and hyphens')).toBeVisible();
  await prefix.fill('rc');
  await page.getByRole('button', { name: 'Take these names' }).click();
  const classes = page.getByLabel('Prefix of classes');
  await classes.fill('rc');
  await classes.press('Enter');
  await saved(page);

  const document = await documentOf(request, id);
  expect(sectionsOf(document.content, 'table').map(({ own }) => own.rows.order.length)).toContain(
    3,
  );
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).not.toContain('prefers-color-scheme');
  expect(css).toContain('--rc-color-page');
  const naming = document.tokens.sheet ?? {};
  await servePlain(
    page,
    id,
    new Map(
      document.content.pages.order.map((one) => [one, renamed(bodyOf(document, one), naming)]),
    ),
  );
  await setWidth(page, 720);
  for (const [one, { name }] of inOrder(document.content.pages)) {
    await choice.selectOption(one);
    await expect(proof(page).locator('h1')).toBeVisible();
    const found = await compare(page, 720, 'dark', 'nothing', 'rc-', one);
    expect(found.elements).toBeGreaterThan(30);
    expect([name, found.differences]).toEqual([name, []]);
  }
});
