import { randomUUID } from 'node:crypto';
import { mutatedText, type Random, type Target } from './fuzz-engine.ts';

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly type: string;
  readonly body: string | undefined;
}

interface Description {
  readonly paths: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
}

const HOSTILE_PARTS = [
  ...['%00', '%ED%A0%80', '..%2f..%2f', '__proto__', 'constructor', '%25', '%ff', '-1', '1e999'],
  ...['99999999999999999999', "'; DROP TABLE systems; --", '𝒳'.repeat(60), 'null', '%2e%2e'],
];

const BODIES = (id: string): readonly string[] =>
  [
    { name: 'A site' },
    {
      id: randomUUID(),
      base: 0,
      settled: [{ path: '/name', sequence: 1 }],
      patch: [{ op: 'replace', path: '/space/unit', value: 6 }],
      label: 'unit',
      window: id,
      gesture: id,
      kind: 'undo',
    },
    { pair: { heading: {}, text: {} }, note: 'x', origin: 'y' },
    { palette: { name: 'x', colors: [{ name: 'x', hex: '#123456' }] }, note: 'x', origin: 'y' },
    { note: 'x' },
  ].map((body) => JSON.stringify(body));

const BOUNDARY = 'xxboundaryxx';
const form = (content: string): string =>
  `--${BOUNDARY}\r\ncontent-disposition: form-data; name="files"; filename="a.png"\r\n\r\n${content}\r\n--${BOUNDARY}--\r\n`;

const TYPES = [
  'application/json',
  `multipart/form-data; boundary=${BOUNDARY}`,
  'text/plain',
  'application/xml',
  '',
];

/** Addresses that stream for as long as they are listened to, or change everything at once. */
const LEFT_OUT = /\/(?:events|backup)$/;

/**
 * Every route of a running server, from its own description, with places, queries and bodies that fit and
 * that do not. Whatever is answered with 500 or more is a find, and what is no answer at all.
 */
export async function routesTarget(base: string): Promise<Target<Sent>> {
  const { paths } = (await (await fetch(`${base}/api/docs/json`)).json()) as Description;
  const { systems } = (await (await fetch(`${base}/api/systems`)).json()) as {
    systems: { id: string }[];
  };
  const id = systems[0]?.id ?? randomUUID();
  const bodies = BODIES(id);
  const seeds = Object.entries(paths).flatMap(([path, methods]) =>
    LEFT_OUT.test(path)
      ? []
      : Object.keys(methods).map((method): Sent => {
          const isWriting = method === 'post';
          return {
            method: method.toUpperCase(),
            path: path.replaceAll(/\{[^}]+\}/g, id),
            type: isWriting ? 'application/json' : '',
            body: isWriting ? bodies[0] : undefined,
          };
        }),
  );
  const mutate = (sent: Sent, random: Random): Sent => {
    const { method } = sent;
    const one = <Item>(items: readonly Item[]): Item => items[random(items.length)] as Item;
    const path =
      random(3) === 0
        ? sent.path.replace(id, one([id, one(HOSTILE_PARTS), randomUUID(), '', `${id}/${id}`]))
        : sent.path;
    const query =
      random(3) === 0
        ? `?${one(['search', 'offset', 'limit', 'order', 'after', 'before', 'last', 'replace', '__proto__'])}=${one([...HOSTILE_PARTS, '5', 'yes', 'changed'])}`
        : '';
    const isWriting = method === 'POST';
    const type = isWriting && random(4) === 0 ? one(TYPES) : sent.type;
    const plain = mutatedText(one(bodies), random, bodies);
    const body = !isWriting
      ? undefined
      : type.startsWith('multipart')
        ? form(plain)
        : random(5) === 0
          ? one(bodies)
          : plain;
    return { method, path: path + query, type, body };
  };
  return {
    name: 'routes',
    share: 5,
    seeds,
    mutate,
    take: async ({ method, path, type, body }) => {
      const answer = await fetch(`${base}${path}`, {
        method,
        ...(type !== '' && { headers: { 'content-type': type } }),
        ...(body !== undefined && { body }),
      });
      const said = await answer.text();
      if (answer.status >= 500) throw new Error(`${answer.status}: ${said.slice(0, 300)}`);
      if (answer.status >= 400 && !said.includes('/problems/'))
        throw new Error(`${answer.status} without a named problem: ${said.slice(0, 300)}`);
      return answer.status >= 400;
    },
    show: (sent) => JSON.stringify(sent).slice(0, 3000),
  };
}
