import { inGamut } from './gamut.ts';
import { oklabOfOklch, rgbOfOklab, type Oklch } from './oklab.ts';
import { encoded, linear, type Rgb } from './srgb.ts';

/** Where a color can be shown: on every screen, on those with a wide gamut, or on none of both. */
export type Gamut = 'srgb' | 'p3' | 'beyond';

/** Linear sRGB to linear Display P3. Source: CSS Color 4, sample code, via XYZ. */
const TO_P3: readonly Rgb[] = [
  [0.8224619687, 0.1775380313, 0],
  [0.0331941989, 0.9668058011, 0],
  [0.0170826307, 0.0723974407, 0.9105199286],
];

/** The narrowest of the two gamuts that holds a color. */
export function gamutOf(color: Oklch): Gamut {
  const rgb = rgbOfOklab(oklabOfOklch(color));
  if (inGamut(rgb)) return 'srgb';
  const [red, green, blue] = rgb.map(linear) as [number, number, number];
  const p3 = TO_P3.map(([r, g, b]) => encoded(r * red + g * green + b * blue)) as [
    number,
    number,
    number,
  ];
  return inGamut(p3) ? 'p3' : 'beyond';
}

/** Chroma beyond which no screen goes, and how finely a limit is found. */
const MOST_CHROMA = 0.4;
const FINE = 0.0005;

/** The largest chroma that a gamut holds at a lightness and hue. Found by halving. */
export function chromaLimit(lightness: number, hue: number, gamut: 'srgb' | 'p3'): number {
  const holds = (chroma: number): boolean => {
    const color = { lightness, chroma, hue };
    return gamut === 'srgb'
      ? inGamut(rgbOfOklab(oklabOfOklch(color)))
      : gamutOf(color) !== 'beyond';
  };
  let low = 0;
  let high = MOST_CHROMA;
  while (high - low > FINE) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}
