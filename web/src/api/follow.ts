/** How long to wait before the server is tried again, in ms. */
const AGAIN_MS = 3000;
/** The server says so often that it is still there, and more often than twice: after this, in ms, nobody is. */
const SILENCE_MS = 50_000;

export interface Follower {
  /** What is done with the data of each kind of event; `message` where an event has no name. */
  readonly on: Readonly<Record<string, (data: string) => void>>;
  /** Nobody answers: what is shown may be old. It is tried again until it is left. */
  readonly onLost?: () => void;
  /** Somebody answers, at first or again. */
  readonly onFound?: () => void;
  /** It is tried again, after it was lost. */
  readonly onAgain?: () => void;
}

/**
 * Follows a stream of events until it is left, by the function that is given back. A stream is lost when it ends,
 * when the server refuses it, when the browser says that it is offline (an open stream may outlive that in silence),
 * and when nothing was heard for longer than the server ever is silent. Source of the form: HTML, server-sent events.
 */
export function follow(path: string, { on, onLost, onFound, onAgain }: Follower): () => void {
  let source: EventSource | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;

  const end = (): void => {
    source?.close();
    source = undefined;
    clearTimeout(again);
    clearTimeout(silence);
  };
  const lose = (): void => {
    end();
    onLost?.();
    again = setTimeout(retry, AGAIN_MS);
  };
  const hear = (): void => {
    clearTimeout(silence);
    silence = setTimeout(lose, SILENCE_MS);
  };
  const connect = (): void => {
    end();
    const opened = new EventSource(path);
    source = opened;
    hear();
    opened.addEventListener('open', () => {
      hear();
      onFound?.();
    });
    opened.addEventListener('error', () => {
      if (source === opened) lose();
    });
    opened.addEventListener('beat', hear);
    for (const [name, act] of Object.entries(on))
      opened.addEventListener(name, ({ data }: MessageEvent<string>) => {
        if (source !== opened) return;
        hear();
        act(data);
      });
  };
  function retry(): void {
    connect();
    onAgain?.();
  }

  globalThis.addEventListener('offline', lose);
  globalThis.addEventListener('online', retry);
  connect();
  return () => {
    globalThis.removeEventListener('offline', lose);
    globalThis.removeEventListener('online', retry);
    end();
  };
}
