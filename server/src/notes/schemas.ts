import {
  LONGEST_NOTE,
  LONGEST_WRITER,
  NOTE_KINDS,
  pinSchema,
} from '@garnish/core/notes/note-schema';
import * as z from 'zod';
import type { Note } from './store.ts';

const words = z.string().trim().min(1).max(LONGEST_NOTE);

/** Of pins the border looks with the schema that core has. */
const pin = z.custom<z.infer<typeof pinSchema>>((value) => pinSchema.safeParse(value).success, {
  message: 'is no pin',
});

export const newNote = z.union([
  z.strictObject({ id: z.uuid(), words, answers: z.uuid() }),
  z.strictObject({
    id: z.uuid(),
    words,
    kind: z.enum(NOTE_KINDS),
    page: z.string().max(100),
    pin,
  }),
]);

export const writer = z.string().trim().min(1).max(LONGEST_WRITER);

export const noteEdit = z.union([
  z.strictObject({ words }),
  z.strictObject({ isResolved: z.boolean() }),
]);

export const noteSchema = z.object({
  id: z.string(),
  answers: z.string().optional(),
  kind: z.enum(NOTE_KINDS),
  page: z.string(),
  pin: z.any(),
  words: z.string(),
  writer: z.string(),
  isMine: z.boolean(),
  at: z.string(),
  editedAt: z.string().optional(),
  isResolved: z.boolean(),
});

/** A note as one of its readers is told of it: who wrote it is told by a name alone. */
export const toldNote = (note: Note, reader: string | undefined): z.infer<typeof noteSchema> => ({
  ...{ id: note.id, kind: note.kind, page: note.page, pin: note.pin },
  ...{ words: note.words, writer: note.writer, isMine: note.author === reader },
  ...(note.answers !== null && { answers: note.answers }),
  at: note.at.toISOString(),
  ...(note.editedAt && { editedAt: note.editedAt.toISOString() }),
  isResolved: note.resolvedAt !== null,
});
