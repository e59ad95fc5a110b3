import type { Derived, TextStyle } from '../derive/derived.ts';
import { contentPx } from '../derive/space/grid.ts';
import { widthContext, widthLimitPx } from '../derive/space/layout.ts';
import { rootShare } from '../derive/type/styles.ts';
import type { StyleDocument } from '../system/document.ts';
import { fluidPx, kneesOf, ROOT_PX } from '../type/fluid.ts';
import { charactersPerLine, columnEm } from '../type/line-length.ts';
import { USUAL_RANGE } from '../type/zoom.ts';
import { checkOf, type Finding } from './finding.ts';

/** The column of a text at a width: the page's content, the width of text, its own longest line. */
export function columnPx(
  { layout, type }: Pick<StyleDocument, 'layout' | 'type'>,
  { grid }: Pick<Derived, 'grid'>,
  style: TextStyle,
  widthPx: number,
): number {
  const longest = type.roles.items[style.id]?.longest;
  const fontPx = fluidPx(style.size, widthPx);
  const roomPx = contentPx(grid, widthPx);
  return Math.min(
    roomPx,
    widthLimitPx(layout, 'text', widthContext(grid, widthPx, ROOT_PX * rootShare(type))),
    longest === undefined ? Infinity : columnEm(longest, style.letterWidth) * fontPx,
  );
}

/** About how many characters stand in a line of a text at a width. */
export const lineAt = (
  document: Pick<StyleDocument, 'layout' | 'type'>,
  derived: Pick<Derived, 'grid'>,
  style: TextStyle,
  widthPx: number,
): number =>
  charactersPerLine(
    columnPx(document, derived, style, widthPx),
    fluidPx(style.size, widthPx),
    style.letterWidth,
    style.letterSpacing,
  );

interface Extreme {
  readonly characters: number;
  readonly atPx: number;
}

/**
 * The shortest and the longest line over the usual widths. Column and size are straight between
 * their knees, so that their share has no turn there.
 */
export function lineRange(
  document: Pick<StyleDocument, 'layout' | 'type'>,
  derived: Pick<Derived, 'grid'>,
  style: TextStyle,
): { readonly shortest: Extreme; readonly longest: Extreme } {
  const { fromPx, toPx } = USUAL_RANGE;
  const stops = derived.grid.map(({ fromPx: stop }) => stop);
  const limit = widthLimitPx(
    document.layout,
    'text',
    widthContext(derived.grid, toPx, ROOT_PX * rootShare(document.type)),
  );
  // Where a column stops growing, and just under each breakpoint, where the one before still holds.
  const turns = derived.grid.flatMap(({ grid }) => {
    const margins = grid.marginStart + grid.marginEnd;
    return [grid.container, ...(Number.isFinite(limit) ? [limit + margins] : [])];
  });
  const widths = [
    fromPx,
    ...kneesOf(style.size),
    ...stops.flatMap((stop) => [stop - 0.01, stop]),
    ...turns,
    toPx,
  ];
  const all = widths
    .filter((width) => width >= fromPx && width <= toPx)
    .map((atPx) => ({ atPx, characters: lineAt(document, derived, style, atPx) }));
  const by = (better: (one: number, other: number) => boolean): Extreme =>
    all.reduce((best, one) => (better(one.characters, best.characters) ? one : best));
  return { shortest: by((one, other) => one < other), longest: by((one, other) => one > other) };
}

/** Lines of running text have as many characters as the brief asks for, at every width. */
export const linesCheck = checkOf(
  ['brief', 'layout', 'type'],
  ['grid', 'styles'],
  (document, derived) => {
    const body = derived.styles.get('body');
    if (!body) return [];
    const { from, to } = document.brief.line;
    const { shortest, longest } = lineRange(document, derived, body);
    const tooLong = longest.characters > to + 0.5;
    if (!tooLong && shortest.characters >= from - 0.5) return [];
    const found = tooLong ? longest : shortest;
    const path = `/type/roles/items/${body.id}/longest`;
    const finding: Finding = {
      id: `line:${body.id}`,
      severity: 'look',
      area: 'type',
      decision: path,
      title: `Lines of ${body.name} are ${tooLong ? 'long' : 'short'}`,
      figures: `about ${Math.round(found.characters)} characters at ${Math.round(found.atPx)} px; the brief asks for ${from} to ${to}`,
      reason: tooLong
        ? 'At the end of a long line the eye does not find the beginning of the next.'
        : 'In short lines sentences are torn, and the edge grows ragged.',
      source: 'the letter widths of the face in the site’s language; the brief',
      where: { selector: `.type-${body.slug}`, widthPx: Math.min(1600, Math.round(found.atPx)) },
      ...(tooLong && {
        repair: {
          label: `Lines of ${to} at most`,
          patch: [{ op: 'add', path, value: to }],
          before: `${Math.round(found.characters)} characters`,
          after: `${to} characters`,
        },
      }),
    };
    return [finding];
  },
);
