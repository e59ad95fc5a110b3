import type { Derived, TokenGroup } from '../derive/derived.ts';
import { once } from '../once.ts';
import type { StyleDocument } from '../system/document.ts';
import type { Token } from '../tokens/token.ts';
import type { Check, Finding } from './finding.ts';

/** What a check of components is given: their decisions and their own tokens, which most movements leave as they are. */
export interface GivenComponents {
  readonly components: StyleDocument['components'];
  readonly tokenById: Derived['tokenById'];
  readonly themes: Derived['themes'];
}

const NONE: TokenGroup = { key: 'components', tokens: [] };

const groupOf = (groups: Derived['groups']): TokenGroup =>
  groups.find(({ key }) => key === NONE.key) ?? NONE;

const byId = once(
  ({ tokens }: TokenGroup): ReadonlyMap<string, Token> =>
    new Map(tokens.map((token) => [token.id, token])),
);

/** A check that reads components alone: it is asked again when they change, and not when anything else does. */
export const checkOfComponents = (find: (given: GivenComponents) => readonly Finding[]): Check => ({
  reads: ({ components }, { groups, themes }) => [components, groupOf(groups), themes],
  find: ({ components }, { groups, themes }) =>
    find({ components, tokenById: byId(groupOf(groups)), themes }),
});
