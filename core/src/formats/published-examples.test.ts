import { describe, expect, test } from '@jest/globals';
import { cssOfValue } from '../tokens/css-value.ts';
import { readDtcg } from './read-dtcg.ts';

/**
 * Examples as the Design Tokens Format Module 2025.10 gives them for each of its sections (from memory: no copy of the
 * module is kept here), with what CSS has for them.
 */
const EXAMPLES: readonly (readonly [section: string, tree: object, path: string, css: string])[] = [
  [
    '8.1 Color',
    {
      Majestic: {
        $type: 'color',
        $value: { colorSpace: 'srgb', components: [1, 0, 1], alpha: 1, hex: '#ff00ff' },
      },
    },
    'Majestic',
    '#ff00ff',
  ],
  [
    '8.1 Color, transparent',
    {
      'Translucent shadow': {
        $type: 'color',
        $value: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0.5, hex: '#000000' },
      },
    },
    'Translucent shadow',
    'color(srgb 0 0 0 / 0.5)',
  ],
  [
    'Color module, none',
    { white: { $type: 'color', $value: { colorSpace: 'hsl', components: ['none', 0, 100] } } },
    'white',
    'hsl(none 0% 100%)',
  ],
  [
    '8.2 Dimension',
    { 'spacing-stack-0': { $type: 'dimension', $value: { value: 0, unit: 'px' } } },
    'spacing-stack-0',
    '0px',
  ],
  [
    '8.2 Dimension, rem',
    { 'spacing-stack-1': { $type: 'dimension', $value: { value: 0.5, unit: 'rem' } } },
    'spacing-stack-1',
    '0.5rem',
  ],
  [
    '8.3 Font family',
    {
      'Primary font': { $type: 'fontFamily', $value: 'Comic Neue' },
    },
    'Primary font',
    '"Comic Neue"',
  ],
  [
    '8.3 Font family, several',
    { 'Body font': { $type: 'fontFamily', $value: ['Literata', 'Georgia', 'serif'] } },
    'Body font',
    '"Literata", "Georgia", serif',
  ],
  [
    '8.4 Font weight',
    { 'font-weight-default': { $type: 'fontWeight', $value: 350 } },
    'font-weight-default',
    '350',
  ],
  [
    '8.4 Font weight, by name',
    { 'font-weight-thick': { $type: 'fontWeight', $value: 'extra-bold' } },
    'font-weight-thick',
    '800',
  ],
  [
    '8.5 Duration',
    { 'Duration-Quick': { $type: 'duration', $value: { value: 100, unit: 'ms' } } },
    'Duration-Quick',
    '100ms',
  ],
  [
    '8.6 Cubic Bézier',
    { Accelerate: { $type: 'cubicBezier', $value: [0.5, 0, 1, 1] } },
    'Accelerate',
    'cubic-bezier(0.5, 0, 1, 1)',
  ],
  [
    '8.7 Number',
    { 'line-height-large': { $type: 'number', $value: 2.3 } },
    'line-height-large',
    '2.3',
  ],
  [
    '9.2 Stroke style',
    { 'focus-ring-style': { $type: 'strokeStyle', $value: 'dashed' } },
    'focus-ring-style',
    'dashed',
  ],
  [
    '9.3 Border',
    {
      border: {
        heavy: {
          $type: 'border',
          $value: {
            color: { colorSpace: 'srgb', components: [0.218, 0.218, 0.218] },
            width: { value: 3, unit: 'px' },
            style: 'solid',
          },
        },
      },
    },
    'border.heavy',
    '3px solid color(srgb 0.218 0.218 0.218)',
  ],
  [
    '9.4 Transition',
    {
      transition: {
        emphasis: {
          $type: 'transition',
          $value: {
            duration: { value: 200, unit: 'ms' },
            delay: { value: 0, unit: 'ms' },
            timingFunction: [0.5, 0, 1, 1],
          },
        },
      },
    },
    'transition.emphasis',
    '200ms cubic-bezier(0.5, 0, 1, 1) 0ms',
  ],
  [
    '9.5 Shadow',
    {
      'shadow-token': {
        $type: 'shadow',
        $value: {
          color: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0.5 },
          offsetX: { value: 0.5, unit: 'rem' },
          offsetY: { value: 0.5, unit: 'rem' },
          blur: { value: 1.5, unit: 'rem' },
          spread: { value: 0, unit: 'rem' },
        },
      },
    },
    'shadow-token',
    '0.5rem 0.5rem 1.5rem 0rem color(srgb 0 0 0 / 0.5)',
  ],
  [
    '9.5 Shadow, inner',
    {
      inner: {
        $type: 'shadow',
        $value: {
          inset: true,
          color: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 1, hex: '#000000' },
          offsetX: { value: 2, unit: 'px' },
          offsetY: { value: 2, unit: 'px' },
          blur: { value: 4, unit: 'px' },
          spread: { value: 0, unit: 'px' },
        },
      },
    },
    'inner',
    'inset 2px 2px 4px 0px #000000',
  ],
  [
    '9.6 Gradient',
    {
      'blue-to-red': {
        $type: 'gradient',
        $value: [
          { color: { colorSpace: 'srgb', components: [0, 0, 1], hex: '#0000ff' }, position: 0 },
          { color: { colorSpace: 'srgb', components: [1, 0, 0], hex: '#ff0000' }, position: 1 },
        ],
      },
    },
    'blue-to-red',
    'linear-gradient(to right, #0000ff 0%, #ff0000 100%)',
  ],
];

describe('examples of the format come in with their values', () => {
  test.each(EXAMPLES)('%s', (_section, tree, path, css) => {
    const read = readDtcg(JSON.stringify(tree));
    if (read.kind !== 'tokens') throw new Error(JSON.stringify(read));
    expect(read.leftOut).toEqual([]);
    const token = read.tokens.find((one) => one.path === path);
    expect(cssOfValue(token?.type ?? '', token?.value ?? null)).toBe(css);
  });

  test('7.1 Alias, 6.4 inherited type, 5.2 description, deprecated', () => {
    const read = readDtcg(
      JSON.stringify({
        'group name': {
          $type: 'number',
          $description: 'A group',
          'token name': { $value: 1234, $description: 'A token' },
        },
        'alias name': { $value: '{group name.token name}', $deprecated: 'Use the other.' },
      }),
    );
    if (read.kind !== 'tokens') throw new Error(JSON.stringify(read));
    expect(read.tokens).toEqual([
      { path: 'group name.token name', type: 'number', value: 1234, description: 'A token' },
      {
        path: 'alias name',
        type: 'number',
        value: 1234,
        alias: 'group name.token name',
        deprecated: 'Use the other.',
      },
    ]);
  });
});
