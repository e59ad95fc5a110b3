import { expect, test } from '@jest/globals';
import { tokenize, TokenType } from '@csstools/css-tokenizer';
import fc from 'fast-check';
import { cssString } from './css-string.ts';

/** Signs that CSS reads in its own way, and any other. */
const text = fc.oneof(
  fc.string({ unit: 'binary' }),
  fc
    .array(
      fc.constantFrom('"', "'", '\\', '\f', '\r', '\n', '\0', '<', '</style>', 'a1', '}', '\ud800'),
    )
    .map((parts) => parts.join('')),
);

test('a text of any signs is one string of CSS that says it, read by an independent tokenizer', () => {
  fc.assert(
    fc.property(text, (said) => {
      const [only, ...rest] = tokenize({ css: cssString(said) }).filter(
        ([type]) => type !== TokenType.EOF,
      );
      expect(rest).toEqual([]);
      // CSS Syntax 3, input preprocessing: NUL and surrogates are U+FFFD.
      expect(only).toMatchObject([
        'string-token',
        cssString(said),
        0,
        expect.any(Number),
        { value: said.replaceAll(/\0|\p{Surrogate}/gu, '\ufffd') },
      ]);
      expect(cssString(said)).not.toContain('<');
    }),
    { numRuns: 1000 },
  );
});
