import { describe, expect, test } from '@jest/globals';
import { differenceEuclidean, oklch } from 'culori';
import { derive } from '../derive/derive.ts';
import { countOfUses, tokenUse, withTakers, withWhatTheyTake } from '../proof/token-uses.ts';
import { sampleDocument } from '../system/sample.ts';
import {
  ORDERS,
  searchTokens,
  sortTokens,
  type TokenOrder,
  type TokenQuery,
} from './token-search.ts';

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

describe('putting tokens in order', () => {
  const usesOf = (id: string): number => countOfUses(tokenUse(derived, id));
  const sorted = (by: TokenOrder | undefined, isReversed = false, of = tokens) =>
    sortTokens(of, by, isReversed, usesOf);

  test.each(ORDERS)('by %s keeps every token, once, and turns round', (by) => {
    const all = sorted(by);
    expect(all.map(({ id }) => id).toSorted()).toEqual(tokens.map(({ id }) => id).toSorted());
    const counts = all.map(({ id }) => usesOf(id));
    if (by === 'uses') expect(counts).toEqual(counts.toSorted((one, other) => one - other));
    const [first] = sorted(by, true);
    const pair = [first, all[0]].flatMap((token) => token ?? []);
    expect(sorted(by, false, pair)[0]).toBe(all[0]);
  });

  test('by value goes from small to large, and from dark to light, within each type', () => {
    const of = (type: string) => sorted('value').filter((token) => token.type === type);
    const px = of('dimension').flatMap(({ values: { light } }) =>
      /^-?[\d.]+rem$/.test(light.css ?? '') ? [Number.parseFloat(light.css ?? '')] : [],
    );
    expect(px.length).toBeGreaterThan(20);
    expect(px).toEqual(px.toSorted((one, other) => one - other));
    const lightness = of('color').map(({ values }) => oklch(values.light.css ?? '')?.l ?? 2);
    for (let at = 1; at < lightness.length; at += 1)
      expect(lightness[at] ?? 0).toBeGreaterThan((lightness[at - 1] ?? 0) - 0.001);
  });

  test('by name counts figures, and by nothing stays as in the sheet', () => {
    const names = sorted('name').map(({ id }) => id);
    const ramp = names.filter((id) => /^palette\.brand\.\d+$/.test(id));
    expect(ramp.map((id) => Number(id.split('.')[2]))).toEqual(
      ramp.map((id) => Number(id.split('.')[2])).toSorted((one, other) => one - other),
    );
    expect(sorted(undefined)).toBe(tokens);
  });
});
