import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { logoCheck } from './logo.ts';

const svg = (color: string): string =>
  `<svg viewBox="0 0 9 9"><path fill="${color}" d="M0 0H9V9Z"/></svg>`;
const found = (document: StyleDocument) => logoCheck.find(document, derive(document));
const after = (document: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

test('a logo that is as light as the page is found in that theme, and drawn in one color that is seen', () => {
  const pale = sampleDocument([{ op: 'add', path: '/layout/logo/light', value: svg('#f4f4f4') }]);
  const [finding, ...others] = found(pale);
  expect(others).toEqual([]);
  expect(finding?.id).toBe('logo-ground:light');
  expect(finding?.figures).toMatch(/^its strongest color has 1\.\d\d on #/);
  expect(found(after(pale, finding?.repair?.patch ?? []))).toEqual([]);
});

test('a dark one without a version for dark grounds is found there, and gets one', () => {
  const dark = sampleDocument([{ op: 'add', path: '/layout/logo/light', value: svg('#161616') }]);
  const [finding, ...others] = found(dark);
  expect(others).toEqual([]);
  expect(finding?.id).toBe('logo-ground:dark');
  const repaired = after(dark, finding?.repair?.patch ?? []);
  expect(repaired.layout.logo.light).toBe(svg('#161616'));
  expect(repaired.layout.logo.dark).toBeDefined();
  expect(found(repaired)).toEqual([]);
});

test('a colored one is told from both, and none is no finding', () => {
  expect(found(sampleDocument())).toEqual([]);
  expect(
    found(sampleDocument([{ op: 'add', path: '/layout/logo/light', value: svg('#c0392b') }])),
  ).toEqual([]);
});

test('one that is much larger than its header bears is found, by its scale or its least height', () => {
  const logo = { op: 'add', path: '/layout/logo/light', value: svg('#c0392b') } as const;
  for (const [key, value] of [
    ['scale', 8],
    ['least', 200],
  ] as const) {
    const large = sampleDocument([logo, { op: 'replace', path: `/layout/logo/${key}`, value }]);
    const [finding] = found(large);
    expect([finding?.id, finding?.decision]).toEqual(['logo-large', `/layout/logo/${key}`]);
    expect(found(after(large, finding?.repair?.patch ?? []))).toEqual([]);
  }
});
