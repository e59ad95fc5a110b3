import type { MadePalette } from './ink.ts';
import type { MadeManner, MadeOf } from './kinds.ts';
import { drawPortrait } from './portrait.ts';
import { drawScene } from './scene.ts';

/** A made picture: what it is of, how it is drawn, and which of all. */
export interface Made {
  readonly of: MadeOf;
  readonly manner: MadeManner;
  readonly seed: string;
}

/** The same drawing for the same seed, manner and palette, as SVG; nothing in it is of the world. */
export const drawMade = ({ of, manner, seed }: Made, palette: MadePalette): string =>
  of === 'portrait' ? drawPortrait(seed, manner, palette) : drawScene(seed, manner, palette);
