import { inOrder, type Layout, type StyleDocument } from '../../system/document.ts';
import type { DerivedSpace, GridRange } from '../derived.ts';
import { contentPx } from '../space/grid.ts';
import { widthLimitPx } from '../space/layout.ts';
import { spacePx } from '../space/space.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import { rootShare, type Fitting } from './styles.ts';

/**
 * The site's longest words for each role that can be held to a number of lines, the width that limits
 * its column, and how many insets stand on either side of it: over a picture words have one of their own.
 */
const wordsOf = ({ hero, heroVeil, table, cards, story, notice }: StyleDocument['content']) => ({
  h1: { words: [hero.title], width: 'opening', insets: heroVeil === undefined ? 0 : 1 },
  h2: { words: [table.title, cards.title], insets: 0 },
  h3: { words: [story.title], width: 'text', insets: 0 },
  h6: { words: [notice.title], insets: 1 },
  lead: { words: [hero.lead], width: 'opening', insets: heroVeil === undefined ? 0 : 1 },
});

/** Always the same where nothing is to fit, so that nothing is derived again. */
const NONE: Readonly<Record<string, Fitting>> = {};

/** What the roles that are to fit have to fit into; nothing for any other, so that words change nothing there. */
export function deriveFittings(
  { roles, root = 100 }: StyleDocument['type'],
  content: StyleDocument['content'],
  { widths }: Pick<Layout, 'widths'>,
  spaces: ReadonlyMap<string, DerivedSpace>,
  grid: readonly GridRange[],
): Readonly<Record<string, Fitting>> {
  if (!inOrder(roles).some(([, { fit }]) => fit)) return NONE;
  const all: Readonly<
    Record<string, { words: readonly string[]; width?: string; insets: number } | undefined>
  > = wordsOf(content);
  return Object.fromEntries(
    inOrder(roles).flatMap(([id, { fit }]) => {
      const known = all[id];
      if (!fit || !known) return [];
      const words = known.words.reduce((one, other) => (other.length > one.length ? other : one));
      const columnPx = (screenPx: number): number => {
        const roomPx = contentPx(grid, screenPx);
        const limitPx =
          known.width === undefined
            ? Infinity
            : widthLimitPx(widths, known.width, { roomPx, rootPx: ROOT_PX * rootShare({ root }) });
        return Math.min(roomPx, limitPx) - 2 * known.insets * spacePx(spaces, 'inset', screenPx);
      };
      return [[id, { words, columnPx }]];
    }),
  );
}
