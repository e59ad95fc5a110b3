import { describe, expect, test } from '@jest/globals';
import { sampleDocument } from '../system/sample.ts';
import { patched, type Patch } from '../system/patch.ts';
import { derive } from '../derive/derive.ts';
import type { ShownPicture } from '../proof/sections/kind.ts';
import { altCheck, isFileName } from './alt.ts';

const file = (letter: string): string => `${letter.repeat(16)}.webp`;
const picture = (more: Partial<ShownPicture> = {}): ShownPicture => ({
  name: 'The quay at noon',
  file: file('a'),
  width: 1200,
  height: 800,
  ...more,
});
const gallery = (...pictures: readonly ShownPicture[]): Patch => [
  {
    op: 'add',
    path: '/content/pages/items/home/sections/items/shown',
    value: {
      kind: 'gallery',
      title: '',
      pictures: {
        order: pictures.map((_, at) => `p${at}`),
        items: Object.fromEntries(
          pictures.map((one, at) => [`p${at}`, { caption: `Caption ${at}`, picture: { ...one } }]),
        ),
      },
    } as never,
  },
  {
    op: 'replace',
    path: '/content/pages/items/home/sections/order',
    value: [...(sampleDocument().content.pages.items['home']?.sections.order ?? []), 'shown'],
  },
];
const found = (...pictures: readonly ShownPicture[]) => {
  const document = sampleDocument(gallery(...pictures));
  return { document, all: altCheck.find(document, derive(document)) };
};

describe('what a picture shows', () => {
  test('is missing until somebody says it, or says that it is decoration', () => {
    const { document, all } = found(picture());
    expect(all).toHaveLength(1);
    expect(all[0]?.title).toBe('Nobody has said what “The quay at noon” shows');
    const ways = [all[0]?.repair, ...(all[0]?.ways ?? [])];
    expect(ways.map((way) => way?.label)).toEqual(['Say “The quay at noon”', 'It is decoration']);
    for (const way of ways) {
      const after = patched(document, way?.patch ?? []);
      if (!after.ok) throw new Error('the repair does not fit');
      expect(altCheck.find(after.document, derive(after.document))).toEqual([]);
    }
  });

  test('is nothing where it was said, is decoration, or was drawn to fill the place', () => {
    const { all } = found(
      picture({ alt: 'A ferry at the quay' }),
      picture({ file: file('b'), alt: '' }),
      picture({ file: file('c'), made: { of: 'scene', manner: 'flat', seed: 'x' } }),
    );
    expect(all).toEqual([]);
  });

  test('the name of a file says nothing, and is not offered', () => {
    const { all } = found(
      picture({ name: 'IMG_2034' }),
      picture({ file: file('b'), alt: 'DSC00812.jpg' }),
    );
    expect(all.map(({ title }) => title)).toEqual([
      'Nobody has said what “IMG_2034” shows',
      '“DSC00812.jpg” does not say what the picture shows',
    ]);
    expect(all[0]?.repair?.label).toBe('It is decoration');
    expect(all[0]?.ways).toBeUndefined();
  });

  test('one picture in several places is one finding, and one repair for all', () => {
    const { document, all } = found(
      picture(),
      picture(),
      picture({ file: file('b'), alt: 'x'.repeat(151) }),
    );
    expect(all.map(({ figures }) => figures.split(',')[0])).toEqual([
      '2 places on the pages',
      '151 characters; one place on the pages',
    ]);
    expect(all[1]?.repair).toBeUndefined();
    const after = patched(document, all[0]?.repair?.patch ?? []);
    expect(after.ok && altCheck.find(after.document, derive(after.document))).toHaveLength(1);
  });
});

test.each([
  ['IMG_2034', true],
  ['dsc00812.JPG', true],
  ['2034', true],
  ['image (3)', true],
  ['picture', true],
  ['Screenshot 2026-01-02', true],
  ['portrait.webp', true],
  ['A ferry at the quay', false],
  ['Photo of the quay', false],
  ['Image of 12 boats', false],
])('“%s” is the name of a file: %s', (said, is) => {
  expect(isFileName(said)).toBe(is);
});
