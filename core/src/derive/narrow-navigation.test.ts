import { expect, test } from '@jest/globals';
import { generate, parse, walk } from 'css-tree';
import { writeCss } from '../formats/css.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { derive } from './derive.ts';

const narrow = (below: number) =>
  sampleDocument([
    { op: 'add', path: '/components/narrow', value: { below, open: 'Menu', close: 'Close' } },
  ]);

/** The media queries of a sheet that say something of the navigation. */
function queriesOf(css: string): readonly string[] {
  const found = new Set<string>();
  walk(parse(css), {
    visit: 'Atrule',
    enter(rule) {
      if (rule.name === 'media' && rule.block && generate(rule.block).includes('.site-nav'))
        found.add(rule.prelude ? generate(rule.prelude) : '');
    },
  });
  return [...found];
}

test('a navigation in its row everywhere says nothing of screens', () => {
  expect(queriesOf(writeCss(derive(sampleDocument())))).toEqual([]);
});

test('a navigation behind a button says so on either side of its width, and nowhere between', () => {
  expect(queriesOf(writeCss(derive(narrow(640))))).toEqual(['(width>=640px)', '(width<640px)']);
});

test('its width has ends, and its buttons say something', () => {
  for (const value of [
    { below: 319, open: 'Menu', close: 'Close' },
    { below: 1601, open: 'Menu', close: 'Close' },
    { below: 640.5, open: 'Menu', close: 'Close' },
    { below: 640, open: '', close: 'Close' },
    { below: 640, open: 'Menu' },
    { below: 640, open: 'Menu', close: 'x'.repeat(81) },
  ])
    expect(patched(sampleDocument(), [{ op: 'add', path: '/components/narrow', value }]).ok).toBe(
      false,
    );
});
