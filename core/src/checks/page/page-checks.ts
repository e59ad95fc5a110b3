import type { Derived } from '../../derive/derived.ts';
import type { StyleDocument } from '../../system/document.ts';
import type { Finding } from '../finding.ts';
import { edgesCheck } from './edges.ts';
import { fitsCheck } from './fits.ts';
import { headerRowsCheck } from './header-rows.ts';
import { groupingCheck } from './grouping.ts';
import { childrenOf, type MeasuredPage, type PageCheck } from './measured-page.ts';
import { pictureSizes } from './picture-sizes.ts';
import { offScaleCheck } from './off-scale.ts';
import { reflowCheck } from './reflow.ts';
import { roomCheck } from './room.ts';
import { middleCheck, navigationCheck } from './rows.ts';
import { siblingsCheck } from './siblings.ts';
import { targetsCheck } from './targets.ts';

/** All checks of a page as it is laid out; a new one is a file and a line here. */
export const PAGE_CHECKS: readonly PageCheck[] = [
  targetsCheck,
  reflowCheck,
  offScaleCheck,
  groupingCheck,
  siblingsCheck,
  edgesCheck,
  roomCheck,
  navigationCheck,
  middleCheck,
  headerRowsCheck,
];

/** On a page under stress, what fits; among all components, what is pressed too. */
const STRESSED: readonly PageCheck[] = [fitsCheck];
const OF_SHEET: readonly PageCheck[] = [fitsCheck, targetsCheck];

const checksOf = ({ stress, isSheet }: MeasuredPage): readonly PageCheck[] =>
  stress !== undefined ? STRESSED : isSheet ? OF_SHEET : PAGE_CHECKS;

const onPage = (finding: Finding, page: string | undefined): Finding =>
  page === undefined ? finding : { ...finding, where: { ...finding.where, page } };

/**
 * What is found on pages at several widths: each thing once, on the first page and at the first width where it shows.
 * Yields after every check, so that whoever asks can let something else go first.
 */
export function* checkPages(
  pages: readonly MeasuredPage[],
  document: StyleDocument,
  derived: Derived,
): Generator<undefined, readonly Finding[]> {
  const found = new Map<string, Finding>();
  for (const page of pages) {
    const measurement = { page, document, derived, children: childrenOf(page.boxes) };
    for (const check of checksOf(page)) {
      for (const finding of check(measurement))
        if (!found.has(finding.id)) found.set(finding.id, onPage(finding, page.page));
      yield;
    }
  }
  return [...found.values(), ...pictureSizes(pages, document)];
}

/** The same at once. */
export function pageFindings(
  pages: readonly MeasuredPage[],
  document: StyleDocument,
  derived: Derived,
): readonly Finding[] {
  const checks = checkPages(pages, document, derived);
  for (;;) {
    const { done, value } = checks.next();
    if (done) return value;
  }
}
