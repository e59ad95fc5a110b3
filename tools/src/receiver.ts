import { parseArgs } from 'node:util';
import { startReceiver } from '../../server/src/messages/receiver.ts';
import { Advice, end, portOf, say } from './say.ts';

const USAGE = `Takes messages of Garnish on this machine, and says what came.

  npm run receiver -- --secret SECRET [--port 4600]

The secret is the one that Handoff shows for the channel http://127.0.0.1:4600/.`;

interface Told {
  readonly kind?: string;
  readonly system?: { readonly name?: string };
  readonly note?: { readonly writer?: string; readonly thing?: string; readonly words?: string };
  readonly release?: { readonly number?: string; readonly words?: string };
}

/** A message in words. */
function inWords({ system, note, release }: Told): string {
  const of = system?.name ?? 'a system';
  if (note)
    return `${of}: ${note.writer ?? 'somebody'} at ${note.thing ?? 'something'}: ${note.words ?? ''}`;
  if (release) return `${of}: release ${release.number ?? ''}. ${release.words ?? ''}`.trim();
  return `${of}: something that is not known here`;
}

const { values } = parseArgs({
  options: { secret: { type: 'string', default: '' }, port: { type: 'string', default: '4600' } },
  strict: false,
});
const secret = String(values.secret);
try {
  if (secret === '') throw new Advice(USAGE);
  const receiver = await startReceiver({
    port: portOf(String(values.port), 4600),
    secret: () => secret,
    onMessage: ({ body, problem }) =>
      say(problem === undefined ? inWords(body as Told) : `not believed: ${problem}`),
  });
  say(`listening at http://127.0.0.1:${receiver.port}/`);
} catch (error) {
  end(error);
}
