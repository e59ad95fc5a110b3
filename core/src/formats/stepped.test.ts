import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import type { Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { fluidPx, steppedPieces } from '../type/fluid.ts';
import { zoomGain, zoomGaps } from '../type/zoom.ts';
import { writeCss } from './css.ts';
import { breakpointsOf, writeStepped } from './stepped.ts';

const written = (patch: Patch = []): string => {
  const document = sampleDocument(patch);
  return writeStepped(document, derive(document));
};

describe('the stepped style sheet', () => {
  test('flows nowhere, and changes at the anchors and midway where nothing else is decided', () => {
    const css = written();
    expect(css).not.toContain('clamp(');
    expect(breakpointsOf(sampleDocument().type)).toEqual([900, 1440]);
    expect(css.match(/@media \(width >= \d+px\)(?= \{\n {2}:root \{\n {4}--scale)/g)).toEqual([
      '@media (width >= 900px)',
      '@media (width >= 1440px)',
    ]);
  });

  test('has at each breakpoint what the flowing size is there, and is narrow below', () => {
    const document = sampleDocument([
      { op: 'add', path: '/type/breakpoints', value: [700, 1000] },
      { op: 'add', path: '/type/roles/items/h2/sizes', value: { wide: 50 } },
    ]);
    const derived = derive(document);
    const css = writeStepped(document, derived);
    const sizes = (property: string): number[] =>
      [...css.matchAll(new RegExp(`${property}: ([\\d.]+)rem;`, 'g'))].map(
        ([, rem]) => Number(rem) * 16,
      );
    for (const [property, role] of [
      ['--scale-up-5', 'h1'],
      ['--type-h2-size', 'h2'],
    ] as const) {
      const size = derived.styles.get(role)?.size;
      if (!size) throw new Error(`no ${role}`);
      const expected = [0, 700, 1000].map((width) => fluidPx(size, width));
      sizes(property).forEach((px, index) => expect(px).toBeCloseTo(expected[index] ?? 0, 2));
      expect(sizes(property)).toHaveLength(3);
    }
  });

  test.each<[string, Patch]>([
    ['as it starts', []],
    [
      'with treated pictures and a role with sizes of its own',
      [
        {
          op: 'add',
          path: '/layout/pictureRoles',
          value: {
            portrait: { treatment: { kind: 'toned', color: 'text', second: 'page' } },
            card: { treatment: { kind: 'faint', opacity: 0.4 } },
          },
        },
        {
          op: 'add',
          path: '/type/roles/items/h2/sizes',
          value: { wide: 50 },
        },
      ],
    ],
  ])('is the usual sheet in everything else, %s', (_, patch) => {
    const document = sampleDocument(patch);
    expect(written(patch)).not.toContain('clamp(');
    const withoutWidths = (css: string): string[] =>
      css
        .replaceAll(/@media \(width >= \d+px\) \{[\s\S]*?\n\}\n/g, '')
        .split('\n')
        .filter((line) => line !== '');
    const usual = withoutWidths(writeCss(derive(document)));
    const rest = withoutWidths(written(patch));
    const other = usual.filter((line) => line !== '' && !line.includes('clamp('));
    expect(rest.filter((line) => !/--(scale|type)-[\w-]+: [\d.]+rem;/.test(line))).toEqual(
      other.filter((line) => !/--(scale|type)-[\w-]+: [\d.]+rem;/.test(line)),
    );
  });
});

test('steps are proved against zoom with one-sided limits', () => {
  const size = derive(sampleDocument()).styles.get('h1')?.size;
  if (!size) throw new Error('no h1');
  const pieces = steppedPieces(size, [900, 1440]);
  expect(zoomGaps(pieces)).toEqual([]);
  // Just wide enough for the largest step: no zoom leaves that step and keeps more than the next.
  expect(zoomGain(pieces, 1440)).toBeGreaterThanOrEqual(2);
  const steep = steppedPieces(size, [900, 1440]).map((piece, index) => ({
    ...piece,
    constantPx: [16, 16, 90][index] ?? 0,
  }));
  expect(zoomGaps(steep)[0]?.fromPx).toBeCloseTo(1440, 6);
});
