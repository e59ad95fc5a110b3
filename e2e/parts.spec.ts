import { derive } from '@garnish/core/derive/derive';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  goOn,
  KESTREL,
  openArea,
  proof,
  setWidth,
  test,
  violationsOf,
} from './garnish.ts';

test('the sheet of parts shows every chapter in each theme; pointing names a token, a click leads to it', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page.getByRole('combobox', { name: 'Page of the proof' }).selectOption('Sheet of parts');
  const sheet = proof(page);
  await expect(sheet.getByText('Sheet of parts')).toBeVisible();
  await expect(sheet.locator('.sheet-heading')).toHaveText([
    'Faces',
    'Texts',
    'Ramps',
    'Color roles',
    'Gradients and patterns',
    'Space',
    'Grid and widths',
    'Pictures and logo',
    'Corners and edges',
    'Icons',
    'Levels',
    'Motion and layers',
    'Components in their states',
    'Parts of pages',
  ]);
  const rung = sheet.locator('.sheet-rung').nth(3);
  await expect(rung).toHaveCSS('background-color', 'rgb(170, 202, 203)');
  await rung.hover();
  await expect(page.getByText('palette.marsh.4: #aacacb')).toBeVisible();
  await rung.click();
  await expect(page).toHaveURL(/\/color\?.*at=%2Fcolor%2Fsources%2Fitems%2F/);
  // The proof stays on the sheet: what was clicked is decided there.
  await page.getByRole('button', { name: 'dark', exact: true }).click();
  await expect(sheet.locator('html')).toHaveAttribute('data-theme', 'dark');
  const { colors } = derive(await documentOf(request, id));
  const dark = colors.get('page')?.colors.dark ?? 'none';
  await expect(sheet.locator('.sheet-of-roles').getByText(`page ${dark}`)).toBeAttached();
  // Nothing is cut off or wider than the screen of a phone.
  await setWidth(page, 320);
  const { scrollWidth, clientWidth } = await sheet
    .locator('html')
    .evaluate(({ scrollWidth, clientWidth }) => ({ scrollWidth, clientWidth }));
  expect(scrollWidth).toBe(clientWidth);
});

test('the sheet of parts has a heading for each part and names for what plays', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, KESTREL);
  await openArea(page, id, 'type');
  await page.getByRole('combobox', { name: 'Page of the proof' }).selectOption('Sheet of parts');
  await expect(proof(page).locator('.sheet-of-motion')).toBeAttached();
  const frame = page.frames().find((one) => one.url().endsWith('/proof/'));
  if (!frame) throw new Error('there is no proof');
  // What is out of sight stands where its remembered size puts it: who looks at all of it lays all of it out.
  await frame.evaluate(() => {
    const awake = new CSSStyleSheet();
    awake.replaceSync('* { content-visibility: visible !important; }');
    document.adoptedStyleSheets.push(awake);
  });
  expect(await violationsOf(frame, { within: '.sheet' })).toEqual([]);
});

test('touching what only the sheet has turns the proof to it, and what plays there plays as decided', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const choice = page.getByRole('combobox', { name: 'Page of the proof' });
  await expect(choice).toHaveValue('home');
  await goOn(page, id, 'space?view=motion');
  // Durations are those of buttons too, so that the page stays; opacities stand on the sheet alone.
  await expect(choice).toHaveValue('home');
  await goOn(page, id, 'space?view=depth');
  await page
    .getByRole('spinbutton', { name: /^Opacity/ })
    .first()
    .focus();
  await expect(choice).toHaveValue('~parts');
  const ball = proof(page).locator('.sheet-of-motion .sheet-moving').first();
  await ball.scrollIntoViewIfNeeded();
  await expect(ball).toHaveCSS('transition-duration', '0.12s');
  const before = await ball.boundingBox();
  await proof(page).getByRole('group', { name: 'quick plays' }).hover();
  await expect
    .poll(async () => ((await ball.boundingBox())?.x ?? 0) - (before?.x ?? 0))
    .toBeGreaterThan(40);
  // A view of what the page has leaves it there, or turns to a page that has it.
  await choice.selectOption('home');
  await goOn(page, id, 'color?view=roles');
  await expect(page.getByRole('status', { name: 'Place of what is decided' })).toBeVisible();
  await expect(choice).toHaveValue('home');
});

test('a token that stands on no page is counted, in the demo there is none', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'review');
  await change(request, id, [
    { op: 'replace', path: '/tokens/custom/order', value: ['one'] },
    {
      op: 'add',
      path: '/tokens/custom/items/one',
      value: { path: 'elsewhere.word', type: 'string', value: 'words' },
    },
  ]);
  // It is the one that is counted.
  await expect(page.getByText('The token elsewhere.word stands on no page')).toBeVisible({
    timeout: 15_000,
  });
});
