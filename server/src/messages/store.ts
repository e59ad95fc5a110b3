import { randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Database } from '../db/models.ts';
import { Problem } from '../problems.ts';
import type { Store } from '../systems/store.ts';
import { signedFields } from './signature.ts';

/** What a message tells of. */
export const MESSAGE_KINDS = ['note', 'release'] as const;
export type MessageKind = (typeof MESSAGE_KINDS)[number];

export const MESSAGE_STATES = ['waiting', 'sent', 'given up'] as const;

/** Where messages of a system go. */
export interface Receiver {
  readonly id: string;
  readonly url: string;
  /** What messages to it are signed with, in Base64. */
  readonly secret: string;
  readonly at: Date;
}

/** A message that went out, or is to go out. */
export interface Message {
  readonly id: string;
  readonly url: string;
  readonly kind: MessageKind;
  readonly state: (typeof MESSAGE_STATES)[number];
  readonly tries: number;
  /** What came back last, or why nothing did. */
  readonly answer: string | null;
  readonly at: Date;
  readonly sentAt: Date | null;
  readonly nextAt: Date;
}

const SECRET_BYTES = 32;
const MOST_RECEIVERS = 10;
/** So many of the newest messages are listed. */
const LISTED = 100;
/** After each try that failed it waits for so long, in seconds; after the last one it is given up. */
export const WAITS_S = [10, 60, 300, 1800, 7200] as const;
/** So long an answer is waited for. */
const PATIENCE_MS = 10_000;
/** Who has taken a message has so long to send it, in seconds; then another may. */
const HELD_S = 30;
const AT_ONCE = 10;

interface Due {
  readonly id: string;
  readonly kind: MessageKind;
  readonly tries: number;
  readonly url: string;
  readonly secret: string;
  readonly at: Date;
  readonly systemId: string;
  readonly systemName: string;
  readonly body: unknown;
}

/**
 * Messages to a team’s channel: a signed POST of JSON for each note and release. They are written down together with
 * what they tell of (by the database itself), so that none is lost; each is tried again until it arrives or is given up.
 */
export function createMessages({ sequelize }: Database, store: Store) {
  const rows = <Found extends object>(sql: string, bind: readonly unknown[]): Promise<Found[]> =>
    sequelize.query<Found>(sql, { bind: [...bind], type: QueryTypes.SELECT });

  const closing = new AbortController();

  async function post({ id, url, secret, ...message }: Due): Promise<string | undefined> {
    const { kind, at, systemId, systemName, body } = message;
    const text = JSON.stringify({
      ...{ id, kind, at: at.toISOString() },
      system: { id: systemId, name: systemName },
      [kind]: body,
    });
    try {
      const answer = await fetch(url, {
        method: 'POST',
        headers: {
          ...signedFields(url, text, Buffer.from(secret, 'base64'), new Date()),
          'user-agent': 'Garnish',
        },
        body: text,
        redirect: 'error',
        signal: AbortSignal.any([AbortSignal.timeout(PATIENCE_MS), closing.signal]),
      });
      await answer.body?.cancel();
      return answer.ok ? undefined : `it was answered with ${answer.status}`;
    } catch (error) {
      const why = error instanceof Error && error.name === 'TimeoutError';
      return why ? 'there was no answer in ten seconds' : 'nobody answered there';
    }
  }

  const deliver = async (): Promise<number> => {
    // Taken by one process: another that looks at the same moment takes others.
    const due = await rows<Due>(
      `WITH taken AS (
         SELECT id FROM messages WHERE state = 'waiting' AND next_at <= now()
         ORDER BY at LIMIT ${AT_ONCE} FOR UPDATE SKIP LOCKED
       )
       UPDATE messages SET next_at = now() + interval '${HELD_S} seconds'
       FROM taken, receivers, systems
       WHERE messages.id = taken.id AND receivers.id = messages.receiver_id
         AND systems.id = messages.system_id
       RETURNING messages.id, messages.kind, messages.tries, messages.at, messages.body,
         receivers.url, receivers.secret, systems.id AS "systemId",
         systems.document->>'name' AS "systemName"`,
      [],
    );
    await Promise.all(
      due.map(async (message) => {
        const problem = await post(message);
        // Given up half-way it is no try: whoever starts next sends it.
        if (closing.signal.aborted) return;
        const wait = WAITS_S[message.tries];
        const state = problem === undefined ? 'sent' : wait === undefined ? 'given up' : 'waiting';
        await rows(
          `UPDATE messages SET state = $2, tries = tries + 1, answer = $3,
             sent_at = CASE WHEN $2 = 'sent' THEN now() END,
             next_at = now() + make_interval(secs => $4)
           WHERE id = $1`,
          [message.id, state, problem ?? 'it arrived', wait ?? 0],
        );
      }),
    );
    return due.length;
  };

  return {
    /** Sends what is due; tells how many it tried. */
    deliver,

    /** Ends what is under way. */
    close: (): void => closing.abort(),

    async receivers(systemId: string): Promise<readonly Receiver[]> {
      await store.sequence(systemId);
      return rows<Receiver>(
        'SELECT id, url, secret, at FROM receivers WHERE system_id = $1 ORDER BY at, id',
        [systemId],
      );
    },

    async add(systemId: string, url: string): Promise<Receiver> {
      await store.sequence(systemId);
      const [made] = await rows<Receiver>(
        `INSERT INTO receivers (id, system_id, url, secret)
         SELECT $1, $2, $3, $4
         WHERE (SELECT count(*) FROM receivers WHERE system_id = $2) < ${MOST_RECEIVERS}
         RETURNING id, url, secret, at`,
        [randomUUID(), systemId, url, randomBytes(SECRET_BYTES).toString('base64')],
      );
      if (!made)
        throw new Problem(
          'receiver-refused',
          `A system tells ${MOST_RECEIVERS} channels at most. Remove one first. Nothing was changed.`,
        );
      return made;
    },

    async remove(systemId: string, id: string): Promise<void> {
      const gone = await rows(
        'DELETE FROM receivers WHERE system_id = $1 AND id = $2 RETURNING id',
        [systemId, id],
      );
      if (gone.length === 0)
        throw new Problem('unknown-receiver', 'It may have been removed already.');
    },

    /** What went out and is to go out, the newest first. */
    async list(systemId: string): Promise<readonly Message[]> {
      await store.sequence(systemId);
      return rows<Message>(
        `SELECT messages.id, kind, state, tries, answer, messages.at, sent_at AS "sentAt",
           next_at AS "nextAt", url
         FROM messages JOIN receivers ON receivers.id = receiver_id
         WHERE messages.system_id = $1 ORDER BY messages.at DESC, messages.id LIMIT ${LISTED}`,
        [systemId],
      );
    },

    /** Tries a message once more that waits, or was given up. */
    async again(systemId: string, id: string): Promise<void> {
      const found = await rows(
        `UPDATE messages SET state = 'waiting', tries = 0, next_at = now()
         WHERE system_id = $1 AND id = $2 AND state <> 'sent' RETURNING id`,
        [systemId, id],
      );
      if (found.length === 0)
        throw new Problem('unknown-message', 'It arrived, or its channel was removed.');
    },
  };
}

export type Messages = ReturnType<typeof createMessages>;
