import type { StyleDocument } from '../system/document.ts';

/** A kind of thing that is measured on the page in the browser, and found at times of its own. */
export interface Measurement {
  /** The parts of a document that it is measured of: while they are the same, what was found holds. */
  readonly reads: (document: StyleDocument) => readonly unknown[];
  /**
   * Whether a finding outlives a change of those parts for as long as the decision that it names says the
   * same: until the next measurement nobody knows better.
   */
  readonly outlives: boolean;
}
