import pg from 'pg';
import * as z from 'zod';
import { CHANNEL } from './store.ts';

const payload = z.object({ systemId: z.string(), sequence: z.number() });

/** Whoever has the database can send anything here. */
function jsonOfText(text = ''): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export type Listener = (sequence: number) => void;

/** How long to wait before the connection is tried again, in ms. */
const AGAIN_MS = 1000;

/**
 * Hears of changes from every server process over a connection of its own. When that connection is
 * lost it is made again, and every listener is told once, since something may have been missed.
 */
export function createChangeFeed(databaseUrl: string, warn: (error: unknown) => void) {
  const listeners = new Map<string, Set<Listener>>();
  let client: pg.Client | undefined;
  let closed = false;
  let again: NodeJS.Timeout | undefined;

  const connect = async (): Promise<void> => {
    const mine = new pg.Client({ connectionString: databaseUrl });
    client = mine;
    let lost = false;
    const reconnect = (error?: unknown): void => {
      if (lost || closed) return;
      lost = true;
      if (error) warn(error);
      void mine.end().catch(() => undefined);
      again = setTimeout(() => {
        void connect().then(tellAll);
      }, AGAIN_MS);
    };
    mine.on('error', reconnect);
    mine.on('end', () => {
      reconnect();
    });
    mine.on('notification', ({ payload: text }) => {
      const parsed = payload.safeParse(jsonOfText(text));
      if (!parsed.success) {
        warn(new Error(`a notification that is none of ours: ${text?.slice(0, 200) ?? ''}`));
        return;
      }
      listeners.get(parsed.data.systemId)?.forEach((listener) => {
        listener(parsed.data.sequence);
      });
    });
    try {
      await mine.connect();
      await mine.query(`LISTEN ${CHANNEL}`);
    } catch (error) {
      reconnect(error);
    }
  };

  const tellAll = (): void => {
    for (const own of listeners.values())
      own.forEach((listener) => {
        listener(-1);
      });
  };

  return {
    start: connect,
    listen(systemId: string, listener: Listener): () => void {
      const own = listeners.get(systemId) ?? new Set();
      listeners.set(systemId, own.add(listener));
      return () => {
        own.delete(listener);
        if (own.size === 0) listeners.delete(systemId);
      };
    },
    async close(): Promise<void> {
      closed = true;
      clearTimeout(again);
      await client?.end().catch(() => undefined);
    },
  };
}

export type ChangeFeed = ReturnType<typeof createChangeFeed>;
