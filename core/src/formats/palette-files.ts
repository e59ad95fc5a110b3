import { parseColor } from '../color/parse-color.ts';
import type { Hex } from '../color/srgb.ts';
import { colorJson } from '../derive/color/color-json.ts';
import { slugs } from '../tokens/token.ts';
import { readDtcg } from './read-dtcg.ts';

/** A color with its name, which may be empty. */
export interface NamedColor {
  readonly name: string;
  readonly hex: Hex;
}

export interface PaletteFile {
  readonly name: string;
  readonly colors: readonly NamedColor[];
}

export type ReadPalette =
  | { readonly ok: true; readonly palette: PaletteFile; readonly leftOut: number }
  | { readonly ok: false; readonly problem: string };

export const PALETTE_FORMATS = ['gpl', 'css', 'json', 'svg', 'txt'] as const;
export type PaletteFormat = (typeof PALETTE_FORMATS)[number];

export const PALETTE_FORMAT_NAMES: Readonly<Record<PaletteFormat, string>> = {
  gpl: 'palette as GPL',
  css: 'CSS properties',
  json: 'JSON tokens',
  svg: 'SVG swatches',
  txt: 'list of hex',
};

const MOST = 256;
const MOST_CHARACTERS = 1024 * 1024;
/** Words of a list that are looked at. */
const MOST_WORDS = 20_000;
/** Longer than any color that CSS writes. */
const LONGEST_COLOR = 400;

const named = (
  colors: readonly NamedColor[],
): readonly (NamedColor & { readonly slug: string })[] => {
  const slugOf = slugs(
    colors.map(({ name, hex }, index) => [
      String(index),
      /^\p{L}/u.test(name) ? name : `color ${name === '' ? hex.slice(1) : name}`,
    ]),
  );
  return colors.map((color, index) => ({
    ...color,
    slug: slugOf.get(String(index)) ?? `${index}`,
  }));
};

const bytes = (hex: Hex): number[] =>
  [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');

const oneLine = (text: string): string => text.replaceAll(/\s+/g, ' ').trim();

const SWATCH = 48;

const WRITE: Readonly<Record<PaletteFormat, (palette: PaletteFile) => string>> = {
  // GIMP palette text, version 2: a head, then red, green, blue and a name a line.
  gpl: ({ name, colors }) =>
    [
      'GIMP Palette',
      `Name: ${oneLine(name)}`,
      'Columns: 0',
      '#',
      ...colors.map(
        (color) =>
          `${bytes(color.hex)
            .map((level) => String(level).padStart(3))
            .join(' ')}\t${oneLine(color.name)}`,
      ),
      '',
    ].join('\n'),
  css: ({ colors }) =>
    `:root {\n${named(colors)
      .map(({ slug, hex }) => `  --${slug}: ${hex};\n`)
      .join('')}}\n`,
  json: ({ name, colors }) =>
    `${JSON.stringify(
      {
        $description: name,
        ...Object.fromEntries(
          named(colors).map((color) => [
            color.slug,
            { $type: 'color', $value: colorJson(color.hex), $description: color.name },
          ]),
        ),
      },
      undefined,
      2,
    )}\n`,
  svg: ({ name, colors }) =>
    [
      `<svg xmlns="http://www.w3.org/2000/svg" width="${colors.length * SWATCH}" height="${SWATCH}">`,
      `<title>${escaped(name)}</title>`,
      ...colors.map(
        (color, index) =>
          `<rect x="${index * SWATCH}" width="${SWATCH}" height="${SWATCH}" fill="${color.hex}"><title>${escaped(color.name)}</title></rect>`,
      ),
      '</svg>',
      '',
    ].join('\n'),
  txt: ({ colors }) => `${colors.map(({ hex }) => hex).join('\n')}\n`,
};

/** A palette as a file of one of the open formats. */
export const writePalette = (palette: PaletteFile, format: PaletteFormat): string =>
  WRITE[format](palette);

const hexOfText = (text: string): Hex | undefined => {
  const read = parseColor(text.slice(0, LONGEST_COLOR));
  return read.ok ? read.hex : undefined;
};

const unescaped = (text: string): string =>
  text.replaceAll('&lt;', '<').replaceAll('&quot;', '"').replaceAll('&amp;', '&');

interface Found {
  readonly name?: string;
  readonly colors: readonly (NamedColor | undefined)[];
}

function readGpl(text: string): Found {
  const lines = text.split(/\r?\n/).slice(1);
  const name = lines
    .find((line) => /^name:/i.test(line))
    ?.slice(5)
    .trim();
  const colors = lines
    .filter((line) => /^\s*\d/.test(line))
    .map((line): NamedColor | undefined => {
      const match = /^\s{0,40}(\d{1,9})\s{1,40}(\d{1,9})\s{1,40}(\d{1,9})(.*)$/.exec(line);
      if (!match) return undefined;
      const hex = hexOfText(`rgb(${match[1]} ${match[2]} ${match[3]})`);
      const inRange = match.slice(1, 4).every((level) => Number(level) <= 255);
      const called = (match[4] ?? '').trim();
      return hex && inRange ? { name: called === 'Untitled' ? '' : called, hex } : undefined;
    });
  return { ...(name !== undefined && name !== '' && { name }), colors };
}

/** The end of what stands before a colon, where it is the name of a custom property. */
const PROPERTY = /(?:^|[\s/])--([\p{L}\p{N}_-]{1,200})$/u;

/** The custom properties of a style sheet, one after the other: each piece of it is looked at once. */
function* propertiesIn(text: string): Generator<readonly [name: string, value: string]> {
  for (const piece of text.split(/[;{}]/)) {
    const colon = piece.indexOf(':');
    const before = colon < 0 ? '' : piece.slice(Math.max(0, colon - 240), colon).trimEnd();
    const name = PROPERTY.exec(before)?.[1];
    if (name !== undefined) yield [name, piece.slice(colon + 1)];
  }
}

const readCss = (text: string): Found => ({
  colors: [...propertiesIn(text)].map(([name, value]): NamedColor | undefined => {
    const hex = hexOfText(value);
    return hex && { name: name.replaceAll('-', ' '), hex };
  }),
});

function readJson(text: string): Found {
  const read = readDtcg(text);
  if (read.kind !== 'tokens') return { colors: [] };
  const root = JSON.parse(text) as { readonly $description?: unknown };
  return {
    ...(typeof root.$description === 'string' && { name: root.$description }),
    colors: read.tokens
      .filter(({ type }) => type === 'color')
      .map(({ path, value, description }): NamedColor | undefined => {
        const own = value as { readonly hex?: unknown } | string;
        const written = typeof own === 'string' ? own : typeof own.hex === 'string' ? own.hex : '';
        const hex = hexOfText(written);
        return hex && { name: description ?? path.split('.').join(' ').replaceAll('-', ' '), hex };
      }),
  };
}

function readSvg(text: string): Found {
  const name = /<svg[^<>]*>\s{0,200}<title>([^<]*)<\/title>/.exec(text)?.[1];
  const rects = [
    ...text.matchAll(/<rect\b([^<>]*)>(?:\s{0,200}<title>([^<]*)<\/title>)?/g),
  ].flatMap(([, attributes = '', title]) => {
    const fill = /\bfill="([^"]{1,200})"/.exec(attributes)?.[1];
    return fill === undefined ? [] : [[title, fill] as const];
  });
  return {
    ...(name !== undefined && { name: unescaped(name) }),
    colors: rects.map(([called = '', fill]): NamedColor | undefined => {
      const hex = hexOfText(fill);
      return hex && { name: unescaped(called), hex };
    }),
  };
}

const readHexList = (text: string): Found => ({
  colors: text
    .split(/[\s,;]+/)
    .filter((word) => word !== '')
    .slice(0, MOST_WORDS)
    .map((word): NamedColor | undefined => {
      const hex = hexOfText(word);
      return hex && { name: '', hex };
    }),
});

function formatOf(text: string): PaletteFormat {
  const start = text.trimStart();
  if (/^gimp palette/i.test(start)) return 'gpl';
  if (start.startsWith('{')) return 'json';
  if (/<svg[\s>]/.test(start.slice(0, 2000))) return 'svg';
  return propertiesIn(start).next().done ? 'txt' : 'css';
}

/**
 * Reads a palette of any of the five formats, told apart by what stands in it. Of more than 256 colors
 * the first are taken. Where no color can be read, a problem in words; nothing is thrown.
 */
export function readPalette(text: string, fileName: string): ReadPalette {
  if (text.length > MOST_CHARACTERS)
    return { ok: false, problem: `${fileName} is larger than a palette can be (1 MB).` };
  const format = formatOf(text);
  const read = { gpl: readGpl, css: readCss, json: readJson, svg: readSvg, txt: readHexList };
  const { name, colors } = read[format](text);
  const found = colors.filter((color) => color !== undefined);
  if (found.length === 0)
    return {
      ok: false,
      problem: `${fileName} has no color that can be read. Palettes come as GPL, CSS properties, JSON tokens, SVG swatches or a list of hex.`,
    };
  const held = found.slice(0, MOST);
  return {
    ok: true,
    palette: {
      name: (name ?? fileName.replace(/\.[a-z]+$/i, '')).slice(0, 80) || 'palette',
      colors: held.map((color) => ({ ...color, name: color.name.slice(0, 80) })),
    },
    leftOut: colors.length - held.length,
  };
}
