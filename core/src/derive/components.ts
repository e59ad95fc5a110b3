import type { Fixed, Part, When } from '../components/component.ts';
import { COMPONENTS } from '../components/components.ts';
import { STATES, type State } from '../components/states.ts';
import { once } from '../once.ts';
import type { Manner } from '../system/component-schema.ts';
import type { StyleDocument } from '../system/document.ts';
import { propertyOfPath, type MadeToken, type Token, type Trail } from '../tokens/token.ts';
import type { DerivedColorRole, Rule } from './derived.ts';

/** Every part of every component that a token stands for. */
export const PARTS: readonly Part[] = COMPONENTS.flatMap(({ parts = [] }) => parts);

const BY_NAME: ReadonlyMap<string, readonly Part[]> = new Map(
  PARTS.map(({ of }) => [of, PARTS.filter((part) => part.of === of)]),
);

/** The parts of what tokens begin with. */
export const partsOf = (of: string): readonly Part[] => BY_NAME.get(of) ?? [];

/** The selectors of the components, `&` being where a state stands, by what their tokens begin with. */
const SELECTORS: ReadonlyMap<string, string> = new Map(
  COMPONENTS.flatMap(({ selectors = {} }) => Object.entries(selectors)),
);

export const FIXED: readonly Fixed[] = COMPONENTS.flatMap(({ fixed = [] }) => fixed);

/** The state of each rule of a component, in the order of the rules: at rest first. */
export const IN_ORDER: readonly (State | undefined)[] = [undefined, ...STATES];

/** What a component says in a state, whatever the manner. */
interface Saying {
  readonly of: string;
  readonly state: State | undefined;
  readonly fixed: readonly Fixed[];
  readonly parts: readonly Part[];
}

/** All that components say, in the order of the list, each at rest first. */
const SAYINGS: readonly Saying[] = [...new Set([...PARTS, ...FIXED].map(({ of }) => of))].flatMap(
  (of) => {
    const [fixed, parts] = [FIXED.filter((one) => one.of === of), partsOf(of)];
    return IN_ORDER.map((state) => ({
      of,
      state,
      fixed: fixed.filter((one) => one.state === state?.id),
      parts: parts.filter((one) => one.state === state?.id),
    })).filter((one) => one.fixed.length + one.parts.length > 0);
  },
);

/** Whether something is of a manner. */
export const isOf = ({ when = {} }: { readonly when?: When }, manner: Manner): boolean =>
  (when.surface?.includes(manner.surface) ?? true) &&
  (when.states?.includes(manner.states) ?? true);

type Semantic = ReadonlyMap<string, Token>;
type Roles = ReadonlyMap<string, Pick<DerivedColorRole, 'slug'>>;

/** The token that a color role gives, by the role's id; any other by its own. */
function roleToken(id: string, roles: Roles): string {
  const role = id.startsWith('color.') ? roles.get(id.slice('color.'.length)) : undefined;
  return role ? `color.${role.slug}` : id;
}

export const nameOf = ({ of, part }: Pick<Part, 'of' | 'part'>): string => `${of}.${part}`;

/** The parts of the mark that stands for a logo as long as the site has none. */
const MARK = /^mark-/;

/** What has no role of its own is known by its place among its kind; of levels those of the page are meant. */
const PLACED = ['duration', 'easing', 'shadow', 'opacity', 'layer'] as const;

/** Tokens by their ids, and by their places where they have no role: `duration.1`, `layer.last`. */
export function withPlaces(tokens: readonly Token[]): ReadonlyMap<string, Token> {
  const found = new Map(tokens.map((token) => [token.id, token]));
  for (const kind of PLACED) {
    const own = tokens.filter(({ path }) => path[0] === kind);
    // Levels stand once for each ground; those of the first are those of the page.
    const ground = own[0]?.path[1];
    const placed = kind === 'shadow' ? own.filter(({ path }) => path[1] === ground) : own;
    placed.forEach((token, index) => found.set(`${kind}.${index + 1}`, token));
    const last = placed.at(-1);
    if (last) found.set(`${kind}.last`, last);
  }
  return found;
}

/** What the parts of components are taken from. */
export interface Sources {
  readonly semantic: Semantic;
  readonly roles: Roles;
  readonly hasLogo: boolean;
  readonly components: StyleDocument['components'];
}

/** Whether a token can be had: a color only of a role that there is. `duration.1` is the first of its kind. */
export function tokenFor(
  id: string,
  { semantic, roles }: Pick<Sources, 'semantic' | 'roles'>,
): Token | undefined {
  const isThere = !id.startsWith('color.') || roles.has(id.slice('color.'.length));
  return isThere ? semantic.get(roleToken(id, roles)) : undefined;
}

/** The first of some tokens that can be had. */
const firstOf = (ids: readonly string[], given: Sources): Token | undefined => {
  for (const id of ids) {
    const token = tokenFor(id, given);
    if (token) return token;
  }
  return undefined;
};

/** Whether a token says the same kind of thing as another: numbers are of a kind only within their own group. */
const isOfKind = (one: Token, other: Token): boolean =>
  one.type === other.type && (one.type !== 'number' || one.path[0] === other.path[0]);

/**
 * The token that each part of the manner is taken from: the one of the same type that it departs to, or else the first
 * of its usual ones that there is. A part without any is left out, and with it its declaration. A site with a logo of its own
 * needs no mark.
 */
export function deriveSources(given: Sources): ReadonlyMap<string, Token> {
  const { hasLogo, components } = given;
  const sources = new Map<string, Token>();
  for (const part of PARTS) {
    if (!isOf(part, components.manner) || (hasLogo && MARK.test(part.of))) continue;
    const name = nameOf(part);
    const departure = Object.hasOwn(components.departures, name)
      ? components.departures[name]
      : undefined;
    const usual = firstOf(part.from, given);
    if (!usual) continue;
    const own = departure === undefined ? undefined : tokenFor(departure, given);
    // A corner takes no color, and an opacity no layer, whoever wrote so.
    sources.set(name, own && isOfKind(own, usual) ? own : usual);
  }
  return sources;
}

/** A part that takes something else than it usually does, and where that is decided. */
export interface Departure {
  /** The part, by its name: `button.ink`. */
  readonly part: string;
  /** What it is called: the token that says it. */
  readonly name: string;
  readonly to: string;
  readonly path: string;
  /** The variant of one’s own that takes it, by id; the component itself where absent. */
  readonly variant?: string;
}

const NO_DEPARTURES: ReadonlyMap<string, Departure> = new Map();
const NO_TRAIL: Trail = { decisions: [], steps: [] };

/** The values that are taken from a token; the same for whatever takes it. */
const takenFrom = once((source: Token): Token['values'] => ({
  light: { ...source.values.light, reference: source.id },
  dark: { ...source.values.dark, reference: source.id },
}));

const PATHS: ReadonlyMap<string, readonly string[]> = new Map(
  PARTS.map(({ of, part }) => [nameOf({ of, part }), [of, part]]),
);

/**
 * A token for each part of a component that has a source; its trail is that of the token it is taken from, behind the
 * decision to depart to it where there is one, by the name of the token.
 */
export const deriveComponentTokens = (
  sources: ReadonlyMap<string, Token>,
  trailOf: (id: string) => Trail | undefined,
  departures: ReadonlyMap<string, Departure> = NO_DEPARTURES,
): MadeToken[] =>
  [...sources].map(([name, source]): MadeToken => ({
    id: name,
    path: PATHS.get(name) ?? name.split('.'),
    tier: 'component',
    type: source.type,
    values: takenFrom(source),
    trail: () => {
      const { decisions, steps } = trailOf(source.id) ?? NO_TRAIL;
      const departure = departures.get(name);
      if (!departure) return { decisions, steps };
      const own = { path: departure.path, label: name, value: departure.to };
      return { decisions: [own, ...decisions], steps: ['departs from the manner', ...steps] };
    },
  }));

/** Words within a component that have a class of their own. */
export const WORDS = ' > [class]';

/** The selector of a component in a state, or of something in it; of a variant of one’s own by its class. */
export const selectorIn = (
  of: string,
  state: State | undefined,
  inside: string,
  own = '',
): string =>
  (SELECTORS.get(of) ?? `.${of}&`)
    .split(', ')
    .flatMap((one) =>
      (state?.selectors ?? ['']).map(
        (stated) => `${one.replaceAll('&', `${own}${stated}`)}${inside}`,
      ),
    )
    .join(', ');

/** What a part declares, with the token of its own or of a variant of one’s own. */
export const said = ({ of, part, property, write = (value) => value }: Part, name = of) =>
  [[property, write(`var(${propertyOfPath([name, part])})`)]] as const;

/**
 * The rules of the components in a manner: at rest, and in each of their states, with those of their parts that there
 * are, by their names (`card.corner`).
 */
export function deriveComponentRules(names: readonly string[], manner: Manner): Rule[] {
  const there = new Set(names);
  const isThere = (part: Part): boolean => isOf(part, manner) && there.has(nameOf(part));
  return SAYINGS.flatMap(({ of, state, fixed, parts }): Rule[] => {
    const own = fixed.filter((one) => isOf(one, manner));
    const rule = (
      declarations: Rule['declarations'],
      { inside = '', within = state?.within }: Pick<Fixed, 'inside' | 'within'> = {},
    ): Rule[] =>
      declarations.length === 0
        ? []
        : [
            {
              selector: selectorIn(of, state, inside),
              declarations,
              ...(within !== undefined && { within }),
            },
          ];
    const isPlain = ({ inside, within }: Fixed): boolean =>
      inside === undefined && within === undefined;
    const takes = parts.filter(isThere);
    // What a token says, nothing else says before it.
    const told = new Set(takes.map(({ property }) => property));
    return [
      ...rule([
        ...own
          .filter(isPlain)
          .flatMap(({ declarations }) => Object.entries(declarations))
          .filter(([property]) => !told.has(property)),
        ...takes.flatMap((part) => said(part)),
      ]),
      ...rule(
        takes.flatMap((part) => (part.inWords ? said(part) : [])),
        { inside: WORDS },
      ),
      ...own
        .filter((one) => !isPlain(one))
        .flatMap(({ declarations, ...where }) => rule(Object.entries(declarations), where)),
    ];
  });
}
