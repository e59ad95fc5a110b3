/** An element of a proof page; what it needs beyond HTML is where it comes from. */
export interface ProofElement {
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly ProofNode[];
  /** Its content as SVG markup, sanitized before it is shown. */
  readonly svg?: string;
  /** The decision that a click leads to (a JSON Pointer). */
  readonly decision?: string;
  /** Where the section that it begins stands in the document. */
  readonly place?: string;
  /** The text role that it is set in, by id. */
  readonly role?: string;
  /** Where its words stand in the document, for an element that holds nothing but them. */
  readonly content?: string;
}

export type ProofNode = ProofElement | string;

export const element = (
  tag: string,
  attributes: Readonly<Record<string, string>>,
  ...children: readonly ProofNode[]
): ProofElement => ({ tag, attributes, children });

/** The classes of an element and of all that is in it. */
export function* classesIn(node: ProofNode): Generator<string> {
  if (typeof node === 'string') return;
  yield* node.attributes['class']?.split(' ') ?? [];
  for (const child of node.children) yield* classesIn(child);
}

/** The words of an element as they are read, those of each element apart from the next by a space. */
export const wordsIn = (node: ProofNode): string =>
  (typeof node === 'string' ? node : node.children.map(wordsIn).join(' '))
    .replaceAll(/\s+/g, ' ')
    .trim();

/** Words in HTML, or in XML. */
export const escaped = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');

/** Elements that hold nothing and are not closed. Source: HTML, void elements. */
const VOID: ReadonlySet<string> = new Set(['br', 'hr', 'img', 'input']);

/**
 * The page as HTML; every word and attribute value is escaped, and SVG goes through `safe`, which takes out
 * of it whatever could act or load. Addressed, words say where in the document they stand: never for an export.
 */
export function writeHtml(
  node: ProofNode,
  safe: (svg: string) => string,
  isAddressed = false,
): string {
  if (typeof node === 'string') return escaped(node);
  const attributes = Object.entries(node.attributes)
    .map(([name, value]) => ` ${name}="${escaped(value)}"`)
    .join('');
  const address =
    isAddressed && node.content !== undefined ? ` data-content="${escaped(node.content)}"` : '';
  const open = `<${node.tag}${attributes}${address}>`;
  if (VOID.has(node.tag)) return open;
  const svg = node.svg === undefined ? '' : safe(node.svg);
  return `${open}${svg}${node.children.map((child) => writeHtml(child, safe, isAddressed)).join('')}</${node.tag}>`;
}
