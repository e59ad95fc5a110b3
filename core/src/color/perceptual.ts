import { rgbOf, type Hex } from './srgb.ts';

/** Constants of version 0.1.9 of the method, as published with its test values. */
const EXPONENT = 2.4;
const WEIGHTS = [0.2126729, 0.7151522, 0.072175] as const;
const SOFT_BLACK = 0.022;
const SOFT_EXPONENT = 1.414;
const SCALE = 1.14;
const OFFSET = 0.027;
const LEAST = 0.1;
const LEAST_DIFFERENCE = 0.0005;

function screenLuminance(hex: Hex): number {
  const y = rgbOf(hex).reduce(
    (sum, channel, index) => sum + (WEIGHTS[index] ?? 0) * channel ** EXPONENT,
    0,
  );
  return y > SOFT_BLACK ? y : y + (SOFT_BLACK - y) ** SOFT_EXPONENT;
}

/**
 * Perceptual contrast of a text on a ground, about -108 to 106: positive for dark text on light,
 * negative for light on dark, 0 where too little to be read. A second opinion that no standard asks
 * for. Source: the published method and constants, version 0.1.9.
 */
export function perceptualContrast(text: Hex, ground: Hex): number {
  const ink = screenLuminance(text);
  const paper = screenLuminance(ground);
  if (Math.abs(paper - ink) < LEAST_DIFFERENCE) return 0;
  if (paper > ink) {
    const difference = (paper ** 0.56 - ink ** 0.57) * SCALE;
    return difference < LEAST ? 0 : (difference - OFFSET) * 100;
  }
  const difference = (paper ** 0.65 - ink ** 0.62) * SCALE;
  return difference > -LEAST ? 0 : (difference + OFFSET) * 100;
}
