import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import * as csstree from 'css-tree';
import { derive } from '../derive/derive.ts';
import { STRUCTURE } from '../derive/structure.ts';
import { sampleDocument } from '../system/sample.ts';
import { FORMATS } from './formats.ts';
import { writeClasses } from './classes.ts';
import { writeCss } from './css.ts';
import { namedSelector, namedValue } from './naming.ts';
import { readDtcg } from './read-dtcg.ts';

const sheet = { properties: 'rc', classes: 'rcc', layer: 'rc-look', base: false };
const document = sampleDocument([
  { op: 'add', path: '/tokens/sheet', value: sheet },
  {
    op: 'add',
    path: '/space/utilities',
    value: { prefix: 'u-', steps: 'all', breakpoints: true },
  },
]);
const derived = derive(document);

/** Everything that an independent parser of CSS (css-tree) sees in a sheet. */
function seenIn(css: string) {
  const properties = new Set<string>();
  const classes = new Set<string>();
  const problems: string[] = [];
  const tree = csstree.parse(css, {
    parseCustomProperty: true,
    onParseError: ({ message }) => problems.push(message),
  });
  csstree.walk(tree, (node) => {
    if (node.type === 'Declaration' && node.property.startsWith('--'))
      properties.add(node.property);
    if (node.type === 'Identifier' && node.name.startsWith('--')) properties.add(node.name);
    if (node.type === 'ClassSelector') classes.add(node.name);
  });
  return { properties: [...properties], classes: [...classes], problems, tree };
}

describe('names with a prefix', () => {
  test.each(
    // The names in the theme block are those of the framework; what it takes is looked at beside it.
    FORMATS.filter(({ file }) => file.endsWith('.css') && file !== 'theme.css').map(
      (format) => [format.file, format] as const,
    ),
  )('%s has no property and no class without it', async (_, { write }) => {
    const { properties, classes, problems } = seenIn(await write(document, derived));
    expect(problems).toEqual([]);
    expect(classes.length).toBeGreaterThan(20);
    expect(properties.filter((name) => !name.startsWith('--rc-'))).toEqual([]);
    expect(classes.filter((name) => !name.startsWith('rcc-'))).toEqual([]);
  });

  test('change nothing else: without it the sheet is the one without choices', () => {
    const plain = writeCss(derived);
    const named = writeCss(derived, { properties: 'rc', classes: 'rcc' });
    expect(named).not.toBe(plain);
    expect(named.replaceAll('--rc-', '--').replaceAll('.rcc-', '.')).toBe(plain);
  });

  test('leave strings alone, whatever stands in them', () => {
    expect(namedValue('"a --b .c", var(--face-text), -1px', { properties: 'x' })).toBe(
      '"a --b .c", var(--x-face-text), -1px',
    );
    expect(namedSelector('.a[data-x=".b"] > .c:not(.d)', { classes: 'x' })).toBe(
      '.x-a[data-x=".b"] > .x-c:not(.x-d)',
    );
    expect(namedValue('calc(1.5rem - var(--a) * -1)', { properties: 'x' })).toBe(
      'calc(1.5rem - var(--x-a) * -1)',
    );
  });

  test('of properties are a group of the token file, its references lead there', async () => {
    const format = FORMATS.find(({ file }) => file === 'tokens.json');
    const text = (await format?.write(document, derived)) ?? '';
    const file = JSON.parse(text) as { $extensions?: unknown; rc: object };
    expect(Object.keys(file).filter((key) => !key.startsWith('$'))).toEqual(['rc']);
    delete file.$extensions;
    const read = readDtcg(JSON.stringify(file));
    if (read.kind !== 'tokens') throw new Error(read.kind);
    expect(read.leftOut).toEqual([]);
    expect(read.tokens).toHaveLength(derived.tokens.length);
  });

  test('stand in the words that go with it', async () => {
    for (const name of ['handoff.md', 'classes.md']) {
      const text = await FORMATS.find(({ file }) => file === name)?.write(document, derived);
      expect(text).toMatch(name === 'handoff.md' ? /`--rc-color-page`/ : /class="rcc-button"/);
      expect(text).not.toMatch(/`--(?!rc-)|class="(?!rcc-)|`\.(?!rcc-)\w/);
    }
  });
});

test('a cascade layer holds everything but the font faces', () => {
  const { tree } = seenIn(writeCss(derived, { layer: 'look' }));
  if (tree.type !== 'StyleSheet') throw new Error(tree.type);
  const names = tree.children
    .toArray()
    .map((node) => (node.type === 'Atrule' ? node.name : 'rule'));
  expect(new Set(names)).toEqual(new Set(['font-face', 'layer']));
  expect(names.filter((name) => name === 'layer')).toHaveLength(1);
});

test('without a base the sheet says nothing of elements in general', () => {
  expect(writeCss(derive(sampleDocument()))).toContain('*, *::before, *::after {');
  expect(writeCss(derived)).not.toContain('*, *::before, *::after {');
});

describe('the page about classes', () => {
  test('in docs is the one that the sample writes', () => {
    const sample = sampleDocument();
    expect(readFileSync(new URL('../../../docs/classes.md', import.meta.url), 'utf8')).toBe(
      writeClasses(sample, derive(sample)),
    );
  });

  test('uses in its markup only classes that the sheet has, and shows each of the structure', () => {
    const plain = sampleDocument();
    const { classes } = seenIn(writeCss(derive(plain)));
    for (const { name, markup } of STRUCTURE) {
      const used = [...markup.matchAll(/class="([^"]*)"/g)].flatMap(([, names = '']) =>
        names.split(' '),
      );
      expect([name, used.filter((one) => !classes.includes(one))]).toEqual([name, []]);
      expect(used).toContain(name);
    }
  });
});

test.each(['initial', 'inherit', 'unset', 'revert', 'revert-layer', 'default'])(
  'a layer cannot be called %s, which CSS keeps for itself',
  // CSS Cascade 5, 6.4.4: layer names exclude the CSS-wide keywords; CSS Values 4, 4.1, custom-ident.
  (layer) => {
    expect(() => sampleDocument([{ op: 'add', path: '/tokens/sheet', value: { layer } }])).toThrow(
      'keeps this word',
    );
  },
);
