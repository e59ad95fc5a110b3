import type { Hex } from '../color/srgb.ts';
import { shownPart } from './shown-pixels.ts';
import { treat, type Treated } from './treat.ts';
import { coverCrop, LEVELS, type Area, type Pixels, type Point, type VeilSide } from './veil.ts';
import {
  histogramUnder,
  leastStrength,
  proveStrength,
  type Histogram,
  type VeilProof,
} from './veil-strength.ts';

/** A text over a picture, in shares of its frame. */
export interface JudgedBox extends Area {
  /** The contrast that it needs. */
  readonly needed: number;
  /** Its color in each theme, in the order of the veil’s themes. */
  readonly inks: readonly Hex[];
}

/** What a picture fills at one width of the screen, in px, and the texts over it. */
export interface JudgedFrame {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly JudgedBox[];
}

/** A veil in one theme. */
export interface VeilInTheme {
  readonly color: Hex;
  /** Opacity where it is strongest, in levels of 255. */
  readonly strength: number;
  /** What is done to the picture under it. */
  readonly treated?: Treated | undefined;
  /** Other colors that the texts could have, by name. */
  readonly inks?: readonly { readonly id: string; readonly ink: Hex }[];
}

export interface JudgedVeil {
  readonly side: VeilSide;
  /** In each theme, in the order of the inks of the boxes. */
  readonly themes: readonly VeilInTheme[];
  /** The share of the pixels under a text that has to pass, 0 to 1. */
  readonly share: number;
  /** What of the picture stays in view; its middle where absent. */
  readonly crop?: Point;
  /** What else could stay in view: the first at which all passes is told, where something falls short now. */
  readonly crops?: readonly Point[];
}

export interface ThemeVerdict {
  /** The least strength at which every text passes in the theme; none where no strength does. */
  readonly least: number | undefined;
  /** The other ink that passes with the least veil, where one passes with less than the present ink needs. */
  readonly ink: { readonly id: string; readonly strength: number } | undefined;
}

export interface VeilVerdict {
  /** What each text comes to: by frame, by box, by theme. */
  readonly proofs: readonly (readonly (readonly VeilProof[])[])[];
  /** How each theme is helped; the present strength where all pass already. */
  readonly themes: readonly ThemeVerdict[];
  /** What could stay in view instead, so that every text passes in every theme under the present veil. */
  readonly crop: Point | undefined;
}

type AskedBox = Histogram & { readonly needed: number; readonly ink: Hex };

/** The ink with the weakest veil; each is only searched below the best before it. */
function bestInk(
  boxes: readonly AskedBox[],
  { color, inks = [] }: VeilInTheme,
  share: number,
  below: number,
): ThemeVerdict['ink'] {
  let best: ThemeVerdict['ink'];
  for (const { id, ink } of inks) {
    const found = leastStrength(
      boxes.map((box) => ({ ...box, ink })),
      { ink, color, needed: 4.5, pixels: share, below: best?.strength ?? below },
    );
    if (found) best = { id, strength: found.strength };
  }
  return best;
}

/** What text over a picture may be in, by name, and what the veil may be of. */
export interface LookAsk {
  readonly side: VeilSide;
  readonly share: number;
  readonly inks: readonly { readonly id: string; readonly ink: Hex }[];
  readonly colors: readonly Hex[];
}

export interface FoundLook {
  readonly ink: string;
  readonly color: Hex;
  readonly strength: number;
}

/**
 * The ink and the veil with which all texts over a picture read at the least strength, in one theme; of those that
 * need the same the first. Nothing where none reads. Every ink is tried with every color.
 */
export function leastLook(
  pixels: Pixels,
  frame: Pick<JudgedFrame, 'width' | 'height'> & {
    readonly boxes: readonly Omit<JudgedBox, 'inks'>[];
  },
  { side, share, inks, colors }: LookAsk,
): FoundLook | undefined {
  const crop = coverCrop(pixels, frame);
  const boxes = frame.boxes.map((box) => ({
    ...histogramUnder(pixels, crop, box, side),
    needed: box.needed,
    ink: '#ffffff' as const,
  }));
  let best: FoundLook | undefined;
  for (const color of colors) {
    const below = best?.strength ?? LEVELS + 1;
    const found = bestInk(boxes, { color, strength: 0, inks }, share, below);
    if (found) best = { ink: found.id, color, strength: found.strength };
  }
  return best;
}

/**
 * Judges every text over a picture under its veil on the pixels that lie behind it, at every width and in every theme,
 * and finds for each theme the least veil of the same side and color that lets all of them pass, and the ink that
 * passes with less. Pixels are looked at as finely as a dense screen shows them (see `shownPart`). The search is left out
 * where a theme passes already. Source of the ratios: WCAG 2.2, 1.4.3; of the
 * blending: Compositing 1, source over, in gamma-encoded sRGB and 8 bits, as browsers do it.
 */
export function judgeVeil(
  pixels: Pixels,
  frames: readonly JudgedFrame[],
  { side, themes, share, crop: at, crops = [] }: JudgedVeil,
): VeilVerdict {
  const pictures = themes.map(({ treated }) => (treated ? treat(pixels, treated) : pixels));
  /** The pixels under a box in each theme; taken up once where the picture is the same. */
  const under = (frame: JudgedFrame, crop: Area, box: Area): readonly Histogram[] => {
    const known = new Map<Pixels, Histogram>();
    return pictures.map((picture) => {
      const shown = known.has(picture) ? undefined : shownPart(picture, crop, box, frame);
      const found =
        known.get(picture) ??
        histogramUnder(shown?.pixels ?? picture, shown?.crop ?? crop, box, side);
      known.set(picture, found);
      return found;
    });
  };
  const asked = frames.map((frame) => {
    const crop = coverCrop(pixels, frame, at);
    return frame.boxes.map((box) =>
      under(frame, crop, box).map((histogram, theme) => ({
        ...histogram,
        ink: box.inks[theme] ?? '#ffffff',
        needed: box.needed,
      })),
    );
  });
  const proofs = asked.map((boxes) =>
    boxes.map((own) =>
      themes.map(({ color, strength }, theme): VeilProof => {
        const box = own[theme];
        return box
          ? proveStrength(box, { ink: box.ink, color, strength }, box.needed)
          : { strength, passing: 1, lowest: Infinity };
      }),
    ),
  );
  const passesAt = (point: Point): boolean =>
    frames.every((frame) => {
      const crop = coverCrop(pixels, frame, point);
      return frame.boxes.every((box) => {
        return under(frame, crop, box).every((histogram, theme) => {
          const { color = '#000000', strength = 0 } = themes[theme] ?? {};
          const ink = box.inks[theme] ?? '#ffffff';
          return proveStrength(histogram, { ink, color, strength }, box.needed).passing >= share;
        });
      });
    });
  const isProved = proofs.flat(2).every(({ passing }) => passing >= share);
  return {
    proofs,
    crop: isProved ? undefined : crops.find(passesAt),
    themes: themes.map((look, theme): ThemeVerdict => {
      const { color, strength } = look;
      if (proofs.flat().every((own) => (own[theme]?.passing ?? 1) >= share))
        return { least: strength, ink: undefined };
      const boxes = asked.flat().flatMap((own) => own[theme] ?? []);
      const least = leastStrength(boxes, {
        ink: '#ffffff',
        color,
        needed: 4.5,
        pixels: share,
      })?.strength;
      return { least, ink: bestInk(boxes, look, share, least ?? LEVELS + 1) };
    }),
  };
}
