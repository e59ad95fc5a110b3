/** One line of the table: what was measured, against what, and what it may be. */
export interface Row {
  readonly name: string;
  /** A ratio to something else that was timed in the same run, or milliseconds, or a share. */
  readonly value: number;
  readonly unit: '×' | 'ms' | '%';
  /** What a ratio is to, and what is worth knowing beside it. */
  readonly against: string;
  /** The most that is promised; a line without one only tells. */
  readonly limit?: number;
}

/** A machine that does something else meanwhile is forgiven so much of a limit. */
export const TOLERANCE = 0.25;

export const median = (values: readonly number[]): number =>
  values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)] ?? NaN;

/** Milliseconds of one call. */
export function took(work: () => unknown): number {
  const started = performance.now();
  work();
  return performance.now() - started;
}

/** The median time in ms of one call; rounds long enough for the clock, after a warm-up. */
export function timed(work: () => unknown, rounds = 15, calls = 20): number {
  for (let call = 0; call < calls * 3; call += 1) work();
  return median(
    Array.from({ length: rounds }, () => {
      const started = performance.now();
      for (let call = 0; call < calls; call += 1) work();
      return (performance.now() - started) / calls;
    }),
  );
}

/**
 * The medians of two works in ms, timed in turn, so that a machine that slows down slows both. Each is
 * called `rounds` times after a warm-up.
 */
export function inTurn(
  one: () => unknown,
  other: () => unknown,
  rounds = 200,
): readonly [number, number] {
  const found: [number[], number[]] = [[], []];
  for (let round = 0; round < rounds * 1.5; round += 1) {
    const pair = [took(one), took(other)] as const;
    if (round < rounds / 2) continue;
    found[0].push(pair[0]);
    found[1].push(pair[1]);
  }
  return [median(found[0]), median(found[1])];
}

/** One work as a ratio to another, timed in turn. */
export function ratio(
  name: string,
  work: () => unknown,
  against: string,
  other: () => unknown,
  { limit, rounds }: { readonly limit?: number; readonly rounds?: number } = {},
): Row {
  const [ms, otherMs] = inTurn(work, other, rounds);
  return {
    name,
    value: ms / otherMs,
    unit: '×',
    against: `${against}: ${ms.toFixed(3)} to ${otherMs.toFixed(3)} ms`,
    ...(limit !== undefined && { limit }),
  };
}

export const ms = (name: string, value: number, against = '', limit?: number): Row => ({
  name,
  value,
  unit: 'ms',
  against,
  ...(limit !== undefined && { limit }),
});

export const isOver = ({ value, limit }: Row): boolean =>
  limit !== undefined && !(value <= limit * (1 + TOLERANCE));

const figure = (value: number): string =>
  value >= 100 ? value.toFixed(0) : value >= 10 ? value.toFixed(1) : value.toFixed(2);

export const said = (row: Row): string =>
  [
    `${figure(row.value)} ${row.unit}`.padStart(10),
    row.limit === undefined ? ''.padEnd(12) : `of ${figure(row.limit)} ${row.unit}`.padEnd(12),
    row.name,
    row.against && `(${row.against})`,
    isOver(row) ? 'OVER ITS LIMIT' : '',
  ]
    .filter(Boolean)
    .join('  ');

/** The rows as a table of Markdown. */
export const tableOf = (rows: readonly Row[]): string =>
  [
    '| what | measured | limit | beside |',
    '|---|---:|---:|---|',
    ...rows.map(
      (row) =>
        `| ${row.name} | ${figure(row.value)} ${row.unit} | ${row.limit === undefined ? '' : `${figure(row.limit)} ${row.unit}`} | ${row.against} |`,
    ),
    '',
  ].join('\n');
