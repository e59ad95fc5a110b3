import type { ColorFamily } from './families.ts';

/** A state of a control, by the ids of the color roles of a family: at rest, pointed at, pressed. */
export const statesOf = (
  family: ColorFamily,
): readonly [rest: string, hover: string, pressed: string] => [
  family,
  `${family}-hover`,
  `${family}-pressed`,
];
