import * as z from 'zod/mini';
import { MODES } from '../system/document.ts';
import { isSameComputed } from './probe.ts';
import type { Asked, Reading } from './readings.ts';

/** So many values that differ are told of each file; more are counted. */
export const MOST_TOLD = 100;

const short = z.string().check(z.maxLength(400));

/** What came out when a file was read in a browser. */
export const fileReport = z.strictObject({
  file: z.string().check(z.regex(/^[\w.-]{1,60}$/)),
  /** Why it could not be read at all. */
  problem: z.optional(short),
  /** In px. */
  widths: z.array(z.int().check(z.minimum(1), z.maximum(100_000))).check(z.maxLength(50)),
  modes: z.array(z.enum(MODES)).check(z.maxLength(2)),
  /** How many tokens were asked for, and how many values of them were compared. */
  tokens: z.int().check(z.minimum(0)),
  values: z.int().check(z.minimum(0)),
  /** How many values are not what is shown, and the first of them. */
  unequal: z.int().check(z.minimum(0)),
  told: z
    .array(
      z.strictObject({
        token: short,
        mode: z.enum(MODES),
        widthPx: z.int().check(z.minimum(1)),
        shown: short,
        read: short,
      }),
    )
    .check(z.maxLength(MOST_TOLD)),
  /** Tokens that are not there by intention, and why. */
  without: z
    .array(z.strictObject({ reason: short, tokens: z.int().check(z.minimum(1)) }))
    .check(z.maxLength(20)),
});
export type FileReport = z.infer<typeof fileReport>;

export const verification = z.strictObject({
  files: z.array(fileReport).check(z.maxLength(40)),
});
export type Verification = z.infer<typeof verification>;

/** What was read on an element, beside what is shown: a text for each property of the probe. */
export interface Seen {
  readonly asked: Asked;
  readonly shown: readonly string[];
  /** Nothing where the file does not have it. */
  readonly read: readonly string[] | undefined;
}

const cut = (text: string): string => (text.length > 400 ? `${text.slice(0, 399)}…` : text);

/** Collects what is seen of a file, and says what came out. */
export function reporting(file: string, { widths, modes, without }: Reading) {
  const tokens = new Set<string>();
  let values = 0;
  let unequal = 0;
  const told: FileReport['told'] = [];
  const tell = (one: FileReport['told'][number]): void => {
    unequal += 1;
    if (told.length < MOST_TOLD)
      told.push({
        ...one,
        token: cut(one.token),
        shown: cut(one.shown),
        read: cut(one.read),
      });
  };
  const reasons = new Map<string, number>();
  for (const reason of without.values()) reasons.set(reason, (reasons.get(reason) ?? 0) + 1);
  return {
    /** Takes one value that was asked for, in a theme at a width. */
    see({ asked: { token, probe }, shown, read }: Seen, mode: 'light' | 'dark', widthPx: number) {
      tokens.add(token);
      values += 1;
      const isSame =
        read !== undefined &&
        shown.every((text, at) => isSameComputed(text, read[at] ?? '', probe.within));
      if (!isSame)
        tell({
          token,
          mode,
          widthPx,
          shown: shown.join(' '),
          read: read?.join(' ') ?? 'not in the file',
        });
    },
    /** A token that is shown, and that the file says nothing of. */
    miss(token: string, shown: string, mode: 'light' | 'dark', widthPx: number) {
      tokens.add(token);
      values += 1;
      tell({ token, mode, widthPx, shown, read: 'not in the file' });
    },
    end: (): FileReport => ({
      file,
      widths: [...widths],
      modes: [...modes],
      tokens: tokens.size,
      values,
      unequal,
      told,
      without: [...reasons].slice(0, 20).map(([reason, count]) => ({ reason, tokens: count })),
    }),
  };
}

/** What is said of a file that could not be read. */
export const unreadable = (file: string, problem: string): FileReport => ({
  file,
  problem: cut(problem),
  widths: [],
  modes: [],
  tokens: 0,
  values: 0,
  unequal: 0,
  told: [],
  without: [],
});

const count = (number: number, one: string, many: string): string =>
  `${number.toLocaleString('en-US')} ${number === 1 ? one : many}`;

/** What came out of a file, in a sentence. */
export const wordsOfFile = (one: FileReport): string =>
  one.problem ??
  `${count(one.values, 'value', 'values')} of ${count(one.tokens, 'token', 'tokens')} ` +
    (one.unequal === 0 ? 'as shown' : `compared, ${one.unequal.toLocaleString('en-US')} differ`) +
    `, ${one.modes.join(' and ')}, at ${one.widths.join(', ')} px`;
