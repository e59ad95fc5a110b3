import {
  judgeVeil,
  type JudgedFrame,
  type JudgedVeil,
  type VeilVerdict,
} from '@garnish/core/image/judge-veil';

export interface VeilCase {
  readonly id: number;
  /** The address of the picture, which is one of ours. */
  readonly address: string;
  readonly frames: readonly JudgedFrame[];
  readonly veil: JudgedVeil;
}

export type VeilSentence =
  | { readonly id: number; readonly ok: true; readonly verdict: VeilVerdict }
  | { readonly id: number; readonly ok: false };

/** The pixels that were read last: a veil is judged again and again over the same picture. */
let last: { readonly address: string; readonly pixels: ImageData } | undefined;

async function pixelsAt(address: string): Promise<ImageData> {
  if (last?.address === address) return last.pixels;
  const answer = await fetch(address);
  const bitmap = await createImageBitmap(await answer.blob());
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no pixels');
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  last = { address, pixels: context.getImageData(0, 0, canvas.width, canvas.height) };
  return last.pixels;
}

self.onmessage = ({ data: { id, address, frames, veil } }: MessageEvent<VeilCase>) => {
  const say = (sentence: VeilSentence): void => self.postMessage(sentence);
  pixelsAt(address).then(
    (pixels) => say({ id, ok: true, verdict: judgeVeil(pixels, frames, veil) }),
    () => say({ id, ok: false }),
  );
};
