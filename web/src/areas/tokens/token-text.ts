/** More than this is no token file, packed or not. */
const MOST_BYTES = 64_000_000;
const MOST_TOKENS_BYTES = 16_000_000;

const TOKENS = /(^|\/)[^/]*tokens\.json$/;

export type TokenText =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly problem: string };

/** The two letters that every zip begins with. */
const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** The text of a token file, or of the one in a zip that was exported; only that one is unpacked. */
export async function tokenTextOf(file: File): Promise<TokenText> {
  if (file.size > MOST_BYTES)
    return { ok: false, problem: `${file.name} is larger than any token file.` };
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (!isZip(bytes)) return { ok: true, text: new TextDecoder().decode(bytes) };
  const { unzipSync, strFromU8 } = await import('fflate');
  try {
    const found = unzipSync(bytes, {
      filter: ({ name, originalSize }) => TOKENS.test(name) && originalSize <= MOST_TOKENS_BYTES,
    });
    const [text] = Object.values(found);
    return text
      ? { ok: true, text: strFromU8(text) }
      : { ok: false, problem: `There is no tokens.json in ${file.name}.` };
  } catch {
    return { ok: false, problem: `${file.name} cannot be unpacked; it may be cut off.` };
  }
}
