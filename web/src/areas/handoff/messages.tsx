import { useState } from 'react';
import useSWR from 'swr';
import { ApiError, get, send } from '../../api/client.ts';
import {
  messageList,
  messagesPath,
  receiverList,
  receiversPath,
  type MessageRecord,
} from '../../api/messages.ts';
import { useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { Labeled, ON_A_LINE } from '../../ui/labeled.tsx';

/** What goes out is looked at so often while this is open, in ms. */
const LOOK_MS = 2000;

const time = (at: string): string =>
  new Date(at).toLocaleString('en', { dateStyle: 'medium', timeStyle: 'short' });

const why = (error: unknown): string =>
  error instanceof ApiError
    ? [
        error.problem.detail,
        ...(error.problem.problems ?? []).map(({ message }) => `It ${message}.`),
      ].join(' ')
    : 'The server does not answer. Nothing was changed.';

/** What became of a message, in words. */
const became = ({ state, tries, answer, sentAt, nextAt }: MessageRecord): string => {
  const times = `${tries} ${tries === 1 ? 'try' : 'tries'}`;
  if (state === 'sent') return `arrived ${time(sentAt ?? '')}`;
  if (state === 'given up') return `given up after ${times}: ${answer ?? ''}`;
  return tries === 0 ? 'on its way' : `${times}, ${answer ?? ''}; again ${time(nextAt ?? '')}`;
};

/** Channels that are told of notes and releases, and what went out to them. */
export function Messages() {
  const system = useSystem((state) => state.id);
  const channels = useSWR(receiversPath(system), (path: string) => get(path, receiverList));
  const outbox = useSWR(messagesPath(system), (path: string) => get(path, messageList), {
    refreshInterval: LOOK_MS,
  });
  const [url, setUrl] = useState('');
  const [problem, setProblem] = useState<string>();
  const act = async (work: () => Promise<unknown>): Promise<boolean> => {
    setProblem(undefined);
    try {
      await work();
      await Promise.all([channels.mutate(), outbox.mutate()]);
      return true;
    } catch (error) {
      setProblem(why(error));
      return false;
    }
  };
  const failed: unknown = channels.error ?? outbox.error;
  const receivers = channels.data?.receivers ?? [];
  const messages = outbox.data?.messages ?? [];
  return (
    <>
      <Section full title="Channels" aside="told of each note and release">
        <form
          className="flex items-end gap-x-4"
          onSubmit={(event) => {
            event.preventDefault();
            void act(() => send('POST', receiversPath(system), { url: url.trim() })).then(
              (isDone) => {
                if (isDone) setUrl('');
              },
            );
          }}
        >
          <Labeled label="address that takes messages" className="min-w-0 grow">
            {(id) => (
              <input
                id={id}
                inputMode="url"
                autoComplete="off"
                className={ON_A_LINE}
                value={url}
                onChange={({ target }) => setUrl(target.value)}
              />
            )}
          </Labeled>
          <button type="submit" className="btn btn-primary" disabled={url.trim() === ''}>
            Add
          </button>
        </form>
        {problem !== undefined && (
          <p role="alert" className="mt-1 text-error">
            {problem}
          </p>
        )}
        {failed instanceof Error && (
          <p role="alert" className="mt-1 text-error">
            {failed.message}
          </p>
        )}
        {channels.data && receivers.length === 0 && (
          <p className="mt-2 max-w-prose text-quiet">
            None yet. A channel gets a POST of JSON for each note and release, signed with a secret
            of its own (RFC 9421, hmac-sha256). To try it: npm run receiver.
          </p>
        )}
        <ul aria-label="Channels" className="mt-2">
          {receivers.map((one) => (
            <li
              key={one.id}
              className="flex flex-wrap items-baseline gap-x-4 border-t border-line py-1 first:border-t-0"
            >
              <span className="figures min-w-0 grow text-xs break-all">{one.url}</span>
              <Copy className="act" text={one.secret} label={`Copy the secret of ${one.url}`}>
                Copy secret
              </Copy>
              <button
                type="button"
                className="act"
                aria-label={`Remove ${one.url}`}
                onClick={() => void act(() => send('DELETE', `${receiversPath(system)}/${one.id}`))}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
      </Section>
      <Section full title="Outbox" aside={messages.length}>
        {outbox.data && messages.length === 0 && (
          <p className="text-quiet">Nothing went out yet.</p>
        )}
        <ul aria-label="Outbox">
          {messages.map((message) => (
            <li
              key={message.id}
              className="grid grid-cols-[4.5rem_minmax(0,1fr)_auto] items-baseline gap-x-3 border-t border-line py-1 first:border-t-0"
            >
              <span className="font-semibold">{message.kind}</span>
              <span className="min-w-0">
                <span className={message.state === 'given up' ? 'text-error' : ''}>
                  {became(message)}
                </span>
                <span className="figures block text-xs break-all text-quiet">
                  {time(message.at)}, {message.url}
                </span>
              </span>
              {message.state !== 'sent' && message.tries > 0 && (
                <button
                  type="button"
                  className="act"
                  onClick={() =>
                    void act(() => send('POST', `${messagesPath(system)}/${message.id}/again`, {}))
                  }
                >
                  Try again
                </button>
              )}
            </li>
          ))}
        </ul>
      </Section>
    </>
  );
}
