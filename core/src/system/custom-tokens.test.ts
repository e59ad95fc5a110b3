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

describe('parts of a value that are taken from others', () => {
  const white = { colorSpace: 'srgb', components: [1, 1, 1], alpha: 1, hex: '#ffffff' };
  const black = { colorSpace: 'srgb', components: [0, 0, 0], alpha: 1, hex: '#000000' };
  const edge = { width: { value: 1, unit: 'px' }, style: 'solid', color: white };
  const from = after([
    {
      op: 'replace',
      path: '/tokens/custom',
      value: {
        order: ['ink', 'edge', 'again'],
        items: {
          ink: { path: 'a.ink', type: 'color', value: white, dark: { value: black } },
          edge: { path: 'a.edge', type: 'border', value: edge, parts: { '/color': 'a.ink' } },
          again: { path: 'a.again', type: 'border', value: edge, alias: 'a.edge' },
        },
      } as never,
    },
  ]);
  const cssIn = (document: StyleDocument, id: string, mode: 'light' | 'dark') =>
    derive(document).tokenById.get(id)?.values[mode].css;

  test('follow a token to its new name', () => {
    const next = after(renamingToken(from.tokens.custom, 'ink', 'b.ink'), from);
    expect(next.tokens.custom.items['edge']?.parts).toEqual({ '/color': 'b.ink' });
    expect(cssIn(next, 'a.edge', 'dark')).toBe('1px solid var(--b-ink)');
  });

  test('keep what they are in each theme where that is removed, through all that is taken from it', () => {
    const next = after(removingTokens(from.tokens.custom, new Set(['ink'])), from);
    expect(next.tokens.custom.items['edge']).toEqual({
      path: 'a.edge',
      type: 'border',
      value: edge,
      dark: { value: { ...edge, color: black } },
    });
    for (const id of ['a.edge', 'a.again']) {
      expect(cssIn(next, id, 'light')).toBe('1px solid #ffffff');
      expect(cssIn(next, id, 'dark')).toBe('1px solid #000000');
    }
  });

  test('of a token that leads back to itself are what they were given', () => {
    const round = after(
      [
        { op: 'add', path: '/tokens/custom/items/ink/alias', value: 'a.round' },
        {
          op: 'replace',
          path: '/tokens/custom/items/again',
          value: { path: 'a.round', type: 'color', value: black, alias: 'a.ink' } as never,
        },
      ],
      from,
    );
    const css = writeCss(derive(round));
    expect(css).toContain('--a-edge: 1px solid var(--a-ink);');
  });
});
