import { parse, type CssNode } from 'css-tree';
import { parseTransparentColor } from '../color/parse-color.ts';
import type { ReadDeclaration } from './read-sheet.ts';

/** What a value decides. */
export const VALUE_KINDS = [
  'color',
  'face',
  'size',
  'weight',
  'line height',
  'letter spacing',
  'space',
  'corner',
  'edge',
  'shadow',
  'duration',
  'easing',
] as const;
export type ValueKind = (typeof VALUE_KINDS)[number];

/** A part of a declaration that decides one thing. */
export interface ValuePart {
  readonly kind: ValueKind;
  /** As it is written. */
  readonly text: string;
  /** Where it begins and ends in the value of the declaration. */
  readonly from: number;
  readonly to: number;
}

/** What the properties of one value decide. Sources: the property definitions of the CSS modules that they are of. */
const BY_PROPERTY: readonly (readonly [properties: RegExp, kind: ValueKind])[] = [
  [/^font-family$/, 'face'],
  [/^font-size$/, 'size'],
  [/^font-weight$/, 'weight'],
  [/^line-height$/, 'line height'],
  [/^letter-spacing$/, 'letter spacing'],
  [/^(?:margin|padding|scroll-(?:margin|padding))(?:-|$)|^(?:row-|column-|grid-)*gap$/, 'space'],
  [/^border(?:-[a-z]+-[a-z]+)?-radius$/, 'corner'],
  [/^(?:border|outline)(?:-[a-z]+)*-width$/, 'edge'],
  [/^box-shadow$/, 'shadow'],
  [/^(?:transition|animation)-(?:duration|delay)$/, 'duration'],
  [/^(?:transition|animation)-timing-function$/, 'easing'],
];

/** Properties in which words may be names of colors. */
const COLORED =
  /(?:^|-)(?:color|background|border|outline|fill|stroke|shadow|decoration|rule|emphasis)(?:-|$)|^(?:background-image|border-(?:top|right|bottom|left)|column-rule|--.*)$/;
const COLOR_FUNCTION = /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix|light-dark)$/i;
/** Words that are no value of one’s own. Source: CSS Cascade 5, 7; CSS Color 4, 6.2 and 15.4. */
const NOTHING_OF_ITS_OWN =
  /^(?:inherit|initial|unset|revert|revert-layer|none|auto|normal|transparent|currentcolor|0|0px|0s|0ms|100%|-?0(?:\.0+)?[a-z%]*)$/i;

const partOf = (kind: ValueKind, value: string, from: number, to: number): ValuePart => ({
  kind,
  text: value.slice(from, to),
  from,
  to,
});

/** A shorthand: which of its parts decide something. Sources: CSS Backgrounds 3, border; CSS Transitions 1, transition. */
const SHORT: readonly (readonly [properties: RegExp, kinds: readonly ValueKind[]])[] = [
  [
    /^(?:border|outline|column-rule)(?:-(?:top|right|bottom|left|block|inline)(?:-(?:start|end))?)?$/,
    ['edge'],
  ],
  [/^(?:transition|animation)$/, ['duration', 'easing']],
];
const EASING_WORD = /^(?:linear|ease|ease-in|ease-out|ease-in-out)$/i;

/** What a part of a shorthand decides; nothing where it is told by another name, or is a color. */
function kindInShort(node: CssNode, kinds: readonly ValueKind[]): ValueKind | undefined {
  if (node.type === 'Dimension') {
    const kind = /^m?s$/i.test(node.unit) ? 'duration' : 'edge';
    return kinds.find((one) => one === kind);
  }
  const isEasing =
    (node.type === 'Function' && /^(?:cubic-bezier|linear)$/i.test(node.name)) ||
    (node.type === 'Identifier' && EASING_WORD.test(node.name));
  return isEasing ? kinds.find((one) => one === 'easing') : undefined;
}

/** Everything in a value, down to what stands in functions. */
function* nodesIn(node: CssNode): Generator<CssNode> {
  yield node;
  if (!('children' in node) || !node.children) return;
  for (const child of node.children.toArray()) yield* nodesIn(child);
}

const knownWords = new Map<string, boolean>();

/** Whether a word is the name of a color; looked up once, as long as there are not too many words. */
function isColorName(word: string): boolean {
  const known = knownWords.get(word);
  if (known !== undefined) return known;
  const isColor = !NOTHING_OF_ITS_OWN.test(word) && parseTransparentColor(word).ok;
  if (knownWords.size < 5000) knownWords.set(word, isColor);
  return isColor;
}

/** The colors of a value, the outermost of those that stand in each other. */
function colorsIn(value: string, tree: CssNode, property: string): readonly ValuePart[] {
  const found: ValuePart[] = [];
  const isColored = COLORED.test(property);
  let end = -1;
  for (const node of nodesIn(tree)) {
    const from = node.loc?.start.offset ?? -1;
    const to = node.loc?.end.offset ?? -1;
    if (from < 0 || from < end) continue;
    const isColor =
      node.type === 'Hash' ||
      (node.type === 'Function' && COLOR_FUNCTION.test(node.name)) ||
      // What a custom property holds is known where it is filled in.
      (node.type === 'Function' && isColored && node.name.toLowerCase() === 'var') ||
      (node.type === 'Identifier' && isColored && isColorName(node.name));
    if (!isColor) continue;
    found.push(partOf('color', value, from, to));
    end = to;
  }
  return found;
}

const MOST_LONG = 20_000;
/** Kinds whose value is a list of lengths, each of which decides something. */
const IN_PARTS: ReadonlySet<ValueKind> = new Set(['space', 'corner', 'edge', 'duration']);

/** Kinds of which the value is one thing, in which no color stands. */
const PLAIN: ReadonlySet<ValueKind> = new Set([
  'face',
  'size',
  'weight',
  'line height',
  'letter spacing',
]);

/** The parts of a list of values, by spaces, commas and slashes outside of functions. */
function listed(value: string, tree: CssNode, kind: ValueKind): readonly ValuePart[] {
  if (tree.type !== 'Value') return [];
  return tree.children.toArray().flatMap((node): readonly ValuePart[] => {
    const { loc } = node;
    if (!loc || node.type === 'Operator' || node.type === 'WhiteSpace') return [];
    return [partOf(kind, value, loc.start.offset, loc.end.offset)];
  });
}

/** The parts of a shorthand that decide something. */
function inShort(value: string, tree: CssNode, kinds: readonly ValueKind[]): readonly ValuePart[] {
  if (tree.type !== 'Value') return [];
  return tree.children.toArray().flatMap((node): readonly ValuePart[] => {
    const kind = kindInShort(node, kinds);
    return kind === undefined || !node.loc
      ? []
      : [partOf(kind, value, node.loc.start.offset, node.loc.end.offset)];
  });
}

const WEIGHT_WORD = /^(?:bold|bolder|lighter)$/i;

/** What the shorthand `font` decides. Source: CSS Fonts 4, 2.8: what stands before the size, the size, what follows. */
function inFont(value: string, tree: CssNode): readonly ValuePart[] {
  if (tree.type !== 'Value') return [];
  const nodes = tree.children.toArray().filter(({ type }) => type !== 'WhiteSpace');
  const at = nodes.findIndex(
    ({ type }) => type === 'Dimension' || type === 'Percentage' || type === 'Function',
  );
  const size = nodes[at];
  if (!size?.loc) return []; // a word for all of it, or nothing that has a size
  const found: ValuePart[] = [];
  const add = (kind: ValueKind, { loc }: CssNode): void => {
    if (loc) found.push(partOf(kind, value, loc.start.offset, loc.end.offset));
  };
  for (const node of nodes.slice(0, at))
    if (node.type === 'Number' || (node.type === 'Identifier' && WEIGHT_WORD.test(node.name)))
      add('weight', node);
  add('size', size);
  const [slash, lines] = nodes.slice(at + 1);
  const isTall = slash?.type === 'Operator' && slash.value === '/' && lines !== undefined;
  if (isTall) add('line height', lines);
  const family = nodes[at + (isTall ? 3 : 1)]?.loc?.start.offset;
  if (family !== undefined) found.push(partOf('face', value, family, value.length));
  return found;
}

/**
 * What a declaration decides: its colors, wherever they stand, and what its property is for. Words that stand for
 * nothing of their own (`inherit`, `none`, zero) are left out.
 */
export function partsOfDeclaration({
  property,
  value,
}: Pick<ReadDeclaration, 'property' | 'value'>): readonly ValuePart[] {
  if (value === '' || value.length > MOST_LONG) return [];
  const kind = BY_PROPERTY.find(([properties]) => properties.test(property))?.[1];
  // Where no color can be and nothing is a list, there is nothing to be taken apart.
  if (kind !== undefined && PLAIN.has(kind) && !/[#(]/.test(value))
    return NOTHING_OF_ITS_OWN.test(value) ? [] : [partOf(kind, value, 0, value.length)];
  const short = SHORT.find(([properties]) => properties.test(property))?.[1];
  const mayHoldColor = /#|\(/.test(value) || COLORED.test(property);
  if (kind === undefined && short === undefined && property !== 'font' && !mayHoldColor) return [];
  let tree: CssNode;
  try {
    tree = parse(value, { context: 'value', positions: true });
  } catch {
    return [];
  }
  const isWhole = kind !== undefined && !IN_PARTS.has(kind);
  const own =
    property === 'font'
      ? inFont(value, tree)
      : kind === undefined
        ? inShort(value, tree, short ?? [])
        : isWhole
          ? [partOf(kind, value, 0, value.length)]
          : listed(value, tree, kind);
  // A shadow is one thing: its colors are told with it.
  const colors = kind === 'shadow' ? [] : colorsIn(value, tree, property);
  return [...own, ...colors].filter(({ text }) => !NOTHING_OF_ITS_OWN.test(text.trim()));
}
