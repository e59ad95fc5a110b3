import { toSrgb } from '../color/gamut.ts';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import { transparentCss } from '../color/transparent.ts';

/** One light over the page, and what comes from everywhere. */
export interface Light {
  /** From where it comes, in degrees clockwise from straight above: −90 is the left, 90 the right. */
  readonly from: number;
  /** How far a shadow falls for each px of height. */
  readonly reach: number;
  /** How much it blurs for each px of height. */
  readonly softness: number;
  /** Opacity of the shadow that the light casts, 0 to 1. */
  readonly strength: number;
  /** Opacity of the shade that is left where light from everywhere does not come, 0 to 1. */
  readonly ambient: number;
}

/** One layer of a shadow; lengths in px, as CSS has them. */
export interface ShadowLayer {
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread: number;
  readonly color: Hex;
  readonly opacity: number;
  readonly inset?: true;
}

const rounded = (value: number, decimals = 2): number => {
  const result = Number(value.toFixed(decimals));
  // Never −0, which would be written as such.
  return result === 0 ? 0 : result;
};

/** From this height on a shadow is half as dark as beside its object, because its edge is that wide. */
const HALF_AT_PX = 48;

/** The color of a shadow is the surface's own, so much darker and so much richer. */
const IN_LIGHT = { lightness: 0.28, chroma: 2.5, most: 0.09 };
const IN_DARK = { lightness: 0.25, chroma: 0.8, most: 0.05 };

/**
 * The color of shadows on a surface: its hue, dark; never gray on a tinted surface. On a dark surface
 * it is nearly black.
 */
export function shadowColor(surface: Hex): Hex {
  const before = known.get(surface);
  if (before !== undefined) return before;
  const found = darkened(surface);
  if (known.size >= MOST_KEPT) known.clear();
  known.set(surface, found);
  return found;
}

/** Colors that were found: a surface is asked for once for every level. */
const known = new Map<Hex, Hex>();
const MOST_KEPT = 200;

function darkened(surface: Hex): Hex {
  const { lightness, chroma, hue } = oklchOf(oklabOf(rgbOf(surface)));
  const how = lightness > 0.5 ? IN_LIGHT : IN_DARK;
  return hexOf(
    toSrgb({
      lightness: lightness * how.lightness,
      chroma: Math.min(how.most, chroma * how.chroma),
      hue,
    }),
  );
}

/**
 * The shadow of something that lies so many px over a surface: what the light casts (moved away from
 * it, blurred and fainter with the height, and narrower, as the light is no point) and a shade close
 * around it. With `rim` above 0 its upper edge catches light, which shows depth where shadows do not.
 * Throws a RangeError for a height that is not above 0.
 */
export function shadowOf(
  heightPx: number,
  surface: Hex,
  light: Light,
  rim = 0,
): readonly ShadowLayer[] {
  if (!(heightPx > 0)) throw new RangeError('a shadow needs a height above 0 px');
  const angle = (light.from * Math.PI) / 180;
  const length = heightPx * light.reach;
  const color = shadowColor(surface);
  const fade = 1 / (1 + heightPx / HALF_AT_PX);
  const layers: ShadowLayer[] = [
    {
      x: rounded(-Math.sin(angle) * length),
      y: rounded(Math.cos(angle) * length),
      blur: rounded(heightPx * light.softness),
      spread: rounded(-heightPx * light.softness * 0.15),
      color,
      opacity: rounded(light.strength * fade, 3),
    },
    {
      x: 0,
      y: rounded(heightPx * 0.1),
      blur: rounded(1 + heightPx * 0.5),
      spread: 0,
      color,
      opacity: rounded(light.ambient * fade, 3),
    },
    ...(rim > 0
      ? [
          {
            x: 0,
            y: 1,
            blur: 0,
            spread: 0,
            color: '#ffffff' as const,
            opacity: rounded(rim, 3),
            inset: true as const,
          },
        ]
      : []),
  ];
  return layers.filter(({ opacity }) => opacity > 0);
}

/** As CSS writes it; `none` where nothing is left of it. */
export const shadowCss = (layers: readonly ShadowLayer[]): string =>
  layers.length === 0
    ? 'none'
    : layers
        .map(
          ({ x, y, blur, spread, color, opacity, inset }) =>
            `${inset ? 'inset ' : ''}${x}px ${y}px ${blur}px ${spread}px ${transparentCss(color, opacity)}`,
        )
        .join(', ');
