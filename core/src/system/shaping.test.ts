import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { siteTexts } from '../proof/texts.ts';
import { KINDS } from '../proof/sections/kinds.ts';
import { collectionOf } from './collection.ts';
import { inOrder, type StyleDocument } from './document.ts';
import { jsonOf, patched, valueAt, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';
import {
  addingAfter,
  doubling,
  moving,
  sectionOf,
  switching,
  takingOut,
  thingAt,
  thingsAround,
  type Place,
} from './shaping.ts';

const HOME = '/content/pages/items/home';
const SECTIONS = `${HOME}/sections`;

/** A site with a section of every kind there is. */
const everyKind = sampleDocument([
  {
    op: 'replace',
    path: SECTIONS,
    value: jsonOf(collectionOf(KINDS.map(({ id }) => [id, sectionOf(id)] as const))),
  },
  {
    op: 'add',
    path: '/content/nav/items/work/under',
    value: { order: ['a'], items: { a: 'Under' } },
  },
  {
    op: 'add',
    path: '/content/footerGroups',
    value: {
      order: ['one'],
      items: { one: { title: 'Group', links: { order: ['l'], items: { l: 'Link' } } } },
    },
  },
]);

const apply = (document: StyleDocument, patch: Patch | undefined): StyleDocument => {
  if (!patch) throw new Error('nothing to do');
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  // Each is one change that leads back.
  const back = patched(result.document, result.inverse);
  expect(back.ok && back.document).toEqual(document);
  return result.document;
};

/** Every collection of the content, by its place. */
function collectionsIn(value: unknown, path: string): string[] {
  if (typeof value !== 'object' || value === null) return [];
  const isCollection = 'order' in value && 'items' in value && Array.isArray(value.order);
  return [
    ...(isCollection ? [path] : []),
    ...Object.entries(value).flatMap(([key, part]) => collectionsIn(part, `${path}/${key}`)),
  ];
}

const COLLECTIONS = collectionsIn(everyKind.content, '/content');
const orderAt = (document: StyleDocument, path: string): readonly string[] =>
  valueAt(document, `${path}/order`) as readonly string[];

describe('every collection of the content, in every kind of section', () => {
  test('there are many of them', () => expect(COLLECTIONS.length).toBeGreaterThan(15));

  test.each(COLLECTIONS)('%s: things are added, doubled, moved and taken out', (collection) => {
    const order = orderAt(everyKind, collection);
    const added = apply(everyKind, addingAfter(everyKind, collection, order[0], 'new'));
    expect(orderAt(added, collection)).toEqual([order[0], 'new', ...order.slice(1)]);
    const first = apply(everyKind, addingAfter(everyKind, collection, undefined, 'new'));
    expect(orderAt(first, collection)[0]).toBe('new');
    const [id = ''] = order;
    const twice = apply(everyKind, doubling(everyKind, { collection, id }, 'twin'));
    expect(orderAt(twice, collection)).toEqual([id, 'twin', ...order.slice(1)]);
    expect(valueAt(twice, `${collection}/items/twin`)).toEqual(
      valueAt(everyKind, `${collection}/items/${id}`),
    );
    const moved = apply(twice, moving(twice, { collection, id }, 1));
    expect(orderAt(moved, collection).slice(0, 2)).toEqual(['twin', id]);
    expect(moving(twice, { collection, id }, -1)).toBeUndefined();
    const gone = apply(twice, takingOut(twice, { collection, id }));
    expect(orderAt(gone, collection)).toEqual(['twin', ...order.slice(1)]);
    expect(thingAt({ collection, id })).not.toBe('thing');
  });
});

describe('a table', () => {
  const table = `${SECTIONS}/items/table`;
  const rowsOf = (document: StyleDocument) =>
    Object.values(valueAt(document, `${table}/rows/items`) as Record<string, object>);

  test('has a cell for each column in every row, whatever is done to its columns', () => {
    const step = fc.record({
      what: fc.constantFrom('add', 'double', 'take', 'move'),
      at: fc.nat(5),
      by: fc.constantFrom(-1, 1),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 8 }), (steps) => {
        let document = everyKind;
        for (const [index, { what, at, by }] of steps.entries()) {
          const collection = `${table}/columns`;
          const order = orderAt(document, collection);
          const place: Place = { collection, id: order[at % order.length] ?? '' };
          const patch = {
            add: () => addingAfter(document, collection, place.id, `new-${index}`),
            double: () => doubling(document, place, `new-${index}`),
            take: () => takingOut(document, place),
            move: () => moving(document, place, by),
          }[what as 'add']();
          if (patch) document = apply(document, patch);
        }
        const columns = [...orderAt(document, `${table}/columns`)].sort();
        for (const row of rowsOf(document)) expect(Object.keys(row).sort()).toEqual(columns);
        expect(columns.length).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  });

  test('gets a row with a cell for each of its columns', () => {
    const next = apply(everyKind, addingAfter(everyKind, `${table}/rows`, undefined, 'row'));
    expect(valueAt(next, `${table}/rows/items/row`)).toEqual({ day: '', from: '', to: '' });
  });
});

describe('what has to stay', () => {
  test('is the last page, shown', () => {
    const place = { collection: '/content/pages', id: 'home' };
    expect(takingOut(everyKind, place)).toBeUndefined();
    expect(switching(everyKind, place)).toBeUndefined();
    const two = apply(everyKind, doubling(everyKind, place, 'second'));
    const off = apply(two, switching(two, place));
    expect(switching(off, { ...place, id: 'second' })).toBeUndefined();
    expect(siteTexts(off.content).every(({ page }) => page === 'second')).toBe(true);
    expect(apply(off, switching(off, place)).content).toEqual(two.content);
  });

  test('is not the words of a section that is switched off: they are kept', () => {
    const off = apply(everyKind, switching(everyKind, { collection: SECTIONS, id: 'story' }));
    expect(siteTexts(off.content).some(({ section }) => section === 'story')).toBe(false);
    expect(inOrder(off.content.pages)[0]?.[1].sections.items['story']).toMatchObject({
      kind: 'story',
      isOff: true,
    });
  });
});

test('the things around a place are told from the innermost out', () => {
  const path = `${SECTIONS}/items/cards/cards/items/first/title`;
  expect(thingsAround(path)).toEqual([
    { collection: `${SECTIONS}/items/cards/cards`, id: 'first' },
    { collection: SECTIONS, id: 'cards' },
    { collection: '/content/pages', id: 'home' },
  ]);
  // A collection that is itself called items, and a thing of that name.
  expect(thingsAround(`${SECTIONS}/items/questions/items/items/q/answer`).slice(0, 2)).toEqual([
    { collection: `${SECTIONS}/items/questions/items`, id: 'q' },
    { collection: SECTIONS, id: 'questions' },
  ]);
  expect(thingsAround(`${SECTIONS}/items/table/rows/items/r/from`).slice(0, 3)).toEqual([
    { collection: `${SECTIONS}/items/table/rows`, id: 'r' },
    { collection: `${SECTIONS}/items/table/columns`, id: 'from' },
    { collection: SECTIONS, id: 'table' },
  ]);
  expect(thingsAround('/content/footer')).toEqual([]);
  expect(thingsAround('/name')).toEqual([]);
});

test('every text of the site stands in its section and its page', () => {
  for (const { at, page, section } of siteTexts(everyKind.content)) {
    if (at === undefined) continue;
    expect(typeof valueAt(everyKind, at)).toBe('string');
    expect(thingsAround(at).slice(-2)).toEqual([
      { collection: `/content/pages/items/${page}/sections`, id: section },
      { collection: '/content/pages', id: page },
    ]);
  }
});
