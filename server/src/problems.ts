import type { FastifyError, FastifyReply, FastifyRequest } from 'fastify';
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod';
import { ConnectionError } from 'sequelize';
import * as z from 'zod';

/** Every way in which a request fails, with its status and its title. The names are stable. */
const KINDS = {
  'malformed-json': [400, 'The body is not JSON'],
  'invalid-input': [400, 'The request is not of the expected form'],
  'not-found': [404, 'There is nothing at this address'],
  'unknown-system': [404, 'There is no such system'],
  'unreadable-system': [422, 'This system cannot be read'],
  'unknown-host': [421, 'This is not an address of Garnish'],
  'foreign-page': [403, 'This page may not ask for that'],
  'future-base': [422, 'The change rests on changes that are not there'],
  'reused-id': [409, 'Another change has this id'],
  'no-room': [413, 'There is no room for it'],
  'still-used': [409, 'It is used'],
  'archive-refused': [422, 'This archive cannot be restored'],
  'archive-differs': [409, 'Some of it is here already, and differs'],
  'database-away': [503, 'The database does not answer'],
  'storage-full': [507, 'There is no space left on the disk'],
  'font-refused': [422, 'These files cannot be taken'],
  'font-needs-confirmation': [409, 'The files forbid embedding in documents'],
  'unknown-keeper': [404, 'There is no such keeper'],
  'picture-refused': [422, 'This picture cannot be taken'],
  'unknown-picture': [404, 'There is no such picture'],
  'unknown-font-file': [404, 'There is no such font file'],
  'unknown-icon': [404, 'There is no such icon'],
  'unknown-release': [404, 'There is no such release'],
  'unknown-link': [404, 'This link leads nowhere'],
  'link-refused': [409, 'This link cannot be made'],
  'unknown-note': [404, 'There is no such note'],
  'note-refused': [403, 'This note cannot be written'],
  'unknown-page': [404, 'There is no such page'],
  'page-refused': [409, 'This page cannot be kept'],
  'receiver-refused': [409, 'This channel cannot be told'],
  'unknown-receiver': [404, 'There is no such channel'],
  'unknown-message': [404, 'There is no such message'],
  'passphrase-needed': [401, 'A passphrase is needed'],
  'too-many-tries': [429, 'That was tried too often'],
  'release-refused': [409, 'This cannot be released'],
  conflict: [409, 'The same value was changed elsewhere'],
  'invalid-change': [422, 'The change would make the system invalid'],
  'body-too-large': [413, 'The body is too large'],
  'unsupported-media-type': [415, 'This address takes JSON'],
  internal: [500, 'The server failed'],
} as const satisfies Record<string, readonly [number, string]>;

export type ProblemKind = keyof typeof KINDS;

export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  problems: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  conflict: z
    .object({
      /** Every place at which it is about the same as somebody else's change, with what stands there. */
      places: z.array(z.object({ path: z.string(), value: z.unknown().optional() })),
      sequence: z.number(),
    })
    .optional(),
});
export type ProblemDetails = z.infer<typeof problemSchema>;

/** A failure that has an answer of its own. Source of the form: RFC 9457. */
export class Problem extends Error {
  readonly kind: ProblemKind;
  readonly more: Pick<ProblemDetails, 'problems' | 'conflict'>;

  constructor(
    kind: ProblemKind,
    detail: string,
    more: Pick<ProblemDetails, 'problems' | 'conflict'> = {},
  ) {
    super(detail);
    this.kind = kind;
    this.more = more;
  }
}

function send(reply: FastifyReply, { kind, message, more }: Problem): FastifyReply {
  const [status, title] = KINDS[kind];
  const body: ProblemDetails = {
    type: `/problems/${kind}`,
    title,
    status,
    detail: message,
    ...more,
  };
  return reply
    .status(status)
    .type('application/problem+json')
    .serializer(JSON.stringify)
    .send(body);
}

/** Codes of PostgreSQL, by their class or whole. Source: its manual, appendix A. */
const AWAY = /^(?:08...|57P0[1-5]|53300)$/;
const FULL = /^53[12]00$/;
const DATA = /^22...$/;

/** What the database says of itself, or of what it was given. */
export function databaseProblem(error: object): Problem | undefined {
  const { original = error } = error as { original?: unknown };
  const { code: said = '' } = (original ?? {}) as { code?: unknown };
  const code = typeof said === 'string' ? said : '';
  if (FULL.test(code) || code === 'ENOSPC')
    return new Problem(
      'storage-full',
      'Nothing was changed, and what was saved before is kept. It goes on as soon as there is space.',
    );
  if (
    AWAY.test(code) ||
    /^E(?:CONN|PIPE|NOENT|TIMEDOUT)/.test(code) ||
    error instanceof ConnectionError ||
    /connection (?:terminated|timeout|ended)|not queryable/i.test((original as Error).message)
  )
    return new Problem(
      'database-away',
      'Nothing was changed, and what was saved before is kept. It goes on as soon as it is back.',
    );
  return DATA.test(code)
    ? new Problem('invalid-input', 'A value is none that can be kept. Nothing was changed.')
    : undefined;
}

function problemOf(error: FastifyError | Problem): Problem {
  if (error instanceof Problem) return error;
  if (hasZodFastifySchemaValidationErrors(error))
    return new Problem('invalid-input', 'Some values are missing or of another kind.', {
      problems: error.validation.map(({ instancePath, message }) => ({
        path: instancePath,
        message: message ?? 'is not valid',
      })),
    });
  switch (error.code) {
    case 'FST_ERR_CTP_INVALID_MEDIA_TYPE':
      return new Problem('unsupported-media-type', 'Send application/json.');
    case 'FST_ERR_CTP_BODY_TOO_LARGE':
      return new Problem('body-too-large', 'Nothing was changed. Send less at once.');
    case 'FST_ERR_CTP_EMPTY_JSON_BODY':
    case 'FST_ERR_CTP_INVALID_JSON_BODY':
      return new Problem('malformed-json', 'Nothing was changed. The body could not be read.');
    default: {
      const away = databaseProblem(error);
      if (away) return away;
      if (error instanceof SyntaxError && error.statusCode === 400)
        return new Problem('malformed-json', 'Nothing was changed. The body could not be read.');
      return error.statusCode !== undefined && error.statusCode < 500
        ? new Problem('invalid-input', error.message)
        : new Problem('internal', 'What was saved before is kept. Try again in a moment.');
    }
  }
}

export function answerError(
  error: FastifyError | Problem,
  request: FastifyRequest,
  reply: FastifyReply,
): FastifyReply {
  const problem = problemOf(error);
  if (problem.kind === 'internal') request.log.error(error);
  else if (problem.kind === 'database-away' || problem.kind === 'storage-full')
    request.log.warn(problem.kind);
  return send(reply, problem);
}

export const answerUnknownAddress = (request: FastifyRequest, reply: FastifyReply): FastifyReply =>
  send(reply, new Problem('not-found', `${request.method} ${request.url} is not known here.`));
