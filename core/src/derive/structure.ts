import type { Rule } from './derived.ts';

type Declarations = Readonly<Record<string, string>>;

/** A class that pages are built of: what it is for, how it is written, and what makes it work. */
export interface StructureClass {
  readonly name: string;
  /** What it is, in words. */
  readonly says: string;
  /** How it is written, on the element that it is meant for. */
  readonly markup: string;
  /** The text role that its words are set in, by id, where they carry no class of their own. */
  readonly text?: string;
  /** Whether its words take another color than that text has on the page. */
  readonly hasInk?: boolean;
  /** What it says itself. */
  readonly own?: Declarations;
  /** What it says of what is inside it; `&` is the class. */
  readonly inside?: Readonly<Record<string, Declarations>>;
}

const STACK: Declarations = { display: 'grid', 'grid-template-columns': 'minmax(0, 1fr)' };
const ROW: Declarations = { display: 'flex', 'flex-wrap': 'wrap' };
const LINK: Declarations = {
  display: 'inline-flex',
  'align-items': 'center',
  'text-decoration-line': 'none',
};
/** A control looks the same whether it is a link, a button or an input: nothing of the browser’s own is left. */
const CONTROL: Declarations = {
  'box-sizing': 'border-box',
  margin: '0',
  'border-style': 'solid',
  'border-color': 'currentcolor',
  appearance: 'none',
  'text-decoration-line': 'none',
};
const COVERING: Declarations = {
  position: 'absolute',
  inset: '0',
  'inline-size': '100%',
  'block-size': '100%',
  'object-fit': 'cover',
};

/**
 * The structure of the components: how their parts stand to each other, which no decision changes. All that is
 * decided (colors, spaces, corners, edges, texts) comes after it in the sheet.
 */
export const STRUCTURE: readonly StructureClass[] = [
  {
    name: 'site-header',
    says: 'the head of every page: name, navigation, one action',
    markup: `<header class="grid-frame"><div class="site-header"><a class="site-name type-h5" href="/">Name</a> <nav class="site-nav" aria-label="Site">…</nav></div></header>`,
    own: {
      ...ROW,
      'align-items': 'center',
      'justify-content': 'space-between',
      'border-block-end-style': 'solid',
    },
  },
  {
    name: 'site-name',
    says: 'the logo and the name beside it',
    markup: `<a class="site-name type-h5" href="/">Name</a>`,
    own: {
      display: 'flex',
      'align-items': 'center',
      'min-inline-size': '0',
      'text-decoration-line': 'none',
    },
  },
  {
    name: 'site-nav',
    says: 'the links of the navigation in a row',
    markup: `<nav class="site-nav" aria-label="Site"><a class="nav-link" href="/times">Times</a></nav>`,
    own: { ...ROW, margin: '0', padding: '0', 'list-style': 'none' },
  },
  {
    name: 'nav-link',
    says: 'a link of the navigation',
    markup: `<a class="nav-link" href="/times">Times</a>`,
    text: 'label',
    own: LINK,
    inside: { '& > .icon': { 'margin-inline-end': '0.4em' } },
  },
  {
    name: 'site-main',
    says: 'the parts of a page below each other',
    markup: `<main class="grid-frame"><div class="site-main">…</div></main>`,
    own: STACK,
  },
  {
    name: 'hero',
    says: 'what a page opens with',
    markup: `<section class="hero width-opening"><h1 class="type-h1">…</h1><p class="type-lead">…</p><p class="actions">…</p></section>`,
    own: { display: 'grid', 'align-content': 'center' },
  },
  {
    name: 'over-picture',
    says: 'words over a picture with its veil',
    markup: `<section class="over-picture"><img class="hero-picture" src="…" alt=""><div class="hero-veil"></div><div class="hero-words">…</div></section>`,
    own: {
      position: 'relative',
      display: 'grid',
      // The upper part is the picture’s own: words begin below it on every screen.
      'grid-template-rows': 'minmax(19rem, 1fr) auto',
      'min-block-size': '38rem',
      overflow: 'clip',
    },
  },
  {
    name: 'hero-picture',
    says: 'the picture under the words',
    markup: `<img class="hero-picture" src="…" alt="">`,
    own: COVERING,
  },
  {
    name: 'hero-veil',
    says: 'the veil between the picture and the words',
    markup: `<div class="hero-veil"></div>`,
    own: COVERING,
  },
  {
    name: 'hero-words',
    says: 'the words on the picture',
    markup: `<div class="hero-words width-opening">…</div>`,
    own: { position: 'relative', display: 'grid', 'grid-row': '2' },
  },
  {
    name: 'actions',
    says: 'buttons beside each other',
    markup: `<p class="actions"><a class="button" href="/book">Book</a> <a class="quiet-button" href="/times">Times</a></p>`,
    own: ROW,
  },
  {
    name: 'button',
    says: 'the one action that matters most',
    markup: `<a class="button" href="/book">Book</a> or <button class="button" type="button">Book</button>`,
    text: 'label',
    hasInk: true,
    own: {
      ...CONTROL,
      display: 'inline-flex',
      'align-items': 'center',
      'justify-content': 'center',
      // As high as the quiet button beside it; seen where colors are forced.
      'border-color': 'transparent',
    },
  },
  {
    name: 'quiet-button',
    says: 'an action of less weight',
    markup: `<a class="quiet-button" href="/times">Times</a>`,
    text: 'label',
    hasInk: true,
    own: {
      ...CONTROL,
      display: 'inline-flex',
      'align-items': 'center',
      'justify-content': 'center',
      'background-color': 'transparent',
    },
  },
  {
    name: 'block',
    says: 'a part of a page: a heading and what is under it',
    markup: `<section class="block"><h2 class="type-h2">…</h2>…</section>`,
    own: STACK,
  },
  {
    name: 'notice',
    says: 'what has to be known before anything else',
    markup: `<aside class="notice on-surface" aria-label="Notice"><p class="type-body">…</p></aside>`,
    own: { 'border-inline-start-style': 'solid' },
  },
  {
    name: 'alert',
    says: 'a message with a label, on a wash of its color',
    markup: `<div class="alert wash-success"><span class="tag fill-success">Running</span><p class="type-body">…</p></div>`,
    own: {
      display: 'grid',
      'justify-items': 'start',
      'align-content': 'start',
      'border-style': 'solid',
    },
  },
  {
    name: 'tag',
    says: 'a word as a label',
    markup: `<span class="tag fill-success">Running</span>`,
    text: 'label',
    hasInk: true,
    own: { display: 'inline-block' },
  },
  {
    name: 'table',
    says: 'rows and columns, with figures of one width',
    markup: `<table class="table"><thead><tr><th>From</th></tr></thead><tbody><tr><td>06:40</td></tr></tbody></table>`,
    own: {
      'border-collapse': 'collapse',
      'inline-size': '100%',
      'font-variant-numeric': 'tabular-nums',
    },
    inside: {
      '& th, & td': {
        padding: '0',
        'text-align': 'start',
        'border-block-end-style': 'solid',
        'border-color': 'inherit',
        'vertical-align': 'baseline',
        'overflow-wrap': 'break-word',
      },
      // Figures and headings stay whole: what says what a row is gives way.
      '& th:first-child, & td:first-child': { 'overflow-wrap': 'anywhere' },
    },
  },
  {
    name: 'card',
    says: 'one of several things side by side',
    markup: `<div class="grid cards"><article class="card on-surface span-4"><h3 class="type-h4">…</h3><p class="type-body">…</p></article></div>`,
    own: { 'container-type': 'inline-size', display: 'grid', 'align-content': 'start' },
  },
  {
    name: 'form-row',
    says: 'a label and its field',
    markup: `<div class="form-row"><label class="type-label" for="name">Name</label><input class="field width-field" id="name"></div>`,
    own: { display: 'grid' },
  },
  {
    name: 'field',
    says: 'where something is typed',
    markup: `<input class="field width-field">`,
    text: 'small',
    own: {
      ...CONTROL,
      display: 'flex',
      'align-items': 'center',
      'inline-size': '100%',
      'background-color': 'transparent',
    },
  },
  {
    name: 'questions',
    says: 'questions and their answers',
    markup: `<dl class="questions"><div class="question"><dt class="type-h5">…</dt><dd class="type-body">…</dd></div></dl>`,
    own: STACK,
  },
  {
    name: 'question',
    says: 'a question near its answer',
    markup: `<div class="question"><dt class="type-h5">…</dt><dd class="type-body">…</dd></div>`,
    own: STACK,
  },
  {
    name: 'nav-group',
    says: 'a link of the navigation with those under it',
    markup: `<div class="nav-group"><a class="nav-link" href="/times">Times</a><ul class="footer-links">…</ul></div>`,
    own: { display: 'grid', 'align-content': 'start' },
  },
  {
    name: 'card-picture',
    says: 'a picture at the head of a card',
    markup: `<img class="card-picture" src="…" alt="…">`,
    own: { display: 'block', 'max-inline-size': '100%', 'block-size': 'auto' },
  },
  {
    name: 'ground',
    says: 'a part of a page on a surface of its own',
    markup: `<div class="ground on-surface"><section class="block">…</section></div>`,
  },
  {
    name: 'points',
    says: 'what speaks for it, in a row without marks',
    markup: `<ul class="grid points"><li class="point span-4">…</li></ul>`,
    own: { margin: '0', padding: '0', 'list-style': 'none' },
  },
  {
    name: 'point',
    says: 'one of them',
    markup: `<li class="point span-4"><h3 class="type-h6">…</h3><p class="type-small">…</p></li>`,
    own: { display: 'grid', 'align-content': 'start', 'border-block-start-style': 'solid' },
  },
  {
    name: 'list',
    says: 'a list in running text, with marks or numbers',
    markup: `<ul class="list"><li class="type-body">…</li></ul>`,
    own: { display: 'grid', margin: '0' },
  },
  {
    name: 'quotation',
    says: 'a quote with its source',
    markup: `<figure class="quotation"><blockquote><p class="type-quote">…</p></blockquote><figcaption class="type-caption">…</figcaption></figure>`,
    own: {
      display: 'grid',
      'align-content': 'start',
      margin: '0',
      'border-inline-start-style': 'solid',
    },
  },
  {
    name: 'code-block',
    says: 'lines of code',
    markup: `<pre class="code-block" tabindex="0"><code class="type-code">…</code></pre>`,
    own: { margin: '0', 'overflow-x': 'auto', 'border-style': 'solid' },
  },
  {
    name: 'figure',
    says: 'a picture with its caption',
    markup: `<figure class="figure"><img class="picture-opening" src="…" alt="…"><figcaption class="type-caption">…</figcaption></figure>`,
    own: { display: 'grid', 'align-content': 'start', margin: '0' },
  },
  {
    name: 'footnote',
    says: 'a note at the foot of an article, with its number',
    markup: `<div class="footnote"><span class="type-small">1</span><p class="type-small">…</p></div>`,
    own: { display: 'flex', 'align-items': 'baseline' },
  },
  {
    name: 'steps',
    says: 'one thing after the other',
    markup: `<ol class="steps"><li class="step">…</li></ol>`,
    own: { display: 'grid', margin: '0', padding: '0', 'list-style': 'none' },
  },
  {
    name: 'step',
    says: 'one of them, with its number',
    markup: `<li class="step"><span class="type-h4" aria-hidden="true">1</span><div class="step-words"><h3 class="type-h5">…</h3><p class="type-body">…</p></div></li>`,
    own: {
      display: 'grid',
      'grid-template-columns': '3rem minmax(0, 1fr)',
      'align-items': 'baseline',
      'border-block-start-style': 'solid',
    },
  },
  {
    name: 'step-words',
    says: 'what a step says',
    markup: `<div class="step-words">…</div>`,
    own: { display: 'grid' },
  },
  {
    name: 'band',
    says: 'a band with one thing to do',
    markup: `<section class="band on-surface"><div class="band-words"><h2 class="type-h3">…</h2><p class="type-body">…</p></div><p class="actions">…</p></section>`,
    own: { ...ROW, 'align-items': 'center', 'justify-content': 'space-between' },
  },
  {
    name: 'band-words',
    says: 'what the band says',
    markup: `<div class="band-words">…</div>`,
    own: { display: 'grid' },
  },
  {
    name: 'ways',
    says: 'how to reach somebody',
    markup: `<dl class="ways"><div class="way"><dt class="type-label">Call</dt><dd class="type-body">…</dd></div></dl>`,
    own: { display: 'grid', margin: '0' },
  },
  {
    name: 'way',
    says: 'one of them: a sign, and the words',
    markup: `<div class="way"><dt class="type-label">Call</dt><dd class="type-body">…</dd></div>`,
    own: {
      display: 'grid',
      'grid-template-columns': 'minmax(4rem, auto) minmax(0, 1fr)',
      'align-items': 'baseline',
      'border-block-start-style': 'solid',
    },
  },
  {
    name: 'artwork',
    says: 'a drawing of the site’s own',
    markup: `<figure class="artwork"><svg>…</svg></figure>`,
    inside: {
      '& svg': { display: 'block', 'max-inline-size': '100%', 'block-size': 'auto' },
    },
  },
  {
    name: 'site-footer',
    says: 'the foot of every page',
    markup: `<footer><div class="grid-frame"><div class="site-footer">…</div></div></footer>`,
    own: { display: 'grid', 'border-block-start-style': 'solid' },
  },
  {
    name: 'footer-group',
    says: 'links of the footer under a title',
    markup: `<div class="footer-group span-3"><p class="type-label">…</p><ul class="footer-links"><li><a class="footer-link" href="/times">Times</a></li></ul></div>`,
    own: { display: 'grid', 'align-content': 'start', 'justify-items': 'start' },
  },
  {
    name: 'footer-links',
    says: 'a list of links without marks',
    markup: `<ul class="footer-links"><li><a class="footer-link" href="/times">Times</a></li></ul>`,
    own: {
      display: 'grid',
      'justify-items': 'start',
      margin: '0',
      padding: '0',
      'list-style': 'none',
    },
  },
  {
    name: 'footer-link',
    says: 'a link of the footer',
    markup: `<a class="footer-link" href="/times">Times</a>`,
    text: 'small',
    own: LINK,
  },
];

const entries = (declarations: Declarations): Rule['declarations'] => Object.entries(declarations);

/** A rule for each class, and for what is inside it. */
export const STRUCTURE_RULES: readonly Rule[] = STRUCTURE.flatMap(
  ({ name, own, inside = {} }): Rule[] => [
    ...(own ? [{ selector: `.${name}`, declarations: entries(own) }] : []),
    ...Object.entries(inside).map(([selector, declarations]) => ({
      selector: selector.replaceAll('&', `.${name}`),
      declarations: entries(declarations),
    })),
  ],
);

/**
 * What every page begins with where the site has no such rules of its own: sizes that include paddings and
 * edges, no margins that nobody decided, headings that break rather than overflow.
 */
export const BASE_RULES: readonly Rule[] = [
  { selector: '*, *::before, *::after', declarations: [['box-sizing', 'border-box']] },
  {
    selector: 'body, h1, h2, h3, h4, h5, h6, p, table, ul, ol, dl, dd, figure, blockquote, pre',
    declarations: [['margin', '0']],
  },
  {
    selector: 'h1, h2, h3, h4, h5, h6',
    declarations: [['overflow-wrap', 'break-word']],
  },
  { selector: 'h1', declarations: [['text-wrap', 'balance']] },
];

/** The selectors of bare cells: a table needs no class on each of them. */
const CELLS: Readonly<Record<string, string>> = { label: '.table th', body: '.table td' };

const classesOf = (text: string): readonly StructureClass[] =>
  STRUCTURE.filter((one) => one.text === text);
const selectorOf = ({ name }: StructureClass): string => `.${name}`;
const cellsOf = (text: string): readonly string[] => {
  const cell = CELLS[text];
  return cell === undefined ? [] : [cell];
};

/** What is set in a text role without its class, as selectors. */
export const setIn = (text: string): readonly string[] => [
  ...cellsOf(text),
  ...classesOf(text).map(selectorOf),
];

/**
 * What has the color of a text on the page without its class. The page itself has that of running text, but not
 * its face and size: lengths in em and ch outside of texts go by the reader’s own.
 */
export const coloredIn = (text: string): readonly string[] => [
  ...(text === 'body' ? ['body'] : []),
  ...cellsOf(text),
  ...classesOf(text)
    .filter(({ hasInk }) => hasInk !== true)
    .map(selectorOf),
];
