import { isSame, keptList } from '../same.ts';
import type { MadeToken, Token } from '../tokens/token.ts';
import type { Rule } from './derived.ts';
import { node, type Input, type Node, type ValuesOf } from './graph.ts';

/** Tokens that are derived together, and how to make them once more with their trails. */
export interface TokenPart {
  readonly tokens: readonly Token[];
  readonly made: () => readonly MadeToken[];
}

/** A token without its trail, which would hold on to the decisions of the day it was made. */
const bare = ({ id, path, tier, type, values, description, deprecated, others }: Token): Token => ({
  id,
  path,
  tier,
  type,
  values,
  ...(description !== undefined && { description }),
  ...(deprecated !== undefined && { deprecated }),
  ...(others !== undefined && { others }),
});

/** What differs as it stands in a sheet need not be looked through. */
const isSameToken = (one: Token, other: Token): boolean =>
  one.values.light.css === other.values.light.css &&
  one.values.dark.css === other.values.dark.css &&
  one.type === other.type &&
  one.tier === other.tier &&
  one.description === other.description &&
  one.deprecated === other.deprecated &&
  isSame(one.others, other.others) &&
  isSame(one.values, other.values);

/** The tokens as they go on: those that say what they said before stay, names stay in any case. */
function keptTokens(before: readonly Token[], made: readonly Token[]): readonly Token[] {
  let known: ReadonlyMap<string, Token> | undefined;
  let isKept = before.length === made.length;
  const kept = made.map((now, index) => {
    const there = before[index];
    const earlier =
      there?.id === now.id
        ? there
        : (known ??= new Map(before.map((token) => [token.id, token]))).get(now.id);
    const one = earlier && isSameToken(earlier, now) ? earlier : bare(now);
    if (one !== there) isKept = false;
    return earlier && one !== earlier ? { ...one, path: earlier.path } : one;
  });
  return isKept ? before : kept;
}

/** A node of tokens: each one whose values are what they were stays the token that it was. */
export const tokenNode = <const Inputs extends readonly Input[]>(
  name: string,
  inputs: Inputs,
  make: (...values: ValuesOf<Inputs>) => readonly MadeToken[],
): Node<TokenPart> =>
  node(
    name,
    inputs,
    (...values): TokenPart => ({
      tokens: make(...values),
      made: () => make(...values),
    }),
    (before, { tokens, made }) => ({ tokens: keptTokens(before?.tokens ?? [], tokens), made }),
  );

/** A node of rules: each one that says what it said stays the rule that it was. */
export const ruleNode = <const Inputs extends readonly Input[]>(
  name: string,
  inputs: Inputs,
  make: (...values: ValuesOf<Inputs>) => readonly Rule[],
): Node<readonly Rule[]> =>
  node(name, inputs, make, (before, now) =>
    keptList(before, now, ({ selector, within = '' }) => `${within} ${selector}`),
  );
