import { themesOf } from '../system/themes.ts';
import { keptList, keptMap } from '../same.ts';
import { takenFrom } from '../system/custom-values.ts';
import { descriptionsOf } from '../system/descriptions.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { tokenNames } from '../tokens/token-names.ts';
import { everyMode, type Token, type TokenValue, type Trail } from '../tokens/token.ts';
import {
  assignment,
  colorClasses,
  colorRules,
  colors,
  colorTokens,
  familyRules,
  gradients,
  needs,
  pairs,
  ramps,
  groundlessRules,
  roleNames,
  treatmentRules,
  veilRules,
  vividTexts,
} from './color/nodes.ts';
import {
  deriveComponentRules,
  deriveComponentTokens,
  deriveSources,
  withPlaces,
} from './components.ts';
import { deriveCustomTokens } from './custom.ts';
import type { Derived, Rule, RuleGroup, TokenGroup } from './derived.ts';
import { createGraph, node, type Node } from './graph.ts';
import { iconRules, icons, iconTokens } from './icons/nodes.ts';
import { ruleNode, tokenNode, type TokenPart } from './parts.ts';
import { patternClasses, patterns, shapeRules, shapeTokens } from './shape/nodes.ts';
import {
  breakpointRulesOf,
  gridRanges,
  gridRules,
  gridTokens,
  layoutRules,
  layoutTokens,
  partRules,
  partTokens,
  pullRules,
  spaces,
  spaceTokens,
  steps,
} from './space/nodes.ts';
import { departuresOf, deriveOwnRules, deriveOwnSources, ownVariantsOf } from './own-variants.ts';
import { narrowNavigationRules } from './narrow-navigation.ts';
import { BASE_RULES, STRUCTURE_RULES } from './structure.ts';
import { departingTexts, deriveTextRules, deriveTextTokens } from './text-parts.ts';
import { baseline, faces, narrow, settings, styles, typeRules, typeTokens } from './type/nodes.ts';

const byId = (tokens: readonly Token[]): ReadonlyMap<string, Token> =>
  new Map(tokens.map((token) => [token.id, token]));

const [, roleTokens] = colorTokens;

/** What components take their values from: colors, corners, edges, levels and motion. */
const SEMANTIC = [roleTokens, ...shapeTokens] as const;

const semantic = node(
  'components: what they are made of',
  SEMANTIC,
  (...parts): ReadonlyMap<string, Token> => withPlaces(parts.flatMap(({ tokens: own }) => own)),
  (_, now) => now,
);

/** The trails of some parts, made once when somebody looks; of two tokens of one id that of the first counts. */
const trailsOf = (parts: readonly TokenPart[]): Derived['trailOf'] => {
  let all: ReadonlyMap<string, () => Trail> | undefined;
  return (id) => {
    all ??= new Map(
      parts.toReversed().flatMap(({ made }) => made().map((token) => [token.id, token.trail])),
    );
    return all.get(id)?.();
  };
};

/** Why those are what they are. */
const semanticTrails = node('components: trails', SEMANTIC, (...parts) => trailsOf(parts));

const sources = node(
  'components: taken from',
  [
    semantic,
    roleNames,
    ({ layout }: StyleDocument) => layout.logo.light !== undefined,
    ({ components }: StyleDocument) => components,
  ],
  (all, roles, hasLogo, components) => deriveSources({ semantic: all, roles, hasLogo, components }),
  (before, now) => keptMap(before, now, Object.is),
);

const departures = node(
  'components: departures',
  [({ components }: StyleDocument) => components],
  (components) => new Map(departuresOf(components).map((own) => [own.name, own])),
);

const componentTokens = tokenNode(
  'components: tokens',
  [sources, semanticTrails, departures],
  deriveComponentTokens,
);

/** The parts by their names alone: what they are worth is no rule's matter. */
const partNames = node('components: parts that there are', [sources], (all) => [...all.keys()]);

const ownVariants = node(
  'components: own variants',
  [({ components }: StyleDocument) => components.variants],
  (variants) => ownVariantsOf(variants ? { variants } : {}),
);

const ownSources = node(
  'components: own variants are taken from',
  [ownVariants, sources, semantic, roleNames, ({ components }: StyleDocument) => components],
  (variants, usual, all, roles, components) =>
    deriveOwnSources(variants, usual, { semantic: all, roles, components }),
  (before, now) => keptMap(before, now, Object.is),
);

const ownVariantTokens = tokenNode(
  'components: tokens of own variants',
  [ownSources, semanticTrails, departures],
  deriveComponentTokens,
);

const ownVariantRules = ruleNode(
  'components: rules of own variants',
  [
    ownVariants,
    node('components: parts of own variants', [ownSources], (all) => [...all.keys()]),
    partNames,
    ({ components }: StyleDocument) => components.manner,
  ],
  deriveOwnRules,
);

const texts = node('components: texts that depart', [departures, settings], (all, roles) =>
  departingTexts(all.values(), roles),
);

const textTokens = tokenNode('components: tokens of texts', [texts], deriveTextTokens);
const textRules = ruleNode('components: rules of texts', [texts], deriveTextRules);

const componentRules = ruleNode(
  'components: rules',
  [partNames, ({ components }: StyleDocument) => components.manner],
  deriveComponentRules,
);

/** The tokens of the system itself in groups that change together, in the order in which they are handed over. */
const OWN: readonly (readonly [key: string, parts: readonly Node<TokenPart>[]])[] = [
  ['type', typeTokens],
  ['color', colorTokens],
  ['grid', [gridTokens]],
  ['space', [spaceTokens]],
  ['layout', [layoutTokens]],
  ['shape', shapeTokens],
  ['icons', [iconTokens]],
  ['components', [componentTokens, ownVariantTokens, textTokens]],
  ['parts', [partTokens]],
];

const OWN_PARTS = OWN.flatMap(([, parts]) => parts);

const join = (...parts: readonly (readonly Token[])[]): readonly Token[] =>
  ([] as readonly Token[]).concat(...parts);

const sameList = <Thing>(
  before: readonly Thing[] | undefined,
  now: readonly Thing[],
): readonly Thing[] =>
  before?.length === now.length && before.every((thing, index) => thing === now[index])
    ? before
    : now;

/** What a token is for, as somebody said; the same token as long as both are. */
const described = new WeakMap<Token, Token>();
function describedBy(token: Token, text: string | undefined): Token {
  if (text === undefined || text === token.description) return token;
  const known = described.get(token);
  if (known?.description === text) return known;
  const made = { ...token, description: text };
  described.set(token, made);
  return made;
}

const descriptions = node(
  'tokens: descriptions',
  [({ tokens }: StyleDocument) => tokens.descriptions],
  descriptionsOf,
);

const groupNode = (key: string, parts: readonly Node<TokenPart>[]): Node<TokenGroup> =>
  node(
    `${key}: group`,
    [descriptions, node(`${key}: parts`, parts, (...all) => all, sameList)],
    (said, all) => {
      const own = join(...all.map((part) => part.tokens));
      return {
        key,
        tokens: said.size === 0 ? own : own.map((token) => describedBy(token, said.get(token.id))),
      };
    },
    keptGroup,
  );

const keptGroup = <Group extends TokenGroup>(before: Group | undefined, now: Group): Group =>
  before &&
  before.tokens.length === now.tokens.length &&
  before.tokens.every((token, index) => token === now.tokens[index])
    ? before
    : now;

const OWN_GROUPS: readonly Node<TokenGroup>[] = OWN.map(([key, parts]) => groupNode(key, parts));

/** The tokens of each group by their ids: what changes in one group leaves the others’ as they are. */
const indexOf = (group: Node<TokenGroup>) =>
  node(
    'tokens: by their ids',
    [group],
    ({ tokens }) => byId(tokens),
    (_, now) => now,
  );
const OWN_INDEXES = OWN_GROUPS.map(indexOf);

/** What tokens from elsewhere, or made by hand, take from the system’s own; most take nothing. */
const takenFromOwn = node(
  'custom: what they take',
  [({ tokens }: StyleDocument) => tokens.custom],
  (all): readonly string[] => {
    const paths = new Set(inOrder(all).map(([, { path }]) => path));
    const taken = inOrder(all).flatMap(([, item]) => takenFrom(item));
    return [...new Set(taken.filter((path) => !paths.has(path)))];
  },
);
const ownTaken = node(
  'custom: taken from the system',
  [takenFromOwn, node('tokens: indexes', OWN_INDEXES, (...indexes) => indexes, sameList)],
  (paths, indexes) =>
    new Map(
      paths.flatMap((path) => {
        const token = indexes.find((index) => index.has(path))?.get(path);
        return token ? [[path, token] as const] : [];
      }),
    ),
);

const imported = tokenNode(
  'custom: tokens',
  [({ tokens }: StyleDocument) => tokens.custom, ownTaken],
  (all, own) => deriveCustomTokens({ custom: all }, own),
);

/** The names that the system has itself; no movement of a value makes others. */
const ownPaths = node(
  'tokens: names',
  OWN_PARTS.map((part) =>
    node(`${part.name}, names`, [part], ({ tokens: own }) => own.map(({ path }) => path)),
  ),
  (...all) => all.flat(),
);

/** A token from elsewhere never refers to one that is not there: it keeps the value it came with. */
function withoutLost(token: Token, kept: ReadonlySet<string>): Token {
  const isLost = ({ reference }: TokenValue): boolean =>
    reference !== undefined && !kept.has(reference);
  const { light, dark } = token.values;
  if (!isLost(light) && !isLost(dark)) return token;
  const own = (value: TokenValue): TokenValue => {
    const { reference: _lost, ...plain } = value;
    return isLost(value) ? plain : value;
  };
  return {
    ...token,
    values: light === dark ? everyMode(own(light)) : { light: own(light), dark: own(dark) },
  };
}

/** The tokens from elsewhere: each gives way where one of the system’s own has its name or its property. */
const custom = node(
  'custom: beside the system’s own',
  [imported, ownPaths, ownTaken],
  ({ tokens }, paths, taken): readonly Token[] => {
    if (tokens.length === 0) return tokens;
    const names = tokenNames(paths);
    // Of two of one name, or of one custom property, the last counts, as in a style sheet.
    const beside = tokens
      .toReversed()
      .filter(({ path }) => {
        const isFree = names.problemWith(path, '') === undefined;
        if (isFree) names.add(path);
        return isFree;
      })
      .toReversed();
    const kept = new Set([...beside.map(({ id }) => id), ...taken.keys()]);
    return beside.map((token) => withoutLost(token, kept));
  },
  (before, now) => keptList(before, now, ({ id }) => id),
);

/** The imported tokens that another has taken the name of, by their ids in the document. */
const hidden = node(
  'custom: hidden',
  [({ tokens }: StyleDocument) => tokens.custom, custom],
  ({ order, items }, shown): readonly string[] => {
    const last = new Map(order.map((id) => [items[id]?.path, id]));
    const there = new Set(shown.map(({ id }) => id));
    return order.filter((id) => {
      const path = items[id]?.path ?? '';
      return !there.has(path) || last.get(path) !== id;
    });
  },
);

const GROUPS: readonly Node<TokenGroup>[] = [
  ...OWN_GROUPS,
  node('custom: group', [custom], (tokens) => ({ key: 'custom', tokens }), keptGroup),
];

const INDEXES = [...OWN_INDEXES, ...GROUPS.slice(OWN_GROUPS.length).map(indexOf)];

const tokenById = node('tokens: all by their ids', INDEXES, (...indexes): Derived['tokenById'] => ({
  get: (id) => indexes.findLast((index) => index.has(id))?.get(id),
  has: (id) => indexes.some((index) => index.has(id)),
}));

// The system’s own come first, so that they count where an imported one is hidden.
const trailOf = node('tokens: trails', [...OWN_PARTS, imported], (...parts) => trailsOf(parts));

/** What every system’s sheet begins with: the page itself, and no faked bold or italic, ever. */
const ground = ruleNode(
  'ground',
  [
    ({ type }: StyleDocument) => type.root,
    node('ground: slug', [roleNames], (all) => all.get('page')?.slug),
  ],
  (root, page): Rule[] => [
    ...(root === undefined || root === 100
      ? []
      : [{ selector: 'html', declarations: [['font-size', `${root}%`]] } as const]),
    { selector: ':root', declarations: [['font-synthesis', 'none']] },
    ...(page !== undefined
      ? [
          {
            selector: 'body',
            declarations: [['background-color', `var(--color-${page})`]],
          } as const,
        ]
      : []),
  ],
);

/** What a page is built of before anything is decided. */
const structure = ruleNode(
  'structure',
  [({ tokens: { sheet } }: StyleDocument) => sheet?.base ?? true],
  (hasBase) => [...(hasBase ? BASE_RULES : []), ...STRUCTURE_RULES],
);

/** The navigation behind a button, which wins over its row. */
const narrowNavigation = ruleNode(
  'components: narrow navigation',
  [
    ({ components }: StyleDocument) => components.narrow,
    node('narrow navigation: page', [roleNames], (all) => all.get('page')?.slug),
    node('narrow navigation: entry', [styles], (all) => all.get('h5')?.slug),
  ],
  narrowNavigationRules,
);

/** All rules in the order in which the sheet has them; those of breakpoints come last, to win. */
const RULES = [
  ['structure', structure],
  ['ground', ground],
  ['type', typeRules],
  ['baseline', baseline],
  ['narrow', narrow],
  ['vivid-texts', vividTexts],
  ['color', colorRules],
  ['families', familyRules],
  ['color-classes', colorClasses],
  ['veils', veilRules],
  ['other-grounds', groundlessRules],
  ['components', componentRules],
  ['own-variants', ownVariantRules],
  ['texts', textRules],
  ['parts', partRules],
  ['navigation', narrowNavigation],
  ['pull', pullRules],
  ['grid', gridRules],
  ['layout', layoutRules],
  ['treatments', treatmentRules],
  ['patterns', patternClasses],
  ['shape', shapeRules],
  ['icons', iconRules],
  ['breakpoints', breakpointRulesOf],
] as const;

const RULE_GROUPS: readonly Node<RuleGroup>[] = RULES.map(([key, part]) =>
  node(
    `${key}: group of rules`,
    [part],
    (own) => ({ key, rules: own }),
    (before, now) => (before?.rules === now.rules ? before : now),
  ),
);

/** What the rules are said of, whatever they say: other names mean another page. */
const SELECTORS = RULES.map(([key, part]) =>
  node(`${key}: selectors`, [part], (own) => own.map(({ selector }) => selector)),
);

const tokens = node(
  'tokens',
  GROUPS,
  (...all) => join(...all.map((group) => group.tokens)),
  (_, now) => now,
);

const groups = node('tokens: groups', GROUPS, (...all): readonly TokenGroup[] => all, sameList);
const rules = node('rules: groups', RULE_GROUPS, (...all): readonly RuleGroup[] => all, sameList);
const selectors = node('rules: selectors', SELECTORS, (...all) => all.flat());

/**
 * A function from documents to all that follows from them. It remembers each part of the last
 * result and computes only what a change has touched, so that a slider can ask for it at every
 * movement. The same document always gives the same result. `onCompute` hears of each part that was
 * computed.
 */
export function createDeriver(
  onCompute?: (name: string) => void,
): (document: StyleDocument) => Derived {
  const read = createGraph(onCompute);
  let last: { readonly document: StyleDocument; readonly derived: Derived } | undefined;
  return (document) => {
    if (last?.document === document) return last.derived;
    const ask = read(document);
    const derived: Derived = {
      themes: themesOf(document),
      tokens: ask(tokens),
      groups: ask(groups),
      tokenById: ask(tokenById),
      trailOf: ask(trailOf),
      hidden: ask(hidden),
      styles: ask(styles),
      ramps: ask(ramps),
      colors: ask(colors),
      pairs: ask(pairs),
      needs: ask(needs),
      assignment: ask(assignment),
      gradients: ask(gradients),
      steps: ask(steps),
      spaces: ask(spaces),
      grid: ask(gridRanges),
      patterns: ask(patterns),
      icons: ask(icons),
      faces: ask(faces),
      rules: ask(rules),
      selectors: ask(selectors),
    };
    last = { document, derived };
    return derived;
  };
}

/** Derives once, remembering nothing. */
export const derive = (document: StyleDocument): Derived => createDeriver()(document);
