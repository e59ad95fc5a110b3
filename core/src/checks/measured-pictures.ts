import type { Hex } from '../color/srgb.ts';
import { LEVELS } from '../image/veil.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import type { Finding } from './finding.ts';
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
  /** What selects it on the pages. */
  readonly selector: string;
  readonly texts: readonly JudgedText[];
  /** The least strength (0 to 255) at which every text passes everywhere; none where no strength does. */
  readonly least: number | undefined;
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

/** The texts over pictures of which too many pixels fall short: one finding for each picture and theme. */
export const checkPictures = (
  pictures: readonly JudgedPicture[],
  { color, type }: Pick<StyleDocument, 'color' | 'type'>,
): readonly Finding[] =>
  pictures.flatMap(({ veil: id, selector, texts, least }) => {
    const veil = Object.hasOwn(color.veils.items, id) ? color.veils.items[id] : undefined;
    if (!veil) return [];
    const failing = texts.filter(({ passing }) => passing < veil.pixels);
    return [...new Set(failing.map(({ mode }) => mode))].map((mode): Finding => {
      const own = failing.filter((one) => one.mode === mode);
      const [worst] = own.toSorted(
        (one, other) => one.lowest / one.needed - other.lowest / other.needed,
      );
      const names = [...new Set(own.map(({ text }) => type.roles.items[text]?.name ?? text))];
      const widths = new Set(own.map(({ screenPx }) => screenPx));
      const path = `/color/veils/items/${id}/strength`;
      return {
        id: `over-picture:${id}:${mode}`,
        severity: 'repair',
        area: 'color',
        decision: path,
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
        ...(least !== undefined &&
          least !== veil.strength && {
            repair: {
              label: `Veil of ${least} of ${LEVELS}`,
              patch: [{ op: 'replace', path, value: least }],
              before: `${veil.strength} of ${LEVELS}`,
              after: `${least} of ${LEVELS}, the least at which all read in every theme`,
            },
          }),
      };
    });
  });
