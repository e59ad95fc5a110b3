import {
  BRACKWATER,
  copyOf,
  documentOf,
  expect,
  goOn,
  openArea,
  proof,
  saved,
  test,
} from './garnish.ts';
import { bodiesOf, compare, servePlain } from './plain.ts';

test('a section becomes a part of its own, stands on two pages, is written once, and looks the same outside', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=pages');
  const choice = page.getByRole('combobox', { name: 'Page of the proof' });
  await choice.selectOption('booking');
  await page.getByRole('button', { name: /^Testimonials/ }).click();
  await page.getByRole('button', { name: 'Make it a part to be used on other pages' }).click();
  const name = page.getByRole('textbox', { name: 'Name of part Testimonials' });
  await name.fill('Said aboard');
  await page.keyboard.press('Enter');
  const uses = page
    .getByRole('grid', { name: 'Own parts' })
    .getByRole('row', { name: 'Said aboard' })
    .getByText(/^stands /);
  await expect(uses).toHaveText('stands once');
  // On another page it is one of what can be added.
  await choice.selectOption('home');
  await page.getByRole('button', { name: 'Another section' }).click();
  await page.getByRole('button', { name: 'Add Said aboard' }).click();
  await expect(uses).toHaveText('stands 2 times');
  const said = proof(page).getByText('A walker');
  await expect(said).toHaveCount(1);
  // Written on one page, it says the same on the other.
  await page.getByRole('button', { name: 'write', exact: true }).click();
  await said.fill('A rider');
  await page.keyboard.press('Enter');
  await choice.selectOption('booking');
  await expect(proof(page).getByText('A rider')).toHaveCount(1);
  await expect(proof(page).getByText('A walker')).toHaveCount(0);
  await page.getByRole('button', { name: 'write', exact: true }).click();
  await saved(page);
  const document = await documentOf(request, id);
  expect(document.content.parts?.order).toHaveLength(2);
  // Outside it is what it is here.
  await servePlain(page, id, bodiesOf(document));
  const own = 'booking';
  const found = await compare(page, 720, 'light', 'nothing', '', own);
  expect(found.elements).toBeGreaterThan(30);
  expect(found.differences).toEqual([]);
  // In Components it stands beside the others, with what it is put together from.
  await goOn(page, id, 'components');
  await page
    .getByRole('group', { name: 'Parts' })
    .getByRole('button', { name: 'Said aboard' })
    .click();
  const opened = page.getByRole('region', { name: 'Said aboard' });
  await expect(opened.getByRole('link', { name: 'Testimonial' })).toBeVisible();
  await expect(opened.getByRole('button', { name: 'Home 1' })).toBeVisible();
  await expect(
    page.frameLocator('iframe[title="Said aboard, as it stands on pages"]').getByText('A rider'),
  ).toBeVisible();
  // Back to a section of one page: the other keeps the part.
  await goOn(page, id, 'brief?view=pages');
  await choice.selectOption('booking');
  await page.getByRole('button', { name: /^Said aboard the same/ }).click();
  await page.getByRole('button', { name: 'Make them sections of this page alone' }).click();
  await expect(uses).toHaveText('stands once');
  await page.getByRole('button', { name: 'Remove part Said aboard' }).click();
  await choice.selectOption('home');
  await expect(proof(page).getByText('A rider')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(proof(page).getByText('A rider')).toHaveCount(1);
});

test('a part is put together from components with words of their own, and a section wears a variant', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'brief?view=pages');
  await page.getByRole('button', { name: 'Another part' }).click();
  const parts = page.getByRole('region', { name: 'Own parts' });
  await expect(parts.getByText('It is empty, and shown nowhere.')).toBeVisible();
  await parts.getByRole('button', { name: 'Another section' }).click();
  await parts.getByRole('button', { name: 'Add Components in a row' }).click();
  await parts.getByRole('combobox', { name: 'Another component' }).selectOption('field.text');
  await page.getByRole('button', { name: 'Another section' }).first().click();
  await page.getByRole('button', { name: 'Add Part 2' }).first().click();
  const row = proof(page).locator('.own-part .actions');
  await expect(row.locator('> *')).toHaveCount(3);
  await expect(row.getByRole('textbox')).toBeVisible();
  // A variant of one’s own is worn by the opening alone.
  await page.getByRole('button', { name: /^Opening/ }).click();
  const button = proof(page).locator('.hero-words .button');
  const ground = (): Promise<string> =>
    button.evaluate((element) => getComputedStyle(element).backgroundColor);
  const usual = await ground();
  const worn = page
    .getByRole('region', { name: 'Sections of Home' })
    .getByRole('combobox', { name: 'button, main' });
  await worn.selectOption({ label: 'by phone' });
  await expect.poll(ground).not.toBe(usual);
  await expect(proof(page).locator('.own-part .button')).not.toHaveClass(/by-phone/);
  await worn.selectOption({ label: 'the usual' });
  await expect.poll(ground).toBe(usual);
});

test('the words of a button depart to another text role everywhere, and follow again', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'components');
  const label = proof(page).locator('.hero-words .button > *').first();
  const size = (): Promise<string> =>
    label.evaluate((element) => getComputedStyle(element).fontSize);
  const usual = await size();
  const takes = page.getByRole('button', { name: 'button.text takes', exact: true });
  await takes.click();
  await page.keyboard.press('End');
  await page.keyboard.press('Home');
  await page.getByRole('option', { name: 'h3', exact: true }).hover();
  await expect.poll(size).not.toBe(usual);
  await page.keyboard.press('Escape');
  await expect.poll(size).toBe(usual);
  await takes.click();
  await page.getByRole('option', { name: 'h3', exact: true }).click();
  await expect.poll(size).not.toBe(usual);
  await saved(page);
  const { components } = await documentOf(request, id);
  expect(components.departures).toEqual({ 'button.text': 'type.h3' });
  await page.getByRole('button', { name: 'let it go: button.text' }).click();
  await expect.poll(size).toBe(usual);
});
