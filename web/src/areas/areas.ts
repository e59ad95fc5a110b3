import { lazy, type ComponentType } from 'react';

export type AreaId = 'brief' | 'fonts' | 'type' | 'color' | 'space' | 'tokens' | 'review';

export interface AreaEntry {
  readonly id: AreaId;
  readonly name: string;
  readonly Area: ComponentType;
}

/** The areas in the order of the work; each is loaded when it is opened. */
export const AREAS: readonly [AreaEntry, ...AreaEntry[]] = [
  { id: 'brief', name: 'Brief', Area: lazy(() => import('./brief/brief-area.tsx')) },
  { id: 'fonts', name: 'Fonts', Area: lazy(() => import('./fonts/fonts-area.tsx')) },
  { id: 'type', name: 'Type', Area: lazy(() => import('./type/type-area.tsx')) },
  { id: 'color', name: 'Color', Area: lazy(() => import('./color/color-area.tsx')) },
  { id: 'space', name: 'Space', Area: lazy(() => import('./space/space-area.tsx')) },
  { id: 'tokens', name: 'Tokens', Area: lazy(() => import('./tokens/tokens-area.tsx')) },
  { id: 'review', name: 'Review', Area: lazy(() => import('./review/review-area.tsx')) },
];
