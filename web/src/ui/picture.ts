/** Why a picture could not be read, in words for whoever chose it. */
export class UnreadablePicture extends Error {}

const MOST_BYTES = 40_000_000;
const MOST_PIXELS = 60_000_000;

const addressOf = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.onerror = () => reject(new UnreadablePicture(`${file.name} could not be opened.`));
    reader.readAsDataURL(file);
  });

/**
 * A picture of a file as the browser draws it, no side longer than `longestPx`; SVG without a size of
 * its own gets one. An image element draws SVG too, and runs no script in it. Throws an
 * UnreadablePicture for what is too large or no picture.
 */
export async function drawnPicture(file: File, longestPx: number): Promise<OffscreenCanvas> {
  if (file.size > MOST_BYTES)
    throw new UnreadablePicture(
      `${file.name} is ${Math.round(file.size / 1e6)} MB; up to ${MOST_BYTES / 1e6} MB are read.`,
    );
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
  const scale = Math.min(1, longestPx / Math.max(width, height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(width * scale)),
    Math.max(1, Math.round(height * scale)),
  );
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}

/** The pixels of a picture at an address of ours. */
export async function pixelsAt(address: string): Promise<ImageData> {
  const image = new Image();
  image.src = address;
  await image.decode();
  const canvas = new OffscreenCanvas(image.naturalWidth, image.naturalHeight);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new UnreadablePicture('This browser lends no pixels to read.');
  context.drawImage(image, 0, 0);
  return context.getImageData(0, 0, canvas.width, canvas.height);
}
