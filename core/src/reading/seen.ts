import { contrastRatio, neededContrast } from '../color/contrast.ts';
import { parseTransparentColor } from '../color/parse-color.ts';
import type { Hex } from '../color/srgb.ts';
import { flattened, transparentCss } from '../color/transparent.ts';
import { sizeWords, type Box } from '../measures/geometry.ts';

/** An element of a page as a browser shows it: lengths in px, everything else as it is computed. */
export interface SeenElement {
  /** What it is, in words: its name in HTML with its first class. */
  readonly name: string;
  readonly box: Box;
  /** How many signs of its own it shows. */
  readonly signs: number;
  readonly isLink: boolean;
  readonly color: string;
  /** The grounds behind its words, its own first, down to the first that nothing shines through. */
  readonly grounds: readonly string[];
  /** Whether a picture or a gradient lies among them, so that no color can be told. */
  readonly isOverPicture: boolean;
  readonly face: string;
  readonly sizePx: number;
  readonly weight: number;
  /** In px; nothing where it follows the face. */
  readonly lineHeightPx: number | undefined;
  readonly letterSpacingPx: number;
  readonly margin: readonly number[];
  readonly padding: readonly number[];
  readonly gap: readonly number[];
  readonly corners: readonly number[];
  /** The widths and the colors of its edges, those that are drawn. */
  readonly edges: readonly { readonly px: number; readonly color: string }[];
  readonly shadow: string;
  readonly picture: string;
  readonly durations: readonly string[];
  readonly easings: readonly string[];
  readonly maxWidthPx: number | undefined;
  /** Of an `img`: whether the page says how large it is before it has come. Nothing for anything else. */
  readonly hasRoom: boolean | undefined;
  readonly isDrawing: boolean;
  /** Which heading it is, from 1 to 6; nothing for anything else. */
  readonly level: number | undefined;
  /** Whether the first of the grounds is its own. */
  readonly hasOwnGround: boolean;
  /** What one does with it, as its place in HTML says. */
  readonly acts: 'button' | 'link' | 'field' | 'navigation' | undefined;
}

/** What is found on a page, in the order in which it is told. */
export const SEEN_KINDS = [
  'ground',
  'text color',
  'link color',
  'line color',
  'text style',
  'face',
  'space',
  'width',
  'corner',
  'shadow',
  'gradient',
  'duration',
  'easing',
  'button',
  'field',
  'card',
  'navigation',
] as const;
export type SeenKind = (typeof SEEN_KINDS)[number];

/** A value as it stands on a page. */
export interface SeenValue {
  readonly value: string;
  /** How many elements have it. */
  readonly count: number;
  /** How much of all that is shown they cover, 0 to 1; of words their own area. */
  readonly area: number;
  /** The elements, by their places in the list. */
  readonly places: readonly number[];
}

/** Words that are too faint for what is behind them. */
export interface FaintWords {
  readonly place: number;
  readonly ratio: number;
  readonly needed: number;
  readonly color: Hex;
  readonly ground: Hex;
}

/** Two text styles that differ by one thing, and that by little: probably they were meant to be one. */
export interface NearStyles {
  /** As they are told in the list of styles, the one that covers more first. */
  readonly styles: readonly [string, string];
  /** What differs. */
  readonly by: 'size' | 'line height' | 'weight' | 'spacing';
  /** Where the second one stands. */
  readonly places: readonly number[];
}

/** Everything that is told of a page. */
export interface SeenPage {
  readonly kinds: readonly { readonly kind: SeenKind; readonly values: readonly SeenValue[] }[];
  readonly faint: readonly FaintWords[];
  /** Words of which the contrast cannot be told, because a picture is behind them. */
  readonly unjudged: readonly number[];
  /** Text styles that differ by one thing. */
  readonly nearStyles: readonly NearStyles[];
  /** Pictures that move what is below them when they come. */
  readonly withoutRoom: readonly number[];
  readonly elements: number;
  readonly words: number;
  readonly pictures: number;
  readonly drawings: number;
}

/** How opaque a color is, from 0 to 1; what cannot be read hides what is behind it, whatever it is. */
export function opacityOf(css: string): number {
  const read = parseTransparentColor(css);
  return read.ok ? read.alpha : 1;
}

/** A color as it is told: as hexadecimal digits, with its share where something shines through. */
export function colorWords(css: string): string | undefined {
  const read = parseTransparentColor(css);
  if (!read.ok || read.alpha === 0) return undefined;
  return read.alpha === 1 ? read.hex : transparentCss(read.hex, read.alpha);
}

/** The color that is seen where grounds lie over each other, the first on top; white is behind all. */
export function groundSeen(grounds: readonly string[]): Hex | undefined {
  let seen: Hex = '#ffffff';
  for (const ground of grounds.toReversed()) {
    const read = parseTransparentColor(ground);
    if (!read.ok) return undefined;
    seen = flattened(read.hex, read.alpha, seen);
  }
  return seen;
}

const areaOf = ({ width, height }: Box): number => Math.max(0, width) * Math.max(0, height);

/** About how much its own words cover: half of a square of the size for each sign. Common practice. */
export const wordsArea = ({ signs, sizePx }: SeenElement): number => signs * sizePx * sizePx * 0.5;

/** A color that nothing shines through; nothing for any other. */
export const opaqueOf = (css: string | undefined): Hex | undefined => {
  const read = parseTransparentColor(css ?? '');
  return read.ok && read.alpha === 1 ? read.hex : undefined;
};

/** A color in a gradient as browsers compute it. Source: CSS Color 4, 15. */
const FIRST_COLOR = /#[\da-f]{3,8}\b|(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]*\)/i;

/** The ground of something by itself; of a gradient what it begins with; nothing where there is a picture. */
export function ownGround({ picture, hasOwnGround, grounds }: SeenElement): Hex | undefined {
  if (picture !== '')
    return picture.includes('url(') ? undefined : opaqueOf(FIRST_COLOR.exec(picture)?.[0]);
  return hasOwnGround ? opaqueOf(grounds[0]) : undefined;
}

/** What weighs most among some. */
export function mostWeighted<Value>(
  found: readonly (readonly [Value, number])[],
): Value | undefined {
  const sums = new Map<Value, number>();
  for (const [value, weight] of found) sums.set(value, (sums.get(value) ?? 0) + weight);
  return [...sums].toSorted(([, one], [, other]) => other - one)[0]?.[0];
}

const runningWords = (seen: readonly SeenElement[]): readonly SeenElement[] =>
  seen.filter((one) => one.signs > 0 && one.level === undefined && !one.isLink);

/** The size that most running words are set in, in px; nothing where there are none. */
export const runningSize = (seen: readonly SeenElement[]): number | undefined =>
  mostWeighted(runningWords(seen).map((one) => [one.sizePx, wordsArea(one)] as const));

/** The faces of a page as they are called, with their weights: of most running words, and of the highest heading. */
export function facesSeen(seen: readonly SeenElement[]): {
  readonly text: string | undefined;
  readonly heading: { readonly face: string; readonly weight: number } | undefined;
} {
  const [heading] = seen
    .filter(({ level, signs }) => level !== undefined && signs > 0)
    .toSorted((one, other) => (one.level ?? 0) - (other.level ?? 0));
  return {
    text: mostWeighted(runningWords(seen).map((one) => [one.face, wordsArea(one)] as const)),
    heading,
  };
}

const px = (value: number): string => `${sizeWords(value)} px`;

/** A text style in one line: face, size, line height, weight and spacing. */
const styleWords = (one: SeenElement): string =>
  [
    `${sizeWords(one.sizePx)}${one.lineHeightPx === undefined ? '' : `/${sizeWords(one.lineHeightPx)}`}`,
    one.face,
    String(one.weight),
    ...(one.letterSpacingPx === 0 ? [] : [`${sizeWords(one.letterSpacingPx)} px apart`]),
  ].join(' ');

/** How a component looks: its ground, edge, corner and words. Two that look alike are of one variant. */
const lookOf = (one: SeenElement): string =>
  [
    one.hasOwnGround && one.grounds[0] !== undefined ? colorWords(one.grounds[0]) : undefined,
    one.picture === '' ? undefined : 'a picture behind it',
    ...one.edges.slice(0, 1).map((edge) => `edge ${px(edge.px)} ${colorWords(edge.color) ?? ''}`),
    one.corners.some((corner) => corner > 0) ? `corner ${px(Math.max(...one.corners))}` : undefined,
    one.shadow === '' ? undefined : 'a shadow',
    // Words may stand in something within.
    one.signs > 0 || one.acts === 'button'
      ? `words ${colorWords(one.color) ?? ''} ${sizeWords(one.sizePx)}`
      : undefined,
  ]
    .filter((words) => words !== undefined)
    .join(', ') || 'nothing around it';

const LEAST_PADDING_PX = 4;
/** A link that is higher is a card that leads on. Common practice. */
const HIGHEST_BUTTON_PX = 96;
/** A card holds something; what is smaller is a label or a mark. Common practice. */
const LEAST_CARD = { width: 120, height: 64 } as const;

/** The component that something is, by what one does with it and by how it looks; nothing for anything else. */
export function componentOf(
  one: SeenElement,
): 'button' | 'field' | 'card' | 'navigation' | undefined {
  const isBoxed = one.hasOwnGround || one.edges.length >= 2 || one.picture !== '';
  const isPadded = Math.max(...one.padding) >= LEAST_PADDING_PX;
  switch (one.acts) {
    case 'button':
    case 'field':
    case 'navigation':
      return one.acts;
    case 'link':
      // A link in a box of its own is pressed, not read.
      return isBoxed && isPadded && one.box.height <= HIGHEST_BUTTON_PX ? 'button' : undefined;
    case undefined:
      return (isBoxed || one.shadow !== '') &&
        isPadded &&
        one.box.width >= LEAST_CARD.width &&
        one.box.height >= LEAST_CARD.height
        ? 'card'
        : undefined;
  }
}

/** What an element has of each kind, with how much of the page that covers. */
function valuesOf(
  one: SeenElement,
): readonly (readonly [kind: SeenKind, value: string | undefined, area: number])[] {
  const own = areaOf(one.box);
  const said: (readonly [SeenKind, string | undefined, number])[] = [];
  const [ground] = one.grounds;
  if (ground !== undefined && one.hasOwnGround) said.push(['ground', colorWords(ground), own]);
  if (one.signs > 0) {
    const area = wordsArea(one);
    said.push(
      [one.isLink ? 'link color' : 'text color', colorWords(one.color), area],
      ['text style', styleWords(one), area],
      ['face', one.face, area],
    );
  }
  for (const edge of one.edges)
    said.push(['line color', colorWords(edge.color), edge.px * (one.box.width + one.box.height)]);
  for (const space of new Set([...one.margin, ...one.padding, ...one.gap]))
    if (space > 0) said.push(['space', px(space), space * Math.max(one.box.width, one.box.height)]);
  for (const corner of new Set(one.corners)) if (corner > 0) said.push(['corner', px(corner), own]);
  if (one.maxWidthPx !== undefined) said.push(['width', px(one.maxWidthPx), own]);
  if (one.shadow !== '') said.push(['shadow', one.shadow, own]);
  if (one.picture.includes('gradient(')) said.push(['gradient', one.picture, own]);
  for (const duration of new Set(one.durations)) said.push(['duration', duration, own]);
  for (const easing of new Set(one.easings)) said.push(['easing', easing, own]);
  const component = componentOf(one);
  if (component) said.push([component, lookOf(one), own]);
  return said;
}

/** Nearer than this two styles were probably meant to be one: px, px, steps of weight, px. Common practice. */
const NEAR_STYLE = { size: 2, 'line height': 2, weight: 100, spacing: 0.5 } as const;

/** Text styles that are the same but for one thing, which differs by little; what covers least is told with what it is near to. */
function nearStylesIn(elements: readonly SeenElement[]): readonly NearStyles[] {
  const styles = new Map<string, { one: SeenElement; area: number; places: number[] }>();
  for (const [place, one] of elements.entries()) {
    if (one.signs === 0) continue;
    const words = styleWords(one);
    const known = styles.get(words) ?? { one, area: 0, places: [] };
    styles.set(words, known);
    known.area += wordsArea(one);
    known.places.push(place);
  }
  const sorted = [...styles].toSorted(([, one], [, other]) => other.area - one.area);
  return sorted.flatMap(([words, { one, places }], index) => {
    const near = sorted
      .slice(0, index)
      .flatMap(([other, { one: known }]): readonly NearStyles[] => {
        if (
          known.face !== one.face ||
          (known.lineHeightPx === undefined) !== (one.lineHeightPx === undefined)
        )
          return [];
        const apart = {
          size: Math.abs(known.sizePx - one.sizePx),
          'line height': Math.abs((known.lineHeightPx ?? 0) - (one.lineHeightPx ?? 0)),
          weight: Math.abs(known.weight - one.weight),
          spacing: Math.abs(known.letterSpacingPx - one.letterSpacingPx),
        };
        const differing = (Object.keys(apart) as (keyof typeof apart)[]).filter(
          (by) => apart[by] > 0.01,
        );
        const [by] = differing;
        return by !== undefined && differing.length === 1 && apart[by] <= NEAR_STYLE[by]
          ? [{ styles: [other, words], by, places }]
          : [];
      });
    return near.slice(0, 1);
  });
}

/** Words that do not stand out as WCAG asks (1.4.3, AA), and those of which it cannot be told. */
function contrastIn(elements: readonly SeenElement[]): Pick<SeenPage, 'faint' | 'unjudged'> {
  const faint: FaintWords[] = [];
  const unjudged: number[] = [];
  for (const [place, one] of elements.entries()) {
    if (one.signs === 0) continue;
    const ground = one.isOverPicture ? undefined : groundSeen(one.grounds);
    const color = ground && groundSeen([one.color, ground]);
    if (ground === undefined || color === undefined) {
      unjudged.push(place);
      continue;
    }
    const needed = neededContrast(one.sizePx, one.weight, 'AA');
    const ratio = contrastRatio(color, ground);
    if (ratio < needed) faint.push({ place, ratio, needed, color, ground });
  }
  return {
    faint: faint.toSorted((one, other) => one.ratio / one.needed - other.ratio / other.needed),
    unjudged,
  };
}

/**
 * What is found on a page as a browser shows it: by kind each value with how often and on how much area it stands, the
 * largest first; words that are too faint; pictures that make the page jump.
 */
export function seenOn(elements: readonly SeenElement[]): SeenPage {
  const all = Math.max(1, ...elements.map(({ box }) => areaOf(box)));
  const kinds = new Map<SeenKind, Map<string, { area: number; places: number[] }>>();
  for (const [place, one] of elements.entries())
    for (const [kind, value, area] of valuesOf(one)) {
      if (value === undefined) continue;
      const values = kinds.get(kind) ?? new Map<string, { area: number; places: number[] }>();
      kinds.set(kind, values);
      const known = values.get(value) ?? { area: 0, places: [] };
      values.set(value, known);
      known.area += area;
      if (known.places.at(-1) !== place) known.places.push(place);
    }
  return {
    kinds: SEEN_KINDS.flatMap((kind) => {
      const values = [...(kinds.get(kind) ?? [])].filter(
        // One thing in a box is no card: cards come in numbers.
        ([, { places }]) => kind !== 'card' || places.length > 1,
      );
      if (values.length === 0) return [];
      return [
        {
          kind,
          values: values
            .map(([value, { area, places }]) => ({
              value,
              count: places.length,
              area: Math.min(1, area / all),
              places,
            }))
            .toSorted((one, other) => other.area - one.area || other.count - one.count),
        },
      ];
    }),
    ...contrastIn(elements),
    nearStyles: nearStylesIn(elements),
    withoutRoom: elements.flatMap(({ hasRoom }, place) => (hasRoom === false ? [place] : [])),
    elements: elements.length,
    words: elements.filter(({ signs }) => signs > 0).length,
    pictures: elements.filter(({ hasRoom }) => hasRoom !== undefined).length,
    drawings: elements.filter(({ isDrawing }) => isDrawing).length,
  };
}
