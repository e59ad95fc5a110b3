import type { FastifyInstance } from 'fastify';
import { QueryTypes, Sequelize } from 'sequelize';
import { createServer } from './app.ts';

const ADMIN = process.env['GARNISH_TEST_DATABASE'];

/** A server on a database of its own, made for one test file and dropped with it. */
export async function testServer(name: string, demo = false) {
  if (ADMIN === undefined) throw new Error('run npm test, which starts a PostgreSQL for the tests');
  const admin = new Sequelize(ADMIN, { logging: false });
  /** On a busy machine connections that are told to end take their time: after five seconds PostgreSQL gives up. */
  const drop = async (tries = 3): Promise<void> => {
    try {
      await admin.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
    } catch (error) {
      if (tries <= 1) throw error;
      await drop(tries - 1);
    }
  };
  await drop();
  await admin.query(`CREATE DATABASE ${name}`);
  const url = new URL(ADMIN);
  url.pathname = `/${name}`;
  const databaseUrl = url.toString();
  const apps: FastifyInstance[] = [];
  const start = async (): Promise<string> => {
    const app = await createServer({ databaseUrl, demo });
    apps.push(app);
    return app.listen({ host: '127.0.0.1', port: 0 });
  };
  return {
    url: await start(),
    databaseUrl,
    /** Another process beside the first, as far as the database can tell. */
    another: start,
    rows: async (table: 'systems' | 'changes'): Promise<number> => {
      const own = new Sequelize(databaseUrl, { logging: false });
      const [row] = await own.query<{ count: string }>(`SELECT count(*) FROM ${table}`, {
        type: QueryTypes.SELECT,
      });
      await own.close();
      return Number(row?.count);
    },
    /** Runs one statement on the database, past the application. */
    run: async (sql: string): Promise<void> => {
      const own = new Sequelize(databaseUrl, { logging: false });
      await own.query(sql);
      await own.close();
    },
    close: async (): Promise<void> => {
      for (const app of apps) await app.close();
      await drop();
      await admin.close();
    },
  };
}

export type TestServer = Awaited<ReturnType<typeof testServer>>;
