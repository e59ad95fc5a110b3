import { rampOf, neutralsOf } from '../color/ramp.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';
import {
  inOrder,
  MODES,
  type ColorRole,
  type Mode,
  type Paint,
  type Part,
  type StyleDocument,
} from '../system/document.ts';
import { NEUTRAL } from '../system/validate.ts';
import {
  everyMode,
  propertyOfPath,
  slugs,
  type Token,
  type TokenJson,
  type TokenValue,
  type TrailDecision,
} from '../tokens/token.ts';
import type { DerivedColorRole, DerivedRamp, Rule, TextPair, TextStyle } from './derived.ts';

type Color = StyleDocument['color'];

/** A color as the Color module of the open token format writes it. */
export function colorJson(hex: Hex): TokenJson {
  const components = rgbOf(hex).map((channel) => Number(channel.toFixed(5)));
  return { colorSpace: 'srgb', components, alpha: 1, hex };
}

/** The ramps of all sources, and the neutrals' under its own id. */
export function deriveRamps(
  sources: Color['sources'],
  neutral: Color['neutral'],
): ReadonlyMap<string, DerivedRamp> {
  const named = inOrder(sources);
  const slugOf = slugs([
    ...named.map(([id, { name }]) => [id, name] as const),
    [NEUTRAL, neutral.name],
  ]);
  const slug = (id: string): string => slugOf.get(id) ?? id;
  const ramps = named.map(([id, { name, value }]): [string, DerivedRamp] => [
    id,
    { id, name, slug: slug(id), ...rampOf(value) },
  ]);
  const tintedBy = sources.items[neutral.source]?.value ?? '#808080';
  return new Map([
    ...ramps,
    [
      NEUTRAL,
      {
        id: NEUTRAL,
        name: neutral.name,
        slug: slug(NEUTRAL),
        colors: neutralsOf(tintedBy, neutral.tint),
      },
    ],
  ]);
}

/** The ramp and the rung (1 to 16) on which a paint stands; undefined for a color of its own. */
export function rungOf(
  paint: Paint,
  ramps: ReadonlyMap<string, DerivedRamp>,
): { readonly ramp: DerivedRamp; readonly rung: number } | undefined {
  if (paint.kind === 'own') return undefined;
  const ramp = ramps.get(paint.kind === 'rung' ? paint.ramp : paint.source);
  return ramp && { ramp, rung: paint.kind === 'rung' ? paint.rung : (ramp.seat ?? 0) + 1 };
}

function colorOf(ramps: ReadonlyMap<string, DerivedRamp>, paint: Paint): Hex {
  if (paint.kind === 'own') return paint.value;
  const found = rungOf(paint, ramps);
  return found?.ramp.colors[found.rung - 1] ?? '#808080';
}

export function deriveColorRoles(
  roles: Color['roles'],
  ramps: ReadonlyMap<string, DerivedRamp>,
): ReadonlyMap<string, DerivedColorRole> {
  const slugOf = slugs(inOrder(roles).map(([id, { name }]) => [id, name]));
  return new Map(
    inOrder(roles).map(([id, role]) => [
      id,
      {
        id,
        name: role.name,
        slug: slugOf.get(id) ?? id,
        colors: { light: colorOf(ramps, role.light), dark: colorOf(ramps, role.dark) },
      },
    ]),
  );
}

export const derivePairs = (
  texts: Color['texts'],
  styles: ReadonlyMap<string, TextStyle>,
  colors: ReadonlyMap<string, DerivedColorRole>,
): TextPair[] =>
  inOrder(texts).flatMap(([id, use]) => {
    const style = styles.get(use.text);
    const color = colors.get(use.color);
    const on = colors.get(use.on);
    return style && color && on ? [{ id, style, part: use.part, color, on }] : [];
  });

function rampTokens({ sources, neutral }: Color, ramp: DerivedRamp): Token[] {
  const source = sources.items[ramp.id];
  const decision: TrailDecision = source
    ? { path: `/color/sources/items/${ramp.id}/value`, label: ramp.name, value: source.value }
    : { path: '/color/neutral/tint', label: `tint of ${ramp.name}`, value: String(neutral.tint) };
  return ramp.colors.map((hex, index) => {
    const path = ['palette', ramp.slug, String(index + 1)];
    return {
      id: path.join('.'),
      path,
      tier: 'primitive',
      type: 'color',
      values: everyMode({ json: colorJson(hex), css: hex }),
      trail: () => ({
        decisions: [decision],
        steps: [
          index === ramp.seat
            ? 'the source itself, unchanged'
            : `rung ${index + 1} of ${ramp.colors.length} from paper to ink, even in OKLab lightness`,
        ],
      }),
    };
  });
}

const paintDecision = (id: string, role: ColorRole, mode: Mode): TrailDecision => {
  const paint = role[mode];
  return {
    path: `/color/roles/items/${id}/${mode}`,
    label: `${role.name} in ${mode}`,
    value:
      paint.kind === 'own'
        ? paint.value
        : paint.kind === 'source'
          ? 'the color itself'
          : `rung ${paint.rung}`,
  };
};

function roleToken(
  role: ColorRole,
  derived: DerivedColorRole,
  ramps: ReadonlyMap<string, DerivedRamp>,
): Token {
  const value = (mode: Mode): TokenValue => {
    const found = rungOf(role[mode], ramps);
    const hex = derived.colors[mode];
    return {
      ...(found && { reference: `palette.${found.ramp.slug}.${found.rung}` }),
      json: colorJson(hex),
      css: hex,
    };
  };
  return {
    id: `color.${derived.slug}`,
    path: ['color', derived.slug],
    tier: 'semantic',
    type: 'color',
    values: { light: value('light'), dark: value('dark') },
    trail: () => ({
      decisions: MODES.map((mode) => paintDecision(derived.id, role, mode)),
      steps: [],
    }),
  };
}

export const deriveColorTokens = (
  color: Color,
  ramps: ReadonlyMap<string, DerivedRamp>,
  roles: ReadonlyMap<string, DerivedColorRole>,
): Token[] => [
  ...[...ramps.values()].flatMap((ramp) => rampTokens(color, ramp)),
  ...inOrder(color.roles).flatMap(([id, role]) => {
    const derived = roles.get(id);
    return derived ? [roleToken(role, derived, ramps)] : [];
  }),
];

/** The part of a text that a use speaks of, as a selector of the exported classes. */
export const partSelector = (part: Part, { slug }: TextStyle): string =>
  ({
    words: `.type-${slug}`,
    link: `.type-${slug} a`,
    button: `.quiet-button .type-${slug}`,
  })[part];

const variable = ({ slug }: DerivedColorRole): string => `var(${propertyOfPath(['color', slug])})`;

/**
 * A class for every surface that text stands on, and the color of each text there. The page needs
 * no class: it is what a text stands on when nothing is said.
 */
export function deriveColorRules(
  roles: ReadonlyMap<string, DerivedColorRole>,
  pairs: readonly TextPair[],
): Rule[] {
  const surfaces = [...roles.values()].filter((role) => pairs.some(({ on }) => on.id === role.id));
  const first = surfaces[0];
  return surfaces.flatMap((surface): Rule[] => {
    const prefix = surface === first ? '' : `.on-${surface.slug} `;
    const own: Rule = {
      selector: `.on-${surface.slug}`,
      declarations: [['background-color', variable(surface)]],
    };
    const texts = pairs
      .filter(({ on }) => on.id === surface.id)
      .map(({ style, part, color }): Rule => ({
        selector: `${prefix}${partSelector(part, style)}`,
        declarations: [['color', variable(color)]],
      }));
    return [own, ...texts];
  });
}
