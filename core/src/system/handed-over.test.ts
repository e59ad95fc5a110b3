import { describe, expect, test } from '@jest/globals';
import {
  handedWords,
  handing,
  inGroups,
  isFound,
  MOST_TAGS,
  tagsIn,
  type HandedThing,
  type HandedWords,
} from './handed-over.ts';
import type { StyleDocument } from './document.ts';
import { patched } from './patch.ts';
import { sampleDocument } from './sample.ts';

const HOME: HandedThing = { kind: 'page', id: 'home' };
const CARD: HandedThing = { kind: 'component', id: 'card' };

function said(document: StyleDocument, thing: HandedThing, words: HandedWords): StyleDocument {
  const patch = handing(document.content.handed, thing, words, () => `h${thing.id}`);
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}

describe('what is said of what is handed over', () => {
  test('is kept by thing, changes one by one, and goes where nothing is said', () => {
    const first = said(sampleDocument(), HOME, { stage: 'ready' });
    const second = said(first, CARD, { group: ' Lists ', tags: ['mobile'] });
    const third = said(second, HOME, { tags: ['first', 'launch'] });
    const words = handedWords(third.content.handed);
    expect(words(HOME)).toEqual({ stage: 'ready', tags: ['first', 'launch'] });
    expect(words(CARD)).toEqual({ group: 'Lists', tags: ['mobile'] });
    // A page and a component of one id are two things.
    expect(words({ kind: 'page', id: 'card' })).toEqual({});
    const less = said(third, HOME, { stage: undefined, tags: [] });
    expect(less.content.handed?.order).toEqual(['hcard']);
    expect(handing(third.content.handed, HOME, { stage: 'ready' }, () => 'x')).toEqual([]);
    expect(handing(undefined, HOME, { group: ' ' }, () => 'x')).toEqual([]);
    expect(handedWords(undefined)(HOME)).toEqual({});
  });

  test('has tags as they are written, each once and none too long', () => {
    expect(tagsIn(' launch, , mobile,launch ')).toEqual(['launch', 'mobile']);
    expect(tagsIn('')).toEqual([]);
    const many = Array.from({ length: 40 }, (_, index) => `tag ${index}`).join(',');
    expect(tagsIn(many)).toHaveLength(MOST_TAGS);
    const long = said(sampleDocument(), HOME, { tags: tagsIn('x'.repeat(500)) });
    expect(handedWords(long.content.handed)(HOME).tags).toEqual(['x'.repeat(40)]);
  });

  test('is found by name, group and tag, in a state', () => {
    const words = { stage: 'built', group: 'Shop', tags: ['Launch'] } as const;
    const found = (text: string, stage?: 'ready' | 'built') =>
      isFound('Checkout', words, { text, stage });
    expect(['check', 'shop', 'LAUNCH ', ''].map((text) => found(text))).toEqual([
      true,
      true,
      true,
      true,
    ]);
    expect([found('other'), found('', 'ready'), found('', 'built')]).toEqual([false, false, true]);
    expect(isFound('Checkout', {}, { text: '', stage: 'ready' })).toBe(false);
  });

  test('stands in groups, in their order; what is in none first', () => {
    const groups = inGroups(['b1', 'x', 'a1', 'b2'], (one) => (one === 'x' ? undefined : one[0]));
    expect(groups).toEqual([
      ['', ['x']],
      ['b', ['b1', 'b2']],
      ['a', ['a1']],
    ]);
    expect(inGroups([], () => undefined)).toEqual([]);
  });
});
