/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { textsOf } from './text-files.ts';

/** A file of a browser, of which jsdom has no bytes. */
function fileOf(name: string, bytes: Uint8Array, size = bytes.length): File {
  const file = new File([], name);
  Object.defineProperties(file, {
    size: { value: size },
    arrayBuffer: { value: () => Promise.resolve(bytes.slice().buffer) },
  });
  return file;
}
const CSS = /\.css$/i;
const read = (name: string, bytes: Uint8Array, size?: number) =>
  textsOf(fileOf(name, bytes, size), CSS, 'style sheets');

describe('the texts of a file', () => {
  test('are its own, in UTF-8 or UTF-16', async () => {
    expect(await read('a.css', strToU8('a { content: "ø" }'))).toEqual({
      ok: true,
      texts: [{ name: 'a.css', text: 'a { content: "ø" }' }],
    });
    const wide = new Uint8Array([0xff, 0xfe, 0x61, 0, 0x62, 0]);
    expect(await read('a.css', wide)).toEqual({ ok: true, texts: [{ name: 'a.css', text: 'ab' }] });
  });

  test('are those of a zip that are wanted, and nothing that programs leave there', async () => {
    const zip = zipSync({
      'site/a.css': strToU8('a{}'),
      'site/B.CSS': strToU8('b{}'),
      'readme.md': strToU8('#'),
      '__MACOSX/a.css': strToU8('x'),
      'node_modules/x/a.css': strToU8('x'),
      '.git/a.css': strToU8('x'),
      'broken.css': new Uint8Array([0xc3, 0x28]),
    });
    const found = await read('site.zip', zip);
    expect(found.ok && found.texts.map(({ name }) => name)).toEqual(['site/a.css', 'site/B.CSS']);
  });

  test('are refused with words where they are none', async () => {
    const problem = async (name: string, bytes: Uint8Array, size?: number): Promise<string> => {
      const found = await read(name, bytes, size);
      return found.ok ? '' : found.problem;
    };
    expect(await problem('a.css', new Uint8Array([0xc3, 0x28]))).toContain('no text in UTF-8');
    expect(await problem('a.css', strToU8('a'), 65_000_000)).toContain('65 MB; 64 MB is the most');
    expect(await problem('a.zip', zipSync({ 'a.md': strToU8('x') }))).toBe(
      'There is no file of style sheets in a.zip.',
    );
    expect(await problem('a.zip', strToU8('PK nothing'))).toContain('cannot be unpacked');
  });
});
