import { createServer } from 'node:net';
import { Advice } from './say.ts';

const isFree = (port: number, host: string): Promise<boolean> =>
  new Promise((resolve) => {
    const probe = createServer()
      .once('error', () => {
        resolve(false);
      })
      .once('listening', () => {
        probe.close(() => {
          resolve(true);
        });
      })
      .listen(port, host);
  });

/** The first free port from `first` on, of the next 200: on loopback, or where it is said. */
export async function freePort(first: number, host = '127.0.0.1'): Promise<number> {
  for (let port = first; port < first + 200; port += 1) if (await isFree(port, host)) return port;
  throw new Advice(
    `no port from ${first} to ${first + 199} is free. Choose another: PORT=… npm start`,
  );
}
