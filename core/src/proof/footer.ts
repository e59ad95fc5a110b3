import { inOrder } from '../system/document.ts';
import { nowhere, room } from './parts.ts';
import type { Site } from './around.ts';
import { oneColorLogo } from './mark.ts';
import { element, type ProofElement, type ProofNode } from './node.ts';

/** Links at the foot of the page, in groups on the grid. */
function groups({ build: { text }, document: { content } }: Site): readonly ProofNode[] {
  if (!content.footerGroups) return [];
  const at = '/content/footerGroups/items';
  return [
    room(
      'div',
      { class: 'grid footer-groups' },
      '/space/parts/footer-groups.gap',
      ...inOrder(content.footerGroups).map(([id, { title, links }]) =>
        room(
          'div',
          { class: 'footer-group span-2 span-3-from-wide' },
          '/space/parts/footer-group.gap',
          text('p', 'label', [title], `${at}/${id}/title`),
          element(
            'ul',
            { class: 'footer-links' },
            ...inOrder(links).map(([link, words]) =>
              element(
                'li',
                {},
                element(
                  'a',
                  { class: 'footer-link', ...nowhere },
                  text('span', 'small', [words], `${at}/${id}/links/items/${link}`),
                ),
              ),
            ),
          ),
        ),
      ),
    ),
  ];
}

/** The foot of every page, over the pattern that was chosen for it. */
export function footer(page: Site): ProofElement {
  const { build, document, derived } = page;
  const pattern = derived.patterns.find(({ id }) => id === document.content.pattern);
  return element(
    'footer',
    pattern ? { class: `on-${pattern.on.slug} pattern-${pattern.slug}` } : {},
    element(
      'div',
      { class: 'grid-frame' },
      room(
        'div',
        { class: 'site-footer' },
        pattern ? `/layout/patterns/items/${pattern.id}` : '/space/parts/footer.inset',
        ...oneColorLogo(document.layout.logo),
        ...groups(page),
        build.text('p', 'small', [document.content.footer], '/content/footer'),
      ),
    ),
  );
}
