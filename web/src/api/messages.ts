import * as z from 'zod/mini';

/** A channel that is told of notes and releases. */
export const receiverRecord = z.object({
  id: z.string(),
  url: z.string(),
  secret: z.string(),
  at: z.string(),
});
export const receiverList = z.object({ receivers: z.array(receiverRecord) });

export const messageRecord = z.object({
  id: z.string(),
  url: z.string(),
  kind: z.enum(['note', 'release']),
  state: z.enum(['waiting', 'sent', 'given up']),
  tries: z.number(),
  answer: z.optional(z.string()),
  at: z.string(),
  sentAt: z.optional(z.string()),
  nextAt: z.optional(z.string()),
});
export const messageList = z.object({ messages: z.array(messageRecord) });
export type MessageRecord = z.infer<typeof messageRecord>;

export const receiversPath = (system: string): string => `/api/systems/${system}/receivers`;
export const messagesPath = (system: string): string => `/api/systems/${system}/messages`;
