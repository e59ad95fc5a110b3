import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { signatureProblem } from './signature.ts';

/** A message as it arrived. */
export interface Arrived {
  readonly body: unknown;
  /** Why it is not believed; nothing where it is. */
  readonly problem: string | undefined;
}

interface ReceiverOptions {
  readonly port?: number;
  /** What messages are signed with, in Base64, as Handoff shows it. */
  readonly secret: () => string;
  readonly onMessage: (message: Arrived) => void;
  /** What is answered to a message that is believed; 204 where nothing is said. */
  readonly answer?: () => number;
}

const MOST_BYTES = 1_000_000;

/**
 * A small channel that stands in for a team’s own: it takes messages on this machine, believes those that are signed
 * as they should be, and hands them on.
 */
export async function startReceiver(options: ReceiverOptions) {
  const { port = 0, secret, onMessage, answer = () => 204 } = options;
  const server = createServer((request, response) => {
    const parts: Buffer[] = [];
    let size = 0;
    request.on('data', (part: Buffer) => {
      size += part.length;
      if (size > MOST_BYTES) request.destroy();
      else parts.push(part);
    });
    request.on('end', () => {
      const text = Buffer.concat(parts).toString('utf8');
      const fields = Object.fromEntries(
        Object.entries(request.headers).map(([name, value]) => [name, String(value)]),
      );
      const url = `http://${request.headers.host ?? ''}${request.url ?? ''}`;
      const problem =
        request.method === 'POST'
          ? signatureProblem(url, fields, text, Buffer.from(secret(), 'base64'), new Date())
          : 'it is no POST';
      if (problem !== undefined) {
        onMessage({ body: undefined, problem });
        response.writeHead(401, { 'content-type': 'text/plain' }).end(`${problem}\n`);
        return;
      }
      const status = answer();
      if (status < 300) onMessage({ body: JSON.parse(text), problem });
      response.writeHead(status).end();
    });
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: () =>
      new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}
