import type { Derived } from '../../derive/derived.ts';
import type { StyleDocument } from '../../system/document.ts';
import type { Finding } from '../finding.ts';

export type Sides = readonly [top: number, right: number, bottom: number, left: number];

/** A box of the page as the browser laid it out; lengths in CSS px, places from the page’s corner. */
export interface MeasuredBox {
  /** The index of the box around it; −1 for the outermost. */
  readonly parent: number;
  /** Its place among the children of its parent, from 1. */
  readonly child: number;
  readonly tag: string;
  readonly classes: readonly string[];
  readonly display: string;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly padding: Sides;
  readonly margin: Sides;
  readonly border: Sides;
  /** 0 where there is none. */
  readonly rowGap: number;
  readonly columnGap: number;
  readonly fontPx: number;
  /** Its own words, shortened; empty where its children have them all. */
  readonly text: string;
  /** How wide and high its own words are. */
  readonly textWidth: number;
  readonly textHeight: number;
  /** How much wider what is in it is than itself, without what it scrolls. */
  readonly overflowPx: number;
  /** Whether it can be pressed. */
  readonly isTarget: boolean;
  /** Whether an edge or a ground of its own is seen. */
  readonly isSeen: boolean;
  /** Whether it scrolls sideways by itself. */
  readonly scrolls: boolean;
  /** Out of the flow: nothing beside it keeps its distance. */
  readonly isOut: boolean;
  /** The picture that it is, with its own size in px; none where absent. */
  readonly picture?: { readonly file: string; readonly width: number; readonly height: number };
}

/**
 * What is done to a page to see whether it holds: labels a third longer, as other languages have them; written from
 * right to left; spaced as a reader may; with text twice as large.
 */
export const STRESSES = ['longer', 'right to left', 'spaced', 'twice as large'] as const;
export type Stress = (typeof STRESSES)[number];

/** A page at one width of the screen. */
export interface MeasuredPage {
  readonly stress?: Stress;
  /** Whether it is every component beside each other and not a page of the site. */
  readonly isSheet?: true;
  /** Which page of the site it is, by id. */
  readonly page?: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly rootPx: number;
  readonly boxes: readonly MeasuredBox[];
}

/** A page with the system that made it. */
export interface Measurement {
  readonly page: MeasuredPage;
  readonly document: StyleDocument;
  readonly derived: Derived;
  /** The boxes inside each box, by index. */
  readonly children: readonly (readonly number[])[];
}

/** A check of the page as it is laid out. */
export type PageCheck = (measurement: Measurement) => readonly Finding[];

export const rightOf = ({ left, width }: MeasuredBox): number => left + width;
/** What is left of the width of a box inside its edges and paddings. */
export const contentWidth = ({ width, padding, border }: MeasuredBox): number =>
  width - padding[1] - padding[3] - border[1] - border[3];
export const bottomOf = ({ top, height }: MeasuredBox): number => top + height;

/** The way to a box from the page’s outermost one, in any frame that shows the same page. */
export function selectorOf({ boxes, isSheet }: MeasuredPage, index: number): string {
  // Among all components one is found by its class.
  const [own] = boxes[index]?.classes ?? [];
  if (isSheet && own !== undefined) return `.${own}`;
  const steps: string[] = [];
  for (let at = index; at >= 0;) {
    const box = boxes[at];
    if (!box) break;
    steps.unshift(box.parent < 0 ? '.site' : `${box.tag}:nth-child(${box.child})`);
    at = box.parent;
  }
  return steps.join(' > ');
}

/** A box in words: its first class, or what it says, or its tag. */
export function nameOf({ classes, text, tag }: MeasuredBox): string {
  const own = classes.find((name) => !/^(on|type|span|width|raise|grid|wash|fill)-?/.test(name));
  if (own !== undefined) return own.replaceAll('-', ' ');
  return text === '' ? tag : `“${text}”`;
}

/** The boxes around a box, from the nearest out. */
export function* around(boxes: readonly MeasuredBox[], index: number): Generator<MeasuredBox> {
  let box = boxes[boxes[index]?.parent ?? -1];
  while (box) {
    yield box;
    box = boxes[box.parent];
  }
}

export const childrenOf = (boxes: readonly MeasuredBox[]): readonly (readonly number[])[] => {
  const children: number[][] = boxes.map(() => []);
  boxes.forEach(({ parent, isOut }, index) => {
    if (!isOut) children[parent]?.push(index);
  });
  return children;
};

/** Distances between neighbors that follow each other in a direction; none where they lie beside each other. */
export interface Gap {
  readonly before: number;
  readonly after: number;
  readonly px: number;
}

/** The gaps between the children of a box: below each other, or beside each other in one row. */
export function gapsIn(
  { page: { boxes }, children }: Pick<Measurement, 'page' | 'children'>,
  index: number,
  axis: 'block' | 'inline',
): readonly Gap[] {
  const own = (children[index] ?? []).filter((child) => {
    const box = boxes[child];
    return box !== undefined && box.width > 0 && box.height > 0 && box.display !== 'inline';
  });
  const gaps: Gap[] = [];
  for (const [at, after] of own.slice(1).entries()) {
    const before = own[at];
    const [one, two] = [boxes[before ?? -1], boxes[after]];
    if (before === undefined || !one || !two) continue;
    const below = two.top - bottomOf(one);
    const beside = two.left - rightOf(one);
    const px = axis === 'block' ? below : beside;
    const across = axis === 'block' ? beside : below;
    // What lies beside is not below, and the other way round.
    if (px > -0.5 && across < 0) gaps.push({ before, after, px: Math.max(0, px) });
  }
  return gaps;
}
