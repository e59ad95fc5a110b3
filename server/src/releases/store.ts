import { createHash, randomUUID } from 'node:crypto';
import { differenceOf, type Difference } from '@garnish/core/releases/difference';
import {
  compareNumbers,
  FIRST_RELEASE,
  kindReasons,
  proposedNumber,
  readNumber,
  type KindReason,
  type ReleaseNumber,
} from '@garnish/core/releases/numbers';
import { LATEST, NOW } from '@garnish/core/releases/schema';
import { SCHEMA, type StyleDocument } from '@garnish/core/system/document';
import { readDocument } from '@garnish/core/system/upgrade';
import { QueryTypes } from 'sequelize';
import type { Database } from '../db/models.ts';
import type { Download } from '../exports/downloads.ts';
import { Problem } from '../problems.ts';
import type { Store } from '../systems/store.ts';

/** A file of a release, without its bytes. */
export interface ReleasedFile {
  readonly file: string;
  readonly type: string;
  readonly bytes: number;
  /** SHA-256 of its bytes, as hexadecimal digits. */
  readonly hash: string;
}

export interface Release {
  readonly number: string;
  readonly words: string;
  /** The change that it is of. */
  readonly sequence: number;
  readonly author: string;
  readonly at: Date;
  readonly files: readonly ReleasedFile[];
}

/** A state that differences are made between. */
export interface NamedState {
  /** The number of the release, or that it is what stands now. */
  readonly name: string;
  readonly sequence: number;
  readonly document: StyleDocument;
}

export interface Between {
  readonly from: Omit<NamedState, 'document'>;
  readonly to: Omit<NamedState, 'document'>;
  readonly name: string;
  readonly difference: Difference;
  readonly reasons: readonly KindReason[];
}

/** More releases of one system are not kept. */
const MOST_RELEASES = 1000;
/** So many differences are remembered: neither a release nor a change is ever another. */
const MOST_REMEMBERED = 30;

/** PostgreSQL's code for a key that is there already. Source: its manual, appendix A. */
const UNIQUE_VIOLATION = '23505';

const isTaken = (error: unknown): boolean =>
  (error as { readonly original?: { readonly code?: unknown } }).original?.code ===
  UNIQUE_VIOLATION;

const orderOf = ({ number }: Pick<Release, 'number'>): ReleaseNumber =>
  readNumber(number) ?? [0, 0, 0];

/** Keeps releases: numbered states that stay as they are, with the bytes of all their files. */
export function createReleases(
  { sequelize }: Database,
  store: Store,
  downloads: readonly Download[],
) {
  const rows = <Found extends object>(sql: string, bind: readonly unknown[]): Promise<Found[]> =>
    sequelize.query<Found>(sql, { bind: [...bind], type: QueryTypes.SELECT });

  const unknown = (number: string): Problem =>
    new Problem(
      'unknown-release',
      number === LATEST ? 'This system has no release yet.' : `There is no release ${number}.`,
    );

  /** The newest first. Throws a Problem where there is no such system. */
  const list = async (systemId: string): Promise<readonly Release[]> => {
    await store.sequence(systemId);
    const found = await rows<Release>(
      'SELECT number, words, sequence, author, at, files FROM releases WHERE system_id = $1',
      [systemId],
    );
    return found.toSorted((one, other) => compareNumbers(orderOf(other), orderOf(one)));
  };

  /** The number that is meant: `latest` is the largest. */
  const numberOf = async (systemId: string, number: string): Promise<string> => {
    if (number !== LATEST) return number;
    const [last] = await list(systemId);
    if (!last) throw unknown(LATEST);
    return last.number;
  };

  const stateOf = async (systemId: string, name: string): Promise<NamedState> => {
    if (name === NOW) {
      const { sequence, document } = await store.open(systemId);
      return { name, sequence, document };
    }
    await store.sequence(systemId);
    const number = await numberOf(systemId, name);
    const [row] = await rows<{ readonly sequence: number; readonly document: unknown }>(
      'SELECT sequence, document FROM releases WHERE system_id = $1 AND number = $2',
      [systemId, number],
    );
    if (!row) throw unknown(number);
    const read = readDocument(row.document);
    if (!read.ok)
      throw new Problem(
        'unreadable-system',
        `Release ${number} is kept as it is, and so are its files: ${read.problems[0]?.message ?? ''}.`,
      );
    return { name: number, sequence: row.sequence, document: read.document };
  };

  const remembered = new Map<string, Difference>();
  const differenceBetween = (systemId: string, from: NamedState, to: NamedState): Difference => {
    const key = JSON.stringify([systemId, from.name, from.sequence, to.name, to.sequence]);
    const found = remembered.get(key) ?? differenceOf(from.document, to.document);
    remembered.delete(key);
    remembered.set(key, found);
    const [oldest] = remembered.keys();
    if (remembered.size > MOST_REMEMBERED && oldest !== undefined) remembered.delete(oldest);
    return found;
  };

  const between = async (systemId: string, from: string, to: string): Promise<Between> => {
    const [one, other] = [await stateOf(systemId, from), await stateOf(systemId, to)];
    const difference = differenceBetween(systemId, one, other);
    return {
      from: { name: one.name, sequence: one.sequence },
      to: { name: other.name, sequence: other.sequence },
      name: other.document.name,
      difference,
      reasons: kindReasons(difference),
    };
  };

  return {
    list,

    /**
     * The number that the next release should have, and why; no number where nothing changed since the last one.
     */
    async proposal(
      systemId: string,
    ): Promise<{ readonly number?: string; readonly reasons: readonly KindReason[] }> {
      const [last] = await list(systemId);
      if (!last) return { number: FIRST_RELEASE, reasons: [] };
      const { difference, reasons } = await between(systemId, last.number, NOW);
      const number = proposedNumber(last.number, difference);
      return { ...(number !== undefined && { number }), reasons };
    },

    /** Makes a release of a system as it is, with all files. What is made is never altered. */
    async make(
      systemId: string,
      {
        number,
        words,
        base,
        author,
      }: {
        readonly number: string;
        readonly words: string;
        /** The change that whoever makes it has seen last. */
        readonly base: number;
        readonly author: string;
      },
    ): Promise<Release> {
      const { document, sequence, known } = await store.openKnown(systemId);
      if (sequence !== base)
        throw new Problem(
          'release-refused',
          'The system was changed meanwhile, so nothing was released. Look at what changed, and release again.',
        );
      const before = await list(systemId);
      const [last] = before;
      const wanted = orderOf({ number });
      if (last && compareNumbers(wanted, orderOf(last)) <= 0)
        throw new Problem(
          'release-refused',
          `A number after ${last.number} is needed, the number of the last release. Nothing was released.`,
        );
      if (before.length >= MOST_RELEASES)
        throw new Problem(
          'release-refused',
          `${MOST_RELEASES} releases are kept. Nothing was released.`,
        );
      const written: (ReleasedFile & { readonly content: Buffer })[] = [];
      for (const { file, type, write } of downloads) {
        const content = Buffer.from(await write(document, known));
        if (content.length === 0) continue;
        const hash = createHash('sha256').update(content).digest('hex');
        written.push({ file, type, bytes: content.length, hash, content });
      }
      const files = written.map(({ content: _, ...told }) => told);
      const id = randomUUID();
      try {
        await sequelize.transaction(async (transaction) => {
          await sequelize.query(
            `INSERT INTO releases (id, system_id, number, words, sequence, author, document, schema, files)
             VALUES ($1, $2, $3, $4, $5, $6, $7::jsonb, $8, $9::jsonb)`,
            {
              bind: [
                ...[id, systemId, number, words, sequence, author],
                ...[JSON.stringify(document), SCHEMA, JSON.stringify(files)],
              ],
              transaction,
            },
          );
          for (const { file, content } of written)
            await sequelize.query(
              'INSERT INTO release_files (release_id, file, bytes) VALUES ($1, $2, $3)',
              { bind: [id, file, content], transaction },
            );
        });
      } catch (error) {
        if (!isTaken(error)) throw error;
        throw new Problem(
          'release-refused',
          `Somebody made release ${number} at the same moment. Nothing was released.`,
        );
      }
      const made = (await list(systemId)).find((one) => one.number === number);
      if (!made) throw unknown(number);
      return made;
    },

    /** A file of a release, byte for byte as it was made. */
    async file(
      systemId: string,
      wanted: string,
      file: string,
    ): Promise<{ readonly number: string; readonly told: ReleasedFile; readonly bytes: Buffer }> {
      await store.sequence(systemId);
      const number = await numberOf(systemId, wanted);
      const [row] = await rows<{
        readonly files: readonly ReleasedFile[];
        readonly bytes: Buffer | null;
      }>(
        `SELECT files, bytes FROM releases LEFT JOIN release_files ON release_id = id AND file = $3
         WHERE system_id = $1 AND number = $2`,
        [systemId, number, file],
      );
      if (!row) throw unknown(number);
      const told = row.files.find((one) => one.file === file);
      if (!told || !row.bytes)
        throw new Problem('unknown-release', `Release ${number} has no file of that name.`);
      return { number, told, bytes: row.bytes };
    },

    state: stateOf,
    between,
  };
}

export type Releases = ReturnType<typeof createReleases>;
