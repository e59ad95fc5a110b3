import type { Derived } from '../derive/derived.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { builder } from './build.ts';
import { footer } from './footer.ts';
import { header } from './header.ts';
import { element, type ProofElement, type ProofNode } from './node.ts';
import { room } from './parts.ts';
import type { Site } from './around.ts';
import { sectionNodes, wearing } from './section-nodes.ts';
import { sectionPath } from './texts.ts';

/** The page that is shown where none is named: the first that is shown at all. */
export const firstPage = ({ content: { pages } }: Pick<StyleDocument, 'content'>): string =>
  inOrder(pages).find(([, { isOff }]) => isOff !== true)?.[0] ?? pages.order[0] ?? '';

/** The main part of a page, around its sections. */
const mainOf = (sections: readonly ProofNode[]): ProofElement =>
  element(
    'main',
    { class: 'grid-frame' },
    room('div', { class: 'site-main' }, '/space/parts/main.gap', ...sections),
  );

/** A section of a page as it stands there, alone; nothing where it shows nothing. */
export function sectionAlone(
  document: StyleDocument,
  derived: Derived,
  page: string,
  section: string,
): ProofElement | undefined {
  const { items } = document.content.pages;
  const own = Object.hasOwn(items, page) ? items[page]?.sections.items : undefined;
  const words = own && Object.hasOwn(own, section) ? own[section] : undefined;
  const nodes = words
    ? sectionNodes(words, sectionPath(page, section), builder(document, derived))
    : [];
  return nodes.length === 0 ? undefined : mainOf(nodes);
}

/**
 * A page of a site, made of its own words and the classes of the exported style sheet; by its id, or the first
 * one where there is none of that id.
 */
export function sitePage(document: StyleDocument, derived: Derived, page?: string): ProofElement {
  const build = builder(document, derived);
  const { pages } = document.content;
  const id = page !== undefined && Object.hasOwn(pages.items, page) ? page : firstPage(document);
  const own = pages.items[id];
  const site: Site = { build, document, derived };
  const sections = own ? inOrder(own.sections) : [];
  return build.ground(
    'div',
    'page',
    { class: 'site', lang: own?.language ?? document.brief.languages[0] ?? 'en' },
    [
      ...wearing([header(site)], document.content.wears, build),
      mainOf(
        sections
          .filter(([, { isOff }]) => isOff !== true)
          .flatMap(([section, words]) => sectionNodes(words, sectionPath(id, section), build)),
      ),
      ...wearing([footer(site)], document.content.wears, build),
    ],
  );
}
