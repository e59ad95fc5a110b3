import { describe, expect, test } from '@jest/globals';
import { createDeriver, derive } from '../derive/derive.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { propertyOf } from '../tokens/token.ts';
import { blockCss, sheetCss, sheetOf } from './sheet.ts';

const document = sampleDocument();
const derived = derive(document);
const sheet = sheetOf(derived);

const moved = (patch: Patch) => {
  const deriver = createDeriver();
  const before = sheetOf(deriver(document));
  const result = patched(document, patch);
  if (!result.ok) throw new Error('refused');
  const now = sheetOf(deriver(result.document));
  const known = new Map(before.map((block) => [block.key, blockCss(block)]));
  return now.filter((block) => known.get(block.key) !== blockCss(block)).map(({ key }) => key);
};

describe('the blocks of a sheet', () => {
  test('have keys of their own, and are rules that stand by themselves', () => {
    const keys = sheet.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const block of sheet) {
      const css = blockCss(block);
      expect([block.key, [...css.matchAll(/^\S.*\{$/gm)].length]).toEqual([block.key, 1]);
    }
  });

  test('hold every token that CSS can write, once for each theme, by the property of what it refers to', () => {
    const css = sheetCss(sheet);
    for (const token of derived.tokens) {
      const { css: written, reference } = token.values.light;
      if (written === undefined) continue;
      const source = reference === undefined ? undefined : derived.tokenById.get(reference);
      expect(css).toContain(
        `  ${propertyOf(token)}: ${source ? `var(${propertyOf(source)})` : written};`,
      );
    }
  });
});

describe('a movement writes', () => {
  test('of a size: the block of the type tokens alone', () => {
    expect(moved([{ op: 'replace', path: '/type/anchors/items/wide/base', value: 19.5 }])).toEqual([
      'type',
    ]);
  });

  test('of a name: nothing', () => {
    expect(moved([{ op: 'replace', path: '/name', value: 'another' }])).toEqual([]);
  });

  test('of the unit: lengths alone', () => {
    expect(moved([{ op: 'replace', path: '/space/unit', value: 9 }])).not.toContain('color');
    expect(moved([{ op: 'replace', path: '/space/unit', value: 9 }])).toContain('space');
  });

  test('of a color: colors, and what is cast on them', () => {
    const keys = moved([
      { op: 'replace', path: '/color/sources/items/brand/value', value: '#7a3f8f' },
    ]);
    expect(keys).toContain('color');
    expect(keys.filter((key) => !/^(color|shape|patterns)/.test(key))).toEqual([]);
  });
});
