import type { FastifyInstance, FastifyRequest } from 'fastify';
import { jsonProblem } from '@garnish/core/system/json';
import { isOfGuest } from './guests/listener.ts';
import { Problem } from './problems.ts';

/** The names of this machine on its own loopback. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** Methods that change nothing. */
const READING = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The name in a Host header, without its port; nothing where it is none. */
const nameOf = (host: string): string => host.replace(/:\d*$/, '').toLowerCase();

/**
 * Whether a page of another origin is behind a request. Browsers say so themselves and let no page say
 * otherwise (Fetch: `Origin`, `Sec-Fetch-Site`). What is no browser says neither, and is somebody's own.
 */
function isForeign({ headers }: FastifyRequest): boolean {
  const { host = '', origin } = headers;
  const site = headers['sec-fetch-site'];
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true;
  if (origin === undefined) return false;
  try {
    return new URL(origin).host !== host.toLowerCase();
  } catch {
    return true; // `null`, of a page without an origin
  }
}

/** A link from elsewhere may open a page; it may not read data, nor write. */
const isNavigation = ({ headers, method, url }: FastifyRequest): boolean =>
  method === 'GET' && headers['sec-fetch-mode'] === 'navigate' && !url.startsWith('/api/');

/**
 * Only the person at this machine: names other than loopback's and those that were configured are
 * refused (a name that somebody else points here would make their page one of ours), and so is whatever a
 * page of another origin asks for. Texts that no database keeps are refused before anything looks at them.
 */
export function guard(app: FastifyInstance, names: readonly string[]): void {
  const known = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())]);
  const problemOf = (request: FastifyRequest): Problem | undefined => {
    const { host = '' } = request.headers;
    // Guests call this machine as they reach it; what is there for them is theirs by a secret address.
    if (!isOfGuest(request.raw) && !known.has(nameOf(host)))
      return new Problem(
        'unknown-host',
        `Garnish does not answer to “${host.slice(0, 100)}”. Open it under localhost, or set GARNISH_HOSTS.`,
      );
    return isForeign(request) && !isNavigation(request)
      ? new Problem(
          'foreign-page',
          READING.has(request.method)
            ? 'Pages of other addresses cannot read here.'
            : 'Pages of other addresses cannot change anything here. Nothing was changed.',
        )
      : undefined;
  };
  app.addHook('onRequest', (request, _, done) => {
    done(problemOf(request));
  });
  app.addHook('preValidation', ({ body, params, query }, _, done) => {
    for (const [where, value] of [
      ['body', body],
      ['address', { ...(params as object) }],
      ['query', { ...(query as object) }],
    ] as const) {
      const problem = value === undefined ? undefined : jsonProblem(value);
      if (problem === undefined) continue;
      done(
        new Problem('invalid-input', 'Nothing was changed.', {
          problems: [{ path: `/${where}`, message: problem }],
        }),
      );
      return;
    }
    done();
  });
}
