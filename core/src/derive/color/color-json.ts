import { rgbOf, type Hex } from '../../color/srgb.ts';
import type { TokenJson } from '../../tokens/token.ts';

/** A color as the Color module of the open token format writes it. */
export function colorJson(hex: Hex, alpha = 1): TokenJson {
  const before = alpha === 1 ? known.get(hex) : undefined;
  if (before) return before;
  const components = rgbOf(hex).map((channel) => Number(channel.toFixed(5)));
  const json: TokenJson = { colorSpace: 'srgb', components, alpha, hex };
  if (alpha === 1) {
    if (known.size >= MOST_KEPT) known.clear();
    known.set(hex, json);
  }
  return json;
}

/** Opaque colors that were written: most of a palette stays while one color moves. */
const known = new Map<Hex, TokenJson>();
const MOST_KEPT = 2000;
