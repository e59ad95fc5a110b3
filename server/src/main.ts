import { createServer } from './app.ts';

/** The server alone, told by its environment what to use; the tools start it so while developing. */
const { DATABASE_URL, PORT, GARNISH_WEB_FOLDER, GARNISH_DEMO } = process.env;
if (!DATABASE_URL || !PORT) throw new Error('set DATABASE_URL and PORT');

// A fault that nobody caught is one request's; the others go on.
process.on('unhandledRejection', (error) => {
  console.error(error);
});

const app = await createServer({
  databaseUrl: DATABASE_URL,
  // Releases take a while: who needs none of the demo’s says so.
  demo: GARNISH_DEMO === 'systems' ? true : 'handed over',
  ...(GARNISH_WEB_FOLDER && { webFolder: GARNISH_WEB_FOLDER }),
});
await app.listen({ host: '127.0.0.1', port: Number(PORT) });
