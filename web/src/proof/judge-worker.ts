import {
  judgeVeil,
  leastLook,
  type FoundLook,
  type JudgedFrame,
  type JudgedVeil,
  type LookAsk,
  type VeilVerdict,
} from '@garnish/core/image/judge-veil';

export interface VeilCase {
  readonly id: number;
  /** The address of the picture, which is one of ours. */
  readonly address: string;
  readonly frames: readonly JudgedFrame[];
  readonly veil: JudgedVeil;
}

/** Asks in which ink and under which veil words over a picture read with the least of it: one question for a theme. */
export interface LookCase {
  readonly id: number;
  readonly address: string;
  readonly frame: Parameters<typeof leastLook>[1];
  readonly looks: readonly LookAsk[];
}

export type LookSentence =
  | { readonly id: number; readonly ok: true; readonly looks: readonly (FoundLook | undefined)[] }
  | { readonly id: number; readonly ok: false };

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

self.onmessage = ({ data }: MessageEvent<VeilCase | LookCase>) => {
  const { id } = data;
  const say = (sentence: VeilSentence | LookSentence): void => self.postMessage(sentence);
  pixelsAt(data.address).then(
    (pixels) =>
      say(
        'looks' in data
          ? { id, ok: true, looks: data.looks.map((look) => leastLook(pixels, data.frame, look)) }
          : { id, ok: true, verdict: judgeVeil(pixels, data.frames, data.veil) },
      ),
    () => say({ id, ok: false }),
  );
};
