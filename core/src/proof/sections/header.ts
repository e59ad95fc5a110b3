import { logoOf } from '../mark.ts';
import { inOrder } from '../../system/document.ts';
import { nowhere, type Page, quietButton, room } from '../build.ts';
import { element, type ProofElement } from '../node.ts';

export function header({
  build,
  document: { name, content, layout },
  derived: { styles },
}: Page): ProofElement {
  const { text } = build;
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
      room(
        'nav',
        { class: 'site-nav', 'aria-label': 'Site' },
        '/space/parts/nav.gap',
        ...inOrder(content.nav).map(([id, label]) =>
          element(
            'a',
            { class: 'nav-link', ...nowhere },
            text('span', 'label', [label], `/content/nav/items/${id}`),
          ),
        ),
      ),
      ...(content.headerAction === undefined
        ? []
        : [quietButton(build, content.headerAction, '/content/headerAction')]),
    ),
  );
}
