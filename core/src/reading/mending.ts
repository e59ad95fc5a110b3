import { createTwoFilesPatch } from 'diff';
import type { Drift, DriftRow } from './drift.ts';

/** A style sheet as it came. */
export interface SheetText {
  readonly file: string;
  readonly text: string;
}

/** A value as it should be written: taken from its token. */
function replaced({ token, kind, value }: DriftRow): string | undefined {
  if (!token) return undefined;
  const isNegative = kind === 'space' && /^-\s*[\d.]/.test(value.trim());
  return isNegative ? `calc(-1 * var(${token.property}))` : `var(${token.property})`;
}

/** Whether a row can be mended without a decision: it is nearly a token, or one that is written out. */
const isMendable = ({ match, isTaken, token }: DriftRow): boolean =>
  token !== undefined && !isTaken && match !== 'foreign';

/** A value and what it should be. */
export interface Replacement {
  readonly value: string;
  readonly by: string;
  readonly places: number;
}

/** What would be written instead of what, the most frequent first. */
export const replacementsIn = ({ rows }: Pick<Drift, 'rows'>): readonly Replacement[] =>
  rows
    .filter(isMendable)
    .flatMap((row) => {
      const by = replaced(row);
      return by === undefined ? [] : [{ value: row.value, by, places: row.places.length }];
    })
    .toSorted((one, other) => other.places - one.places);

/** The sheets with every value that is a token, or nearly one, taken from it; the rest of each to the byte. */
export function mended(
  sheets: readonly SheetText[],
  { rows }: Pick<Drift, 'rows'>,
): readonly SheetText[] {
  const byFile = new Map<string, { from: number; to: number; by: string }[]>();
  // A value that is another in dark is mended only where both are the same token.
  const said = new Map<string, Set<string | undefined>>();
  const keyOf = (file: string, from: number): string => `${from} ${file}`;
  for (const row of rows)
    for (const { file, from } of row.places) {
      const key = keyOf(file, from);
      said.set(key, (said.get(key) ?? new Set()).add(isMendable(row) ? replaced(row) : undefined));
    }
  for (const row of rows.filter(isMendable)) {
    const by = replaced(row);
    if (by === undefined) continue;
    for (const { file, from, to } of row.places) {
      if ((said.get(keyOf(file, from))?.size ?? 0) > 1) continue;
      const known = byFile.get(file);
      if (known) known.push({ from, to, by });
      else byFile.set(file, [{ from, to, by }]);
    }
  }
  return sheets.map(({ file, text }) => {
    let [next, at] = ['', 0];
    const all = (byFile.get(file) ?? []).toSorted((one, other) => one.from - other.from);
    for (const { from, to, by } of all) {
      // A value of two themes stands in one place: it is written once.
      if (from < at) continue;
      next += text.slice(at, from) + by;
      at = to;
    }
    return { file, text: next + text.slice(at) };
  });
}

/** The same as a patch that `patch` and `git apply` take; nothing where nothing would be changed. */
export function patchOf(sheets: readonly SheetText[], drift: Pick<Drift, 'rows'>): string {
  const after = new Map(mended(sheets, drift).map(({ file, text }) => [file, text]));
  return sheets
    .filter(({ file, text }) => after.get(file) !== text)
    .map(({ file, text }) =>
      createTwoFilesPatch(`a/${file}`, `b/${file}`, text, after.get(file) ?? text, '', '', {
        context: 2,
      }).replace(/^=+\n/, ''),
    )
    .join('');
}
