import type { SampledColor } from '@garnish/core/color/dominant';
import { colorName, uniqueName } from '@garnish/core/color/names';
import type { Hex } from '@garnish/core/color/srgb';
import { adding } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import { memo, useEffect, useState } from 'react';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { UnreadablePicture } from '../../ui/picture.ts';
import { Loupe } from './loupe.tsx';
import { readPicture } from './read-picture.ts';

interface Found {
  readonly name: string;
  readonly colors: readonly SampledColor[];
  readonly canvas: OffscreenCanvas;
}

const WORDS = { paper: 'near white', ink: 'near black', gray: 'gray', color: '' } as const;

const percent = (share: number): string =>
  share < 0.01 ? `${(share * 100).toFixed(1)} %` : `${Math.round(share * 100)} %`;

/** Colors out of a logo or a picture: dropped, pasted or chosen, each taken with a click. */
export const Sample = memo(function Sample() {
  const store = useStore();
  const decided = useDecidedLater(['color', 'layout']);
  const { color, layout } = decided.document;
  const { sources } = color;
  const logo = layout.logo.light;
  const [found, setFound] = useState<Found>();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);

  const read = (file: File | undefined): void => {
    if (!file) return;
    setBusy(true);
    setProblem(undefined);
    readPicture(file)
      .then(({ colors, canvas }) => {
        setFound({ name: file.name, colors, canvas });
        if (colors.length === 0) setProblem(`${file.name} is transparent all over.`);
      })
      .catch((error: unknown) => {
        setFound(undefined);
        setProblem(
          error instanceof UnreadablePicture ? error.message : `${file.name} could not be read.`,
        );
      })
      .finally(() => setBusy(false));
  };
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => {
      const file = event.clipboardData?.files[0];
      if (file?.type.startsWith('image/')) read(file);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, []);

  const known = new Set<string>(inOrder(sources).map(([, { value }]) => value));
  const names = new Set(inOrder(sources).map(([, { name }]) => name));
  const add = (hex: Hex): void => {
    const source = `color-${crypto.randomUUID().slice(0, 8)}`;
    store.change(
      adding('/color/sources', sources, source, {
        name: uniqueName(colorName(hex), names),
        value: hex,
      }),
      `${hex} from ${found?.name ?? 'a picture'}`.slice(0, 80),
    );
  };
  /** The first color of a system is its brand. */
  const [brandId, brand] = inOrder(sources)[0] ?? [];
  const makeBrand = (hex: Hex): void => {
    if (brandId === undefined || !brand) return;
    const path = `/color/sources/items/${brandId}`;
    store.change(
      [
        { op: 'replace', path: `${path}/value`, value: hex },
        // What stood beyond sRGB belonged to the color before.
        ...(brand.wide === undefined ? [] : [{ op: 'remove' as const, path: `${path}/wide` }]),
      ],
      `${brand.name} ${hex}`,
    );
  };
  return (
    <FileDrop
      name="Colors from a picture"
      label="Sample a logo or a picture"
      accept="image/*"
      className="mt-3"
      onFiles={([file]) => read(file)}
    >
      {' '}
      {logo !== undefined && (
        <button
          type="button"
          className="act"
          onClick={() => read(new File([logo], 'the logo.svg', { type: 'image/svg+xml' }))}
        >
          Sample the site’s logo
        </button>
      )}{' '}
      <span className="text-xs text-quiet">{busy ? 'looking …' : 'or drop or paste one'}</span>
      {problem !== undefined && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {found && found.colors.length > 0 && (
        <>
          <div
            className="mt-1 flex h-4"
            role="img"
            aria-label={`The colors of ${found.name} by their shares`}
          >
            {found.colors.map(({ hex, share }) => (
              <span key={hex} style={{ background: hex, flexGrow: Math.max(share, 0.01) }} />
            ))}
          </div>
          <ul aria-label={`Colors of ${found.name}`}>
            {found.colors.map((color) => {
              const { hex, share, kind } = color;
              return (
                <li key={hex} className="flex items-center gap-3 border-b border-line">
                  <span className="h-4 w-6 shrink-0" style={{ background: hex }} aria-hidden />
                  <span className="figures">{hex}</span>
                  <span className="figures text-xs text-quiet">{percent(share)}</span>
                  <span className="grow text-xs text-quiet">{WORDS[kind]}</span>
                  {brand && brand.value !== hex && (
                    <button
                      type="button"
                      className="min-h-6 text-quiet hover:text-base-content hover:underline"
                      aria-label={`Make ${hex} the ${brand.name}`}
                      onClick={() => makeBrand(hex)}
                    >
                      Make it the {brand.name}
                    </button>
                  )}
                  {known.has(hex) ? (
                    <span className="min-h-6 py-0.5 text-quiet">taken</span>
                  ) : (
                    <button
                      type="button"
                      className="act"
                      aria-label={`Take ${hex} as a color`}
                      onClick={() => add(hex)}
                    >
                      Take
                    </button>
                  )}
                </li>
              );
            })}
          </ul>
          <Loupe key={found.name} picture={found.canvas} name={found.name} onTake={add} />
        </>
      )}
    </FileDrop>
  );
});
