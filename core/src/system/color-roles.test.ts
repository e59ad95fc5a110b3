import { collectionOf } from './collection.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { hexOf, rgbOf, type Hex } from '../color/srgb.ts';
import { companionsOf, FAMILY_PARTS, usualColorRoles } from './color-roles.ts';
import { FAMILIES } from './families.ts';
import { sampleDocument } from './sample.ts';
import { readDocument } from './upgrade.ts';
import { validate } from './validate.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));
const polar = (color: Hex) => oklchOf(oklabOf(rgbOf(color)));

describe('the usual roles', () => {
  const all = usualColorRoles({
    brand: 'brand',
    action: 'brand',
    support: 'neutral',
    accent: 'brand',
    success: 'brand',
    warning: 'brand',
    danger: 'brand',
    notice: 'brand',
  });

  test('hold every vivid color with all that belongs to it', () => {
    for (const family of FAMILIES)
      for (const id of [family, ...FAMILY_PARTS.map((part) => `${family}-${part}`)])
        expect(all.items[id]).toBeDefined();
    expect(new Set(all.order).size).toBe(all.order.length);
  });

  test('have names that are each their own', () => {
    const names = Object.values(all.items).map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
  });
});

describe('companions of a brand color', () => {
  test('keep states apart in lightness, and off the hue of the brand', () => {
    fc.assert(
      fc.property(hex, (brand) => {
        const { success, warning, danger, notice } = companionsOf(brand);
        const lightness = [warning, success, notice, danger].map((color) => polar(color).lightness);
        lightness.slice(1).forEach((value, index) => {
          expect((lightness[index] ?? 0) - value).toBeGreaterThan(0.06);
        });
        if (polar(brand).chroma < 0.02) return;
        for (const state of [success, warning, danger, notice]) {
          const apart = ((polar(state).hue - polar(brand).hue + 540) % 360) - 180;
          expect(Math.abs(apart)).toBeGreaterThan(10);
        }
      }),
    );
  });
});

describe('a system of schema 2', () => {
  test('opens as it was, with no gradients and no pictures yet', () => {
    const now = sampleDocument();
    const color = { ...now.color, gradients: undefined, veils: undefined };
    const old = { ...now, schema: 2, color };
    const read = readDocument(JSON.parse(JSON.stringify(old)));
    // How far signs hung in the margin in those days.
    const then = {
      op: 'replace' as const,
      path: '/space/roles/items/hang/value/value',
      value: -0.45,
    };
    expect(read.ok && read.document).toEqual(sampleDocument([then]));
  });
});

describe('a document is refused', () => {
  const { color, content } = sampleDocument();

  test.each([
    [
      'a share of a share',
      {
        color: {
          ...color,
          roles: {
            ...color.roles,
            items: {
              ...color.roles.items,
              line: {
                name: 'line',
                light: { kind: 'share', of: 'faint', over: 'page', share: 0.5, form: 'flat' },
                dark: color.roles.items['line']?.dark,
              },
              faint: {
                name: 'faint',
                light: { kind: 'share', of: 'text', over: 'page', share: 0.5, form: 'flat' },
                dark: color.roles.items['line']?.dark,
              },
            },
          },
        },
      },
      'is a share itself',
    ],
    [
      'a gradient of one color',
      {
        color: {
          ...color,
          gradients: {
            order: ['g'],
            items: {
              g: {
                name: 'g',
                space: 'oklab',
                angle: 0,
                stops: { order: ['a'], items: { a: { at: 0, color: 'page' } } },
              },
            },
          },
        },
      },
      'two colors at least',
    ],
    [
      'an opening over no picture',
      {
        content: {
          ...content,
          pages: collectionOf([
            [
              'home',
              {
                name: 'Home',
                sections: collectionOf([
                  [
                    'hero',
                    {
                      kind: 'opening',
                      title: '',
                      lead: '',
                      primary: 'a',
                      secondary: 'b',
                      veil: 'nowhere',
                    },
                  ],
                ]),
              },
            ],
          ]),
        },
      },
      'picture that is not there',
    ],
    [
      'a color beyond sRGB that could end its declaration',
      {
        color: {
          ...color,
          sources: {
            ...color.sources,
            items: {
              ...color.sources.items,
              brand: { name: 'brand', value: '#ff0000', wide: 'oklch(0.7 0.3 30); } body {' },
            },
          },
        },
      },
      '',
    ],
  ] as const)('with %s', (_, change, message) => {
    const checked = validate({ ...sampleDocument(), ...change });
    expect(checked.ok).toBe(false);
    if (!checked.ok)
      expect(checked.problems.map((one) => one.message).join(' ')).toContain(message);
  });
});
