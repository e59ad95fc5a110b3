import { isFirst, nearestWeight, scriptsFor, type FontFamily, type FontFile } from './family.ts';
import type { LanguageCode } from './languages.ts';

/** What is asked of a family: weights by whether they stand upright or italic, and languages. */
export interface Wanted {
  readonly upright: readonly number[];
  readonly italic: readonly number[];
  readonly languages: readonly LanguageCode[];
}

type Style = FontFile['style'];

const sumOf = (files: readonly FontFile[]): number =>
  files.reduce((sum, { bytes }) => sum + bytes, 0);

/** The static cuts that hold the weights in every script of `files`; undefined where one is missing. */
function staticsFor(
  { statics = [] }: FontFamily,
  style: Style,
  weights: ReadonlySet<number>,
  files: readonly FontFile[],
): readonly FontFile[] | undefined {
  const found = files.flatMap(({ script }) => {
    const group = statics.find((one) => one.style === style && one.script === script);
    return [...weights].map((weight): FontFile | undefined => {
      const cut = group?.cuts.find((one) => one.weight === weight);
      return (
        group &&
        cut && {
          name: cut.name,
          style,
          weight: { min: weight, max: weight },
          script,
          unicodeRange: group.unicodeRange,
          bytes: cut.bytes,
        }
      );
    });
  });
  return found.every((file) => file !== undefined) ? found : undefined;
}

/**
 * The files that hold what is asked for, and no other: the nearest weight where one is missing, no
 * italic where the family has none, the scripts that the languages need. In each style a variable
 * file, or one file a weight, whichever is fewer bytes in all. In the family's own order.
 */
export function neededFiles(family: FontFamily, wanted: Wanted): readonly FontFile[] {
  const scripts = scriptsFor(wanted.languages);
  const weights: Readonly<Record<Style, ReadonlySet<number>>> = {
    normal: new Set(wanted.upright.map((weight) => nearestWeight(family, weight))),
    italic: new Set(wanted.italic),
  };
  const held = (style: Style): readonly FontFile[] => {
    const files = family.files.filter(
      (file) =>
        file.style === style &&
        scripts.has(file.script) &&
        [...weights[style]].some((one) => one >= file.weight.min && one <= file.weight.max),
    );
    const cuts = staticsFor(family, style, weights[style], files);
    return cuts && sumOf(cuts) < sumOf(files) ? cuts : files;
  };
  return [...held('normal'), ...held('italic')];
}

/** The bytes that a first visit in Latin script loads: the other scripts come only when a letter asks. */
export const firstBytes = (files: readonly FontFile[]): number => sumOf(files.filter(isFirst));
