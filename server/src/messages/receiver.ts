import { createServer, type IncomingMessage } from 'node:http';
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
  /** What messages may be signed with, in Base64, as Handoff shows it: any of these. */
  readonly secrets: () => readonly string[] | Promise<readonly string[]>;
  readonly onMessage: (message: Arrived) => void;
  /** What is answered to a message that is believed; 204 where nothing is said. */
  readonly answer?: () => number;
}

const MOST_BYTES = 1_000_000;
const PLAIN = { 'content-type': 'text/plain' };

/** Where the channel of the demo is, as long as `npm start` runs. */
export const DEMO_CHANNEL_PORT = 4600;
export const DEMO_CHANNEL = `http://127.0.0.1:${DEMO_CHANNEL_PORT}/`;

/**
 * A small channel that stands in for a team’s own: it takes messages on this machine, believes those that are signed
 * as they should be, and hands them on.
 */
export async function startReceiver(options: ReceiverOptions) {
  const { port = 0, secrets, onMessage, answer = () => 204 } = options;
  /** Why a message is not believed; nothing where it is. */
  async function problemOf({ method, headers, url = '' }: IncomingMessage, text: string) {
    if (method !== 'POST') return 'it is no POST';
    const fields = Object.fromEntries(
      Object.entries(headers).map(([name, value]) => [name, String(value)]),
    );
    const whole = `http://${headers.host ?? ''}${url}`;
    const problems = (await secrets()).map((secret) =>
      signatureProblem(whole, fields, text, Buffer.from(secret, 'base64'), new Date()),
    );
    return problems.includes(undefined)
      ? undefined
      : (problems[0] ?? 'there is nothing yet that it could be signed with');
  }
  async function take(request: IncomingMessage, text: string): Promise<[number, string]> {
    const problem = await problemOf(request, text);
    if (problem !== undefined) {
      onMessage({ body: undefined, problem });
      return [401, `${problem}\n`];
    }
    const status = answer();
    if (status < 300) onMessage({ body: JSON.parse(text), problem });
    return [status, ''];
  }
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
      take(request, text)
        .then(([status, words]) => response.writeHead(status, PLAIN).end(words))
        .catch(() => response.writeHead(500, PLAIN).end('it cannot be looked at now\n'));
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
