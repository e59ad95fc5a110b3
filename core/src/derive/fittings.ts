import { CONTENT_REM, HERO_REM } from '../proof/arrangement.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { Fitting } from './styles.ts';

/** The site's longest words for each role that can be held to a number of lines, and its column in rem. */
const wordsOf = ({ hero, table, cards, story, notice }: StyleDocument['content']) => ({
  h1: { words: [hero.title], rem: HERO_REM },
  h2: { words: [table.title, cards.title], rem: CONTENT_REM },
  h3: { words: [story.title], rem: CONTENT_REM },
  h6: { words: [notice.title], rem: CONTENT_REM },
  lead: { words: [hero.lead], rem: HERO_REM },
});

/** Always the same where nothing is to fit, so that nothing is derived again. */
const NONE: Readonly<Record<string, Fitting>> = {};

/** What the roles that are to fit have to fit into; nothing for any other, so that words change nothing there. */
export function deriveFittings(
  { roles }: StyleDocument['type'],
  content: StyleDocument['content'],
  insetPx: number,
): Readonly<Record<string, Fitting>> {
  if (!inOrder(roles).some(([, { fit }]) => fit)) return NONE;
  const all: Readonly<Record<string, { words: readonly string[]; rem: number } | undefined>> =
    wordsOf(content);
  return Object.fromEntries(
    inOrder(roles).flatMap(([id, { fit }]) => {
      const known = all[id];
      if (!fit || !known) return [];
      const words = known.words.reduce((one, other) => (other.length > one.length ? other : one));
      const columnPx = (screenPx: number): number =>
        Math.min(screenPx - 2 * insetPx, known.rem * ROOT_PX);
      return [[id, { words, columnPx }]];
    }),
  );
}
