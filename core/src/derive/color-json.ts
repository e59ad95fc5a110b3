import { rgbOf, type Hex } from '../color/srgb.ts';
import type { TokenJson } from '../tokens/token.ts';

/** A color as the Color module of the open token format writes it. */
export function colorJson(hex: Hex, alpha = 1): TokenJson {
  const components = rgbOf(hex).map((channel) => Number(channel.toFixed(5)));
  return { colorSpace: 'srgb', components, alpha, hex };
}
