import { parseArgs } from 'node:util';
import { DEMO_CHANNEL_PORT, startReceiver } from '../../server/src/messages/receiver.ts';
import { inWords } from '../../server/src/messages/channel.ts';
import { Advice, end, portOf, say } from './say.ts';

const USAGE = `Takes messages of Garnish on this machine, and says what came.

  npm run receiver -- --secret SECRET [--port 4600]

The secret is the one that Handoff shows for the channel http://127.0.0.1:4600/.`;

const { values } = parseArgs({
  options: {
    secret: { type: 'string', default: '' },
    port: { type: 'string', default: String(DEMO_CHANNEL_PORT) },
  },
  strict: false,
});
const secret = String(values.secret);
try {
  if (secret === '') throw new Advice(USAGE);
  const receiver = await startReceiver({
    port: portOf(String(values.port), DEMO_CHANNEL_PORT),
    secrets: () => [secret],
    onMessage: ({ body, problem }) =>
      say(problem === undefined ? inWords(body) : `not believed: ${problem}`),
  });
  say(`listening at http://127.0.0.1:${receiver.port}/`);
} catch (error) {
  end(error);
}
