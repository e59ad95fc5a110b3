/**
 * How often each letter stands in running English, in percent of letters.
 * Source: Lewand, Cryptological Mathematics, 2000, relative frequencies of letters.
 */
const ENGLISH: Readonly<Record<string, number>> = {
  a: 8.167,
  b: 1.492,
  c: 2.782,
  d: 4.253,
  e: 12.702,
  f: 2.228,
  g: 2.015,
  h: 6.094,
  i: 6.966,
  j: 0.153,
  k: 0.772,
  l: 4.025,
  m: 2.406,
  n: 6.749,
  o: 7.507,
  p: 1.929,
  q: 0.095,
  r: 5.987,
  s: 6.327,
  t: 9.056,
  u: 2.758,
  v: 0.978,
  w: 2.36,
  x: 0.15,
  y: 1.974,
  z: 0.074,
};

/** Letters to a word in running English: one space follows each. Source: common practice. */
const LETTERS_PER_WORD = 4.7;

/**
 * The mean advance of a character of running English, word spaces included, in the unit in which
 * `advance` answers (shares of the em, say).
 */
export function letterWidthOf(advance: (character: string) => number): number {
  const letters = Object.entries(ENGLISH);
  const total = letters.reduce((sum, [, share]) => sum + share, 0);
  const mean = letters.reduce((sum, [letter, share]) => sum + advance(letter) * share, 0) / total;
  return (mean * LETTERS_PER_WORD + advance(' ')) / (LETTERS_PER_WORD + 1);
}
