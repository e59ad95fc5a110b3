import { describe, expect, test } from '@jest/globals';
import {
  handedWords,
  handing,
  inGroups,
  inHandedOrder,
  isFound,
  MOST_TAGS,
  orderingHanded,
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

  test('tells a section of one page from that of another, and lets it go by itself', () => {
    const [hero, other]: HandedThing[] = [
      { kind: 'section', id: 'hero', page: 'home' },
      { kind: 'section', id: 'hero', page: 'other' },
    ];
    if (!hero || !other) throw new Error('no section');
    const document = said(sampleDocument(), hero, { stage: 'built' });
    const words = handedWords(document.content.handed);
    expect([words(hero), words(other), words({ kind: 'page', id: 'hero' })]).toEqual([
      { stage: 'built' },
      {},
      {},
    ]);
    expect(said(document, hero, { stage: undefined }).content.handed?.order).toEqual([]);
  });

  test('is put into an order, which keeps what is said; what nobody placed stays behind its neighbor', () => {
    const [a, b, c]: HandedThing[] = ['card', 'button', 'link'].map((id) => ({
      kind: 'component',
      id,
    }));
    if (!a || !b || !c) throw new Error('no things');
    const document = said(sampleDocument(), b, { stage: 'ready' });
    const patch = orderingHanded(document.content.handed, [c, b, a], (at) => `new-${at}`);
    const result = patched(document, patch);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    const { handed } = result.document.content;
    const words = handedWords(handed);
    expect(words(b)).toEqual({ stage: 'ready', rank: 1 });
    const order = (ids: readonly string[]) =>
      inHandedOrder(ids, (id) => words({ kind: 'component', id }).rank);
    expect(order(['card', 'button', 'link'])).toEqual(['link', 'button', 'card']);
    expect(order(['new', 'card', 'after', 'button', 'link', 'last'])).toEqual([
      'new',
      'link',
      'last',
      'button',
      'card',
      'after',
    ]);
    expect(inHandedOrder(['x', 'y'], () => undefined)).toEqual(['x', 'y']);
    // The same order once more changes nothing; undone, it is as before.
    expect(orderingHanded(handed, [c, b, a], () => 'x')).toEqual([]);
    expect(said(result.document, b, { stage: undefined }).content.handed?.items).toMatchObject({
      [document.content.handed?.order[0] ?? '']: { rank: 1 },
    });
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
