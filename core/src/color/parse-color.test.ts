import { expect, test } from '@jest/globals';
import { parseColor } from './parse-color.ts';

// CSS Color 4, the forms in which a color is written.
test.each([
  ['#b5391a', '#b5391a'],
  ['b5391a', '#b5391a'],
  ['#B53', '#bb5533'],
  ['rebeccapurple', '#663399'],
  ['rgb(181 57 26)', '#b5391a'],
  ['rgb(100% 0% 0%)', '#ff0000'],
  ['hsl(120 100% 25%)', '#008000'],
  ['hwb(0 0% 0%)', '#ff0000'],
  ['oklch(62.796% 0.25768 29.234)', '#ff0000'],
  ['color(srgb 1 1 1)', '#ffffff'],
  ['  White ', '#ffffff'],
])('%s is %s', (text, hex) => {
  expect(parseColor(text)).toEqual({ ok: true, hex });
});

test('a color beyond sRGB is mapped into it, and comes back as it was beside', () => {
  expect(parseColor('color(display-p3 0 1 0)')).toMatchObject({
    ok: true,
    wide: 'color(display-p3 0 1 0)',
  });
});

test.each(['', 'reddish', '#12345', 'rgb(1, 2)'])('“%s” is refused in words', (text) => {
  const read = parseColor(text);
  expect(read.ok).toBe(false);
});

test('a transparent color is refused', () => {
  expect(parseColor('rgb(0 0 0 / 50%)')).toMatchObject({ ok: false });
});
