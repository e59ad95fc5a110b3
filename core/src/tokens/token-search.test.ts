import { describe, expect, test } from '@jest/globals';
import { differenceEuclidean } from 'culori';
import { derive } from '../derive/derive.ts';
import { countOfUses, tokenUse, withTakers, withWhatTheyTake } from '../proof/token-uses.ts';
import { sampleDocument } from '../system/sample.ts';
import { searchTokens, type TokenQuery } from './token-search.ts';

const derived = derive(
  sampleDocument([
    { op: 'replace', path: '/tokens/custom/order', value: ['one', 'two'] },
    {
      op: 'add',
      path: '/tokens/custom/items/one',
      value: {
        path: 'old.gap',
        type: 'dimension',
        value: { value: 116, unit: 'px' },
        description: 'Between cards',
      },
    },
    {
      op: 'add',
      path: '/tokens/custom/items/two',
      value: {
        path: 'old.gutter',
        type: 'dimension',
        value: { value: 116, unit: 'px' },
        alias: 'old.gap',
      },
    },
  ]),
);
const { tokens } = derived;
const isUsed = (id: string): boolean => countOfUses(tokenUse(derived, id)) > 0;
const found = (query: Partial<TokenQuery>): readonly string[] =>
  searchTokens(tokens, { words: '', ...query }, isUsed).map(({ id }) => id);

describe('seeking tokens', () => {
  test('by parts of names, values and descriptions, all of them', () => {
    expect(found({})).toHaveLength(tokens.length);
    expect(found({ words: 'H1 size' })).toContain('type.h1.size');
    expect(found({ words: '--color-page' })).toContain('color.page');
    expect(found({ words: 'between cards' })).toEqual(['old.gap']);
    expect(found({ words: 'no such thing' })).toEqual([]);
  });

  test('by a length in either unit, and not as a part of a longer number', () => {
    const inPx = found({ words: '16px' });
    expect(inPx).toEqual(found({ words: '1rem' }));
    expect(inPx.length).toBeGreaterThan(0);
    for (const id of ['old.gap', 'old.gutter']) expect(inPx).not.toContain(id);
    expect(found({ words: '116px' })).toEqual(['old.gap', 'old.gutter']);
  });

  test('near a color: all that a library finds as near, in either theme, the nearest first', () => {
    const apart = differenceEuclidean('oklab');
    for (const asked of ['#b5391a', 'rgb(0 33 33)', '#ffffff']) {
      const wanted = tokens
        .filter(({ type }) => type === 'color')
        .map(({ id, values }) => ({
          id,
          distance: Math.min(
            ...(['light', 'dark'] as const).map((mode) => apart(asked, values[mode].css ?? '')),
          ),
        }))
        .filter(({ distance }) => distance <= 0.12);
      const own = found({ words: asked });
      expect(own.toSorted()).toEqual(wanted.map(({ id }) => id).toSorted());
      const distances = own.map((id) => wanted.find((one) => one.id === id)?.distance ?? NaN);
      distances.forEach((distance, at) =>
        expect(distance).toBeGreaterThanOrEqual((distances[at - 1] ?? 0) - 1e-6),
      );
    }
  });

  test('by type, tier and use together with words', () => {
    expect(
      found({ type: 'shadow' }).every((id) => derived.tokenById.get(id)?.type === 'shadow'),
    ).toBe(true);
    expect(found({ tier: 'component', words: 'button' }).length).toBeGreaterThan(3);
    const [used, unused] = [found({ use: 'used' }), found({ use: 'unused' })];
    expect(used.length + unused.length).toBe(tokens.length);
    expect(unused).toContain('old.gutter');
    expect(used).toContain('old.gap');
  });
});

describe('what tokens hang together', () => {
  test('each is taken by what it is taken from, in both directions', () => {
    for (const { id } of tokens) {
      const { takes, takenBy } = tokenUse(derived, id);
      for (const one of takes) expect(tokenUse(derived, one).takenBy).toContain(id);
      for (const one of takenBy) expect(tokenUse(derived, one).takes).toContain(id);
    }
    expect(tokenUse(derived, 'button.background').takes).toEqual(['color.action']);
    expect(tokenUse(derived, 'type.h1.style').takes).toContain('type.h1.size');
    expect(tokenUse(derived, 'color.page').rules.some((rule) => rule.includes('.on-page'))).toBe(
      true,
    );
    expect(tokenUse(derived, 'no.such')).toEqual({ takes: [], takenBy: [], rules: [] });
  });

  test('what takes a token, through others too, is used for what it is used for', () => {
    const takers = withTakers(derived, 'color.action');
    expect(takers[0]).toBe('color.action');
    expect(takers).toContain('button.background');
    for (const id of takers)
      for (const one of tokenUse(derived, id).takenBy) expect(takers).toContain(one);
  });

  test('a choice is whole when it has all that its tokens take', () => {
    const { all, added } = withWhatTheyTake(derived, ['button.background', 'color.action']);
    expect(all.slice(0, 2)).toEqual(['button.background', 'color.action']);
    for (const id of all) for (const one of tokenUse(derived, id).takes) expect(all).toContain(one);
    expect(added).toEqual(all.slice(2));
  });
});
