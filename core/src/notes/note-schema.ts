import * as z from 'zod/mini';

/** What a guest writes: something asked, something told of how it behaves, something wrong. */
export const GUEST_KINDS = ['question', 'behavior', 'fault'] as const;
/** All that a note may be; what a client is asked of a page is asked by whoever the system belongs to. */
export const NOTE_KINDS = [...GUEST_KINDS, 'asked of the client'] as const;
export type NoteKind = (typeof NOTE_KINDS)[number];
export const ASKED = 'asked of the client' satisfies NoteKind;

/** What a client answers with a click; a sentence may follow. */
export const CLIENT_ANSWERS = ['Yes', 'Not yet', 'No'] as const;

export const LONGEST_NOTE = 2000;
export const LONGEST_WRITER = 60;
/** More notes of one system, their answers among them, are not kept. */
export const MOST_NOTES = 5000;
/** No thing stands deeper in a page, or in what it is found by. */
const DEEPEST = 60;

/**
 * Where a note is pinned: by what does not change when the layout does. `at` is the place of words, or of a section,
 * in the document; `up` so many elements further out from there, `down` the way further in, by places among
 * children. Without `at` the way in begins at the page.
 */
export const pinSchema = z.strictObject({
  at: z.optional(z.string().check(z.maxLength(400))),
  up: z.int().check(z.gte(0), z.lte(DEEPEST)),
  down: z.array(z.int().check(z.gte(0), z.lte(10_000))).check(z.maxLength(DEEPEST)),
  /** What the thing is called, for when it is gone. */
  name: z.string().check(z.maxLength(80)),
});
export type Pin = z.infer<typeof pinSchema>;
