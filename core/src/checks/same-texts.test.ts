import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { sameTextsCheck } from './same-texts.ts';

const found = (changes: Patch) => {
  const document = sampleDocument(changes);
  return sameTextsCheck
    .find(document, derive(document))
    .map(({ title, decision }) => [title, decision]);
};
const { body = { name: 'body', face: 'text', place: 0 } } = sampleDocument().type.roles.items;
const another = (said: object = {}, id = 'intro'): Patch => [
  { op: 'add', path: `/type/roles/items/${id}`, value: jsonOf({ ...body, name: id, ...said }) },
  {
    op: 'replace',
    path: '/type/roles/order',
    value: [...sampleDocument().type.roles.order, id],
  },
];

test('two roles that are set alike in everything are told, by the later one', () => {
  expect(found(another())).toEqual([
    ['body and intro are set alike in everything', '/type/roles/items/intro'],
  ]);
});

test('one thing that differs is enough, whatever it is', () => {
  for (const said of [
    ...[{ place: 1 }, { weight: 600 }, { lineHeight: 1.7 }, { letterSpacing: 0.02 }],
    ...[{ case: 'uppercase' }, { style: 'italic' }, { align: 'center' }, { longest: 50 }],
    ...[{ figures: 'tabular' }, { sizes: { wide: 19 } }, { face: 'heading' }],
  ])
    expect([said, found(another(said))]).toEqual([said, []]);
});

test('what a new system has alike is no finding, until one of them is decided otherwise and back', () => {
  expect(found([])).toEqual([]);
  // Whatever the order of its parts: databases keep none.
  const turned: Patch = Object.entries(sampleDocument().type.roles.items).map(([id, role]) => ({
    ...{ op: 'replace', path: `/type/roles/items/${id}` },
    value: jsonOf(Object.fromEntries(Object.entries(role).toReversed())),
  }));
  expect(found(turned)).toEqual([]);
  const renamed: Patch = [
    { op: 'replace', path: '/type/roles/items/caption/name', value: 'figure words' },
  ];
  expect(found(renamed)).toEqual([
    ['small and figure words are set alike in everything', '/type/roles/items/caption'],
  ]);
});

test('levels of headings are told elsewhere', () => {
  const level: Patch = [{ op: 'replace', path: '/type/roles/items/h3/place', value: 4 }];
  expect(found(level)).toEqual([]);
});
