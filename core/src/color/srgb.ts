/** A color of sRGB; each channel runs from 0 to 1, gamma-encoded as CSS writes it. */
export type Rgb = readonly [red: number, green: number, blue: number];

/** A color as it is emitted: `#rrggbb`, lower case, 8 bits a channel. */
export type Hex = `#${string}`;

const HEX = /^#[0-9a-f]{6}$/;

export const isHex = (text: string): text is Hex => HEX.test(text);

/** The channels of an emitted color. Throws a RangeError where the text is not `#rrggbb`. */
export function rgbOf(hex: string): Rgb {
  if (!isHex(hex)) throw new RangeError(`not a color of the form #rrggbb: ${hex}`);
  const bits = Number.parseInt(hex.slice(1), 16);
  return [(bits >> 16) / 255, ((bits >> 8) & 255) / 255, (bits & 255) / 255];
}

const byte = (channel: number): string =>
  Math.round(Math.min(1, Math.max(0, channel)) * 255)
    .toString(16)
    .padStart(2, '0');

/** The nearest 8-bit color; channels outside 0 to 1 are clipped. */
export const hexOf = ([red, green, blue]: Rgb): Hex => `#${byte(red)}${byte(green)}${byte(blue)}`;

/**
 * A gamma-encoded channel in linear light. Negative channels keep their sign.
 * Source: CSS Color 4, sample code, lin_sRGB.
 */
export function linear(channel: number): number {
  const size = Math.abs(channel);
  return size <= 0.04045
    ? channel / 12.92
    : Math.sign(channel) * Math.pow((size + 0.055) / 1.055, 2.4);
}

/** A channel in linear light, gamma-encoded. Source: CSS Color 4, sample code, gam_sRGB. */
export function encoded(channel: number): number {
  const size = Math.abs(channel);
  return size > 0.0031308
    ? Math.sign(channel) * (1.055 * Math.pow(size, 1 / 2.4) - 0.055)
    : 12.92 * channel;
}

/** The 256 levels of 8 bits in linear light. */
export const LINEAR_LEVELS = Float64Array.from({ length: 256 }, (_, level) => linear(level / 255));

/** A color in 8-bit levels (0 to 255) in linear light. */
export const linearOfLevels = (red: number, green: number, blue: number): Rgb => [
  LINEAR_LEVELS[red] ?? 0,
  LINEAR_LEVELS[green] ?? 0,
  LINEAR_LEVELS[blue] ?? 0,
];
