import { adding } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import { useState } from 'react';
import * as z from 'zod/mini';
import { sendForm } from '../../api/client.ts';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { FileDrop } from '../../ui/file-drop.tsx';
import { drawnPicture } from '../../ui/picture.ts';
import { ArtworkEditor } from './artwork.tsx';
import { VeilEditor } from './veil-editor.tsx';

const kept = z.object({ file: z.string() });
/** As large as the proof ever shows it, at two pixels for one. */
const LONGEST_PX = 2400;
const MOST_BYTES = 7_500_000;
const KEPT_AS_IT_IS = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/avif']);

/** Pictures with text on them, and artwork that follows the palette. */
export function PicturesView() {
  const store = useStore();
  const decided = useDecided(['color']);
  const { veils, roles } = decided.document.color;
  const [told, setTold] = useState<string>();
  const [busy, setBusy] = useState(false);

  const add = async (file: File): Promise<void> => {
    const canvas = await drawnPicture(file, LONGEST_PX);
    const asItIs = KEPT_AS_IT_IS.has(file.type) && file.size <= MOST_BYTES;
    const blob = asItIs ? file : await canvas.convertToBlob({ type: 'image/webp', quality: 0.9 });
    const form = new FormData();
    form.append('picture', blob, file.name);
    const { file: name } = kept.parse(await sendForm('/api/pictures', form));
    const image = new Image();
    image.src = `/proof/pictures/${name}`;
    await image.decode();
    const id = `picture-${crypto.randomUUID().slice(0, 8)}`;
    const called = file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 60) || 'picture';
    store.change(
      adding('/color/veils', veils, id, {
        name: called,
        picture: {
          name: called,
          file: name,
          width: image.naturalWidth,
          height: image.naturalHeight,
        },
        boxes: {
          order: ['title', 'lead'],
          items: {
            title: { text: 'h1', x: 0.05, y: 0.45, width: 0.6, height: 0.25 },
            lead: { text: 'lead', x: 0.05, y: 0.72, width: 0.6, height: 0.2 },
          },
        },
        ink: 'page' in roles.items ? 'page' : (roles.order[0] ?? 'page'),
        color: '#000000',
        side: 'all over',
        pixels: 1,
        strength: 0,
      }),
      `picture ${called}`,
    );
  };
  const take = (file: File | undefined): void => {
    if (!file) return;
    setBusy(true);
    setTold(undefined);
    add(file)
      .catch((error: unknown) =>
        setTold(error instanceof Error ? error.message : `${file.name} could not be taken.`),
      )
      .finally(() => setBusy(false));
  };
  return (
    <>
      <Section title="Text over pictures" aside="proved on the pixels, at every width" full>
        {veils.order.length === 0 && (
          <p className="pb-1 text-quiet">
            No picture yet. Drop one, put the text where it will stand, and the least veil is found
            at which it reads.
          </p>
        )}
        {inOrder(veils).map(([id, veil]) => (
          <VeilEditor key={id} id={id} veil={veil} />
        ))}
        <FileDrop
          name="A picture for text"
          label="Import a picture"
          accept="image/*"
          onFiles={([file]) => take(file)}
        >
          {' '}
          <span className="text-xs text-quiet">{busy ? 'looking …' : 'or drop one'}</span>
          {told !== undefined && (
            <p role="alert" className="text-error">
              {told} Nothing was changed.
            </p>
          )}
        </FileDrop>
      </Section>
      <Section title="Artwork" aside="its fills follow the palette" full>
        <ArtworkEditor />
      </Section>
    </>
  );
}
