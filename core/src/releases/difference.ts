import { judgedAll, titleOf, type Judged } from '../checks/judge.ts';
import { COMPONENTS } from '../components/components.ts';
import { derive } from '../derive/derive.ts';
import type { Derived, Rule } from '../derive/derived.ts';
import { namingOf, type Naming } from '../formats/naming.ts';
import { tokenNamesOf, type TokenNames } from '../formats/token-naming.ts';
import { rulesOfComponent, rulesOfPage, tokensInRules, type Needing } from '../proof/needed.ts';
import { namesIn } from '../proof/made-of.ts';
import { writeHtml } from '../proof/node.ts';
import { sitePage } from '../proof/site.ts';
import { inOrder, MODES, type Mode, type StyleDocument } from '../system/document.ts';
import { propertyOf, type Tier, type Token } from '../tokens/token.ts';
import {
  CLASS,
  classDifference,
  classesOf,
  matchClasses,
  type ClassDifference,
  type Renaming,
} from './classes.ts';
import { matchTokens, type MatchedTokens } from './identity.ts';

/** A token as it is told to whoever builds from it. */
export interface ToldToken {
  readonly id: string;
  /** Its custom property as the sheet has it. */
  readonly property: string;
  readonly tier: Tier;
  readonly type: string;
  /** What it is in each theme: as CSS has it, or as JSON where CSS has no single value. */
  readonly values: Readonly<Record<Mode, string>>;
  /** What it is in places of its own, such as from a breakpoint up. */
  readonly elsewhere?: readonly string[] | undefined;
}

/** A decision from which changes follow. */
export interface Cause {
  readonly path: string;
  readonly label: string;
  /** What it said before and says now; nothing where it was not there. The same where what it asks for came out otherwise. */
  readonly before?: string | undefined;
  readonly after?: string | undefined;
}

interface Caused {
  /** The decision that it follows from, by its path. */
  readonly cause: string;
}

export interface AddedToken extends Caused {
  readonly token: ToldToken;
}

export interface ChangedToken extends Caused {
  readonly before: ToldToken;
  readonly after: ToldToken;
}

export interface RenamedToken {
  readonly before: ToldToken;
  readonly after: ToldToken;
  /** Whether the old name stays in the sheet, deprecated. */
  readonly keepsName: boolean;
}

/** A color on its ground whose contrast is enough in one state, and not in the other. */
export interface ContrastChange {
  readonly id: string;
  readonly title: string;
  readonly mode: Mode;
  readonly needed: number;
  /** Nothing where it does not stand in that state. */
  readonly before?: number | undefined;
  readonly after?: number | undefined;
}

/** What became of a system from one state to another, in words of what developers build with. */
export interface Difference {
  readonly tokens: {
    readonly added: readonly AddedToken[];
    readonly removed: readonly AddedToken[];
    readonly renamed: readonly RenamedToken[];
    /** Those that say something else, also those that are called otherwise besides. */
    readonly changed: readonly ChangedToken[];
  };
  readonly classes: ClassDifference;
  readonly causes: readonly Cause[];
  readonly contrast: {
    readonly lost: readonly ContrastChange[];
    readonly won: readonly ContrastChange[];
  };
  /** How many rules say something else, of those that stand in both. */
  readonly rules: number;
  /** How many pages have other words, or other things on them. */
  readonly content: number;
  /** What looks different. */
  readonly looks: readonly Needing[];
}

interface State {
  readonly document: StyleDocument;
  readonly derived: Derived;
  readonly names: TokenNames;
  readonly naming: Naming;
  /** The values of custom properties in at-rules and under selectors of their own. */
  readonly elsewhere: ReadonlyMap<string, readonly string[]>;
}

const ROOT = /^:root(?:\[data-theme="(?:light|dark)"\])?$/;

function elsewhereOf({ rules }: Pick<Derived, 'rules'>): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  for (const group of rules)
    for (const { selector, within, declarations } of group.rules) {
      if (within === undefined && !ROOT.test(selector)) continue;
      for (const [property, value] of declarations) {
        if (!property.startsWith('--')) continue;
        const where = [within, selector === ':root' ? undefined : selector].filter(Boolean);
        const said = `${where.join(' ')}: ${value}`;
        const known = found.get(property);
        if (known) known.push(said);
        else found.set(property, [said]);
      }
    }
  return found;
}

function stateOf(document: StyleDocument): State {
  const derived = derive(document);
  const { sheet } = document.tokens;
  return {
    document,
    derived,
    names: tokenNamesOf(sheet, derived),
    naming: namingOf(sheet, derived),
    elsewhere: elsewhereOf(derived),
  };
}

const saidIn = ({ values }: Token, mode: Mode): string => {
  const { css, json, wide } = values[mode];
  const said = css ?? JSON.stringify(json);
  return wide === undefined ? said : `${said}, wide ${wide}`;
};

function told(token: Token, { names, elsewhere }: State): ToldToken {
  const { id, tier, type } = token;
  const own = elsewhere.get(propertyOf(token));
  return {
    id,
    property: names.tokens.get(id)?.property ?? propertyOf(token),
    tier,
    type,
    values: { light: saidIn(token, 'light'), dark: saidIn(token, 'dark') },
    ...(own && { elsewhere: own }),
  };
}

const areSame = (one: ToldToken, other: ToldToken): boolean =>
  one.type === other.type &&
  MODES.every((mode) => one.values[mode] === other.values[mode]) &&
  one.elsewhere?.join('\n') === other.elsewhere?.join('\n');

/** The parts of names that are called otherwise: what differs in the paths of tokens that were renamed. */
function renamedParts({ pairs }: MatchedTokens): readonly Renaming[] {
  const found = new Map<string, Renaming>();
  for (const [before, after] of pairs) {
    if (before.id === after.id || before.path.length !== after.path.length) continue;
    before.path.forEach((part, index) => {
      const other = after.path[index];
      if (other !== undefined && other !== part)
        found.set(`${part} ${other}`, { before: part, after: other });
    });
  }
  return [...found.values()];
}

/** Finds the decision that a change follows from. */
function askingCauses(before: State, after: State, { pairs }: MatchedTokens) {
  const earlier = new Map(pairs.map(([old, next]) => [next.id, old]));
  const causes = new Map<string, Cause>();
  const of = (state: State, id: string | undefined) =>
    (id === undefined ? undefined : state.derived.trailOf(id)?.decisions) ?? [];
  const differing = (old: Token | undefined, next: Token | undefined): Cause | undefined => {
    const [was, is] = [of(before, old?.id), of(after, next?.id)];
    for (const { path, label, value } of is) {
      const known = was.find((one) => one.path === path);
      if (known?.value !== value)
        return { path, label, ...(known && { before: known.value }), after: value };
    }
    const gone = was.find(({ path }) => is.every((one) => one.path !== path));
    return gone && { path: gone.path, label: gone.label, before: gone.value };
  };
  const byProperty = new Map(after.derived.tokens.map((token) => [propertyOf(token), token.id]));
  /** The tokens that a value is taken from, in any theme and in any place. */
  const sourcesOf = (token: Token): readonly string[] => [
    ...MODES.flatMap((mode) => token.values[mode].reference ?? []),
    ...(after.elsewhere.get(propertyOf(token)) ?? []).flatMap((said) =>
      namesIn(said).flatMap((name) => byProperty.get(name) ?? []),
    ),
  ];
  /** What it is taken from may rest on decisions that its own trail does not tell. */
  const taken = (next: Token, seen: ReadonlySet<string>): Cause | undefined => {
    const own = differing(earlier.get(next.id), next);
    if (own) return own;
    for (const id of sourcesOf(next)) {
      const source = after.derived.tokenById.get(id);
      if (!source || seen.has(source.id)) continue;
      const found = taken(source, new Set([...seen, source.id]));
      if (found) return found;
    }
    return undefined;
  };
  const keep = (cause: Cause): string => {
    if (!causes.has(cause.path)) causes.set(cause.path, cause);
    return cause.path;
  };
  const resting = (state: State, id: string): string => {
    const [first] = of(state, id);
    return keep(
      first
        ? { path: first.path, label: first.label, before: first.value, after: first.value }
        : { path: '', label: 'what stands without a decision' },
    );
  };
  return {
    causes,
    ofChanged: (next: Token): string => {
      const found = taken(next, new Set([next.id]));
      return found ? keep(found) : resting(after, next.id);
    },
    ofAdded: (next: Token): string => {
      const found = differing(undefined, next);
      return found ? keep(found) : resting(after, next.id);
    },
    ofRemoved: (old: Token): string => {
      const found = differing(old, undefined);
      return found ? keep(found) : resting(before, old.id);
    },
  };
}

const keyOf = ({ need, mode }: Judged): string => `${need.id}:${mode}`;

const judgedBy = ({ derived }: State): ReadonlyMap<string, Judged> =>
  new Map(judgedAll(derived).map((judged) => [keyOf(judged), judged]));

function contrastChanges(before: State, after: State): Difference['contrast'] {
  const [was, is] = [judgedBy(before), judgedBy(after)];
  const change = (judged: Judged, old?: Judged, next?: Judged): ContrastChange => ({
    id: judged.need.id,
    title: titleOf(judged.need),
    mode: judged.mode,
    needed: judged.needed,
    ...(old && { before: old.ratio }),
    ...(next && { after: next.ratio }),
  });
  const lost: ContrastChange[] = [];
  const won: ContrastChange[] = [];
  for (const [key, next] of is) {
    const old = was.get(key);
    if (!next.passes && old?.passes !== false) lost.push(change(next, old, next));
    if (next.passes && old?.passes === false) won.push(change(next, old, next));
  }
  for (const [key, old] of was)
    if (!old.passes && !is.has(key)) won.push(change(old, old, undefined));
  return { lost, won };
}

/** What is called otherwise now: custom properties and classes, without prefixes. */
interface Called {
  readonly properties: ReadonlyMap<string, string>;
  readonly classes: ReadonlyMap<string, string>;
}

const AS_IT_IS: Called = { properties: new Map(), classes: new Map() };

/** Rules by where they stand, as they would be written if everything were called as it is now. */
function written(
  rules: readonly Rule[],
  { properties, classes }: Called,
): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const { within = '', selector, declarations } of rules) {
    const key = `${within} ${selector.replaceAll(CLASS, (whole, name: string) => {
      const next = classes.get(name);
      return next === undefined ? whole : `.${next}`;
    })}`;
    const before = found.get(key);
    const text = declarations
      .map(([property, value]) =>
        `${property}: ${value}`.replaceAll(
          /(?<![\w-])--[\p{L}\p{N}_][\p{L}\p{N}_-]*/gu,
          (name) => properties.get(name) ?? name,
        ),
      )
      .join('; ');
    found.set(key, before === undefined ? text : `${before}; ${text}`);
  }
  return found;
}

/** A page as it would be written if classes were called as they are now. */
const pageIn = (
  { document, derived }: State,
  page: string,
  { classes }: Pick<Called, 'classes'>,
): string =>
  writeHtml(sitePage(document, derived, page), (svg) => svg).replaceAll(
    / class="([^"]*)"/g,
    (_, names: string) =>
      ` class="${names
        .split(' ')
        .map((name) => classes.get(name) ?? name)
        .join(' ')}"`,
  );

const areRulesSame = (
  one: ReadonlyMap<string, string>,
  other: ReadonlyMap<string, string>,
): boolean => one.size === other.size && [...one].every(([key, text]) => other.get(key) === text);

/** The pages and components that look different: other rules, other tokens in them, other things on them. */
function differentLooks(
  before: State,
  after: State,
  called: Called,
  changed: ReadonlySet<string>,
): { readonly looks: readonly Needing[]; readonly content: number } {
  const differs = (old: readonly Rule[], next: readonly Rule[]): boolean =>
    !areRulesSame(written(old, called), written(next, AS_IT_IS)) ||
    tokensInRules(next, after.derived).some((id) => changed.has(id));
  const looks: Needing[] = [];
  let content = 0;
  for (const [id, { name, isOff }] of inOrder(after.document.content.pages)) {
    if (isOff === true) continue;
    const { items } = before.document.content.pages;
    const isNew = !Object.hasOwn(items, id) || items[id]?.isOff === true;
    const isOther = isNew || pageIn(before, id, called) !== pageIn(after, id, AS_IT_IS);
    if (isOther) content += 1;
    const rulesOf = ({ document, derived }: State) => rulesOfPage(id, document, derived);
    if (isOther || differs(rulesOf(before), rulesOf(after))) looks.push({ kind: 'page', id, name });
  }
  for (const component of COMPONENTS) {
    const rulesOf = ({ document, derived }: State) =>
      rulesOfComponent(component, document, derived);
    if (differs(rulesOf(before), rulesOf(after)))
      looks.push({ kind: 'component', id: component.id, name: component.name });
  }
  return { looks, content };
}

/** How many rules that stand in both states say something else. */
function changedRules(before: State, after: State, called: Called): number {
  const rulesOf = ({ derived }: State) => derived.rules.flatMap(({ rules }) => rules);
  const is = written(rulesOf(after), AS_IT_IS);
  return [...written(rulesOf(before), called)].filter(([key, text]) => {
    const next = is.get(key);
    return next !== undefined && next !== text;
  }).length;
}

/**
 * What became of a system from one state to another: by meaning, not by lines of files. A role that was renamed is
 * one that is called otherwise; what follows from a decision is told under it.
 */
export function differenceOf(one: StyleDocument, other: StyleDocument): Difference {
  const [before, after] = [stateOf(one), stateOf(other)];
  const matched = matchTokens(before.derived, after.derived);
  const asking = askingCauses(before, after, matched);
  const kept = new Set([
    ...[...after.names.tokens.values()].map(({ property }) => property),
    ...after.names.former.map(({ property }) => property),
  ]);
  const changed: ChangedToken[] = [];
  const renamed: RenamedToken[] = [];
  for (const [old, next] of matched.pairs) {
    const [was, is] = [told(old, before), told(next, after)];
    if (was.property !== is.property)
      renamed.push({ before: was, after: is, keepsName: kept.has(was.property) });
    if (!areSame(was, is)) changed.push({ before: was, after: is, cause: asking.ofChanged(next) });
  }
  const [classesBefore, classesAfter] = [classesOf(before.derived), classesOf(after.derived)];
  const classes = matchClasses(classesBefore, classesAfter, renamedParts(matched));
  const called: Called = {
    classes,
    properties: new Map(
      matched.pairs.flatMap(([old, next]): readonly (readonly [string, string])[] =>
        old.id === next.id ? [] : [[propertyOf(old), propertyOf(next)]],
      ),
    ),
  };
  const added = matched.added.map((token) => ({
    token: told(token, after),
    cause: asking.ofAdded(token),
  }));
  const removed = matched.removed.map((token) => ({
    token: told(token, before),
    cause: asking.ofRemoved(token),
  }));
  return {
    tokens: { added, removed, renamed, changed },
    classes: classDifference(
      { classes: classesBefore, naming: before.naming },
      { classes: classesAfter, naming: after.naming },
      classes,
    ),
    causes: [...asking.causes.values()],
    contrast: contrastChanges(before, after),
    rules: changedRules(before, after, called),
    ...differentLooks(before, after, called, new Set(changed.map((one) => one.after.id))),
  };
}

/** Whether nothing became of it that anybody could see or build with. */
export const isNoDifference = ({ tokens, classes, rules, content }: Difference): boolean =>
  Object.values(tokens).every(({ length }) => length === 0) &&
  Object.values(classes).every(({ length }) => length === 0) &&
  rules === 0 &&
  content === 0;
