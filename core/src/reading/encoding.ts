/** So far into a file browsers look for what says how it is written. Source: HTML, determining the character encoding. */
const LOOKED_INTO = 1024;

/** What a file says of how it is written: `@charset` of a sheet, `meta` of a page, the declaration of XML. */
const SAID = [
  /^@charset "([^"]{1,40})";/,
  /<meta\s[^>]*?charset\s*=\s*["']?\s*([\w.:-]{1,40})/i,
  /^<\?xml\s[^>]*?encoding\s*=\s*["']([\w.:-]{1,40})/i,
] as const;

/** Signs that say so by themselves, at the beginning. Source: Encoding, 6, BOM sniff. */
function byMark([first, second, third]: Uint8Array): string | undefined {
  if (first === 0xef && second === 0xbb && third === 0xbf) return 'utf-8';
  if (first === 0xfe && second === 0xff) return 'utf-16be';
  return first === 0xff && second === 0xfe ? 'utf-16le' : undefined;
}

function tried(bytes: Uint8Array, label: string, fatal: boolean): string | undefined {
  try {
    return new TextDecoder(label, { fatal }).decode(bytes);
  } catch {
    return undefined; // an encoding that nobody knows, or a text that is not of it
  }
}

/** Whether a text is none: bytes of a picture, say, are of any encoding of single bytes. */
const isNoText = (text: string): boolean => text.includes('\0');

/**
 * The text of a style sheet or a page, as browsers read it: by the mark at its beginning, by what it says of itself, in
 * UTF-8 where it is that, or else in the encoding of the western web of before.
 * @returns nothing where it is no text
 */
export function textOfBytes(bytes: Uint8Array): string | undefined {
  const marked = byMark(bytes);
  if (marked !== undefined) return tried(bytes, marked, true);
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, LOOKED_INTO));
  const said = SAID.map((one) => one.exec(head)?.[1]).find((one) => one !== undefined);
  // Who says UTF-16 in signs of single bytes is wrong. Source: HTML, 13.2.3.2.
  const label = said !== undefined && /^utf-16/i.test(said) ? 'utf-8' : said;
  const text =
    (label === undefined ? undefined : tried(bytes, label, true)) ??
    tried(bytes, 'utf-8', true) ??
    tried(bytes, 'windows-1252', false);
  return text === undefined || isNoText(text) ? undefined : text;
}
