import { GROUPS, type Component, type Variant } from '../components/component.ts';
import { COMPONENTS } from '../components/components.ts';
import { stateOf, type StateId } from '../components/states.ts';
import { ownVariantsOf } from '../derive/own-variants.ts';
import type { Derived } from '../derive/derived.ts';
import { drawnRules } from '../proof/drawn-states.ts';
import { rulesOfComponent, tokensInRules } from '../proof/needed.ts';
import { element, writeHtml, type ProofElement, type ProofNode } from '../proof/node.ts';
import { sitePage } from '../proof/site.ts';
import { specimenOf, variantsOf } from '../proof/specimens.ts';
import { drawingName, sectionDrawing } from '../system/label-places.ts';
import { inOrder, type Mode, type StyleDocument } from '../system/document.ts';
import { namedSections } from '../system/named-sections.ts';
import { modesOf } from '../system/themes.ts';
import { isSameInBoth, propertyOf } from '../tokens/token.ts';
import { namedClasses, namedProperty, namingOf, type Naming } from './naming.ts';
import { rulesCss } from './sheet.ts';

/** Makes markup that came from outside harmless. */
export type Safe = (svg: string) => string;

/** A file of a guide, by its path in it. */
export interface GuideFile {
  readonly path: string;
  readonly text: string;
}

/** A drawing that lies beside the pages of a guide. */
export interface GuideDrawing {
  /** What is drawn: a variant of a component, or a section of a page, as `drawingName` has them. */
  readonly drawing: string;
  readonly theme: Mode;
  readonly path: string;
  /** What it says, for those who do not see it. */
  readonly words: readonly string[];
}

/** A file that is handed over beside the pages of a guide. */
export interface GuideAsset {
  readonly path: string;
  readonly kind: string;
  readonly name: string;
}

/** What a guide is made of beside the system itself. */
export interface GuideParts {
  readonly drawings: readonly GuideDrawing[];
  readonly assets: readonly GuideAsset[];
  /** What was decided and why, as HTML. */
  readonly decisions: string;
  /** Which state of the system it is: a release, or a day. */
  readonly state: string;
  readonly safe: Safe;
}

/** What the pages of the site ask for: files by their names, each in a folder of the guide. */
export interface WrittenGuide {
  readonly files: readonly GuideFile[];
  readonly pictures: readonly string[];
}

/** How the guide’s own pages are laid out; the look of the site is that of `tokens.css` alone. */
const GUIDE_CSS = `.g-ground { margin: 0; }
.g-page { max-width: 68rem; margin: 0 auto; padding: 2rem 1.25rem 6rem; font: 1rem/1.55 var(--g-face); }
:is(h1, h2, h3).g, .g-decisions :is(h2, h3) { font: 600 1.1875rem/1.3 var(--g-head); margin: 2.5rem 0 0.5rem; text-wrap: balance; }
h1.g { font-size: 2rem; margin-top: 1.5rem; }
:is(p, ul, table).g, .g-decisions :is(p, ul, table) { margin: 0 0 1rem; }
.g-row { list-style: none; padding: 0; display: flex; flex-wrap: wrap; gap: 0.25rem 1.25rem; }
nav.g { border-bottom: 1px solid; padding-bottom: 0.25rem; }
nav.g > .g-row { margin: 0; }
a.g { color: inherit; text-decoration-thickness: 1px; text-underline-offset: 0.2em; }
a.g[aria-current] { color: inherit; font-weight: 600; text-decoration: none; }
.g-quiet { font: 0.875rem/1.5 var(--g-face); opacity: 0.85; }
table.g, .g-decisions table { border-collapse: collapse; font-size: 0.875rem; width: 100%; }
:is(th, td).g, .g-decisions :is(th, td) { text-align: start; vertical-align: top; padding: 0.25rem 1rem 0.25rem 0; border-top: 1px solid color-mix(in srgb, currentcolor 25%, transparent); overflow-wrap: anywhere; }
:is(th.g, .g-decisions th) { font-weight: 600; overflow-wrap: normal; }
:is(code, pre).g, .g-decisions code { font: 0.8125rem/1.5 ui-monospace, monospace; }
pre.g { overflow-x: auto; border: 1px solid color-mix(in srgb, currentcolor 25%, transparent); padding: 0.75rem; margin: 0 0 1rem; }
figure.g { margin: 0 0 1.5rem; }
details.g { margin: -0.75rem 0 1.5rem; }
summary.g { cursor: pointer; min-block-size: 1.5rem; }
.g-drawing { max-width: 100%; height: auto; }
.g-states { display: flex; flex-wrap: wrap; gap: 1.5rem; align-items: start; margin: 0 0 1.5rem; padding: 1rem; overflow-x: auto; }
.g-state { display: grid; gap: 0.5rem; inline-size: 13rem; max-inline-size: 100%; }
.g-state:only-child { inline-size: 22.5rem; }
.g-state > * > :first-child { position: static; translate: none; }
.g-says { font: 0.875rem/1.5 var(--g-face); }
.g-swatch { display: inline-block; inline-size: 0.875rem; block-size: 0.875rem; border: 1px solid color-mix(in srgb, currentcolor 40%, transparent); vertical-align: -0.1rem; margin-inline-end: 0.4rem; }
.g-assets { display: grid; grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr)); gap: 1rem; list-style: none; padding: 0; }
.g-asset { display: block; max-width: 100%; height: 5rem; object-fit: contain; background: repeating-conic-gradient(#ddd 0 25%, #fff 0 50%) 0 0 / 1rem 1rem; padding: 0.5rem; }
.g-copy { float: inline-end; font: 0.875rem/1.5 var(--g-face); }
@media print { nav.g, .g-copy { display: none; } .g-page { max-width: none; padding: 0; } pre.g { white-space: pre-wrap; } figure.g, tr.g { break-inside: avoid; } :is(h2, h3).g { break-after: avoid; } }
`;

/** The only script of a guide: it puts what stands in a box on the clipboard. */
const COPY_JS = `for (const box of document.querySelectorAll('pre.g')) {
  const button = document.createElement('button');
  button.type = 'button';
  button.className = 'g-copy';
  button.textContent = 'Copy';
  const text = box.textContent;
  button.addEventListener('click', async () => {
    try {
      await navigator.clipboard.writeText(text);
      button.textContent = 'Copied';
    } catch {
      button.textContent = 'Not allowed here';
    }
    setTimeout(() => (button.textContent = 'Copy'), 1500);
  });
  box.before(button);
}
`;

const CHAPTERS = [
  ['index.html', 'The system'],
  ['components.html', 'Components'],
  ['tokens.html', 'Tokens'],
  ['assets.html', 'Assets'],
  ['decisions.html', 'Decisions'],
] as const;

/** Where the page lies that explains the approach. */
export const APPROACH = 'drawings/approach.svg';

const NO_SVG: Safe = () => '';

/** An element of the guide itself: its classes are none of the site’s. */
const el = (tag: string, name: string, ...children: readonly ProofNode[]): ProofElement =>
  element(tag, { class: name === '' ? 'g' : `g ${name}` }, ...children);

const link = (href: string, words: string): ProofElement =>
  element('a', { class: 'g', href }, words);

/** Where the files of a guide are seen from a page of it. */
const up = (path: string): string => '../'.repeat(path.split('/').length - 1);

/** A page of the guide itself. */
function guidePage(
  { name, tokens }: Pick<StyleDocument, 'name' | 'tokens'>,
  { path, title, body }: { readonly path: string; readonly title: string; readonly body: string },
): GuideFile {
  const root = up(path);
  const ground = namedClasses('on-page', tokens.sheet);
  const nav = element(
    'nav',
    { class: 'g', 'aria-label': 'The guide' },
    el(
      'ul',
      'g-row',
      ...CHAPTERS.map(([file, words]) =>
        el(
          'li',
          '',
          element(
            'a',
            {
              class: 'g',
              href: `${root}${file}`,
              ...(file === path && { 'aria-current': 'page' }),
            },
            words,
          ),
        ),
      ),
    ),
  );
  const text = [
    '<!doctype html>',
    // The guide speaks English; what it shows says its own language.
    `<html lang="en">`,
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width">',
    writeHtml(element('title', {}, `${title}, ${name}`), NO_SVG),
    `<link rel="stylesheet" href="${root}tokens.css">`,
    `<link rel="stylesheet" href="${root}guide.css">`,
    `<body class="g-ground ${ground}"><div class="g-page">`,
    writeHtml(nav, NO_SVG),
    `<main>`,
    writeHtml(el('h1', '', title), NO_SVG),
    body,
    '</main></div>',
    `<script src="${root}copy.js"></script>`,
    '</html>',
    '',
  ].join('\n');
  return { path, text };
}

/** Addresses of the application, as they are beside a page of the site. */
const FROM_APPLICATION = /\/proof\/(pictures|fonts)\/([\w.-]+)/g;

/** An element with the classes as the sheet writes them, and what it shows beside it. */
function handedOver(node: ProofNode, naming: Naming, asked: Set<string>, root: string): ProofNode {
  if (typeof node === 'string') return node;
  const { class: names, ...attributes } = node.attributes;
  return {
    ...node,
    attributes: {
      ...(names !== undefined && { class: namedClasses(names, naming) }),
      ...Object.fromEntries(
        Object.entries(attributes).map(([key, value]) => [
          key,
          value.replaceAll(FROM_APPLICATION, (_, folder: string, file: string) => {
            asked.add(`${folder}/${file}`);
            return `${root}${folder}/${file}`;
          }),
        ]),
      ),
    },
    children: node.children.map((child) => handedOver(child, naming, asked, root)),
  };
}

/** The pages of the site as they are, by `tokens.css` alone. */
function sitePages(
  document: StyleDocument,
  derived: Derived,
  naming: Naming,
  asked: Set<string>,
  safe: Safe,
): readonly (GuideFile & { readonly id: string; readonly name: string })[] {
  const [usual = 'en'] = document.brief.languages;
  return inOrder(document.content.pages)
    .filter(([, { isOff }]) => isOff !== true)
    .map(([id, { name, language = usual }]) => {
      const path = `pages/${id}.html`;
      const body = handedOver(sitePage(document, derived, id), naming, asked, up(path));
      const text = [
        '<!doctype html>',
        `<html lang="${language}">`,
        '<meta charset="utf-8">',
        '<meta name="viewport" content="width=device-width">',
        writeHtml(element('title', {}, `${name}, ${document.name}`), NO_SVG),
        `<link rel="stylesheet" href="../tokens.css">`,
        `<body>${writeHtml(body, safe)}</body>`,
        '</html>',
        '',
      ].join('\n');
      return { id, path, text, name };
    });
}

const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** The drawings of something: that of the first theme, and those of others to be opened. */
function figures(
  { drawings }: Pick<GuideParts, 'drawings'>,
  drawing: string,
  root: string,
): readonly ProofElement[] {
  return drawings
    .filter((one) => one.drawing === drawing)
    .map(({ theme, path, words }, index) => {
      const image = element('img', {
        class: 'g-drawing',
        src: `${root}${path}`,
        alt: words.join('\n'),
        loading: 'lazy',
      });
      const figure = el('figure', '', image);
      return index === 0 ? figure : el('details', '', el('summary', '', theme), figure);
    });
}

/** The sections of a page of the site, each with its drawings; nothing where none is drawn. */
function sectionsPage(page: string, { document, parts }: Given): GuideFile | undefined {
  const path = `sections/${page}.html`;
  const own = namedSections(document.content).filter((one) => one.page === page);
  const [first] = own;
  const body = own.flatMap(({ section, name, says: words }) => {
    const drawn = figures(parts, sectionDrawing(page, section), up(path));
    return drawn.length === 0
      ? []
      : [el('section', '', el('h2', '', name), el('p', '', sentence(words)), ...drawn)];
  });
  if (!first || body.length === 0) return undefined;
  return guidePage(document, {
    path,
    title: `${first.pageName}, section by section`,
    body: [el('p', '', link(`${up(path)}pages/${page}.html`, 'The page as it is')), ...body]
      .map((one) => writeHtml(one, NO_SVG))
      .join('\n'),
  });
}

/** The page of a component: its variants in their states, their drawings, HTML, rules and tokens. */
function componentPage(
  component: Component,
  variants: readonly Variant[],
  { document, derived, naming, parts }: Given,
): GuideFile {
  const path = `components/${component.id}.html`;
  const root = up(path);
  const rules = rulesOfComponent(component, document, derived);
  const shown = (variant: Variant, state?: StateId): ProofNode =>
    handedOver(specimenOf(variant, derived, state), naming, new Set(), root);
  const section = (variant: Variant): ProofElement =>
    el(
      'section',
      '',
      el('h2', '', variant.name),
      el(
        'div',
        `g-states ${namedClasses('on-page', naming)}`,
        ...[undefined, ...variant.states].map((state) =>
          el(
            'div',
            'g-state',
            element('div', { class: namedClasses('site', naming) }, shown(variant, state)),
            ...(variant.states.length === 0
              ? []
              : [el('span', 'g-says', state === undefined ? 'at rest' : stateOf(state).name)]),
          ),
        ),
      ),
      ...figures(parts, drawingName(component.id, variant.id), root),
      el('h3', '', 'HTML'),
      element(
        'pre',
        { class: 'g', tabindex: '0' },
        el('code', '', writeHtml(shown(variant), NO_SVG)),
      ),
    );
  const tokens = tokensInRules(rules, derived);
  const body = [
    el('p', '', sentence(component.says)),
    ...variants.map(section),
    el(
      'section',
      '',
      el('h2', '', 'Rules'),
      element('pre', { class: 'g', tabindex: '0' }, el('code', '', rulesCss(rules, naming))),
    ),
    el(
      'section',
      '',
      el('h2', '', 'Tokens'),
      el(
        'ul',
        'g-row',
        ...tokens.map((id) =>
          el('li', '', link(`${root}tokens.html#${encodeURIComponent(id)}`, id)),
        ),
      ),
    ),
  ];
  return guidePage(document, {
    path,
    title: component.name,
    body: body.map((one) => writeHtml(one, NO_SVG)).join('\n'),
  });
}

/** The guide is set in the faces of the system, as its text and its headings are. */
function facesCss({ derived, naming }: Given): string {
  const face = (role: string): string => {
    const token = derived.tokenById.get(`type.${derived.styles.get(role)?.slug ?? ''}.family`);
    const own = token && namedProperty(propertyOf(token), naming);
    return own === undefined ? 'system-ui, sans-serif' : `var(${own}, system-ui)`;
  };
  return `:root { --g-face: ${face('body')}; --g-head: ${face('h3')}; }\n`;
}

interface Given {
  readonly document: StyleDocument;
  readonly derived: Derived;
  readonly naming: Naming;
  readonly parts: GuideParts;
}

function tokensPage({ document, derived, naming }: Given): GuideFile {
  const modes = modesOf(derived.themes);
  const valueIn = (css: string | undefined, type: string): readonly ProofNode[] =>
    css === undefined
      ? ['none in CSS']
      : [
          ...(type === 'color'
            ? [element('span', { class: 'g-swatch', style: `background:${css}` })]
            : []),
          el('code', '', css),
        ];
  const table = el(
    'table',
    '',
    el(
      'thead',
      '',
      el(
        'tr',
        '',
        ...['property', ...modes, 'what it is for'].map((words) =>
          element('th', { class: 'g', scope: 'col' }, words),
        ),
      ),
    ),
    el(
      'tbody',
      '',
      ...derived.tokens.map((token) =>
        element(
          'tr',
          { class: 'g', id: token.id },
          element(
            'th',
            { class: 'g', scope: 'row' },
            el('code', '', namedProperty(propertyOf(token), naming)),
          ),
          ...(isSameInBoth(token)
            ? [
                element(
                  'td',
                  { class: 'g', colspan: String(modes.length) },
                  ...valueIn(token.values.light.css, token.type),
                ),
              ]
            : modes.map((mode) => el('td', '', ...valueIn(token.values[mode].css, token.type)))),
          el(
            'td',
            '',
            [
              token.description ?? '',
              ...(token.deprecated === undefined
                ? []
                : [
                    token.deprecated === true
                      ? 'Not to be used any more.'
                      : `Not to be used any more: ${token.deprecated}`,
                  ]),
            ]
              .filter((words) => words !== '')
              .join(' '),
          ),
        ),
      ),
    ),
  );
  return guidePage(document, {
    path: 'tokens.html',
    title: 'Tokens',
    body: writeHtml(table, NO_SVG),
  });
}

function assetsPage({ document, parts }: Given): GuideFile {
  const kinds = [...new Set(parts.assets.map(({ kind }) => kind))];
  const isPicture = (path: string): boolean => /\.(?:svg|webp|png|jpg)$/.test(path);
  const body = kinds.map((kind) =>
    el(
      'section',
      '',
      el('h2', '', kind),
      el(
        'ul',
        'g-assets',
        ...parts.assets
          .filter((one) => one.kind === kind)
          .map(({ path, name }) =>
            el(
              'li',
              '',
              ...(isPicture(path)
                ? [element('img', { class: 'g-asset', src: path, alt: '', loading: 'lazy' })]
                : []),
              element('a', { class: 'g', href: path, download: '' }, name),
            ),
          ),
      ),
    ),
  );
  return guidePage(document, {
    path: 'assets.html',
    title: 'Assets',
    body:
      body.map((one) => writeHtml(one, NO_SVG)).join('\n') ||
      writeHtml(el('p', '', 'The system has none.'), NO_SVG),
  });
}

/**
 * A guide to a system as the files of a site that is read from a disk: its pages as they are, every component with its
 * states, drawings, code and tokens, all tokens, the assets, and what was decided and why. `tokens.css`, its fonts, the
 * drawings and assets lie beside them; no script runs but for copying.
 */
export function writeGuide(
  document: StyleDocument,
  derived: Derived,
  parts: GuideParts,
): WrittenGuide {
  const naming = namingOf(document.tokens.sheet, derived);
  const given = { document, derived, naming, parts };
  const asked = new Set<string>();
  const pages = sitePages(document, derived, naming, asked, parts.safe);
  const drawnPages = new Map(
    pages.flatMap(({ id }) => {
      const page = sectionsPage(id, given);
      return page ? [[id, page] as const] : [];
    }),
  );
  const own = ownVariantsOf(document.components);
  const components = COMPONENTS.filter(({ variants = [] }) => variants.length > 0);
  const { purpose, audience, mood } = document.brief;
  const list = (links: readonly (readonly ProofNode[])[]): ProofElement =>
    el('ul', '', ...links.map((words) => el('li', '', ...words)));
  const index = [
    ...(document.description === '' ? [] : [el('p', '', document.description)]),
    ...(purpose === '' ? [] : [el('p', '', purpose)]),
    ...(audience === '' ? [] : [el('p', '', `For: ${audience}`)]),
    ...(mood.length === 0 ? [] : [el('p', '', `Mood: ${mood.join(', ')}.`)]),
    el('h2', '', 'Pages'),
    el('p', 'g-quiet', 'The pages of the site as they are, by tokens.css alone.'),
    list(
      pages.map(({ id, path, name }) => {
        const drawn = drawnPages.get(id);
        return [link(path, name), ...(drawn ? [', ', link(drawn.path, 'section by section')] : [])];
      }),
    ),
    el('h2', '', 'How it is spaced and set'),
    el(
      'p',
      '',
      link(APPROACH, 'The approach, on one page'),
      ': steps, roles, and how drawings are read.',
    ),
    el('h2', '', 'To take along'),
    list([
      [link('tokens.css', 'tokens.css, the style sheet')],
      [link('tokens.json', 'tokens.json, the open token format')],
      [link('handoff.md', 'handoff.md, the decisions in words')],
    ]),
    el('p', 'g-quiet', parts.state),
  ];
  const overview = GROUPS.flatMap(([group, words]) => {
    const ofGroup = components.filter((one) => one.group === group);
    return ofGroup.length === 0
      ? []
      : [
          el('h2', '', words),
          el(
            'ul',
            '',
            ...ofGroup.map((one) =>
              el('li', '', link(`components/${one.id}.html`, one.name), ` ${sentence(one.says)}`),
            ),
          ),
        ];
  });
  const written = (nodes: readonly ProofElement[]): string =>
    nodes.map((one) => writeHtml(one, NO_SVG)).join('\n');
  const states = drawnRules(derived.rules.flatMap((group) => group.rules));
  return {
    pictures: [...asked],
    files: [
      guidePage(document, { path: 'index.html', title: document.name, body: written(index) }),
      guidePage(document, {
        path: 'components.html',
        title: 'Components',
        body: written(overview),
      }),
      ...drawnPages.values(),
      ...components.map((one) => componentPage(one, variantsOf(one, own), given)),
      tokensPage(given),
      assetsPage(given),
      guidePage(document, {
        path: 'decisions.html',
        title: 'Decisions',
        body: `<div class="g-decisions">${parts.decisions}</div>`,
      }),
      ...pages.map(({ path, text }) => ({ path, text })),
      { path: 'guide.css', text: facesCss(given) + GUIDE_CSS + rulesCss(states, naming) },
      { path: 'copy.js', text: COPY_JS },
    ],
  };
}
