/** Bytes as base 64. Source: RFC 4648, 4. */
export function base64Of(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000)
    text += String.fromCodePoint(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}
