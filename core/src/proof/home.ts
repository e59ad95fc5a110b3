import type { Derived } from '../derive/derived.ts';
import { roleToken } from '../derive/components.ts';
import { raiseClass } from '../derive/shape/shape.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { veilSlugs } from '../derive/color/veil.ts';
import { paintedArtwork } from './artwork.ts';
import { logoOf } from './mark.ts';
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
    [
      'button.background',
      'button.ink',
      'button.inset-inline',
      'button.inset-block',
      'button.corner',
    ],
    [text('span', 'label', 'action', [label], content)],
  );

const quietButton = ({ text }: Build, label: string, content: string): ProofElement => ({
  ...element(
    'a',
    { class: 'quiet-button', ...nowhere },
    text('span', 'label', 'page', [label], content),
  ),
  uses: [
    'quiet-button.edge',
    'quiet-button.inset-inline',
    'quiet-button.inset-block',
    'color.action',
  ],
  decision: '/color/roles/items/action/light',
});

/** A part of the page that is made of space alone, with the tokens of it. */
const room = (
  tag: string,
  attributes: Readonly<Record<string, string>>,
  uses: readonly string[],
  decision: string,
  ...children: readonly ProofNode[]
): ProofElement => ({ ...element(tag, attributes, ...children), uses, decision });

function header(
  build: Build,
  { name, content, layout }: StyleDocument,
  { styles }: Derived,
): ProofElement {
  const { text } = build;
  const nameStyle = styles.get('h5');
  return element(
    'header',
    { class: 'grid-frame' },
    room(
      'div',
      { class: 'site-header' },
      ['header.inset', 'header.gap'],
      '/space/parts/header.gap',
      room(
        'div',
        { class: ['site-name', nameStyle && `type-${nameStyle.slug}`].filter(Boolean).join(' ') },
        ['logo.height', 'logo.least', 'logo.clear'],
        '/layout/logo',
        ...logoOf(content.mark, layout.logo),
        text('span', 'h5', 'page', [name], '/name'),
      ),
      room(
        'nav',
        { class: 'site-nav', 'aria-label': 'Site' },
        ['nav.gap'],
        '/space/parts/nav.gap',
        ...inOrder(content.nav).map(([id, label]) =>
          element(
            'a',
            { class: 'nav-link', ...nowhere },
            text('span', 'label', 'page', [label], `/content/nav/items/${id}`),
          ),
        ),
      ),
      ...(content.headerAction === undefined
        ? []
        : [quietButton(build, content.headerAction, '/content/headerAction')]),
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
  if (!veil || slug === undefined)
    return room(
      'section',
      { class: 'hero width-opening' },
      ['hero.inset', 'hero.gap', 'width.opening'],
      '/space/parts/hero.gap',
      ...words,
    );
  return {
    ...element(
      'section',
      { class: `over-picture over-${slug}` },
      element('img', {
        class: 'hero-picture',
        src: `/proof/pictures/${veil.picture.file}`,
        width: String(veil.picture.width),
        height: String(veil.picture.height),
        alt: '',
      }),
      element('div', { class: `hero-veil veil-${slug}` }),
      room(
        'div',
        { class: 'hero-words width-opening' },
        ['picture-words.inset', 'picture-words.gap', 'width.opening'],
        '/space/parts/picture-words.inset',
        ...words,
      ),
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

function table({ text }: Build, { content }: StyleDocument, part: 'table' | 'prices'): ProofNode[] {
  const shown = content[part];
  if (!shown || shown.columns.order.length === 0) return [];
  const { title, note, columns, rows } = shown;
  const at = `/content/${part}`;
  const cells = (id: string, row: Readonly<Record<string, string>>): ProofElement[] =>
    columns.order.map((column) =>
      text('td', 'body', 'page', [row[column] ?? ''], `${at}/rows/items/${id}/${column}`),
    );
  return [
    element(
      'section',
      { class: 'block' },
      text('h2', 'h2', 'page', [title], `${at}/title`),
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
                text('th', 'label', 'page', [label], `${at}/columns/items/${id}`),
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
      text('p', 'small', 'page', [note], `${at}/note`),
    ),
  ];
}

/** A sign that hangs in the margin, so that the words after it keep to the edge. */
const hung = ({ roles }: StyleDocument['space'], sign: string): ProofNode[] =>
  'hang' in roles.items
    ? [element('span', { class: 'pull-hang', 'aria-hidden': 'true' }, sign)]
    : [];

function cards({ text, ground }: Build, { content, shape, space }: StyleDocument): ProofNode[] {
  const { title, cards: collection } = content.cards;
  if (collection.order.length === 0) return [];
  return [
    element(
      'section',
      { class: 'block' },
      text('h2', 'h2', 'page', [title], '/content/cards/title'),
      room(
        'div',
        { class: 'grid cards' },
        ['grid.columns', 'grid.gutter', 'cards.gap'],
        '/layout/grid/base',
        ...inOrder(collection).map(([id, card]) =>
          ground(
            'article',
            'surface',
            { class: ['card', 'span-4', raiseClass(shape)].filter(Boolean).join(' ') },
            ['color.surface', 'card.inset', 'card.gap', 'card.corner'],
            [
              text('h3', 'h4', 'surface', [card.title], `/content/cards/cards/items/${id}/title`),
              text('p', 'body', 'surface', [card.text], `/content/cards/cards/items/${id}/text`),
              text('p', 'body', 'surface', [
                ...hung(space, '+'),
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
    { class: 'block width-text prose' },
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
        { class: 'grid alerts' },
        ...shown.map(({ id, alert, role }): ProofElement => ({
          ...element(
            'div',
            { class: `alert span-4 span-3-from-wide wash-${role.slug}` },
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
      { class: 'block width-text' },
      text('h2', 'h2', 'page', [title], '/content/form/title'),
      ...inOrder(fields).map(([id, label]) =>
        room(
          'div',
          { class: 'form-row' },
          ['form-row.gap'],
          '/space/parts/form-row.gap',
          text('span', 'label', 'page', [label], `/content/form/fields/items/${id}`),
          {
            ...element(
              'span',
              { class: 'field width-field' },
              {
                ...text('span', 'small', 'page', [hint], '/content/form/hint'),
                attributes: { class: hintClass },
              },
            ),
            uses: ['color.line-strong', 'color.faint', 'field.inset-inline', 'field.corner'],
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

/** What people ask, each question near its answer. */
function questions({ text }: Build, { content }: StyleDocument): ProofNode[] {
  if (!content.questions) return [];
  const at = '/content/questions';
  return [
    element(
      'section',
      { class: 'block width-text' },
      text('h2', 'h2', 'page', [content.questions.title], `${at}/title`),
      room(
        'dl',
        { class: 'questions' },
        ['questions.gap'],
        '/space/parts/questions.gap',
        ...inOrder(content.questions.items).map(([id, { question, answer }]) =>
          room(
            'div',
            { class: 'question' },
            ['question.gap'],
            '/space/parts/question.gap',
            text('dt', 'h5', 'page', [question], `${at}/items/items/${id}/question`),
            text('dd', 'body', 'page', [answer], `${at}/items/items/${id}/answer`),
          ),
        ),
      ),
    ),
  ];
}

/** Links at the foot of the page, in groups on the grid. */
function footerGroups({ text }: Build, { content }: StyleDocument): ProofNode[] {
  if (!content.footerGroups) return [];
  const at = '/content/footerGroups/items';
  return [
    room(
      'div',
      { class: 'grid footer-groups' },
      ['grid.columns', 'grid.gutter', 'footer-groups.gap'],
      '/space/parts/footer-groups.gap',
      ...inOrder(content.footerGroups).map(([id, { title, links }]) =>
        room(
          'div',
          { class: 'footer-group span-2 span-3-from-wide' },
          ['footer-group.gap'],
          '/space/parts/footer-group.gap',
          text('p', 'label', 'page', [title], `${at}/${id}/title`),
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
                  text('span', 'small', 'page', [words], `${at}/${id}/links/items/${link}`),
                ),
              ),
            ),
          ),
        ),
      ),
    ),
  ];
}

/**
 * The tokens that there are of those that an element names: of a color role by its id, and of a space
 * that is one token or two, as its role has it.
 */
function usedTokens(uses: readonly string[], { tokenById, colors }: Derived): readonly string[] {
  const known = (id: string): readonly string[] => {
    if (tokenById.has(id)) return [id];
    const named = roleToken(id, colors);
    const whole = id.replace(/-(inline|block)$/, '');
    return [...new Set([named, whole, `${whole}-inline`, `${whole}-block`])].filter((one) =>
      tokenById.has(one),
    );
  };
  return uses.every((id) => tokenById.has(id)) ? uses : [...new Set(uses.flatMap(known))];
}

/** A page whose elements name only tokens that there are. */
function withKnownTokens(node: ProofElement, derived: Derived): ProofElement {
  const uses = node.uses && usedTokens(node.uses, derived);
  const children = node.children.map((child) =>
    typeof child === 'string' ? child : withKnownTokens(child, derived),
  );
  return { ...node, children, ...(uses && { uses }) };
}

/** The home page of a site, made of its own words and the classes of the exported style sheet. */
export function homePage(document: StyleDocument, derived: Derived): ProofElement {
  const build = builder(derived);
  const pattern = derived.patterns.find(({ id }) => id === document.content.pattern);
  const page = build.ground(
    'div',
    'page',
    { class: 'site', lang: document.brief.languages[0] ?? 'en' },
    ['color.page'],
    [
      header(build, document, derived),
      element(
        'main',
        { class: 'grid-frame' },
        room(
          'div',
          { class: 'site-main' },
          ['main.gap', 'main.end'],
          '/space/parts/main.gap',
          hero(build, document),
          ...notice(build, document),
          ...alerts(build, document, derived),
          ...table(build, document, 'table'),
          ...table(build, document, 'prices'),
          ...cards(build, document),
          ...form(build, document, derived),
          ...artwork(document, derived),
          story(build, document),
          ...questions(build, document),
        ),
      ),
      element(
        'footer',
        pattern ? { class: `on-${pattern.on.slug} pattern-${pattern.slug}` } : {},
        element(
          'div',
          { class: 'grid-frame' },
          room(
            'div',
            { class: 'site-footer' },
            ['footer.inset', ...(pattern ? [`color.${pattern.on.slug}`] : [])],
            pattern ? `/layout/patterns/items/${pattern.id}` : '/space/parts/footer.inset',
            ...footerGroups(build, document),
            build.text('p', 'small', 'page', [document.content.footer], '/content/footer'),
          ),
        ),
      ),
    ],
  );
  return withKnownTokens(page, derived);
}
