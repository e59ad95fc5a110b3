/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { fromEdge } from '../../guest/own-lines.tsx';
import { dressOf, ofScreen } from './dress.ts';

const SCREEN = { width: 800, height: 600 };

// CSS Values 4, 5.1.2: a hundredth of the width, or of the height, of the screen.
test.each([
  ['1vw', '8px'],
  ['calc(1rem + 2.5vi)', 'calc(1rem + 20px)'],
  ['clamp(0rem, -0.5rem + 1.25svw, 1lvw)', 'clamp(0rem, -0.5rem + 10px, 8px)'],
  ['-10dvh 50vb', '-60px 300px'],
  ['var(--vw) 3vivid 2cqi', 'var(--vw) 3vivid 2cqi'],
])('%s on a screen of 800 by 600 px is %s', (value, px) => {
  expect(ofScreen(value, SCREEN)).toBe(px);
});

describe('what elements wear', () => {
  afterEach(() => {
    document.body.innerHTML = '';
    document.documentElement.removeAttribute('data-theme');
  });
  const rule = (selector: string, ...declarations: readonly (readonly [string, string])[]) => ({
    key: selector,
    rules: [{ selector, declarations }],
  });
  const sheet = [
    rule('@font-face', ['font-family', 'A']),
    rule(
      ':root',
      ['--a', 'var(--b)'],
      ['--b', '1px'],
      ['--unused', '2px'],
      ['color-scheme', 'light'],
    ),
    rule(':root[data-theme="dark"]', ['--b', '3px']),
    rule('body, .card', ['padding', 'var(--a)']),
    rule('.card:hover', ['color', 'red']),
    rule('.card::before', ['content', '"x"']),
    rule('.other', ['margin', 'var(--unused)']),
    { ...rule('.card', ['gap', '1px']), within: '@container (inline-size >= 30rem)' },
    { ...rule('.card', ['gap', '2px']), within: '@starting-style' },
  ];

  test('is what they answer to, with the tokens that it takes, all within the scope', () => {
    document.body.innerHTML = '<div class="card"></div>';
    const lines = dressOf(document, sheet, '.s').split('\n');
    expect(lines).toEqual([
      '.s{--a:var(--b);--b:1px;color-scheme:light}',
      '.s .card{padding:var(--a)}',
      '.s .card:hover{color:red}',
      '.s .card::before{content:"x"}',
      '@container (inline-size >= 30rem){.s .card{gap:1px}}',
    ]);
  });

  // A class in parentheses or in a string is not one that the element must have.
  test.each([
    ['.card:not(.gone)', true],
    ['.card:is(.other, .large)', true],
    [':where(.gone, .card)', true],
    ['[data-file=".gone"]', true],
    ['.card:has(.gone)', false],
    ['.gone .card', false],
    ['.card.gone', false],
    ['html.wide .card', true],
  ])('%s is worn: %s', (selector, isWorn) => {
    document.documentElement.className = 'wide';
    document.body.innerHTML = '<div class="card large" data-file=".gone"></div>';
    const css = dressOf(document, [rule(selector, ['gap', '3px'])], '.s');
    expect(css.includes('gap:3px')).toBe(isWorn);
    document.documentElement.removeAttribute('class');
  });

  test('follows the theme of the page', () => {
    document.body.innerHTML = '<div class="card"></div>';
    document.documentElement.setAttribute('data-theme', 'dark');
    expect(dressOf(document, sheet, '.s')).toContain('--b:3px');
  });
});

test('a line is so far from the nearer edge of a thing, along its own axis', () => {
  const box = { left: 100, top: 50, width: 40, height: 20 };
  expect(fromEdge({ axis: 'x', at: 90 }, box)).toBe(-10);
  expect(fromEdge({ axis: 'x', at: 145 }, box)).toBe(5);
  expect(fromEdge({ axis: 'x', at: 100 }, box)).toBe(0);
  expect(fromEdge({ axis: 'y', at: 60 }, box)).toBe(10);
});
