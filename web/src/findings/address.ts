import type { Finding } from '@garnish/core/checks/finding';
import { areaOf } from '@garnish/core/system/areas';

/** Where a decision is made: its area, and the place in it. Relative to the open system. */
export const decisionAddress = (path: string): string =>
  `${areaOf(path)}?at=${encodeURIComponent(path)}`;

export const findingAddress = ({ id }: Finding): string =>
  `review?finding=${encodeURIComponent(id)}`;
