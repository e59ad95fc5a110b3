import type { Hex } from '../color/srgb.ts';
import { coverCrop, type Area, type Pixels, type VeilSide } from './veil.ts';
import { histogramUnder, leastStrength, proveStrength, type VeilProof } from './veil-strength.ts';

/** A text over a picture, in shares of its frame. */
export interface JudgedBox extends Area {
  /** The contrast that it needs. */
  readonly needed: number;
  /** Its color in each theme, in the order of the veil’s colors. */
  readonly inks: readonly Hex[];
}

/** What a picture fills at one width of the screen, in px, and the texts over it. */
export interface JudgedFrame {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly JudgedBox[];
}

export interface JudgedVeil {
  readonly side: VeilSide;
  /** Opacity where it is strongest, in levels of 255. */
  readonly strength: number;
  /** The color of the veil in each theme. */
  readonly colors: readonly Hex[];
  /** The share of the pixels under a text that has to pass, 0 to 1. */
  readonly share: number;
}

export interface VeilVerdict {
  /** What each text comes to: by frame, by box, by theme. */
  readonly proofs: readonly (readonly (readonly VeilProof[])[])[];
  /** The least strength at which every text passes in every theme; none where no strength does. */
  readonly least: number | undefined;
}

/**
 * Judges every text over a picture under its veil on the pixels that lie behind it, at every width and in every theme,
 * and finds the least veil of the same side and colors that lets all of them pass. The search is left out where they
 * pass already. Source of the ratios: WCAG 2.2, 1.4.3; of the blending: Compositing 1, source over, in gamma-encoded
 * sRGB and 8 bits, as browsers do it.
 */
export function judgeVeil(
  pixels: Pixels,
  frames: readonly JudgedFrame[],
  { side, strength, colors, share }: JudgedVeil,
): VeilVerdict {
  const asked = frames.map((frame) => {
    const crop = coverCrop(pixels, frame);
    return frame.boxes.map((box) => {
      const histogram = histogramUnder(pixels, crop, box, side);
      return colors.map((color, theme) => ({
        ...histogram,
        color,
        ink: box.inks[theme] ?? '#ffffff',
        needed: box.needed,
      }));
    });
  });
  const proofs = asked.map((boxes) =>
    boxes.map((themes) =>
      themes.map(({ color, ink, needed, ...histogram }) =>
        proveStrength(histogram, { ink, color, strength }, needed),
      ),
    ),
  );
  const isProved = proofs.flat(2).every(({ passing }) => passing >= share);
  const [ink, color] = ['#ffffff', '#000000'] as const;
  return {
    proofs,
    least: isProved
      ? strength
      : leastStrength(asked.flat(2), { ink, color, needed: 4.5, pixels: share })?.strength,
  };
}
