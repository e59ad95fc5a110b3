import { expect, test } from '@jest/globals';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import { usesOf } from './uses.ts';

const document = sampleDocument([
  {
    op: 'replace',
    path: '/color/roles/items/line/light',
    value: { kind: 'share', of: 'link', over: 'page', share: 0.3, form: 'flat' },
  },
  {
    op: 'add',
    path: '/color/gradients/items/dawn',
    value: {
      name: 'dawn',
      space: 'oklab',
      angle: 90,
      stops: {
        order: ['a', 'b'],
        items: { a: { at: 0, color: 'success' }, b: { at: 1, color: 'page' } },
      },
    },
  },
  { op: 'replace', path: '/color/gradients/order', value: ['dawn'] },
]);
const derived = derive(document);

test('a source leads to its ramp, its roles, their shares, components and texts', () => {
  const uses = usesOf(document, derived, 'brand');
  expect(uses.tokens).toEqual(
    expect.arrayContaining(['palette.brand.1', 'color.action', 'color.line']),
  );
  expect(uses.roles).toEqual(expect.arrayContaining(['action', 'link', 'line']));
  expect(uses.components).toEqual(expect.arrayContaining(['button', 'quiet-button', 'table']));
  expect(uses.texts).toContain('link in body on page');
  // It tints the neutrals, and so leads to what stands on them.
  expect(uses.roles).toContain('page');
});

test('one that tints nothing leads only to what stands on it', () => {
  const uses = usesOf(document, derived, 'success');
  expect(uses.roles).toEqual([
    'success',
    'success wash',
    'success edge',
    'success hover',
    'success pressed',
  ]);
  expect(uses.gradients).toEqual(['dawn']);
  expect(uses.tokens).not.toContain('color.page');
});
