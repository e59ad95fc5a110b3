import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { FORMATS } from '../formats/formats.ts';
import { plainTokens } from '../formats/plain-tokens.ts';
import { WIDE } from '../formats/sheet.ts';
import { writeVerified } from '../formats/verified.ts';
import { MODES, type StyleDocument } from '../system/document.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { checkVerified } from './findings.ts';
import { isSameComputed, probeOf } from './probe.ts';
import { readingOf } from './readings.ts';
import { MOST_TOLD, reporting, unreadable, verification, wordsOfFile } from './report.ts';
import { nowhere, shownValues } from './shown.ts';
import { VERIFIABLE, verifiableOf, type VerifiableFile } from './verifiable.ts';

const item = (path: string, more: object) => ({ path, type: 'color', ...more });
const white = { colorSpace: 'srgb', components: [1, 1, 1], alpha: 1, hex: '#ffffff' };
const black = { colorSpace: 'srgb', components: [0, 0, 0], alpha: 1, hex: '#000000' };
/** Names, themes, classes and tokens from elsewhere as far from the usual as they go. */
const ODD: Patch = [
  { op: 'add', path: '/tokens/sheet', value: { properties: 'rc', classes: 'x', layer: 'look' } },
  { op: 'add', path: '/color/themes', value: 'dark first' },
  {
    op: 'add',
    path: '/space/utilities',
    value: { prefix: 'u-', steps: 'all', breakpoints: true },
  },
  {
    op: 'replace',
    path: '/tokens/custom',
    value: jsonOf({
      order: ['base', 'again', 'edge'],
      items: {
        base: item('old.base', { value: white, dark: { value: black } }),
        again: item('old.again', { value: white, alias: 'old.base' }),
        edge: item('old.edge', {
          type: 'border',
          value: { width: { value: 1, unit: 'px' }, style: 'solid', color: white },
          parts: { '/color': 'old.base' },
        }),
      },
    }),
  },
];
const systems: readonly (readonly [string, StyleDocument])[] = [
  ['the usual system', sampleDocument()],
  ['a system of odd names', sampleDocument(ODD)],
];

async function written(file: VerifiableFile | 'tokens.css', document: StyleDocument) {
  const format = FORMATS.find((one) => one.file === file);
  if (!format) throw new Error(`there is no ${file}`);
  return format.write(document, derive(document));
}

async function readingIn(file: VerifiableFile, document: StyleDocument, text?: string) {
  const sheet = await written('tokens.css', document);
  const own = text ?? (await written(file, document));
  return readingOf(file, own, { document, derived: derive(document), sheet });
}

describe.each(systems)('of %s', (_, document) => {
  const derived = derive(document);

  test('what is shown stands for itself, as the files of other languages have it', () => {
    for (const mode of MODES) {
      const shown = shownValues(derived, mode, nowhere);
      for (const { id, values } of plainTokens(document, derived).tokens)
        expect([id, mode, shown.get(id)]).toEqual([id, mode, values[mode].css]);
    }
  });

  test.each(VERIFIABLE.filter((file) => verifiableOf(document).includes(file)))(
    '%s is asked for every token that is shown',
    async (file) => {
      const reading = await readingIn(file, document);
      for (const mode of reading.modes) {
        const asked = new Set(reading.asked(mode, () => true).map(({ token }) => token));
        for (const id of shownValues(derived, mode, reading.holds(nowhere)).keys())
          expect([id, asked.has(id) || reading.without.has(id)]).toEqual([id, true]);
      }
      expect(reading.widths.length).toBeGreaterThan(1);
    },
  );

  test.each([
    'tokens.json',
    'tokens-theme.json',
    'tokens-other-theme.json',
    'tokens-flat.json',
    'tokens-nested.json',
    'tokens.csv',
  ] as const)('%s says the same values, which a changed one does not', async (file) => {
    const text = await written(file, document);
    const told = (reading: Awaited<ReturnType<typeof readingIn>>) => {
      const holds = reading.holds(nowhere);
      return reading.modes.flatMap((mode) => {
        const shown = shownValues(derived, mode, holds);
        return reading
          .asked(mode, holds)
          .filter(
            ({ token, css = '', probe }) =>
              probe.set === 'color' && !isSameComputed(css, shown.get(token) ?? '', probe.within),
          )
          .map(({ token }) => token);
      });
    };
    const colors = /#[0-9a-f]{6}/g;
    expect(told(await readingIn(file, document, text))).toEqual([]);
    const changed = await readingIn(file, document, text.replaceAll(colors, '#123456'));
    expect(told(changed).length).toBeGreaterThan(50);
  });
});

describe('what is shown', () => {
  const document = sampleDocument();
  const derived = derive(document);

  test('is another on other screens, where their rules hold, and for what is taken from it', () => {
    const narrow = shownValues(derived, 'light', nowhere);
    const reduced = shownValues(derived, 'light', (within) => within.includes('reduced-motion'));
    const other = [...narrow].filter(([id, value]) => reduced.get(id) !== value).map(([id]) => id);
    expect(other.length).toBeGreaterThan(0);
    for (const id of other) expect(derived.tokenById.get(id)?.type).toMatch(/duration|transition/);
  });

  test('goes beyond sRGB where a screen does', () => {
    const vivid = derive(
      sampleDocument([
        {
          op: 'replace',
          path: '/color/roles/items/action/light',
          value: { kind: 'own', value: '#dfae3a', wide: 'oklch(0.79 0.19 84)' },
        },
      ]),
    );
    const token = vivid.tokenById.get('color.action');
    expect(shownValues(vivid, 'light', (within) => within === WIDE).get('color.action')).toBe(
      token?.values.light.wide,
    );
    expect(shownValues(vivid, 'light', nowhere).get('color.action')).toBe(token?.values.light.css);
    expect(token?.values.light.wide).toBeDefined();
  });
});

describe('computed values', () => {
  test.each([
    ['1px solid rgb(0, 0, 0)', '1px solid rgb(0, 0, 0)', 0, true],
    ['16.0004px', '16px', 0.01, true],
    ['16.02px', '16px', 0.01, false],
    ['16px', '16em', 0.01, false],
    ['rgb(51, 102, 153)', 'color(srgb 0.2 0.4 0.6)', 0.0021, true],
    ['rgba(51, 102, 153, 0.24)', 'color(srgb 0.2 0.4 0.6 / 0.2392)', 0.0021, true],
    ['rgb(51, 102, 153)', 'rgb(52, 102, 153)', 0.0021, false],
    ['"Face 12"', '"Face 13"', 5, false],
    ['16 / 9', '1.77778 / 1', 0.0006, true],
    ['none', '0px', 1, false],
    ['1px 2px', '1px', 1, false],
  ])('%s beside %s', (one, other, within, isSame) => {
    expect(isSameComputed(one, other, within)).toBe(isSame);
    expect(isSameComputed(other, one, within)).toBe(isSame);
  });

  test('that differ by more than is allowed are never the same, whatever stands around them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1000, max: 1000 }),
        fc.integer({ min: -1000, max: 1000 }),
        fc.constantFrom('$px', 'calc($px + 10%)', 'a $ b', '0 0 $px rgb(1, 2, 3)'),
        (one, other, frame) => {
          const put = (number: number): string => frame.replace('$', String(number / 10));
          expect(isSameComputed(put(one), put(other), 0.05)).toBe(one === other);
        },
      ),
    );
  });

  test('are seen for every type that CSS has one value for', () => {
    const { tokens } = derive(sampleDocument(ODD));
    for (const { id, type, values } of tokens)
      expect([id, probeOf(type, values.light.css) !== undefined]).toEqual([
        id,
        values.light.css !== undefined,
      ]);
  });
});

describe('a report', () => {
  const seeing = async (count: number) => {
    const reading = await readingIn('tokens.css', sampleDocument());
    const report = reporting('tokens.css', reading);
    const [asked] = reading.asked('light', nowhere);
    if (!asked) throw new Error('nothing is asked');
    for (let at = 0; at < count; at += 1)
      report.see({ asked, shown: ['rgb(1, 2, 3)'], read: ['rgb(9, 9, 9)'] }, 'light', 360 + at);
    report.see({ asked, shown: ['rgb(1, 2, 3)'], read: ['rgb(1, 2, 3)'] }, 'dark', 360);
    report.miss('color.gone', '#fff', 'dark', 360);
    return report.end();
  };

  test('counts all, tells the first, says what is missing, and can be kept', async () => {
    const report = await seeing(MOST_TOLD + 20);
    expect(report).toMatchObject({ values: MOST_TOLD + 22, unequal: MOST_TOLD + 21, tokens: 2 });
    expect(report.told).toHaveLength(MOST_TOLD);
    expect(verification.safeParse({ files: [report] }).success).toBe(true);
    expect(wordsOfFile(report)).toContain('121 differ');
    const text = writeVerified({ name: 'A *b*' }, { files: [report] });
    expect(text).toContain('# A \\*b\\*: verified files');
    expect(text).toContain('`rgb(9, 9, 9)`');
    expect(text).toContain('And 21 more.');
  });

  test('is a finding for each file that differs or could not be read, and for no other', async () => {
    const right = { ...(await seeing(0)), unequal: 0, told: [] };
    const wrong = await seeing(1);
    const broken = unreadable('tokens.json', 'This is no JSON.');
    const found = checkVerified({
      files: [right, { ...wrong, file: 'tokens-stepped.css' }, broken],
    });
    expect(found.map(({ id }) => id)).toEqual([
      'verified:tokens-stepped.css',
      'verified:tokens.json',
    ]);
    expect(found[0]?.figures).toContain('is rgb(9, 9, 9) in the file, and rgb(1, 2, 3) here');
    expect(found[1]?.figures).toBe('This is no JSON.');
  });

  test('says that nothing was verified where nothing was', () => {
    expect(writeVerified({ name: 'One' }, undefined)).toContain('were not verified');
  });
});

test('a file that is none of its kind is refused in words', async () => {
  await expect(readingIn('tokens-flat.json', sampleDocument(), '{')).rejects.toThrow(/JSON/);
  await expect(readingIn('tokens.json', sampleDocument(), '{}')).rejects.toThrow('no token');
});

/** Systems of any names, themes, classes and tokens of their own. */
const anySystem = fc
  .record({
    themes: fc.constantFrom('light and dark', 'light only', 'dark only', 'dark first'),
    properties: fc.option(fc.constantFrom('rc', 'x-y'), { nil: undefined }),
    groupLast: fc.boolean(),
    joint: fc.constantFrom(undefined, '_', '--'),
    isKept: fc.boolean(),
    unit: fc.integer({ min: 4, max: 12 }),
    base: fc.integer({ min: 14, max: 22 }),
    root: fc.constantFrom(62.5, 100, 125),
    page: fc.integer({ min: 0, max: 0xffffff }),
    alpha: fc.integer({ min: 0, max: 100 }),
    length: fc.integer({ min: -40, max: 400 }),
    isDark: fc.boolean(),
  })
  .map((one): StyleDocument => {
    const { properties, groupLast, joint, isKept, alpha, length, isDark } = one;
    const ink = { colorSpace: 'srgb', components: [0.2, 0.4, 0.6], alpha: alpha / 100 };
    const px = (value: number) => ({ value, unit: 'px' });
    const [anchor = ''] = sampleDocument().type.anchors.order;
    return sampleDocument([
      ...(one.themes === 'light and dark'
        ? []
        : [{ op: 'add', path: '/color/themes', value: one.themes } as const]),
      { op: 'replace', path: '/space/unit', value: one.unit },
      { op: 'replace', path: `/type/anchors/items/${anchor}/base`, value: one.base },
      { op: 'add', path: '/type/root', value: one.root },
      {
        op: 'replace',
        path: '/color/roles/items/page/light',
        value: { kind: 'own', value: `#${one.page.toString(16).padStart(6, '0')}` },
      },
      {
        op: 'add',
        path: '/tokens/sheet',
        value: jsonOf({
          properties,
          tiers: {
            semantic: { prefix: 's', ...(groupLast && { groupLast }), joint },
            component: { joint },
          },
          ...(isKept && { former: { order: ['a'], items: { a: {} } } }),
        }),
      },
      {
        op: 'replace',
        path: '/tokens/custom',
        value: jsonOf({
          order: ['ink', 'gap', 'edge', 'again', 'cast', 'glow', 'twice'],
          items: {
            ink: item('m.ink', { value: ink, ...(isDark && { dark: { value: white } }) }),
            gap: item('m.gap', { type: 'dimension', value: px(length) }),
            edge: item('m.edge', {
              type: 'border',
              value: { width: px(1), style: 'solid', color: ink },
              parts: { '/color': 'm.ink', '/width': 'm.gap' },
            }),
            again: item('m.again', { type: 'border', value: 0, alias: 'm.edge' }),
            cast: item('m.cast', {
              type: 'shadow',
              value: [{ color: ink, offsetX: px(0), offsetY: px(1), blur: px(2), spread: px(0) }],
              parts: { '/0/color': 'color.text' },
            }),
            glow: item('m.glow', { value: ink, made: { of: 'color.page', times: 0.5 } }),
            twice: item('m.twice', {
              type: 'dimension',
              value: px(1),
              made: { of: 'type.h1.size', times: 2 },
            }),
          },
        }),
      },
    ]);
  });

test('any system says the same in every file that holds values', async () => {
  await fc.assert(
    fc.asyncProperty(anySystem, async (document) => {
      const derived = derive(document);
      for (const file of VERIFIABLE) {
        if (file.endsWith('.css')) continue;
        const reading = await readingIn(file, document);
        const holds = reading.holds(nowhere);
        for (const mode of reading.modes) {
          const shown = shownValues(derived, mode, holds);
          const asked = reading.asked(mode, holds);
          const seen = new Set(asked.map(({ token }) => token));
          for (const id of shown.keys())
            expect([file, mode, id, seen.has(id)]).toEqual([file, mode, id, true]);
          for (const { token, css = '', probe } of asked) {
            const own = shown.get(token) ?? '';
            // As text, colors may be written in two ways; a browser is asked about all in the browser tests.
            const isWrittenOtherwise = /color\(|rgb|oklch|#/.test(css) && probe.set !== 'color';
            const isRatio = own.includes('/') && probe.set === 'aspect-ratio';
            if (!isWrittenOtherwise && !isRatio && !/rgb\(|color\(/.test(`${own}${css}`))
              expect([file, mode, token, css]).toEqual([file, mode, token, own]);
          }
        }
      }
    }),
    { numRuns: 5 },
  );
});
