import type { Difference } from '@garnish/core/releases/difference';
import { change, copyOf, expect, openArea, proof, saved, TALLOW, test } from './garnish.ts';

test('released, changed three times, released again: the difference is read, by meaning and as pictures', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, TALLOW);
  await openArea(page, id, 'handoff');
  const next = page.getByRole('region', { name: 'Next release' });
  await expect(next).toContainText('nothing was released yet');
  const number = next.getByRole('textbox', { name: 'number' });
  await expect(number).toHaveValue('1.0.0');
  await number.fill('1.0');
  await expect(next).toContainText('three whole numbers');
  await expect(next.getByRole('button', { name: /^Release/ })).toBeDisabled();
  await number.fill('1.0.0');
  await next.getByRole('textbox', { name: 'what it brings' }).fill('The first one.');
  const before = await (await request.get(`/api/systems/${id}/export/tokens.css`)).body();
  await number.press('Enter');
  await expect(next).toContainText('Nothing changed since 1.0.0.', { timeout: 60_000 });
  await expect(
    page.getByRole('navigation', { name: 'Areas' }).getByRole('link', { name: /Handoff/ }),
  ).toContainText('1.0.0');

  // Three changes: a unit, a corner, and a duration in addition.
  await page.getByRole('link', { name: /^Space/ }).click();
  const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
  await unit.fill('10');
  await unit.press('Enter');
  await saved(page);
  await change(request, id, [
    { op: 'replace', path: '/shape/radii/items/soft/px', value: 7 },
    { op: 'replace', path: '/color/roles/items/support/name', value: 'spark' },
  ]);
  await page.getByRole('link', { name: /Handoff/ }).click();
  await expect(number).toHaveValue('2.0.0');
  await expect(next.getByRole('list', { name: 'Why this number' })).toContainText(
    '1 token renamed',
  );
  const names = page.getByRole('region', { name: 'Names' });
  await expect(
    names.getByRole('row', { name: /--color-support --color-spark is gone/ }),
  ).toBeVisible();
  const byUnit = page.getByRole('region', { name: /^base unit: 8 px → 10 px/ });
  await expect(byUnit.getByRole('row', { name: /--step-s 0.5rem.*0.625rem/ })).toBeVisible();
  await expect(page.getByRole('region', { name: /soft/ }).first()).toContainText('→');
  const more = byUnit.getByRole('button', { name: /more$/ });
  const rows = await byUnit.getByRole('row').count();
  await more.click();
  expect(await byUnit.getByRole('row').count()).toBeGreaterThan(rows);

  // Somebody else changes it at that moment: nothing is released of what nobody has seen.
  await page.route('**/api/systems/*/releases', async (route) => {
    if (route.request().method() === 'POST')
      await change(request, id, [{ op: 'replace', path: '/shape/radii/items/soft/px', value: 6 }]);
    await route.continue();
  });
  await next.getByRole('button', { name: 'Release 2.0.0' }).click();
  await expect(next.getByRole('alert')).toContainText('changed meanwhile');
  expect(quietConsole.splice(0)).toEqual([expect.stringContaining('409')]);
  await page.unrouteAll();
  await next.getByRole('button', { name: 'Release 2.0.0' }).click();
  await expect(next).toContainText('2.0.0 was made, with', { timeout: 60_000 });

  await page.getByRole('button', { name: 'releases', exact: true }).click();
  const list = page.getByRole('list', { name: 'Releases' });
  await expect(list.getByRole('heading')).toHaveText(['2.0.0', '1.0.0']);
  await expect(list).toContainText('The first one.');
  // What was released first is what it was.
  const first = await request.get(`/api/systems/${id}/releases/1.0.0/files/tokens.css`);
  expect((await first.body()).equals(before)).toBe(true);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'deprecated.css' }).click();
  const file = await (await download).createReadStream();
  const pieces: Buffer[] = [];
  for await (const piece of file) pieces.push(piece as Buffer);
  expect(String(Buffer.concat(pieces))).toContain('--color-support: var(--color-spark)');

  // A button in both states, each by its own sheet.
  const looks = page.getByRole('region', { name: 'Looks different' });
  await looks.getByRole('button', { name: 'Home', exact: true }).click();
  // The whole page, as it was and as it is: the same words, another corner of what acts.
  const corners = await Promise.all(
    [0, 1].map((at) =>
      looks
        .locator('iframe')
        .nth(at)
        .contentFrame()
        .locator('.button')
        .first()
        .evaluate((one) => getComputedStyle(one).borderRadius),
    ),
  );
  expect(new Set(corners).size).toBe(2);
  await looks.getByRole('button', { name: 'Button', exact: true }).click();
  const cornerIn = (release: string) =>
    page
      .frameLocator(`iframe[title="Button in ${release}"]`)
      .locator('.button')
      .first()
      .evaluate((button) => getComputedStyle(button).borderTopLeftRadius);
  await expect.poll(() => cornerIn('2.0.0')).toBe('6px');
  expect(await cornerIn('1.0.0')).not.toBe('6px');
  await expect(proof(page).getByRole('heading', { level: 1 }).first()).toBeVisible();

  // What changed since then is chosen among the tokens too.
  await page.getByRole('link', { name: /^Tokens/ }).click();
  await page
    .getByRole('combobox', { name: 'Needed by, or changed since' })
    .selectOption('since 1.0.0');
  const { difference } = (await (
    await request.get(`/api/systems/${id}/difference?from=1.0.0`)
  ).json()) as { readonly difference: Difference };
  const changed = new Set([
    ...difference.tokens.added.map(({ token }) => token.id),
    ...[...difference.tokens.changed, ...difference.tokens.renamed].map(({ after }) => after.id),
  ]);
  await expect(page.getByRole('region', { name: 'All tokens' })).toContainText(
    new RegExp(`${changed.size} of \\d+`),
  );
});
