import { expect, test } from '@jest/globals';
import { sampleDocument } from '../system/sample.ts';
import { tokensOfDecision } from './decided-tokens.ts';
import { derive } from './derive.ts';

const derived = derive(sampleDocument());
const of = (decision: string) => tokensOfDecision(decision, derived);

test('a decision leads to its tokens and to all that take their value from them', () => {
  expect(of('/color/roles/items/action/light')).toEqual(
    expect.arrayContaining(['color.action', 'button.background']),
  );
  expect(of('/color/roles/items/action/light')).not.toContain('color.text');
  expect(of('/color/sources/items/brand/value')).toEqual(
    expect.arrayContaining(['palette.brand.9', 'color.link', 'button.background']),
  );
});

test('a part of a decision leads where the whole does, and the whole where its parts do', () => {
  expect(of('/type/roles/items/h1')).toContain('type.h1.size');
  expect(of('/type/roles/items/h1/place')).toContain('type.h1.size');
  expect(of('/shape/radii')).toEqual(expect.arrayContaining(['corner.card', 'card.corner']));
});

test('what no token follows from leads nowhere', () => {
  expect(of('/brief/purpose')).toEqual([]);
  expect(of('/nothing/at/all')).toEqual([]);
});
