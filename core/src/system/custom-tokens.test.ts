import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { writeCss } from '../formats/css.ts';
import type { StyleDocument } from './document.ts';
import { customIdOf, removingTokens, renameProblem, renamingToken } from './custom-tokens.ts';
import { patched, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';

const token = (path: string, more: object = {}) => ({
  path,
  type: 'dimension',
  value: { value: 8, unit: 'px' },
  ...more,
});
const ITEMS = {
  gap: token('old.gap', {
    description: 'Between cards',
    dark: { value: { value: 6, unit: 'px' } },
  }),
  inset: token('old.inset', { alias: 'old.gap' }),
  night: token('old.night', {
    dark: { value: { value: 6, unit: 'px' }, alias: 'old.gap' },
  }),
  alone: token('old.alone'),
};
const start = sampleDocument([
  {
    op: 'replace',
    path: '/tokens/custom',
    value: { order: Object.keys(ITEMS), items: ITEMS } as never,
  },
]);
const after = (patch: Patch, from: StyleDocument = start): StyleDocument => {
  const result = patched(from, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};
const { custom } = start.tokens;
const own = derive(sampleDocument()).tokens.map(({ path }) => path);

describe('a token from elsewhere', () => {
  test('is renamed, and what takes its value from it follows in both themes', () => {
    const next = after(renamingToken(custom, 'gap', 'site.gap'));
    const css = writeCss(derive(next));
    expect(css).toContain('--site-gap: 8px;');
    expect(css).toContain('--old-inset: var(--site-gap);');
    expect(css).not.toContain('--old-gap');
    expect(next.tokens.custom.items['night']?.dark?.alias).toBe('site.gap');
    expect(renamingToken(custom, 'gap', 'old.gap')).toEqual([]);
  });

  test('leaves its old name behind where that is wanted, deprecated, with the value of the new one', () => {
    const next = after(renamingToken(custom, 'gap', 'site.gap', 'kept'));
    const { tokenById } = derive(next);
    expect(tokenById.get('old.gap')).toMatchObject({
      deprecated: 'Renamed to site.gap.',
      description: 'Between cards',
      values: { light: { reference: 'site.gap' }, dark: { reference: 'site.gap' } },
    });
    expect(writeCss(derive(next))).toContain('--old-gap: var(--site-gap);');
  });

  test('is refused a name that something has, or that is none', () => {
    const problem = (path: string) => renameProblem(custom, own, 'gap', path);
    expect(problem('site.gap')).toBeUndefined();
    expect(problem('old.gap')).toBeUndefined();
    expect(problem('old.alone')).toContain('another from elsewhere has a token of this name');
    expect(problem('color.page')).toContain('the system has a token of this name');
    expect(problem('old.alone.more')).toContain('it would stand below old.alone');
    for (const path of ['', '.', 'a..b', 'a.{b}', '$a']) expect(problem(path)).toContain('parts');
  });

  test('goes, and what took its value from it keeps the value', () => {
    const next = after(removingTokens(custom, new Set(['gap', 'alone'])));
    const { tokenById } = derive(next);
    expect(next.tokens.custom.order).toEqual(['inset', 'night']);
    expect(tokenById.get('old.inset')?.values.light).toMatchObject({ css: '8px' });
    expect(tokenById.get('old.inset')?.values.light.reference).toBeUndefined();
    expect(tokenById.get('old.night')?.values.dark).toMatchObject({ css: '6px' });
    expect(tokenById.get('old.night')?.values.dark.reference).toBeUndefined();
  });

  test('in dark keeps its value where what it is taken from there is not shown, and light stays as it is', () => {
    const hides = after([
      { op: 'replace', path: '/tokens/custom/items/alone/path', value: 'color.page' },
      {
        op: 'replace',
        path: '/tokens/custom/items/night',
        value: token('old.night', {
          alias: 'old.gap',
          dark: { value: { value: 5, unit: 'px' }, alias: 'color.page' },
        }) as never,
      },
    ]);
    const { light, dark } = derive(hides).tokenById.get('old.night')?.values ?? {};
    expect(light).toMatchObject({ reference: 'old.gap' });
    expect(dark).toMatchObject({ css: '8px' });
    expect(dark?.reference).toBeUndefined();
  });

  test('of two with one custom property the last is shown, and the other is told', () => {
    const both = after([
      { op: 'replace', path: '/tokens/custom/items/alone/path', value: 'old-gap' },
    ]);
    const derived = derive(both);
    expect(writeCss(derived).match(/--old-gap: /g)).toHaveLength(1);
    expect(derived.tokenById.has('old-gap')).toBe(true);
    expect(derived.hidden).toEqual(['gap']);
  });

  test('is known by its path', () => {
    expect(customIdOf(custom, 'old.inset')).toBe('inset');
    expect(customIdOf(custom, 'color.page')).toBeUndefined();
  });
});
