import { inOrder, type Layout, type StyleDocument } from '../../system/document.ts';
import { siteTexts, type SiteText } from '../../proof/texts.ts';
import type { GridRange } from '../derived.ts';
import { contentPx } from '../space/grid.ts';
import { widthContext, widthLimitPx } from '../space/layout.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import { rootShare, type Fitting } from './styles.ts';

/** The longest words of a role for every column that they stand in: as wide, with as many insets. */
function longestOf(texts: readonly SiteText[], role: string): readonly SiteText[] {
  const longest = new Map<string, SiteText>();
  for (const text of texts) {
    if (text.role !== role) continue;
    const key = `${text.width ?? ''} ${text.insets.join(' ')}`;
    if (text.words.length > (longest.get(key)?.words.length ?? 0)) longest.set(key, text);
  }
  return [...longest.values()];
}

/** Always the same where nothing is to fit, so that nothing is derived again. */
const NONE: Readonly<Record<string, Fitting>> = {};

/** What the roles that are to fit have to fit into; nothing for any other, so that words change nothing there. */
export function deriveFittings(
  { roles, root = 100 }: StyleDocument['type'],
  content: StyleDocument['content'],
  layout: Pick<Layout, 'widths' | 'breakpoints'>,
  insetPx: (part: string, screenPx: number) => number,
  grid: readonly GridRange[],
): Readonly<Record<string, Fitting>> {
  if (!inOrder(roles).some(([, { fit }]) => fit)) return NONE;
  const all = siteTexts(content);
  return Object.fromEntries(
    inOrder(roles).flatMap(([id, { fit }]) => {
      const longest = fit ? longestOf(all, id) : [];
      if (longest.length === 0) return [];
      const texts = longest.map(({ words, width, insets }) => ({
        words,
        columnPx: (screenPx: number): number => {
          const roomPx = contentPx(grid, screenPx);
          const limitPx =
            width === undefined
              ? Infinity
              : widthLimitPx(
                  layout,
                  width,
                  widthContext(grid, screenPx, ROOT_PX * rootShare({ root })),
                );
          return insets.reduce(
            (room, part) => room - insetPx(part, screenPx),
            Math.min(roomPx, limitPx),
          );
        },
      }));
      return [[id, { texts }]];
    }),
  );
}
