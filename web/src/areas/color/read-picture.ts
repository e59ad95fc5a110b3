import type { SampledColor } from '@garnish/core/color/dominant';
import type { SampleAnswer } from './sample-worker.ts';

/** Why a picture could not be read, in words for whoever chose it. */
export class UnreadablePicture extends Error {}

const MOST_BYTES = 40_000_000;
const MOST_PIXELS = 60_000_000;
/** More pixels than these say nothing more about the colors. */
const LONGEST_SIDE = 1600;

const addressOf = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.onerror = () => reject(new UnreadablePicture(`${file.name} could not be opened.`));
    reader.readAsDataURL(file);
  });

/** A picture of the file as the browser draws it; SVG without a size of its own gets one. */
async function decoded(file: File): Promise<ImageBitmap> {
  // An image element draws SVG too, and runs no script in it.
  const image = new Image();
  image.src = await addressOf(file);
  await image.decode().catch(() => {
    throw new UnreadablePicture(`${file.name} is no picture that this browser can read.`);
  });
  const width = image.naturalWidth || 512;
  const height = image.naturalHeight || 512;
  if (width * height > MOST_PIXELS)
    throw new UnreadablePicture(
      `${file.name} has ${Math.round((width * height) / 1e6)} megapixels; up to ${MOST_PIXELS / 1e6} are read.`,
    );
  const scale = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(width * scale)),
    Math.max(1, Math.round(height * scale)),
  );
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas.transferToImageBitmap();
}

/** The dominant colors of a file, found off the main thread. Throws an UnreadablePicture. */
export async function readPicture(file: File): Promise<readonly SampledColor[]> {
  if (file.size > MOST_BYTES)
    throw new UnreadablePicture(
      `${file.name} is ${Math.round(file.size / 1e6)} MB; up to ${MOST_BYTES / 1e6} MB are read.`,
    );
  const bitmap = await decoded(file);
  const worker = new Worker(new URL('./sample-worker.ts', import.meta.url), { type: 'module' });
  try {
    const answer = await new Promise<SampleAnswer>((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<SampleAnswer>) => resolve(data);
      worker.onerror = () => reject(new UnreadablePicture(`${file.name} could not be read.`));
      worker.postMessage(bitmap, [bitmap]);
    });
    if (!answer.ok) throw new UnreadablePicture('This browser lends no pixels to read.');
    return answer.colors;
  } finally {
    worker.terminate();
  }
}
