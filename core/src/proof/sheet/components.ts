import { inOrder, type StyleDocument } from '../../system/document.ts';
import { footer } from '../footer.ts';
import { header } from '../header.ts';
import { element, type ProofNode } from '../node.ts';
import { button } from '../parts.ts';
import { listed } from '../sections/kind.ts';
import { KINDS, type Section } from '../sections/kinds.ts';
import { opening, overPicture } from '../sections/opening.ts';
import { story } from '../sections/story.ts';
import { sectionNodes } from '../section-nodes.ts';
import { caption, part, type Chapter, type Given } from './chapter.ts';

/** Elements without the places that their words have on pages: here they are nobody’s to write. */
const placeless = (node: ProofNode): ProofNode => {
  if (typeof node === 'string') return node;
  const { content: _content, place: _place, children, ...rest } = node;
  return { ...rest, children: children.map(placeless) };
};

/** What the site’s head and foot are made of, with links under links and in groups where it has none. */
function around({ content }: StyleDocument): StyleDocument['content'] {
  const links = listed('One place', 'Another place');
  const group = { title: 'More', links };
  const [first] = content.nav.order;
  const words = first === undefined ? undefined : content.nav.items[first]?.words;
  const isNested = Object.values(content.nav.items).some(({ under }) => under !== undefined);
  return {
    ...content,
    footerGroups: content.footerGroups ?? listed(group, group),
    nav: isNested
      ? content.nav
      : listed({ words: words ?? 'A place', under: links }, { words: 'Another place' }),
  };
}

/** A kind of section with all that it can have. */
function whole(own: (typeof KINDS)[number], { build }: Given, more: object = {}): ProofNode[] {
  const words = (own.whole ?? own.start)();
  const section = { kind: own.id, ...words, ...more } as unknown as Section;
  return sectionNodes(section, '', build).map(placeless);
}

/** Words over a picture where the site has none: over the surface that stands for it. */
const overNothing = (given: Given): ProofNode =>
  overPicture(
    '',
    [element('div', { class: 'hero-picture sheet-empty' })],
    [
      given.build.text('h2', 'h1', ['Words over a picture']),
      element('p', { class: 'actions' }, button(given.build, 'Do the first thing', '')),
    ],
  );

/** Every part of one’s own; where there is none, what one would be. */
function ownParts(given: Given): readonly ProofNode[] {
  const { parts } = given.document.content;
  const all = parts
    ? inOrder(parts).map(([id, { name }]) => [name, given.build.part(id).map(placeless)] as const)
    : [];
  const made = all.filter(([, nodes]) => nodes.length > 0);
  const shown = made.length > 0 ? made : [['Own part', whole(story, given)] as const];
  return shown.map(([name, nodes]) =>
    part('kind', caption(given, name), element('div', { class: 'own-part' }, ...nodes)),
  );
}

/** Every kind of section with all that it can have, between the head and the foot of every page. */
export const components: Chapter = {
  id: 'components',
  name: 'Parts of pages',
  reads: [],
  isOfPages: true,
  nodes(given) {
    const { build, derived, document } = given;
    const site = { build, derived, document: { ...document, content: around(document) } };
    const shown = (name: string, made: readonly ProofNode[]): readonly ProofNode[] =>
      made.length === 0 ? [] : [part('kind', caption(given, name), ...made)];
    const veil = document.color.veils.order.find((id) => build.veil(id));
    return [
      element(
        'div',
        { class: 'site-main' },
        ...shown('Head', [placeless(header(site))]),
        ...KINDS.flatMap((kind) => shown(kind.name, whole(kind, given))),
        ...shown(
          'Opening over a picture',
          veil === undefined ? [placeless(overNothing(given))] : whole(opening, given, { veil }),
        ),
        ...ownParts(given),
        ...shown('On a surface', whole(story, given, { ground: 'surface' })),
        ...shown('Foot', [placeless(footer(site))]),
      ),
    ];
  },
};
