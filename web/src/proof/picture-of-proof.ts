import { ARRANGEMENT } from '@garnish/core/proof/arrangement';
import { sheetCss, type SheetBlock } from '@garnish/core/formats/sheet';

const TALLEST_PX = 1400;

const dataAddress = async (address: string): Promise<string> => {
  const blob = await (await fetch(address)).blob();
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.onerror = () => reject(new Error('a file of the proof could not be read'));
    reader.readAsDataURL(blob);
  });
};

/** Every address that a text names, with its data instead. */
async function withData(text: string, pattern: RegExp, base: string): Promise<string> {
  const names = [...new Set([...text.matchAll(pattern)].map(([, name = '']) => name))];
  const data = await Promise.all(
    names.map((name) => dataAddress(name.startsWith('/') ? name : base + name).catch(() => '')),
  );
  return names.reduce((result, name, index) => result.replaceAll(name, data[index] ?? ''), text);
}

/** What is visible of the proof’s page, as pixels: drawn by the browser from the page’s own markup. */
export async function pictureOfProof(
  page: Document,
  sheet: readonly SheetBlock[],
): Promise<OffscreenCanvas> {
  const width = page.documentElement.clientWidth;
  const height = Math.min(TALLEST_PX, page.documentElement.scrollHeight);
  // Only the faces that are in use: the browser has loaded those.
  const loaded = new Set(
    [...page.fonts]
      .filter(({ status }) => status === 'loaded')
      .map(({ family }) => family.replaceAll('"', '')),
  );
  const used = sheet.filter(({ rules: [first] }) => {
    if (first?.selector !== '@font-face') return true;
    const family = first.declarations.find(([property]) => property === 'font-family')?.[1] ?? '';
    return loaded.has(family.replaceAll('"', ''));
  });
  const css = await withData(sheetCss(used), /url\("(fonts\/[^"]+)"\)/g, '/proof/');
  const theme = page.documentElement.getAttribute('data-theme') ?? 'light';
  const markup = await withData(
    new XMLSerializer().serializeToString(page.body),
    /src="(\/proof\/pictures\/[^"]+)"/g,
    '',
  );
  // In a picture the root is the SVG, so what is said of the root is said of the page inside it too.
  const inside = `${css}\n${ARRANGEMENT}`
    .replaceAll(':root', '.picture-root')
    .replaceAll('content-visibility: auto;', '');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><foreignObject width="100%" height="100%"><div xmlns="http://www.w3.org/1999/xhtml" class="picture-root on-page" data-theme="${theme}" style="font-size:${getComputedStyle(page.documentElement).fontSize}"><style>${inside.replaceAll('<', '&lt;').replaceAll('&', '&amp;').replaceAll('&amp;lt;', '&lt;')}</style>${markup}</div></foreignObject></svg>`;
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.drawImage(image, 0, 0);
  return canvas;
}
