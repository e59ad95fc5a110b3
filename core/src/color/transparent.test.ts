import { expect, test } from '@jest/globals';
import { flattened, transparentCss } from './transparent.ts';

test('60 % black over white is #666666', () => {
  // Arithmetic; common practice for finding grays.
  expect(flattened('#000000', 0.6, '#ffffff')).toBe('#666666');
  expect(flattened('#b5391a', 1, '#ffffff')).toBe('#b5391a');
  expect(flattened('#b5391a', 0, '#123456')).toBe('#123456');
});

test('the transparent form is written with its share', () => {
  expect(transparentCss('#102030', 0.125)).toBe('rgb(16 32 48 / 0.125)');
});
