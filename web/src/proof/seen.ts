import { VISIONS } from '@garnish/core/color/vision';
import type { Preferences } from '../ui/preferences.ts';

export const SEEN = ['usual', ...VISIONS, 'outdoors'] as const;

/** The filter that lets the proof be seen so, and blurred; none for usual eyes indoors. */
export const filterFor = (seen: Preferences['proofSeen'], blurPx: number): string | undefined => {
  const filters = [
    ...(seen === 'usual' ? [] : [`url(#seen-${seen})`]),
    ...(blurPx > 0 ? [`blur(${blurPx}px)`] : []),
  ];
  return filters.length === 0 ? undefined : filters.join(' ');
};
