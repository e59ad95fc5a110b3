import { gradientCss } from '../color/gradient.ts';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { wideJson } from '../color/wide.ts';
import {
  neutralsOf,
  NEUTRAL_SHAPE,
  rampOf,
  rungName,
  RUNGS,
  USUAL_SHAPE,
  type RampShape,
} from '../color/ramp.ts';
import { toSrgb } from '../color/gamut.ts';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import {
  FAMILIES,
  inOrder,
  MODES,
  type ColorRole,
  type Part,
  type StyleDocument,
} from '../system/document.ts';
import { NEUTRAL } from '../system/validate.ts';
import {
  byMode,
  everyMode,
  propertyOfPath,
  slugs,
  type Token,
  type TokenValue,
  type TrailDecision,
} from '../tokens/token.ts';
import { colorJson } from './color-json.ts';
import type {
  Assignment,
  DerivedColorRole,
  DerivedGradient,
  DerivedRamp,
  Need,
  NeedPlan,
  Painted,
  Rule,
  TextPair,
  TextStyle,
} from './derived.ts';
import { veilSlugs, veilToken } from './veil.ts';
import { paintedBy } from './paint.ts';

type Color = StyleDocument['color'];

/** What a ramp decides over the usual run of one. */
const shapeOf = (usual: RampShape, decided: Color['neutral']['ramp']): RampShape =>
  decided === undefined ? usual : ({ ...usual, ...decided } as RampShape);

/** Colors that keep only so much of their chroma; the source itself is kept as it is. */
const softened = (colors: readonly Hex[], keep: number, seat: number): readonly Hex[] =>
  colors.map((hex, index) => {
    if (index === seat) return hex;
    const color = oklchOf(oklabOf(rgbOf(hex)));
    return hexOf(toSrgb({ ...color, chroma: color.chroma * keep }));
  });

/** The ramps of all sources, and the neutrals' under its own id. */
export function deriveRamps(
  sources: Color['sources'],
  neutral: Color['neutral'],
  names: Color['rungNames'],
  darkChroma: Color['darkChroma'] = 1,
): ReadonlyMap<string, DerivedRamp> {
  const named = inOrder(sources);
  const slugOf = slugs([
    ...named.map(([id, { name }]) => [id, name] as const),
    [NEUTRAL, neutral.name],
  ]);
  const slug = (id: string): string => slugOf.get(id) ?? id;
  const rungNames = Array.from({ length: RUNGS }, (_, index) => rungName(index + 1, names));
  const ramps = named.map(([id, { name, value, wide, ramp: shape }]): [string, DerivedRamp] => {
    const ramp = rampOf(value, shapeOf(USUAL_SHAPE, shape));
    return [
      id,
      {
        id,
        name,
        slug: slug(id),
        ...ramp,
        ...(darkChroma < 1 && { dark: softened(ramp.colors, darkChroma, ramp.seat) }),
        ...(wide !== undefined && { wide }),
        rungNames,
      },
    ];
  });
  const tintedBy = sources.items[neutral.source]?.value ?? '#808080';
  return new Map([
    ...ramps,
    [
      NEUTRAL,
      {
        id: NEUTRAL,
        name: neutral.name,
        slug: slug(NEUTRAL),
        colors: neutralsOf(tintedBy, neutral.tint, shapeOf(NEUTRAL_SHAPE, neutral.ramp)),
        rungNames,
      },
    ],
  ]);
}

export function deriveColorRoles(
  roles: Color['roles'],
  ramps: ReadonlyMap<string, DerivedRamp>,
  { rungs }: Assignment,
): ReadonlyMap<string, DerivedColorRole> {
  const slugOf = slugs(inOrder(roles).map(([id, { name }]) => [id, name]));
  return new Map(
    inOrder(roles).map(([id, role]) => {
      const light = paintedBy(roles, ramps, role.light, 'light', rungs.light, id);
      const dark = paintedBy(roles, ramps, role.dark, 'dark', rungs.dark, id);
      return [
        id,
        {
          id,
          name: role.name,
          slug: slugOf.get(id) ?? id,
          colors: { light: light.hex, dark: dark.hex },
          painted: { light, dark },
        },
      ];
    }),
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

/** Every need with its colors. */
export const deriveNeeds = (
  plans: readonly NeedPlan[],
  colors: ReadonlyMap<string, DerivedColorRole>,
): Need[] =>
  plans.flatMap((plan) => {
    const color = colors.get(plan.color);
    const on = colors.get(plan.on);
    return color && on ? [{ ...plan, color, on }] : [];
  });

export function deriveGradients(
  gradients: Color['gradients'],
  colors: ReadonlyMap<string, DerivedColorRole>,
): DerivedGradient[] {
  const slugOf = slugs(inOrder(gradients).map(([id, { name }]) => [id, name]));
  return inOrder(gradients).map(([id, { name, space, angle, stops }]) => ({
    id,
    name,
    slug: slugOf.get(id) ?? id,
    space,
    angle,
    stops: inOrder(stops)
      .flatMap(([, { at, color }]) => {
        const role = colors.get(color);
        return role ? [{ at, role }] : [];
      })
      .sort((one, other) => one.at - other.at),
  }));
}

function rampTokens({ sources, neutral }: Color, ramp: DerivedRamp): Token[] {
  const source = sources.items[ramp.id];
  const decision: TrailDecision = source
    ? { path: `/color/sources/items/${ramp.id}/value`, label: ramp.name, value: source.value }
    : { path: '/color/neutral/tint', label: `tint of ${ramp.name}`, value: String(neutral.tint) };
  return ramp.colors.map((hex, index) => {
    const path = ['palette', ramp.slug, ramp.rungNames[index] ?? String(index + 1)];
    const isSeat = index === ramp.seat;
    const value = (color: Hex): TokenValue => ({
      json: isSeat && ramp.wide !== undefined ? wideJson(ramp.wide, color) : colorJson(color),
      css: color,
      ...(isSeat && ramp.wide !== undefined && { wide: ramp.wide }),
    });
    const light = value(hex);
    const dark = ramp.dark?.[index];
    return {
      id: path.join('.'),
      path,
      tier: 'primitive',
      type: 'color',
      values: dark === undefined || dark === hex ? everyMode(light) : { light, dark: value(dark) },
      trail: () => ({
        decisions: [decision],
        steps: [
          isSeat
            ? 'the source itself, unchanged'
            : `rung ${index + 1} of ${ramp.colors.length} from paper to ink, even in OKLab lightness`,
          ...(dark === undefined || dark === hex ? [] : [`in dark with less chroma: ${dark}`]),
        ],
      }),
    };
  });
}

const paintDecision = (id: string, role: ColorRole, mode: 'light' | 'dark'): TrailDecision => {
  const paint = role[mode];
  return {
    path: `/color/roles/items/${id}/${mode}`,
    label: `${role.name} in ${mode}`,
    value:
      paint.kind === 'own'
        ? paint.value
        : paint.kind === 'source'
          ? 'the color itself'
          : paint.kind === 'share'
            ? `${Number((paint.share * 100).toFixed(1))} % of ${paint.of} over ${paint.over}`
            : paint.kind === 'near'
              ? `the rung nearest to ${paint.rung} that reads`
              : `rung ${paint.rung}`,
  };
};

const roleValue = ({ hex, ramp, rung, wide, transparent }: Painted): TokenValue => {
  if (transparent)
    return { json: colorJson(transparent.of, transparent.share), css: transparent.css };
  const name = ramp && rung !== undefined ? ramp.rungNames[rung - 1] : undefined;
  return {
    ...(ramp && name !== undefined && { reference: `palette.${ramp.slug}.${name}` }),
    json: wide === undefined ? colorJson(hex) : wideJson(wide, hex),
    css: hex,
    ...(wide !== undefined && { wide }),
  };
};

function roleToken(role: ColorRole, { id, slug, painted }: DerivedColorRole): Token {
  return {
    id: `color.${slug}`,
    path: ['color', slug],
    tier: 'semantic',
    type: 'color',
    values: { light: roleValue(painted.light), dark: roleValue(painted.dark) },
    trail: () => ({
      decisions: MODES.map((mode) => paintDecision(id, role, mode)),
      steps: MODES.flatMap((mode) => {
        const { rung } = painted[mode];
        const paint = role[mode];
        return paint.kind === 'near' && rung !== undefined && rung !== paint.rung
          ? [
              `in ${mode} rung ${paint.rung} does not read everywhere; ${rung} is the nearest that does`,
            ]
          : [];
      }),
    }),
  };
}

const gradientToken = ({ id, name, slug, space, angle, stops }: DerivedGradient): Token => ({
  id: `gradient.${slug}`,
  path: ['gradient', slug],
  tier: 'semantic',
  type: 'gradient',
  values: byMode((mode) => ({
    json: stops.map(({ at, role }) => ({ color: `{color.${role.slug}}`, position: at })),
    extension: { space, angle },
    css: gradientCss(
      stops.map(({ at, role }) => ({ at, css: variable(role), color: role.colors[mode] })),
      space,
      `${angle}deg`,
    ),
  })),
  trail: () => ({
    decisions: [{ path: `/color/gradients/items/${id}`, label: name, value: `in ${space}` }],
    steps: stops.map(({ at, role }) => `${role.name} at ${Math.round(at * 100)} %`),
  }),
});

export const deriveColorTokens = (
  color: Color,
  ramps: ReadonlyMap<string, DerivedRamp>,
  roles: ReadonlyMap<string, DerivedColorRole>,
  gradients: readonly DerivedGradient[],
): Token[] => [
  ...[...ramps.values()].flatMap((ramp) => rampTokens(color, ramp)),
  ...inOrder(color.roles).flatMap(([id, role]) => {
    const derived = roles.get(id);
    return derived ? [roleToken(role, derived)] : [];
  }),
  ...gradients.filter(({ stops }) => stops.length > 1).map(gradientToken),
  ...inOrder(color.veils).map(([id, veil]) =>
    veilToken(id, veilSlugs(color.veils).get(id) ?? id, veil, roles),
  ),
];

/** The part of a text that a use speaks of, as a selector of the exported classes. */
export const partSelector = (part: Part, { slug }: TextStyle): string =>
  ({
    words: `.type-${slug}`,
    link: `.type-${slug} a`,
    visited: `.type-${slug} a:visited`,
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

/** Where text that does not stand on the surface of its own takes its color from. */
const FILLED = ['hover', 'pressed'] as const;

/**
 * For every vivid color a class for what is filled with it, in all its states, with the labels on it
 * (`label` is the slug of their text role), and one for a wash of it. Parts that the system does not have are left out.
 */
export function deriveFamilyRules(
  roles: ReadonlyMap<string, DerivedColorRole>,
  label: string | undefined,
): Rule[] {
  const rule = (
    selector: string,
    ...declarations: readonly (readonly [string, string | undefined])[]
  ) => {
    const held = declarations.flatMap(([property, value]) =>
      value === undefined ? [] : [[property, value] as const],
    );
    return held.length > 0 ? [{ selector, declarations: held }] : [];
  };
  return FAMILIES.flatMap((id): Rule[] => {
    const role = roles.get(id);
    if (!role) return [];
    const part = (name: string): string | undefined => {
      const found = roles.get(`${id}-${name}`);
      return found && variable(found);
    };
    const fill = `.fill-${role.slug}`;
    const states = { hover: `${fill}:hover`, pressed: `${fill}:active` } as const;
    return [
      ...rule(fill, ['background-color', variable(role)]),
      ...rule(label === undefined ? fill : `${fill}, ${fill} .type-${label}`, [
        'color',
        part('ink'),
      ]),
      ...FILLED.flatMap((state) => rule(states[state], ['background-color', part(state)])),
      ...rule(`${fill}[aria-disabled="true"]`, ['background-color', part('disabled')]),
      ...rule(
        `.wash-${role.slug}`,
        ['background-color', part('wash')],
        ['border-color', part('edge')],
      ),
    ];
  });
}

/** Links, the ring around what has the focus, fields and the hints in them, gradients as classes. */
export const deriveColorClasses = (
  roles: ReadonlyMap<string, DerivedColorRole>,
  gradients: readonly DerivedGradient[],
  plainLinks: boolean,
): Rule[] => {
  const focus = roles.get('focus');
  const edge = roles.get('line-strong');
  const hint = roles.get('faint');
  return [
    ...(plainLinks
      ? [{ selector: 'a', declarations: [['text-decoration-line', 'none']] } as const]
      : []),
    ...(focus
      ? [
          {
            selector: ':focus-visible',
            declarations: [['outline', `0.1875rem solid ${variable(focus)}`]],
          } as const,
        ]
      : []),
    ...(edge
      ? [{ selector: '.field', declarations: [['border-color', variable(edge)]] } as const]
      : []),
    ...(hint ? [{ selector: '.hint', declarations: [['color', variable(hint)]] } as const] : []),
    ...gradients.map(({ slug }): Rule => ({
      selector: `.gradient-${slug}`,
      declarations: [['background-image', `var(${propertyOfPath(['gradient', slug])})`]],
    })),
  ];
};
