import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { asShown, findingAssets, typeByName } from './assets.ts';
import { isSavedPage, partsOfBody, readSavedPage, type Asset } from './saved-page.ts';
import { shownPages } from './shown-page.ts';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const words = ({ bytes: own }: Pick<Asset, 'bytes'>): string => new TextDecoder().decode(own);

/** A page saved as one file, as RFC 2557 has it: lines end with CR LF. */
const saved = (...parts: readonly string[]): string =>
  [
    'From: <Saved by a browser>',
    'Snapshot-Content-Location: https://ferry.example/',
    'MIME-Version: 1.0',
    'Content-Type: multipart/related;',
    '\ttype="text/html";',
    '\tboundary="----edge--x"',
    '',
    'What stands here is for nobody.',
    ...parts.flatMap((part) => ['------edge--x', part]),
    '------edge--x--',
    'Nor is this.',
  ]
    .join('\n')
    .replaceAll(/\r?\n/g, '\r\n');

const PAGE = [
  'Content-Type: text/html; charset=utf-8',
  'Content-Transfer-Encoding: quoted-printable',
  'Content-Location: https://ferry.example/a/home.html',
  '',
  '<!doctype html><title>Crossings=</title><link rel=3D"stylesheet" href=3D"../look.css?v=3D2">',
  '<body class=3D"=E2=80=94"><img src=3D"boat.png"><img src=3D"https://ads.example/t.gif"></body>',
].join('\n');
const SHEET = [
  'Content-Type: text/css',
  'Content-Transfer-Encoding: 8bit',
  'Content-Location: https://ferry.example/look.css?v=2',
  '',
  'body { color: #123; background: url(a/boat.png) }',
].join('\n');
const BOAT = [
  'Content-Type: image/png',
  'Content-Transfer-Encoding: base64',
  'Content-ID: <boat@page>',
  'Content-Location: https://ferry.example/a/boat.png',
  '',
  'iVBORw0KGgo=',
].join('\n');

describe('a page saved as one file', () => {
  test('has its parts, decoded, with their addresses', async () => {
    const found = await readSavedPage(bytes(saved(PAGE, SHEET, BOAT)));
    expect(found.map(({ name, address, type }) => [name, address, type])).toEqual([
      ['index.html', 'https://ferry.example/a/home.html', 'text/html'],
      ['look.css', 'https://ferry.example/look.css?v=2', 'text/css'],
      ['boat.png', 'https://ferry.example/a/boat.png', 'image/png'],
    ]);
    const [page, sheet, boat] = found;
    expect(page && words(page)).toContain('<body class="—">');
    expect(sheet && words(sheet).trim()).toBe('body { color: #123; background: url(a/boat.png) }');
    // The eight bytes that every PNG begins with. Source: PNG, 5.2.
    expect([...(boat?.bytes ?? [])]).toEqual([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  });

  test('is shown with the sheets and pictures that came with it; the rest is told', async () => {
    const [shown] = shownPages(await readSavedPage(bytes(saved(PAGE, SHEET, BOAT))));
    expect(shown?.html).toContain('<img src="data:image/png;base64,iVBORw0KGgo="><img>');
    expect(shown?.sheets).toHaveLength(1);
    expect(shown?.sheets[0]).toContain('url(data:image/png;base64,iVBORw0KGgo=)');
    expect(shown?.missing).toEqual(['https://ads.example/t.gif']);
  });

  test('may hold frames with parts of their own, not without end', async () => {
    const inner = saved(PAGE.replace('home', 'frame')).replaceAll('edge--x', 'inner');
    const found = await readSavedPage(bytes(saved(PAGE, inner)));
    expect(found.map(({ name }) => name)).toEqual(['index.html', 'frame.html']);
    let deep = saved(PAGE);
    for (let level = 0; level < 12; level += 1)
      deep = saved(deep.replaceAll('----edge--x', `----edge--${level}y`)).replaceAll(
        'edge--x',
        `edge--${level}x`,
      );
    await expect(readSavedPage(bytes(deep))).rejects.toThrow('too deep');
  });

  test('is told from anything else, and whatever it says it ends', async () => {
    expect(isSavedPage(bytes('<!doctype html><p>content-type: multipart/related'))).toBe(false);
    expect(isSavedPage(bytes('a { color: red }'))).toBe(false);
    await expect(readSavedPage(bytes('<p>'))).rejects.toThrow('no page saved');
    await expect(readSavedPage(bytes(saved(SHEET)))).rejects.toThrow('no page in it');
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.oneof(
            fc.constantFrom(
              '------edge--x',
              '------edge--x--',
              PAGE,
              SHEET,
              BOAT,
              '',
              'Content-Type: multipart/related; boundary="----edge--x"',
            ),
            fc.string(),
          ),
          { maxLength: 12 },
        ),
        async (lines) => {
          const text = saved(...lines);
          await readSavedPage(bytes(text)).catch((error: unknown) => {
            expect(error).toBeInstanceOf(Error);
          });
        },
      ),
      { numRuns: 200 },
    );
  });

  // RFC 2046, 5.1.1: the line break before a boundary belongs to it; one begins a line.
  test.each([
    ['--b\r\nA\r\n\r\nx\r\n--b--', ['A\r\n\r\nx']],
    ['before\r\n--b\r\n\r\nx\r\n\r\n--b\r\n\r\ny\r\n--b--\r\nbehind', ['\r\nx\r\n', '\r\ny']],
    ['--b  \n\nx --b\n--bc\n--b--', ['\nx --b\n--bc']],
    ['nothing', []],
  ])('its body %j has the parts %j', (body, parts) => {
    expect(partsOfBody(body, 'b')).toEqual(parts);
  });
});

describe('what an address means among files', () => {
  const asset = (name: string, address?: string): Asset => ({
    name,
    ...(address !== undefined && { address }),
    type: typeByName(name),
    bytes: bytes(name),
  });
  const files = [
    asset('site/index.html'),
    asset('site/index_files/look.css'),
    asset('site/pictures/boat one.png'),
    asset('site/a/x.png'),
    asset('site/b/x.png'),
    asset('saved/1.png', 'https://ferry.example/p/tide.png?w=2'),
    asset('saved/2.css', 'cid:css-1@page'),
  ];
  const find = findingAssets(files);
  const page = { name: 'site/index.html', address: 'https://ferry.example/p/home' };
  test.each([
    ['./index_files/look.css', 'site/index_files/look.css'],
    ['pictures/boat%20one.png?size=2#x', 'site/pictures/boat one.png'],
    ['../site/a/x.png', 'site/a/x.png'],
    ['tide.png?w=2', 'saved/1.png'],
    ['https://ferry.example/p/tide.png?w=2', 'saved/1.png'],
    ['cid:css-1@page', 'saved/2.css'],
    // One is called so, wherever it lies.
    ['https://elsewhere.example/deep/look.css', 'site/index_files/look.css'],
    // Two are: nobody can tell which.
    ['https://elsewhere.example/x.png', undefined],
    ['#there', undefined],
    ['data:image/png;base64,AA', undefined],
    ['%', undefined],
    ['http://[', undefined],
    ['__proto__', undefined],
  ])('%s is %s', (address, name) => {
    expect(find(address, page)?.name).toBe(name);
  });

  test('pictures and fonts are shown, nothing that acts', () => {
    expect(asShown(asset('a.png'))).toBe(`data:image/png;base64,${btoa('a.png')}`);
    expect(asShown(asset('a.woff2'))).toMatch(/^data:font\/woff2/);
    expect(asShown(asset('a.html'))).toBeUndefined();
    expect(asShown({ ...asset('a.png'), type: 'text/javascript' })).toBeUndefined();
    expect(typeByName('constructor')).toBe('application/octet-stream');
    expect(typeByName('a.constructor')).toBe('application/octet-stream');
  });
});

describe('sheets of a page', () => {
  const file = (name: string, text: string): Asset => ({
    name,
    type: typeByName(name),
    bytes: bytes(text),
  });

  test('come in their order, those that they import before them, each under what is asked of it', () => {
    const [page] = shownPages([
      file(
        'index.html',
        '<style>a{color:red}</style><link rel=stylesheet href=b.css media=print><link rel="alternate stylesheet" href=b.css><style media="screen">@import "c.css" (min-width:40em);d{color:blue}</style>',
      ),
      file('b.css', 'b{color:green}'),
      file('c.css', '@import url(e.css);@import url("c.css");c{color:gray}'),
    ]);
    const flat = page?.sheets
      .map((css) => css.replaceAll(/\s+/g, ' ').trim())
      .filter((css) => css !== '');
    expect(flat?.slice(0, 2)).toEqual(['a{color:red}', '@media print { b{color:green} }']);
    expect(flat?.at(-1)).toBe('@media screen { d{color:blue} }');
    expect(flat).toContain('@media screen { @media (min-width:40em) { c{color:gray} } }');
    // What imports itself ends.
    expect(flat?.length).toBeLessThan(14);
    expect(page?.missing).toEqual(['e.css', 'c.css']);
  });

  test('keep the layers and the conditions under which they are imported', () => {
    const [page] = shownPages([
      file(
        'index.html',
        `<style>@import "a.css" layer(base.reset) supports(display: grid) screen;
         @import url(b.css) layer; @import "c.css" supports((gap: 1px) and (not (float: none)));</style>`,
      ),
      file('a.css', 'a{color:red}'),
      file('b.css', 'b{color:red}'),
      file('c.css', 'c{color:red}'),
    ]);
    expect(page?.sheets.map((css) => css.replaceAll(/\s+/g, ' ').trim()).slice(0, 3)).toEqual([
      '@supports (display: grid) { @media screen { @layer base.reset { a{color:red} } } }',
      '@layer { b{color:red} }',
      '@supports (gap: 1px) and (not (float: none)) { c{color:red} }',
    ]);
  });

  test('a page in the letters of another encoding keeps its words', () => {
    const html = Uint8Array.from([
      ...bytes('<meta charset="windows-1251"><title>'),
      ...[0xcf, 0xe0, 0xf0, 0xee, 0xec],
    ]);
    expect(shownPages([{ name: 'a.html', type: 'text/html', bytes: html }])[0]?.title).toBe(
      'Паром',
    );
  });

  test('a page of 20,000 elements that stand in each other is read', () => {
    const [page] = shownPages([file('a.html', `${'<div>'.repeat(20_000)}<img src=x.png>`)]);
    expect(page?.missing).toEqual(['x.png', 'what stands in more than 400 others']);
  });
});

describe('the page itself', () => {
  const shown = (html: string): string =>
    shownPages([{ name: 'a.html', type: 'text/html', bytes: bytes(html) }])[0]?.html ?? '';

  test.each([
    ['<p onclick="x()">a</p>', '<p>a</p>'],
    ['<script>x</script><p>a</p>', '<p>a</p>'],
    ['<a href="javascript:x" target="_top" ping="b">a</a>', '<a href="#">a</a>'],
    [
      '<p style="color:red;background:url(b.png)">a</p>',
      '<p style="color:red;background:url(data:,)">a</p>',
    ],
    [
      '<picture><source srcset="b"><img src="c" srcset="d" alt="e"></picture>',
      '<picture><img alt="e"></picture>',
    ],
    [
      '<svg><use href="#b"></use><use xlink:href="c#d"></use></svg>',
      '<svg><use href="#b"></use><use></use></svg>',
    ],
    ['<form action="b"><input value="c"></form>', '<form><input value="c"></form>'],
    ['<iframe src="b"></iframe><object data="c"></object><p>a</p>', '<p>a</p>'],
    ['<div><template><img src="b"></template>a</div>', '<div>a</div>'],
  ])('%s is shown as %s', (html, body) => {
    expect(shown(html)).toBe(`<html><head></head><body>${body}</body></html>`);
  });
});
