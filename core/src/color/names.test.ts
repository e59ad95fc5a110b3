import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { colorName, uniqueName } from './names.ts';
import { hexOf } from './srgb.ts';
import { slugs } from '../tokens/token.ts';

test.each([
  ['#ffffff', 'white'],
  ['#000000', 'black'],
  ['#808080', 'gray'],
  ['#2a6365', 'dark dull teal'],
  ['#b5391a', 'rust'],
  ['#c8f04a', 'pale lime'],
  ['#0000ff', 'dark blue'],
] as const)('%s is called %s', (hex, name) => {
  expect(colorName(hex)).toBe(name);
});

test('every color has a name that can be part of a token', () => {
  const hex = fc
    .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
    .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));
  fc.assert(
    fc.property(hex, (color) => {
      const name = colorName(color);
      expect(name).toMatch(/^[a-z- ]+$/);
      expect(slugs([['x', name]]).get('x')).toBe(name.replaceAll(' ', '-'));
    }),
  );
});

test('a name that is taken gets a number', () => {
  expect(uniqueName('rust', new Set(['rust', 'rust 2']))).toBe('rust 3');
  expect(uniqueName('teal', new Set(['rust']))).toBe('teal');
});
