import type { Mode, StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import type { Token } from '../tokens/token.ts';
import { createDeriver } from './derive.ts';

/** A change that was made, with what leads back from it. */
export interface PastChange {
  readonly label: string;
  /** When, as ISO 8601. */
  readonly at: string;
  readonly author: string;
  readonly inverse: Patch;
}

/** A change that made a token another; nothing before where there was no token of that name. */
export interface TokenStep {
  readonly label: string;
  readonly at: string;
  readonly author: string;
  readonly before: Readonly<Record<Mode, string>> | undefined;
  readonly after: Readonly<Record<Mode, string>> | undefined;
}

const said = (token: Token | undefined): TokenStep['after'] => {
  if (!token) return undefined;
  const of = (mode: Mode): string => {
    const { css, json, reference } = token.values[mode];
    return reference === undefined ? (css ?? JSON.stringify(json)) : `{${reference}}`;
  };
  return { light: of('light'), dark: of('dark') };
};

const isSame = (one: TokenStep['after'], other: TokenStep['after']): boolean =>
  one?.light === other?.light && one?.dark === other?.dark;

/**
 * What a token was, from now backwards: each change after which it said something else. It goes in steps, one for
 * each change, so that whoever asks can stop. What a token is taken from may change while it says the same.
 * @param changes the changes that led to the document, the last one last
 */
export function* tokenHistory(
  document: StyleDocument,
  changes: readonly PastChange[],
  id: string,
): Generator<undefined, { readonly steps: readonly TokenStep[]; readonly isWhole: boolean }> {
  const derive = createDeriver();
  const steps: TokenStep[] = [];
  let here = document;
  let after = said(derive(here).tokenById.get(id));
  for (const { label, at, author, inverse } of changes.toReversed()) {
    const back = patched(here, inverse);
    if (!back.ok) return { steps, isWhole: false };
    here = back.document;
    const before = said(derive(here).tokenById.get(id));
    if (!isSame(before, after)) steps.push({ label, at, author, before, after });
    after = before;
    yield undefined;
  }
  return { steps, isWhole: true };
}
