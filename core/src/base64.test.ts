import { expect, test } from '@jest/globals';
import { base64Of } from './base64.ts';

// The test vectors of RFC 4648, 10.
test.each([
  ['', ''],
  ['f', 'Zg=='],
  ['fo', 'Zm8='],
  ['foo', 'Zm9v'],
  ['foob', 'Zm9vYg=='],
  ['fooba', 'Zm9vYmE='],
  ['foobar', 'Zm9vYmFy'],
])('%j is %j', (text, code) => {
  expect(base64Of(new TextEncoder().encode(text))).toBe(code);
});

test('many bytes are as Node has them', () => {
  const bytes = Uint8Array.from({ length: 100_000 }, (_, index) => (index * 7919) % 256);
  expect(base64Of(bytes)).toBe(Buffer.from(bytes).toString('base64'));
});
