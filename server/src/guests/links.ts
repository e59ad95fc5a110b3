import { randomBytes, randomUUID, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { QueryTypes } from 'sequelize';
import type { Database } from '../db/models.ts';
import { Problem } from '../problems.ts';
import { CHANNEL, type Store } from '../systems/store.ts';

/** 128 bits of chance: nobody comes upon an address. */
const ADDRESS_BYTES = 16;
const SALT_BYTES = 16;
const KEY_BYTES = 32;
/** More links of one system are not kept. */
const MOST_LINKS = 200;
/** A link tells no more often than this when it was used, in SQL. */
const USED_EVERY = "interval '1 minute'";

const derived = promisify<string, Buffer, number, Buffer>(scrypt);

/** What is decided of a link when it is made. */
export interface LinkChoices {
  /** What it is for, for whoever makes it; it stands in no address. */
  readonly label: string;
  /** The number of the release that it opens; what stands now where nothing is said. */
  readonly release?: string | undefined;
  /** The pages that it opens, by id; all where nothing is said. */
  readonly pages?: readonly string[] | undefined;
  /** The kept pages that it opens besides, by id: none but those that are asked for. */
  readonly kept?: readonly string[] | undefined;
  /** Until when it opens. */
  readonly until?: Date | undefined;
  readonly passphrase?: string | undefined;
  /** Whether notes may be written under it. */
  readonly mayWrite?: boolean | undefined;
  /** For a client: pages and questions alone. */
  readonly forClient?: boolean | undefined;
}

interface Row {
  readonly id: string;
  readonly system_id: string;
  readonly address: string;
  readonly label: string;
  readonly release: string | null;
  readonly pages: readonly string[] | null;
  readonly kept: readonly string[] | null;
  readonly until: Date | null;
  readonly salt: Buffer | null;
  readonly passphrase: Buffer | null;
  readonly at: Date;
  readonly used_at: Date | null;
  readonly may_write: boolean;
  readonly for_client: boolean;
}

export interface Link {
  readonly id: string;
  readonly systemId: string;
  /** The last part of its address. */
  readonly address: string;
  readonly label: string;
  readonly release: string | undefined;
  readonly pages: readonly string[] | undefined;
  readonly kept: readonly string[];
  readonly until: Date | undefined;
  readonly hasPassphrase: boolean;
  readonly at: Date;
  readonly usedAt: Date | undefined;
  readonly mayWrite: boolean;
  readonly forClient: boolean;
}

const linkOf = (row: Row): Link => ({
  id: row.id,
  systemId: row.system_id,
  address: row.address,
  label: row.label,
  release: row.release ?? undefined,
  pages: row.pages ?? undefined,
  kept: row.kept ?? [],
  until: row.until ?? undefined,
  hasPassphrase: row.passphrase !== null,
  at: row.at,
  usedAt: row.used_at ?? undefined,
  mayWrite: row.may_write,
  forClient: row.for_client,
});

const COLUMNS =
  'id, system_id, address, label, release, pages, kept, until, salt, passphrase, at, used_at, may_write, for_client';

/** Keeps the links under which guests read a system. One that is taken back is gone. */
export function createLinks({ sequelize }: Database, store: Store) {
  const rows = <Found extends object>(sql: string, bind: readonly unknown[]): Promise<Found[]> =>
    sequelize.query<Found>(sql, { bind: [...bind], type: QueryTypes.SELECT });

  const opened = async (address: string): Promise<Row | undefined> => {
    const [row] = await rows<Row>(
      `SELECT ${COLUMNS} FROM links WHERE address = $1 AND (until IS NULL OR until > now())
         AND EXISTS (SELECT FROM systems WHERE systems.id = system_id AND deleted_at IS NULL)`,
      [address],
    );
    return row;
  };

  return {
    /** The links of a system, the newest first. */
    async list(systemId: string): Promise<readonly Link[]> {
      await store.sequence(systemId);
      const found = await rows<Row>(
        `SELECT ${COLUMNS} FROM links WHERE system_id = $1 ORDER BY at DESC, id`,
        [systemId],
      );
      return found.map(linkOf);
    },

    async make(systemId: string, choices: LinkChoices): Promise<Link> {
      const { document } = await store.open(systemId);
      const { label, release, pages, kept = [], until, passphrase, forClient = false } = choices;
      // Whoever is asked may answer.
      const mayWrite = forClient || choices.mayWrite === true;
      const refuse = (why: string): Problem =>
        new Problem('link-refused', `${why} No link was made.`);
      const missing = pages?.find((page) => !Object.hasOwn(document.content.pages.items, page));
      if (missing !== undefined) throw refuse('One of the pages is not there any more.');
      if (until && until.getTime() <= Date.now()) throw refuse('That day is over.');
      if (release !== undefined) {
        const [there] = await rows('SELECT 1 FROM releases WHERE system_id = $1 AND number = $2', [
          systemId,
          release,
        ]);
        if (!there) throw refuse(`There is no release ${release}.`);
      }
      if (kept.length > 0) {
        const there = await rows<{ readonly id: string }>(
          'SELECT id FROM kept_pages WHERE system_id = $1',
          [systemId],
        );
        if (kept.some((page) => !there.some(({ id }) => id === page)))
          throw refuse('One of the pages of your own is not there any more.');
      }
      const [counted] = await rows<{ readonly count: number }>(
        'SELECT count(*)::int AS count FROM links WHERE system_id = $1',
        [systemId],
      );
      if ((counted?.count ?? 0) >= MOST_LINKS)
        throw refuse(`${MOST_LINKS} links are kept. Take one back first.`);
      const salt = passphrase === undefined ? null : randomBytes(SALT_BYTES);
      const key = salt && (await derived(passphrase ?? '', salt, KEY_BYTES));
      const [row] = await rows<Row>(
        `INSERT INTO links (id, system_id, address, label, release, pages, kept, until, salt, passphrase, may_write, for_client)
         VALUES ($1, $2, $3, $4, $5, $6::jsonb, $7::jsonb, $8, $9, $10, $11, $12) RETURNING ${COLUMNS}`,
        [
          ...[randomUUID(), systemId, randomBytes(ADDRESS_BYTES).toString('base64url'), label],
          ...[release ?? null, pages === undefined ? null : JSON.stringify(pages)],
          kept.length === 0 ? null : JSON.stringify(kept),
          ...[until ?? null, salt, key, mayWrite, forClient],
        ],
      );
      if (!row) throw refuse('It could not be kept.');
      return linkOf(row);
    },

    /** Takes a link back: from now on it leads nowhere, and windows that are open hear of it. */
    async remove(systemId: string, id: string): Promise<void> {
      const [row] = await rows(
        `WITH gone AS (DELETE FROM links WHERE system_id = $1 AND id = $2 RETURNING system_id)
         SELECT pg_notify($3, json_build_object('systemId', systems.id, 'sequence', sequence)::text)
         FROM gone JOIN systems ON systems.id = gone.system_id`,
        [systemId, id, CHANNEL],
      );
      if (!row) throw new Problem('unknown-link', 'It was taken back before.');
    },

    /** What an address opens; nothing where it never did, or does not any more. */
    async open(address: string): Promise<Link | undefined> {
      const row = await opened(address);
      return row && linkOf(row);
    },

    /** Tells that a link was used just now. */
    async used(id: string): Promise<void> {
      await sequelize.query(
        `UPDATE links SET used_at = now() WHERE id = $1 AND (used_at IS NULL OR used_at < now() - ${USED_EVERY})`,
        { bind: [id] },
      );
    },

    /** Whether a passphrase is the one of a link. */
    async admits(address: string, passphrase: string): Promise<boolean> {
      const row = await opened(address);
      if (!row?.salt || !row.passphrase) return false;
      return timingSafeEqual(await derived(passphrase, row.salt, KEY_BYTES), row.passphrase);
    },
  };
}

export type Links = ReturnType<typeof createLinks>;
