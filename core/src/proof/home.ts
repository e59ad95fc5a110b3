import type { Derived } from '../derive/derived.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { veilSlugs } from '../derive/veil.ts';
import { paintedArtwork } from './artwork.ts';
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

/** Leads nowhere that anybody has been: a link to the page itself would count as visited. */
const nowhere = { href: '#to-be-written' };

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

function hero(build: Build, { color, content }: StyleDocument): ProofElement {
  const { title, lead, primary, secondary } = content.hero;
  const veil = content.heroVeil === undefined ? undefined : color.veils.items[content.heroVeil];
  const slug =
    content.heroVeil === undefined ? undefined : veilSlugs(color.veils).get(content.heroVeil);
  const words = [
    build.text('h1', 'h1', 'page', [title], '/content/hero/title'),
    build.text('p', 'lead', 'page', [lead], '/content/hero/lead'),
    element(
      'p',
      { class: 'actions' },
      button(build, primary, '/content/hero/primary'),
      // Over a picture the quiet button would need a proof of its own.
      ...(veil ? [] : [quietButton(build, secondary, '/content/hero/secondary')]),
    ),
  ];
  if (!veil || slug === undefined) return element('section', { class: 'hero' }, ...words);
  return {
    ...element(
      'section',
      { class: `hero over-picture over-${slug}` },
      element('img', {
        class: 'hero-picture',
        src: `/proof/pictures/${veil.picture.file}`,
        width: String(veil.picture.width),
        height: String(veil.picture.height),
        alt: '',
      }),
      element('div', { class: `hero-veil veil-${slug}` }),
      element('div', { class: 'hero-words' }, ...words),
    ),
    uses: [`veil.${slug}`],
    decision: `/color/veils/items/${content.heroVeil ?? ''}`,
  };
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

/** What states say, each on a wash of its color with a label filled with it. */
function alerts({ text }: Build, { content }: StyleDocument, { colors }: Derived): ProofNode[] {
  const all = content.alerts ? inOrder(content.alerts) : [];
  const shown = all.flatMap(([id, alert]) => {
    const role = colors.get(alert.family);
    return role ? [{ id, alert, role }] : [];
  });
  if (shown.length === 0) return [];
  return [
    element(
      'section',
      { class: 'block' },
      element(
        'div',
        { class: 'alerts' },
        ...shown.map(({ id, alert, role }): ProofElement => ({
          ...element(
            'div',
            { class: `alert wash-${role.slug}` },
            {
              ...element(
                'span',
                { class: `tag fill-${role.slug}` },
                text('span', 'label', 'page', [alert.title], `/content/alerts/items/${id}/title`),
              ),
              uses: [`color.${role.slug}`, `color.${role.slug}-ink`],
              decision: `/color/roles/items/${role.id}/light`,
            },
            text('p', 'body', 'page', [alert.text], `/content/alerts/items/${id}/text`),
          ),
          uses: [`color.${role.slug}-wash`, `color.${role.slug}-edge`],
          decision: `/color/roles/items/${role.id}-wash/light`,
        })),
      ),
    ),
  ];
}

/** A form: labels, fields with a strong edge, a hint that is faint, one button. */
function form(build: Build, { content }: StyleDocument, { styles }: Derived): ProofNode[] {
  if (!content.form) return [];
  const { text } = build;
  const { title, fields, hint, submit } = content.form;
  const small = styles.get('small');
  const hintClass = ['hint', small && `type-${small.slug}`].filter(Boolean).join(' ');
  return [
    element(
      'section',
      { class: 'block prose' },
      text('h2', 'h2', 'page', [title], '/content/form/title'),
      ...inOrder(fields).map(([id, label]) =>
        element(
          'div',
          { class: 'form-row' },
          text('span', 'label', 'page', [label], `/content/form/fields/items/${id}`),
          {
            ...element(
              'span',
              { class: 'field' },
              {
                ...text('span', 'small', 'page', [hint], '/content/form/hint'),
                attributes: { class: hintClass },
              },
            ),
            uses: ['color.line-strong', 'color.faint'],
            decision: '/color/roles/items/line-strong/light',
          },
        ),
      ),
      element('p', { class: 'actions' }, button(build, submit, '/content/form/submit')),
    ),
  ];
}

/** A picture of the site's own that takes its colors from the roles. */
function artwork({ content }: StyleDocument, { colors }: Derived): ProofNode[] {
  if (!content.artwork) return [];
  return [
    {
      ...element('figure', { class: 'artwork' }),
      svg: paintedArtwork(content.artwork, colors),
      uses: Object.values(content.artwork.fills).map((id) => `color.${colors.get(id)?.slug ?? id}`),
      decision: '/content/artwork',
    },
  ];
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
        ...alerts(build, document, derived),
        ...table(build, document),
        ...cards(build, document),
        ...form(build, document, derived),
        ...artwork(document, derived),
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
