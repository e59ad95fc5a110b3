import { adding, collectionOf } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import { inksOf } from '@garnish/core/system/veils';
import { withStartingLook } from '../../proof/starting-look.ts';
import { useKeepingPicture } from '../../system/kept-picture.ts';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { FileDrop } from '../../ui/file-drop.tsx';
import { ArtworkEditor } from './artwork.tsx';
import { VeilEditor } from './veil-editor.tsx';

/** Pictures with text on them, and artwork that follows the palette. */
export function PicturesView() {
  const store = useStore();
  const decided = useDecided(['color']);
  const { veils } = decided.document.color;
  const { take, busy, told } = useKeepingPicture(async (picture) => {
    const id = `picture-${crypto.randomUUID().slice(0, 8)}`;
    const { decided: view } = store.state();
    const { color, type } = view.document;
    const texts = ['h1', 'lead'].filter((text) => Object.hasOwn(type.roles.items, text));
    const veil = await withStartingLook(
      {
        name: picture.name,
        picture,
        boxes: collectionOf(
          texts.map((text, at) => [
            `text-${at + 1}`,
            { text, x: 0.05, y: 0.45 + at * 0.27, width: 0.6, height: 0.25 - at * 0.05 },
          ]),
        ),
        ink: inksOf(color)[0] ?? 'page',
        color: '#000000',
        side: 'all over',
        pixels: 1,
        strength: 0,
      },
      view,
    );
    store.change(
      adding('/color/veils', store.state().decided.document.color.veils, id, veil),
      `picture ${picture.name}`,
    );
  });
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
