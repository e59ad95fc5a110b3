import { flattened } from '../color/transparent.ts';
import type { Hex } from '../color/srgb.ts';
import { patternRepeats, patternSvg, svgAddress } from '../space/pattern.ts';
import { inOrder, MODES, type Layout, type Mode } from '../system/document.ts';
import { everyMode, slugs, type Token } from '../tokens/token.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { DerivedColorRole, DerivedPattern, Rule, SpaceStep } from './derived.ts';
import { remOf, remValue } from './lengths.ts';

/**
 * A `ch` of what limits a width, in em: it holds no text of its own, and inherits the browser's font.
 * Source: CSS Values 4, ch: 0.5em where it cannot be measured; so wide is the 0 of usual serif fonts.
 */
const CH_EM = 0.5;

type Width = Layout['widths']['items'][string];

/** What the element that has a width stands in. */
export interface WidthContext {
  /** The root's font size in px, which it inherits. */
  readonly rootPx?: number;
  /** The room of the container around it, in px: a percentage is a share of it. */
  readonly roomPx: number;
}

/**
 * A width in px. Lengths in em and ch go by the font of the element that has the width, not by that
 * of the texts in it; percentages by the room around it. Source: CSS Values 4; CSS Sizing 3.
 */
export const widthPx = (
  { value, unit }: Width,
  { rootPx = ROOT_PX, roomPx }: WidthContext,
): number =>
  ({
    rem: value * ROOT_PX,
    em: value * rootPx,
    ch: value * rootPx * CH_EM,
    px: value,
    '%': (value / 100) * roomPx,
  })[unit];

/** The widest that a width lets something become, in px; no limit where there is none, or one from below. */
export function widthLimitPx(
  { items }: Layout['widths'],
  id: string,
  context: WidthContext,
): number {
  const width = items[id];
  return width?.bound === 'max' ? widthPx(width, context) : Infinity;
}

const widthSlugs = ({ widths }: Layout) =>
  slugs(inOrder(widths).map(([id, { name }]) => [id, name]));
const pictureSlugs = ({ pictures }: Layout) =>
  slugs(inOrder(pictures).map(([id, { name }]) => [id, name]));

export function deriveLayoutTokens(layout: Layout, root: number): Token[] {
  const widthSlug = widthSlugs(layout);
  const pictureSlug = pictureSlugs(layout);
  return [
    ...inOrder(layout.widths).map(([id, width]): Token => {
      const slug = widthSlug.get(id) ?? id;
      const { value, unit, bound } = width;
      const rem =
        unit === 'px'
          ? { json: { value, unit } as const, css: `${value}px` }
          : unit === 'rem'
            ? remValue(value * ROOT_PX, root)
            : {
                json: {
                  value: remOf(widthPx(width, { roomPx: ROOT_PX }), root),
                  unit: 'rem',
                } as const,
                css: `${value}${unit}`,
                extension: { width: { value, unit } },
              };
      return {
        id: `width.${slug}`,
        path: ['width', slug],
        tier: 'primitive',
        type: 'dimension',
        values: everyMode(rem),
        trail: () => ({
          decisions: [
            { path: `/layout/widths/items/${id}`, label: width.name, value: `${value} ${unit}` },
          ],
          steps: [bound === 'max' ? 'the widest that it gets' : 'the narrowest that it gets'],
        }),
      };
    }),
    ...inOrder(layout.pictures).map(([id, { name, width, height }]): Token => {
      const slug = pictureSlug.get(id) ?? id;
      const ratio = Number((width / height).toFixed(5));
      return {
        id: `picture.${slug}`,
        path: ['picture', slug],
        tier: 'primitive',
        type: 'number',
        values: everyMode({ json: ratio, css: `${width} / ${height}` }),
        trail: () => ({
          decisions: [
            { path: `/layout/pictures/items/${id}`, label: name, value: `${width} : ${height}` },
          ],
          steps: [`${width} / ${height} = ${ratio}`],
        }),
      };
    }),
    ...logoTokens(layout.logo, root),
  ];
}

function logoTokens({ least, clear, scale }: Layout['logo'], root: number): Token[] {
  const at = (part: string, value: string) => ({
    path: `/layout/logo/${part}`,
    label: `${part} of the logo`,
    value,
  });
  return [
    {
      id: 'logo.height',
      path: ['logo', 'height'],
      tier: 'semantic',
      type: 'dimension',
      values: everyMode({
        json: { value: scale, unit: 'rem' },
        css: `${scale}em`,
        extension: { em: scale },
      }),
      trail: () => ({
        decisions: [at('scale', `${scale} em`)],
        steps: ['times the text of the header, which it grows with'],
      }),
    },
    {
      id: 'logo.least',
      path: ['logo', 'least'],
      tier: 'semantic',
      type: 'dimension',
      values: everyMode(remValue(least, root)),
      trail: () => ({ decisions: [at('least', `${least} px`)], steps: [] }),
    },
    {
      id: 'logo.clear',
      path: ['logo', 'clear'],
      tier: 'semantic',
      type: 'number',
      values: everyMode({ json: clear, css: String(clear) }),
      trail: () => ({
        decisions: [at('clear', String(clear))],
        steps: ['a share of its height that nothing else may enter'],
      }),
    },
  ];
}

export function derivePatterns(
  patterns: Layout['patterns'],
  colors: ReadonlyMap<string, DerivedColorRole>,
  steps: ReadonlyMap<string, SpaceStep>,
): readonly DerivedPattern[] {
  const slugOf = slugs(inOrder(patterns).map(([id, { name }]) => [id, name]));
  return inOrder(patterns).flatMap(([id, { name, kind, ink, on, cell, strength, turn }]) => {
    const over = colors.get(on);
    const of = colors.get(ink);
    const cellPx = steps.get(cell)?.px;
    if (!over || !of || cellPx === undefined) return [];
    const inkIn = (mode: Mode): Hex => flattened(of.colors[mode], strength, over.colors[mode]);
    const drawn = (mode: Mode): string => patternSvg({ kind, cellPx, ink: inkIn(mode), turn });
    return [
      {
        id,
        name,
        slug: slugOf.get(id) ?? id,
        on: over,
        inks: { light: inkIn('light'), dark: inkIn('dark') },
        svg: { light: drawn('light'), dark: drawn('dark') },
        repeats: patternRepeats(kind),
      },
    ];
  });
}

/** The same declarations wherever the dark theme stands: by preference, and by attribute. */
export const inDark = (selector: string, declarations: Rule['declarations']): readonly Rule[] => [
  {
    selector: `:root:not([data-theme="light"]) ${selector}`.trim(),
    within: '@media (prefers-color-scheme: dark)',
    declarations,
  },
  { selector: `:root[data-theme="dark"] ${selector}`.trim(), declarations },
];

const patternRules = (patterns: readonly DerivedPattern[]): Rule[] =>
  patterns.flatMap(({ slug, svg, repeats }): Rule[] => {
    const image = (mode: Mode): Rule['declarations'][number] => [
      'background-image',
      svgAddress(svg[mode]),
    ];
    return [
      {
        selector: `.pattern-${slug}`,
        declarations: [
          image('light'),
          ...(repeats
            ? []
            : ([
                ['background-repeat', 'no-repeat'],
                ['background-position', 'center'],
              ] as const)),
        ],
      },
      ...(svg.light === svg.dark ? [] : inDark(`.pattern-${slug}`, [image('dark')])),
    ];
  });

/** Narrower screens have no room for a true middle, in px. */
const LEAST_CENTERED_PX = 900;

/** The width from which the middle of a header can be the true one: the first breakpoint with room for it. */
export const centeredFrom = ({ breakpoints }: Pick<Layout, 'breakpoints'>): number =>
  inOrder(breakpoints).find(([, { width }]) => width >= LEAST_CENTERED_PX)?.[1].width ??
  LEAST_CENTERED_PX;

const LOGO_HEIGHT = 'max(var(--logo-height), var(--logo-least))';

export function deriveLayoutRules(layout: Layout, patterns: readonly DerivedPattern[]): Rule[] {
  const widthSlug = widthSlugs(layout);
  const pictureSlug = pictureSlugs(layout);
  const { logo, screen, header } = layout;
  return [
    ...inOrder(layout.widths).map(([id, { bound }]): Rule => {
      const slug = widthSlug.get(id) ?? id;
      return {
        selector: `.width-${slug}`,
        declarations: [
          [bound === 'max' ? 'max-inline-size' : 'min-inline-size', `var(--width-${slug})`],
        ],
      };
    }),
    {
      // The large viewport for browsers that know no other unit.
      selector: '.screen-high',
      declarations: [
        ['min-block-size', '100vh'],
        ['min-block-size', `100${screen}`],
      ],
    },
    ...inOrder(layout.pictures).map(([id, { fit, x, y }]): Rule => {
      const slug = pictureSlug.get(id) ?? id;
      return {
        selector: `.picture-${slug}`,
        declarations: [
          ['inline-size', '100%'],
          ['block-size', 'auto'],
          ['aspect-ratio', `var(--picture-${slug})`],
          ['object-fit', fit],
          ['object-position', `${Number((x * 100).toFixed(1))}% ${Number((y * 100).toFixed(1))}%`],
        ],
      };
    }),
    {
      selector: '.logo',
      declarations: [
        ['display', 'inline-flex'],
        ['flex', 'none'],
        ['block-size', LOGO_HEIGHT],
        ['margin-block', `calc(${LOGO_HEIGHT} * var(--logo-clear))`],
        ['margin-inline-end', `calc(${LOGO_HEIGHT} * var(--logo-clear))`],
      ],
    },
    {
      selector: '.logo svg',
      declarations: [
        ['block-size', '100%'],
        ['inline-size', 'auto'],
      ],
    },
    ...(logo.light !== undefined && logo.dark !== undefined
      ? [
          { selector: '.logo-dark', declarations: [['display', 'none']] } as const,
          ...inDark('.logo-dark', [['display', 'inline-flex']]),
          ...inDark('.logo-light', [['display', 'none']]),
        ]
      : []),
    ...(header === 'centered'
      ? [
          {
            selector: '.site-header',
            within: `@media (width >= ${centeredFrom(layout)}px)`,
            declarations: [
              ['display', 'grid'],
              ['grid-template-columns', '1fr auto 1fr'],
            ],
          } as const,
          {
            selector: '.site-header > :last-child:not(:first-child)',
            within: `@media (width >= ${centeredFrom(layout)}px)`,
            declarations: [['justify-self', 'end']],
          } as const,
        ]
      : []),
    ...patternRules(patterns),
  ];
}

/** The modes in which a pattern looks different, for whoever tests both. */
export const patternModes = ({ inks, on }: DerivedPattern): readonly Mode[] =>
  inks.light === inks.dark && on.colors.light === on.colors.dark ? ['light'] : MODES;
