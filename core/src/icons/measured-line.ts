import { ICON_KINDS } from './kinds.ts';
import type { IconMeasures } from './measure.ts';

/** Measures are kept in ten thousandths. */
const PARTS = 10_000;

const count = (value: number | undefined): string =>
  value === undefined ? '-' : String(Math.round(value * PARTS));
const ends = (round: boolean | undefined): string =>
  round === undefined ? '-' : round ? 'round' : 'flat';

/** What was measured of icons, a line each with tabs between: the name, then the measures in ten thousandths. */
export const writeMeasures = (all: ReadonlyMap<string, IconMeasures>): string =>
  [...all]
    .map(([name, own]) =>
      [
        name,
        own.kind,
        count(own.stroke),
        count(own.evenness),
        ends(own.roundEnds),
        count(own.corner),
        own.grid === undefined ? '-' : own.grid.toPrecision(4),
        count(own.ink),
        own.details,
        count(own.gap),
        count(own.wide),
        count(own.high),
      ].join('\t'),
    )
    .join('\n') + '\n';

const part = (cell: string | undefined): number | undefined =>
  cell === undefined || cell === '-' ? undefined : Number(cell) / PARTS;

/** The same read again; a line that says less is left out. */
export function readMeasures(text: string): ReadonlyMap<string, IconMeasures> {
  const all = new Map<string, IconMeasures>();
  for (const line of text.split('\n')) {
    const [name, kind, stroke, evenness, end, corner, grid, ink, details, gap, wide, high] =
      line.split('\t');
    const known = ICON_KINDS.find((one) => one === kind);
    if (name === undefined || known === undefined || high === undefined) continue;
    all.set(name, {
      kind: known,
      stroke: part(stroke) ?? 0,
      evenness: part(evenness) ?? 0,
      roundEnds: end === '-' ? undefined : end === 'round',
      corner: part(corner),
      grid: grid === '-' ? undefined : Number(grid),
      ink: part(ink) ?? 0,
      details: Number(details),
      gap: part(gap),
      wide: part(wide) ?? 0,
      high: part(high) ?? 0,
    });
  }
  return all;
}
