import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { derive } from '@garnish/core/derive/derive';
import { parseColor, parseTransparentColor } from '@garnish/core/color/parse-color';
import { fillsOf, plainPaints } from '@garnish/core/formats/artwork-fills';
import { writeCss } from '@garnish/core/formats/css';
import { writeDtcg } from '@garnish/core/formats/dtcg';
import { writeHandoff } from '@garnish/core/formats/handoff';
import { PALETTE_FORMATS, readPalette, writePalette } from '@garnish/core/formats/palette-files';
import { readDtcg, type ReadDtcg } from '@garnish/core/formats/read-dtcg';
import { readFiles } from '@garnish/core/formats/reading-files';
import { takeTokens } from '@garnish/core/formats/take-tokens';
import { cropped } from '@garnish/core/icons/crop';
import { evened } from '@garnish/core/icons/drawing';
import { measureIcon } from '@garnish/core/icons/measure';
import { readIcon } from '@garnish/core/icons/read-svg';
import { writeSvg } from '@garnish/core/icons/write-svg';
import { namingIcon } from '@garnish/core/system/icons';
import { patched, patchSchema } from '@garnish/core/system/patch';
import { sampleDocument } from '@garnish/core/system/sample';
import { readDocument } from '@garnish/core/system/upgrade';
import { fitScales, readSizes } from '@garnish/core/type/read-sizes';
import { createFontReader } from '@garnish/server/fonts/font-reader';
import { mutatedBytes, mutatedText, type Target } from './fuzz-engine.ts';

const text = (
  name: string,
  share: number,
  seeds: readonly string[],
  take: (input: string) => boolean | Promise<boolean>,
): Target<string> => ({
  name,
  share,
  seeds,
  mutate: mutatedText,
  take,
  show: (input) => JSON.stringify(input.slice(0, 2000)),
});

const parsed = (given: string): unknown => {
  try {
    return JSON.parse(given);
  } catch {
    return undefined;
  }
};

const sample = sampleDocument();
const derived = derive(sample);

/** Token files as they come, and finds that were made before. */
const TOKEN_FILES = [
  writeDtcg(derived, sample),
  '{"a": {"$type": "color", "$value": "#123456"}, "b": {"$type": "color", "$value": "{a}"}}',
  '{"s": {"$type": "shadow", "$value": [{"color": "{a}", "offsetX": "1px", "offsetY": "2px", "blur": "3px"}]}, "a": {"$type": "color", "$value": "rgb(0 0 0 / 50%)"}}',
  '{"g": {"$type": "dimension", "x": {"$value": "16px", "$extensions": {"app.garnish": {"value": {"em": 2}}}}}}',
  '{"__proto__": {"x": {"$type": "number", "$value": 1}}}',
  '{"a": {"$type": "__proto__", "$value": 1}}',
  `{"a": {"$type": "${'x'.repeat(60)}", "$value": 1}}`,
  '{"e": {"$type": "border", "$value": {"color": "{a}", "width": "{w}", "style": "dashed"}}, "a": {"$type": "color", "$value": "#123456"}, "w": {"$type": "dimension", "$value": "2px"}}',
  '{"$root": {"$type": "number", "$value": 1}, "$extensions": {"app.garnish": {"decisions": {}}}}',
];

/** Files that belong together: one after the other, a sign between them that none of them has. */
const BETWEEN = '\f';
const TOKEN_SETS = [
  [
    '{"version":"2025.10","sets":{"base":{"sources":[{"$ref":"file-1"}]}},"modifiers":{"theme":{"contexts":{"light":[],"dark":[{"$ref":"file-2"}]},"default":"light"}},"resolutionOrder":[{"$ref":"#/sets/base"},{"$ref":"#/modifiers/theme"}]}',
    '{"a":{"$description":"Words","$type":"color","one":{"$value":"#123456"},"two":{"$value":"{a.one}"}}}',
    '{"a":{"one":{"$type":"color","$value":"#ffffff"}}}',
  ],
  ['{"a":{"$type":"number","$value":1}}', ':root { --b: 4px; --c: var(--b) }'],
  [
    '{"e":{"$type":"border","$value":{"color":"{a}","width":"{w}","style":"solid"}}}',
    '{"a":{"$type":"color","$value":"#123456"},"w":{"$type":"dimension","$value":"1px"}}',
  ],
].map((files) => files.join(BETWEEN));

const takenSets = (given: string): boolean =>
  takenRead(readFiles(given.split(BETWEEN).map((own, at) => ({ name: `file-${at}`, text: own }))));

const takenTokens = (given: string): boolean => takenRead(readDtcg(given));

const takenRead = (read: ReadDtcg): boolean => {
  if (read.kind !== 'tokens') return read.kind === 'problem';
  let number = 0;
  const taking = takeTokens(
    sample.tokens.custom,
    derived.tokens,
    read.tokens,
    () => `new-${(number += 1)}`,
  );
  if (taking.patch.length === 0) return true;
  const result = patched(sample, taking.patch);
  // What was taken in words has to fit: the same rules stand in both places.
  if (!result.ok)
    throw new Error(`taken, and then refused: ${JSON.stringify(result.problems.slice(0, 3))}`);
  if (number % 7 === 0) {
    const after = derive(result.document);
    writeCss(after);
    writeHandoff(result.document, after);
    JSON.parse(writeDtcg(after, result.document));
  }
  return false;
};

const PATCHES = [
  [{ op: 'replace', path: '/space/unit', value: 6 }],
  [{ op: 'add', path: '/accepted/one', value: { reason: 'because' } }],
  [{ op: 'remove', path: '/content/pattern' }],
  [{ op: 'replace', path: '/color/sources/items/brand/value', value: '#123456' }],
  [{ op: 'add', path: '/accepted/toString/call', value: 1 }],
  [{ op: 'replace', path: '/type/roles/order/0', value: 'h1' }],
  [
    {
      op: 'add',
      path: '/tokens/sheet',
      value: {
        properties: 'rc',
        registered: true,
        tiers: { semantic: { prefix: 'x', groupLast: true, joint: '_' } },
        called: { order: ['a'], items: { a: { of: 'color.page', name: 'b.c' } } },
        former: { order: ['a'], items: { a: { properties: 'y' } } },
      },
    },
  ],
  [
    {
      op: 'replace',
      path: '/tokens/custom',
      value: {
        order: ['a', 'b'],
        items: {
          a: {
            path: 'm.a',
            type: 'color',
            value: '#123456',
            made: { of: 'color.page', times: 0.5 },
          },
          b: {
            path: 'm.b',
            type: 'shadow',
            value: [{ color: '#000', offsetX: 1 }],
            parts: { '/0/color': 'm.a' },
            dark: { value: 1, alias: 'm.a' },
          },
        },
      },
    },
  ],
].map((patch) => JSON.stringify(patch));

const takenPatch = (given: string): boolean => {
  const read = patchSchema.safeParse(parsed(given));
  if (!read.success) return true;
  const result = patched(sample, read.data);
  if (!result.ok) return true;
  // Whatever was taken is derived and written: names, and tokens made by hand, have most to say there.
  if (JSON.stringify(read.data).includes('/tokens/')) {
    const after = derive(result.document);
    writeCss(after, result.document.tokens.sheet);
    JSON.parse(writeDtcg(after, result.document));
  }
  return false;
};

const SVG = [
  '<svg viewBox="0 0 9 9"><path fill="#e6007e" style="stroke: rgb(1 2 3); opacity: 1" d="M0 0h9"/></svg>',
  '<svg onload="x()"><rect fill="red" stroke=\'blue\'/></svg>',
];

/** Icons as programs write them, with transforms, styles, uses, and what may not come in. */
const ICONS = [
  '<svg viewBox="0 0 24 24"><g transform="translate(2 3) rotate(45 9 9) scale(-1 .5)"><path d="M3 12h18M12 3a9 9 0 0 1 0 18zm-4-4c1 1 2 2 4 4s.5.5 1 1t3 3q1-1 2 2" fill="none" stroke="currentColor" stroke-width="1.5"/></g></svg>',
  '<svg width="12mm" height="8"><rect x="1" y="1" width="9" height="6" rx="2"/><circle cx="5" cy="5" r="2" opacity=".2"/><ellipse cx="3" cy="3" rx="1" ry="2"/><line x1="0" y1="0" x2="9" y2="9" stroke="#f00"/><polyline points="0,0 3 3 4,1"/><polygon points="1 1 2 2 3 1"/></svg>',
  '<svg viewBox="0 0 9 9"><defs><path id="a" d="M0 0H9V9Z"/></defs><use href="#a" transform="matrix(1 0 0 1 1e9 1)"/><style>path{fill:url(http://x.example)}</style><script>x()</script></svg>',
];

/** An icon goes the way that one goes that somebody brings: what was read has to fit into the system. */
const takenIcon = (given: string): boolean => {
  const reading = readIcon(given);
  if (!reading.ok) return true;
  const { drawing } = cropped(reading.drawing);
  const measures = measureIcon(drawing);
  if (!measures) return true;
  evened(drawing);
  const written = writeSvg(drawing);
  if (/<script|onload|https?:\/\/(?!www\.w3\.org\/2000\/svg)|url\(/i.test(written))
    throw new Error(`what acts or loads came through: ${written.slice(0, 400)}`);
  const result = patched(sample, namingIcon(sample, 'own-one', { name: 'One', drawing, measures }));
  if (!result.ok)
    throw new Error(`read, and then refused: ${JSON.stringify(result.problems.slice(0, 3))}`);
  return false;
};

const require = createRequire(import.meta.url);
const FONT = readFileSync(require.resolve('@fontsource/aleo/files/aleo-latin-400-normal.woff2'));

const readers: readonly Target<string>[] = [
  text('tokens', 10, TOKEN_FILES, takenTokens),
  text('token sets', 8, TOKEN_SETS, takenSets),
  text(
    'palettes',
    25,
    PALETTE_FORMATS.map((format) =>
      writePalette(
        {
          name: 'Dunes',
          colors: [
            { name: 'sand', hex: '#c8b48a' },
            { name: '', hex: '#102030' },
          ],
        },
        format,
      ),
    ),
    (given) => !readPalette(given, 'palette.txt').ok,
  ),
  text(
    'colors',
    30,
    [
      'rgb(1 2 3 / 50%)',
      '#fff',
      'oklch(60% 0.1 40deg)',
      'color(display-p3 1 0 0)',
      'calc(1px)',
      'hsl(none 1% 1%)',
      'rebeccapurple',
      'color-mix(in oklab, red, blue)',
      // A find: the parser threw.
      'rgb(1 2 clamp(3 / 5{%)',
    ],
    (given) => {
      parseTransparentColor(given);
      return !parseColor(given).ok;
    },
  ),
  text(
    'sizes',
    15,
    [
      '12, 14, 16, 20px, 25, 31.25',
      'h1 { font-size: clamp(1rem, 2vw + 1rem, 3rem); --a: 2em }',
      'font: 12pt/1.5 serif;',
    ],
    (given) => {
      const sizes = readSizes(given).slice(0, 30);
      return fitScales(sizes.map(({ px }) => px)).length === 0;
    },
  ),
  text('svg', 10, SVG, (given) => {
    fillsOf(plainPaints(given));
    return false;
  }),
  text('icons', 4, ICONS, takenIcon),
  text('patches', 15, PATCHES, takenPatch),
  text('documents', 4, [JSON.stringify(sample)], (given) => !readDocument(parsed(given)).ok),
];

const reader = createFontReader();
const fonts: Target<Uint8Array> = {
  name: 'fonts',
  share: 2,
  seeds: [Uint8Array.from(FONT)],
  mutate: mutatedBytes,
  take: async (bytes) => !(await reader.measure(bytes)).ok,
  show: (bytes) => Buffer.from(bytes).toString('base64').slice(0, 4000),
  close: () => reader.close(),
};

/** Every reader of what comes from outside, but for the routes of the server. */
export const TARGETS: readonly Target<never>[] = [
  ...readers,
  fonts,
] as unknown as readonly Target<never>[];
