/** A number from 0 up to 1 for each call, the same sequence for the same seed (mulberry32). */
export function seeded(seed: string): () => number {
  let state = 0;
  for (const sign of seed) state = (Math.imul(state, 31) + (sign.codePointAt(0) ?? 0)) | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}
