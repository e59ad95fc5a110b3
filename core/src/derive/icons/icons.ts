import { USUAL_FAINT, usualStroke } from '../../icons/usual.ts';
import { writeSvg, type Drawn } from '../../icons/write-svg.ts';
import { svgAddress } from '../../space/pattern.ts';
import { inOrder, type StyleDocument } from '../../system/document.ts';
import { USUAL_GAP, type Icons } from '../../system/icon-schema.ts';
import type { SystemIcon } from '../../system/icons.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';
import { everyMode, type MadeToken } from '../../tokens/token.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { Rule, TextSetting } from '../derived.ts';
import { sizePx } from './beside.ts';

type Decided = StyleDocument['icons'];
type Metrics = Pick<TextSetting['family']['metrics'], 'ascent' | 'descent' | 'capHeight'>;

const four = (value: number): number => Math.round(value * 10_000) / 10_000;

/** A size in CSS: of the text in em, of its capitals in cap, of its line in lh, or of a step of space. */
function sizeCss(
  { of, times, step }: Icons['sizes']['items'][string],
  steps: ReadonlyMap<string, string>,
): string {
  if (of === 'text') return `${times}em`;
  if (of === 'capitals') return `${times}cap`;
  if (of === 'line') return `${times}lh`;
  const slug = step === undefined ? undefined : steps.get(step);
  return slug === undefined ? `${times}em` : `calc(${times} * var(--space-${slug}))`;
}

/**
 * How far below the middle of its line the middle of the capitals is, in em: what is set in the middle of a control
 * has to be moved so much to be beside the words. 0 where it is to stand in the middle of the line.
 */
export const capitalsShift = (
  { ascent, descent, capHeight }: Metrics,
  place: Icons['place'],
): number => (place === 'line' ? 0 : four((ascent - Math.abs(descent)) / 2 - capHeight / 2));

/** Sizes, stroke, room and place of icons. */
export function deriveIconTokens(
  decided: Decided,
  label: { readonly name: string; readonly metrics: Metrics } | undefined,
  steps: ReadonlyMap<string, { readonly slug: string; readonly px: number }>,
): MadeToken[] {
  const { sizes, place, gap = USUAL_GAP } = decided;
  const em = (value: number) => ({
    json: { value, unit: 'rem' },
    css: `${value}em`,
    extension: { em: value },
  });
  const made = (
    name: string,
    value: MadeToken['values']['light'],
    said: { readonly path: string; readonly label: string; readonly value: string },
    said2: readonly string[] = [],
  ): MadeToken => ({
    id: `icon.${name}`,
    path: ['icon', name],
    tier: 'primitive',
    type: 'dimension',
    values: everyMode(value),
    trail: () => ({ decisions: [said], steps: said2 }),
  });
  const slugs = slugsOf(sizes);
  const slugOfStep = new Map([...steps].map(([id, { slug }]) => [id, slug]));
  const shift = label && capitalsShift(label.metrics, place);
  return [
    made('size', em(decided.size), {
      path: '/icons/size',
      label: 'size of icons',
      value: `${decided.size} em`,
    }),
    made(
      'stroke',
      { json: { value: decided.stroke, unit: 'px' }, css: `${decided.stroke}px` },
      { path: '/icons/stroke', label: 'stroke of icons', value: `${decided.stroke} px` },
    ),
    ...inOrder(sizes).map(([id, size]) => {
      const css = sizeCss(size, slugOfStep);
      // What the format has no unit for is told at the size of text that browsers begin with.
      const px = sizePx(size, ROOT_PX, steps);
      return made(
        `size-${slugs.get(id) ?? id}`,
        { json: { value: four(px / ROOT_PX), unit: 'rem' }, css, extension: { css } },
        {
          path: `/icons/sizes/items/${id}`,
          label: `icons, ${size.name}`,
          value: `${size.times} × ${size.of}`,
        },
      );
    }),
    made('gap', em(gap), {
      path: '/icons/gap',
      label: 'room between icon and words',
      value: `${gap} em`,
    }),
    ...(label && shift !== undefined
      ? [
          made(
            'shift',
            em(shift),
            {
              path: '/icons/place',
              label: 'place of icons',
              value: `middle of the ${place ?? 'capitals'}`,
            },
            [
              place === 'line'
                ? 'in the middle of the line'
                : `${label.name}: half of ascent ${label.metrics.ascent} less descent ${Math.abs(label.metrics.descent)}, less half of the capitals ${label.metrics.capHeight}: ${shift} em below the middle of the line`,
            ],
          ),
        ]
      : []),
  ];
}

/** The address of an icon as a mask. */
const imageOf = ({ drawing }: SystemIcon, drawn: Drawn): string =>
  svgAddress(writeSvg(drawing, drawn).replaceAll('currentcolor', '#000'));

/** The custom property that holds the mask of an icon, and of its second tone. */
export const imageProperty = (slug: string, tone?: 2): string =>
  `--sign-${slug}${tone === undefined ? '' : '-second'}`;

const isToned = ({ drawing }: SystemIcon): boolean =>
  drawing.shapes.some(({ tone }) => tone === 2) && drawing.shapes.some(({ tone }) => tone !== 2);

/** How a mask lies in its box. */
const MASKED = 'center / contain no-repeat';

/**
 * Classes of icons. An element with the classes `icon` and `icon-NAME` needs nothing in it: it is a mask in the color
 * of the words around it; an SVG with the class `icon` takes size, stroke and place.
 */
export function deriveIconRules(
  icons: ReadonlyMap<string, SystemIcon>,
  decided: Decided,
  colors: ReadonlyMap<string, { readonly slug: string }>,
): Rule[] {
  const { sizes, place, second, faint = USUAL_FAINT } = decided;
  const secondSlug = second === undefined ? undefined : colors.get(second)?.slug;
  const sizeSlugs = slugsOf(sizes);
  const all = [...icons.values()];
  const strokeOf = (icon: SystemIcon): Drawn =>
    usualStroke(icon.drawing) === undefined ? { faint } : { stroke: decided.stroke, faint };
  const apart = secondSlug === undefined ? [] : all.filter(isToned);
  return [
    {
      selector: '.icon',
      declarations: [
        ['flex', 'none'],
        ['inline-size', 'var(--icon-size)'],
        ['block-size', 'var(--icon-size)'],
        ['stroke-width', 'var(--icon-stroke)'],
        ['vertical-align', place === 'line' ? 'middle' : 'calc((1cap - var(--icon-size)) / 2)'],
      ],
    },
    {
      selector: '.icon:not(svg)',
      declarations: [
        ['display', 'inline-block'],
        ['background-color', 'currentcolor'],
        ['mask-position', 'center'],
        ['mask-size', 'contain'],
        ['mask-repeat', 'no-repeat'],
      ],
    },
    // A background goes where colors are forced; what is drawn with it stays, in the color of words.
    {
      selector: '.icon:not(svg)',
      within: '@media (forced-colors: active)',
      declarations: [
        ['forced-color-adjust', 'none'],
        ['background-color', 'CanvasText'],
      ],
    },
    {
      selector: 'button > .icon:not(svg)',
      within: '@media (forced-colors: active)',
      declarations: [['background-color', 'ButtonText']],
    },
    {
      selector: 'a > .icon:not(svg)',
      within: '@media (forced-colors: active)',
      declarations: [['background-color', 'LinkText']],
    },
    {
      selector: ':root',
      declarations: all.flatMap((icon) =>
        apart.includes(icon)
          ? [
              [imageProperty(icon.slug), imageOf(icon, { ...strokeOf(icon), tone: 1 })] as const,
              [imageProperty(icon.slug, 2), imageOf(icon, { ...strokeOf(icon), tone: 2 })] as const,
            ]
          : [[imageProperty(icon.slug), imageOf(icon, strokeOf(icon))] as const],
      ),
    },
    ...all.flatMap((icon): Rule[] => {
      const size = icon.decided?.size === undefined ? undefined : sizeSlugs.get(icon.decided.size);
      const color =
        icon.decided?.color === undefined ? undefined : colors.get(icon.decided.color)?.slug;
      const selector = `.icon-${icon.slug}`;
      const length = size === undefined ? undefined : `var(--icon-size-${size})`;
      const departs: Rule['declarations'] = [
        ...(length === undefined
          ? []
          : ([
              ['inline-size', length],
              ['block-size', length],
              ...(place === 'line'
                ? []
                : [['vertical-align', `calc((1cap - ${length}) / 2)`] as const]),
            ] as const)),
        ...(color === undefined ? [] : [['color', `var(--color-${color})`] as const]),
      ];
      const image = `var(${imageProperty(icon.slug)})`;
      if (!apart.includes(icon))
        return [{ selector, declarations: [['mask-image', image], ...departs] }];
      return [
        {
          selector: `.icon${selector}`,
          declarations: [
            ['display', 'inline-grid'],
            ['background-color', 'transparent'],
            ...departs,
          ],
        },
        ...(['before', 'after'] as const).map((part): Rule => ({
          selector: `${selector}::${part}`,
          declarations: [
            ['content', '""'],
            ['grid-area', '1 / 1'],
            [
              'background-color',
              part === 'after' ? 'currentcolor' : `var(--color-${secondSlug ?? ''})`,
            ],
            [
              'mask',
              `${part === 'after' ? image : `var(${imageProperty(icon.slug, 2)})`} ${MASKED}`,
            ],
          ],
        })),
      ];
    }),
  ];
}
