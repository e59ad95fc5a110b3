import { siteTexts } from '../proof/texts.ts';
import type { TextStyle } from '../derive/derived.ts';
import { deriveFittings } from '../derive/type/fittings.ts';
import { partPx } from '../derive/space/parts.ts';
import { contentPx } from '../derive/space/grid.ts';
import { fittingPx, middlePx } from '../derive/type/styles.ts';
import { inOrder } from '../system/document.ts';
import { fluidPx, ROOT_PX } from '../type/fluid.ts';
import { lineHeightOf } from '../type/line-height.ts';
import { placeName } from '../type/scale.ts';
import { checkOf, type Finding } from './finding.ts';

/** Under this size text is hard to read for many. Common practice. */
const LEAST_PX = 12;

/** No text is smaller than can be read. */
export const smallSizesCheck = checkOf([], ['styles'], (_, { styles }) =>
  [...styles.values()]
    .filter(({ id, size }) => id !== 'body' && size.minRem * ROOT_PX < LEAST_PX - 0.001)
    .map(({ id, name, place, size, slug, ownSize }): Finding => {
      const path = `/type/roles/items/${id}`;
      return {
        id: `small-size:${id}`,
        severity: 'look',
        area: 'type',
        decision: path,
        title: `${name} is under ${LEAST_PX} px`,
        figures: `${(size.minRem * ROOT_PX).toFixed(2)} px at its smallest`,
        reason: 'Letters so small are guessed rather than read.',
        source: `common practice: ${LEAST_PX} px is the least for anything that is to be read`,
        where: { selector: `.type-${slug}` },
        ...(!ownSize && {
          repair: {
            label: `${name} one place up`,
            patch: [{ op: 'replace' as const, path: `${path}/place`, value: place + 1 }],
            before: placeName(place),
            after: placeName(place + 1),
          },
        }),
      };
    }),
);

/** The line heights that read well: running text up to 18 px, headings from 32 px. Common practice. */
const READING = { upToPx: 18, from: 1.35, to: 2 };
const DISPLAY = { fromPx: 32, from: 0.95, to: 1.4 };
/** Headings are short: their lines hold together up to here. Common practice. */
const HEADINGS_TO = 1.25;
/** Long lines need more. */
const LONG = { characters: 75, from: 1.5 };

function limitsOf(style: TextStyle, longest: number | undefined) {
  const px = middlePx(style.size);
  // Where sizes are between text and display, the automatic line is still higher than that.
  const headings = Math.max(HEADINGS_TO, lineHeightOf(px, style.family.metrics));
  if (px >= DISPLAY.fromPx)
    return style.face === 'heading' ? { from: DISPLAY.from, to: headings } : DISPLAY;
  if (px > READING.upToPx)
    return style.face === 'heading' ? { from: DISPLAY.from, to: headings } : undefined;
  return longest !== undefined && longest > LONG.characters
    ? { from: LONG.from, to: READING.to }
    : READING;
}

/** Lines stand neither on top of each other nor apart. */
export const lineHeightCheck = checkOf(['type'], ['styles'], ({ type }, { styles }) =>
  [...styles.values()].flatMap((style): Finding[] => {
    const role = type.roles.items[style.id];
    const limits = limitsOf(style, role?.longest);
    if (!limits || (style.lineHeight >= limits.from && style.lineHeight <= limits.to)) return [];
    const tight = style.lineHeight < limits.from;
    const path = `/type/roles/items/${style.id}/lineHeight`;
    return [
      {
        id: `line-height:${style.id}`,
        severity: 'look',
        area: 'type',
        decision: path,
        title: `Lines of ${style.name} stand too ${tight ? 'close' : 'far apart'}`,
        figures: `${style.lineHeight}; ${limits.from} to ${limits.to} at about ${Math.round(middlePx(style.size))} px`,
        reason: tight
          ? 'Letters of one line touch those of the next, and the eye slips.'
          : 'Lines that stand apart are read as separate things.',
        source: 'common practice',
        where: { selector: `.type-${style.slug}` },
        ...(role?.lineHeight !== undefined && {
          repair: {
            label: 'Make it automatic',
            patch: [{ op: 'remove', path }],
            before: String(role.lineHeight),
            after: 'automatic',
          },
        }),
      },
    ];
  }),
);

/** The narrowest screen that a page has to fit. Source: WCAG 2.2, 1.4.10. */
const NARROWEST_PX = 320;

/** Letters within a word are a little wider than the mean character, which counts spaces. */
const WITHIN_WORDS = 1.12;

const HEADING = /^h[1-6]$/;

const longestWord = (words: string): string =>
  words
    .split(/[\s/-]+/)
    .reduce((longest, word) => (word.length > longest.length ? word : longest), '');

/** The longest word of each heading fits on the narrowest screen, as the letter widths tell. */
export const longWordsCheck = checkOf(
  ['content'],
  ['grid', 'styles'],
  ({ content }, { grid, styles }) => {
    const column = contentPx(grid, NARROWEST_PX);
    const found = siteTexts(content).flatMap(({ role, words, page }): Finding[] => {
      const style = HEADING.test(role) ? styles.get(role) : undefined;
      if (!style) return [];
      const word = longestWord(words);
      const letter = style.letterWidth * WITHIN_WORDS + style.letterSpacing;
      const width = word.length * fluidPx(style.size, NARROWEST_PX) * letter;
      if (width <= column) return [];
      return [
        {
          id: `word:${role}`,
          severity: 'look',
          area: 'type',
          decision: `/type/roles/items/${role}`,
          title: `“${word}” is wider than a phone`,
          figures: `about ${Math.round(width)} px in ${style.name} at ${NARROWEST_PX} px, where ${Math.round(column)} are free`,
          reason: 'A word that does not fit is broken in the middle or pushes the page sideways.',
          source: 'WCAG 2.2, 1.4.10; the letter widths of the face',
          where: { selector: `.type-${style.slug}`, widthPx: NARROWEST_PX, page },
        },
      ];
    });
    return [...new Map(found.map((finding) => [finding.id, finding])).values()];
  },
);

/** The root is as large as the reader wants it. */
export const rootCheck = checkOf(['type'], [], ({ type }) => {
  const { root = 100 } = type;
  if (root === 100) return [];
  return [
    {
      id: 'root',
      severity: 'look',
      area: 'type',
      decision: '/type/root',
      title: `The root is ${root} % of the browser’s font size`,
      figures: `1 rem is ${Number(((ROOT_PX * root) / 100).toFixed(2))} px, and 16 px in media queries`,
      reason:
        'Components from elsewhere expect a rem of 100 %, and a rem in a media query is another length than one beside it.',
      source: 'CSS Values 4, rem; Media Queries 4; common practice',
      where: { selector: '.type-body' },
      repair: {
        label: 'Use 100 %',
        patch: [{ op: 'remove', path: '/type/root' }],
        before: `${root} %`,
        after: '100 %',
      },
    },
  ];
});

/** A text that is to fit does so, unless its least size forbids it. */
export const fitCheck = checkOf(
  ['brief', 'content', 'layout', 'space', 'type'],
  ['grid', 'spaces', 'steps', 'styles'],
  ({ brief, content, layout, space, type }, { grid, styles, spaces, steps }) => {
    const fittings = deriveFittings(
      type,
      content,
      layout,
      (part, screenPx) => partPx(part, screenPx, { parts: space.parts, spaces, steps }),
      grid,
    );
    return Object.entries(fittings).flatMap(([id, fitting]): Finding[] => {
      const style = styles.get(id);
      const fit = type.roles.items[id]?.fit;
      if (!style || !fit) return [];
      const language = brief.languages[0] ?? 'en';
      const widths = [NARROWEST_PX, ...inOrder(type.anchors).map(([, { width }]) => width)];
      const short = widths.filter(
        (width) =>
          fluidPx(style.size, width) > fittingPx(fitting, fit.lines, style, width, language) + 0.01,
      );
      const [first] = short;
      if (first === undefined) return [];
      return [
        {
          id: `fit:${id}`,
          severity: 'look',
          area: 'type',
          decision: `/type/roles/items/${id}/fit`,
          title: `${style.name} takes more than ${fit.lines} ${fit.lines === 1 ? 'line' : 'lines'}`,
          figures: `at ${Math.round(first)} px it is ${fluidPx(style.size, first).toFixed(1)} px, and fits at ${fittingPx(fitting, fit.lines, style, first, language).toFixed(1)}; ${fit.least} px is the least`,
          reason: 'Its least size, or a size of its own, is larger than the column allows.',
          source: 'the letter widths of the face in the site’s language',
          where: { selector: `.type-${style.slug}`, widthPx: Math.max(320, Math.round(first)) },
        },
      ];
    });
  },
);
