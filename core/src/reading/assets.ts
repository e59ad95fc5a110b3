import { base64Of } from '../base64.ts';
import type { Asset } from './saved-page.ts';

/** A path without `.` and `..`. */
function normal(path: string): string {
  const parts: string[] = [];
  for (const part of path.split('/')) {
    if (part === '..') parts.pop();
    else if (part !== '.' && part !== '') parts.push(part);
  }
  return parts.join('/');
}

const folderOf = (path: string): string => path.slice(0, path.lastIndexOf('/') + 1);

/** Signs of an address as they are; itself where they cannot be told. */
const decoded = (address: string): string => {
  try {
    return decodeURIComponent(address);
  } catch {
    return address;
  }
};

/** An address made whole by that of the page, as browsers do it; nothing where there is none. */
function wholeAddress(address: string, base: string | undefined): string | undefined {
  try {
    return new URL(address, base).href;
  } catch {
    return undefined;
  }
}

/**
 * Tells which of some files an address means: by where that file was saved from, by its path from the file that asks
 * for it, or by its name where only one is called so. Nothing is fetched.
 */
export function findingAssets(
  assets: readonly Asset[],
): (address: string, from: Pick<Asset, 'name' | 'address'>) => Asset | undefined {
  const byAddress = new Map<string, Asset>();
  const byPath = new Map<string, Asset>();
  const byBase = new Map<string, Asset | undefined>();
  for (const asset of assets) {
    const { name, address } = asset;
    if (address !== undefined) byAddress.set(wholeAddress(address, undefined) ?? address, asset);
    byPath.set(normal(name), asset);
    const base = name.slice(name.lastIndexOf('/') + 1);
    byBase.set(base, byBase.has(base) ? undefined : asset);
  }
  return (address, from) => {
    const wanted = address.trim();
    if (wanted === '' || wanted.startsWith('#') || /^(?:data|about|javascript):/i.test(wanted))
      return undefined;
    const whole = wholeAddress(wanted, from.address);
    const byWhole =
      byAddress.get(wanted) ?? (whole === undefined ? undefined : byAddress.get(whole));
    if (byWhole) return byWhole;
    const path = decoded(wanted.split(/[?#]/)[0] ?? '');
    const base = path.slice(path.lastIndexOf('/') + 1);
    return byPath.get(normal(`${folderOf(from.name)}${path}`)) ?? byBase.get(base);
  };
}

/** Larger files are not shown: a page holds each in its own text. */
const MOST_SHOWN_BYTES = 8_000_000;

/** Types of what is shown: pictures and fonts, nothing that acts. */
const SHOWN =
  /^(?:image\/(?:png|jpe?g|gif|webp|avif|svg\+xml|bmp|x-icon|vnd\.microsoft\.icon)|font\/[\w-]+|application\/(?:x-)?font-[\w-]+|application\/font-woff2?)$/;

/** A picture or a font as an address that holds it; nothing for anything else. */
export function asShown({ type, bytes }: Asset): string | undefined {
  return SHOWN.test(type) && bytes.length <= MOST_SHOWN_BYTES
    ? `data:${type};base64,${base64Of(bytes)}`
    : undefined;
}

/** What files are by the ends of their names. */
const TYPES: Readonly<Record<string, string>> = {
  css: 'text/css',
  htm: 'text/html',
  html: 'text/html',
  xhtml: 'text/html',
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
  avif: 'image/avif',
  svg: 'image/svg+xml',
  ico: 'image/x-icon',
  bmp: 'image/bmp',
  woff: 'font/woff',
  woff2: 'font/woff2',
  ttf: 'font/ttf',
  otf: 'font/otf',
};

/** What a file is by its name. */
export function typeByName(name: string): string {
  const ending = /\.(\w+)$/.exec(name)?.[1]?.toLowerCase() ?? '';
  return Object.hasOwn(TYPES, ending) ? (TYPES[ending] ?? '') : 'application/octet-stream';
}
