import { LEVELS, veilCss, WHOLE_UNTIL } from '../../image/veil.ts';
import { isHex, type Hex } from '../../color/srgb.ts';
import { inOrder, MODES, type Mode, type StyleDocument, type Veil } from '../../system/document.ts';
import { propertyOfPath, type MadeToken, type TokenValue } from '../../tokens/token.ts';
import { colorJson } from './color-json.ts';
import type { DerivedColorRole, Rule, TextStyle } from '../derived.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

/** The color of a veil in a mode: its own, or that of a role. */
export const veilColor = (
  { color }: Veil,
  roles: ReadonlyMap<string, DerivedColorRole>,
  mode: Mode,
): Hex => (isHex(color) ? color : (roles.get(color)?.colors[mode] ?? '#000000'));

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
  return inOrder(veils).flatMap(([id, { boxes, ink: inkRole }]): Rule[] => {
    const slug = slugOf.get(id) ?? id;
    const role = roles.get(inkRole);
    const ink = `var(${propertyOfPath(['color', role?.slug ?? ''])})`;
    const texts = [...new Set(inOrder(boxes).map(([, { text }]) => text))].flatMap((text) => {
      const style = styles.get(text);
      return style ? [`.over-${slug} .type-${style.slug}`] : [];
    });
    return [
      {
        selector: `.veil-${slug}`,
        declarations: [['background-image', `var(${propertyOfPath(['veil', slug])})`]],
      },
      ...(role
        ? [
            ...(texts.length > 0
              ? [{ selector: texts.join(', '), declarations: [['color', ink]] } as const]
              : []),
          ]
        : []),
    ];
  });
}

/** The token of a veil: a gradient to be laid between a picture and the text on it. */
export function veilToken(
  id: string,
  slug: string,
  veil: Veil,
  roles: ReadonlyMap<string, DerivedColorRole>,
): MadeToken {
  const { name, side, strength, pixels, ink } = veil;
  const value = (mode: Mode): TokenValue => {
    const color = veilColor(veil, roles, mode);
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
          value: `${strength} of 255`,
        },
      ],
      steps: [
        `${Math.round(pixels * 1000) / 10} % of the pixels under every box pass in ${roles.get(ink)?.name ?? ink}`,
        ...MODES.map((mode) => `${mode}: ${veilColor(veil, roles, mode)}, ${side}`),
      ],
    }),
  };
}
