import type { ToldFinding } from '../checks/finding.ts';
import type { Verification } from '../verify/report.ts';

/** What browsers found of a system as it is; nothing of what nobody asked them since the last change. */
export interface Known {
  /** What was found on the pages. */
  readonly measured?: readonly ToldFinding[] | undefined;
  /** What came out when the files were read. */
  readonly verified?: Verification | undefined;
}
