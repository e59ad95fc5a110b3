import { inOrder, type StyleDocument } from '../system/document.ts';
import { fluidPx, fluidSize, ROOT_PX } from '../type/fluid.ts';
import { pxOn } from './lengths.ts';

type Type = Pick<StyleDocument['type'], 'anchors' | 'unit'>;

/** A size that was written in CSS, as it is at the anchors. */
export interface TakenSize {
  /** In px at a root of 16 px, by the id of the anchor. */
  readonly sizes: Readonly<Record<string, number>>;
  /** Where the anchors cannot follow it most, and how far off they are there, in px; nothing where they follow it. */
  readonly off?: { readonly atPx: number; readonly px: number };
}

/** Screens on which the two are held against each other, in px. */
const [FROM_PX, TO_PX, STEP_PX] = [320, 2560, 16] as const;
/** Less than this nobody sees. */
const SEEN_PX = 0.05;
const HEIGHT_PX = 900;
/** A share of the reader's own size has to be in it, or it does not grow with it: WCAG 2.2, 1.4.4. */
const OTHER_ROOT_PX = 32;

/** A size without the declaration that it may have been copied with. */
const bare = (css: string): string =>
  css
    .trim()
    .replace(/^font-size\s*:\s*/i, '')
    .replace(/;$/, '')
    .trim();

/**
 * Takes a size apart that is written in CSS (`clamp()`, `calc()`, `min()`, `max()`, or a plain length): what it is at
 * each anchor. Between anchors sizes flow evenly, beyond them they stay, so that one which bends elsewhere is told where
 * it is off. A size that hangs on the text around it, on a variable or on something that is no length is a problem.
 */
export function takenSize(
  css: string,
  { anchors, unit }: Type,
): TakenSize | { readonly problem: string } {
  const text = bare(css);
  if (text === '')
    return { problem: 'Type or paste a size, such as clamp(1rem, 0.8rem + 1vi, 1.5rem).' };
  const at = (widthPx: number, rootPx: number = ROOT_PX): number | undefined =>
    pxOn(text, { widthPx, heightPx: HEIGHT_PX, rootPx });
  const all = inOrder(anchors).map(([id, { width }]) => ({ id, width, px: at(width) }));
  if (all.some(({ px }) => px === undefined))
    return {
      problem:
        'It cannot be worked out: lengths in px, rem, and units of the screen are known, also in clamp(), calc(), min() and max().',
    };
  const sizes = Object.fromEntries(all.map(({ id, px }) => [id, Number((px ?? 0).toFixed(2))]));
  const flowing = fluidSize(
    all.map(({ id, width }) => ({ widthPx: width, sizePx: sizes[id] ?? 0 })),
    unit,
  );
  let off = { atPx: 0, px: 0 };
  for (let widthPx: number = FROM_PX; widthPx <= TO_PX; widthPx += STEP_PX) {
    const px = Math.abs((at(widthPx) ?? 0) - fluidPx(flowing, widthPx));
    if (px > off.px) off = { atPx: widthPx, px };
  }
  return { sizes, ...(off.px >= SEEN_PX && { off: { ...off, px: Number(off.px.toFixed(2)) } }) };
}

/** Whether a size that is written in CSS follows the reader's own font size at all. */
export const followsReader = (css: string): boolean => {
  const screen = { widthPx: 1280, heightPx: HEIGHT_PX };
  const [usual, larger] = [ROOT_PX, OTHER_ROOT_PX].map((rootPx) =>
    pxOn(bare(css), { ...screen, rootPx }),
  );
  return usual !== undefined && larger !== undefined && larger > usual + SEEN_PX;
};
