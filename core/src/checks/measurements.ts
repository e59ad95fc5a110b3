import type { StyleDocument } from '../system/document.ts';
import { valueAt } from '../system/patch.ts';
import type { Finding } from './finding.ts';
import { measuredAttention } from './measured-attention.ts';
import { measuredColors } from './measured-colors.ts';
import { measuredPictures } from './measured-pictures.ts';
import { measuredUses } from './measured-uses.ts';
import { verifiedFiles } from './verified-files.ts';
import type { Measurement } from './measurement.ts';
import { measuredFits, measuredLayout } from './page/measured-layout.ts';

/** All that is measured in the browser, by what it is called; a new kind is a file and a line here. */
export const MEASUREMENTS = {
  colors: measuredColors,
  layout: measuredLayout,
  fits: measuredFits,
  pictures: measuredPictures,
  attention: measuredAttention,
  uses: measuredUses,
  files: verifiedFiles,
} as const satisfies Readonly<Record<string, Measurement>>;

export type Measured = keyof typeof MEASUREMENTS;

/** What is left of the findings that were measured of one document, now that it is another. */
export function stillMeasured(
  kind: Measured,
  of: StyleDocument,
  findings: readonly Finding[],
  now: StyleDocument,
): readonly Finding[] {
  const { reads, outlives }: Measurement = MEASUREMENTS[kind];
  const before = reads(of);
  if (reads(now).every((part, index) => part === before[index])) return findings;
  if (!outlives) return [];
  return findings.filter(({ decision }) => valueAt(of, decision) === valueAt(now, decision));
}
