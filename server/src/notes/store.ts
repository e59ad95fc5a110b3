import { MOST_NOTES, type NoteKind, type Pin } from '@garnish/core/notes/note-schema';
import type { Database } from '../db/models.ts';
import { Problem } from '../problems.ts';
import type { Store } from '../systems/store.ts';
import { telling } from '../systems/telling.ts';

/** A note as it is kept; an answer has the kind, page and pin of what it answers. */
export interface Note {
  readonly id: string;
  /** The note that it answers. */
  readonly answers: string | null;
  readonly kind: NoteKind;
  readonly page: string;
  readonly pin: Pin;
  readonly words: string;
  /** What its writer is called, in their own words. */
  readonly writer: string;
  readonly author: string;
  readonly at: Date;
  readonly editedAt: Date | null;
  readonly resolvedAt: Date | null;
}

/** What somebody writes: a note of its own, or an answer to another. */
export type NewNote = Pick<Note, 'id' | 'words' | 'writer' | 'author'> &
  (Pick<Note, 'kind' | 'page' | 'pin'> | { readonly answers: string });

/** Who acts: whoever the system belongs to may do more than a guest. */
export interface Acting {
  readonly author: string;
  readonly isOwner: boolean;
}

const COLUMNS =
  'id, answers, kind, page, pin, words, writer, author, at, edited_at AS "editedAt", resolved_at AS "resolvedAt"';

const refuse = (why: string): Problem => new Problem('note-refused', `${why} Nothing was changed.`);

/** Keeps notes. Every open window of the system hears of each. */
export function createNotes(database: Database, store: Store) {
  const { rows, write } = telling(database);

  const one = async (systemId: string, id: string): Promise<Note> => {
    const [note] = await rows<Note>(
      `SELECT ${COLUMNS} FROM notes WHERE system_id = $1 AND id = $2`,
      [systemId, id],
    );
    if (!note) throw new Problem('unknown-note', 'It may have been deleted.');
    return note;
  };

  return {
    one,

    /** All notes of a system with their answers, the oldest first. */
    async list(systemId: string): Promise<readonly Note[]> {
      await store.sequence(systemId);
      return rows<Note>(`SELECT ${COLUMNS} FROM notes WHERE system_id = $1 ORDER BY at, id`, [
        systemId,
      ]);
    },

    /** Keeps a note; the same once more, after a reply that got lost, changes nothing. */
    async add(systemId: string, note: NewNote): Promise<void> {
      await store.sequence(systemId);
      const answered = 'answers' in note ? await one(systemId, note.answers) : undefined;
      if (answered && answered.answers !== null)
        throw refuse('An answer belongs to a note, not to an answer.');
      const { kind, page, pin } = answered ?? (note as Pick<Note, 'kind' | 'page' | 'pin'>);
      const [counted] = await rows<{ readonly count: number }>(
        'SELECT count(*)::int AS count FROM notes WHERE system_id = $1',
        [systemId],
      );
      if ((counted?.count ?? 0) >= MOST_NOTES)
        throw refuse(`${MOST_NOTES} notes are kept. Delete some first.`);
      const written = await write(
        `INSERT INTO notes (system_id, id, answers, kind, page, pin, words, writer, author)
         VALUES ($1, $2, $3, $4, $5, $6::jsonb, $7, $8, $9) ON CONFLICT (id) DO NOTHING RETURNING id`,
        [
          ...[systemId, note.id, answered?.id ?? null, kind, page, JSON.stringify(pin)],
          ...[note.words, note.writer, note.author],
        ],
      );
      if (written.length > 0) return;
      const same = await one(systemId, note.id).catch(() => undefined);
      if (same?.author !== note.author || same.words !== note.words)
        throw new Problem('reused-id', 'Nothing was changed. Send it under an id of its own.');
    },

    /** Changes one's own words. */
    async edit(systemId: string, id: string, words: string, by: Acting): Promise<void> {
      const note = await one(systemId, id);
      if (note.author !== by.author) throw refuse('These are the words of somebody else.');
      await write(
        'UPDATE notes SET words = $3, edited_at = now() WHERE system_id = $1 AND id = $2 RETURNING id',
        [systemId, id, words],
      );
    },

    /** Says that a note is done, or is not. */
    async resolve(systemId: string, id: string, isResolved: boolean, by: Acting): Promise<void> {
      const note = await one(systemId, id);
      if (note.answers !== null) throw refuse('Only a note is resolved, not an answer.');
      if (!by.isOwner && note.author !== by.author)
        throw refuse('Whoever wrote it resolves it, or whose system it is.');
      await write(
        `UPDATE notes SET resolved_at = CASE WHEN $3::boolean THEN now() END
         WHERE system_id = $1 AND id = $2 RETURNING id`,
        [systemId, id, isResolved],
      );
    },

    /** Deletes one's own note; what others have answered goes only with whoever the system belongs to. */
    async remove(systemId: string, id: string, by: Acting): Promise<void> {
      const note = await one(systemId, id);
      if (!by.isOwner && note.author !== by.author)
        throw refuse('These are the words of somebody else.');
      const removed = await write(
        `DELETE FROM notes WHERE system_id = $1 AND id = $2 AND ($3::boolean OR NOT EXISTS (
           SELECT FROM notes AS answer WHERE answer.answers = $2::uuid AND answer.author <> $4::uuid)) RETURNING id`,
        [systemId, id, by.isOwner, by.author],
      );
      if (removed.length === 0) throw refuse('Others have answered it.');
    },
  };
}

export type Notes = ReturnType<typeof createNotes>;
