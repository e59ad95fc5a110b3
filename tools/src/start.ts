import { spawn, type ChildProcess } from 'node:child_process';
import path from 'node:path';
import { createServer } from '@garnish/server/app';
import { listenForGuests, networkAddresses } from '@garnish/server/guests/listener';
import { builtWeb } from './build-web.ts';
import { startChannel } from '@garnish/server/messages/channel';
import { startCluster } from './cluster.ts';
import { freePort } from './ports.ts';
import { databaseUrlOf, end, portOf, say } from './say.ts';

const FIRST_PORT = 4400;
const FIRST_GUEST_PORT = 4500;
const root = process.cwd();
const dev = process.argv.includes('--dev');

/** What is to be undone when the command ends, last first. */
const ending: (() => void | Promise<void>)[] = [];

async function shutDown(): Promise<void> {
  for (const step of ending.reverse()) await step();
  process.exit(0);
}

async function databaseUrl(): Promise<string> {
  const given = databaseUrlOf(process.env['DATABASE_URL']);
  if (given !== undefined) return given;
  const cluster = await startCluster(root, 'postgres');
  ending.push(() => {
    cluster.stop();
  });
  return cluster.database('garnish');
}

async function serve(): Promise<void> {
  const wanted = portOf(process.env['PORT'], FIRST_PORT);
  const url = await databaseUrl();
  let guestAddresses: readonly string[] = [];
  const app = await createServer({
    databaseUrl: url,
    guestAddresses: () => guestAddresses,
    demo: 'handed over',
    webFolder: builtWeb(root),
    hosts: (process.env['GARNISH_HOSTS'] ?? '').split(',').flatMap((name) => name.trim() || []),
  });
  ending.push(() => app.close());
  const port = await freePort(wanted);
  await app.listen({ host: '127.0.0.1', port });
  const channel = await startChannel(`http://127.0.0.1:${port}`, (words) => {
    say(`the channel of the demo was told: ${words}`);
  });
  if (channel) ending.push(() => channel.close());
  if (process.argv.includes('--guests')) {
    const guests = await listenForGuests(app, {
      host: '0.0.0.0',
      port: await freePort(FIRST_GUEST_PORT, '0.0.0.0'),
    });
    ending.push(() => guests.close());
    guestAddresses = networkAddresses().map((address) => `http://${address}:${guests.port}`);
    say(
      guestAddresses.length > 0
        ? `guests with a link are listened for at ${guestAddresses.join(' and ')}; editing stays on this machine`
        : 'guests are listened for, and this machine is in no network',
    );
  }
  say(`ready at http://127.0.0.1:${port}/ (Ctrl-C stops it; everything is kept)`);
}

/** Starts a program that restarts by itself when its sources change. */
function watch(args: readonly string[], cwd: string, env: NodeJS.ProcessEnv): ChildProcess {
  const child = spawn(process.execPath, args, {
    cwd,
    env: { ...process.env, ...env },
    stdio: 'inherit',
  });
  ending.push(() => {
    child.kill();
  });
  return child;
}

async function develop(): Promise<void> {
  const wanted = portOf(process.env['PORT'], FIRST_PORT);
  const url = await databaseUrl();
  const api = await freePort(FIRST_PORT + 100);
  const port = await freePort(wanted);
  watch([path.join(root, 'node_modules/tsx/dist/cli.mjs'), 'watch', 'server/src/main.ts'], root, {
    DATABASE_URL: url,
    PORT: String(api),
  });
  watch(
    [path.join(root, 'node_modules/vite/bin/vite.js'), '--port', String(port), '--strictPort'],
    path.join(root, 'web'),
    { GARNISH_API: `http://127.0.0.1:${api}` },
  );
}

// A fault that nobody caught is one request’s; the others go on.
process.on('unhandledRejection', (error) => {
  console.error(error);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    say('stopping …');
    shutDown().catch(end);
  });

(dev ? develop() : serve()).catch(async (error: unknown) => {
  for (const step of ending.reverse())
    // What failed is said, whatever becomes of ending it.
    await Promise.resolve()
      .then(step)
      .catch(() => undefined);
  end(error);
});
