import { propertyOfPath, type MadeToken, type Token, type Trail } from '../tokens/token.ts';
import type { DerivedColorRole, Rule } from './derived.ts';

type Components = Readonly<
  Record<
    string,
    Readonly<Record<string, { readonly from: readonly string[]; readonly property: string }>>
  >
>;

/**
 * The few components that a page cannot do without, each part taken from the first semantic token that
 * there is; colors by the id of their role, which stays when the role is renamed. Where a system has none
 * (a role was removed), the part and its declaration are left out.
 */
const control = { from: ['corner.control'], property: 'border-radius' } as const;
const onCard = { from: ['corner.card'], property: 'border-radius' } as const;
const line = { from: ['edge.line'], property: 'border-width' } as const;

const COMPONENTS: Components = {
  button: {
    background: { from: ['color.action'], property: 'background-color' },
    ink: { from: ['color.action-ink'], property: 'color' },
    'edge-width': line,
    corner: control,
  },
  'quiet-button': {
    ink: { from: ['color.action-edge', 'color.action'], property: 'color' },
    edge: { from: ['color.action-edge', 'color.action'], property: 'border-color' },
    'edge-width': line,
    corner: control,
  },
  field: { 'edge-width': line, corner: control },
  tag: { corner: control },
  card: { corner: onCard },
  alert: { 'edge-width': line, corner: onCard },
  notice: {
    background: { from: ['color.notice-wash', 'color.surface'], property: 'background-color' },
    edge: { from: ['color.notice-edge', 'color.link'], property: 'border-inline-start-color' },
    'edge-width': { from: ['edge.strong'], property: 'border-inline-start-width' },
    corner: onCard,
  },
  band: { corner: onCard },
  ground: { corner: onCard },
  point: {
    line: { from: ['color.line'], property: 'border-block-start-color' },
    'line-width': { from: ['edge.line'], property: 'border-block-start-width' },
  },
  step: {
    line: { from: ['color.line'], property: 'border-block-start-color' },
    'line-width': { from: ['edge.line'], property: 'border-block-start-width' },
  },
  way: {
    line: { from: ['color.line'], property: 'border-block-start-color' },
    'line-width': { from: ['edge.line'], property: 'border-block-start-width' },
  },
  quotation: {
    edge: { from: ['color.accent', 'color.link'], property: 'border-inline-start-color' },
    'edge-width': { from: ['edge.strong'], property: 'border-inline-start-width' },
  },
  'code-block': {
    edge: { from: ['color.line'], property: 'border-color' },
    'edge-width': line,
    corner: onCard,
  },
  'over-picture': { corner: { from: ['corner.picture'], property: 'border-radius' } },
  table: { line: { from: ['color.line'], property: 'border-color' } },
  'table-cell': {
    'line-width': { from: ['edge.line'], property: 'border-block-end-width' },
  },
  header: {
    line: { from: ['color.line'], property: 'border-block-end-color' },
    'line-width': { from: ['edge.line'], property: 'border-block-end-width' },
  },
  footer: {
    line: { from: ['color.line'], property: 'border-block-start-color' },
    'line-width': { from: ['edge.line'], property: 'border-block-start-width' },
  },
  'mark-a': { ink: { from: ['color.link'], property: 'fill' } },
  'mark-b': { ink: { from: ['color.action'], property: 'fill' } },
};

/** What a component is called in the sheet, where that is not its name. */
const SELECTORS: Readonly<Record<string, string>> = {
  'table-cell': '.table th, .table td',
  header: '.site-header',
  footer: '.site-footer',
};

const parts = Object.entries(COMPONENTS).flatMap(([component, own]) =>
  Object.entries(own).map(([part, { from, property }]) => ({ component, part, from, property })),
);

type Semantic = ReadonlyMap<string, Token>;
type Roles = ReadonlyMap<string, Pick<DerivedColorRole, 'slug'>>;

/** The token that a color role gives, by the role's id; any other by its own. */
function roleToken(id: string, roles: Roles): string {
  const role = id.startsWith('color.') ? roles.get(id.slice('color.'.length)) : undefined;
  return role ? `color.${role.slug}` : id;
}

const nameOf = ({ component, part }: (typeof parts)[number]): string => `${component}.${part}`;

/** The parts of the mark that stands for a logo as long as the site has none. */
const MARK = /^mark-/;

/**
 * The first semantic token that each part can be taken from; a color only of a role that there is. A site with a
 * logo of its own needs no mark.
 */
export function deriveSources(
  semantic: Semantic,
  roles: Roles,
  hasLogo: boolean,
): ReadonlyMap<string, Token> {
  const sources = new Map<string, Token>();
  for (const part of parts) {
    if (hasLogo && MARK.test(part.component)) continue;
    for (const id of part.from) {
      const isThere = !id.startsWith('color.') || roles.has(id.slice('color.'.length));
      const token = isThere ? semantic.get(roleToken(id, roles)) : undefined;
      if (!token) continue;
      sources.set(nameOf(part), token);
      break;
    }
  }
  return sources;
}

const NO_TRAIL: Trail = { decisions: [], steps: [] };

/** A token for each part of a component that has a source; its trail is that of the token it is taken from. */
export const deriveComponentTokens = (
  sources: ReadonlyMap<string, Token>,
  trailOf: (id: string) => Trail | undefined,
): MadeToken[] =>
  parts.flatMap((one): MadeToken[] => {
    const { component, part } = one;
    const source = sources.get(nameOf(one));
    if (!source) return [];
    const value = (mode: 'light' | 'dark') => ({ ...source.values[mode], reference: source.id });
    return [
      {
        id: nameOf(one),
        path: [component, part],
        tier: 'component',
        type: source.type,
        values: { light: value('light'), dark: value('dark') },
        trail: () => trailOf(source.id) ?? NO_TRAIL,
      },
    ];
  });

/** A rule for each component, with those of its parts that there are, by their names: `card.corner`. */
export const deriveComponentRules = (names: readonly string[]): Rule[] =>
  Object.keys(COMPONENTS).flatMap((component): Rule[] => {
    const declarations = parts
      .filter((part) => part.component === component && names.includes(nameOf(part)))
      .map(
        ({ part, property }) => [property, `var(${propertyOfPath([component, part])})`] as const,
      );
    return declarations.length > 0
      ? [{ selector: SELECTORS[component] ?? `.${component}`, declarations }]
      : [];
  });
