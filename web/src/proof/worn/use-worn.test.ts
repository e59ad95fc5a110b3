import { describe, expect, test } from '@jest/globals';
import type { Wearing } from '@garnish/core/worn/wearing';
import { classOf, hasSpaces, sortOf, withClass, withSpaces } from './use-worn.ts';

const CARD: Wearing = {
  classes: ['card', 'type-body', 'on-surface'],
  values: [
    { property: 'color', token: 'color.quiet' },
    { property: 'border-color', token: 'color.line' },
    { property: 'padding-block-start', token: 'step.m' },
    { property: 'row-gap', token: 'step.s' },
  ],
};

describe('what a thing takes of one sort', () => {
  test('is found by how its class is called', () => {
    expect(CARD.classes.map(sortOf)).toEqual(['component', 'text', 'ground']);
    expect(classOf(CARD, 'ground')).toBe('on-surface');
    expect(classOf({ classes: [], values: [] }, 'text')).toBe('');
  });

  test('takes the place of what it was, and nothing else’s', () => {
    for (const [sort, name] of [
      ['text', 'type-h2'],
      ['ground', 'on-action'],
      ['component', 'button'],
    ] as const) {
      const next = withClass(CARD, sort, name);
      expect(classOf(next, sort)).toBe(name);
      for (const other of (['text', 'ground', 'component'] as const).filter((one) => one !== sort))
        expect(classOf(next, other)).toBe(classOf(CARD, other));
      expect(classOf(withClass(next, sort, ''), sort)).toBe('');
    }
  });

  test('the color of words stays with their role, and goes with what they stand on', () => {
    const colorOf = ({ values }: Wearing) => values.map(({ property }) => property);
    expect(colorOf(withClass(CARD, 'text', 'type-small'))).toContain('color');
    expect(colorOf(withClass(CARD, 'ground', 'on-action'))).not.toContain('color');
    expect(colorOf(withClass(CARD, 'ground', 'on-action'))).toContain('border-color');
    expect(colorOf(withClass(CARD, 'component', 'button'))).not.toContain('border-color');
  });
});

test('spaces go and come back as they were proposed, and everything else stays', () => {
  const without = withSpaces(CARD, CARD, false);
  expect([hasSpaces(CARD), hasSpaces(without)]).toEqual([true, false]);
  expect(without.classes).toEqual(CARD.classes);
  expect(withSpaces(without, CARD, true)).toEqual(CARD);
});
