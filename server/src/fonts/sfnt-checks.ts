/** More characters than any font has, and more than Unicode assigns to writing. */
const MOST_CHARACTERS = 200_000;
const LAST_CODE_POINT = 0x10_ffff;
const MOST_TABLES = 64;
const MOST_BYTES = 32 * 1024 * 1024;

const HEADER = 12;
const ENTRY = 16;

const viewOf = (bytes: Uint8Array): DataView =>
  new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/**
 * Looks at what a plain font claims before it is read: tables that lie in the file, and a character map
 * whose groups (formats 12 and 13) stay within Unicode and within reason. A file of a few kB can claim four
 * thousand million characters. Throws an Error in words. Source: OpenType 1.9, cmap.
 */
export function checkSfnt(bytes: Uint8Array): void {
  const view = viewOf(bytes);
  if (bytes.length < HEADER) throw new Error('it ends before its directory');
  const count = view.getUint16(4);
  if (count > MOST_TABLES || HEADER + count * ENTRY > bytes.length)
    throw new Error('its directory of tables is not one');
  for (let index = 0; index < count; index += 1) {
    const row = HEADER + index * ENTRY;
    const offset = view.getUint32(row + 8);
    const length = view.getUint32(row + 12);
    if (offset + length > bytes.length) throw new Error('one of its tables lies outside the file');
    if (view.getUint32(row) === CMAP)
      checkCharacters(viewOf(bytes.subarray(offset, offset + length)));
  }
}

/** The tag `cmap`. */
const CMAP = 0x63_6d_61_70;
const GROUPS = 16;
const GROUP = 12;

function checkCharacters(cmap: DataView): void {
  const count = cmap.byteLength >= 4 ? cmap.getUint16(2) : 0;
  const offsets = new Set<number>();
  for (
    let index = 0;
    index < Math.min(count, MOST_TABLES) && 4 + index * 8 + 8 <= cmap.byteLength;
    index += 1
  )
    offsets.add(cmap.getUint32(4 + index * 8 + 4));
  for (const at of offsets) {
    if (at + GROUPS > cmap.byteLength) continue;
    const format = cmap.getUint16(at);
    if (format !== 12 && format !== 13) continue;
    const groups = cmap.getUint32(at + 12);
    if (at + GROUPS + groups * GROUP > cmap.byteLength)
      throw new Error('its character map has more groups than bytes');
    let characters = 0;
    for (let group = 0; group < groups; group += 1) {
      const row = at + GROUPS + group * GROUP;
      const first = cmap.getUint32(row);
      const last = cmap.getUint32(row + 4);
      if (last < first || last > LAST_CODE_POINT)
        throw new Error('its character map names characters that there are not');
      characters += last - first + 1;
      if (characters > MOST_CHARACTERS)
        throw new Error(`its character map claims more than ${MOST_CHARACTERS} characters`);
    }
  }
}

const WOFF2_HEADER = 48;
/** Known tags of WOFF2 are numbers; 63 says that a tag follows. */
const OTHER_TAG = 63;
const GLYF = 10;
const LOCA = 11;

/**
 * Looks at the directory of a WOFF2 file before it is unpacked: what its tables claim to be is at most
 * 32 MB together. Throws an Error in words. Source: W3C WOFF File Format 2.0, 4.1 and 4.2.
 */
export function checkWoff2(bytes: Uint8Array): void {
  if (bytes.length < WOFF2_HEADER) throw new Error('it ends before its directory');
  const view = viewOf(bytes);
  const count = view.getUint16(12);
  if (count === 0 || count > MOST_TABLES) throw new Error('its directory of tables is not one');
  if (view.getUint32(8) > bytes.length + 4) throw new Error('it is shorter than it claims');
  let at = WOFF2_HEADER;
  const byte = (): number => {
    const value = bytes[at];
    if (value === undefined) throw new Error('it ends within its directory');
    at += 1;
    return value;
  };
  /** UIntBase128: seven bits a byte, five bytes at most, none of them leading zeros. */
  const number = (): number => {
    let value = 0;
    for (let index = 0; index < 5; index += 1) {
      const next = byte();
      if (index === 0 && next === 0x80) break;
      value = value * 128 + (next & 0x7f);
      if (next < 0x80) return value;
    }
    throw new Error('a length in its directory is none');
  };
  let claimed = 0;
  for (let index = 0; index < count; index += 1) {
    const flags = byte();
    const tag = flags & 0x3f;
    if (tag === OTHER_TAG) at += 4;
    const version = flags >> 6;
    claimed += number();
    // glyf and loca are transformed unless they say that they are not; all others the other way round.
    const isTransformed = tag === GLYF || tag === LOCA ? version !== 3 : version !== 0;
    if (isTransformed) claimed += number();
    if (claimed > MOST_BYTES) throw new Error('its tables claim more than 32 MB');
  }
}
