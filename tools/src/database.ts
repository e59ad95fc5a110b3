import { migrate } from '@garnish/server/db/migrations';
import { connect, type Database } from '@garnish/server/db/models';
import { startCluster } from './cluster.ts';
import { databaseUrlOf } from './say.ts';

/** Does something with the application's database, started for it where it does not run. */
export async function withDatabase(work: (database: Database) => Promise<void>): Promise<void> {
  const given = databaseUrlOf(process.env['DATABASE_URL']);
  const cluster = given === undefined ? await startCluster(process.cwd(), 'postgres') : undefined;
  try {
    const database = connect(given ?? cluster?.database('garnish') ?? '');
    try {
      await migrate(database.sequelize);
      await work(database);
    } finally {
      await database.sequelize.close();
    }
  } finally {
    cluster?.stop();
  }
}
