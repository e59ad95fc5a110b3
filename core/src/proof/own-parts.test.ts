import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { jsonOf, patched, type Patch } from '../system/patch.ts';
import { picturesOf } from '../system/pictures.ts';
import { sampleDocument } from '../system/sample.ts';
import { lettingPartGo, makingPart, sectionOf, takingOut } from '../system/shaping.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { builder } from './build.ts';
import { classesIn, type ProofElement, type ProofNode } from './node.ts';
import { kindOf } from './sections/kinds.ts';
import { pieceOf, PIECES, pieceWith, saidIn } from './sections/pieces.ts';
import { sitePage } from './site.ts';
import { allSections, partPath, sectionPath, siteTexts } from './texts.ts';

const apply = (document: StyleDocument, patch: Patch | undefined): StyleDocument => {
  if (!patch) throw new Error('nothing to do');
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  const back = patched(result.document, result.inverse);
  expect(back.ok && back.document).toEqual(document);
  return result.document;
};

function* elementsOf(node: ProofNode): Generator<ProofElement> {
  if (typeof node === 'string') return;
  yield node;
  for (const child of node.children) yield* elementsOf(child);
}

const shown = (document: StyleDocument, page?: string): readonly ProofElement[] => [
  ...elementsOf(sitePage(document, derive(document), page)),
];
const contents = (elements: readonly ProofElement[]): readonly string[] =>
  elements.flatMap(({ content }) => content ?? []);

const sample = sampleDocument();
const [page = ''] = sample.content.pages.order;
const sections = sample.content.pages.items[page]?.sections ?? { order: [], items: {} };
const story = inOrder(sections).find(([, own]) => textCount(own) > 0)?.[0] ?? '';
function textCount(own: (typeof sections.items)[string]): number {
  return own.isOff === true || own.kind === 'part' ? 0 : 1;
}

const withPart = apply(sample, makingPart(sample, page, story, 'shared', 'Shared'));

describe('a part of one’s own', () => {
  test('looks as the section did that it was made of, with the same words', () => {
    const before = siteTexts(sample.content).filter(({ section }) => section === story);
    const after = siteTexts(withPart.content).filter(({ section }) => section === story);
    expect(before.length).toBeGreaterThan(0);
    expect(after.map(({ words, role }) => [words, role])).toEqual(
      before.map(({ words, role }) => [words, role]),
    );
    // They stand in the part now.
    const at = partPath('shared', story);
    for (const text of after) if (text.at !== undefined) expect(text.at.startsWith(at)).toBe(true);
    const classes = (document: StyleDocument) =>
      shown(document, page)
        .flatMap(({ attributes }) => attributes['class'] ?? [])
        .filter((name) => name !== 'own-part');
    expect(classes(withPart)).toEqual(classes(sample));
  });

  test('is written once and says the same wherever it stands', () => {
    const twice = apply(withPart, [
      {
        op: 'add',
        path: `/content/pages/items/${page}/sections/items/again`,
        value: { kind: 'part', part: 'shared' },
      },
      {
        op: 'replace',
        path: `/content/pages/items/${page}/sections/order`,
        value: [...sections.order, 'again'],
      },
    ]);
    const [first] = siteTexts(twice.content).filter(({ section }) => section === story);
    const at = first?.at;
    if (at === undefined) throw new Error('it says nothing');
    const changed = apply(twice, [{ op: 'replace', path: at, value: 'Said once' }]);
    const said = shown(changed, page).filter(({ content }) => content === at);
    expect(said).toHaveLength(2);
    for (const { children } of said) expect(children).toEqual(['Said once']);
    // Each use has a place on the page, around those of the sections in it.
    const places = shown(changed, page).flatMap(({ place }) => place ?? []);
    expect(places).toEqual(
      expect.arrayContaining([
        sectionPath(page, story),
        sectionPath(page, 'again'),
        partPath('shared', story),
      ]),
    );
  });

  test('is listed once among all sections, and its pictures are kept', () => {
    const picture = { name: 'a hill', file: '0123456789abcdef.png', width: 8, height: 4 };
    const gallery = {
      kind: 'gallery',
      title: '',
      pictures: { order: ['a'], items: { a: { caption: 'one', picture } } },
    };
    const own = apply(withPart, [
      { op: 'add', path: '/content/parts/items/shared/sections/items/g', value: gallery },
      { op: 'replace', path: '/content/parts/items/shared/sections/order', value: [story, 'g'] },
    ]);
    expect(allSections(own.content).filter(({ section }) => section === 'g')).toHaveLength(1);
    expect(picturesOf(own)).toContainEqual(picture);
  });

  test('goes with its uses, or leaves its sections to the page', () => {
    const without = apply(
      withPart,
      takingOut(withPart, { collection: '/content/parts', id: 'shared' }),
    );
    expect(without.content.pages.items[page]?.sections.order).toEqual(
      sections.order.filter((id) => id !== story),
    );
    const alone = apply(withPart, lettingPartGo(withPart, page, story));
    expect(alone.content.pages.items[page]?.sections).toEqual(sections);
    expect(alone.content.parts?.order).toEqual(['shared']);
  });

  test('leaves its sections under ids that are free', () => {
    const taken = apply(withPart, [
      {
        op: 'replace',
        path: '/content/parts/items/shared/sections',
        value: jsonOf({
          order: ['a', 'a-2'],
          items: { a: sectionOf('story'), 'a-2': sectionOf('call') },
        }),
      },
      {
        op: 'add',
        path: `/content/pages/items/${page}/sections/items/a`,
        value: jsonOf(sectionOf('notice')),
      },
      {
        op: 'replace',
        path: `/content/pages/items/${page}/sections/order`,
        value: [...sections.order, 'a'],
      },
    ]);
    const alone = apply(taken, lettingPartGo(taken, page, story));
    const kinds = inOrder(alone.content.pages.items[page]?.sections ?? sections).map(
      ([, { kind }]) => kind,
    );
    expect(kinds.filter((kind) => kind === 'story' || kind === 'call').length).toBeGreaterThan(1);
    expect(new Set(alone.content.pages.items[page]?.sections.order).size).toBe(kinds.length);
  });

  test('that is not there cannot be placed, and none stands in another', () => {
    const path = `/content/pages/items/${page}/sections/items/${story}`;
    const gone = patched(sample, [
      { op: 'replace', path, value: { kind: 'part', part: 'nowhere' } },
    ]);
    expect(gone.ok).toBe(false);
    const nested = patched(withPart, [
      {
        op: 'replace',
        path: `/content/parts/items/shared/sections/items/${story}`,
        value: { kind: 'part', part: 'shared' },
      },
    ]);
    expect(nested.ok).toBe(false);
    // A name that every object has is none.
    for (const name of ['__proto__', 'constructor'])
      expect(
        patched(sample, [{ op: 'replace', path, value: { kind: 'part', part: name } }]).ok,
      ).toBe(false);
  });
});

describe('components in a row', () => {
  const build = builder(sample, derive(sample));

  test.each(PIECES.map((piece) => [piece.id, piece] as const))(
    '%s says what it is given, each text where its words stand',
    (id, piece) => {
      const { words } = pieceWith(id);
      expect(words).toEqual(saidIn(piece.variant.specimen({})));
      const own = Object.fromEntries(Object.keys(words).map((key) => [key, `my ${key}`]));
      const section = { pieces: { order: ['p'], items: { p: { piece: id, words: own } } } };
      const nodes = kindOf('pieces').nodes(section as never, '', build);
      expect(nodes).toHaveLength(1);
      const [row] = nodes;
      if (typeof row !== 'object') throw new Error('no row');
      const [made] = row.children;
      if (typeof made !== 'object') throw new Error('no piece');
      expect(saidIn(made)).toEqual(own);
      expect(contents([...elementsOf(made)])).toEqual(
        Object.keys(own).map((key) => `/pieces/items/p/words/${key}`),
      );
    },
  );

  test('one that is gone is left out, and a text that nothing is said of stays', () => {
    const own = pieceOf('button.main');
    if (!own) throw new Error('no button');
    const section = {
      pieces: {
        order: ['a', 'b'],
        items: { a: { piece: 'nothing.usual', words: {} }, b: { piece: own.id, words: {} } },
      },
    };
    const [row] = kindOf('pieces').nodes(section as never, '', build);
    expect(typeof row === 'object' && row.children).toHaveLength(1);
    expect(typeof row === 'object' && saidIn(row)).toEqual(saidIn(own.variant.specimen({})));
  });
});

describe('variants of one’s own on pages', () => {
  const variants = (slugs: readonly (readonly [id: string, of: string])[]): Patch => [
    {
      op: 'add',
      path: '/components/variants',
      value: {
        order: slugs.map(([id]) => id),
        items: Object.fromEntries(slugs.map(([id, of]) => [id, { name: id, of, takes: {} }])),
      },
    },
  ];
  const opening = inOrder(sections).find(([, { kind }]) => kind === 'opening')?.[0] ?? '';
  const at = `/content/pages/items/${page}/sections/items/${opening}/wears`;
  const wearers = (document: StyleDocument, slug: string): readonly ProofElement[] =>
    shown(document, page).filter(({ attributes }) =>
      (attributes['class'] ?? '').split(' ').includes(slug),
    );

  test('are worn by what they follow, in the section that chose them alone', () => {
    const own = apply(apply(sample, variants([['loud', 'button']])), [
      { op: 'add', path: at, value: { button: 'loud' } },
    ]);
    const all = shown(own, page).filter(({ attributes }) =>
      (attributes['class'] ?? '').split(' ').includes('button'),
    );
    const worn = wearers(own, 'loud');
    expect(worn).toHaveLength(1);
    expect(worn[0]?.attributes['class']?.split(' ')).toContain('button');
    expect(all.length).toBeGreaterThanOrEqual(worn.length);
  });

  test('are chosen by the sections of a part, not where the part stands', () => {
    const inPart = apply(sample, makingPart(sample, page, opening, 'shared', 'Shared'));
    const own = apply(apply(inPart, variants([['loud', 'button']])), [
      { op: 'add', path: at, value: { button: 'loud' } },
    ]);
    expect(wearers(own, 'loud')).toHaveLength(0);
    const inside = apply(own, [
      { op: 'add', path: `${partPath('shared', opening)}/wears`, value: { button: 'loud' } },
    ]);
    expect(wearers(inside, 'loud')).toHaveLength(1);
  });

  test('are not worn by another class, nor when they are gone', () => {
    const own = apply(sample, variants([['loud', 'button']]));
    const other = apply(own, [{ op: 'add', path: at, value: { 'quiet-button': 'loud' } }]);
    expect(wearers(other, 'loud')).toHaveLength(0);
    const gone = apply(own, [{ op: 'add', path: at, value: { button: 'nowhere' } }]);
    expect(shown(gone, page).map(({ attributes }) => attributes)).toEqual(
      shown(own, page).map(({ attributes }) => attributes),
    );
  });

  test('are worn at the head and the foot of every page', () => {
    const own = apply(apply(sample, variants([['still', 'nav-link']])), [
      { op: 'add', path: '/content/wears', value: { 'nav-link': 'still' } },
    ]);
    const links = [...classesIn(sitePage(own, derive(own), page))];
    expect(links.filter((name) => name === 'still')).toHaveLength(
      links.filter((name) => name === 'nav-link').length,
    );
  });
});
