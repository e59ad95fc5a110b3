import { createServer } from '@garnish/server/app';
import { builtWeb } from './build-web.ts';
import { startCluster } from './cluster.ts';
import { freePort } from './ports.ts';

export interface DemoServer {
  readonly url: string;
  readonly close: () => Promise<void>;
}

/** The built application with nothing but the demo in it, for pictures and measurements. */
export async function demoServer(database: string): Promise<DemoServer> {
  const root = process.cwd();
  const cluster = await startCluster(root, 'test-postgres');
  const app = await createServer({
    databaseUrl: cluster.database(database, { fresh: true }),
    demo: 'handed over',
    webFolder: builtWeb(root),
  });
  const port = await freePort(4700);
  await app.listen({ host: '127.0.0.1', port });
  return {
    url: `http://127.0.0.1:${port}`,
    close: async () => {
      await app.close();
      cluster.stop();
    },
  };
}
