import { readFile } from 'node:fs/promises';
import { inFullCascade } from '@garnish/core/reading/cascade';
import { readSheet } from '@garnish/core/reading/read-sheet';
import { pxOn } from '@garnish/core/reading/lengths';
import { filling } from '@garnish/core/reading/variables';
import { seeded } from '@garnish/core/seeded';
import { strToU8, zipSync } from 'fflate';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  openArea,
  test,
  violationsOf,
} from './garnish.ts';

const SITE = `.card { padding: 1.03125rem; color: #ff00aa; background: var(--color-page) }
.promo { gap: 1.03125rem }
.button { color: red }
`;
const PAGE = `<!doctype html><title>x</title><link rel="stylesheet" href="gone.css">
<img src="http://outside.test/a.png" onerror="document.title='taken'"><script>fetch('http://outside.test/')</script>
<p style="padding: 1.03125rem; background: url(http://outside.test/b.png)">x</p>`;

const file = (name: string, text: string | Uint8Array, mimeType = 'text/css') => ({
  name,
  mimeType,
  buffer: Buffer.from(text),
});

test('sheets and a page are held against the system, mended by a patch, and held again: it is better', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'review?view=drift');
  const asked: string[] = [];
  page.on('request', (one) => asked.push(one.url()));
  const drop = page.getByRole('group', { name: 'Style sheets and pages' });
  const choose = drop.getByLabel('Choose files');
  expect(await violationsOf(page, { within: 'main' })).toEqual([]);

  // What is none is told, and nothing is lost.
  await choose.setInputFiles([file('a.zip', 'PK nothing', 'application/zip')]);
  await expect(page.getByRole('alert')).toContainText('cannot be unpacked');

  await choose.setInputFiles([file('site.css', SITE), file('index.html', PAGE, 'text/html')]);
  const figure = page.getByRole('region', { name: 'How much is the system’s' });
  await expect(figure).toContainText('16.6 %');
  await expect(figure).toContainText('1 equal, 3 near, 2 foreign of 2 files.');
  // By component, and on how much of the page it stands.
  await figure.getByText('by component').click();
  await expect(figure.getByRole('row', { name: /^Card/ })).toContainText('33.3 %');
  const onPages = page.getByRole('region', { name: 'On the pages' });
  await expect(onPages.getByRole('listitem')).toContainText('1 of 2 things');
  const values = page.getByRole('region', { name: 'Values' });
  const rows = values.getByRole('list', { name: 'Values' }).getByRole('listitem');
  await expect(rows.first()).toContainText('1.03125rem');
  await expect(rows.first()).toContainText('0.5 px off');
  const places = values.getByRole('button', { name: '3 places of 1.03125rem' });
  await places.press('Enter');
  await expect(places).toBeFocused();
  await expect(rows.first()).toContainText('site.css:2');
  await expect(rows.first()).toContainText('index.html:3');
  await values.getByRole('button', { name: 'foreign 2' }).click();
  await values.getByRole('combobox', { name: 'Kind' }).selectOption('color');
  await expect(rows.first()).toContainText('#ff00aa');
  await expect(page.getByRole('region', { name: 'States that are missing' })).toContainText(
    '.button: pointed at',
  );
  await expect(page.getByRole('region', { name: 'Not read' })).toContainText('gone.css');
  expect(await violationsOf(page, { within: 'main' })).toEqual([]);
  // A hostile page is read as text: nothing of it runs, and nothing is asked for.
  expect(asked.filter((url) => !url.startsWith(new URL(page.url()).origin))).toEqual([]);

  const taking = page.waitForEvent('download');
  await values.getByRole('button', { name: 'Patch' }).click();
  const patch = await readFile(await (await taking).path(), 'utf8');
  expect(patch).toContain('--- a/site.css');
  const [, by = ''] = /\+\.promo \{ gap: (var\(--[\w-]+\)) \}/.exec(patch) ?? [];
  expect(by).not.toBe('');
  const mended = SITE.replaceAll('1.03125rem', by);
  await choose.setInputFiles([file('site.zip', zipSync({ 'site.css': strToU8(mended) }))]);
  await expect(figure).toContainText('60.0 %');
  await expect(figure).toContainText('points better than on');

  // A decision that follows the site makes it better at once; a release stays what it was.
  await change(request, id, [
    { op: 'replace', path: '/color/sources/items/buoy/value', value: '#ff00aa' },
  ]);
  await expect(figure).not.toContainText('60.0 %');
  // Another area, and back: it is still there.
  await page.getByRole('button', { name: 'findings', exact: true }).click();
  await page.getByRole('button', { name: 'drift', exact: true }).click();
  await expect(figure).toBeVisible();
});

test('lengths and custom properties that are read from sheets are what Chromium computes of them', async ({
  page,
}) => {
  const random = seeded('read as computed');
  const pick = <Value>(values: readonly Value[]): Value =>
    values[Math.floor(random() * values.length)] as Value;
  const number = (): string => (random() * 40 - 5).toFixed(pick([0, 1, 3]));
  const length = (depth: number): string => {
    if (depth === 0 || random() < 0.35)
      return `${number()}${pick(['px', 'rem', 'vw', 'vh', 'vi', 'pt', 'cm', 'in', 'svw', 'dvh', 'vmin', 'vmax', 'pc', 'Q'])}`;
    const [a, b, c] = [length(depth - 1), length(depth - 1), length(depth - 1)];
    return pick([
      `calc(${a} + ${b})`,
      `calc(${a} - ${b})`,
      `calc(${a} * ${number()})`,
      `calc(${a} / 3)`,
      `min(${a}, ${b})`,
      `max(${a}, ${b}, ${c})`,
      `clamp(${a}, ${b}, ${c})`,
    ]);
  };
  const lengths = Array.from({ length: 1000 }, () => length(3));
  await page.setViewportSize({ width: 1111, height: 777 });
  await page.goto('about:blank');
  const computed = await page.evaluate((all) => {
    const box = document.createElement('div');
    document.body.append(box);
    return all.map((one) => {
      box.style.marginLeft = '';
      box.style.marginLeft = one;
      return Number.parseFloat(getComputedStyle(box).marginLeft);
    });
  }, lengths);
  const off = lengths.flatMap((one, at) => {
    const px = pxOn(one, { widthPx: 1111, heightPx: 777, rootPx: 16 });
    const there = computed[at] ?? Number.NaN;
    // Browsers keep lengths as single floats.
    return px !== undefined && Math.abs(px - there) <= 0.01 + Math.abs(there) / 1e5
      ? []
      : [[one, px, there]];
  });
  expect(off).toEqual([]);

  // Graphs of references: chains, what stands in for others, cycles of one and of several.
  const names = Array.from({ length: 30 }, (_, index) => `--p${index}`);
  const reference = (): string => {
    const name = pick([...names, '--nowhere']);
    return random() < 0.5
      ? `var(${name})`
      : `var(${name}, ${pick(['1px', 'none', 'var(--p3)', ''])})`;
  };
  for (let turn = 0; turn < 40; turn += 1) {
    const css = `:root { ${names
      .map(
        (name) => `${name}: ${random() < 0.4 ? pick(['2px', 'a b', 'red']) : `x ${reference()}`};`,
      )
      .join(' ')} }`;
    const { declarations } = readSheet(css, 'x.css');
    const said = new Map(declarations.map(({ property, value }) => [property, value]));
    const filled = filling((name) => said.get(name));
    const there = await page.evaluate(
      ([sheet, all]) => {
        document.head.innerHTML = '';
        const style = document.createElement('style');
        style.textContent = sheet;
        document.head.append(style);
        const of = getComputedStyle(document.documentElement);
        return all.map((name) => of.getPropertyValue(name));
      },
      [css, names] as const,
    );
    const plain = (text: string | undefined): string => (text ?? '').replaceAll(/\s+/g, ' ').trim();
    expect([css, names.map((name) => plain(filled(`var(${name})`)))]).toEqual([
      css,
      there.map(plain),
    ]);
  }
});

test('of custom properties that several rules set, that holds which Chromium takes: layers, force, specificity, order', async ({
  page,
}) => {
  const random = seeded('cascade');
  const pick = <Value>(values: readonly Value[]): Value =>
    values[Math.floor(random() * values.length)] as Value;
  await page.goto('about:blank');
  for (let turn = 0; turn < 150; turn += 1) {
    let value = 0;
    const rule = (): string => {
      value += 1;
      const selector = pick([
        ':root',
        'html',
        ':root:root',
        'html:root',
        '*:root, b',
        ':where(:root)',
      ]);
      return `${selector} { --p: ${value}${random() < 0.2 ? ' !important' : ''} }`;
    };
    const block = (depth: number): string => {
      if (depth === 0 || random() < 0.4) return rule();
      const inner = Array.from({ length: 1 + Math.floor(random() * 3) }, () => block(depth - 1));
      return `@layer ${pick(['a', 'b', 'c', 'a.b'])} { ${inner.join(' ')} }`;
    };
    const css = [
      ...(random() < 0.3 ? ['@layer c, a, b;'] : []),
      ...Array.from({ length: 6 }, () => block(3)),
    ].join('\n');
    const sheet = readSheet(css, 'x.css');
    const last = inFullCascade(
      sheet.declarations.filter(({ selector }) => /root|html/.test(selector)),
      [sheet],
    ).at(-1);
    const there = await page.evaluate((text) => {
      document.head.innerHTML = '';
      const style = document.createElement('style');
      style.textContent = text;
      document.head.append(style);
      return getComputedStyle(document.documentElement).getPropertyValue('--p');
    }, css);
    expect([css, last?.value]).toEqual([css, there.trim()]);
  }
});

test('a site that exists becomes a system: every proposal is seen, near blues are joined and parted, one is refused', async ({
  page,
  request,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New system' }).click();
  const dialog = page.getByRole('dialog', { name: 'A new system' });
  await dialog.getByLabel('Name of the site').fill('Oxney as it was');
  await dialog.getByText('From a site that exists').click();
  const choose = dialog
    .getByRole('group', { name: 'Style sheets or a page' })
    .getByLabel('Choose files');
  await choose.setInputFiles([file('words.html', '<p>Nothing but words</p>', 'text/html')]);
  await expect(dialog.getByRole('alert')).toContainText('no style in it');
  const asked: string[] = [];
  page.on('request', (one) => asked.push(one.url()));
  await choose.setInputFiles('samples/before-garnish.html');
  const decisions = dialog.getByRole('group', { name: 'Decisions that were found' });
  await expect(decisions).toContainText('16 px × 1.25');
  await expect(decisions).toContainText('not explained: ');
  // From its sheets and from the page as it is shown, by the areas in which they are decided.
  for (const [area, count] of [
    ['Type', 4],
    ['Color', 9],
    ['Space', 11],
  ] as const)
    await expect(decisions.getByRole('region', { name: area }).getByRole('listitem')).toHaveCount(
      count,
    );
  // The old value stands beside the new one, with its color.
  const surface = decisions.getByRole('listitem').filter({ hasText: 'color of surfaces' });
  await expect(surface).toContainText(/instead of\s+#[0-9a-f]{6}/);
  // Another value that explains less is chosen; all of an area are left out and taken again.
  await decisions.getByRole('combobox', { name: 'Which corner of cards' }).selectOption('5 px');
  const ofSpace = decisions.getByRole('region', { name: 'Space' });
  await ofSpace.getByRole('button', { name: 'none of these' }).click();
  await expect(ofSpace.getByRole('checkbox', { checked: true })).toHaveCount(0);
  await ofSpace.getByRole('button', { name: 'all of these' }).click();
  await expect(ofSpace.getByRole('checkbox', { checked: true })).toHaveCount(11);
  await expect(dialog.getByRole('region', { name: 'Components that were found' })).toContainText(
    'missing: focus, pressed, off',
  );
  await expect(decisions.getByRole('checkbox', { name: /^color of the page/ })).toBeChecked();
  await decisions.getByRole('checkbox', { name: /^color of lines/ }).uncheck();
  const colors = dialog.getByRole('list', { name: 'Colors that were found' });
  await expect(colors.getByRole('listitem').first()).toContainText('#c8452b');
  await expect(colors.getByRole('checkbox', { name: '#1c4d69' })).toHaveCount(0);
  await colors.getByRole('button', { name: 'Keep #1c4d69 apart from #1b4b66' }).click();
  // What stands in one place waits to be taken.
  await expect(colors.getByRole('checkbox', { name: '#b3261e' })).not.toBeChecked();
  await colors.getByRole('checkbox', { name: '#b3261e' }).check();
  await colors.getByRole('checkbox', { name: '#1c4d69' }).uncheck();
  await decisions.getByRole('checkbox', { name: /^widest content/ }).uncheck();
  expect(await violationsOf(page, { within: 'dialog' })).toEqual([]);
  expect(asked.filter((url) => !url.startsWith(new URL(page.url()).origin))).toEqual([]);
  await dialog.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
  // The page itself is the proof, in the new system.
  const own = page.frameLocator('iframe[title$=", in this system"]');
  await expect(own.locator('h1')).toHaveAttribute('data-worn', /type-h1/);

  const [, id = ''] = /systems\/([^/]+)\//.exec(page.url()) ?? [];
  const { type, space, shape, color, layout, description } = await documentOf(request, id);
  expect(type.anchors.items['wide']).toMatchObject({ base: 16, ratio: 1.25 });
  expect(space.unit).toBe(8);
  expect(shape.radii.items['round']?.px).toBe(5);
  expect(layout.grid.at['wide']?.container).toBe(1080);
  expect(color.roles.items['page']?.light).toEqual({ kind: 'own', value: '#fbf9f4' });
  expect(color.roles.items['line']?.light).not.toMatchObject({ kind: 'own' });
  expect(type.roles.items['h1']?.lineHeight).toBe(1.1);
  const sources = Object.values(color.sources.items).map(({ value }) => value);
  expect(sources).toEqual(expect.arrayContaining(['#c8452b', '#1b4b66', '#b3261e']));
  expect(sources).not.toContain('#1c4d69');
  expect(description).toContain('Read from before-garnish.html.');
});
