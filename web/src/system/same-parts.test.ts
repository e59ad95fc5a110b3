import { expect, test } from '@jest/globals';
import { sameParts } from './same-parts.ts';

const part = { deep: { deeper: {} } };

test('records of the same parts are the same, however deep a selection goes', () => {
  expect(sameParts({ document: { part }, list: 1 }, { document: { part }, list: 1 })).toBe(true);
  expect(sameParts(NaN, NaN)).toBe(true);
});

test('other parts, fewer, more, and parts that every object has are others', () => {
  expect(sameParts({ part }, { part: { deep: { deeper: [] } } })).toBe(false);
  expect(sameParts({ part }, {})).toBe(false);
  expect(sameParts({}, { part })).toBe(false);
  expect(sameParts({ toString: undefined }, { valueOf: undefined })).toBe(false);
});

test('lists and maps are the same only where they are one', () => {
  expect(sameParts([], [])).toBe(false);
  expect(sameParts(new Map(), new Map())).toBe(false);
});
