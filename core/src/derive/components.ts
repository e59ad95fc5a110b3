import { propertyOfPath, type Token } from '../tokens/token.ts';
import type { Rule } from './derived.ts';

type Components = Readonly<
  Record<
    string,
    Readonly<Record<string, { readonly from: readonly string[]; readonly property: string }>>
  >
>;

/**
 * The few components that a page cannot do without, each part taken from the first semantic token that
 * there is. Where a system has none (a role was removed), the part and its declaration are left out.
 */
const control = { from: ['corner.control'], property: 'border-radius' } as const;
const onCard = { from: ['corner.card'], property: 'border-radius' } as const;
const line = { from: ['edge.line'], property: 'border-width' } as const;

const COMPONENTS: Components = {
  button: {
    background: { from: ['color.action'], property: 'background-color' },
    ink: { from: ['color.action-ink'], property: 'color' },
    corner: control,
  },
  'quiet-button': {
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
  'over-picture': { corner: { from: ['corner.picture'], property: 'border-radius' } },
  table: { line: { from: ['color.line'], property: 'border-color' } },
};

const parts = Object.entries(COMPONENTS).flatMap(([component, own]) =>
  Object.entries(own).map(([part, { from, property }]) => ({ component, part, from, property })),
);

export const deriveComponentTokens = (semantic: ReadonlyMap<string, Token>): Token[] =>
  parts.flatMap(({ component, part, from }): Token[] => {
    const source = from.map((id) => semantic.get(id)).find(Boolean);
    if (!source) return [];
    const value = (mode: 'light' | 'dark') => ({ ...source.values[mode], reference: source.id });
    return [
      {
        id: `${component}.${part}`,
        path: [component, part],
        tier: 'component',
        type: source.type,
        values: { light: value('light'), dark: value('dark') },
        trail: source.trail,
      },
    ];
  });

export const deriveComponentRules = (semantic: ReadonlyMap<string, Token>): Rule[] =>
  Object.keys(COMPONENTS).flatMap((component): Rule[] => {
    const declarations = parts
      .filter((part) => part.component === component && part.from.some((id) => semantic.has(id)))
      .map(
        ({ part, property }) => [property, `var(${propertyOfPath([component, part])})`] as const,
      );
    return declarations.length > 0 ? [{ selector: `.${component}`, declarations }] : [];
  });
