import { expect, test } from '@jest/globals';
import { adding, collectionOf, removing } from './collection.ts';
import { patched } from './patch.ts';
import { sampleDocument } from './sample.ts';

test('a thing is put at the end of its collection, and taken out again', () => {
  const document = sampleDocument();
  const { sources } = document.color;
  const more = patched(
    document,
    adding('/color/sources', sources, 'sea', { name: 'sea', value: '#123456' }),
  );
  if (!more.ok) throw new Error('refused');
  expect(more.document.color.sources.order).toEqual([...sources.order, 'sea']);
  const less = patched(
    more.document,
    removing('/color/sources', more.document.color.sources, 'sea'),
  );
  expect(less.ok && less.document.color.sources).toEqual(sources);
});

test('a collection is made from pairs, in their order', () => {
  expect(
    collectionOf([
      ['b', 1],
      ['a', 2],
    ]),
  ).toEqual({ order: ['b', 'a'], items: { a: 2, b: 1 } });
});
