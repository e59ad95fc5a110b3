import { sign } from '../components/pieces.ts';
import { logoOf } from './mark.ts';
import { inOrder } from '../system/document.ts';
import { nowhere, quietButton, room } from './parts.ts';
import type { Site } from './around.ts';
import { element, type ProofElement } from './node.ts';

/** By which the buttons know the navigation that they open and close. */
const NAVIGATION = 'site-nav';

/** A button that opens or closes the navigation, without script. */
const opener = ({ text }: Site['build'], words: string, name: 'nav-open' | 'nav-close') => ({
  ...element(
    'button',
    { class: `quiet-button ${name}`, type: 'button', popovertarget: NAVIGATION },
    text('span', 'label', [words]),
  ),
  decision: '/components/narrow',
});

export function header({
  build,
  document: { name, content, layout, components },
  derived: { styles },
}: Site): ProofElement {
  const { text } = build;
  const { narrow } = components;
  const action = (className: string): readonly ProofElement[] =>
    content.headerAction === undefined
      ? []
      : [quietButton(build, content.headerAction, '/content/headerAction', className)];
  const isActionInside = narrow?.action === 'inside';
  const nameStyle = styles.get('h5');
  return element(
    'header',
    { class: 'grid-frame' },
    room(
      'div',
      { class: 'site-header' },
      '/space/parts/header.gap',
      room(
        'div',
        { class: ['site-name', nameStyle && `type-${nameStyle.slug}`].filter(Boolean).join(' ') },
        '/layout/logo',
        ...logoOf(content.mark, layout.logo),
        text('span', 'h5', [name], '/name'),
      ),
      ...(narrow ? [opener(build, narrow.open, 'nav-open')] : []),
      room(
        'nav',
        {
          class: 'site-nav',
          'aria-label': 'Site',
          ...(narrow && { id: NAVIGATION, popover: 'auto' }),
        },
        '/space/parts/nav.gap',
        ...(narrow ? [opener(build, narrow.close, 'nav-close')] : []),
        ...inOrder(content.nav).map(([id, { words, under }]) => {
          const link = element(
            'a',
            { class: 'nav-link', ...nowhere },
            text('span', 'label', [words], `/content/nav/items/${id}/words`),
          );
          return under && under.order.length > 0
            ? element(
                'div',
                { class: 'nav-group' },
                link,
                element(
                  'details',
                  { class: 'nav-fold', name: NAVIGATION },
                  element('summary', { class: 'nav-sign', 'aria-label': words }, sign('open')),
                  element(
                    'ul',
                    { class: 'nav-panel' },
                    ...inOrder(under).map(([below, name]) =>
                      element(
                        'li',
                        {},
                        element(
                          'a',
                          { class: 'footer-link', ...nowhere },
                          text(
                            'span',
                            'small',
                            [name],
                            `/content/nav/items/${id}/under/items/${below}`,
                          ),
                        ),
                      ),
                    ),
                  ),
                ),
              )
            : link;
        }),
        ...(isActionInside ? action('nav-action') : []),
      ),
      ...action(isActionInside ? 'head-action' : ''),
    ),
  );
}
