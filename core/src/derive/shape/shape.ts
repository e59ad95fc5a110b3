import { innerRadius } from '../../space/corners.ts';
import { shadowCss, shadowOf, type ShadowLayer } from '../../space/shadows.ts';
import { inOrder, type Mode, type Shape } from '../../system/document.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import { everyMode, type MadeToken, type TokenJson, type TokenValue } from '../../tokens/token.ts';
import { colorJson } from '../color/color-json.ts';
import type { DerivedColorRole, Rule } from '../derived.ts';
import { remValue } from '../space/lengths.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

const px = (value: number): TokenValue => ({
  json: { value, unit: 'px' },
  css: `${value}px`,
});

interface Said {
  readonly path: string;
  readonly label: string;
  readonly value: string;
}

const token = (
  path: readonly [string, string],
  type: string,
  value: TokenValue,
  said: Said,
  steps: readonly string[] = [],
  tier: MadeToken['tier'] = 'primitive',
): MadeToken => ({
  id: path.join('.'),
  path,
  tier,
  type,
  values: everyMode(value),
  trail: () => ({ decisions: [said], steps }),
});

/** Whose corners may grow with their text. */
const GROWING = 'control';

/** A radius as a share of its text, which it is at the size of text that browsers begin with. */
function growingCorner(radius: Shape['radii']['items'][string] | undefined, id: string): MadeToken {
  const { name = id, px: size = 0 } = radius ?? {};
  const em = Number((size / ROOT_PX).toFixed(4));
  return token(
    ['corner', GROWING],
    'dimension',
    { json: { value: em, unit: 'rem' }, css: `${em}em`, extension: { em } },
    { path: `/shape/corners/${GROWING}`, label: `corners of a ${GROWING}`, value: name },
    [`${size} px of ${ROOT_PX} px: ${em} em, so that it grows with its text`],
    'semantic',
  );
}

/** Where nested corners run side by side: the radius inside a card, from its own, its edge and its inset. */
const CARD_INSIDE = 'max(0px, calc(var(--corner-card) - var(--card-inset, 0px)))';

export function deriveCornerTokens(
  radii: Shape['radii'],
  corners: Shape['corners'],
  insetPx: number,
  root: number,
  growing?: Shape['growing'],
): MadeToken[] {
  const slugOf = slugsOf(radii);
  const card = radii.items[corners.card]?.px ?? 0;
  return [
    ...inOrder(radii).map(([id, { name, px: size }]) =>
      token(['radius', slugOf.get(id) ?? id], 'dimension', remValue(size, root), {
        path: `/shape/radii/items/${id}`,
        label: `radius ${name}`,
        value: `${size} px`,
      }),
    ),
    ...Object.entries(corners).map(([what, id]) =>
      growing === true && what === GROWING
        ? growingCorner(radii.items[id], id)
        : token(
            ['corner', what],
            'dimension',
            {
              reference: `radius.${slugOf.get(id) ?? id}`,
              ...remValue(radii.items[id]?.px ?? 0, root),
            },
            {
              path: `/shape/corners/${what}`,
              label: `corners of a ${what}`,
              value: radii.items[id]?.name ?? id,
            },
            [],
            'semantic',
          ),
    ),
    token(
      ['corner', 'card-inside'],
      'dimension',
      {
        ...remValue(innerRadius(card, 0, insetPx), root),
        css: CARD_INSIDE,
        extension: { inner: { outer: '{corner.card}', less: ['{card.inset}'] } },
      },
      { path: '/shape/corners/card', label: 'corners of a card', value: `${card} px` },
      ['the outer radius without the inset, never below 0, so that both corners run side by side'],
      'semantic',
    ),
  ];
}

export function deriveEdgeTokens(
  borders: Shape['borders'],
  edges: Shape['edges'],
  line: Pick<DerivedColorRole, 'name' | 'slug'> | undefined,
): MadeToken[] {
  const slugOf = slugsOf(borders);
  return [
    ...inOrder(borders).map(([id, { name, px: size }]) =>
      token(['border', slugOf.get(id) ?? id], 'dimension', px(size), {
        path: `/shape/borders/items/${id}`,
        label: `border ${name}`,
        value: `${size} px`,
      }),
    ),
    ...Object.entries(edges).map(([what, id]) => {
      const slug = slugOf.get(id) ?? id;
      return token(
        ['edge', what],
        'dimension',
        { reference: `border.${slug}`, ...px(borders.items[id]?.px ?? 0) },
        {
          path: `/shape/edges/${what}`,
          label: `${what} edges`,
          value: borders.items[id]?.name ?? id,
        },
        [],
        'semantic',
      );
    }),
    ...(line
      ? [
          token(
            ['outline', 'line'],
            'border',
            {
              json: { color: `{color.${line.slug}}`, width: '{edge.line}', style: 'solid' },
              css: `var(--edge-line) solid var(--color-${line.slug})`,
            },
            {
              path: '/shape/edges/line',
              label: 'line edges',
              value: borders.items[edges.line]?.name ?? '',
            },
            [`the edge in the color ${line.name}`],
            'semantic',
          ),
        ]
      : []),
  ];
}

const layerJson = ({ x, y, blur, spread, color, opacity, inset }: ShadowLayer): TokenJson => ({
  color: colorJson(color, opacity),
  offsetX: { value: x, unit: 'px' },
  offsetY: { value: y, unit: 'px' },
  blur: { value: blur, unit: 'px' },
  spread: { value: spread, unit: 'px' },
  ...(inset && { inset }),
});

/** The grounds that things are raised from, by the ids of their color roles. */
const GROUNDS = ['page', 'surface', 'raised'] as const;

export const groundsOf = (
  colors: ReadonlyMap<string, DerivedColorRole>,
): readonly DerivedColorRole[] =>
  GROUNDS.flatMap((id) => {
    const role = colors.get(id);
    return role ? [role] : [];
  });

/** The shadow of a level on a ground, in a theme. */
export function levelShadow(
  { light, dark }: Pick<Shape, 'light' | 'dark'>,
  heightPx: number,
  ground: DerivedColorRole,
  mode: Mode,
): readonly ShadowLayer[] {
  const isDark = mode === 'dark';
  return shadowOf(
    heightPx,
    ground.colors[mode],
    isDark ? { ...light, strength: dark.strength, ambient: dark.ambient } : light,
    isDark ? dark.rim : 0,
  );
}

export function deriveShadowTokens(
  shadows: Shape['shadows'],
  lit: Pick<Shape, 'light' | 'dark'>,
  grounds: readonly DerivedColorRole[],
): MadeToken[] {
  const slugOf = slugsOf(shadows);
  return grounds.flatMap((ground) =>
    inOrder(shadows).map(([id, { name, height }]): MadeToken => {
      const path = ['shadow', ground.slug, slugOf.get(id) ?? id];
      const value = (mode: Mode): TokenValue => {
        const layers = levelShadow(lit, height, ground, mode);
        return { json: layers.map(layerJson), css: shadowCss(layers) };
      };
      return {
        id: path.join('.'),
        path,
        tier: 'semantic',
        type: 'shadow',
        values: { light: value('light'), dark: value('dark') },
        trail: () => ({
          decisions: [
            {
              path: `/shape/shadows/items/${id}`,
              label: `level ${name}`,
              value: `${height} px high`,
            },
            { path: '/shape/light', label: 'light', value: `from ${lit.light.from}°` },
            {
              path: '/shape/dark',
              label: 'in the dark theme',
              value: `strength ${lit.dark.strength}`,
            },
          ],
          steps: [
            `the light moves it by ${height} × ${lit.light.reach} px and blurs it by ${height} × ${lit.light.softness} px`,
            `its color is that of ${ground.name}, darkened`,
          ],
        }),
      };
    }),
  );
}

export function deriveMotionTokens({
  opacities,
  layers,
  durations,
  easings,
}: Pick<Shape, 'opacities' | 'layers' | 'durations' | 'easings'>): MadeToken[] {
  const [opacity, layer, duration, easing] = [opacities, layers, durations, easings].map(slugsOf);
  return [
    ...inOrder(opacities).map(([id, { name, value }]) =>
      token(
        ['opacity', opacity?.get(id) ?? id],
        'number',
        { json: value, css: String(value) },
        {
          path: `/shape/opacities/items/${id}`,
          label: `transparency ${name}`,
          value: String(value),
        },
      ),
    ),
    ...inOrder(layers).map(([id, { name, level }]) =>
      token(
        ['layer', layer?.get(id) ?? id],
        'number',
        { json: level, css: String(level) },
        {
          path: `/shape/layers/items/${id}`,
          label: `layer ${name}`,
          value: String(level),
        },
      ),
    ),
    ...inOrder(durations).map(([id, { name, ms, reduced }]) =>
      token(
        ['duration', duration?.get(id) ?? id],
        'duration',
        {
          json: { value: ms, unit: 'ms' },
          css: `${ms}ms`,
          extension: { reducedMotion: { value: reduced, unit: 'ms' } },
        },
        { path: `/shape/durations/items/${id}`, label: `duration ${name}`, value: `${ms} ms` },
        [`${reduced} ms where the reader asks for less motion`],
      ),
    ),
    ...inOrder(easings).map(([id, { name, x1, y1, x2, y2 }]) =>
      token(
        ['easing', easing?.get(id) ?? id],
        'cubicBezier',
        { json: [x1, y1, x2, y2], css: `cubic-bezier(${x1}, ${y1}, ${x2}, ${y2})` },
        {
          path: `/shape/easings/items/${id}`,
          label: `easing ${name}`,
          value: [x1, y1, x2, y2].join(', '),
        },
      ),
    ),
  ];
}

/** Classes for elevation and less motion. What is raised takes the shadow that falls on its ground. */
export function deriveShapeRules(
  { shadows, durations }: Pick<Shape, 'shadows' | 'durations'>,
  [first, ...others]: readonly Pick<DerivedColorRole, 'slug'>[],
): Rule[] {
  const slugOf = slugsOf(shadows);
  const levels = inOrder(shadows).map(([id]) => slugOf.get(id) ?? id);
  const cast = (ground: Pick<DerivedColorRole, 'slug'>): Rule['declarations'] =>
    levels.map((level) => [`--cast-${level}`, `var(--shadow-${ground.slug}-${level})`]);
  const durationSlug = slugsOf(durations);
  return [
    ...(first && levels.length > 0
      ? [
          { selector: ':root', declarations: cast(first) },
          ...[first, ...others].map((ground) => ({
            selector: `.on-${ground.slug} > *`,
            declarations: cast(ground),
          })),
          ...levels.map((level): Rule => ({
            selector: `.raise-${level}`,
            declarations: [['box-shadow', `var(--cast-${level})`]],
          })),
        ]
      : []),
    ...(durations.order.length > 0
      ? [
          {
            selector: ':root',
            within: '@media (prefers-reduced-motion: reduce)',
            declarations: inOrder(durations).map(
              ([id, { reduced }]) =>
                [`--duration-${durationSlug.get(id) ?? id}`, `${reduced}ms`] as const,
            ),
          } satisfies Rule,
        ]
      : []),
  ];
}

/** The class of what is raised to a level. */
export const raiseClass = ({ shadows, cards }: Shape): string | undefined =>
  cards === undefined ? undefined : `raise-${slugsOf(shadows).get(cards) ?? cards}`;
