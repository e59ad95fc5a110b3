import type { ComponentType } from 'react';
import { lazyPart } from '../ui/patient.ts';

export type AreaId = 'brief' | 'fonts' | 'type' | 'color' | 'space' | 'tokens' | 'review';

export interface AreaEntry {
  readonly id: AreaId;
  readonly name: string;
  readonly Area: ComponentType;
}

/** The areas in the order of the work; each is loaded when it is opened. */
export const AREAS: readonly [AreaEntry, ...AreaEntry[]] = [
  { id: 'brief', name: 'Brief', Area: lazyPart(() => import('./brief/brief-area.tsx')) },
  { id: 'fonts', name: 'Fonts', Area: lazyPart(() => import('./fonts/fonts-area.tsx')) },
  { id: 'type', name: 'Type', Area: lazyPart(() => import('./type/type-area.tsx')) },
  { id: 'color', name: 'Color', Area: lazyPart(() => import('./color/color-area.tsx')) },
  { id: 'space', name: 'Space', Area: lazyPart(() => import('./space/space-area.tsx')) },
  { id: 'tokens', name: 'Tokens', Area: lazyPart(() => import('./tokens/tokens-area.tsx')) },
  { id: 'review', name: 'Review', Area: lazyPart(() => import('./review/review-area.tsx')) },
];
