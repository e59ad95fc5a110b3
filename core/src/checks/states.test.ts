import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import { createDeriver, derive } from '../derive/derive.ts';
import { FAMILIES } from '../system/families.ts';
import { MODES, type StyleDocument } from '../system/document.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { statesOf } from '../system/states.ts';
import { findingsOf } from './checks.ts';

const apart = (one: Hex, other: Hex): number =>
  oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other)));

const SAMPLE = sampleDocument();

/** The sample with another brand color, and everything else the very same. */
function branded(value: Hex): StyleDocument {
  const result = patched(SAMPLE, [
    { op: 'replace', path: '/color/sources/items/brand/value', value },
  ]);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}

describe('states of a control', () => {
  test('are kept apart by the assignment, whatever the brand', () => {
    const deriver = createDeriver();
    const hex = fc
      .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
      .map(([r, g, b]) => hexOf([r / 255, g / 255, b / 255]));
    fc.assert(
      fc.property(hex, (brand) => {
        const { colors } = deriver(branded(brand));
        for (const family of FAMILIES)
          for (const mode of MODES) {
            const shown = statesOf(family).map((id) => colors.get(id)?.colors[mode] ?? '#000000');
            shown.forEach((one, index) => {
              for (const other of shown.slice(index + 1))
                expect([family, mode, shown, apart(one, other) >= 0.02]).toEqual([
                  family,
                  mode,
                  shown,
                  true,
                ]);
            });
          }
      }),
      { numRuns: 60, examples: [['#c8692c'], ['#3f9a68'], ['#ffff00'], ['#000000'], ['#ffffff']] },
    );
  });

  test('that were made alike by hand are found, and repaired to a rung at which labels read', () => {
    const document = sampleDocument(
      ['action-hover', 'action-pressed'].map((id) => ({
        op: 'replace' as const,
        path: `/color/roles/items/${id}/light`,
        value: { kind: 'source', source: 'brand' },
      })),
    );
    const before = findingsOf(document, derive(document));
    const own = before.filter(({ id }) => id.startsWith('states:'));
    expect(own.map(({ id }) => id)).toEqual([
      'states:action-hover:light',
      'states:action-pressed:light',
    ]);
    let here = document;
    for (const id of own.map((finding) => finding.id)) {
      const finding = findingsOf(here, derive(here)).find((one) => one.id === id);
      const result = patched(here, finding?.repair?.patch ?? []);
      if (!result.ok) throw new Error('the repair does not fit');
      here = result.document;
    }
    const after = findingsOf(here, derive(here));
    expect(after.filter(({ id }) => id.startsWith('states:'))).toEqual([]);
    expect(after.filter(({ id }) => id.startsWith('contrast:'))).toEqual([]);
  });
});
