import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { generate, parse, walk } from 'css-tree';
import less from 'less';
import Papa from 'papaparse';
import { compileString } from 'sass';
import { SaxesParser } from 'saxes';
import { compile } from 'tailwindcss';
import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { parseTransparentColor } from '../color/parse-color.ts';
import { rgbOf } from '../color/srgb.ts';
import { derive } from '../derive/derive.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import type { Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { fluidPx } from '../type/fluid.ts';
import { placeSlug } from '../type/scale.ts';
import { writeCss } from './css.ts';
import { writeFlatJson, writeNestedJson } from './json.ts';
import { writeKotlin } from './kotlin.ts';
import { writeLess } from './less.ts';
import { writeModule, writeModuleTypes } from './module.ts';
import { plainTokens } from './plain-tokens.ts';
import { writeSass } from './sass.ts';
import { writeSwift } from './swift.ts';
import { writeThemeBlock } from './theme-block.ts';
import { writeCsv, writeMarkdown } from './token-tables.ts';
import { writeXml, writeXmlOther } from './xml-resources.ts';

/** Tokens called as nobody would call them, and as languages call things of their own. */
const NAMES = [
  ['media'],
  ['import'],
  ['light'],
  ['1a', '2b'],
  ['größe', 'groß'],
  ['class', 'default'],
  ['classDefault'],
];
const custom: Patch = [
  { op: 'replace', path: '/tokens/custom/order', value: NAMES.map((_, at) => `t${at}`) },
  ...NAMES.map((name, at): Patch[number] => ({
    op: 'add',
    path: `/tokens/custom/items/t${at}`,
    value: {
      path: name.join('.'),
      type: 'dimension',
      value: { value: at + 1, unit: 'px' },
      description: 'It says "it\'s */ <b>`|, $1" \\ and more',
    },
  })),
];
const prefix: Patch[number] = {
  op: 'add',
  path: '/tokens/sheet',
  value: { properties: 'rc' },
};

const SYSTEMS: readonly (readonly [string, StyleDocument])[] = [
  ['as it starts', sampleDocument()],
  ['with strange names', sampleDocument(custom)],
  [
    'with a prefix, dark first',
    sampleDocument([prefix, { op: 'add', path: '/color/themes', value: 'dark first' }]),
  ],
  ['in one theme', sampleDocument([{ op: 'add', path: '/color/themes', value: 'light only' }])],
];

const known = new Map<StyleDocument, Map<Mode, ReadonlyMap<string, string>>>();

/** What the exported style sheet declares on the root in a theme, its references followed here. */
function declaredIn(document: StyleDocument, mode: Mode): ReadonlyMap<string, string> {
  const before = known.get(document) ?? new Map<Mode, ReadonlyMap<string, string>>();
  known.set(document, before);
  const found = before.get(mode) ?? readDeclared(document, mode);
  before.set(mode, found);
  return found;
}

function readDeclared(document: StyleDocument, mode: Mode): ReadonlyMap<string, string> {
  const declared = new Map<string, string>();
  const take = (chosen: boolean): void =>
    walk(parse(writeCss(derive(document), document.tokens.sheet), { parseCustomProperty: false }), {
      visit: 'Rule',
      enter(node) {
        const selector = generate(node.prelude);
        const isChosen =
          selector.includes(`data-theme="${mode}"`) || selector.includes(`data-theme=${mode}`);
        if (this.atrule || (chosen ? !isChosen : selector !== ':root')) return;
        for (const one of node.block.children)
          if (one.type === 'Declaration' && one.property.startsWith('--'))
            declared.set(one.property, generate(one.value).trim());
      },
    });
  take(false);
  take(true);
  const followed = (value: string, depth = 0): string =>
    depth > 20
      ? value
      : value.replaceAll(/var\((--[^,()]+)(?:,[^()]*)?\)/gu, (_, name: string) =>
          followed(declared.get(name) ?? 'missing', depth + 1),
        );
  return new Map([...declared].map(([name, value]) => [name, followed(value)]));
}

/** Spaces and zeros as nobody sees them. */
const plain = (css: string): string =>
  css
    .replaceAll(/\s*,\s*/g, ',')
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/(?<![\d.])0\./g, '.')
    .replaceAll(/['"]/g, '')
    .trim();

/** Whether two texts say the same value: the same text, or the same color. */
function isSame(one: string, other: string): boolean {
  if (plain(one) === plain(other)) return true;
  const [number, ratio] = [one, other].map((text) => {
    const [, above, below = '1'] = /^([\d.]+)(?:\s*\/\s*([\d.]+))?$/.exec(text) ?? [];
    return Number(above) / Number(below);
  });
  if (Math.abs((number ?? NaN) - (ratio ?? NaN)) < 1e-4) return true;
  const [a, b] = [parseTransparentColor(one), parseTransparentColor(other)];
  return (
    a.ok &&
    b.ok &&
    oklabDistance(oklabOf(rgbOf(a.hex)), oklabOf(rgbOf(b.hex))) < 0.001 &&
    Math.abs(a.alpha - b.alpha) < 0.005
  );
}

/** What the style sheet declares that is no token: shadows put together by theme, signs that its rules draw. */
const OF_RULES = /^--(?:rc-)?(?:cast|sign)-/;

/** Values that are not as the style sheet has them, or as `seen` sees those. */
const wrongOf = (
  said: ReadonlyMap<string, string>,
  document: StyleDocument,
  mode: Mode,
  seen = (wanted: ReadonlyMap<string, string>) => wanted,
): readonly string[] => {
  const wanted = seen(
    new Map([...declaredIn(document, mode)].filter(([name]) => !OF_RULES.test(name))),
  );
  return [...wanted].flatMap(([name, value]) => {
    const own = said.get(name);
    return own !== undefined && isSame(own, value)
      ? []
      : [`${name}: ${own ?? 'nothing'}, not ${value}`];
  });
};

/** Values as Sass writes them that it computed: colors in an older form, sums as one length. */
const throughSass = (wanted: ReadonlyMap<string, string>): ReadonlyMap<string, string> =>
  propertiesOf(
    compileString(
      `.all { ${[...wanted].map(([name, value]) => `${name}: #{${value.replace(/^(\d+) ?\/ ?(\d+)$/, 'calc($1 / $2)')}};`).join('\n')} }`,
    ).css,
    '.all',
  );

/** Custom properties of a rule of a compiled sheet. */
function propertiesOf(css: string, selector: string): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  walk(parse(css, { parseCustomProperty: false }), {
    visit: 'Rule',
    enter(node) {
      if (generate(node.prelude) !== selector) return;
      for (const one of node.block.children)
        if (one.type === 'Declaration') found.set(one.property, generate(one.value).trim());
    },
  });
  return found;
}

describe.each(SYSTEMS)('a system %s', (_, document) => {
  const derived = derive(document);
  const { modes, tokens } = plainTokens(document, derived);
  const [first] = modes;

  test('has plain values that are those of its style sheet, in each theme', () => {
    for (const mode of modes) {
      const said = new Map(tokens.map(({ name, values }) => [`--${name}`, values[mode].css]));
      expect(wrongOf(said, document, mode)).toEqual([]);
      expect([...said.keys()].filter((name) => !declaredIn(document, mode).has(name))).toEqual([]);
    }
  });

  test('is compiled by Sass: variables and maps have the values of the style sheet', () => {
    const written = writeSass(document, derived);
    const variables = [...written.matchAll(/^\$([\p{L}\p{N}_-]+): /gmu)].map(
      ([, name = '']) => name,
    );
    const asked = `${written}
.variables { ${tokens.map(({ name }) => `--${name}: #{map-get($${first}, "${name}")};`).join('\n')} }
${modes.map((mode) => `.${mode} { @each $name, $value in $${mode} { --#{$name}: #{$value}; } }`).join('\n')}`;
    const { css } = compileString(asked, { silenceDeprecations: ['global-builtin'] });
    expect(variables).toHaveLength(tokens.length + modes.length);
    expect(wrongOf(propertiesOf(css, '.variables'), document, first, throughSass)).toEqual([]);
    for (const mode of modes)
      expect(wrongOf(propertiesOf(css, `.${mode}`), document, mode, throughSass)).toEqual([]);
  });

  test('is compiled by Less: variables and maps have the values of the style sheet', async () => {
    const written = writeLess(document, derived);
    const names = [...written.matchAll(/^@([\w-]+): (?!\{)/gm)].map(([, name = '']) => name);
    expect(names).toHaveLength(tokens.length);
    expect(new Set(names).size).toBe(names.length);
    const { css } = await less.render(
      `${written}\n${modes.map((mode) => `.${mode} { each(@${mode}, { --@{key}: @value; }); }`).join('\n')}`,
    );
    for (const mode of modes) {
      const said = propertiesOf(css, `.${mode}`);
      const byName = new Map(
        tokens.map(({ name }, at) => [`--${name}`, said.get(`--${names[at] ?? ''}`) ?? 'nothing']),
      );
      expect(wrongOf(byName, document, mode)).toEqual([]);
    }
  });

  test('is the same as JSON, flat and in groups', () => {
    const flat = JSON.parse(writeFlatJson(document, derived)) as Record<string, object>;
    const nested = JSON.parse(writeNestedJson(document, derived)) as Record<string, unknown>;
    expect(Object.keys(flat)).toEqual(modes);
    for (const mode of modes) {
      const said = new Map(
        Object.entries(flat[mode] ?? {}).map(([name, value]) => [`--${name}`, String(value)]),
      );
      expect(wrongOf(said, document, mode)).toEqual([]);
      for (const { path: at, name } of tokens) {
        const found = at.reduce<unknown>(
          (group, part) =>
            typeof group === 'object' && group !== null && Object.hasOwn(group, part)
              ? (group as Record<string, unknown>)[part]
              : undefined,
          nested[mode],
        );
        expect(String(found)).toBe(said.get(`--${name}`));
      }
    }
  });

  test('is a table that a spreadsheet reads, with a row for each token', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(writeCsv(document, derived), {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(tokens.length);
    for (const mode of modes) {
      const column = modes.length === 1 ? 'value' : mode;
      const said = new Map(data.map((row) => [row['property'] ?? '', row[column] ?? '']));
      expect(wrongOf(said, document, mode)).toEqual([]);
    }
    const rows = writeMarkdown(document, derived)
      .split('\n')
      .filter((line) => line.startsWith('| `--'));
    expect(rows).toHaveLength(tokens.length);
    // As many cells in every row, whatever a description holds.
    expect(new Set(rows.map((row) => row.split(/(?<!\\)\|/).length)).size).toBe(1);
  });

  test('is XML that a parser reads, each name once, colors and lengths as in the style sheet', () => {
    const texts = [
      writeXml(document, derived),
      ...(modes.length > 1 ? [writeXmlOther(document, derived)] : []),
    ];
    texts.forEach((xml, which) => {
      const items = new Map<string, string>();
      const names: string[] = [];
      const parser = new SaxesParser();
      let text = '';
      parser.on('error', (error) => {
        throw error;
      });
      parser.on('opentag', () => (text = ''));
      parser.on('text', (more) => (text += more));
      parser.on('closetag', ({ attributes: { name } }) => {
        if (name === undefined) return;
        names.push(name);
        items.set(name, text);
      });
      parser.write(xml).close();
      expect(new Set(names).size).toBe(names.length);
      for (const name of names) expect(name).toMatch(/^[a-z][a-z0-9_]*$/);
      const mode = modes[which] ?? first;
      const wanted = declaredIn(document, mode);
      for (const token of tokens.filter(({ type }) => type === 'color')) {
        const item = items.get(token.name.replaceAll('-', '_').toLowerCase());
        if (item === undefined && which === 1) continue;
        const read1 = parseTransparentColor(wanted.get(`--${token.name}`) ?? '');
        if (!read1.ok) throw new Error(token.id);
        expect([token.id, item?.slice(3).toLowerCase()]).toEqual([token.id, read1.hex.slice(1)]);
        expect(Number.parseInt(item?.slice(1, 3) ?? '', 16) / 255).toBeCloseTo(read1.alpha, 2);
      }
    });
  });

  test('is constants of Swift and Kotlin, each name once, none that the language keeps for itself', () => {
    for (const [written, sign] of [
      [writeSwift(document, derived), 'public static let'],
      [writeKotlin(document, derived), '(?:const )?val'],
    ] as const) {
      const names = [
        ...written.matchAll(new RegExp(`^ {2}${sign} (\\w+)(?:: \\w+)? = `, 'gm')),
      ].map(([, name = '']) => name);
      expect(names.length).toBeGreaterThan(tokens.length / 2);
      expect(new Set(names).size).toBe(names.length);
      for (const name of names) expect(name).toMatch(/^[a-z_]\w*$/i);
      expect(names).not.toContain('class');
      expect(names).not.toContain('import');
      const page = parseTransparentColor(
        declaredIn(document, first).get(
          `--${document.tokens.sheet?.properties === undefined ? '' : 'rc-'}color-page`,
        ) ?? '',
      );
      expect(page.ok && written).toContain(page.ok ? `0xFF${page.hex.slice(1).toUpperCase()}` : '');
    }
  });
});

test('a size that flows stands in applications at its smallest, over all widths', () => {
  const document = sampleDocument();
  const derived = derive(document);
  const kotlin = writeKotlin(document, derived);
  let compared = 0;
  for (const { place, ownSize, size } of derived.styles.values()) {
    if (ownSize) continue;
    const name = `scale${placeSlug(place)
      .split('-')
      .map((part) => `${part.slice(0, 1).toUpperCase()}${part.slice(1)}`)
      .join('')}`;
    const said = Number(new RegExp(`val ${name}: Double = ([\\d.]+)`).exec(kotlin)?.[1]);
    const smallest = Math.min(
      ...Array.from({ length: 500 }, (_, at) => fluidPx(size, 100 + at * 10)),
    );
    expect([name, Math.abs(said - smallest) < 0.01]).toEqual([name, true]);
    compared += 1;
  }
  expect(compared).toBeGreaterThan(5);
});

describe('the module', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'garnish-module-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  const document = sampleDocument(custom);
  const derived = derive(document);
  const run = (...args: string[]) =>
    spawnSync(process.execPath, args, { cwd: folder, encoding: 'utf8' });
  beforeAll(() => {
    writeFileSync(path.join(folder, 'package.json'), '{"type": "module"}');
    writeFileSync(path.join(folder, 'tokens.js'), writeModule(document, derived));
    writeFileSync(path.join(folder, 'tokens.d.ts'), writeModuleTypes(document, derived));
  });

  test('is loaded by Node, and holds what the JSON in groups holds', () => {
    writeFileSync(
      path.join(folder, 'say.js'),
      `import * as all from './tokens.js'; const { default: first, ...themes } = all;
       if (first !== themes.light) throw new Error('not the first'); if (({}).polluted !== undefined || Object.getPrototypeOf(themes.light) !== Object.prototype) throw new Error('a prototype was changed');
       process.stdout.write(JSON.stringify(themes));`,
    );
    const { stdout, stderr } = run('say.js');
    expect(stderr).toBe('');
    expect(JSON.parse(stdout)).toEqual(JSON.parse(writeNestedJson(document, derived)));
  });

  test('has types that the type checker agrees with, and that refuse what is not there', () => {
    const check = (source: string): string => {
      writeFileSync(path.join(folder, 'use.ts'), source);
      const tsc = path.join(import.meta.dirname, '../../../node_modules/typescript-7/bin/tsc');
      return run(
        tsc,
        '--noEmit',
        '--strict',
        '--module',
        'nodenext',
        '--skipLibCheck',
        'false',
        '--types',
        '',
        'use.ts',
      ).stdout;
    };
    expect(
      check(
        `import tokens, { dark, type CustomProperty } from './tokens.js'; const page: string = dark.color.page; const lines: number = tokens.type.h1['line-height']; const name: CustomProperty = '--color-page'; export default [page, lines, name];`,
      ),
    ).toBe('');
    expect(
      check(`import tokens from './tokens.js'; export default tokens.color.nothing;`),
    ).toContain("'nothing' does not exist");
    expect(check(`import tokens from './tokens.js'; tokens.color.page = '';`)).toContain(
      'read-only',
    );
  });
});

test('the theme block takes custom properties by the names that were chosen', () => {
  const document = sampleDocument([prefix]);
  const taken = [...writeThemeBlock(document, derive(document)).matchAll(/var\((--[\w-]+)\)/g)];
  expect(taken.length).toBeGreaterThan(100);
  for (const [, property = ''] of taken) expect(property).toMatch(/^--rc-/);
});

test('the theme block gives Tailwind CSS classes that take the custom properties', async () => {
  const document = sampleDocument();
  const derived = derive(document);
  const block = writeThemeBlock(document, derived);
  const compiled = await compile(`${block}\n@tailwind utilities;`);
  const css = compiled.build([
    'bg-page',
    'text-h1',
    'font-heading',
    'wide:bg-surface',
    'no-such-class',
  ]);
  expect(propertiesOf(css, '.bg-page').get('background-color')).toBe('var(--color-page)');
  expect(propertiesOf(css, '.font-heading').get('font-family')).toBe('var(--face-heading)');
  const h1 = propertiesOf(css, '.text-h1');
  expect(h1.get('font-size')).toBe('var(--type-h1-size)');
  expect(h1.get('line-height')).toContain('var(--type-h1-line-height)');
  expect(h1.get('letter-spacing')).toContain('var(--type-h1-letter-spacing)');
  expect(css).not.toContain('no-such-class');
  // It declares nothing that the sheet declares: that would be a circle.
  expect(css).not.toMatch(/--color-page:/);
  const declared = declaredIn(document, 'light');
  for (const [, property = ''] of block.matchAll(/var\((--[\w-]+)\)/g))
    expect([property, declared.has(property)]).toEqual([property, true]);
});
