import type { Measurement } from './measurement.ts';

/** What stands out of a page follows from all that is decided. */
export const measuredAttention: Measurement = { reads: (document) => [document], outlives: true };
