import { hasItalic, nearestWeight, type FontFamily } from '../fonts/family.ts';
import { neededFiles } from '../fonts/files.ts';
import { standInFor } from '../fonts/stand-in.ts';
import type { StyleDocument } from '../system/document.ts';
import type { DeliveredFace, TextStyle } from './derived.ts';

const BOLD = 700;

/** The weight of strong words in a text: bold, or the text's own where that is heavier. */
export const strongWeight = ({ family, weight }: TextStyle): number =>
  nearestWeight(family, Math.max(BOLD, weight));

/**
 * The families in use, each with the files that hold the weights of its text roles, of the strong and
 * the emphasised words in running text, in the scripts that the languages need.
 */
export function deriveFaces(
  styles: ReadonlyMap<string, TextStyle>,
  languages: StyleDocument['brief']['languages'],
  hasEmphasis: boolean,
): readonly DeliveredFace[] {
  const families = new Map<string, FontFamily>();
  for (const { family } of styles.values()) families.set(family.id, family);
  return [...families.values()].map((family) => {
    const own = [...styles.values()].filter((style) => style.family.id === family.id);
    const running = own.filter(({ face }) => face === 'text');
    const upright = [...own.map(({ weight }) => weight), ...running.map(strongWeight)];
    const italic = hasEmphasis && hasItalic(family) ? running.map(({ weight }) => weight) : [];
    return {
      family,
      files: neededFiles(family, { upright, italic, languages }),
      standIn: standInFor(family, languages[0] ?? 'en'),
    };
  });
}
