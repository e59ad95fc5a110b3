import { RUNGS, type RampShape } from '@garnish/core/color/ramp';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

/** The drawing of a ramp, in units of its view box: three bands, one below the other. */
export const SIZE = { width: 352, height: 276 };
export const LEFT = 26;
export const LIGHTNESS = { from: 6, to: 118 };
export const CHROMA = { from: 134, to: 196 };
export const HUES = { from: 222, to: 262 };

/** Where a rung stands, counted from 0. */
export const rungX = scaleLinear([0, RUNGS - 1], [LEFT + 6, SIZE.width - 8]);

const path = line<number>(
  (_, index) => rungX(index),
  (value) => value,
);

/** A line through one height for every rung. */
export const pathOf = (heights: readonly number[]): string => path([...heights]) ?? '';

/** What each band of the drawing is given. */
export interface RampPart {
  readonly name: string;
  readonly shape: RampShape;
  readonly onChange: (change: Partial<RampShape>, gesture: string) => void;
}
