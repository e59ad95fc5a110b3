import { AREAS, type AreaId } from '@garnish/core/system/areas';
import type { ComponentType } from 'react';
import { lazyPart } from '../ui/patient.ts';

export type { AreaId };

export interface AreaEntry {
  readonly id: AreaId;
  readonly name: string;
  readonly Area: ComponentType;
}

/** What each area opens; loaded when it is. */
const PARTS: Readonly<Record<AreaId, () => Promise<{ readonly default: ComponentType }>>> = {
  brief: () => import('./brief/brief-area.tsx'),
  fonts: () => import('./fonts/fonts-area.tsx'),
  type: () => import('./type/type-area.tsx'),
  color: () => import('./color/color-area.tsx'),
  space: () => import('./space/space-area.tsx'),
  components: () => import('./components/components-area.tsx'),
  tokens: () => import('./tokens/tokens-area.tsx'),
  review: () => import('./review/review-area.tsx'),
  handoff: () => import('./handoff/handoff-area.tsx'),
};

/** The areas in the order of the work. */
export const AREA_PAGES: readonly AreaEntry[] = AREAS.map(({ id, name }) => ({
  id,
  name,
  Area: lazyPart(PARTS[id]),
}));

export const FIRST_AREA: AreaId = AREAS[0].id;
