import { encoded, linear, linearOfLevels, type Rgb } from './srgb.ts';

/** OKLab: lightness 0 to 1, a and b around 0, at most about 0.4 either way within sRGB. */
export type Oklab = readonly [lightness: number, a: number, b: number];

/** OKLCH: lightness 0 to 1, chroma from 0 to about 0.4, hue in degrees from 0 up to 360. */
export interface Oklch {
  readonly lightness: number;
  readonly chroma: number;
  readonly hue: number;
}

/** Below this chroma a hue says nothing: 8 bits cannot hold it. */
export const ACHROMATIC = 0.002;

/** The weights of linear sRGB in the responses of the three kinds of cones. */
export const CONES_OF_LINEAR: readonly [Rgb, Rgb, Rgb] = [
  [0.4122214708, 0.5363325363, 0.0514459929],
  [0.2119034982, 0.6806995451, 0.1073969566],
  [0.0883024619, 0.2817188376, 0.6299787005],
];

/** The responses of the cones to linear sRGB, as cube roots. */
export const conesOf = (red: number, green: number, blue: number): Oklab => {
  const [l, m, s] = CONES_OF_LINEAR;
  return [
    Math.cbrt(l[0] * red + l[1] * green + l[2] * blue),
    Math.cbrt(m[0] * red + m[1] * green + m[2] * blue),
    Math.cbrt(s[0] * red + s[1] * green + s[2] * blue),
  ];
};

/** The weights of the cones in lightness, a and b. */
export const OKLAB_OF_CONES: readonly [Oklab, Oklab, Oklab] = [
  [0.2104542553, 0.793617785, -0.0040720468],
  [1.9779984951, -2.428592205, 0.4505937099],
  [0.0259040371, 0.7827717662, -0.808675766],
];

const weighted = ([l, m, s]: Oklab): Oklab => {
  const [lightness, a, b] = OKLAB_OF_CONES;
  return [
    lightness[0] * l + lightness[1] * m + lightness[2] * s,
    a[0] * l + a[1] * m + a[2] * s,
    b[0] * l + b[1] * m + b[2] * s,
  ];
};

/** OKLab of a color. Source: CSS Color 4, sample code; Ottosson's matrices as given there. */
export const oklabOf = (rgb: Rgb): Oklab =>
  weighted(conesOf(linear(rgb[0]), linear(rgb[1]), linear(rgb[2])));

/** OKLab of a color in 8-bit levels, 0 to 255. */
export const oklabOfLevels = (red: number, green: number, blue: number): Oklab =>
  weighted(conesOf(...linearOfLevels(red, green, blue)));

/** The sRGB channels of an OKLab color; outside 0 to 1 where sRGB does not hold it. */
export function rgbOfOklab([lightness, a, b]: Oklab): Rgb {
  const l = (lightness + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (lightness - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (lightness - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return [
    encoded(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s),
    encoded(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s),
    encoded(-0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s),
  ];
}

/** The polar form. The hue of a color without chroma is 0. */
export function oklchOf([lightness, a, b]: Oklab): Oklch {
  const chroma = Math.hypot(a, b);
  if (chroma < ACHROMATIC) return { lightness, chroma, hue: 0 };
  const degrees = (Math.atan2(b, a) * 180) / Math.PI;
  return { lightness, chroma, hue: degrees < 0 ? degrees + 360 : degrees };
}

/** The rectangular form. */
export function oklabOfOklch({ lightness, chroma, hue }: Oklch): Oklab {
  const angle = (hue * Math.PI) / 180;
  return [lightness, chroma * Math.cos(angle), chroma * Math.sin(angle)];
}

/** Distance in OKLab (0 for the same color, 1 from black to white). Source: CSS Color 4, deltaEOK. */
export const oklabDistance = (one: Oklab, other: Oklab): number =>
  Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2]);
