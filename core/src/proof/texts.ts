import { SPACE_PARTS } from '../components/spaces.ts';
import { once } from '../once.ts';
import type { Content, PageSection } from '../system/document.ts';
import { inOrder } from '../system/document.ts';
import type { ProofNode } from './node.ts';
import { classesIn, element } from './node.ts';
import type { Build } from './sections/kind.ts';
import { kindOf } from './sections/kinds.ts';

/** A text of a section: what it says, in which role, and what it stands in. */
export interface SectionText {
  readonly role: string;
  readonly words: string;
  /** Where its words stand, from the section on (of a site: in the document); nothing where they are none of it. */
  readonly at: string | undefined;
  /** The named width that limits its column. */
  readonly width: string | undefined;
  /** What is inset around it, by the keys of spaces of components: one for each side that it is inset on. */
  readonly insets: readonly string[];
  /** Whether it is a cell of a table. */
  readonly isCell: boolean;
  /** Whether some of it is emphasized. */
  readonly isEmphasized: boolean;
}

const PICTURE = { name: 'picture', file: '0000000000000000.png', width: 16, height: 9 };

const NO_ATTRIBUTES = {};

/** Builds for reading: every text with its role, whatever the system looks like. */
const READING: Build = {
  text: (tag, role, children, content, className = '') => {
    const attributes = className === '' ? NO_ATTRIBUTES : { class: className };
    return content === undefined
      ? { tag, attributes, children, role }
      : { tag, attributes, children, role, content };
  },
  ground: (tag, _, attributes, children) => element(tag, attributes, ...children),
  color: (id) => id,
  veil: (id) => ({ id, slug: id, picture: PICTURE }),
  raised: undefined,
  hangs: false,
  artwork: undefined,
  gradient: () => undefined,
  pictures: () => ({ isToned: false, shapeAt: () => undefined }),
  part: () => [],
  icon: () => [],
  variant: () => undefined,
  dressed: (specimen) => specimen,
};

/** The spaces of components that inset what is in them, by class: on both sides, or on one. */
const INSETS: ReadonlyMap<string, readonly string[]> = new Map(
  Object.entries(SPACE_PARTS).flatMap(([key, { selector, property }]) => {
    const [, name] = /^\.([\w-]+)$/.exec(selector) ?? [];
    const sides = property === 'padding' ? 2 : property.startsWith('padding-inline') ? 1 : 0;
    return name === undefined || sides === 0
      ? []
      : [[name, Array<string>(sides).fill(key)] as const];
  }),
);
const NO_INSETS: readonly string[] = [];
const WIDTH = /(?:^| )width-([\w-]+)/;

function wordsOf(node: ProofNode): string {
  if (typeof node === 'string') return node;
  let words = '';
  for (const child of node.children) words += wordsOf(child);
  return words;
}

const hasTag = (node: ProofNode, tag: string): boolean =>
  typeof node !== 'string' &&
  ((node.tag === tag && wordsOf(node) !== '') || node.children.some((one) => hasTag(one, tag)));

type Around = Pick<SectionText, 'width' | 'insets'>;

const NOTHING_AROUND: Around = { width: undefined, insets: NO_INSETS };

/** What a text in an element of some classes has around it. */
function within(className: string, around: Around): Around {
  const width = WIDTH.exec(className)?.[1];
  const own = className.split(' ').flatMap((name) => INSETS.get(name) ?? NO_INSETS);
  return width === undefined && own.length === 0
    ? around
    : { width: width ?? around.width, insets: [...around.insets, ...own] };
}

/** Adds the texts of a node to those that were found, from the top. */
function findTexts(node: ProofNode, around: Around, found: SectionText[]): void {
  if (typeof node === 'string') return;
  const { tag, role, content, attributes } = node;
  const className = attributes['class'];
  const here = className === undefined ? around : within(className, around);
  if (role !== undefined)
    found.push({
      role,
      words: wordsOf(node),
      at: content,
      width: here.width,
      insets: here.insets,
      isCell: tag === 'td',
      isEmphasized: hasTag(node, 'em'),
    });
  for (const child of node.children) findTexts(child, here, found);
}

/**
 * The elements of a section, as its kind builds it, whatever the system looks like; the places of its words begin
 * at the section. Built once, as long as it stays what it is.
 */
export const nodesOfSection = once((own: PageSection): readonly ProofNode[] =>
  kindOf(own.kind).nodes(own as never, '', READING),
);

/** The texts of a section, as its kind builds it; read once, as long as it stays what it is. */
export const textsOfSection = once((own: PageSection): readonly SectionText[] => {
  const found: SectionText[] = [];
  for (const node of nodesOfSection(own)) findTexts(node, NOTHING_AROUND, found);
  return found;
});

/** The classes of the elements of a section, as its kind builds it; of a part of one’s own none. */
export const classesOfSection = once(
  (own: PageSection): ReadonlySet<string> =>
    new Set(nodesOfSection(own).flatMap((node) => [...classesIn(node)])),
);

/** A text of the site, with the page and the section that it is on. */
export interface SiteText extends SectionText {
  readonly page: string;
  readonly section: string;
}

/** The place of a section in a document. */
export const sectionPath = (page: string, section: string): string =>
  `/content/pages/items/${page}/sections/items/${section}`;

/** The place of a section of a part of one’s own. */
export const partPath = (part: string, section: string): string =>
  `/content/parts/items/${part}/sections/items/${section}`;

type Pages = Pick<Content, 'pages' | 'parts'>;

/** Some sections that are shown, those of parts of one’s own in the place of each part. */
function shownSections(
  sections: Content['pages']['items'][string]['sections'],
  pathOf: (section: string) => string,
  parts: Content['parts'],
): readonly (readonly [section: string, own: PageSection, path: string])[] {
  return inOrder(sections).flatMap(([section, own]) => {
    if (own.isOff === true) return [];
    if (own.kind !== 'part') return [[section, own, pathOf(section)] as const];
    const { part } = own;
    const there = parts && Object.hasOwn(parts.items, part) ? parts.items[part] : undefined;
    return there
      ? shownSections(there.sections, (one) => partPath(part, one), undefined).map(
          ([, inside, path]) => [section, inside, path] as const,
        )
      : [];
  });
}

/** A section that is shown, and where it stands. */
export interface ShownSection {
  readonly page: string;
  readonly section: string;
  readonly own: PageSection;
  /** Its place in the document; within a part of one’s own, the place there. */
  readonly path: string;
}

/** Every section that is shown, page by page from the top; a part of one’s own once for each place it stands in. */
export const shownOf = once(({ pages, parts }: Pages): readonly ShownSection[] =>
  inOrder(pages)
    .filter(([, { isOff }]) => isOff !== true)
    .flatMap(([page, { sections }]) =>
      shownSections(sections, (one) => sectionPath(page, one), parts).map(
        ([section, own, path]) => ({ page, section, own, path }),
      ),
    ),
);

/** Every text on the pages that are shown, page by page from the top. */
export const siteTexts = once((content: Pages): readonly SiteText[] =>
  shownOf(content).flatMap(({ page, section, own, path }) =>
    textsOfSection(own).map((text): SiteText => ({
      role: text.role,
      words: text.words,
      at: text.at === undefined ? undefined : `${path}${text.at}`,
      width: text.width,
      insets: text.insets,
      isCell: text.isCell,
      isEmphasized: text.isEmphasized,
      page,
      section,
    })),
  ),
);

/** The first text of the site in a role whose words are the document’s. */
export const firstText = (content: Pages, role: string): SiteText | undefined =>
  siteTexts(content).find((text) => text.role === role && text.at !== undefined);

/** A section with where it stands: on a page, or in a part of one’s own. */
export interface PlacedSection<Own = PageSection> {
  /** The page; of a part of one’s own the first on which it is shown, and none where it is on none. */
  readonly page: string | undefined;
  readonly section: string;
  readonly path: string;
  readonly own: Own;
}

const placed = (
  all: Content['parts'],
  pathOf: typeof sectionPath,
  pageOf: (id: string) => string | undefined,
): readonly PlacedSection[] =>
  all === undefined
    ? []
    : inOrder(all).flatMap(([id, { sections }]) =>
        inOrder(sections).map(([section, own]) => ({
          page: pageOf(id),
          section,
          path: pathOf(id, section),
          own,
        })),
      );

/** Every section, shown or not, page by page from the top, then those of parts of one’s own, each once. */
export const allSections = once(({ pages, parts }: Pages): readonly PlacedSection[] => {
  const own = placed(pages as Content['parts'], sectionPath, (id) => id);
  const pageOf = (part: string): string | undefined =>
    own.find(
      ({ page = '', own: use }) =>
        use.kind === 'part' &&
        use.part === part &&
        use.isOff !== true &&
        pages.items[page]?.isOff !== true,
    )?.page;
  return [...own, ...placed(parts, partPath, pageOf)];
});

/** Every section whose words stand over a picture, with its veil, page by page from the top. */
export const sectionsOverPictures = (
  content: Pages,
): readonly (PlacedSection & { readonly veil: string })[] =>
  allSections(content).flatMap((placed) => {
    const { own } = placed;
    return (own.kind === 'opening' || own.kind === 'call') && own.veil !== undefined
      ? [{ ...placed, veil: own.veil }]
      : [];
  });

/** Every section of a kind, shown or not, page by page from the top, then those of parts of one’s own. */
export const sectionsOf = <Kind extends PageSection['kind']>(
  content: Pages,
  kind: Kind,
): readonly PlacedSection<Extract<PageSection, { readonly kind: Kind }>>[] =>
  allSections(content).filter(
    (placed): placed is PlacedSection<Extract<PageSection, { readonly kind: Kind }>> =>
      placed.own.kind === kind,
  );
