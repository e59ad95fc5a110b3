import { oklabDistance, oklabOf, type Oklab } from '../color/oklab.ts';
import { parseTransparentColor } from '../color/parse-color.ts';
import { isHex, rgbOf } from '../color/srgb.ts';
import { once } from '../once.ts';
import { MODES } from '../system/document.ts';
import { propertyOf, TIERS, type Tier, type Token } from './token.ts';

export interface TokenQuery {
  /** Words, each of which is a part of a name, a value or a description; or a length; or a color, for what is near it. */
  readonly words: string;
  readonly type?: string | undefined;
  readonly tier?: Tier | undefined;
  /** Whether anything takes it. */
  readonly use?: 'used' | 'unused' | undefined;
  /** Only these, by their ids. */
  readonly among?: ReadonlySet<string> | undefined;
}

/** Colors that are nearer than this to each other look related. Common practice, in OKLab. */
const NEAR = 0.12;
const ROOT_PX = 16;
const LENGTH = /^(-?(?:\d+\.?\d*|\.\d+))(px|rem)$/;

/** Every length in a value. */
const LENGTHS = /(?<![\w.#-])-?(?:\d+\.?\d*|\.\d+)(?:px|rem)(?![\w-])/g;

/** A length in px; nothing for one that is none, or that depends on anything. */
function pxOf(text: string): number | undefined {
  const [, number, unit] = LENGTH.exec(text) ?? [];
  return number === undefined ? undefined : Number(number) * (unit === 'rem' ? ROOT_PX : 1);
}

/** All that is sought in of a token; made once, as long as it stays what it is. */
const soughtIn = once((token: Token) => {
  const values = MODES.map((mode) => token.values[mode]);
  return {
    text: [
      token.id,
      propertyOf(token),
      ...values.map(({ css, json }) => css ?? JSON.stringify(json)),
      token.description ?? '',
    ]
      .join('\n')
      .toLowerCase(),
    px: new Set(
      values.flatMap(({ css = '' }) => [...css.matchAll(LENGTHS)].map(([length]) => pxOf(length))),
    ),
  };
});

/** The color of a token in each theme; asked for only where somebody seeks a color. */
const labsOf = once(({ type, values }: Token): readonly Oklab[] => {
  if (type !== 'color') return [];
  const texts = new Set(MODES.map((mode) => values[mode].css ?? ''));
  return [...texts].flatMap((css) => {
    if (isHex(css)) return [oklabOf(rgbOf(css))];
    const read = parseTransparentColor(css);
    return read.ok ? [oklabOf(rgbOf(read.hex))] : [];
  });
});

/** A color that was asked for; a single word without a sign of a color is a part of a name. */
function colorOf(words: string): Oklab | undefined {
  const text = words.trim();
  if (!/^#|\(/.test(text)) return undefined;
  const read = parseTransparentColor(text);
  return read.ok ? oklabOf(rgbOf(read.hex)) : undefined;
}

/** What tokens can be put in order by; without any they stand as in the sheet. */
export const ORDERS = ['name', 'value', 'type', 'tier', 'uses'] as const;
export type TokenOrder = (typeof ORDERS)[number];

/** A value as something that is more or less: a length, a time, a number; a color by its lightness. */
const magnitudeOf = once((token: Token): number => {
  const { css = '', json } = token.values.light;
  if (token.type === 'color') return labsOf(token)[0]?.[0] ?? Infinity;
  if (typeof json === 'number') return json;
  const px = [...css.matchAll(LENGTHS)].map(([length]) => pxOf(length) ?? 0);
  if (px.length > 0) return px[0] ?? 0;
  const [, time, unit] = /^([\d.]+)(m?s)$/.exec(css) ?? [];
  return time === undefined ? Infinity : Number(time) * (unit === 's' ? 1000 : 1);
});

/**
 * Tokens in another order; those that say the same stay in the order in which they come. Values are sorted by their
 * type first, for a color is neither more nor less than a length.
 */
export function sortTokens(
  tokens: readonly Token[],
  by: TokenOrder | undefined,
  isReversed: boolean,
  usesOf: (id: string) => number,
): readonly Token[] {
  if (by === undefined) return tokens;
  const text = (one: string, other: string): number =>
    one.localeCompare(other, 'en', { numeric: true });
  const compare: Readonly<Record<TokenOrder, (one: Token, other: Token) => number>> = {
    name: (one, other) => text(one.id, other.id),
    value: (one, other) => {
      const [here, there] = [magnitudeOf(one), magnitudeOf(other)];
      return (
        text(one.type, other.type) ||
        (here === there ? 0 : here - there) ||
        text(one.values.light.css ?? '', other.values.light.css ?? '')
      );
    },
    type: (one, other) => text(one.type, other.type),
    tier: (one, other) => TIERS.indexOf(one.tier) - TIERS.indexOf(other.tier),
    uses: (one, other) => usesOf(one.id) - usesOf(other.id),
  };
  return tokens.toSorted((one, other) => compare[by](one, other) * (isReversed ? -1 : 1));
}

/**
 * The tokens that answer to a query, in their order; those near a color by their distance from it, in the nearest of
 * their themes.
 * @param isUsed whether anything takes a token, where that is asked
 */
export function searchTokens(
  tokens: readonly Token[],
  { words, type, tier, use, among }: TokenQuery,
  isUsed: (id: string) => boolean = () => true,
): readonly Token[] {
  const isAsked = (token: Token): boolean =>
    (type === undefined || token.type === type) &&
    (tier === undefined || token.tier === tier) &&
    (among === undefined || among.has(token.id)) &&
    (use === undefined || isUsed(token.id) === (use === 'used'));
  const color = colorOf(words);
  if (color) {
    const apart = (token: Token): number =>
      Math.min(...labsOf(token).map((lab) => oklabDistance(lab, color)));
    return tokens
      .filter(isAsked)
      .map((token) => [apart(token), token] as const)
      .filter(([distance]) => distance <= NEAR)
      .toSorted(([one], [other]) => one - other)
      .map(([, token]) => token);
  }
  const parts = words
    .toLowerCase()
    .split(/\s+/)
    .filter((part) => part !== '');
  /** A length is meant as such: 16px is 1rem too, and no part of 116px. */
  const lengths = parts.map(pxOf);
  return tokens.filter(
    (token) =>
      isAsked(token) &&
      parts.every((part, at) => {
        const { text, px } = soughtIn(token);
        const length = lengths[at];
        return length === undefined ? text.includes(part) : px.has(length);
      }),
  );
}
