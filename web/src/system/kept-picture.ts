import type { ShownPicture } from '@garnish/core/proof/sections/kind';
import { useState } from 'react';
import * as z from 'zod/mini';
import { sendForm } from '../api/client.ts';
import { drawnPicture } from '../ui/picture.ts';

const kept = z.object({ file: z.string() });
/** As large as the proof ever shows it, at two pixels for one. */
const LONGEST_PX = 2400;
const MOST_BYTES = 7_500_000;
const KEPT_AS_IT_IS = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/avif']);

/** A file as a picture that is stored beside the systems; throws with the reason where it cannot be. */
export async function keptPicture(file: File): Promise<ShownPicture> {
  const canvas = await drawnPicture(file, LONGEST_PX);
  const asItIs = KEPT_AS_IT_IS.has(file.type) && file.size <= MOST_BYTES;
  const blob = asItIs ? file : await canvas.convertToBlob({ type: 'image/webp', quality: 0.9 });
  const form = new FormData();
  form.append('picture', blob, file.name);
  const { file: name } = kept.parse(await sendForm('/api/pictures', form));
  const image = new Image();
  image.src = `/proof/pictures/${name}`;
  await image.decode();
  return {
    name: file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 60) || 'picture',
    file: name,
    width: image.naturalWidth,
    height: image.naturalHeight,
  };
}

/** How a picture that somebody chose comes to be kept. */
export interface KeepingPicture {
  readonly take: (file: File | undefined) => void;
  readonly busy: boolean;
  /** Why the last one was not taken. */
  readonly told: string | undefined;
}

/** Stores a picture that is chosen, and hands it on; says why where it cannot. */
export function useKeepingPicture(
  onKept: (picture: ShownPicture) => void | Promise<void>,
): KeepingPicture {
  const [told, setTold] = useState<string>();
  const [busy, setBusy] = useState(false);
  return {
    busy,
    told,
    take(file) {
      if (!file) return;
      setBusy(true);
      setTold(undefined);
      keptPicture(file)
        .then(onKept)
        .catch((error: unknown) =>
          setTold(error instanceof Error ? error.message : `${file.name} could not be taken.`),
        )
        .finally(() => setBusy(false));
    },
  };
}
