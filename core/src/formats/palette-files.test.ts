import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { hexOf } from '../color/srgb.ts';
import { PALETTE_FORMATS, readPalette, writePalette, type PaletteFile } from './palette-files.ts';

const palette: PaletteFile = {
  name: 'Low water',
  colors: [
    { name: 'wet sand', hex: '#b09a72' },
    { name: 'eelgrass', hex: '#3f9a68' },
    { name: '', hex: '#0a2a33' },
  ],
};

describe('a palette file', () => {
  test.each(PALETTE_FORMATS)('of %s gives every color back, in order', (format) => {
    const read = readPalette(writePalette(palette, format), 'low-water.x');
    if (!read.ok) throw new Error(read.problem);
    expect(read.palette.colors.map(({ hex }) => hex)).toEqual(['#b09a72', '#3f9a68', '#0a2a33']);
    expect(read.leftOut).toBe(0);
  });

  test.each(['gpl', 'svg', 'json'] as const)('of %s gives its names back too', (format) => {
    const read = readPalette(writePalette(palette, format), 'x');
    if (!read.ok) throw new Error(read.problem);
    expect(read.palette.name).toBe('Low water');
    expect(read.palette.colors.slice(0, 2).map(({ name }) => name)).toEqual([
      'wet sand',
      'eelgrass',
    ]);
  });

  test('give back their colors in each format, whatever these are called', () => {
    const color = fc.record({
      name: fc.oneof(
        fc.constantFrom('', 'a "quoted" one', 'ampersand & co', 'x < y', 'ünïcode'),
        fc.string({ maxLength: 40 }),
      ),
      hex: fc
        .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
        .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255])),
    });
    fc.assert(
      fc.property(
        fc.array(color, { minLength: 1, maxLength: 40 }),
        fc.constantFrom(...PALETTE_FORMATS),
        (colors, format) => {
          const read = readPalette(writePalette({ name: 'any', colors }, format), 'any');
          if (!read.ok) throw new Error(read.problem);
          expect(read.palette.colors.map(({ hex }) => hex)).toEqual(colors.map(({ hex }) => hex));
        },
      ),
    );
  });

  test('of the GIMP palette text is read as its authors write it', () => {
    // GIMP palette text: comments, columns, tabs or blanks, names with blanks.
    const read = readPalette(
      'GIMP Palette\nName: Harbor\nColumns: 4\n# a comment\n255   0   0\tbright red\n  0 128 255  a blue\n300 0 0\tnone\n',
      'harbor.gpl',
    );
    expect(read).toEqual({
      ok: true,
      palette: {
        name: 'Harbor',
        colors: [
          { name: 'bright red', hex: '#ff0000' },
          { name: 'a blue', hex: '#0080ff' },
        ],
      },
      leftOut: 1,
    });
  });

  test('without colors is told, not taken', () => {
    expect(readPalette('nothing here', 'x.txt').ok).toBe(false);
    expect(readPalette('', 'x.txt').ok).toBe(false);
    expect(readPalette('{"a": 1}', 'x.json').ok).toBe(false);
    expect(readPalette('{ broken', 'x.json').ok).toBe(false);
  });

  test('of more than 256 colors is taken up to there', () => {
    const many = Array.from({ length: 300 }, (_, index) => hexOf([index / 300, 0, 0])).join('\n');
    const read = readPalette(many, 'many.txt');
    expect(read.ok && [read.palette.colors.length, read.leftOut]).toEqual([256, 44]);
  });
});

test('a text that was made to be slow is read in the time of its length', () => {
  // Each takes minutes where an expression starts over at every sign.
  const hostile = ['<rect ', '<svg ', '--a:', '--a: 1 ', '<rect fill="', '1 1 1 ', ' ', '--'].map(
    (part) => part.repeat(900_000 / part.length),
  );
  for (const text of [...hostile, ...hostile.map((one) => `<svg>${one}`)])
    expect(readPalette(text, 'slow.svg').ok).toBe(false);
  expect(readPalette(' '.repeat(2_000_000), 'large.txt')).toMatchObject({
    problem: 'large.txt is larger than a palette can be (1 MB).',
  });
});
