import { createServer } from 'node:net';
import { Advice } from './say.ts';

const isFree = (port: number): Promise<boolean> =>
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
      .listen(port, '127.0.0.1');
  });

/** The first free port on loopback from `first` on, of the next 200. */
export async function freePort(first: number): Promise<number> {
  for (let port = first; port < first + 200; port += 1) if (await isFree(port)) return port;
  throw new Advice(
    `no port from ${first} to ${first + 199} is free. Choose another: PORT=… npm start`,
  );
}
