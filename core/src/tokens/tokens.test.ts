import { describe, expect, test } from '@jest/globals';
import { cssOfValue } from './css-value.ts';
import type { TokenJson } from './token.ts';
import { propertyOf, slugs } from './token.ts';

describe('a value of the open format, as CSS writes it', () => {
  // Design Tokens Community Group, Format Module 2025.10 and its Color Module; CSS Color 4.
  test.each([
    ['color', { colorSpace: 'srgb', components: [1, 0, 0], hex: '#FF0000' }, '#ff0000'],
    ['color', { colorSpace: 'srgb', components: [1, 0, 0] }, 'color(srgb 1 0 0)'],
    ['color', { colorSpace: 'srgb', components: [1, 0, 0], alpha: 0.5 }, 'color(srgb 1 0 0 / 0.5)'],
    ['color', { colorSpace: 'oklch', components: [0.6, 0.2, 'none'] }, 'oklch(0.6 0.2 none)'],
    ['color', { colorSpace: 'hsl', components: [120, 100, 25] }, 'hsl(120 100% 25%)'],
    ['color', '#abc', '#abc'],
    ['dimension', { value: 1.5, unit: 'rem' }, '1.5rem'],
    ['duration', { value: 120, unit: 'ms' }, '120ms'],
    ['number', 1.25, '1.25'],
    [
      'shadow',
      {
        color: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0.5 },
        offsetX: { value: 0, unit: 'px' },
        offsetY: { value: 0.5, unit: 'rem' },
        blur: { value: 4, unit: 'px' },
        spread: { value: 0, unit: 'px' },
        inset: true,
      },
      'inset 0px 0.5rem 4px 0px color(srgb 0 0 0 / 0.5)',
    ],
    ['shadow', [{ color: '#000', offsetX: 1 }], undefined],
    [
      'border',
      { color: '#336699', width: { value: 3, unit: 'px' }, style: 'dashed' },
      '3px dashed #336699',
    ],
    ['border', { color: '#336699', width: { value: 3, unit: 'px' }, style: {} }, undefined],
    ['strokeStyle', 'dotted', 'dotted'],
    [
      'transition',
      {
        duration: { value: 200, unit: 'ms' },
        delay: { value: 0, unit: 'ms' },
        timingFunction: [0.5, 0, 1, 1],
      },
      '200ms cubic-bezier(0.5, 0, 1, 1) 0ms',
    ],
    ['fontWeight', 650, '650'],
    ['fontFamily', ['Alder Sans', 'serif'], '"Alder Sans", serif'],
    ['fontFamily', 'monospace', 'monospace'],
    ['cubicBezier', [0.2, 0, 0, 1], 'cubic-bezier(0.2, 0, 0, 1)'],
  ] as const)('%s %j is %s', (type, value, css) => {
    expect(cssOfValue(type, value)).toBe(css);
  });

  test.each([
    ['color', 'reddish'],
    ['color', { colorSpace: 'srgb', components: [1, 0] }],
    ['color', { colorSpace: 'x; } body {', components: [1, 0, 0] }],
    ['dimension', { value: '1', unit: 'rem' }],
    ['dimension', { value: 1, unit: 'furlong' }],
    ['number', 'one'],
    ['cubicBezier', [0, 0, 1]],
    ['shadow', {}],
  ] as const)('%s %j has none', (type, value) => {
    expect(cssOfValue(type, value)).toBeUndefined();
  });

  test('a family name cannot end its string', () => {
    expect(cssOfValue('fontFamily', 'A"; } body { color: red')).toBe(
      String.raw`"A\"; } body { color: red"`,
    );
  });
});

describe('names', () => {
  test('become words joined by hyphens, each its own', () => {
    const named = slugs([
      ['a', 'Action Ink'],
      ['b', 'action  ink!'],
      ['c', 'Größe'],
      ['d', '***'],
    ]);
    expect([...named.values()]).toEqual(['action-ink', 'action-ink-2', 'große', 'unnamed']);
  });

  test('a custom property holds nothing that CSS would read otherwise', () => {
    expect(propertyOf({ path: ['a b', 'c;d', 'e.f'] })).toBe('--a-b-c-d-e-f');
  });
});

describe('what our extension says beside a value', () => {
  const stops = (...colors: readonly TokenJson[]): TokenJson =>
    colors.map((color, at) => ({ color, position: at }));
  const srgb = (hex: string): TokenJson => ({
    colorSpace: 'srgb',
    components: [0.2, 0.4, 0.6],
    hex,
  });
  const vivid: TokenJson = { colorSpace: 'display-p3', components: [1, 0, 0] };

  test.each<[string, TokenJson, TokenJson, string]>([
    [
      'how a gradient runs',
      stops(srgb('#336699'), srgb('#FFFFFF')),
      { space: 'oklab', angle: 45 },
      'linear-gradient(45deg in oklab, #336699 0%, #ffffff 100%)',
    ],
    [
      'a gray in a space of hues',
      stops(srgb('#336699'), srgb('#ffffff')),
      { space: 'oklch', angle: 90 },
      'linear-gradient(90deg in oklab, #336699 0%, #ffffff 100%)',
    ],
    [
      'colors of another space',
      stops(vivid, srgb('#ffffff')),
      { space: 'oklch', angle: 90 },
      'linear-gradient(90deg in oklch, color(display-p3 1 0 0) 0%, #ffffff 100%)',
    ],
    [
      'from where a veil comes',
      stops(srgb('#000000'), srgb('#ffffff')),
      { side: 'bottom' },
      'linear-gradient(to top, #000000 0%, #ffffff 100%)',
    ],
    [
      'a veil all over',
      stops(srgb('#000000'), srgb('#000000')),
      { side: 'all over' },
      'linear-gradient(#000000, #000000)',
    ],
    [
      'nothing that is known',
      stops(srgb('#000000'), srgb('#ffffff')),
      { side: 'inside', angle: 'left' },
      'linear-gradient(to right, #000000 0%, #ffffff 100%)',
    ],
  ])('%s', (_, value, extension, css) => {
    expect(cssOfValue('gradient', value, extension)).toBe(css);
  });

  test.each<[string, TokenJson, string]>([
    ['dimension', { value: 2, unit: 'px' }, 'calc(1.5 * var(--a-gap))'],
    ['duration', { value: 2, unit: 'ms' }, 'calc(1.5 * var(--a-gap))'],
    ['number', 3, 'calc(1.5 * var(--a-gap))'],
    ['fontWeight', 300, '300'],
  ])('a multiple of a %s', (type, value, css) => {
    const extension = { multiple: { of: '{a.gap}', times: 1.5 } };
    expect(cssOfValue(type, value, extension)).toBe(css);
    expect(cssOfValue(type, value, { multiple: { of: 'a.gap', times: 1.5 } })).not.toContain(
      'calc',
    );
  });
});
