import { linear, rgbOf, type Hex } from './srgb.ts';

/** CIELAB: lightness 0 to 100, a and b around 0. */
export type Lab = readonly [lightness: number, a: number, b: number];

/** D65 as CSS Color 4 has it. */
const WHITE = [0.3127 / 0.329, 1, (1 - 0.3127 - 0.329) / 0.329] as const;
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

/** CIELAB of an emitted color under D65, its own white. Source: CIE 15; matrix of CSS Color 4. */
export function labOf(hex: Hex): Lab {
  const [r, g, b] = rgbOf(hex).map(linear) as [number, number, number];
  const xyz = [
    0.41239079926595934 * r + 0.357584339383878 * g + 0.1804807884018343 * b,
    0.21263900587151027 * r + 0.715168678767756 * g + 0.07219231536073371 * b,
    0.01933081871559182 * r + 0.11919477979462598 * g + 0.9505321522496607 * b,
  ] as const;
  const [x, y, z] = xyz.map((value, index) => {
    const share = value / (WHITE[index] ?? 1);
    return share > EPSILON ? Math.cbrt(share) : (KAPPA * share + 16) / 116;
  }) as [number, number, number];
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

const DEGREE = Math.PI / 180;
const hueOf = (b: number, a: number): number => {
  if (a === 0 && b === 0) return 0;
  const degrees = Math.atan2(b, a) / DEGREE;
  return degrees < 0 ? degrees + 360 : degrees;
};
const cos = (degrees: number): number => Math.cos(degrees * DEGREE);
const TWENTY_FIVE = 25 ** 7;
const chromaWeight = (chroma: number): number =>
  Math.sqrt(chroma ** 7 / (chroma ** 7 + TWENTY_FIVE));

/**
 * The difference of two colors after CIEDE2000, 0 for the same; about 1 is just seen, 100 is black and
 * white. Source: Sharma, Wu and Dalal 2005, equations 2 to 22, with all weights 1.
 */
export function ciede2000([l1, a1, b1]: Lab, [l2, a2, b2]: Lab): number {
  const g = 0.5 * (1 - chromaWeight((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2));
  const first = (1 + g) * a1;
  const second = (1 + g) * a2;
  const c1 = Math.hypot(first, b1);
  const c2 = Math.hypot(second, b2);
  const h1 = hueOf(b1, first);
  const h2 = hueOf(b2, second);
  const gray = c1 * c2 === 0;
  const turn = h2 - h1;
  const dh = gray ? 0 : turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  const deltaL = l2 - l1;
  const deltaC = c2 - c1;
  const deltaH = 2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * DEGREE);
  const l = (l1 + l2) / 2;
  const c = (c1 + c2) / 2;
  const h = gray
    ? h1 + h2
    : Math.abs(h1 - h2) <= 180
      ? (h1 + h2) / 2
      : h1 + h2 < 360
        ? (h1 + h2 + 360) / 2
        : (h1 + h2 - 360) / 2;
  const t =
    1 - 0.17 * cos(h - 30) + 0.24 * cos(2 * h) + 0.32 * cos(3 * h + 6) - 0.2 * cos(4 * h - 63);
  const sl = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2);
  const sc = 1 + 0.045 * c;
  const sh = 1 + 0.015 * c * t;
  const rotation =
    -Math.sin(2 * 30 * Math.exp(-(((h - 275) / 25) ** 2)) * DEGREE) * 2 * chromaWeight(c);
  const dl = deltaL / sl;
  const dc = deltaC / sc;
  const dH = deltaH / sh;
  return Math.sqrt(dl ** 2 + dc ** 2 + dH ** 2 + rotation * dc * dH);
}

/** CIEDE2000 of two emitted colors. */
export const differenceOf = (one: Hex, other: Hex): number => ciede2000(labOf(one), labOf(other));
