import { tooMuch, type Presence } from '@garnish/core/checks/measured-colors';
import type { Finding } from '@garnish/core/checks/finding';
import type { Mode } from '@garnish/core/system/document';
import { modesOf } from '@garnish/core/system/themes';
import { useSyncExternalStore } from 'react';
import type { View } from '../system/views.ts';
import { inEachTheme, inHiddenPage } from './hidden-page.ts';
import { presenceLater } from './measure-colors.ts';

/** The screen on which shares are told, in px: most of a page is seen at once there. */
const WIDE_PX = 1440;

/** How much is colored on the page that was measured last, by theme. */
export type Presences = Readonly<Partial<Record<Mode, Presence>>>;

let last: Presences = {};
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export const usePresences = (): Presences => useSyncExternalStore(subscribe, () => last);

/**
 * How much of a page is colored, ground and text, in every theme that the site has: in the frame that nobody sees and in
 * slices between keys. What is too much is found.
 */
export async function measurePresence(
  view: View,
  page: string,
  isOff: () => boolean,
): Promise<readonly Finding[] | undefined> {
  return inHiddenPage(async (hidden) => {
    const modes = modesOf(view.derived.themes);
    hidden.show(view, page);
    await hidden.resize(WIDE_PX);
    const seen = await inEachTheme(hidden, modes, async (mode) => {
      const presence = await presenceLater(hidden.document, isOff);
      return presence && ([mode, presence] as const);
    });
    if (!seen) return undefined;
    last = Object.fromEntries(seen);
    listeners.forEach((listener) => listener());
    return seen.flatMap(([mode, presence]) => tooMuch(presence, mode));
  });
}
