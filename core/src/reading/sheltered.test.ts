import { describe, expect, test } from '@jest/globals';
import { inTheme, sheltered, shelteredStyle } from './sheltered.ts';

const nothing = (): undefined => undefined;

describe('a sheet that is sheltered', () => {
  test.each([
    ['a { background: url(https://x.example/1.png) }', 'https://x.example/1.png'],
    ['a { background: URL( "//x.example/2.png" ) }', '//x.example/2.png'],
    ['a { background: image-set("https://x.example/3.png" 1x) }', 'https://x.example/3.png'],
    [
      'a { background: -webkit-image-set(url(https://x.example/4.png) 1x) }',
      'https://x.example/4.png',
    ],
    ['a { --x: url(https://x.example/5.png) }', 'https://x.example/5.png'],
    [
      '@font-face { src: url(https://x.example/6.woff2) format("woff2") }',
      'https://x.example/6.woff2',
    ],
    ['a { b { cursor: url(https://x.example/7.cur), auto } }', 'https://x.example/7.cur'],
    ['a[href="b"] { list-style: square url(https://x.example/8.png) }', 'https://x.example/8.png'],
    [
      '@supports (a: b) { a { mask: url(https://x.example/9.svg#m) } }',
      'https://x.example/9.svg#m',
    ],
  ])('%s asks for nothing, and it is told what it asked for', (css, address) => {
    const safe = sheltered(css, nothing);
    expect(safe.css).not.toContain('x.example');
    expect(safe.missing).toEqual([address]);
  });

  test.each([
    'a { background: u\\72l(https://x.example/1.png) }',
    'a { background: url(https://x.example/1.png }',
    'a { background: url("https://x.example/1.png',
    '@import "https://x.example/a.css"; a { color: red }',
    '@import url(https://x.example/a.css) layer(b);',
    '@namespace url(https://x.example/a);',
  ])('%s asks for nothing either', (css) => {
    expect(sheltered(css, nothing).css.replaceAll('\\72', 'r')).not.toMatch(
      /url\(\s*["']?https|@import/,
    );
  });

  test('takes what came with it, and leaves everything else as it is', () => {
    const css =
      '@media (width > 40em) { .a:hover { color: red; background: url(b.png) no-repeat } }';
    expect(
      sheltered(css, (address) => (address === 'b.png' ? 'data:image/png;base64,AA' : undefined)),
    ).toEqual({
      css: css.replace('url(b.png) ', 'url(data:image/png;base64,AA)'),
      missing: [],
    });
    const plain =
      '.a{color:color-mix(in oklch,red,blue);&:hover{gap:calc(1px + 2vw)}}@layer b{c{d:e}}';
    expect(sheltered(plain, nothing)).toEqual({ css: plain, missing: [] });
    expect(
      sheltered('a{fill:url(#b);background:url(data:image/gif;base64,R0)}', nothing).missing,
    ).toEqual([]);
  });
});

test('the style of an element is sheltered as a sheet is', () => {
  expect(shelteredStyle('color: red; background: url(https://x.example/1.png)', nothing)).toEqual({
    css: 'color: red; background: url(data:,)',
    missing: ['https://x.example/1.png'],
  });
  expect(shelteredStyle('} b { color: blue', nothing).css).not.toContain('{');
});

test('a sheet is seen in a theme, whatever the browser prefers', () => {
  const css =
    '@media ( prefers-color-scheme:DARK ) { a { b: c } } @media (prefers-color-scheme: light) and (width > 1px) {}';
  expect(inTheme(css, 'dark')).toBe(
    '@media (min-width: 0) { a { b: c } } @media (max-width: 0) and (width > 1px) {}',
  );
});
