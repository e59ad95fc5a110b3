import { readFileSync } from 'node:fs';
import { wcagContrast } from 'culori';
import sharp from 'sharp';
import type { Locator, Page } from '@playwright/test';
import { derive } from '@garnish/core/derive/derive';
import { judgeVeil } from '@garnish/core/image/judge-veil';
import type { Pixels } from '@garnish/core/image/veil';
import { MODES, type Mode } from '@garnish/core/system/document';
import { veilIn } from '@garnish/core/system/veils';
import { BRACKWATER, change, copyOf, documentOf, expect, test } from './garnish.ts';
import { bodiesOf, servePlain } from './plain.ts';

const FILES = (process.env['GARNISH_PHOTOGRAPHS'] ?? '').split(':').filter(Boolean);
if (FILES.length === 0) throw new Error('run npm test, which fetches the photographs');

const pixelsOf = async (image: Buffer): Promise<Pixels> => {
  const { data, info } = await sharp(image)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data: Uint8ClampedArray.from(data), width: info.width, height: info.height };
};

const hexAt = ({ data }: Pixels, at: number): string =>
  `#${[0, 1, 2].map((channel) => (data[at + channel] ?? 0).toString(16).padStart(2, '0')).join('')}`;

/** The share of the pixels of a screenshot on which an ink has a contrast, as a library counts it. */
function passingOn(shot: Pixels, ink: string, needed: number): number {
  const counted = new Map<string, number>();
  for (let at = 0; at < shot.data.length; at += 4) {
    const hex = hexAt(shot, at);
    counted.set(hex, (counted.get(hex) ?? 0) + 1);
  }
  let passing = 0;
  for (const [hex, count] of counted) if (wcagContrast(ink, hex) >= needed) passing += count;
  return passing / (shot.width * shot.height);
}

/** At each width a veil from another side. */
const CASES = [
  [375, 'all over'],
  [720, 'start'],
  [1440, 'bottom'],
] as const;

for (const file of FILES)
  test(`${file.split('/').at(-1) ?? ''} under a veil: as much passes as in Chromium’s picture of the page`, async ({
    page,
    request,
  }) => {
    test.slow();
    const bytes = readFileSync(file);
    const picture = await pixelsOf(bytes);
    const kept = await request.post('/api/pictures', {
      multipart: { picture: { name: 'photo.jpg', mimeType: 'image/jpeg', buffer: bytes } },
    });
    const { file: stored } = (await kept.json()) as { file: string };
    const id = await copyOf(request, BRACKWATER);
    const path = '/color/veils/items/estuary';
    const { width, height } = picture;
    await change(request, id, [
      {
        op: 'replace',
        path: `${path}/picture`,
        value: { name: 'photo', file: stored, width, height },
      },
      { op: 'replace', path: `${path}/strength`, value: 120 },
    ]);
    let between = 0;
    for (const [wide, side] of CASES) {
      await change(request, id, [{ op: 'replace', path: `${path}/side`, value: side }]);
      const system = await documentOf(request, id);
      const { colors } = derive(system);
      const veil = system.color.veils.items['estuary'];
      if (!veil) throw new Error('there is no veil');
      await page.unrouteAll();
      await servePlain(page, id, bodiesOf(system));
      await page.setViewportSize({ width: wide, height: 900 });
      await page.goto('/plain/home');
      // The words are not seen, and keep their places.
      await page.addStyleTag({ content: '.over-picture .hero-words * { visibility: hidden }' });
      for (const mode of ['light', 'dark'] as const satisfies readonly Mode[]) {
        await page.evaluate((theme) => {
          document.documentElement.dataset['theme'] = theme;
        }, mode);
        const shown = page.locator('.over-picture .hero-picture').first();
        await expect
          .poll(() => shown.evaluate((image: HTMLImageElement) => image.complete))
          .toBe(true);
        const frame = await shown.boundingBox();
        const box = await page.locator('.over-picture .hero-words').first().boundingBox();
        if (!frame || !box) throw new Error('nothing is shown');
        const shot = await pixelsOf(
          await page.screenshot({ clip: box, animations: 'disabled', fullPage: true }),
        );
        const look = veilIn(veil, mode);
        const color = colors.get(look.color)?.colors[mode] ?? '#000000';
        const ink = colors.get(look.ink)?.colors[mode] ?? '#ffffff';
        for (const needed of [3, 4.5, 7]) {
          const verdict = judgeVeil(
            picture,
            [
              {
                width: frame.width,
                height: frame.height,
                boxes: [
                  {
                    x: (box.x - frame.x) / frame.width,
                    y: (box.y - frame.y) / frame.height,
                    width: box.width / frame.width,
                    height: box.height / frame.height,
                    needed,
                    inks: [ink],
                  },
                ],
              },
            ],
            { side, themes: [{ color, strength: look.strength }], share: 1 },
          );
          const judged = verdict.proofs[0]?.[0]?.[0]?.passing ?? -1;
          const painted = passingOn(shot, ink, needed);
          // The screenshot has one pixel for a px, the judge two; a photograph has noise between them.
          expect(
            Math.abs(judged - painted),
            `${wide} px, ${mode}, ${needed}: ${judged.toFixed(3)} judged, ${painted.toFixed(3)} painted`,
          ).toBeLessThan(0.03);
          if (painted > 0.02 && painted < 0.98) between += 1;
        }
      }
    }
    // Not only where everything passes, or nothing does.
    expect(between).toBeGreaterThan(2);
  });

/** What an action over a picture is asked about. */
const STATES = ['rest', 'pointed at', 'pressed', 'focused'] as const;

/** The share of what is painted behind the words of an action in a state on which they are legible. */
async function legible(page: Page, action: Locator, state: (typeof STATES)[number]) {
  await action.scrollIntoViewIfNeeded();
  await page.mouse.move(0, 0);
  if (state === 'focused') {
    // By key, so that the focus is one that is to be seen.
    await page.keyboard.press('Tab');
    await action.focus();
  }
  if (state === 'pointed at' || state === 'pressed') await action.hover();
  if (state === 'pressed') await page.mouse.down();
  const words = action.locator('> *').first();
  // What moves from one state to the other has arrived; the words are not seen, and keep their place.
  const ink = await words.evaluate((element: HTMLElement) => {
    for (const moving of document.getAnimations()) moving.finish();
    element.style.setProperty('-webkit-text-fill-color', 'transparent');
    return getComputedStyle(element).color;
  });
  const clip = await words.boundingBox();
  if (!clip) throw new Error('an action says nothing');
  const shot = await pixelsOf(await page.screenshot({ clip }));
  await words.evaluate((element: HTMLElement) => element.removeAttribute('style'));
  await page.mouse.move(0, 0);
  if (state === 'pressed') await page.mouse.up();
  return passingOn(shot, ink, 4.5);
}

test('what actions over pictures say is legible on the painted picture in every state, in both themes', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await servePlain(page, id, bodiesOf(await documentOf(request, id)));
  const actions = page.locator('.over-picture .hero-words a');
  const failing: string[] = [];
  let looked = 0;
  for (const [own, wide] of [
    ['home', 375],
    ['home', 1440],
    ['timetable', 1440],
  ] as const) {
    await page.setViewportSize({ width: wide, height: 900 });
    await page.goto(`/plain/${own}`);
    for (const mode of MODES) {
      await page.evaluate((theme) => {
        document.documentElement.dataset['theme'] = theme;
      }, mode);
      for (const action of await actions.all())
        for (const state of STATES) {
          looked += 1;
          const share = await legible(page, action, state);
          if (share < 1) failing.push(`${own}, ${wide} px, ${mode}, ${state}: ${share.toFixed(3)}`);
        }
    }
  }
  expect(failing).toEqual([]);
  expect(looked).toBeGreaterThan(35);
  // On a picture that is as bright as paper, the words of the quiet one could not be read.
  await page.goto('/plain/home');
  await page.addStyleTag({ content: '.hero-picture, .hero-veil { filter: brightness(9) }' });
  expect(await legible(page, page.locator('.over-picture .quiet-button'), 'rest')).toBeLessThan(
    0.5,
  );
});
