import { fontStack, hasItalic } from '../../fonts/family.ts';
import type { StyleDocument, TextRole } from '../../system/document.ts';
import { chosenFaces } from '../../system/faces.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { Rule, StyleFace, TextSetting, TextStyle } from '../derived.ts';
import { setIn } from '../structure.ts';
import { strongWeight } from './faces.ts';

type Fonts = StyleDocument['fonts'];
type Type = StyleDocument['type'];

/** The weight of strong words in a text, and whether emphasis is italic: as the face has them. */
const emphasisRules = (slug: string, face: StyleFace, within?: string): Rule[] => [
  {
    selector: `.type-${slug} strong`,
    ...(within !== undefined && { within }),
    declarations: [['font-weight', String(strongWeight(face))]],
  },
  {
    selector: `.type-${slug} em`,
    ...(within !== undefined && { within }),
    declarations: [['font-style', hasItalic(face.family) ? 'italic' : 'normal']],
  },
];

/** What another pair changes on narrow screens: the faces, and the weights where they differ. */
export function narrowRules(fonts: Fonts, styles: ReadonlyMap<string, TextSetting>): Rule[] {
  if (!fonts.narrow) return [];
  const within = `@media (width < ${fonts.narrow.below}px)`;
  const others = [...styles.values()].flatMap(({ slug, weight, narrow }) =>
    narrow ? [{ slug, narrow, weight }] : [],
  );
  return [
    {
      selector: ':root',
      within,
      declarations: [
        ...chosenFaces(fonts)
          .filter(({ narrow }) => narrow)
          .map(({ face, choice }) => [`--face-${face}`, fontStack(choice.family)] as const),
        ...others
          .filter(({ narrow, weight }) => narrow.weight !== weight)
          .map(({ slug, narrow }) => [`--type-${slug}-weight`, String(narrow.weight)] as const),
      ],
    },
    ...others.flatMap(({ slug, narrow }) => emphasisRules(slug, narrow, within)),
  ];
}

const NUMERIC = {
  tabular: 'tabular-nums',
  oldstyle: 'oldstyle-nums',
  lining: 'lining-nums',
} as const;

/** What a role decides beside its face and its size, each only where it does. */
const ownDeclarations = (role: TextRole | undefined, style: TextSetting): Rule['declarations'] => [
  ...(role?.style === 'italic' && hasItalic(style.family)
    ? [['font-style', 'italic'] as const]
    : []),
  ...(role?.case ? [['text-transform', role.case] as const] : []),
  ...(role?.figures ? [['font-variant-numeric', NUMERIC[role.figures]] as const] : []),
  ...(role?.align ? [['text-align', role.align] as const] : []),
  ...(role?.longest === undefined
    ? []
    : [['max-inline-size', `var(--type-${style.slug}-longest)`] as const]),
  ...(role?.after === undefined
    ? []
    : [['margin-block-end', `var(--type-${style.slug}-after)`] as const]),
];

/** Line heights as multiples of a baseline unit, where the browser can round; else they stay as they are. */
export function baselineRules(
  baseline: Type['baseline'],
  root: number,
  styles: ReadonlyMap<string, Pick<TextStyle, 'slug' | 'lineHeight'>>,
): Rule[] {
  if (baseline === undefined) return [];
  const unit = `${Number((baseline / ROOT_PX / root).toFixed(4))}rem`;
  return [
    {
      selector: ':root',
      within: '@supports (line-height: round(up, 1em, 1px))',
      declarations: [...styles.values()].map(
        ({ slug, lineHeight }) =>
          [`--type-${slug}-line-height`, `round(up, ${lineHeight}em, ${unit})`] as const,
      ),
    },
  ];
}

/** A class for each text role, and the weights that emphasis takes in it. */
export const deriveTypeRules = (
  roles: Type['roles'],
  styles: ReadonlyMap<string, TextSetting>,
): Rule[] =>
  [...styles.values()].flatMap((style): Rule[] => {
    const { slug } = style;
    const property = (part: string): string => `var(--type-${slug}-${part})`;
    return [
      {
        selector: [`.type-${slug}`, ...setIn(style.id)].join(', '),
        declarations: [
          ['font-family', property('family')],
          ['font-size', property('size')],
          ['font-weight', property('weight')],
          ['line-height', property('line-height')],
          ['letter-spacing', property('letter-spacing')],
          ...ownDeclarations(roles.items[style.id], style),
        ],
      },
      ...emphasisRules(slug, style),
    ];
  });
