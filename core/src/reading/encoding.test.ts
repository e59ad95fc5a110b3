import { expect, test } from '@jest/globals';
import { textOfBytes } from './encoding.ts';

const latin = (text: string): Uint8Array =>
  Uint8Array.from(text, (sign) => sign.codePointAt(0) ?? 0);
const utf16 = (text: string, isLittle: boolean): Uint8Array =>
  Uint8Array.from(
    Array.from(`\u{FEFF}${text}`).flatMap((sign) => {
      const code = sign.codePointAt(0) ?? 0;
      return isLittle ? [code & 255, code >> 8] : [code >> 8, code & 255];
    }),
  );

/** What browsers make of them, by the tables of the Encoding standard. */
test.each([
  ['UTF-8', new TextEncoder().encode('a { content: "é…" }'), 'a { content: "é…" }'],
  ['UTF-8 with a mark', Uint8Array.of(0xef, 0xbb, 0xbf, 0x61), 'a'],
  ['UTF-16, little', utf16('é', true), 'é'],
  ['UTF-16, big', utf16('é', false), 'é'],
  [
    'a sheet that says latin',
    latin('@charset "iso-8859-1"; .caf\u{e9} { }'),
    '@charset "iso-8859-1"; .café { }',
  ],
  [
    'a page in Cyrillic',
    Uint8Array.from([...latin('<meta charset=windows-1251><p>'), 0xcf, 0xf0]),
    '<meta charset=windows-1251><p>Пр',
  ],
  [
    'a page that says it in the older way',
    Uint8Array.from([
      ...latin('<meta http-equiv="Content-Type" content="text/html; charset=koi8-r">'),
      0xd0,
    ]),
    '<meta http-equiv="Content-Type" content="text/html; charset=koi8-r">п',
  ],
  ['one that says nothing', latin('caf\u{e9}'), 'café'],
  [
    'one that says what nobody knows',
    latin('<meta charset="x-nowhere">\u{e9}'),
    '<meta charset="x-nowhere">é',
  ],
  [
    'one that says UTF-16 and is none',
    latin('<meta charset="utf-16">a'),
    '<meta charset="utf-16">a',
  ],
  [
    'one that says UTF-8 and is none',
    latin('<meta charset="utf-8">\u{e9}'),
    '<meta charset="utf-8">é',
  ],
])('%s is read', (_, bytes, text) => {
  expect(textOfBytes(bytes)).toBe(text);
});

test('bytes that are no text are none', () => {
  expect(
    textOfBytes(Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0)),
  ).toBeUndefined();
  expect(textOfBytes(Uint8Array.of(0xfe, 0xff, 0xd8, 0x00))).toBeUndefined();
});
