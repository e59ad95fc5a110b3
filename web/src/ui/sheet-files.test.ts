/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { readSheetFiles } from './sheet-files.ts';

/** A file of a browser, of which jsdom has no bytes. */
function fileOf(name: string, bytes: Uint8Array, size = bytes.length): File {
  const file = new File([], name);
  Object.defineProperties(file, {
    size: { value: size },
    arrayBuffer: { value: () => Promise.resolve(bytes.slice().buffer) },
  });
  return file;
}
const read = (...files: readonly File[]) => readSheetFiles(files, () => undefined);

describe('files that are read for their style sheets', () => {
  test('are sheets and pages in any encoding that they say, with everything else that came', async () => {
    const { files, sheets, assets, refused } = await read(
      fileOf(
        'a.css',
        Uint8Array.from([...strToU8('@charset "latin1"; .caf'), 0xe9, ...strToU8('{color:red}')]),
      ),
      fileOf(
        'site.zip',
        zipSync({
          'b.html': strToU8('<style>b{color:red}</style>'),
          'b.png': Uint8Array.of(1),
          'c.exe': Uint8Array.of(1),
        }),
      ),
    );
    expect(refused).toEqual([]);
    expect(files.map(({ file }) => file)).toEqual(['a.css', 'b.html']);
    expect(
      sheets
        .flatMap((one) => one.sheets.flatMap(({ declarations }) => declarations))
        .map(({ selector }) => selector),
    ).toEqual(['.café', 'b']);
    expect(assets.map(({ name }) => name)).toEqual(['a.css', 'b.html', 'b.png']);
  });

  test('that are no text, too long or too large are told, and the others are read all the same', async () => {
    const { files, assets, refused } = await read(
      fileOf('good.css', strToU8('a{color:red}')),
      fileOf('picture.css', Uint8Array.of(0x89, 0x50, 0, 0, 0)),
      fileOf('long.html', new Uint8Array(50_000_000).fill(0x61)),
      fileOf('large.html', strToU8('a'), 70_000_000),
      fileOf('broken.zip', Uint8Array.of(0x50, 0x4b, 3, 4, 0)),
    );
    expect(files.map(({ file }) => file)).toEqual(['good.css']);
    // What is too long to be read is not shown either: nothing of it goes on.
    expect(assets.map(({ name }) => name)).toEqual(['good.css']);
    expect(refused).toEqual([
      expect.stringContaining('large.html has 70 MB; 64 MB is the most'),
      expect.stringContaining('broken.zip cannot be unpacked'),
      'picture.css is no text.',
      'long.html has 50 million signs; 12 are read.',
    ]);
  });
});
