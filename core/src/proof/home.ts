import type { Derived } from '../derive/derived.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { markOf } from './mark.ts';
import { element, type ProofElement, type ProofNode } from './node.ts';

/** Everything on the page that text may stand on, by the id of its color role. */
type Surface = 'page' | 'surface' | 'action';

/**
 * Builds elements of a page whose classes are those of the exported sheet. A role that the system
 * does not have leaves its text in the style around it.
 */
function builder({ styles, pairs, colors }: Derived) {
  const text = (
    tag: string,
    roleId: string,
    on: Surface,
    children: readonly ProofNode[],
    content?: string,
  ): ProofElement => {
    const style = styles.get(roleId);
    const pair = pairs.find(
      ({ style: used, on: ground, part }) =>
        used.id === roleId && ground.id === on && part === 'words',
    );
    return {
      tag,
      attributes: style ? { class: `type-${style.slug}` } : {},
      children,
      ...(content !== undefined && { content }),
      ...(style && {
        decision: `/type/roles/items/${roleId}/place`,
        uses: [
          ...['family', 'size', 'weight', 'line-height'].map(
            (part) => `type.${style.slug}.${part}`,
          ),
          ...(pair ? [`color.${pair.color.slug}`] : []),
        ],
      }),
    };
  };

  /** A part of the page on a surface of its own. */
  const ground = (
    tag: string,
    on: Surface,
    attributes: Readonly<Record<string, string>>,
    uses: readonly string[],
    children: readonly ProofNode[],
  ): ProofElement => {
    const role = colors.get(on);
    const className = [attributes['class'], role && `on-${role.slug}`].filter(Boolean).join(' ');
    return {
      tag,
      attributes: { ...attributes, class: className },
      children,
      uses,
      decision: role ? `/color/roles/items/${on}/light` : '/color/sources',
    };
  };
  return { text, ground };
}

type Build = ReturnType<typeof builder>;

const nowhere = { href: '#' };

/** Words within a text, with where they stand in the document. */
const wordsAt = (
  tag: string,
  words: string,
  content: string,
  attributes: Readonly<Record<string, string>> = {},
): ProofElement => ({ ...element(tag, attributes, words), content });

const button = ({ text, ground }: Build, label: string, content: string): ProofElement =>
  ground(
    'a',
    'action',
    { class: 'button', ...nowhere },
    ['button.background', 'button.ink', 'button.inset'],
    [text('span', 'label', 'action', [label], content)],
  );

const quietButton = ({ text }: Build, label: string, content: string): ProofElement => ({
  ...element(
    'a',
    { class: 'quiet-button', ...nowhere },
    text('span', 'label', 'page', [label], content),
  ),
  uses: ['quiet-button.edge', 'quiet-button.inset', 'color.action'],
  decision: '/color/roles/items/action/light',
});

function header({ text }: Build, { name, content }: StyleDocument): ProofElement {
  return element(
    'header',
    { class: 'site-header' },
    element(
      'div',
      { class: 'site-name' },
      markOf(content.mark),
      text('span', 'h5', 'page', [name], '/name'),
    ),
    element(
      'nav',
      { class: 'site-nav', 'aria-label': 'Site' },
      ...inOrder(content.nav).map(([id, label]) =>
        element(
          'a',
          { class: 'nav-link', ...nowhere },
          text('span', 'label', 'page', [label], `/content/nav/items/${id}`),
        ),
      ),
    ),
  );
}

function hero(build: Build, { content }: StyleDocument): ProofElement {
  const { title, lead, primary, secondary } = content.hero;
  return element(
    'section',
    { class: 'hero' },
    build.text('h1', 'h1', 'page', [title], '/content/hero/title'),
    build.text('p', 'lead', 'page', [lead], '/content/hero/lead'),
    element(
      'p',
      { class: 'actions' },
      button(build, primary, '/content/hero/primary'),
      quietButton(build, secondary, '/content/hero/secondary'),
    ),
  );
}

function notice({ text, ground }: Build, { content }: StyleDocument): ProofNode[] {
  const { title, text: words } = content.notice;
  if (title === '' && words === '') return [];
  return [
    ground(
      'aside',
      'surface',
      { class: 'notice', 'aria-label': 'Notice' },
      ['notice.background', 'notice.edge', 'notice.inset'],
      [
        text('p', 'body', 'surface', [
          wordsAt('strong', title, '/content/notice/title'),
          ' ',
          wordsAt('span', words, '/content/notice/text'),
        ]),
      ],
    ),
  ];
}

function table({ text }: Build, { content }: StyleDocument): ProofNode[] {
  const { title, note, columns, rows } = content.table;
  if (columns.order.length === 0) return [];
  const cells = (id: string, row: Readonly<Record<string, string>>): ProofElement[] =>
    columns.order.map((column) =>
      text('td', 'body', 'page', [row[column] ?? ''], `/content/table/rows/items/${id}/${column}`),
    );
  return [
    element(
      'section',
      { class: 'block' },
      text('h2', 'h2', 'page', [title], '/content/table/title'),
      {
        ...element(
          'table',
          { class: 'table' },
          element(
            'thead',
            {},
            element(
              'tr',
              {},
              ...inOrder(columns).map(([id, label]) =>
                text('th', 'label', 'page', [label], `/content/table/columns/items/${id}`),
              ),
            ),
          ),
          element(
            'tbody',
            {},
            ...inOrder(rows).map(([id, row]) => element('tr', {}, ...cells(id, row))),
          ),
        ),
        uses: ['table.line'],
        decision: '/color/roles/items/line/light',
      },
      text('p', 'small', 'page', [note], '/content/table/note'),
    ),
  ];
}

function cards({ text, ground }: Build, { content }: StyleDocument): ProofNode[] {
  const { title, cards: collection } = content.cards;
  if (collection.order.length === 0) return [];
  return [
    element(
      'section',
      { class: 'block' },
      text('h2', 'h2', 'page', [title], '/content/cards/title'),
      element(
        'div',
        { class: 'cards' },
        ...inOrder(collection).map(([id, card]) =>
          ground(
            'article',
            'surface',
            { class: 'card' },
            ['color.surface', 'space.inset', 'space.stack'],
            [
              text('h3', 'h4', 'surface', [card.title], `/content/cards/cards/items/${id}/title`),
              text('p', 'body', 'surface', [card.text], `/content/cards/cards/items/${id}/text`),
              text('p', 'body', 'surface', [
                wordsAt('a', card.link, `/content/cards/cards/items/${id}/link`, nowhere),
              ]),
            ],
          ),
        ),
      ),
    ),
  ];
}

function story({ text }: Build, { content }: StyleDocument): ProofElement {
  const { title, opening, text: words, aside } = content.story;
  return element(
    'section',
    { class: 'block prose' },
    text('h3', 'h3', 'page', [title], '/content/story/title'),
    text('p', 'body', 'page', [
      wordsAt('strong', opening, '/content/story/opening'),
      ' ',
      wordsAt('span', words, '/content/story/text'),
      ' ',
      wordsAt('em', aside, '/content/story/aside'),
    ]),
    text('p', 'body', 'page', [element('a', nowhere, content.hero.secondary)]),
  );
}

/** The home page of a site, made of its own words and the classes of the exported style sheet. */
export function homePage(document: StyleDocument, derived: Derived): ProofElement {
  const build = builder(derived);
  return build.ground(
    'div',
    'page',
    { class: 'site', lang: document.brief.languages[0] ?? 'en' },
    ['color.page'],
    [
      header(build, document),
      element(
        'main',
        { class: 'site-main' },
        hero(build, document),
        ...notice(build, document),
        ...table(build, document),
        ...cards(build, document),
        story(build, document),
      ),
      element(
        'footer',
        { class: 'site-footer' },
        build.text('p', 'small', 'page', [document.content.footer], '/content/footer'),
      ),
    ],
  );
}
