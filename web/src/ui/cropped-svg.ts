/** How finely the ends of a drawing are looked at, in px of its longer side. */
const LOOKED_PX = 1024;
/** Fainter than this is taken for nothing, in levels of 255. */
const FAINT = 8;
/** Less empty room than this is no artboard, as a share of it. */
const LEAST_CUT = 0.01;

export interface CroppedSvg {
  readonly svg: string;
  /** How much was empty above, at the right, below and at the left, as shares of the artboard. */
  readonly cut: readonly [top: number, right: number, bottom: number, left: number];
}

interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

function boxOf(root: Element): Box | undefined {
  const [left = 0, top = 0, width = 0, height = 0] = (root.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (width > 0 && height > 0) return { left, top, width, height };
  const size = {
    width: Number.parseFloat(root.getAttribute('width') ?? ''),
    height: Number.parseFloat(root.getAttribute('height') ?? ''),
  };
  return size.width > 0 && size.height > 0 ? { left: 0, top: 0, ...size } : undefined;
}

/** Where something is seen in pixels; undefined where nothing is. */
export function seenIn({ data, width, height }: ImageData): Box | undefined {
  let [left, top, right, bottom] = [width, height, -1, -1];
  for (let place = 0; place < width * height; place += 1) {
    if ((data[place * 4 + 3] ?? 0) < FAINT) continue;
    const x = place % width;
    const y = (place - x) / width;
    left = Math.min(left, x);
    right = Math.max(right, x + 1);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y + 1);
  }
  return right < 0 ? undefined : { left, top, width: right - left, height: bottom - top };
}

/** An SVG drawn by the browser at a size; an image element runs nothing that is in it. */
export async function drawnSvg(
  svg: string,
  width: number,
  height: number,
): Promise<OffscreenCanvas> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(width)),
    Math.max(1, Math.round(height)),
  );
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}

/** The same root element with another box. */
function withBox(root: Element, { left, top, width, height }: Box): string {
  const copy = root.cloneNode(true) as Element;
  const n = (value: number): string => String(Number(value.toFixed(3)));
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('viewBox', [left, top, width, height].map(n).join(' '));
  copy.setAttribute('width', n(width));
  copy.setAttribute('height', n(height));
  return copy.outerHTML;
}

/** The root element of an SVG, and its box; undefined where it has none. */
function rootOf(svg: string): { readonly root: Element; readonly box: Box } | undefined {
  const holder = document.createElement('template');
  holder.innerHTML = svg;
  const root = holder.content.querySelector('svg');
  const box = root && boxOf(root);
  return root && box ? { root, box } : undefined;
}

/**
 * An SVG cropped to what is seen of it: its box becomes that of what is drawn. One without a size, or with nothing
 * seen, stays as it is. It has to be sanitized.
 */
export async function croppedSvg(svg: string): Promise<CroppedSvg> {
  const untouched: CroppedSvg = { svg, cut: [0, 0, 0, 0] };
  const found = rootOf(svg);
  if (!found) return untouched;
  const { root, box } = found;
  const scale = LOOKED_PX / Math.max(box.width, box.height);
  const canvas = await drawnSvg(withBox(root, box), box.width * scale, box.height * scale);
  const context = canvas.getContext('2d');
  const seen = context && seenIn(context.getImageData(0, 0, canvas.width, canvas.height));
  if (!seen) return untouched;
  const cut = [
    seen.top / canvas.height,
    1 - (seen.left + seen.width) / canvas.width,
    1 - (seen.top + seen.height) / canvas.height,
    seen.left / canvas.width,
  ] as const;
  if (cut.every((share) => share < LEAST_CUT)) return untouched;
  const unit = 1 / scale;
  return {
    svg: withBox(root, {
      left: box.left + seen.left * unit,
      top: box.top + seen.top * unit,
      width: seen.width * unit,
      height: seen.height * unit,
    }),
    cut,
  };
}

/** How wide an SVG is for its height; 1 where it does not say. */
export function ratioOfSvg(svg: string): number {
  const box = rootOf(svg)?.box;
  return box ? box.width / box.height : 1;
}
