import { expect, test } from '@jest/globals';
import { picturesOf } from './pictures.ts';
import { jsonOf, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';

const picture = (name: string, file: string) => ({
  name,
  file: `${file.repeat(16)}.png`,
  width: 40,
  height: 30,
});

test('the pictures of a system are those of its cards, galleries and figures, each file once', () => {
  const { order } = sampleDocument().content.pages;
  const at = `/content/pages/items/${order[0] ?? ''}/sections`;
  const sections = {
    gallery: {
      kind: 'gallery',
      title: '',
      pictures: {
        order: ['a', 'b', 'c'],
        items: {
          a: { caption: '', picture: picture('first', 'a') },
          b: { caption: '' },
          c: { caption: '', picture: picture('the same again', 'a') },
        },
      },
    },
    article: {
      kind: 'article',
      title: '',
      lead: '',
      parts: {
        order: ['a', 'b'],
        items: {
          a: { is: 'paragraph', text: 'words' },
          b: { is: 'figure', caption: '', picture: picture('second', 'b') },
        },
      },
    },
  };
  const patch: Patch = [
    {
      op: 'replace',
      path: at,
      value: jsonOf({ order: ['gallery', 'article'], items: sections }),
    },
  ];
  const found = picturesOf(sampleDocument(patch));
  expect(found.map(({ file }) => file)).toEqual([`${'a'.repeat(16)}.png`, `${'b'.repeat(16)}.png`]);
  expect(picturesOf(sampleDocument())).toEqual([]);
});
