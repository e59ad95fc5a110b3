import { expect, test } from '@jest/globals';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { seenElement } from './seen-element.ts';
import type { SeenElement } from './seen.ts';
import { textRolesSeen } from './text-roles-seen.ts';

const words = (sizePx: number, signs = 100, said: Partial<SeenElement> = {}): SeenElement =>
  seenElement({ sizePx, signs, ...said });

test('larger and smaller text has its places on the scale, and headings and links have none', () => {
  const [found] = textRolesSeen(
    [words(16, 900), words(20), words(12.8, 60), words(40, 20, { level: 1 }), words(10.24, 30)],
    1.25,
  );
  expect(found?.value).toBe('lead 20 px, +1; small 12.8 px, −1; caption 10.2 px, −2');
  const result = patched(sampleDocument(), found?.patch ?? []);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  const { items } = result.document.type.roles;
  expect(['lead', 'small', 'caption'].map((role) => items[role]?.place)).toEqual([1, -1, -2]);
});

test('what lies between two places is told as not explained, and nothing is made of nothing', () => {
  const [found] = textRolesSeen([words(16, 900), words(20), words(14.4, 60)], 1.25);
  expect(found?.value).toBe('lead 20 px, +1');
  expect(found?.unexplained).toEqual(['14.4 px, small']);
  expect(textRolesSeen([], 1.25)).toEqual([]);
  expect(textRolesSeen([words(16)], 1.25)).toEqual([]);
  expect(textRolesSeen([words(16), words(20)], 1)).toEqual([]);
});
