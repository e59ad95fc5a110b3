import { siteTexts } from '../proof/texts.ts';
import { hasSmallLetters } from '../fonts/construction.ts';
import { firstVisit } from '../derive/type/faces.ts';
import { LANGUAGES } from '../fonts/languages.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { StyleDocument } from '../system/document.ts';
import { chosenFaces, faceFor, isOptionalFace, type UsedFace } from '../system/faces.ts';
import { checkOf, onNarrow, type Finding } from './finding.ts';

const HAS_DIGITS = /\d/;

/** Where a face is seen in the proof. */
const seenAt = ({ face, narrow }: UsedFace, fonts: StyleDocument['fonts']): Finding['where'] => ({
  selector: {
    heading: 'h1',
    text: '.type-body',
    label: '.type-label',
    code: '.type-code',
  }[face],
  ...(narrow && onNarrow(fonts)),
});

/** Part of a finding's id that tells a face from its other use; the usual one keeps its short name. */
const idOf = ({ face, narrow }: UsedFace): string => (narrow ? `narrow-${face}` : face);

/** A table whose digits do not stand under one another. */
export const figuresCheck = checkOf(['content', 'fonts'], [], ({ content, fonts }) => {
  const count = siteTexts(content).filter(
    ({ isCell, words }) => isCell && HAS_DIGITS.test(words),
  ).length;
  if (count < 2) return [];
  return chosenFaces(fonts)
    .filter(({ face, choice }) => face === 'text' && choice.family.figures === 'proportional')
    .map((used): Finding => ({
      id: `figures:${idOf(used)}`,
      severity: 'look',
      area: 'fonts',
      decision: `${used.path}/family`,
      title: `Digits of ${used.choice.family.name} do not stand in columns`,
      figures: `${count} cells of tables hold figures; 0 to 9 are proportional, and tabular figures (tnum) are not there.`,
      reason: 'In a column of times or prices, proportional figures jump from row to row.',
      source: 'the advance widths in the font file; OpenType, tnum',
      where: { ...seenAt(used, fonts), selector: '.table' },
    }));
});

/** Languages of the brief that a face in use cannot write. */
export const languagesCheck = checkOf(['brief', 'fonts'], [], ({ brief, fonts }) =>
  chosenFaces(fonts).flatMap((used) => {
    const { family } = used.choice;
    return brief.languages
      .filter((language) => !family.languages.includes(language))
      .map((language): Finding => {
        const letters = family.missing[language];
        return {
          id: `language:${idOf(used)}:${language}`,
          severity: 'repair',
          area: 'fonts',
          decision: `${used.path}/family`,
          title: `${family.name} cannot write ${LANGUAGES[language].name}`,
          figures:
            letters === undefined
              ? 'It lacks the script.'
              : `It lacks ${Array.from(letters).join(' ')}`,
          reason: 'A missing letter is taken from another font, in the middle of a word.',
          source: 'the character map of the files; Unicode CLDR 48.2, exemplar characters',
          where: seenAt(used, fonts),
        };
      });
  }),
);

/** Letters whose heights differ by more than this share of the em are seen to differ in one line. */
const X_HEIGHTS_APART = 0.06;

/** Faces that meet in one line: small letters of clearly different height. */
export const xHeightCheck = checkOf(['fonts'], [], ({ fonts }) => {
  const faces = chosenFaces(fonts);
  const meeting = (narrow: boolean) => {
    const text = faceFor(fonts, 'text', narrow);
    return faces
      .filter((used) => used.face !== 'text' && used.narrow === narrow)
      .map((used) => ({ used, text }));
  };
  return [...meeting(false), ...(fonts.narrow ? meeting(true) : [])].flatMap(({ used, text }) => {
    const [one, other] = [used.choice.family, text.choice.family];
    const difference = Math.abs(one.metrics.xHeight - other.metrics.xHeight);
    if (!hasSmallLetters(one) || !hasSmallLetters(other)) return [];
    if (difference <= X_HEIGHTS_APART) return [];
    return [
      {
        id: used.face === 'heading' && !used.narrow ? 'x-height' : `x-height:${idOf(used)}`,
        severity: 'look',
        area: 'fonts',
        decision: `${used.path}/family`,
        title: `Small letters of ${one.name} and ${other.name} differ`,
        figures: `${one.metrics.xHeight.toFixed(3)} and ${other.metrics.xHeight.toFixed(3)} em: ${difference.toFixed(3)} apart`,
        reason: 'Where both stand in one line (a label in a sentence), one looks a size too large.',
        source: 'the x-heights in the font files; the limit of 0.06 em is common practice',
        where: seenAt(used, fonts),
      },
    ];
  });
});

/** Files that say that they are not to be embedded in documents. */
export const embeddingCheck = checkOf(['fonts'], [], ({ fonts }) =>
  chosenFaces(fonts).flatMap((used): Finding[] => {
    const { family } = used.choice;
    if (family.embedding !== 'restricted') return [];
    return [
      {
        id: `embedding:${idOf(used)}:${family.id}`,
        severity: 'look',
        area: 'fonts',
        decision: `${used.path}/family`,
        title: `The files of ${family.name} forbid embedding`,
        figures: family.confirmed ?? 'Nobody has confirmed that the license allows the web.',
        reason:
          'The bits speak of documents; whether a site may serve the files is for the license to say.',
        source: 'OpenType, OS/2, fsType; the license',
        where: seenAt(used, fonts),
      },
    ];
  }),
);

/** More families than this, and none of them is told apart by its role any more. */
const MOST_FAMILIES = 3;

/** More families than a reader tells apart. */
export const familiesCheck = checkOf(['fonts'], [], ({ fonts }) => {
  // Letters of equal width are what code is told apart by; they stand for it however many others there are.
  const names = [
    ...new Set(
      chosenFaces(fonts)
        .filter(({ face }) => face !== 'code')
        .map(({ choice }) => choice.family.name),
    ),
  ];
  if (names.length <= MOST_FAMILIES) return [];
  return [
    {
      id: 'families',
      severity: 'look',
      area: 'fonts',
      decision: fonts.narrow ? '/fonts/narrow' : '/fonts/roles/label',
      title: `${names.length} families are in use`,
      figures: `${names.join(', ')}; more than ${MOST_FAMILIES}`,
      reason: 'With many faces none stands for anything, and every one has to be loaded.',
      source: `common practice: at most ${MOST_FAMILIES}, one for each task`,
      where: { selector: 'h1' },
    },
  ];
});

/** What a first visit loads against what the brief allows. */
export const budgetCheck = checkOf(['brief'], ['faces'], ({ brief }, { faces }) => {
  const kilobytes = firstVisit(faces) / 1000;
  if (kilobytes <= brief.fontBudgetKb) return [];
  return [
    {
      id: 'bytes',
      severity: 'look',
      area: 'brief',
      decision: '/brief/fontBudgetKb',
      title: 'The fonts are larger than the budget',
      figures: `${kilobytes.toFixed(0)} kB of ${brief.fontBudgetKb} kB on a first visit`,
      reason: 'Text waits for its fonts, longest on slow connections.',
      source: 'the files’ sizes; the budget of the brief',
      where: { selector: 'h1' },
    },
  ];
});

/** The least stem and the least small letter that hold on a coarse screen, in CSS px. */
const LEAST_STEM_PX = 0.9;
const LEAST_X_PX = 5.5;

/** The smallest text: strokes thinner than a pixel, or letters that can hardly be told apart. */
export const smallTextCheck = checkOf(['fonts'], ['styles'], ({ fonts }, { styles }) => {
  const small = [...styles.values()].filter(
    ({ face }) => face === 'text' || (isOptionalFace(face) && fonts.roles[face]),
  );
  const shown = [
    ...small.map((style) => ({ ...style, narrow: false })),
    ...small.flatMap((style) =>
      style.narrow ? [{ ...style, ...style.narrow, narrow: true }] : [],
    ),
  ];
  const found = new Set<string>();
  return shown
    .toSorted((one, other) => one.size.minRem - other.size.minRem)
    .flatMap(({ face, family, id, name, narrow, size, slug }): Finding[] => {
      const px = size.minRem * ROOT_PX;
      const stem = family.metrics.stem * px;
      const letter = family.metrics.xHeight * px;
      // The smallest text of each family is enough.
      if (found.has(family.id) || (stem >= LEAST_STEM_PX && letter >= LEAST_X_PX)) return [];
      found.add(family.id);
      const used = faceFor(fonts, face, narrow);
      return [
        {
          id: `small:${narrow ? 'narrow-' : ''}${id}`,
          severity: 'look',
          area: 'fonts',
          decision: `${used.path}/family`,
          title:
            stem < LEAST_STEM_PX
              ? `Strokes of ${family.name} are thin in ${name}`
              : `Letters of ${family.name} are small in ${name}`,
          figures: `at ${Number(px.toFixed(1))} px: stems ${stem.toFixed(2)} px (${LEAST_STEM_PX}), small letters ${letter.toFixed(1)} px (${LEAST_X_PX})`,
          reason: 'Strokes under a pixel are drawn gray, and fade first on coarse screens.',
          source: 'stems and x-heights measured from the files; the limits are common practice',
          where: { ...seenAt(used, fonts), selector: `.type-${slug}` },
        },
      ];
    });
});
