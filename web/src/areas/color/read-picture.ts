import type { SampledColor } from '@garnish/core/color/dominant';
import { drawnPicture, UnreadablePicture } from '../../ui/picture.ts';
import type { SampleAnswer } from './sample-worker.ts';

/** More pixels than these say nothing more about the colors. */
const LONGEST_SIDE = 1600;

export interface ReadPicture {
  readonly colors: readonly SampledColor[];
  /** The picture itself, to look at closely. */
  readonly canvas: OffscreenCanvas;
}

/** The dominant colors of a file, found off the main thread. Throws an UnreadablePicture. */
export async function readPicture(file: File): Promise<ReadPicture> {
  const canvas = await drawnPicture(file, LONGEST_SIDE);
  const bitmap = await createImageBitmap(canvas);
  const worker = new Worker(new URL('./sample-worker.ts', import.meta.url), { type: 'module' });
  try {
    const answer = await new Promise<SampleAnswer>((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<SampleAnswer>) => resolve(data);
      worker.onerror = () => reject(new UnreadablePicture(`${file.name} could not be read.`));
      worker.postMessage(bitmap, [bitmap]);
    });
    if (!answer.ok) throw new UnreadablePicture('This browser lends no pixels to read.');
    return { colors: answer.colors, canvas };
  } finally {
    worker.terminate();
  }
}
