import { createHash } from 'node:crypto';
import { SCHEMA } from '@garnish/core/system/document';
import { jsonProblem } from '@garnish/core/system/json';
import { readKept } from '@garnish/core/system/keeper';
import { patchSchema } from '@garnish/core/system/patch';
import {
  LONGEST_NOTE,
  LONGEST_WRITER,
  NOTE_KINDS,
  pinSchema,
} from '@garnish/core/notes/note-schema';
import { MOST_RELEASE_WORDS, releaseNumber } from '@garnish/core/releases/schema';
import { readDocument } from '@garnish/core/system/upgrade';
import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { QueryTypes, Transaction } from 'sequelize';
import * as z from 'zod';
import type { Database } from '../db/models.ts';
import { Problem } from '../problems.ts';

const FORMAT = 'garnish-archive';
/**
 * Version 1 did not say under which schema kept things were kept: it was the fifth. Before version 3 there were no
 * releases and no notes. Links stay behind: whoever has one has it of this installation.
 */
const VERSION = 3;
const FIRST_KEPT_SCHEMA = 5;

/** Changes in one file of the archive. */
const PAGE = 500;

/** What an archive unpacks to at most. */
export const MOST_UNPACKED = 2 * 1024 * 1024 * 1024;

const manifestSchema = z.object({
  format: z.literal(FORMAT),
  version: z.union([z.literal(1), z.literal(2), z.literal(VERSION)]),
  made: z.string(),
  files: z.record(z.string(), z.object({ bytes: z.number(), sha256: z.string() })),
});

const time = z.string().min(10).max(40);

const systemRow = z.strictObject({
  id: z.uuid(),
  document: z.unknown(),
  sequence: z.int32().min(0),
  created_at: time,
  updated_at: time,
  deleted_at: time.nullable(),
});

const changeRow = z.strictObject({
  id: z.uuid(),
  sequence: z.int32().min(1),
  patch: patchSchema,
  inverse: patchSchema,
  label: z.string().max(400),
  author: z.uuid(),
  window_id: z.uuid(),
  gesture: z.uuid(),
  kind: z.enum(['change', 'undo', 'redo']),
  schema: z.int().min(1).max(SCHEMA),
  at: time,
});

const releaseRow = z.strictObject({
  id: z.uuid(),
  number: releaseNumber,
  words: z.string().max(MOST_RELEASE_WORDS),
  sequence: z.int32().min(0),
  author: z.uuid(),
  document: z.unknown(),
  schema: z.int().min(1).max(SCHEMA),
  files: z
    .array(
      z.strictObject({
        file: z
          .string()
          .regex(/^[A-Za-z0-9][A-Za-z0-9.-]*$/)
          .max(80),
        type: z.string().max(100),
        bytes: z.int().min(1),
        hash: z.string().regex(/^[0-9a-f]{64}$/),
      }),
    )
    .max(200),
  at: time,
});

const noteRow = z.strictObject({
  id: z.uuid(),
  answers: z.uuid().nullable(),
  kind: z.enum(NOTE_KINDS),
  page: z.string().max(100),
  pin: z.custom<object>((value) => pinSchema.safeParse(value).success),
  words: z.string().min(1).max(LONGEST_NOTE),
  writer: z.string().min(1).max(LONGEST_WRITER),
  author: z.uuid(),
  at: time,
  edited_at: time.nullable(),
  resolved_at: time.nullable(),
});

const keptSchema = z.int().min(1).max(SCHEMA).default(FIRST_KEPT_SCHEMA);

const keeperRow = z.strictObject({
  id: z.uuid(),
  kind: z.enum(['pair', 'palette']),
  content: z.unknown(),
  schema: keptSchema,
  note: z.string(),
  origin: z.string(),
  created_at: time,
});

const familyRow = z.strictObject({
  id: z.string().regex(/^own-[0-9a-f]{8}$/),
  record: z.unknown(),
  schema: keptSchema,
  licence_note: z.string(),
  created_at: time,
});

const FONT_NAME = /^[a-z0-9-]+\.[0-9a-f]{12}\.woff2$/;
const PICTURE_NAME = /^[0-9a-f]{16}\.(?:png|jpg|webp|avif)$/;

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** A row as JSON, in the database's own words: times to the microsecond, numbers as they are. */
const rowJson = (columns: readonly string[]): string =>
  `json_build_object(${columns.map((name) => `'${name}', ${name}`).join(', ')})::text AS text`;

const SYSTEM_COLUMNS = ['id', 'document', 'sequence', 'created_at', 'updated_at', 'deleted_at'];
const CHANGE_COLUMNS = [
  ...['id', 'sequence', 'patch', 'inverse', 'label', 'author', 'window_id', 'gesture', 'kind'],
  ...['schema', 'at'],
];
const RELEASE_COLUMNS = 'id number words sequence author document schema files at'.split(' ');
const NOTE_COLUMNS = 'id answers kind page pin words writer author at edited_at resolved_at'.split(
  ' ',
);
const KEEPER_COLUMNS = ['id', 'kind', 'content', 'schema', 'note', 'origin', 'created_at'];
const FAMILY_COLUMNS = ['id', 'record', 'schema', 'licence_note', 'created_at'];

/** The parts of an archive, one after the other, as they stood at one moment. */
async function* partsOf(
  { sequelize }: Database,
  transaction: Transaction,
): AsyncGenerator<readonly [name: string, bytes: Uint8Array]> {
  const rows = <Row extends object>(sql: string, bind: readonly unknown[] = []): Promise<Row[]> =>
    sequelize.query<Row>(sql, { bind: [...bind], type: QueryTypes.SELECT, transaction });
  const texts = async (sql: string, bind: readonly unknown[] = []): Promise<string[]> =>
    (await rows<{ readonly text: string }>(sql, bind)).map(({ text }) => text);
  async function* releasesOf(systemId: string): AsyncGenerator<readonly [string, Uint8Array]> {
    const made = await texts(
      `SELECT ${rowJson(RELEASE_COLUMNS)} FROM releases WHERE system_id = $1 ORDER BY at, id`,
      [systemId],
    );
    if (made.length === 0) return;
    yield [`systems/${systemId}/releases.jsonl`, strToU8(made.join('\n'))];
    const files = await rows<{ readonly release_id: string; readonly file: string }>(
      `SELECT release_id, file FROM release_files JOIN releases ON releases.id = release_id
       WHERE system_id = $1 ORDER BY release_id, file`,
      [systemId],
    );
    for (const { release_id: release, file } of files) {
      const [row] = await rows<{ readonly bytes: Buffer }>(
        'SELECT bytes FROM release_files WHERE release_id = $1 AND file = $2',
        [release, file],
      );
      if (row)
        yield [`systems/${systemId}/released/${release}/${file}`, Uint8Array.from(row.bytes)];
    }
  }
  const systems = await rows<{ readonly id: string }>('SELECT id FROM systems ORDER BY id');
  for (const { id } of systems) {
    const [system = ''] = await texts(
      `SELECT ${rowJson(SYSTEM_COLUMNS)} FROM systems WHERE id = $1`,
      [id],
    );
    yield [`systems/${id}/system.json`, strToU8(system)];
    for (let after = 0; ; after += PAGE) {
      const changes = await texts(
        `SELECT ${rowJson(CHANGE_COLUMNS)} FROM changes
         WHERE system_id = $1 AND sequence > $2 AND sequence <= $3 ORDER BY sequence`,
        [id, after, after + PAGE],
      );
      if (changes.length === 0) break;
      const name = `systems/${id}/changes-${String(after + 1).padStart(8, '0')}.jsonl`;
      yield [name, strToU8(changes.join('\n'))];
    }
    yield* releasesOf(id);
    // Answers after what they answer.
    const notes = await texts(
      `SELECT ${rowJson(NOTE_COLUMNS)} FROM notes WHERE system_id = $1 ORDER BY answers IS NOT NULL, at, id`,
      [id],
    );
    if (notes.length > 0) yield [`systems/${id}/notes.jsonl`, strToU8(notes.join('\n'))];
  }
  const keepers = await texts(`SELECT ${rowJson(KEEPER_COLUMNS)} FROM keepers ORDER BY id`);
  yield ['keepers.jsonl', strToU8(keepers.join('\n'))];
  const families = await texts(`SELECT ${rowJson(FAMILY_COLUMNS)} FROM own_families ORDER BY id`);
  yield ['families.jsonl', strToU8(families.join('\n'))];
  for (const [folder, table] of [
    ['fonts', 'own_font_files'],
    ['pictures', 'pictures'],
  ] as const) {
    const names = await rows<{ readonly name: string }>(`SELECT name FROM ${table} ORDER BY name`);
    for (const { name } of names) {
      const [file] = await rows<{ readonly bytes: Buffer }>(
        `SELECT bytes FROM ${table} WHERE name = $1`,
        [name],
      );
      if (file) yield [`${folder}/${name}`, Uint8Array.from(file.bytes)];
    }
  }
}

/**
 * Everything in one archive (ZIP): systems with their whole history, what was set aside, own fonts,
 * pictures, and a manifest with the checksum of each file. As it stood at one moment, whatever is changed
 * meanwhile. What signs cookies stays behind.
 */
export async function* writeArchive(database: Database): AsyncGenerator<Uint8Array> {
  const transaction = await database.sequelize.transaction({
    isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ,
    readOnly: true,
  });
  try {
    let waiting: Uint8Array[] = [];
    const zip = new Zip((error, chunk) => {
      if (error) throw error;
      waiting.push(chunk);
    });
    const files: Record<string, { bytes: number; sha256: string }> = {};
    const add = (name: string, bytes: Uint8Array): Uint8Array[] => {
      const isPacked = /\.(?:woff2|png|jpg|webp|avif)$/.test(name);
      const file = isPacked ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
      zip.add(file);
      file.push(bytes, true);
      const ready = waiting;
      waiting = [];
      return ready;
    };
    for await (const [name, bytes] of partsOf(database, transaction)) {
      files[name] = { bytes: bytes.length, sha256: sha256(bytes) };
      yield* add(name, bytes);
    }
    const made = new Date().toISOString();
    const manifest = { format: FORMAT, version: VERSION, made, files };
    yield* add('manifest.json', strToU8(JSON.stringify(manifest, undefined, 1)));
    zip.end();
    yield* waiting;
  } finally {
    await transaction.rollback().catch(() => undefined);
  }
}

const refused = (why: string): Problem =>
  new Problem('archive-refused', `${why} Nothing was changed.`);

/** The files of an archive, each as its manifest says. Throws a Problem in words where one is not. */
function unpack(bytes: Uint8Array): ReadonlyMap<string, Uint8Array> {
  let size = 0;
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter: ({ originalSize }) => {
        size += originalSize;
        if (size > MOST_UNPACKED) throw refused('It unpacks to more than 2 GB.');
        return true;
      },
    });
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw refused('This is no archive that can be unpacked.');
  }
  const found = new Map(Object.entries(files));
  const text = found.get('manifest.json');
  found.delete('manifest.json');
  let manifest: z.infer<typeof manifestSchema>;
  try {
    manifest = manifestSchema.parse(JSON.parse(strFromU8(text ?? new Uint8Array())));
  } catch {
    throw refused('It has no manifest that this Garnish understands.');
  }
  const named = new Map(Object.entries(manifest.files));
  for (const [name, file] of found) {
    const said = named.get(name);
    if (!said) throw refused(`${name} is in it, and not in its manifest.`);
    if (said.bytes !== file.length || said.sha256 !== sha256(file))
      throw refused(`${name} is damaged: its checksum is another.`);
  }
  for (const name of named.keys())
    if (!found.has(name)) throw refused(`${name} is missing from it.`);
  return found;
}

const linesOf = (bytes: Uint8Array | undefined): string[] =>
  strFromU8(bytes ?? new Uint8Array())
    .split('\n')
    .filter((line) => line !== '');

interface RestoredRelease {
  readonly row: z.infer<typeof releaseRow>;
  readonly text: string;
  readonly contents: readonly (readonly [file: string, bytes: Uint8Array])[];
}

interface RestoredSystem {
  readonly row: z.infer<typeof systemRow>;
  readonly text: string;
  readonly changes: readonly string[];
  readonly releases: readonly RestoredRelease[];
  /** As JSON, answers after what they answer. */
  readonly notes: readonly string[];
}

function parsed<Schema extends z.ZodType>(
  schema: Schema,
  text: string,
  what: string,
): z.infer<Schema> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw refused(`${what} is no JSON.`);
  }
  const result = schema.safeParse(value);
  const harm = result.success ? jsonProblem(value) : result.error.issues[0]?.message;
  if (!result.success || harm !== undefined)
    throw refused(`${what} is not of its form: ${harm ?? ''}.`);
  return result.data;
}

/** What was kept, read as it would be here; what is not of its form is refused. */
function kept<Content>(what: string, read: () => Content): Content {
  try {
    return read();
  } catch {
    throw refused(`${what} holds something that is not of its form.`);
  }
}

/** The releases of a system, each with all of its files as they were made. */
function releasesIn(files: ReadonlyMap<string, Uint8Array>, systemId: string): RestoredRelease[] {
  const name = `systems/${systemId}/releases.jsonl`;
  return linesOf(files.get(name)).map((text) => {
    const row = parsed(releaseRow, text, name);
    if (!readDocument(row.document).ok) throw refused(`Release ${row.number} is no system.`);
    const contents = row.files.map(({ file, hash }) => {
      const bytes = files.get(`systems/${systemId}/released/${row.id}/${file}`);
      if (!bytes || sha256(bytes) !== hash)
        throw refused(`${file} of release ${row.number} is not as it was released.`);
      return [file, bytes] as const;
    });
    return { row, text, contents };
  });
}

function systemsOf(files: ReadonlyMap<string, Uint8Array>): RestoredSystem[] {
  const systems = new Map<string, RestoredSystem>();
  for (const name of [...files.keys()].sort()) {
    const [, id = '', file = ''] = /^systems\/([0-9a-f-]{36})\/(.+)$/.exec(name) ?? [];
    if (file === 'system.json') {
      const text = strFromU8(files.get(name) ?? new Uint8Array());
      const row = parsed(systemRow, text, name);
      if (row.id !== id) throw refused(`${name} is of another system.`);
      const { schema } = (row.document ?? {}) as { readonly schema?: unknown };
      // One of a newer schema is kept unread, as it was; one of ours has to be what it says.
      const read = readDocument(row.document);
      if (!read.ok && !(typeof schema === 'number' && schema > SCHEMA))
        throw refused(
          `${name} is no system: ${read.problems[0]?.path ?? ''} ${read.problems[0]?.message ?? ''}.`,
        );
      const notes = linesOf(files.get(`systems/${id}/notes.jsonl`));
      for (const line of notes) parsed(noteRow, line, `systems/${id}/notes.jsonl`);
      systems.set(id, { row, text, changes: [], releases: releasesIn(files, id), notes });
    }
  }
  for (const name of [...files.keys()].sort()) {
    const [, released = ''] = /^systems\/([0-9a-f-]{36})\/(?:release|notes)/.exec(name) ?? [];
    if (released !== '' && !systems.has(released)) throw refused(`${name} has no system.`);
    const [, id = ''] = /^systems\/([0-9a-f-]{36})\/changes-\d{8}\.jsonl$/.exec(name) ?? [];
    if (id === '') continue;
    const system = systems.get(id);
    if (!system) throw refused(`${name} has no system.`);
    const lines = linesOf(files.get(name));
    for (const line of lines) parsed(changeRow, line, name);
    systems.set(id, { ...system, changes: [...system.changes, ...lines] });
  }
  for (const { row, changes } of systems.values())
    if (changes.length !== row.sequence)
      throw refused(`The history of system ${row.id} is not whole.`);
  return [...systems.values()];
}

export interface Restored {
  readonly systems: number;
  readonly changes: number;
  readonly keepers: number;
  readonly families: number;
  readonly pictures: number;
  /** Systems that were here already, just as they are in the archive. */
  readonly same: number;
}

/**
 * Brings an archive back: all of it or nothing. What is here already and the same stays; what differs is
 * replaced only where that is said, else a Problem names it. What is here and not in the archive stays.
 */
export async function restoreArchive(
  { sequelize }: Database,
  bytes: Uint8Array,
  { replace }: { readonly replace: boolean },
): Promise<Restored> {
  const files = unpack(bytes);
  const systems = systemsOf(files);
  const keepers = linesOf(files.get('keepers.jsonl')).map((line) => {
    const row = parsed(keeperRow, line, 'keepers.jsonl');
    kept('keepers.jsonl', () => readKept[row.kind](row.content, row.schema));
    return row;
  });
  const families = linesOf(files.get('families.jsonl')).map((line) => {
    const row = parsed(familyRow, line, 'families.jsonl');
    return { row, family: kept('families.jsonl', () => readKept.family(row.record, row.schema)) };
  });
  const fontNames = new Set(families.flatMap(({ family }) => family.files.map(({ name }) => name)));
  const inFolder = (folder: string, isName: (name: string, content: Uint8Array) => boolean) =>
    [...files].flatMap(([name, content]) => {
      if (!name.startsWith(`${folder}/`)) return [];
      const own = name.slice(folder.length + 1);
      if (!isName(own, content)) throw refused(`${name} is none of ours.`);
      return [[own, content] as const];
    });
  const fonts = inFolder('fonts', (name) => FONT_NAME.test(name) && fontNames.has(name));
  const pictures = inFolder(
    'pictures',
    (name, content) => PICTURE_NAME.test(name) && sha256(content).startsWith(name.slice(0, 16)),
  );
  return sequelize.transaction(async (transaction) => {
    const run = (sql: string, bind: readonly unknown[]): Promise<unknown> =>
      sequelize.query(sql, { bind: [...bind], transaction });
    const ask = <Row extends object>(sql: string, bind: readonly unknown[]): Promise<Row[]> =>
      sequelize.query<Row>(sql, { bind: [...bind], type: QueryTypes.SELECT, transaction });
    const differing: string[] = [];
    let same = 0;
    let brought = 0;
    /** Releases are never altered: one of the same number stays as it is here. */
    const bringReleases = async ({ row: { id }, releases }: RestoredSystem): Promise<void> => {
      for (const { row, text, contents } of releases) {
        const [brought] = await ask<{ readonly id: string }>(
          `INSERT INTO releases (system_id, ${RELEASE_COLUMNS.join(', ')})
           SELECT $1, ${RELEASE_COLUMNS.join(', ')} FROM json_to_record($2::json) AS one(id uuid, number text,
             words text, sequence integer, author uuid, document jsonb, schema integer, files jsonb, at timestamptz)
           ON CONFLICT DO NOTHING RETURNING id`,
          [id, text],
        );
        if (!brought) continue;
        for (const [file, content] of contents)
          await run('INSERT INTO release_files (release_id, file, bytes) VALUES ($1, $2, $3)', [
            row.id,
            file,
            Buffer.from(content),
          ]);
      }
    };
    const bringNotes = async ({ row: { id }, notes }: RestoredSystem): Promise<void> => {
      for (let from = 0; from < notes.length; from += PAGE)
        await run(
          `INSERT INTO notes (system_id, ${NOTE_COLUMNS.join(', ')})
           SELECT $1, ${NOTE_COLUMNS.join(', ')} FROM json_to_recordset($2::json) AS one(id uuid, answers uuid,
             kind text, page text, pin jsonb, words text, writer text, author uuid, at timestamptz,
             edited_at timestamptz, resolved_at timestamptz) ON CONFLICT (id) DO NOTHING`,
          [id, `[${notes.slice(from, from + PAGE).join(',')}]`],
        );
    };
    for (const system of systems) {
      const { row, text, changes } = system;
      const [here] = await ask<{ readonly isSame: boolean; readonly name: string }>(
        `SELECT name, ${rowJson(SYSTEM_COLUMNS).replace(' AS text', '::jsonb = $2::jsonb AS "isSame"')}
         FROM systems WHERE id = $1 FOR UPDATE`,
        [row.id, text],
      );
      if (here?.isSame) {
        same += 1;
        await bringReleases(system);
        await bringNotes(system);
        continue;
      }
      if (here && !replace) {
        differing.push(here.name);
        continue;
      }
      if (here) await run('DELETE FROM systems WHERE id = $1', [row.id]);
      await run(
        `INSERT INTO systems (${SYSTEM_COLUMNS.join(', ')})
         SELECT ${SYSTEM_COLUMNS.join(', ')} FROM json_to_record($1::json) AS one(id uuid, document jsonb,
           sequence integer, created_at timestamptz, updated_at timestamptz, deleted_at timestamptz)`,
        [text],
      );
      for (let from = 0; from < changes.length; from += PAGE)
        await run(
          `INSERT INTO changes (system_id, ${CHANGE_COLUMNS.join(', ')})
           SELECT $1, ${CHANGE_COLUMNS.join(', ')} FROM json_to_recordset($2::json) AS one(id uuid, sequence integer,
             patch jsonb, inverse jsonb, label text, author uuid, window_id uuid, gesture uuid, kind text,
             schema integer, at timestamptz)`,
          [row.id, `[${changes.slice(from, from + PAGE).join(',')}]`],
        );
      brought += changes.length;
      await bringReleases(system);
      await bringNotes(system);
    }
    if (differing.length > 0)
      throw new Problem(
        'archive-differs',
        `${differing.slice(0, 5).join(', ')}${differing.length > 5 ? ` and ${differing.length - 5} more` : ''}: here already, and otherwise than in the archive. Nothing was changed. Say that they are to be replaced, or delete them first.`,
      );
    await run(
      `INSERT INTO keepers (${KEEPER_COLUMNS.join(', ')})
       SELECT ${KEEPER_COLUMNS.join(', ')} FROM json_to_recordset($1::json) AS one(id uuid, kind text, content jsonb,
         schema integer, note text, origin text, created_at timestamptz) ON CONFLICT (id) DO NOTHING`,
      [JSON.stringify(keepers)],
    );
    await run(
      `INSERT INTO own_families (${FAMILY_COLUMNS.join(', ')})
       SELECT ${FAMILY_COLUMNS.join(', ')} FROM json_to_recordset($1::json) AS one(id text, record jsonb,
         schema integer, licence_note text, created_at timestamptz) ON CONFLICT (id) DO NOTHING`,
      [JSON.stringify(families.map(({ row }) => row))],
    );
    for (const { row, family } of families) {
      for (const { name } of family.files) {
        const file = fonts.find(([own]) => own === name)?.[1];
        if (file)
          await run(
            'INSERT INTO own_font_files (name, family_id, bytes) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING',
            [name, row.id, Buffer.from(file)],
          );
      }
    }
    for (const [name, content] of pictures)
      await run('INSERT INTO pictures (name, bytes) VALUES ($1, $2) ON CONFLICT DO NOTHING', [
        name,
        Buffer.from(content),
      ]);
    return {
      systems: systems.length - same,
      changes: brought,
      keepers: keepers.length,
      families: families.length,
      pictures: pictures.length,
      same,
    };
  });
}
