/** Pixels as one number each, red in the lowest byte: read at once. Every machine that has a browser orders bytes so. */
export const wordsOf = ({ buffer, byteOffset, length }: Uint8ClampedArray): Uint32Array =>
  byteOffset % 4 === 0
    ? new Uint32Array(buffer, byteOffset, length / 4)
    : new Uint32Array(buffer.slice(byteOffset, byteOffset + length));

/** A pixel as it looks on white, without transparency; in 8 bits. Source: Compositing 1, source over. */
export function onWhite(word: number): number {
  const alpha = word >>> 24;
  if (alpha === 255) return word;
  const share = alpha / 255;
  const white = 255 * (1 - share);
  const channel = (shift: number): number =>
    Math.round(((word >>> shift) & 255) * share + white) << shift;
  return (channel(0) | channel(8) | channel(16) | (255 << 24)) >>> 0;
}
