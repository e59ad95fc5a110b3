import type { DriftRow } from '@garnish/core/reading/drift';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import { useEffect, useState } from 'react';
import { driftedOn, type DriftedPage } from '../../proof/reading/drifted.ts';
import { lookAt } from '../../proof/reading/look.ts';
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

/** Looks at pages that were read, one after the other, for how much of them has drifted. */
export function useDrifted(
  pages: readonly ShownPage[] | undefined,
  found: DriftFound | undefined,
): Drifted {
  const [known, setKnown] = useState<{ readonly of: DriftFound; readonly drifted: Drifted }>();
  useEffect(() => {
    if (!pages || !found) return undefined;
    let isOff = false;
    const look = async (): Promise<void> => {
      const drifted: (readonly [ShownPage, DriftedPage])[] = [];
      for (const page of pages) {
        const told = await lookAt(
          page,
          WIDE_PX,
          (sight, document) => driftedOn(document, sight, found.report.drift),
          () => isOff,
        );
        if (isOff) return;
        if (told) drifted.push([page, told]);
      }
      setKnown({
        of: found,
        drifted: drifted.toSorted(([, one], [, other]) => other.area - one.area),
      });
    };
    void look();
    return () => {
      isOff = true;
    };
  }, [pages, found]);
  return known?.of === found ? (known?.drifted ?? NONE) : NONE;
}
