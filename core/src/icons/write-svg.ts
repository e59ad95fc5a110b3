import type { IconDrawing, IconShape } from './drawing.ts';
import { USUAL_FAINT, usualStroke } from './usual.ts';

export interface Drawn {
  /** Width of its strokes in px, at whatever size it is drawn; that of the drawing, growing with it, where absent. */
  readonly stroke?: number;
  /** Opacity of the second tone. */
  readonly faint?: number;
  /** Only what is drawn in one tone. */
  readonly tone?: 1 | 2;
}

const three = (value: number): string => String(Math.round(value * 1000) / 1000);

/** The attributes that a shape has beyond those of the whole. */
function path(shape: IconShape, usual: number | undefined, { stroke, faint, tone }: Drawn): string {
  const { d, paint, width = 0, rule } = shape;
  const isFaint = shape.tone === 2 && tone === undefined;
  const paints =
    paint === 'fill'
      ? ` fill="currentcolor" stroke="none"${rule === undefined ? '' : ` fill-rule="${rule}"`}`
      : [
          stroke === undefined ? '' : ' vector-effect="non-scaling-stroke"',
          width === usual
            ? ''
            : ` stroke-width="${three(stroke === undefined || usual === undefined ? width : (width / usual) * stroke)}"`,
        ].join('');
  return `<path d="${d}"${paints}${isFaint ? ` opacity="${three(faint ?? USUAL_FAINT)}"` : ''}/>`;
}

/** What every path has in common, as attributes of what holds them. */
function commonOf(drawing: IconDrawing, { stroke }: Drawn): string {
  const usual = usualStroke(drawing);
  return usual === undefined
    ? ' fill="none"'
    : ` fill="none" stroke="currentcolor" stroke-width="${three(stroke ?? usual)}" stroke-linecap="${drawing.cap}" stroke-linejoin="${drawing.join}"`;
}

const pathsOf = (drawing: IconDrawing, drawn: Drawn): string => {
  const usual = usualStroke(drawing);
  return drawing.shapes
    .filter(({ tone }) => drawn.tone === undefined || (tone ?? 1) === drawn.tone)
    .map((shape) => path(shape, usual, drawn))
    .join('');
};

const boxOf = ({ width, height }: IconDrawing): string => `viewBox="0 0 ${width} ${height}"`;

/**
 * An icon as an SVG file in the color of the text. Within a page the class `icon` of the sheet gives it size, stroke
 * and place; alone it is as large as its box.
 */
export const writeSvg = (drawing: IconDrawing, drawn: Drawn = {}, attributes = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg"${attributes} ${boxOf(drawing)} width="${drawing.width}" height="${drawing.height}"${commonOf(drawing, drawn)}>${pathsOf(drawing, drawn)}</svg>`;

/** The same as a symbol of a sprite. Its strokes take the width of who uses it. */
export const writeSymbol = (id: string, drawing: IconDrawing, drawn: Drawn = {}): string =>
  `<symbol id="${id}" ${boxOf(drawing)}><g${commonOf(drawing, drawn).replace(/ stroke-width="[^"]*"/, '')}>${pathsOf(drawing, drawn)}</g></symbol>`;
