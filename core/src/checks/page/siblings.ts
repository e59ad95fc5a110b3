import type { Finding } from '../finding.ts';
import { gapsIn, nameOf, selectorOf, type PageCheck } from './measured-page.ts';
import { alike, says } from './parts-of.ts';

/** Gaps that differ by less than this are meant to be the same, in px. Common practice. */
const LITTLE_PX = 4;
/** What layout rounds away. */
const SAME_PX = 0.5;

/** Neighbors stand at one distance from each other, or at clearly different ones. */
export const siblingsCheck: PageCheck = (measurement) => {
  const { page } = measurement;
  const found = new Map<string, Finding>();
  for (const [index, box] of page.boxes.entries())
    for (const axis of ['block', 'inline'] as const) {
      const gaps = gapsIn(measurement, index, axis).map(({ px }) => px);
      if (gaps.length < 2 || found.has(alike(box))) continue;
      const sorted = [...gaps].sort((one, other) => one - other);
      const at = sorted.findIndex((px, one) => {
        const apart = px - (sorted[one - 1] ?? px);
        return apart > SAME_PX && apart <= LITTLE_PX;
      });
      if (at < 1) continue;
      found.set(alike(box), {
        id: `uneven:${alike(box)}`,
        severity: 'look',
        area: 'space',
        decision: '/space/parts',
        title: `Gaps in ${nameOf(box)} differ by a little`,
        figures: `${says(sorted[at - 1] ?? 0)} and ${says(sorted[at] ?? 0)}, at ${page.widthPx} px`,
        reason: 'A small difference is seen, and looks like a mistake.',
        source: 'measured in the browser; common practice',
        where: { selector: selectorOf(page, index), widthPx: page.widthPx },
      });
    }
  return [...found.values()];
};
