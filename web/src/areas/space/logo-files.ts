import { markSvg } from '@garnish/core/proof/mark';
import type { Derived } from '@garnish/core/derive/derived';
import type { StyleDocument } from '@garnish/core/system/document';
import { isFirst } from '@garnish/core/fonts/family';
import { drawnSvg, ratioOfSvg } from '../../ui/cropped-svg.ts';
import { previewName, registerFaces } from '../../ui/use-face.ts';

/** Icons of a site, by what shows them. Masks cut up to a circle of 80 % of the width (W3C, maskable icons). */
const ICONS = [
  { file: 'icon-32.png', px: 32, share: 1, isFilled: false },
  { file: 'touch-icon-180.png', px: 180, share: 0.72, isFilled: true },
  { file: 'app-icon-192.png', px: 192, share: 0.8 * Math.SQRT1_2, isFilled: true },
  { file: 'app-icon-512.png', px: 512, share: 0.8 * Math.SQRT1_2, isFilled: true },
] as const;

/** What others show of a link: 1200 by 630, which is shown everywhere. */
export const SHARED = { width: 1200, height: 630, margin: 90 } as const;

/** The logo for light grounds as a file, or the mark in the colors of its roles. */
export function logoSvg(
  { content, layout }: Pick<StyleDocument, 'content' | 'layout'>,
  { colors }: Pick<Derived, 'colors'>,
): string {
  const of = (id: string): string => colors.get(id)?.colors.light ?? '#444444';
  return layout.logo.light ?? markSvg(content.mark, { a: of('link'), b: of('action') });
}

/** Something of a ratio as large as it goes in a square, in its middle. */
const fitted = (ratio: number, side: number, within: number) => {
  const width = ratio >= 1 ? within : within * ratio;
  const height = ratio >= 1 ? within / ratio : within;
  return { x: (side - width) / 2, y: (side - height) / 2, width, height };
};

const png = async (canvas: OffscreenCanvas): Promise<Uint8Array> =>
  new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer());

async function iconPng(
  svg: string,
  ground: string,
  { px, share, isFilled }: (typeof ICONS)[number],
): Promise<Uint8Array> {
  const canvas = new OffscreenCanvas(px, px);
  const context = canvas.getContext('2d');
  const { x, y, width, height } = fitted(ratioOfSvg(svg), px, px * share);
  // Drawn larger and taken down: thin parts stay.
  const drawn = await drawnSvg(svg, width * 2, height * 2);
  if (context) {
    if (isFilled) {
      context.fillStyle = ground;
      context.fillRect(0, 0, px, px);
    }
    context.imageSmoothingQuality = 'high';
    context.drawImage(drawn, x, y, width, height);
  }
  return png(canvas);
}

/** Words in lines that fit, at most so many; the last one ends with an ellipsis where words are left. */
function linesOf(words: string, fits: (line: string) => boolean, most: number): readonly string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of words.split(/\s+/).filter((one) => one !== '')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line === '' || fits(longer)) {
      line = longer;
      continue;
    }
    lines.push(line);
    line = word;
    if (lines.length === most) return [...lines.slice(0, -1), `${lines.at(-1) ?? ''} …`];
  }
  return line === '' ? lines : [...lines, line];
}

/** The picture for shared links: the logo, the name and what the site is, set in its own faces and colors. */
async function sharedPng(
  document: StyleDocument,
  { colors, styles }: Pick<Derived, 'colors' | 'styles'>,
  svg: string,
): Promise<Uint8Array> {
  const canvas = new OffscreenCanvas(SHARED.width, SHARED.height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser lends no canvas to draw on.');
  const of = (id: string, otherwise: string): string => colors.get(id)?.colors.light ?? otherwise;
  context.fillStyle = of('page', '#ffffff');
  context.fillRect(0, 0, SHARED.width, SHARED.height);
  context.fillStyle = of('action', '#444444');
  context.fillRect(0, SHARED.height - 18, SHARED.width, 18);
  const high = 120;
  const wide = Math.min(SHARED.width - 2 * SHARED.margin, high * ratioOfSvg(svg));
  const drawn = await drawnSvg(svg, wide * 2, (wide / ratioOfSvg(svg)) * 2);
  context.imageSmoothingQuality = 'high';
  context.drawImage(drawn, SHARED.margin, SHARED.margin, wide, wide / ratioOfSvg(svg));
  let y = SHARED.margin + high + 110;
  for (const [role, words, px, most, color] of [
    ['h1', document.name, 84, 2, of('text', '#111111')],
    ['body', document.description, 38, 3, of('text', '#111111')],
  ] as const) {
    const style = styles.get(role);
    if (!style) continue;
    const { family, weight } = style;
    registerFaces(
      family.name,
      family.files.filter((file) => isFirst(file) && file.style === 'normal'),
    );
    const font = `${weight} ${px}px "${previewName(family.name)}", ${family.stack ?? 'sans-serif'}`;
    await globalThis.document.fonts.load(font, words);
    context.font = font;
    context.fillStyle = color;
    const room = SHARED.width - 2 * SHARED.margin;
    for (const line of linesOf(words, (one) => context.measureText(one).width <= room, most)) {
      context.fillText(line, SHARED.margin, y);
      y += px * 1.2;
    }
    y += 10;
  }
  return png(canvas);
}

/** Everything that is made from the logo, by the names of the files. */
export async function logoFiles(
  document: StyleDocument,
  derived: Pick<Derived, 'colors' | 'styles'>,
): Promise<Readonly<Record<string, Uint8Array>>> {
  const svg = logoSvg(document, derived);
  const ground = derived.colors.get('page')?.colors.light ?? '#ffffff';
  const files: Record<string, Uint8Array> = { 'icon.svg': new TextEncoder().encode(`${svg}\n`) };
  for (const [version, name] of [
    ['light', 'logo.svg'],
    ['dark', 'logo-dark.svg'],
    ['one', 'logo-one-color.svg'],
  ] as const) {
    const own = document.layout.logo[version];
    if (own !== undefined) files[name] = new TextEncoder().encode(`${own}\n`);
  }
  for (const icon of ICONS) files[icon.file] = await iconPng(svg, ground, icon);
  files['shared.png'] = await sharedPng(document, derived, svg);
  const icon = (px: number) => ({
    src: `app-icon-${px}.png`,
    sizes: `${px}x${px}`,
    type: 'image/png',
    purpose: 'any maskable',
  });
  files['site.webmanifest'] = new TextEncoder().encode(
    `${JSON.stringify({ name: document.name, icons: [icon(192), icon(512)], background_color: ground, theme_color: ground }, null, 2)}\n`,
  );
  return files;
}
