import { describe, expect, test } from '@jest/globals';
// An independent library of color.
import { converter, differenceEuclidean } from 'culori';
import { derive } from '../derive/derive.ts';
import { SURFACES, TELLINGS } from '../system/component-schema.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { findingsOf } from './checks.ts';
import { weightOf } from './component-weight.ts';

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

  test('a main one that lost its ground is found, and its repair gives it back', () => {
    const patch: Patch = [
      { op: 'add', path: '/components/departures/button.background', value: 'color.page' },
      { op: 'add', path: '/components/departures/button.ink', value: 'color.faint' },
    ];
    const findings = found(patch);
    expect(findings.map(({ id }) => id)).toContain('weight:button:quiet-button:light');
    const [{ repair } = {}] = findings;
    const after = patched(sampleDocument(patch), repair?.patch ?? []);
    if (!after.ok) throw new Error('the repair cannot be applied');
    expect(
      findingsOf(after.document, derive(after.document)).filter(({ id }) =>
        id.startsWith('weight:'),
      ),
    ).toEqual([]);
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
    const weight = weightOf('button', {
      manner: document.components.manner,
      tokenById,
      page,
      mode: 'light',
    });
    expect(weight).toBeCloseTo(
      apart(ofToken('button.background')) + 0.15 * apart(ofToken('button.ink')),
      3,
    );
  });
});
