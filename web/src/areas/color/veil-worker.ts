import { treat, type Treated } from '@garnish/core/image/treat';
import { contrastRatio } from '@garnish/core/color/contrast';
import type { Hex } from '@garnish/core/color/srgb';
import { flattened } from '@garnish/core/color/transparent';
import { hexOf } from '@garnish/core/color/srgb';
import {
  coverCrop,
  fadeAt,
  LEVELS,
  wayFrom,
  type Pixels,
  type Point,
  type VeilSide,
} from '@garnish/core/image/veil';
import {
  histogramUnder,
  leastStrength,
  proveStrength,
  type VeilProof,
} from '@garnish/core/image/veil-strength';
import type { PictureFrame } from '../../proof/measure-hero.ts';

export interface VeilQuestion {
  readonly id: number;
  /** The pixels, sent once for each picture. */
  readonly picture?: ImageData;
  readonly frames: readonly (PictureFrame & { readonly needed: readonly number[] })[];
  readonly inks: readonly Hex[];
  readonly color: Hex;
  readonly side: VeilSide;
  readonly pixels: number;
  readonly strength: number;
  /** What is done to the picture under the veil. */
  readonly treated?: Treated;
  /** What of the picture stays in view. */
  readonly crop: Point;
  /** The frame whose failing pixels are marked, and the strengths to mark them at. */
  readonly marked: number;
}

export interface VeilAnswer {
  readonly id: number;
  /** For each ink the least strength, where there is one. */
  readonly least: readonly ({ readonly ink: Hex; readonly strength: number } | undefined)[];
  /** What the present strength comes to in the first ink: frame by frame, box by box. */
  readonly present: readonly (readonly VeilProof[])[];
  /** The pixels that fail in the marked frame without a veil, and with the present one. */
  readonly masks: { readonly before: ImageBitmap; readonly after: ImageBitmap } | undefined;
}

const MASK_PX = 320;
let picture: ImageData | undefined;
/** The picture as it was treated last: it is the same as long as only the veil changes. */
let last: { readonly of: ImageData; readonly how: string; readonly pixels: Pixels } | undefined;

function treatedPixels(of: ImageData, treated: Treated | undefined): Pixels {
  if (!treated) return of;
  const how = JSON.stringify(treated);
  if (last?.of !== of || last.how !== how) last = { of, how, pixels: treat(of, treated) };
  return last.pixels;
}

/** The failing pixels of a frame, as a transparent picture with marks. */
function maskOf(
  pixels: Pixels,
  frame: VeilQuestion['frames'][number],
  question: VeilQuestion,
  strength: number,
): ImageBitmap {
  const scale = MASK_PX / frame.width;
  const width = MASK_PX;
  const height = Math.max(1, Math.round(frame.height * scale));
  const mask = new ImageData(width, height);
  const crop = coverCrop(pixels, frame, question.crop);
  const [ink = '#ffffff'] = question.inks;
  frame.boxes.forEach((box, index) => {
    const needed = frame.needed[index] ?? 4.5;
    const left = Math.max(0, Math.floor(box.x * width));
    const right = Math.min(width, Math.ceil((box.x + box.width) * width));
    const top = Math.max(0, Math.floor(box.y * height));
    const bottom = Math.min(height, Math.ceil((box.y + box.height) * height));
    for (let y = top; y < bottom; y += 1)
      for (let x = left; x < right; x += 1) {
        const px = Math.min(
          pixels.width - 1,
          Math.floor(crop.x + ((x + 0.5) / width) * crop.width),
        );
        const py = Math.min(
          pixels.height - 1,
          Math.floor(crop.y + ((y + 0.5) / height) * crop.height),
        );
        const at = (py * pixels.width + px) * 4;
        const ground = hexOf([
          (pixels.data[at] ?? 0) / 255,
          (pixels.data[at + 1] ?? 0) / 255,
          (pixels.data[at + 2] ?? 0) / 255,
        ]);
        const fade =
          question.side === 'all over'
            ? 1
            : fadeAt(wayFrom(question.side, (x + 0.5) / width, (y + 0.5) / height));
        const seen = flattened(question.color, (strength / LEVELS) * fade, ground);
        if (contrastRatio(ink, seen) >= needed) continue;
        // Striped, so that the mark is seen on any picture.
        const stripe = (x + y) % 6 < 3;
        mask.data.set(stripe ? [255, 0, 90, 230] : [255, 255, 255, 230], (y * width + x) * 4);
      }
  });
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.putImageData(mask, 0, 0);
  return canvas.transferToImageBitmap();
}

self.onmessage = ({ data: question }: MessageEvent<VeilQuestion>) => {
  picture = question.picture ?? picture;
  if (!picture) return;
  const { frames, inks, color, side, pixels, strength, marked } = question;
  const pictured = treatedPixels(picture, question.treated);
  const byFrame = frames.map((frame) => {
    const crop = coverCrop(pictured, frame, question.crop);
    return frame.boxes.map((box, index) => ({
      ...histogramUnder(pictured, crop, box, side),
      needed: frame.needed[index] ?? 4.5,
    }));
  });
  const boxes = byFrame.flat();
  const least = inks.map((ink) => {
    const found = leastStrength(boxes, { ink, color, needed: 4.5, pixels });
    return found && { ink, strength: found.strength };
  });
  const [ink = '#ffffff'] = inks;
  const present = byFrame.map((own) =>
    own.map((box) => proveStrength(box, { ink, color, strength }, box.needed)),
  );
  const frame = frames[marked];
  const answer: VeilAnswer = {
    id: question.id,
    least,
    present,
    masks: frame && {
      before: maskOf(pictured, frame, question, 0),
      after: maskOf(pictured, frame, question, strength),
    },
  };
  self.postMessage(answer);
};
