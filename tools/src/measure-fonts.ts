/**
 * Measures every shipped family from its files and writes the catalogue that is committed. Run it
 * again after a font package has changed; the tests say when the catalogue no longer fits.
 */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import type { CatalogueEntry } from '@garnish/core/fonts/catalogue';
import { factsOf, openFont } from '@garnish/server/fonts/font-facts';
import { unpacked } from '@garnish/server/fonts/unpack';
import type { Category, FontFamily, FontFile } from '@garnish/core/fonts/family';
import { strokesOf } from '@garnish/server/fonts/strokes';
import * as fontkit from 'fontkit';
import * as z from 'zod';
import { FAMILIES } from './families.ts';

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

interface Found {
  readonly source: string;
  readonly file: FontFile;
}

/** The files of a package in the scripts and styles that are shipped, with the hash of their bytes. */
const filesOf = (
  packageName: string,
  folder: string,
  metadata: z.infer<typeof metadataSchema>,
  ranges: Readonly<Record<string, string>>,
): Found[] =>
  SCRIPTS.flatMap((script) => candidates(packageName, metadata, script))
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

/** The static files of a variable family, from the package beside its own, by style and script. */
function staticsOf(packageName: string, ranges: Readonly<Record<string, string>>) {
  const beside = packageName.replace('@fontsource-variable/', '@fontsource/');
  const folder = path.dirname(require.resolve(`${beside}/package.json`));
  const metadata = metadataSchema.parse(readJson(path.join(folder, 'metadata.json')));
  const files = filesOf(beside, folder, metadata, ranges);
  const groups = SCRIPTS.flatMap((script) =>
    STYLES.flatMap((style) => {
      const own = files.filter(({ file }) => file.script === script && file.style === style);
      const [first] = own;
      if (!first) return [];
      return [
        {
          style,
          script,
          unicodeRange: first.file.unicodeRange,
          cuts: own.map(({ file: { weight, name, bytes } }) => ({
            weight: weight.min,
            name,
            bytes,
          })),
        },
      ];
    }),
  );
  return { files, groups };
}

/** The stem at every hundred that the upright files hold, by its weight. */
async function stemsOf(uprights: readonly Found[]): Promise<Record<string, number>> {
  const stems: Record<string, number> = {};
  for (const { source, file } of uprights) {
    const font = fontkit.create(Buffer.from(await unpacked(readFileSync(require.resolve(source)))));
    if (!('glyphForCodePoint' in font)) continue;
    const first = Math.ceil(file.weight.min / 100) * 100;
    for (let weight = first; weight <= file.weight.max; weight += 100) {
      const at = 'wght' in font.variationAxes ? font.getVariation({ wght: weight }) : font;
      stems[String(weight)] = Number(strokesOf(at).stem.toFixed(4));
    }
  }
  return stems;
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

  const files = filesOf(packageName, folder, metadata, ranges);
  const upright = files
    .filter(({ file }) => file.script === 'latin' && file.style === 'normal')
    .sort((one, other) => distanceTo400(one.file) - distanceTo400(other.file))[0];
  if (!upright) throw new Error(`${packageName} has no upright latin file`);
  const font = openFont(await unpacked(readFileSync(require.resolve(upright.source))));
  const isVaried = packageName.startsWith('@fontsource-variable/');
  const stems = await stemsOf(
    files.filter(({ file }) => file.script === 'latin' && file.style === 'normal'),
  );
  const covered = new Set(
    files
      .filter(({ file }) => file.style === 'normal')
      .flatMap(({ source }) => characterSet(readFileSync(require.resolve(source)))),
  );
  const facts = factsOf(font, covered);
  const statics = isVaried ? staticsOf(packageName, ranges) : undefined;
  const sources = [...files, ...(statics?.files ?? [])];
  return {
    licenceFile: `${packageName}/LICENSE`,
    sources: Object.fromEntries(sources.map(({ file, source }) => [file.name, source])),
    family: {
      id: metadata.id,
      name: metadata.family,
      category,
      version,
      licence: metadata.license.type,
      copyright: (font.copyright || metadata.license.attribution).split('\n')[0] ?? '',
      ...facts,
      metrics: { ...facts.metrics, stems },
      axes: isVaried ? axesOf(metadata) : {},
      files: files.map(({ file }) => file),
      ...(statics && { statics: statics.groups }),
    },
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

const distanceTo400 = ({ weight }: FontFile): number =>
  Math.abs(Math.min(weight.max, Math.max(weight.min, 400)) - 400);

const entries: CatalogueEntry[] = [];
for (const [packageName, category] of FAMILIES) entries.push(await measure(packageName, category));
entries.sort((one, other) => one.family.name.localeCompare(other.family.name, 'en'));
const target = new URL('../../core/src/fonts/catalogue.json', import.meta.url);
writeFileSync(target, `${JSON.stringify(entries)}\n`);
console.log(`garnish: measured ${entries.length} families`);
