import type { Derived } from '../derive/derived.ts';
import { once } from '../once.ts';
import { MODES } from '../system/document.ts';
import { propertyOf } from '../tokens/token.ts';
import { namesIn } from './made-of.ts';
import { idsIn } from './standing.ts';

/** How a token hangs together with others, and with the rules of the sheet. */
export interface TokenUse {
  /** The tokens that it takes its values from, in any theme. */
  readonly takes: readonly string[];
  /** The tokens that take theirs from it. */
  readonly takenBy: readonly string[];
  /** The selectors of the rules of the sheet that take it, each once. */
  readonly rules: readonly string[];
}

const NONE: TokenUse = { takes: [], takenBy: [], rules: [] };

/** Every token that hangs together with anything, by its id; looked at once, as long as nothing changes. */
const allUses = once(
  ({ tokens, rules }: Pick<Derived, 'tokens' | 'rules'>): ReadonlyMap<string, TokenUse> => {
    const byProperty = new Map(tokens.map((token) => [propertyOf(token), token.id]));
    const ids = new Set(byProperty.values());
    const takes = new Map<string, Set<string>>();
    const takenBy = new Map<string, Set<string>>();
    const selectors = new Map<string, Set<string>>();
    const add = (to: Map<string, Set<string>>, key: string, value: string): void => {
      const known = to.get(key);
      if (known) known.add(value);
      else to.set(key, new Set([value]));
    };
    for (const token of tokens)
      for (const mode of MODES) {
        const { css = '', json, reference, extension } = token.values[mode];
        for (const id of [
          ...(reference === undefined ? [] : [reference]),
          ...(css.includes('var(') ? namesIn(css).map((name) => byProperty.get(name) ?? '') : []),
          ...(typeof json === 'object' ? idsIn(json) : []),
          // A share of a color stands for itself in the sheet, and comes from that color all the same.
          ...(typeof extension === 'object' ? idsIn(extension) : []),
        ]) {
          if (!ids.has(id) || id === token.id) continue;
          add(takes, token.id, id);
          add(takenBy, id, token.id);
        }
      }
    for (const group of rules)
      for (const { selector, declarations } of group.rules)
        for (const [, value] of declarations) {
          if (!value.includes('var(')) continue;
          for (const name of namesIn(value)) {
            const id = byProperty.get(name);
            if (id !== undefined) add(selectors, id, selector);
          }
        }
    return new Map(
      tokens.map(({ id }) => [
        id,
        {
          takes: [...(takes.get(id) ?? [])],
          takenBy: [...(takenBy.get(id) ?? [])],
          rules: [...(selectors.get(id) ?? [])],
        },
      ]),
    );
  },
);

/** What a token takes its values from, and what takes it; nothing for a token that is not there. */
export const tokenUse = (derived: Pick<Derived, 'tokens' | 'rules'>, id: string): TokenUse =>
  allUses(derived).get(id) ?? NONE;

/** How often a token is taken: by other tokens, and by rules of the sheet. */
export const countOfUses = ({ takenBy, rules }: TokenUse): number => takenBy.length + rules.length;

/** Tokens with all that they take their values from, so that they stand without anything else; in the given order, what was added last. */
export function withWhatTheyTake(
  derived: Pick<Derived, 'tokens' | 'rules'>,
  ids: readonly string[],
): { readonly all: readonly string[]; readonly added: readonly string[] } {
  const found = new Set(ids);
  for (const id of found) for (const one of tokenUse(derived, id).takes) found.add(one);
  const all = [...found];
  return { all, added: all.slice(new Set(ids).size) };
}

/** A token with all that take their values from it, so that what they are used for is what it is used for. */
export function withTakers(
  derived: Pick<Derived, 'tokens' | 'rules'>,
  id: string,
): readonly string[] {
  const found = new Set([id]);
  for (const one of found) for (const taker of tokenUse(derived, one).takenBy) found.add(taker);
  return [...found];
}
