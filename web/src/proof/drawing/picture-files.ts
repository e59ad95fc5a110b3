import type { Drawing, Picture } from '@garnish/core/drawings/drawing';
import { sheetSvg } from '@garnish/core/drawings/svg';
import { holding } from './data.ts';
import type { Prepared } from './make-drawing.ts';

/** A drawing as an address that holds it. */
export const addressOf = ({ svg }: Pick<Drawing, 'svg'>): string =>
  `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;

/** A drawing as PNG at twice its size. */
export async function pngOf(
  drawing: Pick<Drawing, 'svg' | 'width' | 'height'>,
  scale = 2,
): Promise<Blob> {
  const { width, height } = drawing;
  const image = new Image();
  image.src = addressOf(drawing);
  await image.decode();
  const canvas = new OffscreenCanvas(Math.ceil(width * scale), Math.ceil(height * scale));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('The browser has no canvas to draw on.');
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/png' });
}

/** A picture as PNG at twice its size, as an address that holds it. */
async function stillOf({ xhtml, width, height }: Picture, css: string): Promise<string> {
  const [w, h] = [Math.max(1, Math.ceil(width)), Math.max(1, Math.ceil(height))];
  const part = `<foreignObject width="${w}" height="${h}" style="overflow:visible">${xhtml}</foreignObject>`;
  const svg = sheetSvg({ title: '', desc: '', css, width: w, height: h, parts: [part] });
  const blob = await pngOf({ svg, width: w, height: h });
  return holding(new Uint8Array(await blob.arrayBuffer()), 'image/png');
}

/** The same with every picture as PNG as well, for programs that draw no XHTML. */
export async function withStills(prepared: Prepared): Promise<Prepared> {
  const made = new Map<string, Promise<string>>();
  const stilled = async (picture: Picture): Promise<Picture> => {
    const known = made.get(picture.xhtml) ?? stillOf(picture, prepared.css);
    made.set(picture.xhtml, known);
    return { ...picture, still: await known };
  };
  return {
    ...prepared,
    picture: await stilled(prepared.picture),
    states: await Promise.all(
      prepared.states.map(async (one) => ({ ...one, picture: await stilled(one.picture) })),
    ),
    widths: await Promise.all(
      prepared.widths.map(async (one) => ({ ...one, picture: await stilled(one.picture) })),
    ),
  };
}
