import type { Hex } from '../color/srgb.ts';
import { LEVELS } from '../image/veil.ts';
import type { ThemeVerdict } from '../image/judge-veil.ts';
import { MIDDLE, type Point } from '../image/veil.ts';
import type { Mode, StyleDocument, Veil } from '../system/document.ts';
import { settingVeil, veilIn } from '../system/veils.ts';
import type { Finding, Repair } from './finding.ts';
import type { Measurement } from './measurement.ts';

/** What a text over a picture comes to, at one width and in one theme. */
export interface JudgedText {
  /** The page that it is on, by id. */
  readonly page: string;
  readonly screenPx: number;
  readonly mode: Mode;
  /** The text role, by id. */
  readonly text: string;
  readonly ink: Hex;
  readonly needed: number;
  /** The lowest contrast under it, and the share of its pixels that pass, 0 to 1. */
  readonly lowest: number;
  readonly passing: number;
}

/** A picture with all the texts over it, on every page, at every width and in every theme. */
export interface JudgedPicture {
  /** The veil between the picture and the words, by id. */
  readonly veil: string;
  /** What the picture is on the pages; what a page opens with where absent. */
  readonly role?: 'opening' | 'background';
  /** What selects it on the pages. */
  readonly selector: string;
  readonly texts: readonly JudgedText[];
  /** How each theme is helped where texts fall short in it. */
  readonly themes: Readonly<Partial<Record<Mode, ThemeVerdict>>>;
  /** Its pixels could not be read: nothing is known of the words over it. */
  readonly isUnread?: true;
  /** Another crop point at which every text reads in every theme. */
  readonly crop?: Point | undefined;
  /** Whether every text reads in every theme where the words stand at the other end of the picture. */
  readonly otherEnd?: boolean;
}

/** What is judged over pictures holds until anything changes that moves words or colors. */
export const measuredPictures: Measurement = {
  reads: ({ name, brief, content, fonts, type, color, space, layout, shape, components }) => [
    name,
    brief,
    content,
    fonts,
    type,
    color,
    space,
    layout,
    shape,
    components,
  ],
  outlives: true,
};

const percent = (share: number): string => `${Number((share * 100).toFixed(1))} %`;

/** What helps in one theme: the least veil, and another color of the text where that needs less. */
function waysFor(
  id: string,
  veil: Veil,
  mode: Mode,
  { least, ink }: ThemeVerdict,
  roles: StyleDocument['color']['roles']['items'],
): readonly Repair[] {
  const now = veilIn(veil, mode);
  const nameOf = (role: string): string => roles[role]?.name ?? role;
  return [
    ...(least === undefined || least === now.strength
      ? []
      : [
          {
            label: `Veil of ${least} in ${mode}`,
            patch: settingVeil(id, veil, [mode], { strength: least }),
            before: `${now.strength} of ${LEVELS}`,
            after: `${least} of ${LEVELS}, the least at which all read in ${mode}`,
          },
        ]),
    ...(ink === undefined
      ? []
      : [
          {
            label: `Text in ${nameOf(ink.id)}, veil of ${ink.strength} in ${mode}`,
            patch: settingVeil(id, veil, [mode], { ink: ink.id, strength: ink.strength }),
            before: `${nameOf(now.ink)}, ${now.strength} of ${LEVELS}`,
            after: `${nameOf(ink.id)}, ${ink.strength} of ${LEVELS}: the text with the least veil`,
          },
        ]),
  ];
}

const where = ({ x, y }: Point): string =>
  `${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down`;

/** What helps in every theme at once: another crop point, another place for the words. */
const waysOfPlace = (
  id: string,
  { crop: now, atHead }: Veil,
  { crop, otherEnd = false }: Pick<JudgedPicture, 'crop' | 'otherEnd'>,
): readonly Repair[] => [
  ...(crop
    ? [
        {
          label: `Keep ${where(crop)} in view`,
          patch: [
            { op: 'add', path: `/color/veils/items/${id}/crop`, value: { ...crop } },
          ] as const,
          before: where(now ?? MIDDLE),
          after: `${where(crop)}: every text reads there`,
        },
      ]
    : []),
  ...(otherEnd
    ? [
        {
          label: `Words at the ${atHead ? 'foot' : 'head'}`,
          patch: [
            atHead
              ? ({ op: 'remove', path: `/color/veils/items/${id}/atHead` } as const)
              : ({ op: 'add', path: `/color/veils/items/${id}/atHead`, value: true } as const),
          ],
          before: `at the ${atHead ? 'head' : 'foot'} of the picture`,
          after: `at the ${atHead ? 'foot' : 'head'}: every text reads there`,
        },
      ]
    : []),
];

/** The texts over pictures of which too many pixels fall short: one finding for each picture and theme. */
export const checkPictures = (
  pictures: readonly JudgedPicture[],
  { color, type }: Pick<StyleDocument, 'color' | 'type'>,
): readonly Finding[] =>
  pictures.flatMap(({ veil: id, role, selector, texts, themes, crop, otherEnd, isUnread }) => {
    const veil = Object.hasOwn(color.veils.items, id) ? color.veils.items[id] : undefined;
    if (!veil) return [];
    if (isUnread)
      return [
        {
          id: `over-picture-unread:${id}`,
          severity: 'repair',
          area: 'color',
          decision: `/color/veils/items/${id}/picture`,
          title: `Words over ${veil.name} could not be judged`,
          figures: `${veil.picture.file} could not be read`,
          reason:
            'A picture that cannot be read here may not be seen elsewhere, and the words over it may not read.',
          source: 'judged on the pixels of the picture under each text',
          where: { selector },
        },
      ];
    const failing = texts.filter(({ passing }) => passing < veil.pixels);
    return [...new Set(failing.map(({ mode }) => mode))].map((mode): Finding => {
      const own = failing.filter((one) => one.mode === mode);
      const [worst] = own.toSorted(
        (one, other) => one.lowest / one.needed - other.lowest / other.needed,
      );
      const names = [...new Set(own.map(({ text }) => type.roles.items[text]?.name ?? text))];
      const widths = new Set(own.map(({ screenPx }) => screenPx));
      const verdict = themes[mode];
      const [repair, ...ways] = [
        ...(verdict ? waysFor(id, veil, mode, verdict, color.roles.items) : []),
        ...waysOfPlace(id, veil, { crop, ...(otherEnd !== undefined && { otherEnd }) }),
      ];
      return {
        id: `over-picture:${id}:${mode}${role === 'background' ? ':background' : ''}`,
        severity: 'repair',
        area: 'color',
        decision: `/color/veils/items/${id}/strength`,
        title: `Words over ${veil.name} fall short in ${mode}`,
        figures: worst
          ? `${worst.lowest.toFixed(2)} of ${worst.needed} for ${type.roles.items[worst.text]?.name ?? worst.text} at ${worst.screenPx} px, where ${percent(worst.passing)} of its pixels pass and ${percent(veil.pixels)} are to; ${names.join(', ')} at ${widths.size} ${widths.size === 1 ? 'width' : 'widths'}`
          : '',
        reason: 'A picture is light in one place and dark in another, and words need both to read.',
        source: 'judged on the pixels of the picture under each text; WCAG 2.2, 1.4.3',
        where: {
          selector,
          mode,
          ...(worst && { widthPx: worst.screenPx, page: worst.page }),
        },
        ...(repair && { repair }),
        ...(ways.length > 0 && { ways }),
      };
    });
  });
