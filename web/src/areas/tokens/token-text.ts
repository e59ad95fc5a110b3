import type { TextFile } from '@garnish/core/formats/reading-files';

/** More than this is no token file, packed or not. */
const MOST_BYTES = 64_000_000;
const MOST_TOKENS_BYTES = 16_000_000;

const OURS = /(^|\/)[^/]*tokens\.json$/;
/** What may hold tokens. */
export const READABLE = /\.(json|tokens|css)$/i;
/** What programs leave in folders for themselves. */
const LEFT = /(^|\/)(__MACOSX|\.[^/]+|node_modules)(\/|$)/;

export type TokenTexts =
  | { readonly ok: true; readonly texts: readonly TextFile[] }
  | { readonly ok: false; readonly problem: string };

/** The two letters that every zip begins with. */
const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Bytes as text: UTF-8, or UTF-16 where a mark of the order of bytes says so; nothing for what is no text. */
function decoded(bytes: Uint8Array): string | undefined {
  const encoding =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? 'utf-16le'
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? 'utf-16be'
        : 'utf-8';
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

/** The texts of a token file: its own, or those in a zip; of one that Garnish exported only its tokens.json. */
export async function tokenTextsOf(file: File): Promise<TokenTexts> {
  const { name, size } = file;
  if (size > MOST_BYTES)
    return {
      ok: false,
      problem: `${name} has ${Math.round(size / 1_000_000)} MB; ${MOST_BYTES / 1_000_000} MB is the most.`,
    };
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (!isZip(bytes)) {
    const text = decoded(bytes);
    return text === undefined
      ? { ok: false, problem: `${name} is no text in UTF-8 or UTF-16.` }
      : { ok: true, texts: [{ name: file.webkitRelativePath || name, text }] };
  }
  const { unzipSync } = await import('fflate');
  try {
    let left = MOST_BYTES;
    const found = unzipSync(bytes, {
      filter: ({ name: entry, originalSize }) => {
        const isWanted =
          READABLE.test(entry) && !LEFT.test(entry) && originalSize <= MOST_TOKENS_BYTES;
        if (!isWanted || originalSize > left) return false;
        left -= originalSize;
        return true;
      },
    });
    const texts = Object.entries(found).flatMap(([entry, own]) => {
      const text = decoded(own);
      return text === undefined ? [] : [{ name: entry, text }];
    });
    // Beside its tokens an archive of ours has sheets that say the same.
    const ours = texts.filter((one) => OURS.test(one.name));
    const [only] = ours;
    const isExported = ours.length === 1 && only?.text.includes('"decisions"') === true;
    return texts.length === 0
      ? { ok: false, problem: `There is no file of tokens in ${name}.` }
      : { ok: true, texts: isExported ? ours : texts };
  } catch {
    return { ok: false, problem: `${name} cannot be unpacked; it may be cut off.` };
  }
}
