export const CATEGORIES = ['serif', 'sans', 'slab', 'display', 'hand', 'mono'] as const;
export type Category = (typeof CATEGORIES)[number];

/** What of a family says how it is built. */
interface Built {
  readonly category: Category;
  readonly metrics: {
    readonly xHeight: number;
    readonly capHeight: number;
    readonly thinToThick: number;
    readonly foot?: number | undefined;
  };
}

/** From this width of a foot over its stem a face has serifs: without them it is 1, flared ends have 1.2. */
const SERIF_FROM = 1.25;

/** A face whose small letters are as high as its capitals has none: at or above this share. */
const CAPITALS_ONLY = 0.92;

/** Whether a face has small letters, or only capitals of two sizes or one. */
export const hasSmallLetters = ({ metrics }: Pick<Built, 'metrics'>): boolean =>
  metrics.xHeight > 0 && metrics.xHeight < CAPITALS_ONLY * metrics.capHeight;

export type Construction = 'serif' | 'slab' | 'sans' | 'mono' | 'hand';

/** How a face is built; of display faces that is measured, because they are called so by their use. */
export function constructionOf({ category, metrics }: Built): Construction {
  if (category !== 'display') return category;
  const serifs =
    metrics.foot === undefined ? metrics.thinToThick < 0.5 : metrics.foot >= SERIF_FROM;
  return serifs ? 'serif' : 'sans';
}
