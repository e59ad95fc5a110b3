import { namesIn } from '../proof/made-of.ts';
import { remWords, sizeWords } from './geometry.ts';

export const FACT_UNITS = ['px', 'rem'] as const;
export type FactUnit = (typeof FACT_UNITS)[number];

/** What is told of a thing: a property in the words of the trade, its value, and the tokens that it comes from. */
export interface Fact {
  readonly what: string;
  readonly value: string;
  /** The names of the tokens. */
  readonly tokens: readonly string[];
}

/** A thing of a page as a browser has it. */
export interface FactsOf {
  /** What the browser computes of a property. */
  readonly computed: (property: string) => string;
  /** What the rules of the sheet say of it, by property. */
  readonly declared: ReadonlyMap<string, string>;
  /** The names of the tokens that stand behind a custom property, which a rule may have set for itself. */
  readonly tokensOf: (property: string) => readonly string[];
  readonly unit: FactUnit;
  /** Whether it has words of its own. */
  readonly hasWords: boolean;
}

const LENGTH = /(-?\d*\.?\d+)px/g;

/** An opaque color as browsers compute it. */
const OPAQUE = /rgb\((\d+), (\d+), (\d+)\)/g;

/** A value with its lengths in the unit that was chosen, and its opaque colors in their short form. */
const inUnit = (value: string, unit: FactUnit): string =>
  value
    .replaceAll('rgba(0, 0, 0, 0)', 'transparent')
    .replaceAll(OPAQUE, (_, ...channels: string[]) => {
      const hex = channels
        .slice(0, 3)
        .map((channel) => Number(channel).toString(16).padStart(2, '0'));
      return `#${hex.join('')}`;
    })
    .replaceAll(LENGTH, (_, number: string) =>
      unit === 'px' ? sizeWords(Number(number)) : remWords(Number(number)),
    );

/** Four sides as CSS shortens them. Source: CSS Box Model 3, the shorthand of padding. */
function sides([top = '', right = '', bottom = '', left = '']: readonly string[]): string {
  if (right !== left) return [top, right, bottom, left].join(' ');
  if (top !== bottom) return [top, right, bottom].join(' ');
  return top === right ? top : [top, right].join(' ');
}

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;

const NOTHING = /^(?:|0px|none|normal|auto|rgba\(0, 0, 0, 0\)|transparent)$/;

/** What a kind of fact is: the properties that rules say it by, and how it is read. */
interface Kind {
  readonly what: string;
  readonly by: RegExp;
  readonly read: (computed: FactsOf['computed']) => string;
}

const BOX: readonly Kind[] = [
  {
    what: 'inset',
    by: /^padding/,
    read: (of) => sides(SIDES.map((side) => of(`padding-${side}`))),
  },
  {
    what: 'gap',
    by: /^(?:row-|column-)?gap$/,
    read: (of) => {
      if (!/flex|grid/.test(of('display'))) return '';
      const [row, column] = [of('row-gap'), of('column-gap')];
      return row === column ? row : `${row} ${column}`;
    },
  },
  {
    what: 'margin',
    by: /^margin/,
    read: (of) => sides(SIDES.map((side) => of(`margin-${side}`))),
  },
  { what: 'at least high', by: /^min-(?:block-size|height)$/, read: (of) => of('min-height') },
  { what: 'at least wide', by: /^min-(?:inline-size|width)$/, read: (of) => of('min-width') },
  { what: 'at most wide', by: /^max-(?:inline-size|width)$/, read: (of) => of('max-width') },
  {
    what: 'ground',
    by: /^background(?:-color)?$/,
    read: (of) => of('background-color'),
  },
  {
    what: 'picture of the ground',
    by: /^background(?:-image)?$/,
    read: (of) => of('background-image'),
  },
  {
    what: 'edge',
    by: /^border(?!-radius)/,
    read: (of) => {
      const widths = SIDES.map((side) =>
        of(`border-${side}-style`) === 'none' ? '0px' : of(`border-${side}-width`),
      );
      const side = SIDES[widths.findIndex((width) => width !== '0px')];
      return side === undefined
        ? ''
        : `${sides(widths)} ${of(`border-${side}-style`)} ${of(`border-${side}-color`)}`;
    },
  },
  {
    what: 'corner',
    by: /^border-radius$/,
    read: (of) => sides(CORNERS.map((corner) => of(`border-${corner}-radius`))),
  },
  { what: 'level', by: /^box-shadow$/, read: (of) => of('box-shadow') },
];

const WORDS: readonly Kind[] = [
  { what: 'face', by: /^font(?:-family)?$/, read: (of) => of('font-family').split(',')[0] ?? '' },
  { what: 'size', by: /^font(?:-size)?$/, read: (of) => of('font-size') },
  { what: 'line height', by: /^(?:font|line-height)$/, read: (of) => of('line-height') },
  { what: 'weight', by: /^font(?:-weight)?$/, read: (of) => of('font-weight') },
  { what: 'letter spacing', by: /^letter-spacing$/, read: (of) => of('letter-spacing') },
  { what: 'case', by: /^text-transform$/, read: (of) => of('text-transform') },
  { what: 'color', by: /^color$/, read: (of) => of('color') },
];

/** What can be said of a thing: of its box what it has, of its words everything. */
export function factsOf(thing: FactsOf): readonly Fact[] {
  const { computed, declared, tokensOf, unit, hasWords } = thing;
  const tell = ({ what, by, read }: Kind): readonly Fact[] => {
    const value = read(computed);
    if (value.split(' ').every((part) => NOTHING.test(part)) || NOTHING.test(value)) return [];
    const tokens = [...declared]
      .filter(([property]) => by.test(property))
      .flatMap(([, said]) => namesIn(said).flatMap(tokensOf));
    return [{ what, value: inUnit(value, unit), tokens: [...new Set(tokens)] }];
  };
  return [...BOX.flatMap(tell), ...(hasWords ? WORDS.flatMap(tell) : [])];
}

/** How a thing is built, in words: what it has, and what it has not. */
export function builtOf(computed: FactsOf['computed'], hasWords: boolean, tag: string): string {
  const has = (isThere: boolean, what: string): string => (isThere ? what : `no ${what}`);
  const image = computed('background-image');
  const ground = !NOTHING.test(computed('background-color'));
  const isEdged = SIDES.some(
    (side) =>
      computed(`border-${side}-style`) !== 'none' && computed(`border-${side}-width`) !== '0px',
  );
  // What repeats is a pattern; what stands once is a picture.
  const isRepeated =
    /(?:^|,\s*)(?:repeat|round|space)\b/.test(computed('background-repeat')) &&
    !/cover|contain|100%/.test(computed('background-size'));
  const isPattern = /url\(/.test(image) && isRepeated;
  const isPicture = tag === 'img' || tag === 'picture' || (/url\(/.test(image) && !isRepeated);
  return [
    hasWords ? 'text' : tag === 'svg' ? 'a drawing' : 'no text of its own',
    has(ground, 'ground'),
    has(isEdged, 'edge'),
    ...(/gradient\(/.test(image) ? ['a gradient'] : []),
    ...(isPattern ? ['a pattern'] : []),
    has(isPicture, 'picture'),
  ].join(', ');
}
