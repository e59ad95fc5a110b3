import { createServer, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { FastifyInstance } from 'fastify';
import { isForGuests } from './addresses.ts';

/** Requests that came in where guests are listened for. */
const GUESTS = new WeakSet<IncomingMessage>();

/** Whether a request came in where guests are listened for: by whatever name they call this machine. */
export const isOfGuest = (request: IncomingMessage): boolean => GUESTS.has(request);

/** The addresses of this machine on its networks, without that of the machine itself. */
export const networkAddresses = (): readonly string[] =>
  Object.values(networkInterfaces()).flatMap((all) =>
    (all ?? [])
      .filter(({ family, internal }) => family === 'IPv4' && !internal)
      .map(({ address }) => address),
  );

/**
 * A second place to listen at, for guests: what is theirs is answered by the application, and nothing else is
 * there. The application itself stays where it is. What is given back ends it.
 */
export async function listenForGuests(
  app: Pick<FastifyInstance, 'routing'>,
  { host, port }: { readonly host: string; readonly port: number },
): Promise<{ readonly port: number; readonly close: () => Promise<void> }> {
  const server = createServer((request, response) => {
    if (!isForGuests(request.method, request.url)) {
      response.writeHead(404, { 'content-type': 'text/plain; charset=utf-8' });
      response.end('There is nothing at this address.\n');
      return;
    }
    GUESTS.add(request);
    app.routing(request, response);
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve());
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}
