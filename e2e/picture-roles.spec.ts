import { readFileSync } from 'node:fs';
import { treat } from '@garnish/core/image/treat';
import { derive } from '@garnish/core/derive/derive';
import { treatedIn } from '@garnish/core/derive/color/treatments';
import { coverCrop } from '@garnish/core/image/veil';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  goOn,
  openArea,
  proof,
  saved,
  test,
} from './garnish.ts';

test('pictures are decided by what they are on the pages, and every page and the export follow', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'space?view=page');
  const roles = page.getByRole('list', { name: 'What pictures are on the pages' });
  await expect(roles.getByRole('listitem')).toHaveCount(5);
  await page.getByRole('combobox', { name: 'Page of the proof' }).selectOption('booking');
  const portrait = proof(page).locator('.voice-picture').first();
  await expect(portrait).toHaveCSS('border-radius', '50%');
  await roles
    .getByRole('combobox', { name: 'Shape of Portrait' })
    .selectOption({ label: 'portrait' });
  await expect(portrait).toHaveCSS('border-radius', '0px');
  await expect(portrait).toHaveCSS('aspect-ratio', '4 / 5');
  await roles
    .getByRole('combobox', { name: 'What is done to Portrait' })
    .selectOption('toned in two');
  await roles
    .getByRole('combobox', { name: 'Second role of Portrait' })
    .selectOption({ label: 'action' });
  const toned = proof(page).locator('span.voice-picture.toned.toned-portrait');
  await expect(toned.first().locator('img')).toHaveCSS('mix-blend-mode', 'multiply');
  // The element around it has the shape, and the picture fills it.
  await expect(async () => {
    const around = await toned.first().boundingBox();
    expect(await toned.first().locator('img').boundingBox()).toEqual(around);
    expect(around?.height).toBeGreaterThan(50);
  }).toPass();
  await saved(page);
  const css = await (await request.get(`/api/systems/${id}/export/tokens.css`)).text();
  expect(css).toContain('--treatment-portrait-light:');
  expect(css).toMatch(
    /\.toned-portrait::after \{\s*background-color: var\(--treatment-portrait-dark\)/,
  );
  const tokens = (await (await request.get(`/api/systems/${id}/export/tokens.json`)).json()) as {
    treatment: { portrait: { light: { $type: string } } };
  };
  expect(tokens.treatment.portrait.light.$type).toBe('color');
  // Let go of one after the other, nothing is left of it.
  await roles.getByRole('combobox', { name: 'What is done to Portrait' }).selectOption('as it is');
  await roles.getByRole('combobox', { name: 'Shape of Portrait' }).selectOption('');
  await saved(page);
  expect((await documentOf(request, id)).layout.pictureRoles).toBeUndefined();
  await expect(portrait).toHaveCSS('border-radius', '50%');
  await page.keyboard.press('Control+z');
  await saved(page);
  expect((await documentOf(request, id)).layout.pictureRoles?.portrait).toBeDefined();
});

test('a toned and a faint picture under words are what the judge takes them for, in both themes', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  const path = '/layout/pictureRoles';
  for (const treatment of [
    { kind: 'toned', color: 'text', second: 'page' },
    { kind: 'faint', opacity: 0.35 },
  ]) {
    await change(request, id, [{ op: 'add', path, value: { opening: { treatment } } }]);
    await change(request, id, [
      { op: 'replace', path: '/color/veils/items/estuary/strength', value: 0 },
    ]);
    await openArea(page, id, 'color?view=pictures');
    const document = await documentOf(request, id);
    const { colors } = derive(document);
    for (const mode of ['light', 'dark'] as const) {
      await page
        .getByRole('region', { name: 'Proof' })
        .getByRole('button', { name: mode, exact: true })
        .click();
      await expect(proof(page).locator('html')).toHaveAttribute('data-theme', mode);
      const picture = proof(page).locator('.over-picture .hero-picture').first();
      await picture.scrollIntoViewIfNeeded();
      const box = await picture.boundingBox();
      if (!box) throw new Error('there is no picture');
      // The upper part, where no words stand, as Chromium draws it.
      const clip = { x: box.x + 8, y: box.y + 8, width: 400, height: 160 };
      const shot = await page.screenshot({ clip, animations: 'disabled' });
      const file = readFileSync(new URL('../server/src/demo/estuary.webp', import.meta.url));
      const crop = coverCrop({ width: 1600, height: 1000 }, box);
      const share = crop.width / box.width;
      const [drawn, plain] = await page.evaluate(
        async ({ shown, own, from, size, step }) => {
          // Every seventh pixel: of the screenshot, and of the same part of the file.
          const samples = async (base64: string, area?: readonly number[]): Promise<number[]> => {
            const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
            const bitmap = await createImageBitmap(new Blob([bytes]));
            const canvas = new OffscreenCanvas(size.width, size.height);
            const context = canvas.getContext('2d');
            if (!context) return [];
            const [x = 0, y = 0, width = bitmap.width, height = bitmap.height] = area ?? [];
            context.drawImage(bitmap, x, y, width, height, 0, 0, size.width, size.height);
            const { data } = context.getImageData(0, 0, size.width, size.height);
            const found: number[] = [];
            for (let at = 0; at < data.length; at += step * 4)
              found.push(...data.slice(at, at + 4));
            return found;
          };
          return Promise.all([samples(shown), samples(own, from)]);
        },
        {
          shown: shot.toString('base64'),
          own: file.toString('base64'),
          from: [crop.x + 8 * share, crop.y + 8 * share, clip.width * share, clip.height * share],
          size: { width: clip.width, height: clip.height },
          step: 7,
        },
      );
      const treated = treatedIn(document.layout, 'opening', colors, mode);
      if (!treated) throw new Error('nothing is done to it');
      const pixels = { data: Uint8ClampedArray.from(plain), width: plain.length / 4, height: 1 };
      const wanted = treat(pixels, treated).data;
      const apart = drawn.map((value, at) => Math.abs(value - (wanted[at] ?? 0)));
      expect(apart.length).toBeGreaterThan(20_000);
      // The picture is scaled on the way to the screen; edges in it move by a part of a pixel.
      const mean = apart.reduce((sum, one) => sum + one, 0) / apart.length;
      expect(mean, `${treatment.kind} in ${mode}`).toBeLessThan(1.5);
      expect(apart.filter((one) => one > 12).length / apart.length).toBeLessThan(0.01);
    }
  }
});

test('a call to action stands over a picture, and its words are judged there', async ({
  page,
  request,
}) => {
  test.slow();
  const id = await copyOf(request, BRACKWATER);
  await change(request, id, [
    { op: 'replace', path: '/color/veils/items/water/strength', value: 0 },
    { op: 'add', path: '/color/veils/items/water/crop', value: { x: 0.5, y: 0 } },
  ]);
  await openArea(page, id, 'review');
  const found = page
    .getByRole('listitem')
    .filter({ hasText: /^Words over water fall short in light/ });
  await expect(found).toBeVisible({ timeout: 60_000 });
  // Another part of the picture is dark enough for some of the widths, or a veil is.
  await expect(found.getByRole('button', { name: /^Veil of \d+ in light$/ })).toBeVisible({
    timeout: 60_000,
  });
  await goOn(page, id, 'brief?view=pages');
  await page.getByRole('combobox', { name: 'Page of the proof' }).selectOption('timetable');
  await expect(proof(page).locator('.picture-band .ground-picture')).toHaveCount(1);
});
