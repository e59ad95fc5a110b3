import type { SolvedGrid } from '../../space/grid.ts';
import { inOrder, type Layout } from '../../system/document.ts';
import { everyMode, type MadeToken, type TokenValue } from '../../tokens/token.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { Themes } from '../../system/themes.ts';
import { byTheme } from '../dark.ts';
import type { GridRange, LengthFrom, Rule } from '../derived.ts';
import { contentPx, gridAt } from './grid.ts';
import { breakpointsJson, remOf, remValue } from './lengths.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

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
  /** The room of the container around it, in px: a percentage is a share of it, and columns divide it. */
  readonly roomPx: number;
  readonly columns?: Pick<SolvedGrid, 'columns' | 'gutter'> | undefined;
}

/** What something of the page stands in on a screen: the content of the page. */
export const widthContext = (
  ranges: readonly GridRange[],
  screenPx: number,
  rootPx: number = ROOT_PX,
): WidthContext & { readonly screenPx: number } => ({
  screenPx,
  rootPx,
  roomPx: contentPx(ranges, screenPx),
  columns: gridAt(ranges, screenPx, rootPx),
});

/** The same on the widest screens that the grid tells of. */
const widestContext = (ranges: readonly GridRange[]): WidthContext => {
  const widest = ranges.at(-1);
  return widthContext(ranges, Math.max(widest?.fromPx ?? 0, widest?.grid.container ?? 0));
};

/** How much of its unit a width is on a screen. */
const amountAt = (
  { value, at = {} }: Width,
  breakpoints: Layout['breakpoints'],
  screenPx: number,
): number =>
  inOrder(breakpoints).reduce(
    (held, [id, { width }]) => (screenPx >= width ? (at[id] ?? held) : held),
    value,
  );

/**
 * A width in px. Lengths in em and ch go by the font of the element that has the width, not by that
 * of the texts in it; percentages by the room around it; columns divide that room, and never are more
 * than there are. Source: CSS Values 4; CSS Sizing 3; CSS Grid 2 for columns of equal shares.
 */
export const widthPx = (
  { value, unit }: Pick<Width, 'value' | 'unit'>,
  { rootPx = ROOT_PX, roomPx, columns = { columns: value, gutter: 0 } }: WidthContext,
): number =>
  ({
    rem: value * ROOT_PX,
    em: value * rootPx,
    ch: value * rootPx * CH_EM,
    px: value,
    '%': (value / 100) * roomPx,
    columns:
      ((roomPx + columns.gutter) * Math.min(value, columns.columns)) / columns.columns -
      columns.gutter,
  })[unit];

/**
 * The same width in another unit, on the widest screens, so that a change of unit changes nothing that is seen: to two
 * decimals, to whole columns where it counts those, and to something above 0.
 */
export function widthIn(width: Width, unit: Width['unit'], ranges: readonly GridRange[]): Width {
  const context = widestContext(ranges);
  const { columns = 1, gutter = 0 } = context.columns ?? {};
  const converted = (value: number): number => {
    const px = widthPx({ value, unit: width.unit }, context);
    if (unit === 'columns') {
      const count = ((px + gutter) / (context.roomPx + gutter)) * columns;
      return Math.min(columns, Math.max(1, Math.round(count)));
    }
    const one = widthPx({ value: 1, unit }, context);
    return Math.max(0.01, Number((px / one).toFixed(2)));
  };
  return {
    ...width,
    unit,
    value: converted(width.value),
    ...(width.at && {
      at: Object.fromEntries(Object.entries(width.at).map(([id, own]) => [id, converted(own)])),
    }),
  };
}

/** The widest that a width lets something become on a screen, in px; no limit where there is none, or one from below. */
export function widthLimitPx(
  { widths, breakpoints }: Pick<Layout, 'widths' | 'breakpoints'>,
  id: string,
  context: WidthContext & { readonly screenPx: number },
): number {
  const width = widths.items[id];
  if (width?.bound !== 'max') return Infinity;
  const value = amountAt(width, breakpoints, context.screenPx);
  return widthPx({ ...width, value }, context);
}

/** So many columns of the room around, with the gutters between them; never more columns than there are. */
const columnsCss = (value: number): string =>
  `calc((100% + var(--grid-gutter)) * min(${value}, var(--grid-columns)) / var(--grid-columns) - var(--grid-gutter))`;

/** A width as a value. What the open format has no unit for stands in it as px of the widest screens, and whole in our extension. */
function widthValue(
  { value, unit }: Pick<Width, 'value' | 'unit'>,
  ranges: readonly GridRange[],
  root: number,
): Omit<TokenValue, 'extension'> {
  if (unit === 'px') return { json: { value, unit }, css: `${value}px` };
  if (unit === 'rem') return remValue(value * ROOT_PX, root);
  const context = unit === 'columns' ? widestContext(ranges) : { roomPx: ROOT_PX };
  return {
    json: { value: remOf(widthPx({ value, unit }, context), root), unit: 'rem' },
    css: unit === 'columns' ? columnsCss(value) : `${value}${unit}`,
  };
}

/** What the open format cannot say of a width: its unit, and what it is from breakpoints up. */
function widthExtension(
  { value, unit }: Width,
  from: readonly LengthFrom[],
): Pick<TokenValue, 'extension'> {
  const own = unit === 'px' || unit === 'rem' ? {} : { width: { value, unit } };
  const extension = { ...own, ...(from.length > 0 && breakpointsJson(from)) };
  return Object.keys(extension).length === 0 ? {} : { extension };
}

/** What a width is from breakpoints up, where that is another one. */
const widthFrom = (
  width: Width,
  breakpoints: Layout['breakpoints'],
  ranges: readonly GridRange[],
  root: number,
): readonly LengthFrom[] =>
  inOrder(breakpoints).flatMap(([id, { width: fromPx }]) => {
    const value = width.at?.[id];
    return value === undefined
      ? []
      : [{ fromPx, value: widthValue({ ...width, value }, ranges, root) }];
  });

/** What widths become from breakpoints up, for the rules of those. */
export function widthsFrom(
  layout: Layout,
  ranges: readonly GridRange[],
  root: number,
): readonly (readonly [property: string, from: LengthFrom])[] {
  const slugOf = widthSlugs(layout);
  return inOrder(layout.widths).flatMap(([id, width]) =>
    widthFrom(width, layout.breakpoints, ranges, root).map(
      (from) => [`--width-${slugOf.get(id) ?? id}`, from] as const,
    ),
  );
}

export const widthSlugs = ({ widths }: Pick<Layout, 'widths'>) => slugsOf(widths);
export const pictureSlugs = ({ pictures }: Pick<Layout, 'pictures'>) => slugsOf(pictures);

export function deriveLayoutTokens(
  layout: Layout,
  ranges: readonly GridRange[],
  root: number,
): MadeToken[] {
  const widthSlug = widthSlugs(layout);
  const pictureSlug = pictureSlugs(layout);
  return [
    ...inOrder(layout.widths).map(([id, width]): MadeToken => {
      const slug = widthSlug.get(id) ?? id;
      const { value, unit, bound } = width;
      const from = widthFrom(width, layout.breakpoints, ranges, root);
      return {
        id: `width.${slug}`,
        path: ['width', slug],
        tier: 'primitive',
        type: 'dimension',
        values: everyMode({
          ...widthValue(width, ranges, root),
          ...widthExtension(width, from),
        }),
        trail: () => ({
          decisions: [
            { path: `/layout/widths/items/${id}`, label: width.name, value: `${value} ${unit}` },
          ],
          steps: [
            bound === 'max' ? 'the widest that it gets' : 'the narrowest that it gets',
            ...(unit === 'columns'
              ? ['columns of the grid with the gutters between them, and never more than there are']
              : []),
            ...from.map(({ fromPx, value: own }) => `from ${fromPx} px: ${own.css ?? ''}`),
          ],
        }),
      };
    }),
    ...inOrder(layout.pictures).map(([id, { name, width, height }]): MadeToken => {
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

function logoTokens({ least, clear, scale }: Layout['logo'], root: number): MadeToken[] {
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

/** Narrower screens have no room for a true middle, in px. */
const LEAST_CENTERED_PX = 900;

/** The width from which the middle of a header can be the true one: the first breakpoint with room for it. */
export const centeredFrom = ({ breakpoints }: Pick<Layout, 'breakpoints'>): number =>
  inOrder(breakpoints).find(([, { width }]) => width >= LEAST_CENTERED_PX)?.[1].width ??
  LEAST_CENTERED_PX;

const LOGO_HEIGHT = 'max(var(--logo-height), var(--logo-least))';

export function deriveLayoutRules(layout: Layout, themes: Themes): Rule[] {
  const widthSlug = widthSlugs(layout);
  const pictureSlug = pictureSlugs(layout);
  const { logo, screen, header } = layout;
  return [
    ...inOrder(layout.widths).map(([id, { bound, centered }]): Rule => {
      const slug = widthSlug.get(id) ?? id;
      return {
        selector: `.width-${slug}`,
        declarations: [
          [bound === 'max' ? 'max-inline-size' : 'min-inline-size', `var(--width-${slug})`],
          ...(centered ? [['margin-inline', 'auto'] as const] : []),
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
          ...(['light', 'dark'] as const).flatMap((own) =>
            byTheme(themes, `.logo-${own}`, (mode) => [
              ['display', mode === own ? 'inline-flex' : 'none'],
            ]),
          ),
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
  ];
}
