import type { Derived } from '@garnish/core/derive/derived';
import { drawnFiles } from '@garnish/core/formats/drawn-files';
import { picturesOf } from '@garnish/core/system/pictures';
import type { StyleDocument } from '@garnish/core/system/document';
import { strToU8, unzipSync } from 'fflate';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';

/** A file that is handed over by itself. */
export interface Asset {
  readonly kind: 'logo' | 'icons' | 'pictures' | 'artwork' | 'patterns' | 'fonts';
  readonly name: string;
  /** What it is called as a file. */
  readonly file: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/** Takes a file of a system: as it stands, or of a release. */
export type TakeFile = (file: string) => Promise<Uint8Array<ArrayBuffer>>;

/** Files of a system from where they are offered. */
export const takingFrom =
  (base: string): TakeFile =>
  async (file) => {
    const answer = await fetch(`${base}/${file}`);
    if (!answer.ok) throw new Error(`${file} cannot be read now. Try again.`);
    return new Uint8Array(await answer.arrayBuffer());
  };

/** The same, each asked for once. */
export function once(take: TakeFile): TakeFile {
  const known = new Map<string, ReturnType<TakeFile>>();
  return (file) => {
    const made = known.get(file) ?? take(file);
    known.set(file, made);
    return made;
  };
}

const PLURAL = { logo: 'logo', artwork: 'artwork', pattern: 'patterns' } as const;

/** All icons as the symbols of one file: it is no picture. */
const SPRITE = 'icons.svg';

const baseName = (path: string): string => path.slice(path.lastIndexOf('/') + 1);

/** All that is handed over by itself: logo, icons, pictures, artwork, patterns and fonts, in the forms that serve. */
export async function assetsOf(
  document: StyleDocument,
  derived: Derived,
  take: TakeFile,
): Promise<readonly Asset[]> {
  const drawn = drawnFiles(document, derived).map(({ file, kind, name, svg }): Asset => ({
    kind: PLURAL[kind],
    name,
    file,
    bytes: new Uint8Array(strToU8(sanitizedFile(svg))),
  }));
  const from = async (
    archive: string,
    kind: Asset['kind'],
    isTaken: (path: string) => boolean,
  ): Promise<readonly Asset[]> =>
    Object.entries(unzipSync(await take(archive)))
      .filter(([path]) => isTaken(path))
      .map(([path, bytes]) => ({
        kind,
        name: baseName(path).replace(/\.[0-9a-f]{12}(?=\.)/, ''),
        file: baseName(path),
        bytes: new Uint8Array(bytes),
      }));
  const [icons, pictures, fonts] = await Promise.all([
    derived.icons.size > 0
      ? from('icons.zip', 'icons', (path) => path.endsWith('.svg') && path !== SPRITE)
      : [],
    picturesOf(document).length > 0
      ? from('pictures.zip', 'pictures', (path) => path.startsWith('pictures/'))
      : [],
    from('tokens.zip', 'fonts', (path) => path.startsWith('fonts/')),
  ]);
  const order = ['logo', 'icons', 'pictures', 'artwork', 'patterns', 'fonts'];
  return [...drawn, ...icons, ...pictures, ...fonts].toSorted(
    (one, other) => order.indexOf(one.kind) - order.indexOf(other.kind),
  );
}

/** Sanitized SVG that stands alone as a file. */
function sanitizedFile(svg: string): string {
  const safe = sanitizedSvg(svg);
  return safe.includes('xmlns=')
    ? safe
    : safe.replace('<svg', '<svg xmlns="http://www.w3.org/2000/svg"');
}

const TYPES: Readonly<Record<string, string>> = {
  svg: 'image/svg+xml',
  webp: 'image/webp',
  woff2: 'font/woff2',
  txt: 'text/plain',
};

export const typeOf = (file: string): string =>
  TYPES[file.slice(file.lastIndexOf('.') + 1)] ?? 'application/octet-stream';
