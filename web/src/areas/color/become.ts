import { asRole, TRIED_AS, type TriedAs } from '@garnish/core/derive/color/match-palette';
import { colorName, uniqueName } from '@garnish/core/color/names';
import type { Hex } from '@garnish/core/color/srgb';
import { adding } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import type { SystemStore } from '../../system/store.ts';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';

/** What a color that is taken can become. */
export const BECOMES = ['a source', ...TRIED_AS] as const;
export type Becomes = (typeof BECOMES)[number];

/** What colors of palettes, and related ones, become where they are pointed at or taken. */
export const useBecomes = () => {
  const { colorBecomes } = usePreferences();
  return [colorBecomes, (next: Becomes) => setPreferences({ colorBecomes: next })] as const;
};

/** Takes a color as one of the sources, or as a role with all that belongs to it. */
export function becoming(
  store: SystemStore,
  { name, hex }: { readonly name: string; readonly hex: Hex },
  as: Becomes,
): void {
  const { document } = store.state().decided;
  const { sources } = document.color;
  const called = uniqueName(
    name === '' ? colorName(hex) : name,
    new Set(inOrder(sources).map(([, source]) => source.name)),
  );
  const id = `color-${crypto.randomUUID().slice(0, 8)}`;
  const patch =
    as === 'a source'
      ? adding('/color/sources', sources, id, { name: called, value: hex })
      : asRole(document, { hex, name: called, as: as satisfies TriedAs, id });
  if (patch.length > 0)
    store.change(patch, as === 'a source' ? `${hex} among the sources` : `${hex} as ${as}`);
}
