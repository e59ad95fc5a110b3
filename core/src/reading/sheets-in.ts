import { parse, type DefaultTreeAdapterTypes } from 'parse5';
import { MOST_CHARACTERS, readSheet, type ReadSheet } from './read-sheet.ts';

/** A file as it came. */
export interface ReadFile {
  readonly file: string;
  readonly text: string;
}

/** What a file holds: its sheets, told by their places in that file, and the sheets that it asks for. */
export interface SheetsOfFile {
  readonly sheets: readonly ReadSheet[];
  /** Addresses of sheets that stand elsewhere: nothing is fetched. */
  readonly linked: readonly string[];
}

export const isHtml = ({ file }: Pick<ReadFile, 'file'>): boolean => /\.x?html?$/i.test(file);

type Node = DefaultTreeAdapterTypes.Node;
type Element = DefaultTreeAdapterTypes.Element;

/** Every element of a page in its order; whoever stands deep in others is found as well. */
export function elementsIn(root: Node): readonly Element[] {
  const found: Element[] = [];
  const waiting: Node[] = [root];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if ('tagName' in next) found.push(next);
    if ('childNodes' in next)
      for (let at = next.childNodes.length - 1; at >= 0; at -= 1) {
        const child = next.childNodes[at];
        if (child) waiting.push(child);
      }
    // What stands in a template is no part of the page until somebody puts it there.
  }
  return found;
}

/** A sheet that begins somewhere in a file, its places told from the beginning of that file. */
function shifted(
  sheet: ReadSheet,
  { offset, line, column }: { offset: number; line: number; column: number },
): ReadSheet {
  const moved = (at: { line: number; column: number }) => ({
    line: at.line + line - 1,
    column: at.line === 1 ? at.column + column - 1 : at.column,
  });
  return {
    ...sheet,
    declarations: sheet.declarations.map((one) => ({
      ...one,
      ...moved(one),
      from: one.from + offset,
      to: one.to + offset,
    })),
    media: sheet.media.map((one) => ({ ...one, line: one.line + line - 1 })),
    problems: sheet.problems.map((one) => ({ ...one, line: one.line + line - 1 })),
  };
}

/** The style of one element, as it stands in its attribute. */
function ofAttribute({ file, text }: ReadFile, element: Element): readonly ReadSheet[] {
  const at = element.sourceCodeLocation?.attrs?.['style'];
  if (!at) return [];
  const said = text.slice(at.startOffset, at.endOffset);
  const found = /^style\s*=\s*(?:"([^"]*)"|'([^']*)'|([^\s"']+))$/i.exec(said);
  const css = found?.[1] ?? found?.[2] ?? found?.[3];
  // What stands there in other signs than its own cannot be written back.
  if (css === undefined || css.includes('&')) return [];
  const isQuoted = /["']$/.test(said);
  const offset = at.endOffset - (isQuoted ? 1 : 0) - css.length;
  const before = text.slice(at.startOffset, offset);
  const lines = before.split('\n');
  const column = lines.length === 1 ? at.startCol + before.length : (lines.at(-1) ?? '').length + 1;
  const open = `${element.tagName}[style]{`;
  const sheet = readSheet(`${open}${css}}`, file);
  return [
    shifted(sheet, {
      offset: offset - open.length,
      line: at.startLine + lines.length - 1,
      column: column - open.length,
    }),
  ];
}

/**
 * The style sheets in a file: a sheet itself, or those of a page of HTML with the styles of its elements. Every place is
 * told from the beginning of the file, so that it can be written back there.
 */
export function sheetsIn(read: ReadFile): SheetsOfFile {
  if (!isHtml(read)) {
    const sheet = readSheet(read.text, read.file);
    return { sheets: [sheet], linked: sheet.imports };
  }
  const { file, text } = read;
  if (text.length > MOST_CHARACTERS) return { sheets: [readSheet(text, file)], linked: [] };
  const sheets: ReadSheet[] = [];
  const linked: string[] = [];
  for (const element of elementsIn(parse(text, { sourceCodeLocationInfo: true }))) {
    const { tagName, attrs, childNodes } = element;
    const of = (name: string): string | undefined => attrs.find((one) => one.name === name)?.value;
    const isSheet = (of('rel') ?? '').toLowerCase().split(/\s+/).includes('stylesheet');
    const href = of('href');
    if (tagName === 'link' && isSheet && href !== undefined) linked.push(href);
    const [inside] = childNodes;
    const at = inside?.sourceCodeLocation;
    if (tagName === 'style' && at) {
      const sheet = readSheet(text.slice(at.startOffset, at.endOffset), file);
      const start = { offset: at.startOffset, line: at.startLine, column: at.startCol };
      sheets.push(shifted(sheet, start));
      linked.push(...sheet.imports);
    }
    sheets.push(...ofAttribute(read, element));
  }
  return { sheets, linked };
}
