/** A size in px. */
interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * How many px of a picture’s own width a place shows that it covers: the whole width of the place, or more where the
 * place is higher than the picture and crops its sides. Source: CSS Images 3, 5.5, `object-fit: cover`.
 */
export const shownPixels = (picture: Size, place: Size): number =>
  Math.max(place.width, (place.height * picture.width) / picture.height);

/** The narrowest file that is worth one of its own, in px, and how much wider the next one is. Common practice. */
const NARROWEST_PX = 320;
const STEP = 1.5;

/**
 * The widths in px at which files of a picture are made, ascending: from the narrowest on, each half as wide again as
 * the one before, and last the widest that a place can show at two pixels for one, or the picture’s own where that is
 * narrower. A picture that is narrower than all of them has one file.
 */
export function srcsetWidths(ownPx: number, shownPx: number = Infinity): readonly number[] {
  const widest = Math.max(1, Math.min(ownPx, Math.ceil(shownPx * 2)));
  const widths: number[] = [];
  for (let width = NARROWEST_PX; width < widest / 1.15; width = Math.round(width * STEP))
    widths.push(width);
  return [...widths, widest];
}
