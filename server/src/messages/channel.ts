import { DEMO_CHANNEL, startReceiver } from './receiver.ts';

interface Told {
  readonly system?: { readonly name?: string };
  readonly note?: { readonly writer?: string; readonly thing?: string; readonly words?: string };
  readonly release?: { readonly number?: string; readonly words?: string };
}

/** A message in words; of what is not known only whose it is. */
export function inWords(body: unknown): string {
  const { system, note, release } = (typeof body === 'object' && body !== null ? body : {}) as Told;
  const of = system?.name ?? 'a system';
  if (note)
    return `${of}: ${note.writer ?? 'somebody'} at ${note.thing ?? 'something'}: ${note.words ?? ''}`;
  if (release) return `${of}: release ${release.number ?? ''}. ${release.words ?? ''}`.trim();
  return `${of}: something that is not known here`;
}

interface Secret {
  readonly url: string;
  readonly secret: string;
}

/** What the systems of an application sign their messages to a channel with. */
async function secretsAt(application: string, channel: string): Promise<readonly string[]> {
  const read = async (path: string): Promise<unknown> =>
    (await fetch(`${application}${path}`)).json();
  const { systems } = (await read('/api/systems?limit=50')) as {
    systems: readonly { id: string }[];
  };
  const all = await Promise.all(
    systems.map(async ({ id }) => {
      const { receivers } = (await read(`/api/systems/${id}/receivers`)) as { receivers: Secret[] };
      return receivers;
    }),
  );
  return all.flat().flatMap(({ url, secret }) => (url === channel ? [secret] : []));
}

/**
 * A channel that stands in for that of a team: it believes what the systems of an application sign for it, and says
 * what came. Nothing where another program listens there.
 */
export async function startChannel(
  application: string,
  onWords: (words: string) => void,
  channel = DEMO_CHANNEL,
): Promise<{ readonly close: () => Promise<void> } | undefined> {
  try {
    return await startReceiver({
      port: Number(new URL(channel).port),
      secrets: () => secretsAt(application, channel),
      onMessage: ({ body, problem }) =>
        onWords(problem === undefined ? inWords(body) : `a message is not believed: ${problem}`),
    });
  } catch {
    return undefined;
  }
}
