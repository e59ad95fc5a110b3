import { derive } from '@garnish/core/derive/derive';
import { reportOf, type DriftReport } from '@garnish/core/reading/drift-report';
import { patchOf } from '@garnish/core/reading/mending';
import { factsOfSheets, type SheetFacts } from '@garnish/core/reading/sheet-facts';
import { shownPages, type ShownPage } from '@garnish/core/reading/shown-page';
import type { StyleDocument } from '@garnish/core/system/document';
import { answering, type Progress, type WorkerProblem } from '../../ui/answering.ts';
import { NOTHING_READ, readSheetFiles } from '../../ui/sheet-files.ts';

/** Files to be read, or those that were read held against another state of the system. */
export interface DriftQuestion {
  readonly files?: readonly File[];
  readonly document: StyleDocument;
  readonly state: string;
}

/** What was found, and what is taken of it. */
export interface DriftFound {
  readonly report: DriftReport;
  readonly patch: string;
  /** Sheets that the files ask for and that are not among them. */
  readonly missing: readonly string[];
  /** Files that could not be read, each with why. */
  readonly refused: readonly string[];
  readonly files: number;
}

export type DriftAnswer =
  | Progress
  | WorkerProblem
  | {
      readonly kind: 'found';
      readonly found: DriftFound;
      /** The pages among the files, as they can be shown; told once, when they were read. */
      readonly pages?: readonly ShownPage[];
      /** What is told of all their sheets; told once too. */
      readonly facts?: SheetFacts;
    };

/** What was read last: it is held against each state of the system without being read again. */
let read = NOTHING_READ;

answering<DriftQuestion, DriftAnswer>(async ({ files, document, state }, tell) => {
  if (files) read = await readSheetFiles(files, tell);
  const { sheets: all, refused } = read;
  if (all.length === 0)
    return {
      kind: 'problem',
      words: refused.length > 0 ? refused.join(' ') : 'There was no style sheet and no page.',
    };
  const count = read.files.length;
  tell({ kind: 'progress', words: 'holding against the system', done: count, of: count });
  const derived = derive(document);
  const { report, missing } = reportOf(document, derived, read, state);
  const patch = patchOf(read.files, report.drift);
  return {
    kind: 'found',
    found: { report, patch, missing, refused, files: count },
    ...(files && {
      pages: shownPages(read.assets),
      facts: factsOfSheets(all.flatMap((one) => one.sheets)),
    }),
  };
});
