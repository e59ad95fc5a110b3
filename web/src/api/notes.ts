import { NOTE_KINDS, pinSchema, type NoteKind, type Pin } from '@garnish/core/notes/note-schema';
import * as z from 'zod/mini';
import { send } from './client.ts';

export const noteRecord = z.object({
  id: z.string(),
  answers: z.optional(z.string()),
  kind: z.enum(NOTE_KINDS),
  page: z.string(),
  pin: pinSchema,
  words: z.string(),
  writer: z.string(),
  isMine: z.boolean(),
  at: z.string(),
  editedAt: z.optional(z.string()),
  isResolved: z.boolean(),
});
export type NoteRecord = z.infer<typeof noteRecord>;

export const noteList = z.object({ notes: z.array(noteRecord) });

export const notesPath = (system: string): string => `/api/systems/${system}/notes`;

/** A note with what was answered to it, the oldest first. */
export interface Thread {
  readonly note: NoteRecord;
  readonly answers: readonly NoteRecord[];
}

/** Notes with their answers, in the order of the notes. */
export function threadsOf(notes: readonly NoteRecord[]): readonly Thread[] {
  const answers = new Map<string, NoteRecord[]>();
  for (const note of notes)
    if (note.answers !== undefined) {
      const known = answers.get(note.answers);
      if (known) known.push(note);
      else answers.set(note.answers, [note]);
    }
  return notes
    .filter((note) => note.answers === undefined)
    .map((note) => ({ note, answers: answers.get(note.id) ?? [] }));
}

/** What is written of a thing, or as an answer. */
export type Written =
  | { readonly words: string; readonly answers: string }
  | {
      readonly words: string;
      readonly kind: NoteKind;
      readonly page: string;
      readonly pin: Pin;
    };

/** How notes are written at an address; guests give the name that they write under. */
export const writingNotes = (path: string, writer?: string) => ({
  add: (id: string, note: Written) =>
    send('POST', path, writer === undefined ? { id, ...note } : { writer, note: { id, ...note } }),
  edit: (id: string, words: string) => send('PUT', `${path}/${id}`, { words }),
  resolve: (id: string, isResolved: boolean) => send('PUT', `${path}/${id}`, { isResolved }),
  remove: (id: string) => send('DELETE', `${path}/${id}`),
});
export type WritingNotes = ReturnType<typeof writingNotes>;
