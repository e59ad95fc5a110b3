/** As much of a drawing as is asked for its stroke. */
interface Stroked {
  readonly shapes: readonly {
    readonly d: string;
    readonly paint: 'fill' | 'stroke';
    readonly width?: number | undefined;
  }[];
}

/** What the second tone has where nothing else is said; common practice. */
export const USUAL_FAINT = 0.3;

/** The width that most of its strokes have, in units of its box; undefined where nothing is stroked. */
export function usualStroke({ shapes }: Stroked): number | undefined {
  const lengths = new Map<number, number>();
  for (const { paint, width, d } of shapes)
    if (paint === 'stroke' && width !== undefined)
      lengths.set(width, (lengths.get(width) ?? 0) + d.length);
  return [...lengths].toSorted(([, one], [, other]) => other - one)[0]?.[0];
}
