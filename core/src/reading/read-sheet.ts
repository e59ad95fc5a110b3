import postcss, {
  CssSyntaxError,
  type AtRule,
  type Container,
  type Declaration,
  type Root,
} from 'postcss';
import safeParse from 'postcss-safe-parser';

/** Where something stands in a style sheet. */
export interface SheetPlace {
  readonly file: string;
  /** Counted from 1. */
  readonly line: number;
  readonly column: number;
  /** The selector of the rule, with those of rules around it where it is nested. */
  readonly selector: string;
  /** The at-rules around it, the outermost first. */
  readonly within: readonly string[];
}

/** A declaration as it stands in a style sheet. */
export interface ReadDeclaration extends SheetPlace {
  /** In lower case, but for custom properties, which are told apart by it. */
  readonly property: string;
  readonly value: string;
  readonly isImportant: boolean;
  /** Where its value begins and ends in the text of its file, in UTF-16 units. */
  readonly from: number;
  readonly to: number;
}

/** What of a style sheet is left out, and why. */
export interface SheetProblem {
  readonly file: string;
  readonly line: number;
  readonly message: string;
}

/** A style sheet that was read, without a browser. */
export interface ReadSheet {
  readonly file: string;
  readonly declarations: readonly ReadDeclaration[];
  /** The conditions of `@media`, each with the line that it stands in. */
  readonly media: readonly { readonly condition: string; readonly line: number }[];
  /** The addresses of `@import`: nothing is fetched, so what stands there is missing. */
  readonly imports: readonly string[];
  /** The cascade layers with those around them, joined by dots, in the order in which they are named. */
  readonly layers: readonly string[];
  /** The families that the sheet brings itself. */
  readonly families: readonly string[];
  readonly problems: readonly SheetProblem[];
}

/** So deep rules may stand in each other; browsers stop at a similar depth. */
const DEEPEST = 64;
/** A sheet of more characters is not read. */
export const MOST_CHARACTERS = 12_000_000;
/** Declarations of these at-rules say nothing of elements. */
const NO_RULES =
  /^(?:font-face|property|counter-style|page|font-feature-values|font-palette-values|view-transition|position-try)$/i;
const LONGEST_SELECTOR = 2000;
const KEYFRAMES = /^(?:-\w+-)?keyframes$/i;

/** A nested selector with what is around it; `&` is that. Source: CSS Nesting 1. */
function nestedIn(outer: string, own: string): string {
  if (outer === '') return own;
  // Growing without end is no way to write a selector.
  if (outer.length > LONGEST_SELECTOR) return outer;
  const around = outer.includes(',') ? `:is(${outer})` : outer;
  return own.includes('&') ? own.replaceAll('&', around) : `${around} ${own}`;
}

const firstFamily = (value: string): string =>
  value
    .split(',')[0]
    ?.trim()
    .replaceAll(/^["']|["']$/g, '') ?? '';

/**
 * Reads a style sheet as it stands, without a browser: every declaration with its place and the conditions around it.
 * What cannot be read is left out and told; nothing is fetched.
 * @param css the text of the sheet
 * @param file what it is called where its places are told
 */
export function readSheet(css: string, file: string): ReadSheet {
  const nothing = { file, declarations: [], media: [], imports: [], layers: [], families: [] };
  const refused = (message: string): ReadSheet => ({
    ...nothing,
    problems: [{ file, line: 1, message }],
  });
  if (css.length > MOST_CHARACTERS)
    return refused(`It has more than ${MOST_CHARACTERS / 1_000_000} million characters.`);
  const problems: SheetProblem[] = [];
  const declarations: ReadDeclaration[] = [];
  const media: { condition: string; line: number }[] = [];
  const imports: string[] = [];
  const layers: string[] = [];
  const families: string[] = [];
  // Offsets are told without the mark that a file may begin with.
  const mark = css.startsWith('\uFEFF') ? 1 : 0;
  const sheet = rootOf(css, (line, message) => problems.push({ file, line, message }));
  const declared = (node: Declaration, selector: string, within: readonly string[]): void => {
    const { start } = node.source ?? {};
    if (!start) return;
    // A sign before the name that made one browser of old read it is no part of the name, but stands there.
    const sign = /[*_$]*$/.exec(node.raws.before ?? '')?.[0].length ?? 0;
    const said = node.raws.value?.raw ?? node.value;
    const text = said.trim();
    const begins = start.offset + mark;
    const usual =
      begins +
      sign +
      node.prop.length +
      (node.raws.between ?? ':').length +
      (said.length - said.trimStart().length);
    // Of what is not closed the parser has made something of its own: it is looked for, or left out.
    const from = css.startsWith(text, usual) ? usual : css.indexOf(text, begins);
    if (from < 0) return;
    declarations.push({
      ...{ file, line: start.line, column: start.column, selector, within },
      property: node.prop.startsWith('--') ? node.prop : node.prop.toLowerCase(),
      value: text,
      isImportant: node.important === true,
      from,
      to: from + text.length,
    });
  };
  const inAtRule = (
    node: AtRule,
    selector: string,
    within: readonly string[],
    depth: number,
  ): void => {
    const name = node.name.toLowerCase();
    const prelude = spaced(node.params);
    const line = node.source?.start?.line ?? 1;
    if (name === 'import') {
      imports.push(/^(?:url\()?\s*["']?([^"')]*)/.exec(prelude)?.[1] ?? prelude);
      return;
    }
    if (name === 'layer') {
      const around = within.flatMap((one) => /^@layer (.+)$/i.exec(one)?.[1] ?? []);
      for (const own of prelude.split(',')) layers.push([...around, own.trim()].join('.'));
      if (!node.nodes) return;
    }
    if (name === 'media') media.push({ condition: prelude, line });
    if (name === 'font-face')
      node.each((one) => {
        if (one.type === 'decl' && one.prop.toLowerCase() === 'font-family')
          families.push(firstFamily(one.value));
      });
    // What moves is told by its keyframes, which are no elements.
    if (NO_RULES.test(name) || KEYFRAMES.test(name)) return;
    inBlock(node, selector, [...within, `@${name} ${prelude}`.trim()], depth + 1);
  };
  const inBlock = (
    block: Container,
    selector: string,
    within: readonly string[],
    depth: number,
  ): void => {
    if (depth > DEEPEST) {
      const line = block.source?.start?.line ?? 1;
      problems.push({ file, line, message: 'It stands too deep in other rules.' });
      return;
    }
    block.each((node) => {
      if (node.type === 'decl') {
        if (selector !== '') declared(node, selector, within);
      } else if (node.type === 'rule')
        inBlock(node, nestedIn(selector, spaced(node.selector)), within, depth + 1);
      else if (node.type === 'atrule') inAtRule(node, selector, within, depth);
    });
  };
  inBlock(sheet, '', [], 0);
  return { file, declarations, media, imports, layers, families: [...new Set(families)], problems };
}

const spaced = (text: string): string => text.replaceAll(/\s+/g, ' ').trim();

/** The sheet as a tree: as it is, or what can be made of it where something in it is not closed. */
function rootOf(css: string, onProblem: (line: number, message: string) => void): Root {
  try {
    return postcss.parse(css);
  } catch (error) {
    if (!(error instanceof CssSyntaxError)) throw error;
    onProblem(error.line ?? 1, `${error.reason}.`);
    return safeParse(css) as Root;
  }
}
