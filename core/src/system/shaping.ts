import { kindOf, KINDS, type KindId } from '../proof/sections/kinds.ts';
import { each, listed } from '../proof/sections/kind.ts';
import { inOrder, type Collection, type StyleDocument } from './document.ts';
import { jsonOf, valueAt, type Patch } from './patch.ts';

/** A thing of a collection: where the collection stands, and which one it is. */
export interface Place {
  readonly collection: string;
  readonly id: string;
}

/** What the things of a collection are, in words. */
export const thingAt = ({ collection }: Place): string => {
  const last = collection.split('/').at(-1) ?? '';
  return (
    {
      pages: 'page',
      sections: 'section',
      nav: 'link',
      under: 'link',
      links: 'link',
      footerGroups: 'group of links',
      rows: 'row',
      columns: 'column',
      cards: 'card',
      messages: 'message',
      points: 'point',
      parts: 'part',
      lines: 'line',
      voices: 'voice',
      fields: 'field',
      steps: 'step',
      pictures: 'picture',
      ways: 'way',
      places: 'place',
      items: 'question',
      pieces: 'component',
    }[last] ?? 'thing'
  );
};

/**
 * The things that a place of the content is in, the innermost first: a cell is in its row, and in its column; then
 * in its section, and in its page.
 */
export function thingsAround(path: string): readonly Place[] {
  const keys = path.split('/').slice(1);
  const found: Place[] = [];
  let lastId = -1;
  keys.forEach((key, at) => {
    const id = keys[at + 1];
    // Right after a thing comes one of its parts, which may be called `items` too.
    if (key !== 'items' || id === undefined || at === 0 || lastId === at - 1) return;
    found.unshift({ collection: `/${keys.slice(0, at).join('/')}`, id });
    lastId = at + 1;
  });
  const [, table = '', column] = /^(.*)\/rows\/items\/[^/]+\/([^/]+)$/.exec(path) ?? [];
  return column === undefined
    ? found
    : [...found.slice(0, 1), { collection: `${table}/columns`, id: column }, ...found.slice(1)];
}

const collectionAt = (document: StyleDocument, path: string): Collection<unknown> | undefined => {
  const found = valueAt(document, path) as Partial<Collection<unknown>> | undefined;
  return Array.isArray(found?.order) && found.items ? (found as Collection<unknown>) : undefined;
};

const inserted = (order: readonly string[], id: string, after: string | undefined) => {
  const at = after === undefined ? 0 : order.indexOf(after) + 1;
  return [...order.slice(0, at), id, ...order.slice(at)];
};

/** Puts a thing into a collection after another one, or first. */
const putting = (
  path: string,
  { order }: Collection<unknown>,
  id: string,
  item: unknown,
  after: string | undefined,
): Patch => [
  { op: 'add', path: `${path}/items/${id}`, value: jsonOf(item) },
  { op: 'replace', path: `${path}/order`, value: inserted(order, id, after) },
];

const TABLE = /^(.*)\/columns$/;

/** The rows of the table whose columns stand at a path. */
const rowsBeside = (document: StyleDocument, columns: string) => {
  const base = TABLE.exec(columns)?.[1];
  const rows = base === undefined ? undefined : collectionAt(document, `${base}/rows`);
  return base === undefined || !rows ? undefined : { path: `${base}/rows`, rows };
};

/** Moves a thing within its collection, to the place of another or by so many; nothing where it cannot. */
export function moving(
  document: StyleDocument,
  { collection, id }: Place,
  by: number,
): Patch | undefined {
  const order = collectionAt(document, collection)?.order;
  const from = order?.indexOf(id) ?? -1;
  const to = from + by;
  if (!order || from < 0 || to < 0 || to >= order.length || by === 0) return undefined;
  const next = order.toSpliced(from, 1).toSpliced(to, 0, id);
  return [{ op: 'replace', path: `${collection}/order`, value: next }];
}

/** Puts things in another order, as a hand that drags them does. */
export const reordering = (collection: string, order: readonly string[]): Patch => [
  { op: 'replace', path: `${collection}/order`, value: [...order] },
];

/** The same thing once more, after itself. A column takes its cells along. */
export function doubling(
  document: StyleDocument,
  { collection, id }: Place,
  newId: string,
): Patch | undefined {
  const all = collectionAt(document, collection);
  const item = all?.items[id];
  if (!all || item === undefined) return undefined;
  const beside = rowsBeside(document, collection);
  return [
    ...putting(collection, all, newId, item, id),
    ...(beside
      ? each(beside.rows, (row, key) => ({
          op: 'add' as const,
          path: `${beside.path}/items/${key}/${newId}`,
          value: (row as Readonly<Record<string, string>>)[id] ?? '',
        }))
      : []),
  ];
}

/** The last thing of these stays: without it the rest would be nothing. */
const KEPT_ONE = /^\/content\/pages$|\/columns$/;

/** Every use of a part of one’s own, to be taken out with it. */
const usesOfPart = (document: StyleDocument, id: string): Patch =>
  inOrder(document.content.pages).flatMap(([page, { sections }]) => {
    const uses = inOrder(sections).flatMap(([section, own]) =>
      own.kind === 'part' && own.part === id ? [section] : [],
    );
    const path = `/content/pages/items/${page}/sections`;
    return uses.length === 0
      ? []
      : [
          ...uses.map((section) => ({ op: 'remove' as const, path: `${path}/items/${section}` })),
          {
            op: 'replace' as const,
            path: `${path}/order`,
            value: sections.order.filter((one) => !uses.includes(one)),
          },
        ];
  });

/** Takes a thing out; nothing where one has to stay. A column takes its cells along, a part of one’s own its uses. */
export function takingOut(document: StyleDocument, { collection, id }: Place): Patch | undefined {
  const all = collectionAt(document, collection);
  if (!all || !Object.hasOwn(all.items, id)) return undefined;
  if (KEPT_ONE.test(collection) && all.order.length < 2) return undefined;
  const beside = rowsBeside(document, collection);
  return [
    ...(collection === '/content/parts' ? usesOfPart(document, id) : []),
    { op: 'remove', path: `${collection}/items/${id}` },
    { op: 'replace', path: `${collection}/order`, value: all.order.filter((one) => one !== id) },
    ...(beside
      ? each(beside.rows, (row, key) =>
          Object.hasOwn(row as object, id)
            ? [{ op: 'remove' as const, path: `${beside.path}/items/${key}/${id}` }]
            : [],
        ).flat()
      : []),
  ];
}

const SECTION = /^(\/content\/(?:pages|parts)\/items\/[^/]+\/sections\/items\/[^/]+)(\/.*)?$/;

/** A thing to begin with in a collection: as its kind of section has it, or like the one that is there. */
function beginning(document: StyleDocument, collection: string, like: string | undefined): unknown {
  const [, section, rest = ''] = SECTION.exec(collection) ?? [];
  const own = section === undefined ? undefined : valueAt(document, section);
  const kind = KINDS.find(({ id }) => id === (own as { kind?: string } | undefined)?.kind);
  if (kind && /\/rows$/.test(rest)) {
    const columns = valueAt(document, `${section ?? ''}/columns/order`);
    return Object.fromEntries((Array.isArray(columns) ? columns : []).map((one) => [one, '']));
  }
  if (kind && /\/columns$/.test(rest)) return 'Column';
  const start = kind && valueAt(kind.start(), rest);
  const first = start as Partial<Collection<unknown>> | undefined;
  const usual = first?.items?.[first.order?.[0] ?? ''];
  if (usual !== undefined) return usual;
  if (collection.endsWith('/sections')) return sectionOf('story');
  if (collection === '/content/pages')
    return { name: 'Page', sections: listed(sectionOf('opening')) };
  if (collection === '/content/parts')
    return { name: 'Part', sections: listed(sectionOf('story')) };
  if (collection === '/content/nav') return { words: 'Link' };
  if (collection.endsWith('/footerGroups')) return { title: 'Group', links: listed('Link') };
  if (/\/(?:links|under|places|fields)$/.test(collection)) return 'Link';
  if (/\/lines$/.test(collection)) return 'A line';
  const all = collectionAt(document, collection);
  return all?.items[like ?? all.order[0] ?? ''];
}

/** A section of a kind with the words that it begins with. */
export const sectionOf = (kind: KindId): object => ({ kind, ...kindOf(kind).start() });

/** A new thing after another one (first where none is named), as its collection begins them. */
export function addingAfter(
  document: StyleDocument,
  collection: string,
  after: string | undefined,
  newId: string,
  what?: unknown,
): Patch | undefined {
  const all = collectionAt(document, collection);
  if (!all) return undefined;
  const item = what ?? beginning(document, collection, after);
  if (item === undefined) return undefined;
  const beside = rowsBeside(document, collection);
  return [
    ...putting(collection, all, newId, item, after),
    ...(beside
      ? beside.rows.order.map((key) => ({
          op: 'add' as const,
          path: `${beside.path}/items/${key}/${newId}`,
          value: '',
        }))
      : []),
  ];
}

/** Shows a page or a section, or keeps it without showing it; the last page that is shown stays. */
export function switching(document: StyleDocument, { collection, id }: Place): Patch | undefined {
  const all = collectionAt(document, collection) as
    Collection<{ readonly isOff?: true }> | undefined;
  const own = all?.items[id];
  if (!all || !own) return undefined;
  const path = `${collection}/items/${id}/isOff`;
  if (own.isOff === true) return [{ op: 'remove', path }];
  const shown = Object.values(all.items).filter(({ isOff }) => isOff !== true);
  if (collection === '/content/pages' && shown.length < 2) return undefined;
  return [{ op: 'add', path, value: true }];
}

/**
 * Makes a part of one’s own of a section: it stands in the part from then on, and the part where it stood. Nothing
 * where it is one already.
 */
export function makingPart(
  document: StyleDocument,
  page: string,
  section: string,
  newId: string,
  name: string,
): Patch | undefined {
  const { pages, parts } = document.content;
  const at = `/content/pages/items/${page}/sections/items/${section}`;
  const own = pages.items[page]?.sections.items[section];
  if (!own || own.kind === 'part') return undefined;
  const { isOff, ...shown } = own;
  const part = { name, sections: { order: [section], items: { [section]: shown } } };
  return [
    ...(parts
      ? putting('/content/parts', parts, newId, part, parts.order.at(-1))
      : [
          {
            op: 'add' as const,
            path: '/content/parts',
            value: jsonOf({ order: [newId], items: { [newId]: part } }),
          },
        ]),
    {
      op: 'replace',
      path: at,
      value: { kind: 'part', part: newId, ...(isOff && { isOff }) },
    },
  ];
}

/** Puts the sections of a part of one’s own where it stands, as sections of that page alone; nothing where it is none. */
export function lettingPartGo(
  document: StyleDocument,
  page: string,
  section: string,
): Patch | undefined {
  const { pages, parts } = document.content;
  const sections = pages.items[page]?.sections;
  const own = sections?.items[section];
  if (!sections || own?.kind !== 'part') return undefined;
  const inside = parts?.items[own.part]?.sections;
  if (!inside) return undefined;
  const path = `/content/pages/items/${page}/sections`;
  const taken = new Set(sections.order.filter((one) => one !== section));
  const idOf = (one: string): string => {
    let id = one;
    for (let count = 2; taken.has(id); count += 1) id = `${one.slice(0, 58)}-${count}`;
    taken.add(id);
    return id;
  };
  const placed = inOrder(inside).map(([one, what]) => [idOf(one), what] as const);
  return [
    { op: 'remove', path: `${path}/items/${section}` },
    ...placed.map(([id, what]) => ({
      op: 'add' as const,
      path: `${path}/items/${id}`,
      value: jsonOf(what),
    })),
    {
      op: 'replace',
      path: `${path}/order`,
      value: sections.order.flatMap((one) => (one === section ? placed.map(([id]) => id) : [one])),
    },
  ];
}
