import { expect, test } from '@jest/globals';
import { componentsBySelector } from './component-of.ts';

test.each([
  ['.card', 'Card'],
  ['.site .card > .button:hover', 'Button'],
  ['.mine .card h3', 'Card'],
  ['h1', ''],
  ['.mine', ''],
  ['.constructor', ''],
])('%s is about the component %j', (selector, name) => {
  expect(componentsBySelector({})(selector)).toBe(name);
});

test('classes are asked for as the system is written', () => {
  const of = componentsBySelector({ classes: 'rc' });
  expect([of('.rc-card'), of('.card')]).toEqual(['Card', '']);
});
