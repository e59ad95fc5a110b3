import { LANGUAGES } from '../fonts/languages.ts';
import { firstBytes } from '../fonts/files.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { Check, Finding } from './finding.ts';

const HAS_DIGITS = /\d/;

/** A table whose digits do not stand under one another. */
export const figuresCheck: Check = ({ content, fonts }) => {
  const cells = Object.values(content.table.rows.items).flatMap((row) => Object.values(row));
  const { family } = fonts.roles.text;
  const count = cells.filter((cell) => HAS_DIGITS.test(cell)).length;
  if (count < 2 || family.figures !== 'proportional') return [];
  return [
    {
      id: 'figures:text',
      severity: 'look',
      area: 'fonts',
      decision: '/fonts/roles/text/family',
      title: `Digits of ${family.name} do not stand in columns`,
      figures: `${count} cells of the table hold figures; 0 to 9 are of unequal width, and tnum is not there.`,
      reason: 'In a column of times or prices, digits of unequal width jump from row to row.',
      source: 'the advance widths in the font file; OpenType, tnum',
      where: { selector: '.table' },
    },
  ];
};

/** Languages of the brief that a face in use cannot write. */
export const languagesCheck: Check = ({ brief, fonts }) =>
  (['heading', 'text'] as const).flatMap((face) => {
    const { family } = fonts.roles[face];
    return brief.languages
      .filter((language) => !family.languages.includes(language))
      .map((language): Finding => {
        const letters = family.missing[language];
        return {
          id: `language:${face}:${language}`,
          severity: 'repair',
          area: 'fonts',
          decision: `/fonts/roles/${face}/family`,
          title: `${family.name} cannot write ${LANGUAGES[language].name}`,
          figures:
            letters === undefined
              ? 'It lacks the script.'
              : `It lacks ${Array.from(letters).join(' ')}`,
          reason: 'A missing letter is taken from another font, in the middle of a word.',
          source: 'the character map of the files; Unicode CLDR 48.2, exemplar characters',
          where: { selector: face === 'heading' ? 'h1' : '.type-body' },
        };
      });
  });

/** Letters whose heights differ by more than this share of the em are seen to differ in one line. */
const X_HEIGHTS_APART = 0.06;

/** Heading and text face in one line: small letters of clearly different height. */
export const xHeightCheck: Check = ({ fonts }) => {
  const { heading, text } = fonts.roles;
  const difference = Math.abs(heading.family.metrics.xHeight - text.family.metrics.xHeight);
  if (difference <= X_HEIGHTS_APART) return [];
  return [
    {
      id: 'x-height',
      severity: 'look',
      area: 'fonts',
      decision: '/fonts/roles/heading/family',
      title: `Small letters of ${heading.family.name} and ${text.family.name} differ`,
      figures: `${heading.family.metrics.xHeight.toFixed(3)} and ${text.family.metrics.xHeight.toFixed(3)} em: ${difference.toFixed(3)} apart`,
      reason: 'Where both stand in one line (a label in a sentence), one looks a size too large.',
      source: 'the x-heights in the font files; the limit of 0.06 em is common practice',
      where: { selector: 'h1' },
    },
  ];
};

/** Faces whose files say that they may not be embedded in documents. */
export const embeddingCheck: Check = ({ fonts }) =>
  (['heading', 'text'] as const).flatMap((face): Finding[] => {
    const { family } = fonts.roles[face];
    if (family.embedding !== 'restricted') return [];
    return [
      {
        id: `embedding:${face}:${family.id}`,
        severity: 'look',
        area: 'fonts',
        decision: `/fonts/roles/${face}/family`,
        title: `The files of ${family.name} forbid embedding`,
        figures: family.confirmed ?? 'Nobody has confirmed that the licence allows the web.',
        reason:
          'The bits speak of documents; whether a site may serve the files is for the licence to say.',
        source: 'OpenType, OS/2, fsType; the licence',
        where: { selector: face === 'heading' ? 'h1' : '.type-body' },
      },
    ];
  });

/** What a first visit loads against what the brief allows. */
export const budgetCheck: Check = ({ brief }, { faces }) => {
  const bytes = faces.reduce((sum, { files }) => sum + firstBytes(files), 0);
  const kilobytes = bytes / 1000;
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
};

/** The least stem and the least small letter that hold on a coarse screen, in CSS px. */
const LEAST_STEM_PX = 0.9;
const LEAST_X_PX = 5.5;

/** The smallest text: strokes thinner than a pixel, or letters that can hardly be told apart. */
export const smallTextCheck: Check = (_, { styles }) => {
  const texts = [...styles.values()].filter(({ face }) => face === 'text');
  const smallest = texts.toSorted((one, other) => one.size.minRem - other.size.minRem)[0];
  if (!smallest) return [];
  const { family, name, size, slug } = smallest;
  const px = size.minRem * ROOT_PX;
  const stem = family.metrics.stem * px;
  const letter = family.metrics.xHeight * px;
  if (stem >= LEAST_STEM_PX && letter >= LEAST_X_PX) return [];
  return [
    {
      id: `small:${smallest.id}`,
      severity: 'look',
      area: 'fonts',
      decision: '/fonts/roles/text/family',
      title:
        stem < LEAST_STEM_PX
          ? `Strokes of ${family.name} are thin in ${name}`
          : `Letters of ${family.name} are small in ${name}`,
      figures: `at ${Number(px.toFixed(1))} px: stems ${stem.toFixed(2)} px (${LEAST_STEM_PX}), small letters ${letter.toFixed(1)} px (${LEAST_X_PX})`,
      reason: 'Strokes under a pixel are drawn grey, and fade first on coarse screens.',
      source: 'stems and x-heights measured from the files; the limits are common practice',
      where: { selector: `.type-${slug}` },
    },
  ];
};
