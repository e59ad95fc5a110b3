import { hasItalic, nearestWeight } from '../../fonts/family.ts';
import { firstBytes, neededFiles } from '../../fonts/files.ts';
import { standInFor } from '../../fonts/stand-in.ts';
import type { StyleDocument } from '../../system/document.ts';
import type { DeliveredFace, StyleFace, TextSetting } from '../derived.ts';

const BOLD = 700;

/** The weight of strong words in a text: bold, or the text's own where that is heavier. */
export const strongWeight = ({ family, weight }: StyleFace): number =>
  nearestWeight(family, Math.max(BOLD, weight));

/**
 * The families in use, each with the files that hold the weights of its text roles, of the strong and
 * the emphasized words in running text, in the scripts that the languages need.
 */
export function deriveFaces(
  styles: ReadonlyMap<string, TextSetting>,
  languages: StyleDocument['brief']['languages'],
  hasEmphasis: boolean,
): readonly DeliveredFace[] {
  const all = [...styles.values()];
  const uses = [
    ...all.map((style) => ({ ...style, onNarrow: false })),
    ...all.map((style) => ({ ...style, ...style.narrow, onNarrow: true })),
  ];
  const families = new Map(uses.map(({ family }) => [family.id, family]));
  return [...families.values()].map((family) => {
    const own = uses.filter((use) => use.family.id === family.id);
    const running = own.filter(({ face }) => face === 'text');
    const upright = [...own.map(({ weight }) => weight), ...running.map(strongWeight)];
    const italic = hasEmphasis && hasItalic(family) ? running.map(({ weight }) => weight) : [];
    const wide = own.some(({ onNarrow }) => !onNarrow);
    const narrow = own.some(({ onNarrow }) => onNarrow);
    return {
      family,
      files: neededFiles(family, { upright, italic, languages }),
      standIn: standInFor(family, languages[0] ?? 'en'),
      screens: wide && narrow ? 'all' : wide ? 'wide' : 'narrow',
    };
  });
}

/** The bytes of a first visit in Latin script, on the kind of screen that loads more. */
export const firstVisit = (faces: readonly DeliveredFace[]): number =>
  Math.max(
    ...(['wide', 'narrow'] as const).map((screen) =>
      faces
        .filter(({ screens }) => screens === 'all' || screens === screen)
        .reduce((sum, { files }) => sum + firstBytes(files), 0),
    ),
  );
