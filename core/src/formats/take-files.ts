import { describing } from '../system/descriptions.ts';
import type { StyleDocument } from '../system/document.ts';
import type { Patch } from '../system/patch.ts';
import { ownTokens } from './incoming.ts';
import type { LeftOut } from './read-dtcg.ts';
import { readFiles, type TextFile } from './reading-files.ts';
import { takeTokens } from './take-tokens.ts';
import { groupsTaken, restoring } from './taking.ts';

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

/**
 * The change that takes token files into a system: one that Garnish wrote restores its decisions, any others, read as
 * one, add their tokens beside those that the system makes. Nothing is thrown; what cannot come in is told.
 * @param newId makes ids for tokens that are new
 */
export function takeFiles(
  document: StyleDocument,
  files: readonly TextFile[],
  newId: () => string,
): Taken {
  const read = readFiles(files);
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

/** The same of one text. */
export const takeFile = (document: StyleDocument, text: string, newId: () => string): Taken =>
  takeFiles(document, [{ name: 'the file', text }], newId);
