import { fontStack, type FontFamily } from '../../fonts/family.ts';
import {
  reasonName,
  inOrder,
  type Anchor,
  type StyleDocument,
  type TextRole,
} from '../../system/document.ts';
import { once } from '../../once.ts';
import { chosenFaces, faceFor, faceWords } from '../../system/faces.ts';
import {
  everyMode,
  type MadeToken,
  type TokenValue,
  type TrailDecision,
} from '../../tokens/token.ts';
import { fluidCss, lengthJson, type FluidSize } from '../../type/fluid.ts';
import { columnEm } from '../../type/line-length.ts';
import { placeName, placeSlug } from '../../type/scale.ts';
import type { SpaceStep, TextStyle } from '../derived.ts';
import { fluidValue } from '../space/lengths.ts';
import { stepValue } from '../space/space.ts';
import { middlePx, settingOf, sizeAtAnchor, sizeOfPlaceIn } from './styles.ts';

type Steps = ReadonlyMap<string, SpaceStep>;
type Fonts = StyleDocument['fonts'];
type Type = StyleDocument['type'];

const px = (value: number): string => `${Number(value.toFixed(2))} px`;

const anchorDecisions = ({ anchors, scale }: Type): TrailDecision[] =>
  inOrder(anchors).flatMap(([id, { width, base, ratio, second = ratio }]) => {
    const path = `/type/anchors/items/${id}`;
    return [
      { path: `${path}/width`, label: `${id} width`, value: px(width) },
      { path: `${path}/base`, label: `base at ${px(width)}`, value: px(base) },
      { path: `${path}/ratio`, label: `ratio at ${px(width)}`, value: String(ratio) },
      ...(scale === 'two ratios'
        ? [
            {
              path: `${path}/second`,
              label: `second ratio at ${px(width)}`,
              value: String(second),
            },
          ]
        : []),
    ];
  });

/** How a size comes about at one anchor, in a line. */
function anchorStep(type: Type, anchor: Anchor, place: number): string {
  const { base, ratio, second = ratio, sizes = {}, width } = anchor;
  const result = `${px(sizeAtAnchor(type, anchor, place))} at ${px(width)}`;
  const rounded = type.rounding === 'none' ? '' : `, rounded to ${type.rounding}`;
  if (type.scale === 'by hand' && Object.hasOwn(sizes, String(place))) return `by hand: ${result}`;
  if (type.scale !== 'two ratios' || place === 0)
    return `${base} px × ${ratio}^${place} = ${result}${rounded}`;
  return `${base} px, ${ratio} and ${second} in turn, ${placeName(place)} = ${result}${rounded}`;
}

const flowStep = (size: FluidSize): string =>
  `straight between the widths, at rest outside: ${fluidCss(size)}`;

const sizeSteps = (type: Type, place: number, size: FluidSize): string[] => [
  ...inOrder(type.anchors).map(([, anchor]) => anchorStep(type, anchor, place)),
  flowStep(size),
];

/** A stack as the open format writes it: plain names, without the quotes of CSS. */
const stackJson = once((family: FontFamily): readonly string[] =>
  fontStack(family)
    .split(', ')
    .map((name) => name.replaceAll('"', '')),
);

/** The reasons that were recorded for the faces, as one sentence. */
const reasonsOf = ({ because, note }: Fonts['reasons']): string =>
  [because.map(reasonName).join(', '), note].filter((part) => part !== '').join('. ');

export function deriveFaceTokens(fonts: Fonts): MadeToken[] {
  const why = reasonsOf(fonts.reasons);
  const chosen = chosenFaces(fonts);
  return chosen
    .filter(({ narrow }) => !narrow)
    .map((used): MadeToken => {
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

export function deriveScaleTokens(type: Type, styles: ReadonlyMap<string, TextStyle>): MadeToken[] {
  const all = [...styles.values()];
  const known = new Map(
    all.filter(({ ownSize }) => !ownSize).map(({ place, size }) => [place, size]),
  );
  const places = new Set(all.map(({ place }) => place));
  return [...places]
    .sort((one, other) => one - other)
    .map((place) => {
      const size = known.get(place) ?? sizeOfPlaceIn(type, place);
      return {
        id: `scale.${placeSlug(place)}`,
        path: ['scale', placeSlug(place)],
        tier: 'primitive',
        type: 'dimension',
        values: everyMode(fluidValue(size)),
        trail: () => ({ decisions: anchorDecisions(type), steps: sizeSteps(type, place, size) }),
      };
    });
}

const chosen = (path: string, label: string, value: string | number): TrailDecision => ({
  path,
  label,
  value: String(value),
});

/** What else a role decides of its size: unit, container, lines. */
function ownDecisions(
  path: string,
  { name }: TextStyle,
  role: TextRole | undefined,
): TrailDecision[] {
  const { unit, container, fit } = role ?? {};
  return [
    ...(unit ? [chosen(`${path}/unit`, `unit of ${name}`, unit.length)] : []),
    ...(container
      ? [
          chosen(
            `${path}/container`,
            `container of ${name}`,
            `${container.from} to ${container.to} px`,
          ),
        ]
      : []),
    ...(fit
      ? [chosen(`${path}/fit`, `lines of ${name}`, `${fit.lines}, ${fit.least} px at least`)]
      : []),
  ];
}

/** The same in words, as steps of the calculation. */
function ownSteps(role: TextRole | undefined): string[] {
  const { unit, container, fit } = role ?? {};
  return [
    ...(fit
      ? [
          `no larger than lets the site’s words stand in ${fit.lines} ${fit.lines === 1 ? 'line' : 'lines'}, by the letter widths of the face; never under ${fit.least} px`,
        ]
      : []),
    ...(container
      ? [
          `flows while its container grows from ${container.from} to ${container.to} px; an element around it has container-type: inline-size`,
        ]
      : []),
    ...(unit ? [`in ${unit.length}, because: ${unit.because || 'no reason is given'}`] : []),
  ];
}

/** A length in em; the open format has rem, and gets what it is at the largest size. */
const emValue = (em: number, size: FluidSize): TokenValue => ({
  json: lengthJson(em * size.maxRem, size.written),
  css: `${em}em`,
  extension: { em },
});

/** The space below a text and its longest line, where they are decided. */
function roomTokens(
  role: TextRole | undefined,
  style: TextStyle,
  steps: Steps,
  root: number,
): MadeToken[] {
  const path = (part: string): string[] => ['type', style.slug, part];
  const id = (part: string): string => `type.${style.slug}.${part}`;
  const at = `/type/roles/items/${style.id}`;
  const step = role?.after === undefined ? undefined : steps.get(role.after);
  const longest = role?.longest;
  return [
    ...(step
      ? [
          {
            id: id('after'),
            path: path('after'),
            tier: 'semantic',
            type: 'dimension',
            values: everyMode({ reference: `step.${step.slug}`, ...stepValue(step, root) }),
            trail: () => ({
              decisions: [chosen(`${at}/after`, `space after ${style.name}`, step.name)],
              steps: [],
            }),
          } satisfies MadeToken,
        ]
      : []),
    ...(longest === undefined
      ? []
      : [
          {
            id: id('longest'),
            path: path('longest'),
            tier: 'semantic',
            type: 'dimension',
            values: everyMode(emValue(columnEm(longest, style.letterWidth), style.size)),
            trail: () => ({
              decisions: [chosen(`${at}/longest`, `longest line of ${style.name}`, longest)],
              steps: [
                `${longest} characters × ${style.letterWidth.toFixed(4)} em, the mean width of one in ${style.family.name}, and what ragged ends lose`,
              ],
            }),
          } satisfies MadeToken,
        ]),
  ];
}

function styleTokens(fonts: Fonts, type: Type, style: TextStyle): MadeToken[] {
  const role = `/type/roles/items/${style.id}`;
  const path = (part: string): string[] => ['type', style.slug, part];
  const id = (part: string): string => `type.${style.slug}.${part}`;
  const size = style.size;
  const placed: TrailDecision = {
    path: `${role}/place`,
    label: `place of ${style.name}`,
    value: placeName(style.place),
  };
  const middle = px(middlePx(size));
  /** What was decided of all texts that are set alike. */
  const setDecisions = (part: 'line' | 'spacing', unit: string): readonly TrailDecision[] => {
    const of = settingOf(style);
    const value = type.set?.[of]?.[part];
    const what = part === 'line' ? 'line height' : 'letter spacing';
    return value === undefined
      ? []
      : [
          chosen(
            `/type/set/${of}/${part}`,
            `${what} of all ${of === 'heading' ? 'headings' : 'texts'}`,
            `${value} ${unit}`,
          ),
        ];
  };
  const decided = type.roles.items[style.id];
  const sizeValue = {
    ...(!style.ownSize && { reference: `scale.${placeSlug(style.place)}` }),
    ...fluidValue(size),
  };
  const ownSizes = inOrder(type.anchors).flatMap(([anchor, { width }]) => {
    const own = decided?.sizes?.[anchor];
    return own === undefined
      ? []
      : [chosen(`${role}/sizes/${anchor}`, `${style.name} at ${px(width)}`, px(own))];
  });
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
        decisions: [
          placed,
          ...ownSizes,
          ...ownDecisions(role, style, decided),
          ...anchorDecisions(type),
        ],
        steps: style.ownSize
          ? [
              ...ownSteps(decided),
              ...ownSizes.map(({ label, value }) => `${label}: ${value}, not that of its place`),
              flowStep(size),
            ]
          : sizeSteps(type, style.place, size),
      }),
    },
    {
      id: id('line-height'),
      path: path('line-height'),
      tier: 'semantic',
      type: 'number',
      values: everyMode({ json: style.lineHeight, css: String(style.lineHeight) }),
      trail: () =>
        decided?.lineHeight === undefined
          ? {
              decisions: [placed, ...setDecisions('line', '×')],
              steps: [
                `at ${middle}, midway: 1.55 up to 18 px, 1.06 from 72 px, falling with the logarithm between`,
                `for small letters of ${style.family.metrics.xHeight.toFixed(3)} em and lines of ${decided?.longest ?? 66} characters`,
              ],
            }
          : {
              decisions: [
                chosen(`${role}/lineHeight`, `line height of ${style.name}`, decided.lineHeight),
              ],
              steps: [],
            },
    },
    {
      id: id('letter-spacing'),
      path: path('letter-spacing'),
      tier: 'semantic',
      type: 'dimension',
      values: everyMode(emValue(style.letterSpacing, size)),
      trail: () =>
        decided?.letterSpacing === undefined
          ? {
              decisions: [placed, ...setDecisions('spacing', 'em')],
              steps: [
                `at ${middle}, midway: none from 13 to 24 px, -0.022 em from 72 px, even between${
                  decided?.case === 'uppercase' ? '; more for capitals' : ''
                }`,
              ],
            }
          : {
              decisions: [
                chosen(
                  `${role}/letterSpacing`,
                  `letter spacing of ${style.name}`,
                  `${decided.letterSpacing} em`,
                ),
              ],
              steps: [],
            },
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

export const deriveStyleTokens = (
  fonts: Fonts,
  type: Type,
  styles: ReadonlyMap<string, TextStyle>,
): MadeToken[] => [...styles.values()].flatMap((style) => styleTokens(fonts, type, style));

/** The space below texts and their longest lines. */
export const deriveRoomTokens = (
  roles: Type['roles'],
  styles: ReadonlyMap<string, TextStyle>,
  steps: Steps,
  root: number,
): MadeToken[] =>
  [...styles.values()].flatMap((style) => roomTokens(roles.items[style.id], style, steps, root));
