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
  ['#5b9e6a;', '#5b9e6a'],
  ['RGB(10, 20, 30)', '#0a141e'],
  ['/* ours */ rgb(10 /* dark */ 20 30)', '#0a141e'],
  // CSS Color 4, 4.4: an absent channel counts as 0; 5.1 and 7: rgb(), hsl() and hwb() are clamped.
  ['rgb(none 0 0)', '#000000'],
  ['rgb(300 0 0)', '#ff0000'],
  ['hsl(120 150% 50%)', '#00ff00'],
  ['hwb(0 60% 60%)', '#808080'],
  ['hwb(90 none 20%)', '#66cc00'],
  ['rgb(calc(10 * 2) 20 30)', '#14141e'],
  ['color-mix(in srgb, black, white)', '#808080'],
  ['rgb(from #2a6365 b g r)', '#65632a'],
  ['color(a98-rgb 1 1 1)', '#ffffff'],
])('%s is %s', (text, hex) => {
  expect(parseColor(text)).toEqual({ ok: true, hex });
});

test('a color beyond sRGB is mapped into it, and comes back as it was beside', () => {
  expect(parseColor('color(display-p3 0 1 0)')).toMatchObject({
    ok: true,
    wide: 'color(display-p3 0 1 0)',
  });
});

test.each([
  ['', /^Type a color/],
  ['reddish', /not a color that CSS knows/],
  ['#12345', /not a color that CSS knows/],
  ['rgb(1, 2)', /not a color that CSS knows/],
  ['currentColor', /color of the text around it/],
  ['color-mix(in srgb, red, currentcolor)', /color of the text around it/],
  ['CanvasText', /reader’s system/],
  ['light-dark(red, blue)', /one color in light and another in dark/],
  ['var(--brand)', /custom property/],
  ['rgb(0 0 0 / var(--alpha))', /custom property/],
  ['device-cmyk(0 0 0 1)', /Ink colors/],
  ['x'.repeat(500), /at most 400 signs/],
])('“%s” is refused for what it is', (text, reason) => {
  const read = parseColor(text);
  expect(read.ok ? read.hex : read.problem).toMatch(reason);
});

test('a transparent color is refused', () => {
  expect(parseColor('rgb(0 0 0 / 50%)')).toMatchObject({ ok: false });
});
