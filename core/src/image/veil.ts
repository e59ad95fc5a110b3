import { rgbOf, type Hex } from '../color/srgb.ts';

/** From where a veil comes: over the whole picture, or fading out from one side. */
export type VeilSide = 'all over' | 'bottom' | 'top' | 'start' | 'end';

export interface VeilLook {
  readonly color: Hex;
  readonly side: VeilSide;
  /** Opacity where it is strongest, in levels of 255. */
  readonly strength: number;
}

/** How many levels of opacity are emitted: as many as 8 bits hold. */
export const LEVELS = 255;

/** A fading veil is whole over this share of the way from its side, and gone at the end of it. */
export const WHOLE_UNTIL = 0.5;

/** What is left of a fading veil at a share of the way from its side, 0 to 1. */
export const fadeAt = (way: number): number =>
  way <= WHOLE_UNTIL ? 1 : Math.max(0, 1 - (way - WHOLE_UNTIL) / (1 - WHOLE_UNTIL));

const TOWARDS = {
  bottom: 'to top',
  top: 'to bottom',
  start: 'to right',
  end: 'to left',
} as const;

/** The veil as a gradient of CSS, to be laid over the picture. */
export function veilCss({ color, side, strength }: VeilLook): string {
  const [red, green, blue] = rgbOf(color).map((channel) => Math.round(channel * 255));
  const at = (level: number): string =>
    `rgb(${red} ${green} ${blue} / ${Number((level / LEVELS).toFixed(4))})`;
  return side === 'all over'
    ? `linear-gradient(${at(strength)}, ${at(strength)})`
    : `linear-gradient(${TOWARDS[side]}, ${at(strength)} ${WHOLE_UNTIL * 100}%, ${at(0)} 100%)`;
}

/** A part of a picture, in pixels from its upper left corner. */
export interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A picture’s pixels, four bytes each: red, green, blue, alpha. */
export interface Pixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** A point of a picture, as shares of its width and height. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const MIDDLE: Point = { x: 0.5, y: 0.5 };

/**
 * The part of a picture that a frame shows, in pixels of the picture, as `object-fit: cover` crops it and
 * `object-position` places it. Source: CSS Images 3, 5.5 and 5.6.
 */
export function coverCrop(
  picture: { readonly width: number; readonly height: number },
  frame: { readonly width: number; readonly height: number },
  at: Point = MIDDLE,
): Area {
  const scale = Math.max(frame.width / picture.width, frame.height / picture.height);
  const width = Math.min(picture.width, frame.width / scale);
  const height = Math.min(picture.height, frame.height / scale);
  return {
    x: (picture.width - width) * at.x,
    y: (picture.height - height) * at.y,
    width,
    height,
  };
}

/** How far from the veil’s side a place in the frame is, both as shares of the frame. */
export function wayFrom(side: VeilSide, x: number, y: number): number {
  switch (side) {
    case 'all over':
      return 0;
    case 'bottom':
      return 1 - y;
    case 'top':
      return y;
    case 'start':
      return x;
    case 'end':
      return 1 - x;
  }
}
