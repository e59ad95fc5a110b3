/** Signs that CSS takes for its own in a string, controls, and `<`, which would end a style element. */
const ESCAPED = /["\\<\p{Cc}]/gu;

/**
 * A text as a string of CSS, in double quotes. Source: CSSOM, “serialize a string”: quotes and reverse
 * solidi are escaped, controls by their number; NUL and halves of pairs become U+FFFD as CSS Syntax reads
 * them. Beyond it `<` is escaped, so that no text ends the element that a sheet stands in.
 */
export const cssString = (text: string): string =>
  `"${text
    .replaceAll(/\0|\p{Surrogate}/gu, '\ufffd')
    .replaceAll(ESCAPED, (sign) =>
      sign === '"' || sign === '\\' ? `\\${sign}` : `\\${(sign.codePointAt(0) ?? 0).toString(16)} `,
    )}"`;
