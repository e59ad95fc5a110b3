import { derive } from '@garnish/core/derive/derive';
import { fluidPx } from '@garnish/core/type/fluid';
import {
  BRACKWATER,
  copyOf,
  documentOf,
  expect,
  KESTREL,
  openArea,
  proof,
  saved,
  setWidth,
  test,
} from './garnish.ts';

test('the proof is rendered with the exported style sheet, rule for rule', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await page.getByRole('spinbutton', { name: 'base on the wide screen' }).fill('21');
  await page.keyboard.press('Enter');
  await saved(page);
  const exported = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  const same = await page.locator('iframe[title="Proof"]').evaluate((element, css) => {
    const { contentDocument, contentWindow } = element as HTMLIFrameElement;
    const { CSSStyleSheet: FrameSheet } = contentWindow as Window & typeof globalThis;
    const parsed = new FrameSheet({ baseURL: contentDocument?.baseURI ?? '' });
    parsed.replaceSync(css);
    const text = (sheet: CSSStyleSheet | undefined): string =>
      Array.from(sheet?.cssRules ?? [], (rule) => rule.cssText).join('\n');
    const sheets = contentDocument?.adoptedStyleSheets ?? [];
    return { count: sheets.length, own: text(sheets[0]), other: text(parsed) };
  }, exported);
  expect(same.count).toBe(2);
  expect(same.own.length).toBeGreaterThan(4000);
  expect(same.own).toBe(same.other);
});

test('the proof uses the very font files that are exported', async ({ page, request }) => {
  const loaded: string[] = [];
  page.on('response', (response) => {
    // The interface sets names in these families too, in files of its own choosing.
    if (response.url().includes('/proof/fonts/') && response.frame() !== page.mainFrame())
      loaded.push(response.url().split('/').at(-1) ?? '');
  });
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const faces = await page.locator('iframe[title="Proof"]').evaluate(async (element) => {
    const page = (element as HTMLIFrameElement).contentDocument;
    await page?.fonts.ready;
    return (
      Array.from(page?.fonts ?? [])
        .filter(({ status }) => status === 'loaded')
        .map(({ family }) => family.replaceAll('"', ''))
        // Stand-ins come from the computer, not from a file.
        .filter((family) => !family.endsWith('fallback'))
    );
  });
  expect(new Set(faces)).toEqual(new Set(['Archivo', 'Literata']));
  const exported = derive(await documentOf(request, id)).faces.flatMap(({ files }) =>
    files.map(({ name }) => name),
  );
  expect(loaded.length).toBeGreaterThan(0);
  for (const file of loaded) expect(exported).toContain(file);
});

test('every text role has its token’s size in Chromium at eight widths, within 0.01 px', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const { styles } = derive(await documentOf(request, id));
  for (const width of [320, 360, 480, 720, 1000, 1280, 1440, 1600]) {
    await setWidth(page, width);
    const measured = await page.locator('iframe[title="Proof"]').evaluate(
      (element, slugs) => {
        const { contentDocument: page, contentWindow: frame } = element as HTMLIFrameElement;
        return slugs.map((slug) => {
          const probe = page?.createElement('p');
          if (!probe || !frame) return NaN;
          probe.className = `type-${slug}`;
          page?.body.append(probe);
          const size = Number.parseFloat(frame.getComputedStyle(probe).fontSize);
          probe.remove();
          return size;
        });
      },
      [...styles.values()].map(({ slug }) => slug),
    );
    [...styles.values()].forEach(({ size, name }, index) =>
      expect(
        Math.abs((measured[index] ?? NaN) - fluidPx(size, width)),
        `${name} at ${width}`,
      ).toBeLessThan(0.01),
    );
  }
});

test('colors and spaces of the exported sheet are their tokens, in light and dark', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, KESTREL);
  await openArea(page, id, 'color');
  const { colors, spaces } = derive(await documentOf(request, id));
  for (const mode of ['light', 'dark'] as const) {
    await page.getByRole('button', { name: mode, exact: true }).click();
    const all = [...colors.values()];
    const shown = () =>
      page.locator('iframe[title="Proof"]').evaluate(
        (element, names) => {
          const { contentDocument, contentWindow } = element as HTMLIFrameElement;
          return names.map((name) => {
            const probe = contentDocument?.createElement('i');
            if (!probe || !contentWindow) return '';
            probe.style.color = `var(--color-${name})`;
            contentDocument?.body.append(probe);
            const [red = 0, green = 0, blue = 0] = (
              contentWindow.getComputedStyle(probe).color.match(/\d+/g) ?? []
            ).map(Number);
            probe.remove();
            return `#${[red, green, blue].map((value) => value.toString(16).padStart(2, '0')).join('')}`;
          });
        },
        all.map(({ slug }) => slug),
      );
    await expect.poll(shown, `colors in ${mode}`).toEqual(all.map((one) => one.colors[mode]));
  }
  const inset = await proof(page)
    .locator('.card')
    .first()
    .evaluate((element) => Number.parseFloat(getComputedStyle(element).paddingTop));
  const decided = spaces.get('inset')?.inline.px({ widthPx: 720 }) ?? 0;
  expect(Math.abs(inset - decided)).toBeLessThan(0.01);
});

test('the width is dragged from 320 to 5120 px, typed, and moved by keys', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  const ruler = page.getByRole('slider', { name: 'Width of the proof on the ruler' });
  const box = await ruler.boundingBox();
  if (!box) throw new Error('no ruler');
  await page.mouse.move(box.x + 100, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width + 20, box.y + 10, { steps: 6 });
  await expect(ruler).toHaveAttribute('aria-valuenow', '5120');
  await page.mouse.move(box.x - 40, box.y + 10, { steps: 6 });
  await expect(ruler).toHaveAttribute('aria-valuenow', '320');
  await page.mouse.up();
  await expect
    .poll(() =>
      page
        .locator('iframe[title="Proof"]')
        .evaluate((frame) => (frame as HTMLIFrameElement).contentWindow?.innerWidth),
    )
    .toBe(320);
  await ruler.press('ArrowRight');
  await expect(ruler).toHaveAttribute('aria-valuenow', '330');
  const edge = page.getByRole('slider', { name: 'Edge of the proof' });
  const grip = await edge.boundingBox();
  if (!grip) throw new Error('no edge');
  await page.mouse.move(grip.x + 12, grip.y + 100);
  await page.mouse.down();
  await page.mouse.move(grip.x + 112, grip.y + 100, { steps: 4 });
  await page.mouse.up();
  await expect(edge).toHaveAttribute('aria-valuenow', '430');
});

test('nothing scrolls sideways at 320 px', async ({ page, request }) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'type');
  await setWidth(page, 320);
  const overflow = await page.locator('iframe[title="Proof"]').evaluate((element) => {
    const root = (element as HTMLIFrameElement).contentDocument?.documentElement;
    return (root?.scrollWidth ?? 0) - (root?.clientWidth ?? 0);
  });
  expect(overflow).toBe(0);
});

test('words that look like a script stay words, and nothing runs in the proof', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const evil = '<img src=x onerror="parent.ran = true"><script>parent.ran = true</script>';
  await request.post(`/api/systems/${id}/changes`, {
    data: {
      id: crypto.randomUUID(),
      base: 0,
      patch: [
        { op: 'replace', path: '/content/pages/items/home/sections/items/hero/title', value: evil },
      ],
      label: 'title',
      window: crypto.randomUUID(),
      gesture: crypto.randomUUID(),
    },
  });
  await openArea(page, id, 'type');
  await expect(proof(page).getByRole('heading', { level: 1 })).toHaveText(evil);
  expect(await page.evaluate(() => 'ran' in globalThis)).toBe(false);
});

test('after any movements the proof holds the exported sheet, rule by rule', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  /** The rules of the proof’s sheet, and of the exported file as the same browser reads it. */
  const both = async (): Promise<readonly (readonly string[])[]> => {
    await saved(page);
    const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
    return page.evaluate((text) => {
      const frame = document.querySelector<HTMLIFrameElement>('iframe[title="Proof"]');
      const shown = frame?.contentDocument?.adoptedStyleSheets[0];
      const Sheet = (frame?.contentWindow as (Window & typeof globalThis) | null)?.CSSStyleSheet;
      if (!shown || !Sheet) throw new Error('the proof has no sheet');
      const exported = new Sheet();
      exported.replaceSync(text);
      return [shown, exported].map(({ cssRules }) => [...cssRules].map(({ cssText }) => cssText));
    }, css);
  };
  const same = async (): Promise<void> => {
    const [shown, exported] = await both();
    expect(shown?.length).toBeGreaterThan(200);
    expect(shown).toEqual(exported);
  };
  await openArea(page, id, 'type');
  await same();
  const slider = page.getByRole('slider', { name: /^base on the narrow/ });
  await slider.focus();
  for (let press = 0; press < 12; press += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await same();
  await openArea(page, id, 'color');
  const buoy = page.getByRole('textbox', { name: 'Value of buoy', exact: true });
  await buoy.fill('rebeccapurple');
  await buoy.press('Enter');
  await same();
  await openArea(page, id, 'space');
  const unit = page.getByRole('spinbutton', { name: 'unit', exact: true });
  await unit.fill('11');
  await unit.press('Enter');
  await same();
  // What is undone is written back in the same way.
  await page.keyboard.press('Control+z');
  await expect(unit).toHaveValue('8');
  await same();
  // A name takes rules away and brings others, in the sheet that stands.
  const { sequence } = (await (await request.get(`/api/systems/${id}`)).json()) as {
    sequence: number;
  };
  const renamed = await request.post(`/api/systems/${id}/changes`, {
    data: {
      id: crypto.randomUUID(),
      base: sequence,
      patch: [{ op: 'replace', path: '/color/roles/items/surface/name', value: 'sheet' }],
      label: 'surface is called sheet',
      window: crypto.randomUUID(),
      gesture: crypto.randomUUID(),
    },
  });
  expect(renamed.ok()).toBe(true);
  await expect(proof(page).locator('.on-sheet').first()).toBeVisible();
  await same();
});
