import { randomBytes, randomUUID } from 'node:crypto';
import cookie from '@fastify/cookie';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import * as z from 'zod';
import type { Settings } from './db/settings.ts';

/** A year, in seconds: whoever comes back is who they were. */
const A_YEAR = 365 * 24 * 60 * 60;
const COOKIE = 'garnish-person';
const GIVING = /^(?:GET \/api\/person|POST \/api\/systems\/[^/]+\/(?:changes|notes))$/;

declare module 'fastify' {
  interface FastifyRequest {
    /** Who asks: given by us, never by the client. */
    person: string;
  }
}

/** The secret that cookies are signed with: made once, kept in the database. */
const secretOf = (settings: Settings): Promise<string> =>
  settings.once('cookie-secret', () => randomBytes(32).toString('base64url'));

function personOf(request: FastifyRequest): string | undefined {
  const raw = request.cookies[COOKIE];
  const read = raw === undefined ? undefined : request.unsignCookie(raw);
  return read?.valid && z.uuid().safeParse(read.value).success ? read.value : undefined;
}

/**
 * Gives every browser a person of its own, in a signed cookie that no script reads. Changes carry it:
 * undo belongs to a person in all of their windows.
 */
export async function registerPersons(app: FastifyInstance, settings: Settings): Promise<void> {
  await app.register(cookie, { secret: await secretOf(settings) });
  app.decorateRequest('person', '');
  app.addHook('onRequest', (request: FastifyRequest, reply: FastifyReply, done) => {
    if (!request.url.startsWith('/api/')) {
      done();
      return;
    }
    const known = personOf(request);
    request.person = known ?? randomUUID();
    // Only where it is asked for: of many first questions at once, each would give another.
    if (known === undefined && GIVING.test(`${request.method} ${request.url}`))
      reply.setCookie(COOKIE, request.person, {
        signed: true,
        httpOnly: true,
        sameSite: 'strict',
        path: '/api/',
        maxAge: A_YEAR,
      });
    done();
  });
  app.get(
    '/api/person',
    { schema: { response: { 200: z.object({ person: z.uuid() }) } } },
    (request) => Promise.resolve({ person: request.person }),
  );
}
