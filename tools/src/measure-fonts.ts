/**
 * Measures every shipped family from its files and writes the catalogue that is committed. Run it
 * again after a font package has changed; the tests say when the catalogue no longer fits.
 */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import type { CatalogueEntry } from '@garnish/core/fonts/catalogue';
import { LANGUAGE_CODES, lettersOf } from '@garnish/core/fonts/languages';
import {
  FREQUENCIES,
  letterWidthOf,
  type MeasuredLanguage,
} from '@garnish/core/fonts/letter-width';
import type { Category, FontFamily, FontFile } from '@garnish/core/fonts/family';
import * as fontkit from 'fontkit';
import { decompress } from 'wawoff2';
import * as z from 'zod';
import { FAMILIES } from './families.ts';
import { strokesOf } from './strokes.ts';

const require = createRequire(import.meta.url);
const SCRIPTS = ['latin', 'latin-ext', 'cyrillic', 'cyrillic-ext', 'greek'] as const;
const STYLES = ['normal', 'italic'] as const;

const metadataSchema = z.object({
  id: z.string(),
  family: z.string(),
  weights: z.array(z.number()),
  styles: z.array(z.string()),
  variable: z
    .union([z.record(z.string(), z.object({ min: z.string(), max: z.string() })), z.literal(false)])
    .optional(),
  license: z.object({ type: z.string(), attribution: z.string() }),
});

const readJson = (file: string): unknown => JSON.parse(readFileSync(file, 'utf8'));

interface Candidate {
  readonly file: string;
  readonly script: string;
  readonly style: FontFile['style'];
  readonly weight: FontFile['weight'];
}

/** The file names of a package for the scripts that are shipped: variable ones, or one a weight. */
function candidates(
  packageName: string,
  { id, weights, variable }: z.infer<typeof metadataSchema>,
  script: string,
): Candidate[] {
  const isVariable = packageName.startsWith('@fontsource-variable/');
  const axis = isVariable && variable ? variable['wght'] : undefined;
  return STYLES.flatMap((style): Candidate[] =>
    axis
      ? [
          {
            file: `${id}-${script}-wght-${style}.woff2`,
            script,
            style,
            weight: { min: Number(axis.min), max: Number(axis.max) },
          },
        ]
      : weights.map((weight) => ({
          file: `${id}-${script}-${weight}-${style}.woff2`,
          script,
          style,
          weight: { min: weight, max: weight },
        })),
  );
}

/** The regular weight of a file; a variable one has to be unpacked before it can be varied. */
async function openRegular(bytes: Buffer): Promise<fontkit.Font> {
  const font = fontkit.create(Buffer.from(await decompress(bytes)));
  if (!('glyphForCodePoint' in font)) throw new Error('a collection, not one font');
  return 'wght' in font.variationAxes ? font.getVariation({ wght: 400 }) : font;
}

/** OpenType, OS/2, fsType: the bits that speak of embedding. */
function embeddingOf(font: fontkit.Font): FontFamily['embedding'] {
  const { fsType } = font['OS/2'];
  if (fsType.noEmbedding) return 'restricted';
  if (fsType.viewOnly) return 'preview';
  return fsType.editable ? 'editable' : 'installable';
}

const ZERO = 48;

function figuresOf(font: fontkit.Font): CatalogueEntry['family']['figures'] {
  const widths = new Set(
    Array.from({ length: 10 }, (_, digit) => font.glyphForCodePoint(ZERO + digit).advanceWidth),
  );
  if (widths.size === 1) return 'tabular';
  return font.availableFeatures.includes('tnum') ? 'tnum' : 'proportional';
}

async function measure(packageName: string, category: Category): Promise<CatalogueEntry> {
  const folder = path.dirname(require.resolve(`${packageName}/package.json`));
  const metadata = metadataSchema.parse(readJson(path.join(folder, 'metadata.json')));
  const { version } = z
    .object({ version: z.string() })
    .parse(readJson(path.join(folder, 'package.json')));
  const ranges = z
    .record(z.string(), z.string())
    .parse(readJson(path.join(folder, 'unicode.json')));

  const files = SCRIPTS.flatMap((script) => candidates(packageName, metadata, script))
    .filter(({ file }) => existsSync(path.join(folder, 'files', file)))
    .map(({ file, script, style, weight }) => {
      const bytes = readFileSync(path.join(folder, 'files', file));
      const hash = createHash('sha256').update(bytes).digest('hex').slice(0, 12);
      const unicodeRange = ranges[script];
      if (!unicodeRange) throw new Error(`${packageName} tells no range for ${script}`);
      return {
        source: `${packageName}/files/${file}`,
        file: {
          name: `${file.replace(/\.woff2$/, '')}.${hash}.woff2`,
          style,
          weight,
          script,
          unicodeRange,
          bytes: bytes.length,
        },
      };
    });

  const upright = files
    .filter(({ file }) => file.script === 'latin' && file.style === 'normal')
    .sort((one, other) => distanceTo400(one.file) - distanceTo400(other.file))[0];
  if (!upright) throw new Error(`${packageName} has no upright latin file`);
  const font = await openRegular(readFileSync(require.resolve(upright.source)));
  const share = (units: number): number => Number((units / font.unitsPerEm).toFixed(4));
  const isVaried = packageName.startsWith('@fontsource-variable/');
  const advance = (letter: string): number =>
    font.glyphForCodePoint(letter.codePointAt(0) ?? 32).advanceWidth / font.unitsPerEm;
  const strokes = strokesOf(font);
  const covered = new Set(
    files
      .filter(({ file }) => file.style === 'normal')
      .flatMap(({ source }) => characterSet(readFileSync(require.resolve(source)))),
  );
  return {
    licenceFile: `${packageName}/LICENSE`,
    sources: Object.fromEntries(files.map(({ file, source }) => [file.name, source])),
    family: {
      id: metadata.id,
      name: metadata.family,
      category,
      version,
      licence: metadata.license.type,
      copyright: (font.copyright || metadata.license.attribution).split('\n')[0] ?? '',
      figures: figuresOf(font),
      smallCaps: font.availableFeatures.includes('smcp'),
      embedding: embeddingOf(font),
      axes: isVaried ? axesOf(metadata) : {},
      ...languagesOf(covered),
      metrics: {
        unitsPerEm: font.unitsPerEm,
        ascent: share(font.ascent),
        descent: share(font.descent),
        lineGap: share(font.lineGap),
        xHeight: share(font.xHeight),
        capHeight: share(font.capHeight),
        letterWidths: widthsOf(advance),
        stem: Number(strokes.stem.toFixed(4)),
        thinToThick: Number(strokes.thinToThick.toFixed(3)),
      },
      files: files.map(({ file }) => file),
    },
  };
}

/** A language of which more letters than these are missing is written in another script. */
const FEW = 20;

function languagesOf(covered: ReadonlySet<number>): Pick<FontFamily, 'languages' | 'missing'> {
  const lacking = LANGUAGE_CODES.map(
    (code) =>
      [code, lettersOf(code).filter((letter) => !covered.has(letter.codePointAt(0) ?? 0))] as const,
  );
  return {
    languages: lacking.filter(([, letters]) => letters.length === 0).map(([code]) => code),
    missing: Object.fromEntries(
      lacking
        .filter(([, { length }]) => length > 0 && length <= FEW)
        .map(([code, letters]) => [code, letters.join('')]),
    ),
  };
}

function characterSet(bytes: Buffer): number[] {
  const font = fontkit.create(bytes);
  return 'characterSet' in font ? font.characterSet : [];
}

/** The axes that the shipped files have: the weight; other axes stay at their defaults. */
const axesOf = ({ variable }: z.infer<typeof metadataSchema>): FontFamily['axes'] => {
  const weight = variable ? variable['wght'] : undefined;
  return weight ? { wght: { min: Number(weight.min), max: Number(weight.max) } } : {};
};

const widthsOf = (advance: (letter: string) => number): FontFamily['metrics']['letterWidths'] =>
  Object.fromEntries(
    (Object.keys(FREQUENCIES) as MeasuredLanguage[]).map((language) => [
      language,
      Number(letterWidthOf(language, advance).toFixed(4)),
    ]),
  ) as FontFamily['metrics']['letterWidths'];

const distanceTo400 = ({ weight }: FontFile): number =>
  Math.abs(Math.min(weight.max, Math.max(weight.min, 400)) - 400);

const entries: CatalogueEntry[] = [];
for (const [packageName, category] of FAMILIES) entries.push(await measure(packageName, category));
entries.sort((one, other) => one.family.name.localeCompare(other.family.name, 'en'));
const target = new URL('../../core/src/fonts/catalogue.json', import.meta.url);
writeFileSync(target, `${JSON.stringify(entries)}\n`);
console.log(`garnish: measured ${entries.length} families`);
