import type { TextFile } from '@garnish/core/formats/reading-files';

/** More than this is no file of texts, packed or not. */
const MOST_BYTES = 64_000_000;
const MOST_ENTRY_BYTES = 16_000_000;
/** What programs leave in folders for themselves. */
const LEFT = /(^|\/)(__MACOSX|\.[^/]+|node_modules)(\/|$)/;

export type Texts =
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

/** A file with its bytes. */
export interface FileBytes {
  readonly name: string;
  readonly bytes: Uint8Array;
}

export type Entries =
  | { readonly ok: true; readonly entries: readonly FileBytes[] }
  | { readonly ok: false; readonly problem: string };

/**
 * What is in a file: itself, or what a zip holds.
 * @param wanted what the names of the files end with that are wanted of a zip
 */
export async function entriesOf(file: File, wanted: RegExp): Promise<Entries> {
  const { name, size } = file;
  if (size > MOST_BYTES)
    return {
      ok: false,
      problem: `${name} has ${Math.round(size / 1_000_000)} MB; ${MOST_BYTES / 1_000_000} MB is the most.`,
    };
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (!isZip(bytes))
    return { ok: true, entries: [{ name: file.webkitRelativePath || name, bytes }] };
  const { unzipSync } = await import('fflate');
  try {
    let left = MOST_BYTES;
    const found = unzipSync(bytes, {
      filter: ({ name: entry, originalSize }) => {
        const isWanted =
          wanted.test(entry) && !LEFT.test(entry) && originalSize <= MOST_ENTRY_BYTES;
        if (!isWanted || originalSize > left) return false;
        left -= originalSize;
        return true;
      },
    });
    return {
      ok: true,
      entries: Object.entries(found).map(([entry, own]) => ({ name: entry, bytes: own })),
    };
  } catch {
    return { ok: false, problem: `${name} cannot be unpacked; it may be cut off.` };
  }
}

/** A file as a text, or why it is none. */
export function textOf({ name, bytes }: FileBytes): TextFile | string {
  const text = decoded(bytes);
  return text === undefined ? `${name} is no text in UTF-8 or UTF-16.` : { name, text };
}

/**
 * The texts of a file: its own, or those in a zip.
 * @param readable what the names of the files end with that are wanted of a zip
 * @param what these are, in words
 */
export async function textsOf(file: File, readable: RegExp, what: string): Promise<Texts> {
  const found = await entriesOf(file, readable);
  if (!found.ok) return found;
  const texts: TextFile[] = [];
  const [only, ...more] = found.entries;
  for (const entry of found.entries) {
    const text = textOf(entry);
    if (typeof text !== 'string') texts.push(text);
    else if (entry === only && more.length === 0) return { ok: false, problem: text };
  }
  return texts.length === 0
    ? { ok: false, problem: `There is no file of ${what} in ${file.name}.` }
    : { ok: true, texts };
}
