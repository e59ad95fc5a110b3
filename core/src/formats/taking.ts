import { describing, groupsOf, type Described } from '../system/descriptions.ts';
import type { StyleDocument } from '../system/document.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { ownTokens } from './incoming.ts';
import { readDtcg, type LeftOut, type ReadDtcg } from './read-dtcg.ts';
import { readProperties } from './read-properties.ts';
import { takeTokens } from './take-tokens.ts';

/** What becomes of a token file in a system. */
export type Taken =
  | { readonly kind: 'problem'; readonly message: string }
  /** A file of ours: all decisions of a system; nothing to change where they are decided already. */
  | { readonly kind: 'system'; readonly name: string; readonly patch: Patch }
  | {
      readonly kind: 'tokens';
      readonly count: number;
      readonly patch: Patch;
      readonly leftOut: readonly LeftOut[];
      readonly silent: readonly LeftOut[];
    };

/** Reads tokens from whatever holds them: a file of the open token format, or a style sheet with custom properties. */
export function readTokens(text: string): ReadDtcg {
  // Some programs put a mark of the order of bytes before everything; it is no part of the text.
  const plain = text.replace(/^\uFEFF/, '');
  return !/^\s*[[{"]/.test(plain) && plain.includes('--') ? readProperties(plain) : readDtcg(plain);
}

/** What is said of the groups of a file that something was taken from. */
export const groupsTaken = (
  groups: readonly Described[] = [],
  paths: Iterable<string>,
): readonly Described[] => {
  const taken = groupsOf(paths);
  return groups.filter(({ path }) => taken.has(path));
};

/** A whole system is taken over part by part, so that what is equal already stays untouched. */
export const restoring = (now: StyleDocument, next: StyleDocument): Patch =>
  (Object.keys(next) as (keyof StyleDocument)[])
    .filter((part) => JSON.stringify(now[part]) !== JSON.stringify(next[part]))
    .map((part) => ({ op: 'replace', path: `/${part}`, value: jsonOf(next[part]) }));

/**
 * The change that takes a token file into a system: one that Garnish wrote restores its decisions, any other adds its
 * tokens beside those that the system makes. Nothing is thrown; what cannot come in is told.
 * @param newId makes ids for tokens that are new
 */
export function takeFile(document: StyleDocument, text: string, newId: () => string): Taken {
  const read = readTokens(text);
  if (read.kind === 'problem') return read;
  if (read.kind === 'system')
    return {
      kind: 'system',
      name: read.document.name,
      patch: restoring(document, read.document),
    };
  const { taken, patch, leftOut, silent } = takeTokens(
    document.tokens.custom,
    ownTokens(document),
    read.tokens,
    newId,
  );
  const described = describing(
    document.tokens.descriptions,
    groupsTaken(
      read.groups,
      read.tokens.map(({ path }) => path),
    ),
    newId,
  );
  return {
    kind: 'tokens',
    count: taken,
    patch: [...patch, ...described],
    silent,
    leftOut: [...read.leftOut, ...leftOut],
  };
}
