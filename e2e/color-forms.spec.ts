import { parseColor } from '@garnish/core/color/parse-color';
import { expect, test } from '@playwright/test';
import { FORMS } from './color-forms.ts';

/** What is a color to a browser, but not one that stays: it hangs on the reader or on the place. */
const NOT_FIXED = /currentcolor|canvas|accentcolor|buttonface|light-dark/i;

/** By what a rounded channel may differ from the exact one, in levels: half of one, and what the digits of published matrices leave. */
const HALF = 0.54;

const levelsOf = (hex: string): number[] =>
  [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));

test('every form of a color is read as Chromium reads it, or refused for what it is', async ({
  page,
}) => {
  const theirs = await page.evaluate((forms) => {
    const element = document.body.appendChild(document.createElement('div'));
    const numbersOf = (color: string): number[] => {
      element.style.color = color;
      const text = getComputedStyle(element).color.replaceAll('none', '0');
      return [...text.replace(/^\w+\((srgb|xyz-d65)?/, '').matchAll(/-?[\d.]+(e-?\d+)?/g)].map(
        ([number]) => Number(number),
      );
    };
    return forms.map((form) => {
      if (!CSS.supports('color', form)) return undefined;
      element.style.color = form;
      const legacy = getComputedStyle(element).color.startsWith('rgb');
      return {
        // rgb(), hsl() and hwb() come back in rounded levels, all others in exact shares.
        levels: legacy
          ? numbersOf(form)
          : numbersOf(`color(from ${form} srgb r g b / alpha)`).map((channel, at) =>
              at < 3 ? channel * 255 : channel,
            ),
        xyz: numbersOf(`color(from ${form} xyz x y z)`),
      };
    });
  }, FORMS);

  const wrong: string[] = [];
  const wide: { readonly form: string; readonly wide: string; readonly xyz: number[] }[] = [];
  FORMS.forEach((form, index) => {
    const known = theirs[index];
    const read = parseColor(form);
    const differs = (because: string) => wrong.push(`${form}: ${because} ${JSON.stringify(read)}`);
    if (known === undefined) {
      if (read.ok) differs('Chromium refuses');
      return;
    }
    const [r = 0, g = 0, b = 0, alpha = 1] = known.levels;
    if (alpha < 1 || NOT_FIXED.test(form)) {
      if (read.ok) differs('not fixed or not opaque, yet taken');
      else if (read.problem.includes('not a color that CSS knows')) differs('false reason');
      return;
    }
    if (!read.ok) {
      differs('Chromium takes it');
      return;
    }
    const beyond = [r, g, b].some((level) => level < -0.2 || level > 255.2);
    if (beyond !== (read.wide !== undefined)) {
      // Lightness 0 is black and 100 % is white, whatever else is said. CSS Color 4, 13.2.
      if (!['#000000', '#ffffff'].includes(read.hex)) differs(`Chromium has ${r} ${g} ${b}`);
    } else if (read.wide !== undefined) wide.push({ form, wide: read.wide, xyz: known.xyz });
    else if ([r, g, b].some((level, at) => Math.abs(level - (levelsOf(read.hex)[at] ?? 0)) > HALF))
      differs(`Chromium has ${r} ${g} ${b}`);
  });
  expect(wrong).toEqual([]);
  expect(wide.length).toBeGreaterThan(10);

  // What is kept of a color beyond sRGB is the same color.
  const kept = await page.evaluate(
    (colors) =>
      colors.map((color) => {
        document.body.style.color = `color(from ${color} xyz x y z)`;
        return [
          ...getComputedStyle(document.body)
            .color.slice(13)
            .matchAll(/-?[\d.]+(e-?\d+)?/g),
        ].map(([number]) => Number(number));
      }),
    wide.map((one) => one.wide),
  );
  wide.forEach(({ form, xyz }, index) => {
    xyz.slice(0, 3).forEach((value, at) => {
      expect(Math.abs(value - (kept[index]?.[at] ?? NaN)), form).toBeLessThan(0.002);
    });
  });
});
