import { inkBox, placed, type IconDrawing, type InkBox } from './drawing.ts';
import { inked } from './raster.ts';

/** How finely the ends of strokes are looked at, in px of the longer side. */
const PX = 640;

/**
 * The box around what is seen: that of the paths, which takes every stroke to reach half its width further, drawn
 * and looked at again, because flat ends do not.
 */
function seenBox(drawing: IconDrawing): InkBox | undefined {
  const around = inkBox(drawing);
  if (!around || drawing.shapes.every(({ paint }) => paint === 'fill')) return around;
  const wide = around.right - around.left;
  const high = around.bottom - around.top;
  const alone = placed(drawing, {
    left: -around.left,
    top: -around.top,
    scale: 1,
    width: Math.max(wide, high),
    height: Math.max(wide, high),
  });
  const { ink, width } = inked(alone, PX);
  let [left, top, right, bottom] = [width, width, -1, -1];
  for (const [place, value] of ink.entries()) {
    if (value === 0) continue;
    const x = place % width;
    const y = (place - x) / width;
    left = Math.min(left, x);
    right = Math.max(right, x + 1);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y + 1);
  }
  const unit = Math.max(wide, high) / width;
  return right < 0
    ? around
    : {
        left: around.left + left * unit,
        top: around.top + top * unit,
        right: around.left + right * unit,
        bottom: around.top + bottom * unit,
      };
}

/** The box that icons are set in where nothing else is said, and the room around what is drawn in it. */
export const USUAL_BOX = 24;
export const USUAL_ROOM = 2;

/**
 * What is drawn alone, as large as it goes in a square box with some room around it, and in its middle.
 * @returns the drawing, and how much of the old box was empty on each side, as shares of it
 */
export function cropped(
  drawing: IconDrawing,
  box = USUAL_BOX,
  room = USUAL_ROOM,
): { readonly drawing: IconDrawing; readonly cut: readonly [number, number, number, number] } {
  const ink = seenBox(drawing);
  if (!ink) return { drawing, cut: [0, 0, 0, 0] };
  const wide = ink.right - ink.left;
  const high = ink.bottom - ink.top;
  const scale = (box - 2 * room) / Math.max(wide, high);
  const share = (part: number, whole: number): number => Math.round((part / whole) * 1000) / 1000;
  return {
    drawing: placed(drawing, {
      left: (box / scale - wide) / 2 - ink.left,
      top: (box / scale - high) / 2 - ink.top,
      scale,
      width: box,
      height: box,
    }),
    cut: [
      share(ink.top, drawing.height),
      share(drawing.width - ink.right, drawing.width),
      share(drawing.height - ink.bottom, drawing.height),
      share(ink.left, drawing.width),
    ],
  };
}
