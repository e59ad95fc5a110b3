import { gradientCss } from '../../color/gradient.ts';
import { oklabOf, oklchOf } from '../../color/oklab.ts';
import { wideJson } from '../../color/wide.ts';
import {
  neutralsOf,
  NEUTRAL_SHAPE,
  rampOf,
  rungName,
  RUNGS,
  USUAL_SHAPE,
  type RampShape,
} from '../../color/ramp.ts';
import { toSrgb } from '../../color/gamut.ts';
import { once } from '../../once.ts';
import { isOfSame } from '../../same.ts';
import { hexOf, rgbOf, type Hex } from '../../color/srgb.ts';
import { FAMILIES } from '../../system/families.ts';
import {
  inOrder,
  MODES,
  type ColorRole,
  type Part,
  type StyleDocument,
} from '../../system/document.ts';
import { NEUTRAL } from '../../system/validate.ts';
import {
  byMode,
  everyMode,
  propertyOfPath,
  slugs,
  type MadeToken,
  type TokenValue,
  type TrailDecision,
} from '../../tokens/token.ts';
import { coloredIn } from '../structure.ts';
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
} from '../derived.ts';
import { veilSlugs, veilInkTokens, veilToken } from './veil.ts';
import { paintedBy } from './paint.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

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

/** The ramp of a color: made anew only when the color itself is decided anew. */
const rampOfSource = once(({ value, ramp }: Color['sources']['items'][string]) =>
  rampOf(value, shapeOf(USUAL_SHAPE, ramp)),
);

/** The names of all rungs. */
const namesOf = (names: Color['rungNames']): readonly string[] =>
  Array.from({ length: RUNGS }, (_, index) => rungName(index + 1, names));

/** What a ramp is made of beside its source. */
interface RampMaking {
  readonly id: string;
  readonly slug: string;
  readonly names: Color['rungNames'];
  readonly keep: number;
}

/** The derived ramp of a source, the very same until something that it is made of is another. */
const derivedBy = once((source: Color['sources']['items'][string]) => {
  let last: { readonly of: RampMaking; readonly ramp: DerivedRamp } | undefined;
  return (making: RampMaking): DerivedRamp => {
    if (!last || !isOfSame(last.of, making)) last = { of: making, ramp: made(source, making) };
    return last.ramp;
  };
});

function made(
  source: Color['sources']['items'][string],
  { id, slug, names, keep }: RampMaking,
): DerivedRamp {
  const { name, wide, value } = source;
  const ramp = rampOfSource(source);
  return {
    id,
    name,
    slug,
    ...ramp,
    ...(keep < 1 && { dark: softened(ramp.colors, keep, ramp.seat) }),
    ...(wide !== undefined && { wide }),
    rungNames: namesOf(names),
    decision: { path: `/color/sources/items/${id}/value`, label: name, value },
  };
}

/** The neutrals of a decision, by the color that tints them. */
const neutralsBy = once((neutral: Color['neutral']) => {
  let last: { readonly source: Hex; readonly colors: readonly Hex[] } | undefined;
  return (source: Hex): readonly Hex[] => {
    if (last?.source !== source)
      last = {
        source,
        colors: neutralsOf(source, neutral.tint, shapeOf(NEUTRAL_SHAPE, neutral.ramp)),
      };
    return last.colors;
  };
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
  const ramps = named.map(([id, source]) => {
    const making = { id, slug: slug(id), names, keep: darkChroma };
    return [id, derivedBy(source)(making)] as const;
  });
  const tintedBy = sources.items[neutral.source]?.value ?? '#808080';
  return new Map<string, DerivedRamp>([
    ...ramps,
    [
      NEUTRAL,
      {
        id: NEUTRAL,
        name: neutral.name,
        slug: slug(NEUTRAL),
        colors: neutralsBy(neutral)(tintedBy),
        rungNames: namesOf(names),
        decision: {
          path: '/color/neutral/tint',
          label: `tint of ${neutral.name}`,
          value: String(neutral.tint),
        },
      },
    ],
  ]);
}

const isSamePainted = (one: Painted, other: Painted): boolean =>
  one.hex === other.hex &&
  one.ramp === other.ramp &&
  one.rung === other.rung &&
  one.wide === other.wide &&
  one.transparent?.css === other.transparent?.css;

/** Whether a role says what it said, where its ramps are kept themselves. */
export const isSameRole = (one: DerivedColorRole, other: DerivedColorRole): boolean =>
  one.decided === other.decided &&
  one.slug === other.slug &&
  isSamePainted(one.painted.light, other.painted.light) &&
  isSamePainted(one.painted.dark, other.painted.dark);

export function deriveColorRoles(
  roles: Color['roles'],
  ramps: ReadonlyMap<string, DerivedRamp>,
  { rungs }: Assignment,
): ReadonlyMap<string, DerivedColorRole> {
  const slugOf = slugsOf(roles);
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
          decided: role,
        },
      ];
    }),
  );
}

export const derivePairs = (
  texts: Color['texts'],
  styles: ReadonlyMap<string, TextStyle>,
  colors: ReadonlyMap<string, DerivedColorRole>,
): readonly TextPair[] =>
  inOrder(texts).flatMap(([id, use]) => {
    const style = styles.get(use.text);
    const color = colors.get(use.color);
    const on = colors.get(use.on);
    return style && color && on ? [{ id, style, part: use.part, color, on }] : [];
  });

/** Every need with its colors, and the text that it is of. */
export const deriveNeeds = (
  plans: readonly NeedPlan[],
  colors: ReadonlyMap<string, DerivedColorRole>,
  styles: ReadonlyMap<string, TextStyle>,
): readonly Need[] =>
  plans.flatMap((plan): Need[] => {
    const color = colors.get(plan.color);
    const on = colors.get(plan.on);
    const style = plan.text === undefined ? undefined : styles.get(plan.text);
    if (!color || !on) return [];
    return [style ? { ...plan, color, on, style } : { ...plan, color, on }];
  });

export function deriveGradients(
  gradients: Color['gradients'],
  colors: ReadonlyMap<string, DerivedColorRole>,
): DerivedGradient[] {
  const slugOf = slugsOf(gradients);
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

/** The tokens of a ramp; made once, as long as the ramp stays what it is. */
const rampTokens = once((ramp: DerivedRamp): readonly MadeToken[] =>
  ramp.colors.map((hex, index) => {
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
        decisions: [ramp.decision],
        steps: [
          isSeat
            ? 'the source itself, unchanged'
            : `rung ${index + 1} of ${ramp.colors.length} from paper to ink, even in OKLab lightness`,
          ...(dark === undefined || dark === hex ? [] : [`in dark with less chroma: ${dark}`]),
        ],
      }),
    };
  }),
);

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

const roleToken = once(({ id, slug, painted, decided: role }: DerivedColorRole): MadeToken => ({
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
}));

const gradientToken = ({ id, name, slug, space, angle, stops }: DerivedGradient): MadeToken => ({
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

export const deriveRampTokens = (ramps: ReadonlyMap<string, DerivedRamp>): readonly MadeToken[] =>
  [...ramps.values()].flatMap(rampTokens);

export const deriveRoleTokens = (
  roles: ReadonlyMap<string, DerivedColorRole>,
): readonly MadeToken[] => [...roles.values()].map(roleToken);

export const deriveGradientTokens = (gradients: readonly DerivedGradient[]): readonly MadeToken[] =>
  gradients.filter(({ stops }) => stops.length > 1).map(gradientToken);

export const deriveVeilTokens = (
  veils: Color['veils'],
  roles: ReadonlyMap<string, DerivedColorRole>,
): readonly MadeToken[] => {
  const slugOf = veilSlugs(veils);
  return inOrder(veils).flatMap(([id, veil]) => {
    const slug = slugOf.get(id) ?? id;
    return [veilToken(id, slug, veil, roles), ...veilInkTokens(id, slug, veil, roles)];
  });
};

/** The part of a text that a use speaks of, as a selector of the exported classes. */
export const partSelector = (part: Part, { slug }: Pick<TextStyle, 'slug'>): string =>
  ({
    words: `.type-${slug}`,
    link: `.type-${slug} a`,
    visited: `.type-${slug} a:visited`,
    button: `.quiet-button .type-${slug}`,
  })[part];

/** A color role by its name alone, which is all that rules know of it. */
export type NamedRole = Pick<DerivedColorRole, 'id' | 'slug'>;

/** A pair by the names of its parts. */
export interface NamedPair extends Pick<TextPair, 'part'> {
  readonly style: Pick<TextStyle, 'id' | 'slug'>;
  readonly color: NamedRole;
  readonly on: NamedRole;
}

const variable = ({ slug }: Pick<NamedRole, 'slug'>): string =>
  `var(${propertyOfPath(['color', slug])})`;

/**
 * A class for every surface that text stands on, and the color of each text there. The page needs
 * no class: it is what a text stands on when nothing is said.
 */
export function deriveColorRules(
  roles: ReadonlyMap<string, NamedRole>,
  pairs: readonly NamedPair[],
): Rule[] {
  const surfaces = [...roles.values()].filter((role) => pairs.some(({ on }) => on.id === role.id));
  const first = surfaces[0];
  return surfaces.flatMap((surface): Rule[] => {
    const prefix = surface === first ? '' : `.on-${surface.slug} `;
    const standing = pairs.filter(({ on }) => on.id === surface.id);
    const words = standing.filter(({ part }) => part === 'words');
    // What has no class of a text is running text, or the only text that there is.
    const plain = words.find(({ style }) => style.id === 'body') ?? words[0];
    const own: Rule = {
      selector: `.on-${surface.slug}`,
      declarations: [
        ['background-color', variable(surface)],
        ...(plain ? [['color', variable(plain.color)] as const] : []),
      ],
    };
    const texts = standing.map(({ style, part, color }): Rule => ({
      selector: [
        `${prefix}${partSelector(part, style)}`,
        ...(surface === first && part === 'words' ? coloredIn(style.id) : []),
      ].join(', '),
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
  roles: ReadonlyMap<string, NamedRole>,
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
  roles: ReadonlyMap<string, NamedRole>,
  gradients: readonly Pick<DerivedGradient, 'slug'>[],
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
            declarations: [
              ['outline', `0.1875rem solid ${variable(focus)}`],
              ['outline-offset', '0.125rem'],
            ],
          } as const,
        ]
      : []),
    ...(edge
      ? [{ selector: '.field', declarations: [['border-color', variable(edge)]] } as const]
      : []),
    ...(hint
      ? [
          {
            selector: '.hint, .field::placeholder',
            declarations: [['color', variable(hint)]],
          } as const,
        ]
      : []),
    ...gradients.map(({ slug }): Rule => ({
      selector: `.gradient-${slug}`,
      declarations: [['background-image', `var(${propertyOfPath(['gradient', slug])})`]],
    })),
  ];
};
