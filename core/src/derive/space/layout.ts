import { inOrder, type Layout } from '../../system/document.ts';
import { everyMode, type MadeToken } from '../../tokens/token.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { Themes } from '../../system/themes.ts';
import { byTheme } from '../dark.ts';
import type { Rule } from '../derived.ts';
import { remOf, remValue } from './lengths.ts';
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

export const widthSlugs = ({ widths }: Pick<Layout, 'widths'>) => slugsOf(widths);
export const pictureSlugs = ({ pictures }: Pick<Layout, 'pictures'>) => slugsOf(pictures);

export function deriveLayoutTokens(layout: Layout, root: number): MadeToken[] {
  const widthSlug = widthSlugs(layout);
  const pictureSlug = pictureSlugs(layout);
  return [
    ...inOrder(layout.widths).map(([id, width]): MadeToken => {
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
