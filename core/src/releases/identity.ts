import type { Derived } from '../derive/derived.ts';
import type { Token } from '../tokens/token.ts';

/** Which token of one state is which of another. */
export interface MatchedTokens {
  /** In the order of the later state. */
  readonly pairs: readonly (readonly [before: Token, after: Token])[];
  readonly removed: readonly Token[];
  readonly added: readonly Token[];
}

type Made = Pick<Derived, 'tokens' | 'tokenById' | 'trailOf'>;

/** What a token is made by, whatever it is called: the decisions that it rests on, its tier and its type. */
const madeBy = ({ id, tier, type }: Token, { trailOf }: Made): string =>
  JSON.stringify([tier, type, (trailOf(id)?.decisions ?? []).map(({ path }) => path)]);

/** In how many parts two paths of the same length differ; more than any path has where their lengths do. */
const partsApart = (one: readonly string[], other: readonly string[]): number =>
  one.length === other.length
    ? one.filter((part, index) => part !== other[index]).length
    : Infinity;

function* byMaking(tokens: readonly Token[], made: Made): Generator<[string, Token[]]> {
  const groups = new Map<string, Token[]>();
  for (const token of tokens) {
    const key = madeBy(token, made);
    const group = groups.get(key);
    if (group) group.push(token);
    else groups.set(key, [token]);
  }
  yield* groups;
}

/**
 * Which tokens of two states of a system are the same: those of one name, and those that are called otherwise and
 * rest on the same decisions (a role keeps its id when it is renamed). Of several that rest on the same decisions
 * those are taken for one whose paths differ in a single part, and the others in their order where there are as
 * many of them before as after; what is left is removed, or added.
 */
export function matchTokens(before: Made, after: Made): MatchedTokens {
  const gone = before.tokens.filter(({ id }) => !after.tokenById.has(id));
  const come = after.tokens.filter(({ id }) => !before.tokenById.has(id));
  const partner = new Map<Token, Token>();
  const wanted = new Map(byMaking(come, after));
  for (const [key, group] of byMaking(gone, before)) {
    let free = wanted.get(key) ?? [];
    const take = (old: Token, next: Token): void => {
      partner.set(next, old);
      free = free.filter((token) => token !== next);
    };
    const left: Token[] = [];
    for (const old of group) {
      const near = free.filter(({ path }) => partsApart(path, old.path) === 1);
      const [next] = near;
      if (next && near.length === 1) take(old, next);
      else left.push(old);
    }
    if (left.length === free.length)
      for (const [index, next] of [...free].entries()) {
        const old = left[index];
        if (old) take(old, next);
      }
  }
  const renamed = new Set(partner.values());
  return {
    pairs: after.tokens.flatMap((token): readonly (readonly [Token, Token])[] => {
      const old = before.tokenById.get(token.id) ?? partner.get(token);
      return old ? [[old, token]] : [];
    }),
    removed: gone.filter((token) => !renamed.has(token)),
    added: come.filter((token) => !partner.has(token)),
  };
}
