import type { Measurement } from '../measurement.ts';

/** What is measured of the layout follows from all that is decided. */
export const measuredLayout: Measurement = { reads: (document) => [document], outlives: true };

/** What holds under stress follows from the same; it is measured later than all else. */
export const measuredFits: Measurement = measuredLayout;
