import { createHash, randomUUID } from 'node:crypto';
import { fontFamily, WHOLE, type Category, type FontFamily } from '@garnish/core/fonts/family';
import { SCHEMA } from '@garnish/core/system/document';
import { readKept } from '@garnish/core/system/keeper';
import type { Database } from '../db/models.ts';
import { Problem } from '../problems.ts';
import type { StorageKeeper } from '../storage/storage.ts';
import { createFontReader, type MeasureAnswer } from './font-reader.ts';
import { families } from './shipped.ts';

export interface Upload {
  readonly fileName: string;
  readonly bytes: Uint8Array;
  readonly tooLarge: boolean;
}

export interface OwnFontsOptions {
  readonly category: Category;
  readonly licenceNote: string;
  readonly confirmed: boolean;
}

type Measured = Extract<MeasureAnswer, { ok: true }> & { readonly source: Uint8Array };

/** The widest of ranges: an own file is not split by script. */
const EVERYTHING = 'U+0-10FFFF';

const plainName = (name: string): string =>
  name
    .replaceAll(/[^\p{L}\p{N} ]+/gu, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim()
    .slice(0, 80) || 'Own face';

function fileOf(id: string, { style, weight }: Measured, woff2: Uint8Array) {
  const hash = createHash('sha256').update(woff2).digest('hex').slice(0, 12);
  const weights = weight.min === weight.max ? `${weight.min}` : `${weight.min}-${weight.max}`;
  return {
    bytes: Buffer.from(woff2),
    file: {
      name: `${id}-${weights}-${style}.${hash}.woff2`,
      style,
      weight,
      script: WHOLE,
      unicodeRange: EVERYTHING,
      bytes: woff2.length,
    },
  };
}

/** Keeps families that people bring: measured as ours are, all files of one or none. */
export function createOwnFonts(
  { sequelize, OwnFamilies, OwnFontFiles }: Database,
  storage: StorageKeeper,
) {
  const reader = createFontReader();

  /** A name that no shipped and no other own family has, since style sheets tell faces by name. */
  async function freeName(wanted: string): Promise<string> {
    const rows = await OwnFamilies.findAll({ attributes: ['record', 'schema'] });
    const own = rows.map(({ record, schema }) => readKept.family(record, schema).name);
    const taken = new Set([...families.map(({ name }) => name), ...own]);
    const plain = plainName(wanted);
    for (let number = 1; ; number += 1) {
      const name = number === 1 ? plain : `${plain} Own ${number}`;
      if (!taken.has(name)) return name;
    }
  }

  async function measured(uploads: readonly Upload[]): Promise<readonly Measured[]> {
    const found: Measured[] = [];
    const problems: { path: string; message: string }[] = [];
    for (const { bytes, fileName, tooLarge } of uploads) {
      const answer: MeasureAnswer = tooLarge
        ? { ok: false, problem: 'it is larger than 8 MB' }
        : await reader.measure(bytes);
      if (answer.ok) found.push({ ...answer, source: bytes });
      else problems.push({ path: fileName, message: answer.problem });
    }
    if (uploads.length === 0) problems.push({ path: '', message: 'no file was sent' });
    if (problems.length > 0) throw new Problem('font-refused', 'Nothing was stored.', { problems });
    return found;
  }

  return {
    async list(): Promise<readonly FontFamily[]> {
      const rows = await OwnFamilies.findAll({ order: [['createdAt', 'DESC']] });
      return rows.map(({ record, schema }) => readKept.family(record, schema));
    },

    async file(name: string): Promise<Buffer | undefined> {
      return (await OwnFontFiles.findByPk(name))?.bytes;
    },

    async licence(id: string): Promise<string | undefined> {
      const row = await OwnFamilies.findByPk(id);
      if (!row) return undefined;
      const { confirmed } = readKept.family(row.record, row.schema);
      return [row.licenceNote, confirmed].filter(Boolean).join('\n\n');
    },

    async add(
      uploads: readonly Upload[],
      { category, confirmed, licenceNote }: OwnFontsOptions,
    ): Promise<FontFamily> {
      const answers = await measured(uploads);
      const regular = answers.toSorted(
        (one, other) =>
          Number(one.style === 'italic') - Number(other.style === 'italic') ||
          Math.abs(one.weight.min - 400) - Math.abs(other.weight.min - 400),
      )[0];
      if (!regular) throw new Problem('font-refused', 'Nothing was stored.');
      const forbids = answers.some(({ facts }) => facts.embedding === 'restricted');
      if (forbids && !confirmed)
        throw new Problem(
          'font-needs-confirmation',
          'The bits speak of documents, not of the web; the license decides. Confirm that it allows use on this site. Nothing was stored.',
        );
      const id = `own-${randomUUID().slice(0, 8)}`;
      const files: ReturnType<typeof fileOf>[] = [];
      for (const answer of answers)
        files.push(fileOf(id, answer, await reader.pack(answer.source)));
      const record = fontFamily.parse({
        id,
        name: await freeName(regular.familyName),
        category,
        version: 'own',
        licence: 'own',
        copyright: licenceNote,
        ...(forbids && {
          confirmed:
            'The files forbid embedding in documents. Whoever brought them confirmed that the license allows use on this site.',
        }),
        ...regular.facts,
        embedding: forbids ? 'restricted' : regular.facts.embedding,
        axes: regular.axes,
        files: files.map(({ file }) => file),
      });
      await storage.makeRoom(files.reduce((sum, { bytes }) => sum + bytes.length, 0));
      await sequelize.transaction(async (transaction) => {
        await OwnFamilies.create({ id, record, schema: SCHEMA, licenceNote }, { transaction });
        for (const { bytes, file } of files)
          await OwnFontFiles.create({ name: file.name, familyId: id, bytes }, { transaction });
      });
      return record;
    },

    close: () => reader.close(),
  };
}

export type OwnFonts = ReturnType<typeof createOwnFonts>;
