import type { DriftRow } from '@garnish/core/reading/drift';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import { useEffect, useMemo, useState } from 'react';
import { driftedOn, type DriftedPage } from '../../proof/reading/drifted.ts';
import { openSight, type OpenSight } from '../../proof/reading/look.ts';
import type { DriftFound } from './drift-worker.ts';

/** Pages, each with how much of it has drifted, the worst first. */
export type Drifted = readonly (readonly [page: ShownPage, drifted: DriftedPage])[];

/** As wide pages are looked at, in px. */
const WIDE_PX = 1280;
const NONE: Drifted = [];

/** How much of all pages together wears a value, 0 to 1; nothing where there is no page. */
export function areaOf(drifted: Drifted, row: DriftRow): number | undefined {
  if (drifted.length === 0) return undefined;
  const sum = drifted.reduce((all, [, { byRow }]) => all + (byRow.get(row) ?? 0), 0);
  return sum / drifted.length;
}

/** Pages that were read, laid out where nobody sees them, as long as they are those that were read. */
function useSights(pages: readonly ShownPage[] | undefined) {
  const [sights, setSights] = useState<readonly (readonly [ShownPage, OpenSight])[]>([]);
  useEffect(() => {
    const over = new AbortController();
    const look = async (): Promise<void> => {
      const open: (readonly [ShownPage, OpenSight])[] = [];
      for (const page of pages ?? []) {
        // One that cannot be laid out is no reason to leave the others out.
        const sight = await openSight(page, WIDE_PX, over.signal).catch(() => undefined);
        if (over.signal.aborted) return;
        if (sight) open.push([page, sight]);
      }
      setSights(open);
    };
    void look();
    return () => {
      over.abort();
      setSights([]);
    };
  }, [pages]);
  return sights;
}

/** How much of the pages that were read has drifted; they are laid out once, however often the system changes. */
export function useDrifted(
  pages: readonly ShownPage[] | undefined,
  found: DriftFound | undefined,
): Drifted {
  const sights = useSights(pages);
  return useMemo(() => {
    if (!found || sights.length === 0) return NONE;
    return sights
      .map(
        ([page, { document, sight }]) =>
          [page, driftedOn(document, sight, found.report.drift)] as const,
      )
      .toSorted(([, one], [, other]) => other.area - one.area);
  }, [sights, found]);
}
