import { inflateSync } from 'node:zlib';
import { decompress } from 'wawoff2';
import { checkWoff2 } from './sfnt-checks.ts';

/** The largest font that is unpacked: a small file can claim to be a huge one. */
const MOST_BYTES = 32 * 1024 * 1024;

const tag = (bytes: Uint8Array): string =>
  String.fromCharCode(bytes[0] ?? 0, bytes[1] ?? 0, bytes[2] ?? 0, bytes[3] ?? 0);

/** Signatures of fonts that need no unpacking: TrueType outlines, CFF outlines, Apple's TrueType. */
const PLAIN = new Set(['\0\x01\0\0', 'OTTO', 'true']);

const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

/**
 * A font from its WOFF 1 wrapping. Source: W3C WOFF File Format 1.0: each table is stored or
 * deflated by itself; the directory of an sfnt is written again.
 */
function unwrapped(bytes: Uint8Array): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = view.getUint16(12);
  const total = view.getUint32(16);
  if (total > MOST_BYTES) throw new Error('it claims to unpack to more than 32 MB');
  const target = new Uint8Array(total);
  const out = new DataView(target.buffer);
  out.setUint32(0, view.getUint32(4));
  out.setUint16(4, count);
  const power = 2 ** Math.floor(Math.log2(Math.max(1, count)));
  out.setUint16(6, power * 16);
  out.setUint16(8, Math.log2(power));
  out.setUint16(10, count * 16 - power * 16);
  let place = SFNT_HEADER + SFNT_ENTRY * count;
  for (let index = 0; index < count; index += 1) {
    const entry = WOFF_HEADER + WOFF_ENTRY * index;
    const offset = view.getUint32(entry + 4);
    const packed = view.getUint32(entry + 8);
    const length = view.getUint32(entry + 12);
    if (length > MOST_BYTES) throw new Error('one of its tables claims more than 32 MB');
    const raw = bytes.subarray(offset, offset + packed);
    const table = packed < length ? inflateSync(raw, { maxOutputLength: length }) : raw;
    target.set(table, place);
    const row = SFNT_HEADER + SFNT_ENTRY * index;
    out.setUint32(row, view.getUint32(entry));
    out.setUint32(row + 4, view.getUint32(entry + 16));
    out.setUint32(row + 8, place);
    out.setUint32(row + 12, length);
    place += Math.ceil(length / 4) * 4;
  }
  return target;
}

/** The plain font in a file of WOFF2, WOFF, TTF or OTF. Throws where it is none of these. */
export async function unpacked(bytes: Uint8Array): Promise<Uint8Array> {
  const signature = tag(bytes);
  if (PLAIN.has(signature)) return bytes;
  if (signature === 'wOFF') return unwrapped(bytes);
  if (signature !== 'wOF2') throw new Error('it is no font: it does not begin as one');
  checkWoff2(bytes);
  const claimed = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(16);
  if (claimed > MOST_BYTES) throw new Error('it claims to unpack to more than 32 MB');
  // The unpacker lends its own memory, which the next file overwrites.
  return (await decompress(bytes)).slice();
}
