import { randomUUID } from 'node:crypto';
import type { ToldFinding } from '@garnish/core/checks/finding';
import { SCHEMA, type StyleDocument } from '@garnish/core/system/document';
import { contestedPaths } from '@garnish/core/system/contest';
import { patched, valueAt, type Operation } from '@garnish/core/system/patch';
import { readDocument, upgradePatch } from '@garnish/core/system/upgrade';
import { trusted } from '@garnish/core/system/validate';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import type { ChangeRow, Database } from '../db/models.ts';
import { Problem } from '../problems.ts';
import { portraitOf } from './portrait.ts';
import type { Known } from '@garnish/core/formats/known';
import { verification } from '@garnish/core/verify/report';
import type { ListQuery, MeasuredBody, NewChange, SystemSummary, VerifiedBody } from './schemas.ts';

/** The channel on which every server process hears of changes. */
export const CHANNEL = 'garnish_changes';

/** The largest document that is stored. */
const MOST_CHARACTERS = 8_000_000;

export interface OpenSystem {
  readonly id: string;
  readonly sequence: number;
  readonly document: StyleDocument;
}

/** A change as it is stored. */
export type StoredChange = Pick<
  ChangeRow,
  'id' | 'sequence' | 'label' | 'author' | 'windowId' | 'gesture' | 'kind' | 'schema' | 'at'
> & { readonly patch: readonly Operation[]; readonly inverse: readonly Operation[] };

interface Row {
  readonly id: string;
  readonly sequence: number;
  /** The document as JSON. */
  readonly text: string;
}

/** With what was measured of just this state; nothing where it was not. */
interface MeasuredRow extends Row {
  readonly measured: readonly ToldFinding[] | null;
}

const MEASURED = 'CASE WHEN measured_of = sequence THEN measured END AS measured';

/** What came out of verifying, as it was kept; nothing where it is none that is known today. */
function verifiedOf(kept: unknown): Known['verified'] {
  const read = verification.safeParse(kept);
  return read.success ? read.data : undefined;
}

const problemWords = (problems: readonly { path: string; message: string }[]): string =>
  problems
    .slice(0, 3)
    .map(({ path, message }) => `${path} ${message}`.trim())
    .join('; ');

/** A stored document; of an older schema as it is in the newest. Throws a Problem where it cannot be read. */
function read({ id, sequence, text }: Row): OpenSystem {
  const stored: unknown = JSON.parse(text);
  const isCurrent = (stored as { readonly schema?: unknown } | null)?.schema === SCHEMA;
  // Whatever has the newest schema was checked when it was stored.
  if (isCurrent) return { id, sequence, document: trusted(stored as StyleDocument) };
  const result = readDocument(stored);
  if (!result.ok)
    throw new Problem(
      'unreadable-system',
      `It is kept as it is: ${problemWords(result.problems)}.`,
    );
  return { id, sequence, document: result.document };
}

const unknown = (): Problem =>
  new Problem('unknown-system', 'It may have been deleted, or the address is incomplete.');

/** What the list tells of a system that is more than its name, or why there is nothing to tell. */
type Told = Pick<SystemSummary, 'portrait' | 'findings' | 'problem'>;

function toldOf({ text, measured }: MeasuredRow): Told {
  try {
    const result = readDocument(JSON.parse(text));
    return result.ok
      ? portraitOf(result.document, measured ?? undefined)
      : { problem: problemWords(result.problems) };
  } catch (error) {
    return { problem: error instanceof Error ? error.message : 'nothing can be made of it' };
  }
}

const ORDERS = {
  changed: 'updated_at DESC, id',
  name: 'lower(name), id',
  repair: `(summary->'findings'->>'repair')::int DESC NULLS LAST, (summary->'findings'->>'look')::int DESC NULLS LAST, id`,
} as const satisfies Record<ListQuery['order'], string>;

/** A text as a pattern of LIKE that means just it. */
const likeOf = (words: string): string => `%${words.replaceAll(/[\\%_]/g, String.raw`\$&`)}%`;

/** What a summary was made of: the change it knows, and the code that made it. */
const SUMMARY_OF = `sequence || ':${SCHEMA}:' || coalesce(measured_of, -1)`;

/** Keeps systems and their changes. Everything that belongs together happens in one transaction. */
export function createStore({ sequelize, Changes }: Database) {
  const rows = <Found extends object>(
    sql: string,
    bind: readonly unknown[],
    transaction?: Transaction,
  ): Promise<Found[]> =>
    sequelize.query<Found>(sql, {
      bind: [...bind],
      type: QueryTypes.SELECT,
      ...(transaction && { transaction }),
    });

  const rowOf = async (id: string): Promise<Row> => {
    const [row] = await rows<Row>(
      'SELECT id, sequence, document::text AS text FROM systems WHERE id = $1 AND deleted_at IS NULL',
      [id],
    );
    if (!row) throw unknown();
    return row;
  };

  const sequenceOf = async (id: string): Promise<number> => {
    const [row] = await rows<{ readonly sequence: number }>(
      'SELECT sequence FROM systems WHERE id = $1 AND deleted_at IS NULL',
      [id],
    );
    if (!row) throw unknown();
    return row.sequence;
  };

  /** Makes the summaries that are missing or older than what they tell of. */
  const summarize = async (ids: readonly string[]): Promise<void> => {
    for (const id of ids) {
      const [row] = await rows<MeasuredRow>(
        `SELECT id, sequence, document::text AS text, ${MEASURED} FROM systems WHERE id = $1`,
        [id],
      );
      if (!row) continue;
      await sequelize.query(
        `UPDATE systems SET summary = $2::jsonb, summary_of = ${SUMMARY_OF} WHERE id = $1 AND sequence = $3`,
        { bind: [id, JSON.stringify(toldOf(row)), row.sequence] },
      );
    }
  };

  interface Listed {
    readonly id: string;
    readonly name: string;
    readonly description: string;
    readonly updatedAt: Date;
    readonly told: Told | null;
    readonly isFresh: boolean | null;
  }

  const listed = ({ search, order, offset, limit }: ListQuery): Promise<Listed[]> =>
    rows<Listed>(
      `SELECT id, name, description, updated_at AS "updatedAt", summary AS told,
         summary_of = ${SUMMARY_OF} AS "isFresh"
       FROM systems
       WHERE deleted_at IS NULL AND ($1 = '%%' OR name ILIKE $1 OR description ILIKE $1)
       ORDER BY ${ORDERS[order]} LIMIT $2 OFFSET $3`,
      [likeOf(search), limit, offset],
    );

  const summaryOf = ({ id, name, description, updatedAt, told }: Listed): SystemSummary => ({
    id,
    name: name.slice(0, 200) || 'a system without a name',
    description: description.slice(0, 2000),
    updatedAt: updatedAt.toISOString(),
    ...(told ?? { problem: 'nothing was made of it yet' }),
  });

  const changesAfter = (
    systemId: string,
    after: number,
    { kind, window, person }: Pick<NewChange, 'kind' | 'window'> & { readonly person: string },
    transaction: Transaction,
  ): Promise<Pick<StoredChange, 'sequence' | 'patch' | 'schema'>[]> =>
    rows(
      // What a window did since was done knowingly, as was what a person did before undoing it.
      `SELECT sequence, patch, schema FROM changes WHERE system_id = $1 AND sequence > $2
         AND ${kind === 'change' ? 'window_id' : 'author'} <> $3 ORDER BY sequence`,
      [systemId, after, kind === 'change' ? window : person],
      transaction,
    );

  /** A change that was taken before: its reply got lost, and it comes again. */
  const takenBefore = async (
    systemId: string,
    { id, patch }: NewChange,
    transaction?: Transaction,
  ): Promise<StoredChange | undefined> => {
    const [same] = await rows<{ readonly isSame: boolean }>(
      'SELECT system_id = $2 AND patch = $3::jsonb AS "isSame" FROM changes WHERE id = $1',
      [id, systemId, JSON.stringify(patch)],
      transaction,
    );
    if (!same) return undefined;
    if (!same.isSame)
      throw new Problem('reused-id', 'Nothing was changed. Send it under an id of its own.');
    return (await Changes.findByPk(id, { ...(transaction && { transaction }) })) ?? undefined;
  };

  const summary = async (id: string): Promise<SystemSummary> => {
    await summarize([id]);
    const [row] = await rows<Listed>(
      'SELECT id, name, description, updated_at AS "updatedAt", summary AS told FROM systems WHERE id = $1',
      [id],
    );
    if (!row) throw unknown();
    return summaryOf(row);
  };

  return {
    /** A page of the list, and how many there are: from what is stored; one system never hides another. */
    async list(query: ListQuery): Promise<{ systems: SystemSummary[]; total: number }> {
      const counted = rows<{ readonly total: number }>(
        `SELECT count(*)::int AS total FROM systems
         WHERE deleted_at IS NULL AND ($1 = '%%' OR name ILIKE $1 OR description ILIKE $1)`,
        [likeOf(query.search)],
      );
      // Together: a promise that nobody waits for ends the process when it fails.
      const [found, [count]] = await Promise.all([listed(query), counted]);
      let page = found;
      const stale = page.filter(({ isFresh }) => isFresh !== true).map(({ id }) => id);
      if (stale.length > 0) {
        await summarize(stale);
        page = await listed(query);
      }
      return { systems: page.map(summaryOf), total: count?.total ?? 0 };
    },

    summary,

    /** Makes the summary of a system that was changed, after whoever changed it has their answer. */
    summarize: (id: string): Promise<void> => summarize([id]),

    async open(id: string): Promise<OpenSystem> {
      return read(await rowOf(id));
    },

    /**
     * A system as it was after a change, by going back over what came since; nothing where that is more than
     * `most` changes, or leads nowhere any more.
     */
    async at(id: string, sequence: number, most: number): Promise<OpenSystem | undefined> {
      const now = read(await rowOf(id));
      if (sequence > now.sequence || now.sequence - sequence > most) return undefined;
      const since = await rows<Pick<StoredChange, 'inverse' | 'schema'>>(
        `SELECT inverse, schema FROM changes WHERE system_id = $1 AND sequence > $2 AND sequence <= $3
         ORDER BY sequence DESC`,
        [id, sequence, now.sequence],
      );
      let { document } = now;
      for (const { inverse, schema } of since) {
        const result = patched(document, upgradePatch(inverse, schema));
        if (!result.ok) return undefined;
        document = result.document;
      }
      return { id, sequence, document };
    },

    /** A system as JSON: as it is stored where that is of the newest schema. */
    async openText(id: string): Promise<string> {
      const row = await rowOf(id);
      const { document } = read(row);
      const { schema } = JSON.parse(row.text) as { readonly schema?: unknown };
      const text = schema === SCHEMA ? row.text : JSON.stringify(document);
      return `{"id":${JSON.stringify(id)},"sequence":${row.sequence},"document":${text}}`;
    },

    /** The document as it is stored, whatever it is. */
    async storedText(id: string): Promise<string> {
      return (await rowOf(id)).text;
    },

    sequence: sequenceOf,

    /** Takes what was found on the pages, where they are still as they were measured. */
    async keepMeasured(id: string, { sequence, findings }: MeasuredBody): Promise<void> {
      await sequenceOf(id);
      await sequelize.query(
        'UPDATE systems SET measured = $3::jsonb, measured_of = $2 WHERE id = $1 AND sequence = $2',
        { bind: [id, sequence, JSON.stringify(findings)] },
      );
    },

    /** Takes what came out when the files of a state were read; of another state it stays what it was. */
    async keepVerified(id: string, { sequence, verification: found }: VerifiedBody): Promise<void> {
      await sequenceOf(id);
      await sequelize.query(
        'UPDATE systems SET verified = $3::jsonb, verified_of = $2 WHERE id = $1 AND sequence = $2',
        { bind: [id, sequence, JSON.stringify(found)] },
      );
    },

    /** What came out when files were read last, and of which state they were; nothing where they never were. */
    async verified(id: string): Promise<VerifiedBody | undefined> {
      const [row] = await rows<{ readonly verified: unknown; readonly verified_of: number | null }>(
        'SELECT verified, verified_of FROM systems WHERE id = $1 AND deleted_at IS NULL',
        [id],
      );
      if (!row) throw unknown();
      const found = verifiedOf(row.verified);
      return found === undefined || row.verified_of === null
        ? undefined
        : { sequence: row.verified_of, verification: found };
    },

    /** A system with what browsers found of it as it is. */
    async openKnown(id: string): Promise<OpenSystem & { readonly known: Known }> {
      const [row] = await rows<MeasuredRow & { readonly verified: unknown }>(
        `SELECT id, sequence, document::text AS text, ${MEASURED},
         CASE WHEN verified_of = sequence THEN verified END AS verified FROM systems
         WHERE id = $1 AND deleted_at IS NULL`,
        [id],
      );
      if (!row) throw unknown();
      const known = { measured: row.measured ?? undefined, verified: verifiedOf(row.verified) };
      return { ...read(row), known };
    },

    async create(document: StyleDocument): Promise<string> {
      const id = randomUUID();
      await sequelize.query(
        'INSERT INTO systems (id, document, created_at, updated_at) VALUES ($1, $2::jsonb, now(), now())',
        { bind: [id, JSON.stringify(document)] },
      );
      return id;
    },

    /** Deletes, or brings back; a system that is deleted is kept until somebody deletes it for good. */
    async setDeleted(id: string, deleted: boolean): Promise<void> {
      const [row] = await rows(
        `WITH there AS (
           UPDATE systems SET deleted_at = CASE WHEN $2 THEN now() END
           WHERE id = $1 AND (NOT $2 OR deleted_at IS NULL) RETURNING id, sequence
         )
         SELECT pg_notify($3, json_build_object('systemId', id, 'sequence', sequence)::text) FROM there`,
        [id, deleted, CHANNEL],
      );
      if (!row) throw unknown();
    },

    /** Deletes a system that was deleted before, with its whole history. */
    async deleteForGood(id: string): Promise<void> {
      const [row] = await rows(
        'DELETE FROM systems WHERE id = $1 AND deleted_at IS NOT NULL RETURNING id',
        [id],
      );
      if (!row) throw unknown();
    },

    /**
     * Applies a change, or answers with what stands in its way. A change that was taken before (its
     * reply got lost) is not applied again.
     */
    async change(systemId: string, change: NewChange, person: string): Promise<StoredChange> {
      const written = await sequelize.transaction(async (transaction) => {
        const [row] = await rows<Row>(
          `SELECT id, sequence, document::text AS text FROM systems
           WHERE id = $1 AND deleted_at IS NULL FOR UPDATE`,
          [systemId],
          transaction,
        );
        if (!row) throw unknown();
        // Whoever sends it again does not know of the newer ones, its own among them.
        if (change.base < row.sequence) {
          const before = await takenBefore(systemId, change, transaction);
          if (before) return before;
        }
        if (change.base > row.sequence)
          throw new Problem(
            'future-base',
            `Nothing was changed. The newest change is ${row.sequence}; this one names ${change.base}.`,
          );
        const { document } = read(row);
        const since =
          change.base === row.sequence
            ? []
            : await changesAfter(systemId, change.base, { ...change, person }, transaction);
        const contested = contestedPaths(
          change,
          since.map(({ sequence, patch, schema }) => ({
            sequence,
            patch: upgradePatch(patch, schema),
          })),
        );
        if (contested.length > 0)
          throw new Problem('conflict', 'Nothing was changed. Choose which values stay.', {
            conflict: {
              sequence: row.sequence,
              places: contested.map((path) => {
                const value = valueAt(document, path);
                return { path, ...(value !== undefined && { value }) };
              }),
            },
          });
        const result = patched(document, change.patch);
        if (!result.ok)
          throw new Problem('invalid-change', 'Nothing was changed.', {
            problems: [...result.problems],
          });
        const text = JSON.stringify(result.document);
        if (text.length > MOST_CHARACTERS)
          throw new Problem('no-room', 'A system may be 8 MB large. Nothing was changed.');
        const sequence = row.sequence + 1;
        const { id, patch, label, window: windowId, gesture, kind } = change;
        const { inverse } = result;
        const [inserted] = await rows<{ readonly at: Date }>(
          `WITH kept AS (
             INSERT INTO changes (id, system_id, sequence, patch, inverse, label, author, window_id, gesture, kind, schema)
             VALUES ($1, $2, $3, $4::jsonb, $5::jsonb, $6, $7, $8, $9, $10, $11)
             ON CONFLICT (id) DO NOTHING RETURNING at
           ), moved AS (
             UPDATE systems SET document = $12::jsonb, sequence = $3, updated_at = now()
             WHERE id = $2 AND EXISTS (SELECT FROM kept)
           )
           SELECT at, pg_notify($13, $14) FROM kept`,
          [
            ...[id, systemId, sequence, JSON.stringify(patch), JSON.stringify(inverse)],
            ...[label, person, windowId, gesture, kind, SCHEMA, text],
            ...[CHANNEL, JSON.stringify({ systemId, sequence })],
          ],
          transaction,
        );
        if (!inserted) return undefined;
        const { at } = inserted;
        return {
          ...{ id, sequence, patch, inverse, label, windowId, gesture, kind },
          author: person,
          schema: SCHEMA,
          at,
        };
      });
      if (written) return written;
      const before = await takenBefore(systemId, change);
      if (!before)
        throw new Problem('reused-id', 'Nothing was changed. Send it under an id of its own.');
      return before;
    },

    /** A page of the changes: the newest after one, and before another where one is named. */
    async changes(
      systemId: string,
      { after, before, last }: { after: number; before?: number | undefined; last: number },
    ): Promise<ChangeRow[]> {
      const [newest] = await Promise.all([
        Changes.findAll({
          where: {
            systemId,
            sequence: { [Op.gt]: after, ...(before !== undefined && { [Op.lt]: before }) },
          },
          order: [['sequence', 'DESC']],
          limit: last,
        }),
        // Whoever asks for the changes of a system that is not there hears so.
        sequenceOf(systemId),
      ]);
      return newest.reverse();
    },

    async isEmpty(): Promise<boolean> {
      const [row] = await rows('SELECT 1 AS one FROM systems LIMIT 1', []);
      return row === undefined;
    },
  };
}

export type Store = ReturnType<typeof createStore>;
