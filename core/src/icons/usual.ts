import type { DeepReadonly } from '../deep-readonly.ts';
import type { IconDrawing } from './drawing.ts';

/** What the second tone has where nothing else is said; common practice. */
export const USUAL_FAINT = 0.3;

/** The width that most of its strokes have, in units of its box; undefined where nothing is stroked. */
export function usualStroke({
  shapes,
}: Pick<DeepReadonly<IconDrawing>, 'shapes'>): number | undefined {
  const lengths = new Map<number, number>();
  for (const { paint, width, d } of shapes)
    if (paint === 'stroke' && width !== undefined)
      lengths.set(width, (lengths.get(width) ?? 0) + d.length);
  return [...lengths].toSorted(([, one], [, other]) => other - one)[0]?.[0];
}
