import { CONTENT_REM, HERO_REM } from '../proof/arrangement.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { Fitting } from './styles.ts';

/**
 * The site's longest words for each role that can be held to a number of lines, its column in rem, and
 * how many insets stand on either side of it: over a picture words have one of their own.
 */
const wordsOf = ({ hero, heroVeil, table, cards, story, notice }: StyleDocument['content']) => ({
  h1: { words: [hero.title], rem: HERO_REM, insets: heroVeil === undefined ? 1 : 2 },
  h2: { words: [table.title, cards.title], rem: CONTENT_REM, insets: 1 },
  h3: { words: [story.title], rem: CONTENT_REM, insets: 1 },
  h6: { words: [notice.title], rem: CONTENT_REM, insets: 1 },
  lead: { words: [hero.lead], rem: HERO_REM, insets: heroVeil === undefined ? 1 : 2 },
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
  const all: Readonly<
    Record<string, { words: readonly string[]; rem: number; insets: number } | undefined>
  > = wordsOf(content);
  return Object.fromEntries(
    inOrder(roles).flatMap(([id, { fit }]) => {
      const known = all[id];
      if (!fit || !known) return [];
      const words = known.words.reduce((one, other) => (other.length > one.length ? other : one));
      const columnPx = (screenPx: number): number =>
        Math.min(screenPx - 2 * known.insets * insetPx, known.rem * ROOT_PX);
      return [[id, { words, columnPx }]];
    }),
  );
}
