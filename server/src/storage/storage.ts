import { QueryTypes } from 'sequelize';
import type { Database } from '../db/models.ts';
import { Problem } from '../problems.ts';

/** What fonts, pictures and kept pages may take together, in bytes. */
export const MOST_STORED = 1_000_000_000;

export interface Stored {
  readonly id: string;
  readonly name: string;
  readonly bytes: number;
  /** The names of the systems that use it; what is used cannot be deleted. */
  readonly usedBy: readonly string[];
}

export interface Storage {
  readonly systems: { readonly count: number; readonly bytes: number };
  readonly limit: number;
  readonly families: readonly Stored[];
  readonly pictures: readonly Stored[];
  readonly deleted: readonly {
    readonly id: string;
    readonly name: string;
    readonly bytes: number;
  }[];
}

/** What is stored and how much room it takes, and ways to make some. */
export function createStorage({ sequelize }: Database) {
  const rows = <Row extends object>(sql: string, bind: readonly unknown[] = []): Promise<Row[]> =>
    sequelize.query<Row>(sql, { bind: [...bind], type: QueryTypes.SELECT });

  const families = (): Promise<Stored[]> =>
    rows<Stored>(`
      SELECT f.id, f.record->>'name' AS name,
        (SELECT coalesce(sum(octet_length(bytes)), 0)::float8 FROM own_font_files WHERE family_id = f.id) AS bytes,
        ARRAY(SELECT name FROM systems s WHERE strpos(s.document->>'fonts', '"' || f.id || '"') > 0 ORDER BY name) AS "usedBy"
      FROM own_families f ORDER BY name`);

  const pictures = (): Promise<Stored[]> =>
    rows<Stored>(`
      SELECT p.name AS id, p.name, octet_length(p.bytes)::float8 AS bytes,
        ARRAY(SELECT name FROM systems s WHERE strpos(s.document::text, '"' || p.name || '"') > 0 ORDER BY name) AS "usedBy"
      FROM pictures p ORDER BY octet_length(p.bytes) DESC`);

  async function remove(
    table: 'own_families' | 'pictures',
    all: readonly Stored[],
    id: string,
  ): Promise<void> {
    const one = all.find((stored) => stored.id === id);
    if (!one) throw new Problem('not-found', 'It may have been deleted already.');
    if (one.usedBy.length > 0)
      throw new Problem(
        'still-used',
        `${one.name} is used in ${one.usedBy.join(', ')}. Decide on something else there first, or delete that for good. Nothing was deleted.`,
      );
    const key = table === 'pictures' ? 'name' : 'id';
    await sequelize.query(`DELETE FROM ${table} WHERE ${key} = $1`, { bind: [id] });
  }

  return {
    async look(): Promise<Storage> {
      const [[systems], deleted, own, kept] = await Promise.all([
        rows<{ readonly count: number; readonly bytes: number }>(
          `SELECT count(*)::int AS count,
             (pg_total_relation_size('systems') + pg_total_relation_size('changes') + pg_total_relation_size('kept_pages'))::float8 AS bytes FROM systems`,
        ),
        rows<{ readonly id: string; readonly name: string; readonly bytes: number }>(`
          SELECT id, name, (pg_column_size(document) +
            (SELECT coalesce(sum(pg_column_size(patch) + pg_column_size(inverse)), 0) FROM changes WHERE system_id = s.id))::float8 AS bytes
          FROM systems s WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC LIMIT 500`),
        families(),
        pictures(),
      ]);
      return {
        systems: systems ?? { count: 0, bytes: 0 },
        limit: MOST_STORED,
        families: own,
        pictures: kept,
        deleted,
      };
    },

    /** Refuses what would not fit any more. */
    async makeRoom(bytes: number): Promise<void> {
      const [taken] = await rows<{ readonly bytes: number }>(`
        SELECT ((SELECT coalesce(sum(octet_length(bytes)), 0) FROM own_font_files) +
                (SELECT coalesce(sum(octet_length(bytes)), 0) FROM pictures) +
                (SELECT coalesce(sum(octet_length(html) + octet_length(sheets::text)), 0) FROM kept_pages))::float8 AS bytes`);
      if ((taken?.bytes ?? 0) + bytes > MOST_STORED)
        throw new Problem(
          'no-room',
          'Fonts, pictures and kept pages may take 1 GB together. Delete some under Storage first. Nothing was stored.',
        );
    },

    deleteFamily: async (id: string): Promise<void> => remove('own_families', await families(), id),
    deletePicture: async (name: string): Promise<void> =>
      remove('pictures', await pictures(), name),
  };
}

export type StorageKeeper = ReturnType<typeof createStorage>;
