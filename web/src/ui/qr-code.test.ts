import { expect, test } from '@jest/globals';
// A library that reads codes, made by others than the one that writes them.
import jsQR from 'jsqr';
import { qrCode } from './qr-code.ts';

/** The code as a camera sees it: black on white, so many pixels for each module. */
function pixelsOf({ side, path }: ReturnType<typeof qrCode>, scale = 4) {
  const size = side * scale;
  const data = new Uint8ClampedArray(size * size * 4).fill(255);
  for (const [, column, row] of path.matchAll(/M(\d+) (\d+)h1v1h-1z/g))
    for (let y = 0; y < scale; y += 1)
      for (let x = 0; x < scale; x += 1) {
        const at = ((Number(row) * scale + y) * size + Number(column) * scale + x) * 4;
        data.fill(0, at, at + 3);
      }
  return { data, size };
}

test.each([
  'http://192.0.2.7:4500/g/AAAAAAAAAAAAAAAAAAAAAA',
  'http://10.0.0.12:4512/g/Zk3-_xB0Q9v1mW2yT8rLpA',
  `http://[2001:db8::1]:4500/g/${'a'.repeat(22)}`,
  'http://machine.local:4500/g/ünïcode-and-more?x=1&y=2#part',
])('%s is read back', (text) => {
  const { data, size } = pixelsOf(qrCode(text));
  expect(jsQR(data, size, size)?.data).toBe(text);
});
