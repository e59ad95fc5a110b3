import { expect, test } from '@jest/globals';
import { sampleDocument } from '../../system/sample.ts';
import { pictureSizes } from './picture-sizes.ts';
import type { MeasuredBox, MeasuredPage } from './measured-page.ts';

const FILE = `${'a'.repeat(16)}.webp`;
const page = (
  widthPx: number,
  box: Partial<MeasuredBox>,
  more: Partial<MeasuredPage> = {},
): MeasuredPage => ({
  page: 'home',
  widthPx,
  heightPx: 900,
  rootPx: 16,
  boxes: [
    { parent: -1, child: 1, tag: 'div', classes: ['site'], width: widthPx, height: 900 },
    { parent: 0, child: 1, tag: 'img', classes: [], ...box },
  ] as never,
  ...more,
});
const own = (width: number, height: number) => ({ picture: { file: FILE, width, height } });
const found = (...pages: readonly MeasuredPage[]) => pictureSizes(pages, sampleDocument());

test('a picture that its place enlarges is told where it is enlarged most', () => {
  const [finding, ...others] = found(
    page(320, { ...own(600, 400), width: 280, height: 187 }),
    page(1440, { ...own(600, 400), width: 700, height: 466 }),
  );
  expect(others).toEqual([]);
  expect(finding).toMatchObject({
    severity: 'repair',
    figures: '600 px wide; shown at up to 700 px, at a screen of 1440 px',
    where: { widthPx: 1440, page: 'home', selector: '.site > img:nth-child(1)' },
  });
});

test('a high place needs more of a wide picture than its own width', () => {
  // 300 by 600 px of a picture that is twice as wide as high: 1200 px of its width.
  expect(found(page(720, { ...own(1000, 500), width: 300, height: 600 }))[0]?.figures).toMatch(
    /^1000 px wide; shown at up to 1200 px/,
  );
});

test('one with more than four pixels for one is much too large, one with four is not', () => {
  expect(found(page(720, { ...own(1640, 1000), width: 400, height: 240 }))[0]?.severity).toBe(
    'look',
  );
  expect(found(page(720, { ...own(1600, 1000), width: 400, height: 250 }))).toEqual([]);
});

test('what is enlarged by less than a tenth is left', () => {
  expect(found(page(720, { ...own(600, 400), width: 650, height: 433 }))).toEqual([]);
  expect(found(page(720, { ...own(600, 400), width: 670, height: 447 }))).toHaveLength(1);
});

test('stress, the sheet of parts and what is not shown say nothing', () => {
  const box = { ...own(60, 40), width: 400, height: 250 };
  expect(found(page(720, box, { stress: 'longer' }), page(720, box, { isSheet: true }))).toEqual(
    [],
  );
  expect(found(page(720, { ...own(60, 40), width: 0, height: 0 }))).toEqual([]);
});
