import type { Derived } from '../derive/derived.ts';
import { inOrder } from '../system/document.ts';
import type { SheetChoices, TierNaming, TokenNaming } from '../system/sheet-naming.ts';
import { tokenNames } from '../tokens/token-names.ts';
import { propertyOf, propertyOfPath, type Token } from '../tokens/token.ts';

/** How one token is called outside. */
export interface TokenName {
  /** As the open format has it, without the prefix of all. */
  readonly path: readonly string[];
  readonly property: string;
  /** Its custom property as the system has it, and that with nothing but the prefix. */
  readonly canonical: string;
  readonly usual: string;
}

/** A name from before that stays, deprecated, and takes its value from the token as it is called now. */
export interface FormerName {
  /** The token, by what the system calls it. */
  readonly id: string;
  /** With the prefix that all had then. */
  readonly path: readonly string[];
  readonly property: string;
  /** The custom property as the system has it that it stands for. */
  readonly canonical: string;
}

/** A token that could not be called as was decided, and why. */
export interface NameClash {
  readonly id: string;
  readonly wanted: string;
  readonly reason: string;
}

export interface TokenNames {
  readonly tokens: ReadonlyMap<string, TokenName>;
  readonly former: readonly FormerName[];
  readonly clashes: readonly NameClash[];
}

/** Tokens from elsewhere came with names of their own. */
const CUSTOM = 'custom';

const tiered = (path: readonly string[], { prefix, groupLast }: TierNaming = {}): string[] => {
  const [group = '', ...rest] = path;
  const parts = groupLast === true && rest.length > 0 ? [...rest, group] : [...path];
  return prefix === undefined ? parts : [prefix, ...parts];
};

const joined = (path: readonly string[], joint = '-'): string =>
  joint === '-'
    ? propertyOfPath(path).slice(2)
    : path.map((part) => propertyOfPath([part]).slice(2)).join(joint);

const within = (properties: string | undefined): readonly string[] =>
  properties === undefined ? [] : [properties];

const inPrefix = (properties: string | undefined, name: string): string =>
  `--${[...within(properties), name].join('-')}`;

/** Custom properties that rules set for themselves: no token may be called so. */
const localsOf = (
  rules: Derived['rules'],
  tokens: ReadonlySet<string>,
  properties: string | undefined,
): ReadonlySet<string> =>
  new Set(
    rules.flatMap((group) =>
      group.rules.flatMap(({ declarations }) =>
        declarations.flatMap(([property]) =>
          property.startsWith('--') && !tokens.has(property)
            ? [inPrefix(properties, property.slice(2))]
            : [],
        ),
      ),
    ),
  );

function namedBy(
  naming: TokenNaming,
  groups: Derived['groups'],
  rules: Derived['rules'],
): Pick<TokenNames, 'tokens' | 'clashes'> {
  const { properties, tiers = {}, called: singles } = naming;
  const single = new Map(
    singles && inOrder(singles).map(([, { of, name }]) => [of, name.split('.')]),
  );
  const isPlain = singles === undefined && Object.keys(tiers).length === 0;
  const all = groups.flatMap(({ key, tokens }) => tokens.map((token) => ({ key, token })));
  const locals = isPlain
    ? new Set<string>()
    : localsOf(rules, new Set(all.map(({ token }) => propertyOf(token))), properties);
  const taken = tokenNames([]);
  const called = new Set<string>();
  const clashes: NameClash[] = [];
  const found = new Map<string, TokenName>();
  for (const { key, token } of all) {
    const { id, path, tier } = token;
    const canonical = propertyOf(token);
    const usual = inPrefix(properties, canonical.slice(2));
    const own = key === CUSTOM ? undefined : (single.get(id) ?? undefined);
    const how = key === CUSTOM || own ? undefined : tiers[tier];
    const wanted = own ?? tiered(path, how);
    const property = inPrefix(properties, joined(wanted, how?.joint));
    if (isPlain) {
      found.set(id, { path, property: usual, canonical, usual });
      continue;
    }
    const reason =
      taken.problemWith(wanted, 'the system') ??
      (called.has(property) ? `another token is called ${property}` : undefined) ??
      (locals.has(property) ? `a rule keeps ${property} for itself` : undefined);
    if (reason === undefined) {
      taken.add(wanted);
      called.add(property);
      found.set(id, { path: wanted, property, canonical, usual });
      continue;
    }
    clashes.push({ id, wanted: wanted.join('.'), reason });
    const free = freeOf(path, taken);
    taken.add(free);
    const kept = inPrefix(properties, joined(free));
    called.add(kept);
    found.set(id, { path: free, property: kept, canonical, usual });
  }
  return { tokens: found, clashes };
}

/** The name that the system has for it, with a number where another has that. */
function freeOf(path: readonly string[], taken: ReturnType<typeof tokenNames>): readonly string[] {
  let free = path;
  for (let number = 2; taken.problemWith(free, '') !== undefined; number += 1)
    free = [...path.slice(0, -1), `${path.at(-1) ?? ''}-${number}`];
  return free;
}

/**
 * How every token is called outside, by its id: as its tier is called, or by a name of its own; which former names
 * stay; and what could not be called as was decided, because something else is called so.
 */
export function tokenNamesOf(
  sheet: SheetChoices | undefined,
  { groups, rules }: Pick<Derived, 'groups' | 'rules'>,
): TokenNames {
  const now = namedBy(sheet ?? {}, groups, rules);
  const before = sheet?.former ? inOrder(sheet.former).map(([, naming]) => naming) : [];
  if (before.length === 0) return { ...now, former: [] };
  const names = tokenNames(
    [...now.tokens.values()].map(({ path }) => [...within(sheet?.properties), ...path]),
  );
  const properties = new Set([...now.tokens.values()].map(({ property }) => property));
  const former: FormerName[] = [];
  for (const naming of before)
    for (const [id, { path, property, canonical }] of namedBy(naming, groups, rules).tokens) {
      const whole = [...within(naming.properties), ...path];
      if (properties.has(property) || names.problemWith(whole, '') !== undefined) continue;
      properties.add(property);
      names.add(whole);
      former.push({ id, path: whole, property, canonical });
    }
  return { ...now, former };
}

/** What would be called otherwise. */
export interface NameChange {
  readonly id: string;
  readonly tier: Token['tier'];
  readonly before: string;
  readonly after: string;
}

/** Every token that is called otherwise by other choices, in the order of the sheet. */
export function nameChanges(
  before: SheetChoices | undefined,
  after: SheetChoices | undefined,
  derived: Pick<Derived, 'groups' | 'rules'>,
): { readonly changes: readonly NameChange[]; readonly clashes: readonly NameClash[] } {
  const old = tokenNamesOf(before, derived);
  const next = tokenNamesOf(after, derived);
  const called = ({ tokens }: TokenNames, id: string): string => tokens.get(id)?.property ?? '';
  const changes = derived.groups.flatMap(({ tokens }) =>
    tokens.flatMap(({ id, tier }): readonly NameChange[] => {
      const [was, is] = [called(old, id), called(next, id)];
      return was === is ? [] : [{ id, tier, before: was, after: is }];
    }),
  );
  return { changes, clashes: next.clashes };
}
