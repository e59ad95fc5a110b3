import * as z from 'zod/mini';

const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  detail: z.string(),
  problems: z.optional(z.array(z.object({ path: z.string(), message: z.string() }))),
  conflict: z.optional(
    z.object({
      places: z.array(z.object({ path: z.string(), value: z.optional(z.unknown()) })),
      sequence: z.number(),
    }),
  ),
});
export type Problem = z.infer<typeof problemSchema>;

/** The server answered, and said no. */
export class ApiError extends Error {
  readonly status: number;
  readonly problem: Problem;

  constructor(status: number, problem: Problem) {
    super(`${problem.title}. ${problem.detail}`);
    this.status = status;
    this.problem = problem;
  }
}

/** The server did not answer, or not as it should: nothing is known to have gone wrong with what was sent. */
export class Unreachable extends Error {
  /** What is the matter, in few words. */
  readonly why: string;

  constructor(why = 'the server does not answer', detail?: string) {
    super(
      `${why.charAt(0).toUpperCase()}${why.slice(1)}. ${detail ?? 'What was saved is kept; start it again, then try once more.'}`,
    );
    this.why = why;
  }
}

/** From here on an answer is a failure of the server's own, and as good as none. */
const FAILED = 500;

async function answer(path: string, init?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, init);
  } catch {
    throw new Unreachable();
  }
  if (response.ok) return response;
  const parsed = problemSchema.safeParse(await response.json().catch(() => undefined));
  if (!parsed.success) throw new Unreachable();
  if (response.status >= FAILED) {
    const { title, detail } = parsed.data;
    throw new Unreachable(title.charAt(0).toLowerCase() + title.slice(1), detail);
  }
  throw new ApiError(response.status, parsed.data);
}

/** Reads JSON and checks its form. */
export async function get<Schema extends z.ZodMiniType>(
  path: string,
  schema: Schema,
): Promise<z.infer<Schema>> {
  const response = await answer(path);
  return schema.parse(await response.json());
}

/** A text as it is served, and the mark of the state that it is of. */
export async function getText(
  path: string,
): Promise<{ readonly text: string; readonly etag: string | null }> {
  const response = await answer(path);
  return { text: await response.text(), etag: response.headers.get('etag') };
}

/** Sends JSON, if any, and gives the answer's JSON; undefined for an answer without a body. */
export async function send(
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<unknown> {
  const response = await answer(path, {
    method,
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  });
  return response.status === 204 ? undefined : response.json();
}

/** Sends a form with files, and gives the answer's JSON. */
export async function sendForm(path: string, form: FormData): Promise<unknown> {
  return (await answer(path, { method: 'POST', body: form })).json();
}
