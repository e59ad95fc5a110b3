import { COMPONENTS } from '../components/components.ts';
import type { Declarations, StructureClass } from '../components/component.ts';
import type { Rule } from './derived.ts';

/**
 * The structure of the components: how their parts stand to each other, which no decision changes. All that is
 * decided (colors, spaces, corners, edges, texts) comes after it in the sheet.
 */
export const STRUCTURE: readonly StructureClass[] = COMPONENTS.flatMap(({ classes }) => classes);

const entries = (declarations: Declarations): Rule['declarations'] => Object.entries(declarations);

/** A rule for each class, and for what is inside it. */
export const STRUCTURE_RULES: readonly Rule[] = STRUCTURE.flatMap(
  ({ name, own, inside = {}, starts = {}, wide }): Rule[] => [
    ...(own ? [{ selector: `.${name}`, declarations: entries(own) }] : []),
    ...Object.entries(inside).map(([selector, declarations]) => ({
      selector: selector.replaceAll('&', `.${name}`),
      declarations: entries(declarations),
    })),
    ...Object.entries(starts).map(([selector, declarations]) => ({
      selector: selector.replaceAll('&', `.${name}`),
      within: '@starting-style',
      declarations: entries(declarations),
    })),
    ...Object.entries(wide?.inside ?? {}).map(([selector, declarations]) => ({
      selector: selector.replaceAll('&', `.${name}`),
      within: `@container (inline-size >= ${wide?.fromRem ?? 0}rem)`,
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
