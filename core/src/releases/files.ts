import type { Difference } from './difference.ts';
import { differenceMarkdown } from './difference-markdown.ts';
import { deprecatedCss, replacementsJson } from './replacements.ts';

/** Which states a difference is between, and of which system. */
export interface BetweenStates {
  readonly name: string;
  readonly from: string;
  readonly to: string;
}

/** A file that tells of a difference. */
export interface DifferenceFile {
  readonly file: string;
  readonly type: string;
  readonly says: string;
  readonly write: (difference: Difference, between: BetweenStates) => string;
}

/** Every file in which a difference can be taken away. */
export const DIFFERENCE_FILES: readonly DifferenceFile[] = [
  {
    file: 'changes.md',
    type: 'text/markdown; charset=utf-8',
    says: 'what changed, in words',
    write: differenceMarkdown,
  },
  {
    file: 'replacements.json',
    type: 'application/json; charset=utf-8',
    says: 'old names and new ones, for a script',
    write: replacementsJson,
  },
  {
    file: 'deprecated.css',
    type: 'text/css; charset=utf-8',
    says: 'old names that take the new values',
    write: deprecatedCss,
  },
];
