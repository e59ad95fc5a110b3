import type { Outline, Scene, Thing } from '@garnish/core/drawings/scene';
import { rowsOf } from '@garnish/core/drawings/behavior';
import type { Derived } from '@garnish/core/derive/derived';
import { factsOf, type FactUnit } from '@garnish/core/measures/facts';
import type { Box } from '@garnish/core/measures/geometry';
import type { OfSides } from '@garnish/core/measures/sides';
import { edgeOf, gapsOf, hasWords, nameOf, readingOf, roomOf } from '../chosen.ts';

/** A size that something has whatever stands in it. */
const FIXED = /^(?:width|height|inline-size|block-size)$/;
const FOLLOWING = /%|auto|content|stretch|fr\b|cq|vw|vi\b/;

const isShown = (element: Element, page: Document): boolean => {
  const style = page.defaultView?.getComputedStyle(element);
  return style !== undefined && style.display !== 'none' && style.visibility !== 'hidden';
};

/** Where the words are that an element has of its own. */
function wordsOf(element: Element, page: Document): DOMRect | undefined {
  if (!hasWords(element)) return undefined;
  const range = page.createRange();
  range.selectNodeContents(element);
  return range.getBoundingClientRect();
}

/** The boxes of what stands directly in an element: its elements in the flow, and its words. */
function insideOf(element: Element, page: Document, boxOf: (rect: DOMRect) => Box): readonly Box[] {
  return [...element.childNodes].flatMap((node): readonly Box[] => {
    if (node.nodeType === 3) {
      if ((node.textContent ?? '').trim() === '') return [];
      const range = page.createRange();
      range.selectNodeContents(node);
      return [boxOf(range.getBoundingClientRect())];
    }
    if (node.nodeType !== 1) return [];
    const child = node as Element;
    const position = page.defaultView?.getComputedStyle(child).position;
    if (position === 'absolute' || position === 'fixed' || !isShown(child, page)) return [];
    return [boxOf(child.getBoundingClientRect())];
  });
}

/** The same of each side. */
const each = <One, Other>(
  [top, right, bottom, left]: OfSides<One>,
  of: (side: One) => Other,
): OfSides<Other> => [of(top), of(right), of(bottom), of(left)];

/** What stands in an element, each with its place by names; of a drawing only itself. */
function* elementsIn(
  root: Element,
  place: string,
): Generator<readonly [element: Element, place: string]> {
  yield [root, place];
  if (root.localName === 'svg') return;
  const counts = new Map<string, number>();
  for (const child of root.children) {
    const name = nameOf(child);
    const count = (counts.get(name) ?? 0) + 1;
    counts.set(name, count);
    yield* elementsIn(child, `${place}/${name}${count === 1 ? '' : ` ${count}`}`);
  }
}

const inFrame =
  (corner: DOMRect) =>
  ({ left, top, width, height }: DOMRect): Box => ({
    left: left - corner.left,
    top: top - corner.top,
    width,
    height,
  });

/** What of a component stands where, as the browser has laid it out. */
export function outlineOf(root: Element): Outline {
  const page = root.ownerDocument;
  const boxOf = inFrame(root.getBoundingClientRect());
  const things = [...elementsIn(root, nameOf(root))].flatMap(([element, place]) =>
    isShown(element, page)
      ? [
          {
            place,
            name: nameOf(element),
            box: boxOf(element.getBoundingClientRect()),
            inside: insideOf(element, page, boxOf),
          },
        ]
      : [],
  );
  return { things };
}

/** In how many rows stands what is in each thing, by its place. */
export const rowsIn = ({ things }: Outline): ReadonlyMap<string, number> =>
  new Map(things.map((thing) => [thing.place, rowsOf(thing)]));

/**
 * A component as the browser has laid it out, with every length that is measured and the tokens that make it.
 * @param root the component; the corner of the scene is that of its box
 */
export function sceneOf(
  root: Element,
  derived: Pick<Derived, 'rules' | 'tokens'>,
  unit: FactUnit,
): Scene {
  const page = root.ownerDocument;
  const corner = root.getBoundingClientRect();
  const reading = readingOf(page, derived);
  const boxOf = inFrame(corner);
  const things = [...elementsIn(root, nameOf(root))].flatMap(([element, place]): Thing[] => {
    const style = page.defaultView?.getComputedStyle(element);
    if (!style || !isShown(element, page)) return [];
    const of = (property: string): string => style.getPropertyValue(property);
    const declared = reading.declared(element);
    const tokensOf = reading.tokensBehind(element);
    const [inset, margin] = [
      roomOf(element, 'padding', reading),
      roomOf(element, 'margin', reading),
    ];
    const words = wordsOf(element, page);
    const { row, column } = gapsOf(element, reading);
    return [
      {
        place,
        name: nameOf(element),
        box: boxOf(element.getBoundingClientRect()),
        inset: each(inset, ({ px }) => px),
        edge: edgeOf(element),
        margin: each(margin, ({ px }) => px),
        gap: { row: row.px, column: column.px },
        tokens: {
          inset: each(inset, ({ tokens }) => tokens),
          margin: each(margin, ({ tokens }) => tokens),
          gap: { row: row.tokens, column: column.tokens },
        },
        isFixed: [...declared].some(
          ([property, value]) => FIXED.test(property) && !FOLLOWING.test(value),
        ),
        inside: insideOf(element, page, boxOf),
        ...(words && { words: boxOf(words) }),
        facts: factsOf({
          computed: of,
          declared,
          tokensOf,
          unit,
          hasWords: hasWords(element),
        }),
      },
    ];
  });
  return { width: corner.width, height: corner.height, things };
}
