import { fontStack, hasItalic, nearestWeight, type FontFamily } from '../fonts/family.ts';
import { inOrder, type StyleDocument, type TextRole } from '../system/document.ts';
import { chosenFaces, faceFor, faceWords } from '../system/faces.ts';
import { everyMode, slugs, type TrailDecision, type Token } from '../tokens/token.ts';
import { fluidCss, fluidSize, type FluidSize } from '../type/fluid.ts';
import { letterSpacingOf, lineHeightOf } from '../type/line-height.ts';
import { placeName, sizeOfPlace } from '../type/scale.ts';
import type { Rule, StyleFace, TextStyle } from './derived.ts';
import { strongWeight } from './faces.ts';

type Fonts = StyleDocument['fonts'];
type Type = StyleDocument['type'];

const placeSlug = (place: number): string => placeName(place).replace(' ', '-');

const sizeAtPlace = ({ anchors, unit }: Type, place: number): FluidSize => {
  const at = ({ width, base, ratio }: Type['anchors']['narrow']) => ({
    widthPx: width,
    sizePx: sizeOfPlace(base, ratio, place),
  });
  return fluidSize(at(anchors.narrow), at(anchors.wide), unit);
};

function styleFace(fonts: Fonts, { face, weight }: TextRole, narrow: boolean): StyleFace {
  const { choice } = faceFor(fonts, face, narrow);
  const weightWanted = weight ?? choice.weight;
  return {
    family: choice.family,
    weightWanted,
    weight: nearestWeight(choice.family, weightWanted),
  };
}

/** The text roles: size from the place, weight from the face, line height from the size. */
export function deriveStyles(fonts: Fonts, type: Type): ReadonlyMap<string, TextStyle> {
  const slugOf = slugs(inOrder(type.roles).map(([id, { name }]) => [id, name]));
  return new Map(
    inOrder(type.roles).map(([id, role]) => {
      const usual = styleFace(fonts, role, false);
      const narrow = styleFace(fonts, role, true);
      const size = sizeAtPlace(type, role.place);
      const middlePx = ((size.minRem + size.maxRem) / 2) * 16;
      return [
        id,
        {
          id,
          name: role.name,
          slug: slugOf.get(id) ?? id,
          face: role.face,
          ...usual,
          ...(narrow.family.id !== usual.family.id || narrow.weight !== usual.weight
            ? { narrow }
            : undefined),
          place: role.place,
          size,
          lineHeight: lineHeightOf(middlePx),
          letterSpacing: letterSpacingOf(middlePx),
        },
      ];
    }),
  );
}

const px = (value: number): string => `${Number(value.toFixed(2))} px`;

const anchorDecisions = ({ anchors }: Type): TrailDecision[] =>
  (['narrow', 'wide'] as const).flatMap((end) => {
    const { width, base, ratio } = anchors[end];
    return [
      { path: `/type/anchors/${end}/width`, label: `${end} width`, value: px(width) },
      { path: `/type/anchors/${end}/base`, label: `base at ${px(width)}`, value: px(base) },
      { path: `/type/anchors/${end}/ratio`, label: `ratio at ${px(width)}`, value: String(ratio) },
    ];
  });

const sizeSteps = ({ anchors }: Type, place: number, size: FluidSize): string[] => [
  ...(['narrow', 'wide'] as const).map((end) => {
    const { width, base, ratio } = anchors[end];
    return `${base} px × ${ratio}^${place} = ${px(sizeOfPlace(base, ratio, place))} at ${px(width)}`;
  }),
  `a straight line between the two widths, at rest outside: ${fluidCss(size)}`,
];

const remJson = (rem: number) => ({ value: Number(rem.toFixed(4)), unit: 'rem' }) as const;

/** A stack as the open format writes it: plain names, without the quotes of CSS. */
const stackJson = (family: FontFamily): string[] =>
  fontStack(family)
    .split(', ')
    .map((name) => name.replaceAll('"', ''));

/** The reasons that were recorded for the faces, as one sentence. */
const reasonsOf = ({ because, note }: Fonts['reasons']): string =>
  [because.join(', '), note].filter((part) => part !== '').join('. ');

function faceTokens(fonts: Fonts): Token[] {
  const why = reasonsOf(fonts.reasons);
  const chosen = chosenFaces(fonts);
  return chosen
    .filter(({ narrow }) => !narrow)
    .map((used): Token => {
      const {
        face,
        choice: { family },
      } = used;
      const other = chosen.find((one) => one.narrow && one.face === face);
      return {
        id: `face.${face}`,
        path: ['face', face],
        tier: 'primitive',
        type: 'fontFamily',
        ...(why !== '' && { description: why }),
        values: everyMode({
          json: stackJson(family),
          css: fontStack(family),
          ...(other &&
            fonts.narrow && {
              extension: {
                narrow: {
                  below: { value: fonts.narrow.below, unit: 'px' },
                  value: stackJson(other.choice.family),
                },
              },
            }),
        }),
        trail: () => ({
          decisions: [used, ...(other ? [other] : [])].map((one) => ({
            path: `${one.path}/family`,
            label: faceWords(one),
            value: one.choice.family.name,
          })),
          steps: [`${family.name} ${family.version}, and what stands in until it has loaded`],
        }),
      };
    });
}

function scaleTokens(type: Type, styles: ReadonlyMap<string, TextStyle>): Token[] {
  const byPlace = new Map([...styles.values()].map(({ place, size }) => [place, size]));
  return [...byPlace]
    .sort(([one], [other]) => one - other)
    .map(([place, size]) => ({
      id: `scale.${placeSlug(place)}`,
      path: ['scale', placeSlug(place)],
      tier: 'primitive',
      type: 'dimension',
      values: everyMode({
        json: remJson(size.maxRem),
        css: fluidCss(size),
        ...(size.slope !== 0 && {
          extension: {
            fluid: {
              minimum: remJson(size.minRem),
              maximum: remJson(size.maxRem),
              base: remJson(size.baseRem),
              slope: size.slope,
              unit: size.unit,
            },
          },
        }),
      }),
      trail: () => ({ decisions: anchorDecisions(type), steps: sizeSteps(type, place, size) }),
    }));
}

function styleTokens(fonts: Fonts, type: Type, style: TextStyle): Token[] {
  const role = `/type/roles/items/${style.id}`;
  const path = (part: string): string[] => ['type', style.slug, part];
  const id = (part: string): string => path(part).join('.');
  const size = style.size;
  const placed: TrailDecision = {
    path: `${role}/place`,
    label: `place of ${style.name}`,
    value: placeName(style.place),
  };
  const middle = px(((size.minRem + size.maxRem) / 2) * 16);
  const sizeValue = {
    reference: `scale.${placeSlug(style.place)}`,
    json: remJson(size.maxRem),
    css: fluidCss(size),
  };
  const familyJson = stackJson(style.family);
  const { face, path: chosenAt, choice } = faceFor(fonts, style.face);
  return [
    {
      id: id('family'),
      path: path('family'),
      tier: 'semantic',
      type: 'fontFamily',
      values: everyMode({
        reference: `face.${face}`,
        json: familyJson,
        css: fontStack(style.family),
      }),
      trail: () => ({
        decisions: [
          { path: `${role}/face`, label: `face of ${style.name}`, value: style.face },
          {
            path: `${chosenAt}/family`,
            label: `${face} face`,
            value: style.family.name,
          },
        ],
        steps: [],
      }),
    },
    {
      id: id('weight'),
      path: path('weight'),
      tier: 'semantic',
      type: 'fontWeight',
      values: everyMode({ json: style.weight, css: String(style.weight) }),
      trail: () => ({
        decisions: [
          type.roles.items[style.id]?.weight === undefined
            ? {
                path: `${chosenAt}/weight`,
                label: `weight of the ${face} face`,
                value: String(choice.weight),
              }
            : {
                path: `${role}/weight`,
                label: `weight of ${style.name}`,
                value: String(style.weightWanted),
              },
        ],
        steps:
          style.weight === style.weightWanted
            ? []
            : [
                `${style.family.name} has no ${style.weightWanted}; ${style.weight} is the nearest it has`,
              ],
      }),
    },
    {
      id: id('size'),
      path: path('size'),
      tier: 'semantic',
      type: 'dimension',
      values: everyMode(sizeValue),
      trail: () => ({
        decisions: [placed, ...anchorDecisions(type)],
        steps: sizeSteps(type, style.place, size),
      }),
    },
    {
      id: id('line-height'),
      path: path('line-height'),
      tier: 'semantic',
      type: 'number',
      values: everyMode({ json: style.lineHeight, css: String(style.lineHeight) }),
      trail: () => ({
        decisions: [placed],
        steps: [
          `at ${middle}, midway: 1.55 up to 18 px, 1.06 from 72 px, falling with the logarithm between`,
        ],
      }),
    },
    {
      id: id('letter-spacing'),
      path: path('letter-spacing'),
      tier: 'semantic',
      type: 'dimension',
      values: everyMode({
        json: remJson(style.letterSpacing * size.maxRem),
        css: style.letterSpacing === 0 ? '0em' : `${style.letterSpacing}em`,
        extension: { em: style.letterSpacing },
      }),
      trail: () => ({
        decisions: [placed],
        steps: [`at ${middle}, midway: none up to 24 px, -0.022 em from 72 px, even between`],
      }),
    },
    {
      id: id('style'),
      path: path('style'),
      tier: 'semantic',
      type: 'typography',
      values: everyMode({
        json: {
          fontFamily: `{${id('family')}}`,
          fontSize: `{${id('size')}}`,
          fontWeight: `{${id('weight')}}`,
          letterSpacing: `{${id('letter-spacing')}}`,
          lineHeight: `{${id('line-height')}}`,
        },
      }),
      trail: () => ({ decisions: [placed], steps: ['the five tokens beside it, as one'] }),
    },
  ];
}

export const deriveTypeTokens = (
  fonts: Fonts,
  type: Type,
  styles: ReadonlyMap<string, TextStyle>,
): Token[] => [
  ...faceTokens(fonts),
  ...scaleTokens(type, styles),
  ...[...styles.values()].flatMap((style) => styleTokens(fonts, type, style)),
];

/** The weight of strong words in a text, and whether emphasis is italic: as the face has them. */
const emphasisRules = (slug: string, face: StyleFace, media?: string): Rule[] => [
  {
    selector: `.type-${slug} strong`,
    ...(media !== undefined && { media }),
    declarations: [['font-weight', String(strongWeight(face))]],
  },
  {
    selector: `.type-${slug} em`,
    ...(media !== undefined && { media }),
    declarations: [['font-style', hasItalic(face.family) ? 'italic' : 'normal']],
  },
];

/** What another pair changes on narrow screens: the faces, and the weights where they differ. */
function narrowRules(fonts: Fonts, styles: ReadonlyMap<string, TextStyle>): Rule[] {
  if (!fonts.narrow) return [];
  const media = `(width < ${fonts.narrow.below}px)`;
  const others = [...styles.values()].flatMap(({ slug, weight, narrow }) =>
    narrow ? [{ slug, narrow, weight }] : [],
  );
  return [
    {
      selector: ':root',
      media,
      declarations: [
        ...chosenFaces(fonts)
          .filter(({ narrow }) => narrow)
          .map(({ face, choice }) => [`--face-${face}`, fontStack(choice.family)] as const),
        ...others
          .filter(({ narrow, weight }) => narrow.weight !== weight)
          .map(({ slug, narrow }) => [`--type-${slug}-weight`, String(narrow.weight)] as const),
      ],
    },
    ...others.flatMap(({ slug, narrow }) => emphasisRules(slug, narrow, media)),
  ];
}

/** A class for each text role, and the weights that emphasis takes in it. */
export const deriveTypeRules = (fonts: Fonts, styles: ReadonlyMap<string, TextStyle>): Rule[] => [
  ...[...styles.values()].flatMap((style): Rule[] => {
    const { slug } = style;
    const property = (part: string): string => `var(--type-${slug}-${part})`;
    return [
      {
        selector: `.type-${slug}`,
        declarations: [
          ['font-family', property('family')],
          ['font-size', property('size')],
          ['font-weight', property('weight')],
          ['line-height', property('line-height')],
          ['letter-spacing', property('letter-spacing')],
        ],
      },
      ...emphasisRules(slug, style),
    ];
  }),
  ...narrowRules(fonts, styles),
];
