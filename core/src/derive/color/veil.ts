import { LEVELS, veilCss, WHOLE_UNTIL } from '../../image/veil.ts';
import { isHex, type Hex } from '../../color/srgb.ts';
import { veilIn } from '../../system/veils.ts';
import { inOrder, MODES, type Mode, type StyleDocument, type Veil } from '../../system/document.ts';
import { propertyOfPath, type MadeToken, type TokenValue } from '../../tokens/token.ts';
import { colorJson } from './color-json.ts';
import type { DerivedColorRole, Rule, TextStyle } from '../derived.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

/** The color of a veil in a mode: its own, or that of a role. */
export function veilColor(
  veil: Veil,
  roles: ReadonlyMap<string, Pick<DerivedColorRole, 'colors'>>,
  mode: Mode,
): Hex {
  const { color } = veilIn(veil, mode);
  return isHex(color) ? color : (roles.get(color)?.colors[mode] ?? '#000000');
}

/** Whether the text is in another role from theme to theme. */
const changesInk = ({ ink, dark }: Veil): boolean => dark?.ink !== undefined && dark.ink !== ink;

/** The color of the text over a picture as the sheet says it; nothing where its role is gone. */
export function veilInk(
  veil: Veil,
  slug: string,
  roles: ReadonlyMap<string, Pick<DerivedColorRole, 'slug'>>,
): string | undefined {
  if (changesInk(veil)) return `var(${propertyOfPath(['veil-ink', slug])})`;
  const role = roles.get(veil.ink);
  return role && `var(${propertyOfPath(['color', role.slug])})`;
}

/** The slug of a veil among the others. */
export const veilSlugs = (veils: StyleDocument['color']['veils']): ReadonlyMap<string, string> =>
  slugsOf(veils);

/** A class for every veil, and the color of the texts that stand over its picture. */
export function deriveVeilRules(
  veils: StyleDocument['color']['veils'],
  roles: ReadonlyMap<string, Pick<DerivedColorRole, 'slug'>>,
  styles: ReadonlyMap<string, Pick<TextStyle, 'slug'>>,
): Rule[] {
  const slugOf = veilSlugs(veils);
  return inOrder(veils).flatMap(([id, veil]): Rule[] => {
    const { boxes, crop, atHead } = veil;
    const slug = slugOf.get(id) ?? id;
    const ink = veilInk(veil, slug, roles);
    const texts = [...new Set(inOrder(boxes).map(([, { text }]) => text))].flatMap((text) => {
      const style = styles.get(text);
      return style ? [`.over-${slug} .type-${style.slug}`] : [];
    });
    return [
      {
        selector: `.veil-${slug}`,
        declarations: [['background-image', `var(${propertyOfPath(['veil', slug])})`]],
      },
      ...(crop
        ? [
            {
              selector: `.over-${slug} > .hero-picture, .over-${slug} > .ground-picture`,
              declarations: [['object-position', `${shareCss(crop.x)} ${shareCss(crop.y)}`]],
            } as const,
          ]
        : []),
      ...(atHead
        ? [
            {
              selector: `.over-picture.over-${slug}:not(.picture-band)`,
              declarations: [['grid-template-rows', 'auto minmax(19rem, 1fr)']],
            } as const,
            {
              selector: `.over-${slug} > .hero-words`,
              declarations: [['grid-row', '1']],
            } as const,
          ]
        : []),
      ...(ink !== undefined && texts.length > 0
        ? [{ selector: texts.join(', '), declarations: [['color', ink]] } as const]
        : []),
    ];
  });
}

const shareCss = (share: number): string => `${Number((share * 100).toFixed(2))}%`;

/** The color of the text over a picture, where it is in another role from theme to theme. */
export function veilInkTokens(
  id: string,
  slug: string,
  veil: Veil,
  roles: ReadonlyMap<string, DerivedColorRole>,
): readonly MadeToken[] {
  if (!changesInk(veil)) return [];
  const value = (mode: Mode): TokenValue => {
    const role = roles.get(veilIn(veil, mode).ink);
    const color = role?.colors[mode] ?? '#000000';
    return {
      ...(role && { reference: `color.${role.slug}` }),
      json: colorJson(color),
      css: color,
    };
  };
  return [
    {
      id: `veil-ink.${slug}`,
      path: ['veil-ink', slug],
      tier: 'semantic',
      type: 'color',
      values: { light: value('light'), dark: value('dark') },
      trail: () => ({
        decisions: MODES.map((mode) => ({
          path: `/color/veils/items/${id}${mode === 'dark' ? '/dark' : ''}/ink`,
          label: `text over ${veil.name} in ${mode}`,
          value: roles.get(veilIn(veil, mode).ink)?.name ?? veilIn(veil, mode).ink,
        })),
        steps: [],
      }),
    },
  ];
}

/** The token of a veil: a gradient to be laid between a picture and the text on it. */
export function veilToken(
  id: string,
  slug: string,
  veil: Veil,
  roles: ReadonlyMap<string, DerivedColorRole>,
): MadeToken {
  const { name, side, pixels } = veil;
  const value = (mode: Mode): TokenValue => {
    const color = veilColor(veil, roles, mode);
    const { strength } = veilIn(veil, mode);
    return {
      json: [
        {
          color: colorJson(color, Number((strength / LEVELS).toFixed(4))),
          position: side === 'all over' ? 0 : WHOLE_UNTIL,
        },
        {
          color: colorJson(color, side === 'all over' ? Number((strength / LEVELS).toFixed(4)) : 0),
          position: 1,
        },
      ],
      css: veilCss({ color, side, strength }),
      extension: { color, side, strength: strength / 255 },
    };
  };
  return {
    id: `veil.${slug}`,
    path: ['veil', slug],
    tier: 'semantic',
    type: 'gradient',
    values: { light: value('light'), dark: value('dark') },
    trail: () => ({
      decisions: [
        {
          path: `/color/veils/items/${id}/strength`,
          label: `veil of ${name}`,
          value: `${veil.strength} of 255`,
        },
        ...(veil.dark?.strength === undefined
          ? []
          : [
              {
                path: `/color/veils/items/${id}/dark/strength`,
                label: `veil of ${name} in dark`,
                value: `${veil.dark.strength} of 255`,
              },
            ]),
      ],
      steps: [
        `${Math.round(pixels * 1000) / 10} % of the pixels under every text have to pass`,
        ...MODES.map((mode) => {
          const { ink, strength } = veilIn(veil, mode);
          return `${mode}: ${veilColor(veil, roles, mode)} ${side}, ${strength} of 255, text in ${roles.get(ink)?.name ?? ink}`;
        }),
      ],
    }),
  };
}
