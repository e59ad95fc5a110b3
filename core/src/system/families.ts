/** The vivid colors of a site, each of which has inks, washes, edges and states. */
export const FAMILIES = [
  'action',
  'support',
  'accent',
  'success',
  'warning',
  'danger',
  'notice',
] as const;
export type ColorFamily = (typeof FAMILIES)[number];
