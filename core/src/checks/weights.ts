import { siteTexts } from '../proof/texts.ts';
import type { StyleFace, TextStyle } from '../derive/derived.ts';
import { hasItalic, weightsOf, type FontFamily } from '../fonts/family.ts';
import type { StyleDocument } from '../system/document.ts';
import { chosenFaces, faceFor } from '../system/faces.ts';
import { checkOf, onNarrow, type Finding } from './finding.ts';

const listed = (family: FontFamily): string => {
  const weights = weightsOf(family);
  const [first, last] = [weights[0], weights.at(-1)];
  if (first === undefined || last === undefined) return 'no usual weight';
  return weights.length > 2 && last - first === (weights.length - 1) * 100
    ? `${first} to ${last}`
    : weights.join(', ');
};

interface Missing extends StyleFace {
  readonly style: TextStyle;
  readonly narrow: boolean;
}

/** The decision that asks for a style's weight: the role's own, or the face's. */
const askedAt = (
  { fonts, type }: Pick<StyleDocument, 'fonts' | 'type'>,
  { style, narrow }: Missing,
): string =>
  type.roles.items[style.id]?.weight === undefined
    ? `${faceFor(fonts, style.face, narrow).path}/weight`
    : `/type/roles/items/${style.id}/weight`;

function missingWeight(
  fonts: StyleDocument['fonts'],
  path: string,
  all: readonly [Missing, ...Missing[]],
): Finding {
  const [{ family, narrow, style, weight, weightWanted }] = all;
  const names = [...new Set(all.map((one) => one.style.name))].join(', ');
  const ofFace = path.startsWith('/fonts');
  const which = ofFace ? style.face : style.id;
  return {
    id: `weight:${narrow ? 'narrow-' : ''}${which}`,
    severity: 'repair',
    area: ofFace ? 'fonts' : 'type',
    decision: path,
    title: `${family.name} has no weight ${weightWanted} for ${names}`,
    figures: `The files hold ${listed(family)}; ${weight} is shown.`,
    reason:
      'A browser would fake the missing weight by smearing the letters. Garnish never lets it.',
    source: 'CSS Fonts 4, font-synthesis; the font files',
    where: { selector: `.type-${style.slug}`, ...(narrow && onNarrow(fonts)) },
    repair: {
      label: `Use weight ${weight}`,
      patch: [{ op: 'replace', path, value: weight }],
      before: String(weightWanted),
      after: String(weight),
    },
  };
}

/** Every weight that a text role asks for is in the files, and emphasis has a true italic. */
export const weightsCheck = checkOf(
  ['brief', 'content', 'fonts', 'type'],
  ['styles'],
  (document, { styles }) => {
    const wanted = [...styles.values()].flatMap((style): Missing[] => [
      { ...style, style, narrow: false },
      ...(style.narrow ? [{ ...style.narrow, style, narrow: true }] : []),
    ]);
    const byDecision = new Map<string, [Missing, ...Missing[]]>();
    for (const one of wanted) {
      if (one.weight === one.weightWanted) continue;
      const path = askedAt(document, one);
      const known = byDecision.get(path);
      if (known) known.push(one);
      else byDecision.set(path, [one]);
    }
    const missing = [...byDecision].map(([path, own]) => missingWeight(document.fonts, path, own));
    const inText = siteTexts(document.content).some(({ isEmphasized }) => isEmphasized);
    const inHeadings = document.brief.needs.includes('emphasis');
    const upright = chosenFaces(document.fonts).filter(
      ({ choice, face }) =>
        ((face === 'text' && inText) || (face === 'heading' && inHeadings)) &&
        !hasItalic(choice.family),
    );
    return [
      ...missing,
      ...upright.map(({ choice, face, narrow, path }): Finding => ({
        id: `italic:${narrow ? 'narrow-' : ''}${face}`,
        severity: 'look',
        area: 'fonts',
        decision: `${path}/family`,
        title: `${choice.family.name} has no true italic`,
        figures:
          face === 'text'
            ? 'Emphasis in the text is set upright.'
            : 'The brief needs emphasis; in headings it is set upright.',
        reason: 'A slanted upright is not an italic, so none is faked; emphasis does not show.',
        source: 'CSS Fonts 4, font-synthesis; the font files',
        where: { selector: face === 'text' ? 'em' : 'h1', ...(narrow && onNarrow(document.fonts)) },
      })),
    ];
  },
);
