import type { FastifyReply, FastifyRequest } from 'fastify';

/** So often a stream says that it is still there, in ms: who follows it knows, and what stands between keeps it open. */
const BEAT_MS = 20_000;

/** A stream of events to one window. Source of the form: HTML, server-sent events. */
export interface EventStream {
  readonly tell: (data: unknown, event?: string) => void;
  readonly end: () => void;
}

/**
 * Makes an answer a stream of events until the window is closed; `start` begins to tell and gives back what ends
 * that. `onBeat` is called now and then while it is open.
 */
export function streamEvents(
  { raw }: Pick<FastifyRequest, 'raw'>,
  reply: FastifyReply,
  start: (stream: EventStream) => () => void,
  onBeat: () => void = () => undefined,
): void {
  reply.hijack();
  const stream = reply.raw;
  stream.writeHead(200, {
    'content-type': 'text/event-stream',
    'cache-control': 'no-store',
    connection: 'keep-alive',
  });
  const stop = start({
    tell: (data, event) => {
      if (event !== undefined) stream.write(`event: ${event}\n`);
      stream.write(`data: ${JSON.stringify(data)}\n\n`);
    },
    end: () => stream.end(),
  });
  const beat = setInterval(() => {
    stream.write('event: beat\ndata: {}\n\n');
    onBeat();
  }, BEAT_MS);
  raw.on('close', () => {
    stop();
    clearInterval(beat);
  });
}
