import type { MadeManner } from '@garnish/core/image/made/kinds';
import type { ShownPicture } from '@garnish/core/proof/sections/kind';
import {
  madeFor,
  madeName,
  madePalette,
  placing,
  type PicturePlace,
} from '@garnish/core/system/made-pictures';
import { useRef, useState } from 'react';
import { keptPicture } from './kept-picture.ts';
import { useStore } from './system-context.ts';

/** How far the drawing of several pictures is. */
export interface Drawing {
  /** How many of how many are drawn; undefined while none are. */
  readonly done: { readonly now: number; readonly of: number } | undefined;
  /** Why it stopped. */
  readonly told: string | undefined;
  /** Draws for these places: those that are made already with the seed that they have, if `again`. */
  readonly draw: (
    places: readonly PicturePlace[],
    manner: MadeManner | undefined,
    again?: boolean,
  ) => void;
  readonly stop: () => void;
}

/** Draws pictures in the palette of the system and puts all of them in place as one change. */
export function useMadePictures(): Drawing {
  const store = useStore();
  const [done, setDone] = useState<Drawing['done']>();
  const [told, setTold] = useState<string>();
  const stopped = useRef(false);

  const all = async (
    places: readonly PicturePlace[],
    manner: MadeManner | undefined,
    again: boolean,
  ): Promise<void> => {
    const { drawMade } = await import('@garnish/core/image/made/made');
    const { document, derived } = store.state().decided;
    const palette = madePalette(document, derived);
    const drawn: (readonly [string, ShownPicture])[] = [];
    for (const [index, place] of places.entries()) {
      if (stopped.current) return;
      setDone({ now: index, of: places.length });
      const before = place.picture?.made;
      const seed = again && before ? before.seed : crypto.randomUUID().slice(0, 12);
      const made = madeFor(place, manner ?? before?.manner ?? 'flat', seed);
      const file = new File([drawMade(made, palette)], 'drawing.svg', { type: 'image/svg+xml' });
      const picture = await keptPicture(file);
      const name = place.picture?.name ?? madeName(place);
      const alt = place.picture?.alt;
      drawn.push([place.path, { ...picture, name, ...(alt !== undefined && { alt }), made }]);
    }
    const said = drawn.length === 1 ? 'a picture drawn' : `${drawn.length} pictures drawn`;
    if (!stopped.current && !store.change(placing(drawn), said))
      setTold('A place is gone by now. Nothing was changed.');
  };
  return {
    done,
    told,
    draw(places, manner, again = false) {
      stopped.current = false;
      setTold(undefined);
      setDone({ now: 0, of: places.length });
      all(places, manner, again)
        .catch((error: unknown) =>
          setTold(`${error instanceof Error ? error.message : 'It failed.'} Nothing was changed.`),
        )
        .finally(() => setDone(undefined));
    },
    stop() {
      stopped.current = true;
    },
  };
}
