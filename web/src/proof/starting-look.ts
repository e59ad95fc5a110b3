import { neededContrast } from '@garnish/core/color/contrast';
import { inOrder, type Mode, type Veil } from '@garnish/core/system/document';
import { modesOf } from '@garnish/core/system/themes';
import { inksOf } from '@garnish/core/system/veils';
import { ROOT_PX } from '@garnish/core/type/fluid';
import type { View } from '../system/views.ts';
import type { LookCase, LookSentence } from './judge-worker.ts';

/** So long an answer is waited for, in ms. */
const PATIENCE_MS = 10_000;

/** What a veil can be of at the start. */
const VEILS = ['#000000', '#ffffff'] as const;

/** The contrast that a text role needs wherever it stands. */
export function neededOf(
  text: string,
  {
    document,
    derived,
  }: {
    readonly document: Pick<View['document'], 'brief'>;
    readonly derived: Pick<View['derived'], 'styles'>;
  },
): number {
  const style = derived.styles.get(text);
  return style
    ? neededContrast(style.size.minRem * ROOT_PX, style.weight, document.brief.conformance)
    : 4.5;
}

function ask(asked: LookCase): Promise<LookSentence> {
  const worker = new Worker(new URL('./judge-worker.ts', import.meta.url), { type: 'module' });
  return new Promise<LookSentence>((resolve) => {
    const failed = (): void => resolve({ id: asked.id, ok: false });
    worker.onmessage = ({ data }: MessageEvent<LookSentence>) => resolve(data);
    worker.onerror = failed;
    setTimeout(failed, PATIENCE_MS);
    worker.postMessage(asked);
  }).finally(() => worker.terminate());
}

/**
 * A new picture with the ink and the veil that read with the least of it in each theme; as it was given where the
 * pixels cannot be read, or nothing reads.
 */
export async function withStartingLook(veil: Veil, view: View): Promise<Veil> {
  const { width, height, file } = veil.picture;
  const modes = modesOf(view.derived.themes);
  const answer = await ask({
    id: 0,
    address: `/proof/pictures/${file}`,
    frame: {
      width,
      height,
      boxes: inOrder(veil.boxes).map(([, box]) => ({ ...box, needed: neededOf(box.text, view) })),
    },
    looks: modes.map((mode) => ({
      side: veil.side,
      share: veil.pixels,
      colors: VEILS,
      inks: inksOf(view.document.color).flatMap((id) => {
        const ink = view.derived.colors.get(id)?.colors[mode];
        return ink === undefined ? [] : [{ id, ink }];
      }),
    })),
  });
  if (!answer.ok) return veil;
  const lookIn = (mode: Mode) => answer.looks[modes.indexOf(mode)];
  const [light, dark] = [lookIn('light'), lookIn('dark')];
  const base = light ?? dark;
  if (!base) return veil;
  const apart = {
    ...(dark && dark.ink !== base.ink && { ink: dark.ink }),
    ...(dark && dark.color !== base.color && { color: dark.color }),
    ...(dark && dark.strength !== base.strength && { strength: dark.strength }),
  };
  return { ...veil, ...base, ...(Object.keys(apart).length > 0 && { dark: apart }) };
}
