import { describe, expect, test } from '@jest/globals';
import { paintedArtwork } from '../proof/artwork.ts';
import { derive } from '../derive/derive.ts';
import { sampleDocument } from '../system/sample.ts';
import { fillsOf, inOneColor, nearestRoles, plainPaints } from './artwork-fills.ts';

const svg =
  '<svg viewBox="0 0 9 9"><path fill="Tomato" d="M0 0h4v4z"/><circle style="fill: rgb(0, 128, 0); stroke:#abc; opacity:.5" r="2"/><rect fill="none" stroke="url(#g)"/></svg>';

describe('artwork', () => {
  test('has its paints written as hex, whether in attributes or styles', () => {
    const plain = plainPaints(svg);
    expect(fillsOf(plain)).toEqual(['#ff6347', '#008000', '#aabbcc']);
    expect(plain).toContain('fill="none"');
    expect(plain).toContain('stroke="url(#g)"');
    expect(plain).toContain('opacity=".5"');
  });

  test('in one color has no other paint, and what had none takes it too', () => {
    const one = inOneColor(plainPaints(svg));
    expect(fillsOf(one)).toEqual([]);
    expect(one).toContain('fill="none"');
    expect(one).toContain('stroke="url(#g)"');
    expect(one.startsWith('<svg fill="currentcolor" viewBox')).toBe(true);
    // One that says what is painted by default keeps a single word for it.
    const own = inOneColor(
      '<svg viewBox="0 0 9 9" fill="#123456"><path d="M0 0h4v4z"/></svg>',
      '#aabbcc',
    );
    expect(own.match(/fill="/g)).toHaveLength(1);
    expect(own).toContain('fill="#aabbcc"');
  });

  test('is mapped to the nearest roles, and painted with their tokens unless it is locked', () => {
    const document = sampleDocument();
    const { colors } = derive(document);
    const plain = plainPaints(svg);
    const fills = nearestRoles(
      fillsOf(plain),
      [...colors.values()].map(({ id, colors: own }) => ({ id, hex: own.light })),
    );
    expect(Object.keys(fills)).toHaveLength(3);
    const artwork = {
      name: 'a',
      svg: plain,
      fills: { ...fills, '#ff6347': 'danger' },
      locked: false,
    };
    expect(paintedArtwork(artwork, colors)).toContain('fill="var(--color-danger)"');
    expect(paintedArtwork({ ...artwork, locked: true }, colors)).toBe(plain);
  });
});
