import { inferredFrom, type Inferred } from '@garnish/core/reading/inferred';
import { shownPages, type ShownPage } from '@garnish/core/reading/shown-page';
import { answering, type Progress, type WorkerProblem } from '../ui/answering.ts';
import { NOTHING_READ, readSheetFiles } from '../ui/sheet-files.ts';

/** Files to be read, or colors of those that were read to be kept apart. */
export interface InferQuestion {
  readonly files?: readonly File[];
  readonly apart: readonly string[];
  /** The size of running text on screens of some widths, in px, where a page was looked at. */
  readonly running?: readonly (readonly [widthPx: number, px: number])[];
}

export type InferAnswer =
  | Progress
  | WorkerProblem
  | {
      readonly kind: 'found';
      readonly inferred: Inferred;
      readonly files: readonly string[];
      readonly refused: readonly string[];
      /** The pages among the files, as they can be shown; told once, when they were read. */
      readonly pages?: readonly ShownPage[];
    };

let read = NOTHING_READ;

/** The size of running text on the screen that is nearest to one of some width. */
const runningAt = (
  running: NonNullable<InferQuestion['running']>,
): ((widthPx: number) => number | undefined) | undefined =>
  running.length === 0
    ? undefined
    : (wanted) =>
        running.toSorted(
          ([one], [other]) => Math.abs(one - wanted) - Math.abs(other - wanted),
        )[0]?.[1];

answering<InferQuestion, InferAnswer>(async ({ files, apart, running = [] }, tell) => {
  if (files) read = await readSheetFiles(files, tell);
  const sheets = read.sheets.flatMap((one) => one.sheets);
  const { refused } = read;
  if (sheets.every(({ declarations }) => declarations.length === 0))
    return {
      kind: 'problem',
      words: refused.length > 0 ? refused.join(' ') : 'There is no style in it that can be read.',
    };
  return {
    kind: 'found',
    inferred: inferredFrom(sheets, new Set(apart), runningAt(running)),
    files: read.files.map(({ file }) => file),
    refused,
    ...(files && { pages: shownPages(read.assets) }),
  };
});
