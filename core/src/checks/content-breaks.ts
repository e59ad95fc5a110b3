import type { Derived } from '../derive/derived.ts';
import { contentPx } from '../derive/space/grid.ts';
import { inOrder, NARROW_SCREEN_PX, type StyleDocument } from '../system/document.ts';
import { kneesOf, fluidPx } from '../type/fluid.ts';
import { USUAL_RANGE } from '../type/zoom.ts';
import { lineAt } from './lines.ts';

/** A screen width at which the content itself asks for a breakpoint, and why. */
export interface ContentBreak {
  readonly widthPx: number;
  readonly why: string;
}

/** Text columns beside each other are no narrower than this, in characters. Common practice. */
const LEAST_COLUMN = 30;

/** The first width, in whole px, from which something holds; undefined where it never does. */
function firstWidth(holds: (widthPx: number) => boolean): number | undefined {
  const { fromPx, toPx } = USUAL_RANGE;
  for (let widthPx = Math.max(NARROW_SCREEN_PX, fromPx); widthPx <= toPx; widthPx += 1)
    if (holds(widthPx)) return widthPx;
  return undefined;
}

/**
 * Widths at which the content breaks, rather than a device: where a line of running text passes the
 * longest that the brief allows, where two and three columns of text have room beside each other, and
 * where the type begins and ends to flow. Ascending; none twice.
 */
export function contentBreaks(document: StyleDocument, derived: Derived): readonly ContentBreak[] {
  const body = derived.styles.get('body');
  if (!body) return [];
  const { brief, layout } = document;
  const tooLong = firstWidth((width) => lineAt(document, derived, body, width) > brief.line.to);
  const roomFor = (columns: number): number | undefined =>
    firstWidth((width) => {
      const gutter = derived.spaces.get('gutter')?.inline.px({ widthPx: width }) ?? 0;
      const column = (contentPx(derived.grid, width) - (columns - 1) * gutter) / columns;
      return column >= LEAST_COLUMN * body.letterWidth * fluidPx(body.size, width);
    });
  const found: ContentBreak[] = [
    ...(tooLong === undefined
      ? []
      : [{ widthPx: tooLong, why: `lines of ${body.name} pass ${brief.line.to} characters` }]),
    ...[2, 3].flatMap((columns) => {
      const widthPx = roomFor(columns);
      return widthPx === undefined || widthPx <= NARROW_SCREEN_PX
        ? []
        : [{ widthPx, why: `${columns} columns of ${LEAST_COLUMN} characters have room` }];
    }),
    ...kneesOf(body.size).map((knee) => ({
      widthPx: Math.round(knee),
      why: 'the type begins or ends to flow',
    })),
  ];
  const taken = new Set(inOrder(layout.breakpoints).map(([, { width }]) => width));
  return found
    .filter(({ widthPx }) => widthPx >= 200 && widthPx <= 4000 && !taken.has(widthPx))
    .sort((one, other) => one.widthPx - other.widthPx)
    .filter(({ widthPx }, index, all) => widthPx !== all[index - 1]?.widthPx);
}
