import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { derive } from '@garnish/core/derive/derive';
import { writeCss } from '@garnish/core/formats/css';
import { readDtcg } from '@garnish/core/formats/read-dtcg';
import { LOCAL_FAMILIES } from '@garnish/core/fonts/local-families';
import { findingsOf } from '@garnish/core/checks/checks';
import { isAccepted } from '@garnish/core/checks/order';
import { strFromU8, unzipSync } from 'fflate';
import * as z from 'zod';
import { demoSystems } from '../demo/demo.ts';
import { families, fontPath, licenceOf } from '../fonts/shipped.ts';
import { testServer, type TestServer } from '../test-server.ts';

let server: TestServer;
let id: string;

beforeAll(async () => {
  server = await testServer('garnish_exports', true);
  const list = z
    .object({ systems: z.array(z.object({ id: z.string(), name: z.string() })) })
    .parse(await (await fetch(`${server.url}/api/systems`)).json()).systems;
  id = list.find(({ name }) => name === 'Brackwater Ferries')?.id ?? '';
});
afterAll(() => server.close());

/** The width that a WebP file says in its head. Source: RFC 9649, 2.5 to 2.7. */
function widthOfWebp(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const kind = String.fromCharCode(...bytes.slice(12, 16));
  if (kind === 'VP8 ') return view.getUint16(26, true) & 0x3fff;
  if (kind === 'VP8L') return (view.getUint32(21, true) & 0x3fff) + 1;
  return (view.getUint32(24, true) & 0xffffff) + 1;
}

const take = (file: string) => fetch(`${server.url}/api/systems/${id}/export/${file}`);

describe('what is taken away', () => {
  test('names no file that is not in the archive beside it', async () => {
    const archive = unzipSync(new Uint8Array(await (await take('tokens.zip')).arrayBuffer()));
    for (const sheet of Object.keys(archive).filter((name) => name.endsWith('.css'))) {
      const css = strFromU8(archive[sheet] ?? new Uint8Array());
      const files = [...css.matchAll(/url\("?([^")]+)"?\)/g)].flatMap(([, address = '']) =>
        address.startsWith('data:') ? [] : [address],
      );
      if (sheet === 'tokens.css') expect(files.length).toBeGreaterThan(2);
      expect(files.filter((file) => !Object.hasOwn(archive, file))).toEqual([]);
    }
  });

  test('pictures come in every width that their markup offers, and one that is broken is told', async () => {
    const archive = unzipSync(new Uint8Array(await (await take('pictures.zip')).arrayBuffer()));
    const markup = strFromU8(archive['pictures.md'] ?? new Uint8Array());
    const offered = [...markup.matchAll(/(pictures\/[^\s",]+\.webp) (\d+)w/g)];
    expect(offered.length).toBeGreaterThan(4);
    for (const [, file = '', width] of offered)
      expect([file, widthOfWebp(archive[file] ?? new Uint8Array())]).toEqual([file, Number(width)]);
    expect(archive['not-made.txt']).toBeUndefined();

    // One that begins as a picture does and is none: it is told, goes along as it came, and the others come.
    const form = new FormData();
    const bytes = Buffer.concat([
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]),
      Buffer.alloc(40, 7),
    ]);
    form.append('picture', new Blob([bytes]), 'broken.png');
    const kept = z
      .object({ file: z.string() })
      .parse(
        await (await fetch(`${server.url}/api/pictures`, { method: 'POST', body: form })).json(),
      );
    const broken = demoSystems()[0];
    if (!broken) throw new Error('there is no demo');
    const [veil = ''] = broken.color.veils.order;
    const { patched } = await import('@garnish/core/system/patch');
    const changed = patched(broken, [
      { op: 'replace', path: `/color/veils/items/${veil}/picture/file`, value: kept.file },
    ]);
    if (!changed.ok) throw new Error('it does not fit');
    const { pictureArchivist } = await import('./picture-archive.ts');
    const own = unzipSync(
      await pictureArchivist({
        bytes: async (name) =>
          Buffer.from(await (await fetch(`${server.url}/proof/pictures/${name}`)).arrayBuffer()),
      })(changed.document),
    );
    expect(strFromU8(own['not-made.txt'] ?? new Uint8Array())).toContain(kept.file);
    expect(own[`pictures/${kept.file}`]).toEqual(new Uint8Array(bytes));
    expect(Object.keys(own).filter((name) => name.endsWith('.webp')).length).toBeGreaterThan(0);
  });

  test('a picture of more pixels than the server decodes goes along as it came, and is told', async () => {
    const { default: sharp } = await import('sharp');
    const huge = await sharp({
      create: { width: 8000, height: 7600, channels: 3, background: '#336699' },
    })
      .png()
      .toBuffer();
    const [system] = demoSystems();
    if (!system) throw new Error('there is no demo');
    const { pictureArchivist } = await import('./picture-archive.ts');
    const own = unzipSync(await pictureArchivist({ bytes: () => Promise.resolve(huge) })(system));
    expect(strFromU8(own['not-made.txt'] ?? new Uint8Array())).toMatch(/pixel limit/);
    const kept = Object.entries(own).filter(([name]) => /^pictures\/[0-9a-f]{16}\./.test(name));
    expect(kept.length).toBeGreaterThan(0);
    for (const [, bytes] of kept) expect(bytes.length).toBe(huge.length);
    expect(
      Object.keys(own).some(
        (name) => name.endsWith('.webp') && !kept.some(([one]) => one === name),
      ),
    ).toBe(false);
  });

  test('is named after the system and comes as a download', async () => {
    const response = await take('tokens.css');
    expect(response.headers.get('content-disposition')).toBe(
      'attachment; filename="brackwater-ferries-tokens.css"',
    );
    expect(response.headers.get('content-type')).toBe('text/css; charset=utf-8');
  });

  test('the token file restores the system, and the style sheet is derived from the same', async () => {
    const read = readDtcg(await (await take('tokens.json')).text());
    if (read.kind !== 'system') throw new Error(read.kind);
    expect(read.document.name).toBe('Brackwater Ferries');
    expect(await (await take('tokens.css')).text()).toBe(writeCss(derive(read.document)));
  });

  test('the archive holds both, every font file that the sheet names, and the licenses', async () => {
    const archive = unzipSync(new Uint8Array(await (await take('tokens.zip')).arrayBuffer()));
    const css = strFromU8(archive['tokens.css'] ?? new Uint8Array());
    expect(css).toBe(await (await take('tokens.css')).text());
    const named = [...css.matchAll(/url\("(fonts\/[^"]+)"\)/g)].map(([, file]) => file ?? '');
    expect(named.length).toBeGreaterThan(4);
    for (const file of named) {
      const bytes = archive[file];
      const hash = createHash('sha256')
        .update(bytes ?? '')
        .digest('hex');
      expect(file).toContain(hash.slice(0, 12));
    }
    for (const family of ['archivo', 'literata'])
      expect(strFromU8(archive[`fonts/${family}-license.txt`] ?? new Uint8Array())).toContain(
        'Open Font License',
      );
  });

  test('the fonts come as TTF too, with a note of the script that each holds', async () => {
    const archive = unzipSync(new Uint8Array(await (await take('fonts.zip')).arrayBuffer()));
    const fonts = Object.entries(archive).filter(([name]) => name.endsWith('.ttf'));
    expect(fonts.map(([name]) => name)).toContain('archivo-latin-wght-normal.ttf');
    for (const [name, bytes] of fonts) {
      // OpenType, the offset table of a font with TrueType outlines.
      expect([name, ...bytes.slice(0, 4)]).toEqual([name, 0, 1, 0, 0]);
      expect(strFromU8(archive['scripts.txt'] ?? new Uint8Array())).toContain(`${name}: `);
    }
  });

  test('is the same every time', async () => {
    const hash = async () =>
      createHash('sha256')
        .update(new Uint8Array(await (await take('tokens.zip')).arrayBuffer()))
        .digest('hex');
    expect(await hash()).toBe(await hash());
  });
});

describe('font files', () => {
  test('are the very bytes that the catalogue was measured from, with a license each', () => {
    for (const { id: family, files } of families) {
      expect(licenceOf(family)).toMatch(/license/i);
      for (const { name, bytes } of files) {
        const content = readFileSync(fontPath(name) ?? '');
        expect([name, content.length]).toEqual([name, bytes]);
        expect(name).toContain(createHash('sha256').update(content).digest('hex').slice(0, 12));
      }
    }
  });

  test('are served under their names for a long time', async () => {
    const name = families[0]?.files[0]?.name ?? '';
    const response = await fetch(`${server.url}/proof/fonts/${name}`);
    expect(response.status).toBe(200);
    expect(response.headers.get('content-type')).toBe('font/woff2');
    expect(response.headers.get('cache-control')).toContain('immutable');
    expect((await response.arrayBuffer()).byteLength).toBe(families[0]?.files[0]?.bytes);
  });

  test.each(['nothing.woff2', '..%2f..%2fpackage.json', '%2e%2e/app.ts', 'package.json'])(
    'no path leads from %s to a file',
    async (name) => {
      const response = await fetch(`${server.url}/proof/fonts/${name}`);
      expect(response.status).toBe(404);
    },
  );

  test('the catalogue is served', async () => {
    const served = z.array(z.object({ id: z.string() }));
    const list = served.parse(await (await fetch(`${server.url}/api/fonts`)).json());
    expect(list.length).toBe(families.length + LOCAL_FAMILIES.length);
  });
});

describe('the demo', () => {
  const found = new Map(
    demoSystems().map((document) => [
      document.name,
      findingsOf(document, derive(document))
        .filter((finding) => !isAccepted(document, finding))
        .map(({ id: finding }) => finding.split(':')[0]),
    ]),
  );

  test('has a finished system, one with a little left, and one with nine kinds of findings', () => {
    expect(found.get('Kestrel Hill Planetarium')).toEqual([]);
    expect(found.get('Brackwater Ferries')).toEqual(['alike']);
    expect(new Set(found.get('Tallow Lane Candles'))).toEqual(
      new Set([
        'contrast',
        'weight',
        'order',
        'size',
        'zoom',
        'reader',
        'small-size',
        'italic',
        'figures',
      ]),
    );
  });
});
