import { QueryTypes } from 'sequelize';
import type { Database } from '../db/models.ts';
import { CHANNEL } from './store.ts';

/** Queries of what is kept beside a system, and writes that every open window of it hears of. */
export function telling({ sequelize }: Pick<Database, 'sequelize'>) {
  const rows = <Found extends object>(sql: string, bind: readonly unknown[]): Promise<Found[]> =>
    sequelize.query<Found>(sql, { bind: [...bind], type: QueryTypes.SELECT });
  return {
    rows,

    /** What is written, and that it was: both or neither. `$1` is the system; what is written gives rows back. */
    write: (sql: string, bind: readonly unknown[]): Promise<readonly object[]> =>
      rows(
        `WITH written AS (${sql})
         SELECT pg_notify($${bind.length + 1}, json_build_object('systemId', systems.id, 'sequence', sequence)::text)
         FROM written JOIN systems ON systems.id = $1::uuid`,
        [...bind, CHANNEL],
      ),
  };
}
