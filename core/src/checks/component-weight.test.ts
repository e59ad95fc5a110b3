import { describe, expect, test } from '@jest/globals';
// An independent library of color.
import { converter, differenceEuclidean } from 'culori';
import { COMPONENTS } from '../components/components.ts';
import { derive } from '../derive/derive.ts';
import type { ProofNode } from '../proof/node.ts';
import { sitePage } from '../proof/site.ts';
import { specimenOf } from '../proof/specimens.ts';
import { SURFACES, TELLINGS } from '../system/component-schema.ts';
import { MODES } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { findingsOf } from './checks.ts';
import { NEIGHBORS, weightOf } from './component-weight.ts';

const found = (patch: Patch) => {
  const document = sampleDocument(patch);
  return findingsOf(document, derive(document)).filter(({ id }) => id.startsWith('weight:'));
};

describe('of two actions beside each other', () => {
  test.each(SURFACES.flatMap((surface) => TELLINGS.map((states) => [surface, states] as const)))(
    '%s, told by %s: the main one draws more',
    (surface, states) => {
      const manner: Patch = [
        { op: 'replace', path: '/components/manner', value: { surface, states } },
      ];
      expect(found(manner).map(({ title }) => title)).toEqual([]);
    },
  );

  /** What is to draw more in the color of the page, with its words: nothing draws less. */
  const faded = (of: string): Patch => [
    { op: 'add', path: `/components/departures/${of}.background`, value: 'color.page' },
    { op: 'add', path: `/components/departures/${of}.ink`, value: 'color.page' },
  ];

  test.each(NEIGHBORS.flatMap(([main, second]) => MODES.map((mode) => [main, second, mode])))(
    '%s that lost its ground beside %s in %s is found, and its repair gives it back',
    (main, second, mode) => {
      const patch = faded(main);
      const id = `weight:${main}:${second}:${mode}`;
      const finding = found(patch).find((one) => one.id === id);
      expect(finding?.figures).toMatch(/^\d\.\d{3} against \d\.\d{3}/);
      const after = patched(sampleDocument(patch), finding?.repair?.patch ?? []);
      if (!after.ok) throw new Error('the repair cannot be applied');
      expect(
        findingsOf(after.document, derive(after.document)).filter((one) => one.id === id),
      ).toEqual([]);
    },
  );

  test('a variant of one’s own is held against its neighbors by what it takes itself', () => {
    const own = (of: string, takes: Readonly<Record<string, string>>): Patch => [
      {
        op: 'add',
        path: '/components/variants',
        value: { order: ['one'], items: { one: { name: 'Booking', of, takes } } },
      },
    ];
    const takes = { background: 'color.page', ink: 'color.faint' };
    const findings = found(own('button', takes));
    expect(findings.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['weight:booking:quiet-button:light']),
    );
    expect(findings.some(({ id }) => id.startsWith('weight:button:'))).toBe(false);
    const after = patched(
      sampleDocument(own('button', takes)),
      findings.find(({ id }) => id === 'weight:booking:quiet-button:light')?.repair?.patch ?? [],
    );
    if (!after.ok) throw new Error('the repair cannot be applied');
    expect(after.document.components.variants?.items['one']?.takes).toEqual({});
    // What only follows draws as much as what it follows.
    expect(found(own('button', {}))).toEqual([]);
    // One that is to draw less, and does not.
    expect(
      found(own('quiet-button', { ink: 'color.text', edge: 'color.text' })).every(({ id }) =>
        id.includes(':booking:'),
      ),
    ).toBe(true);
  });

  test('a theme that is not wanted has no neighbors', () => {
    const patch: Patch = [
      ...faded('button'),
      { op: 'add', path: '/color/themes', value: 'light only' },
    ];
    expect(found(patch).every(({ id }) => id.endsWith(':light'))).toBe(true);
  });

  test('whatever stands beside each other on pages and in parts is held against each other', () => {
    const acting = (node: ProofNode): string | undefined =>
      typeof node === 'string'
        ? undefined
        : (node.attributes['class'] ?? '').split(' ').find((name) => /(^|-)button$/.test(name));
    const pairs = new Set<string>();
    const look = (node: ProofNode): void => {
      if (typeof node === 'string') return;
      const names = node.children.flatMap((child) => acting(child) ?? []);
      names.forEach((one, at) =>
        names.slice(at + 1).forEach((other) => pairs.add([one, other].toSorted().join(' '))),
      );
      node.children.forEach(look);
    };
    const document = sampleDocument();
    const derived = derive(document);
    for (const page of document.content.pages.order) look(sitePage(document, derived, page));
    for (const { variants = [] } of COMPONENTS)
      for (const variant of variants) look(specimenOf(variant, derived));
    expect(pairs.size).toBeGreaterThan(0);
    const held = NEIGHBORS.map((pair: readonly string[]) => pair.toSorted().join(' '));
    for (const pair of pairs)
      // Two of the same weigh the same.
      if (new Set(pair.split(' ')).size > 1) expect(held).toContain(pair);
  });

  test('what a ground draws is its distance from the page, as another library finds', () => {
    const document = sampleDocument();
    const { tokenById, colors } = derive(document);
    const page = colors.get('page')?.colors.light ?? '';
    const ofToken = (name: string) => tokenById.get(name)?.values.light.css ?? '';
    const apart = (one: string) =>
      differenceEuclidean('oklab')(
        converter('oklab')(one) ?? one,
        converter('oklab')(page) ?? page,
      );
    const weight = weightOf(
      { of: 'button', slug: 'button' },
      {
        manner: document.components.manner,
        tokenById,
        page,
        mode: 'light',
      },
    );
    expect(weight).toBeCloseTo(
      apart(ofToken('button.background')) + 0.15 * apart(ofToken('button.ink')),
      3,
    );
  });
});
