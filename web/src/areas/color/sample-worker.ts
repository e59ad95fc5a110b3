import { dominantColors, type SampledColor } from '@garnish/core/color/dominant';

export type SampleAnswer =
  { readonly ok: true; readonly colors: readonly SampledColor[] } | { readonly ok: false };

self.onmessage = ({ data: bitmap }: MessageEvent<ImageBitmap>) => {
  const answer = (message: SampleAnswer): void => self.postMessage(message);
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) {
    answer({ ok: false });
    return;
  }
  context.drawImage(bitmap, 0, 0);
  const { data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  bitmap.close();
  answer({ ok: true, colors: dominantColors(data) });
};
