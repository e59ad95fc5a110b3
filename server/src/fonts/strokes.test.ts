import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import type { Font } from 'fontkit';
import { openFont } from './font-facts.ts';
import { family, fontPath } from './shipped.ts';
import { strokesOf } from './strokes.ts';
import { unpacked } from './unpack.ts';

type Command = { readonly command: string; readonly args: readonly number[] };

const rectangle = (x: number, y: number, width: number, height: number, turn = 1): Command[] => {
  const corners = [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ];
  if (turn < 0) corners.reverse();
  return corners.map((args, index) => ({ command: index === 0 ? 'moveTo' : 'lineTo', args }));
};

/** A font of 1000 units in which l and o are made of rectangles. */
const drawn = (l: Command[], o: Command[]): Font =>
  ({
    unitsPerEm: 1000,
    xHeight: 500,
    glyphForCodePoint: (point: number) => ({
      path: { commands: point === 111 ? o : l },
      bbox: { minX: 0, maxX: 500, minY: 0, maxY: 500 },
    }),
  }) as unknown as Font;

describe('strokes', () => {
  test('of a stem of 90 and a square o of 120 and 40 are what was drawn', () => {
    const o = [...rectangle(0, 0, 500, 500), ...rectangle(120, 40, 260, 420, -1)];
    const { stem, thinToThick } = strokesOf(drawn(rectangle(50, 0, 90, 700), o));
    expect(stem).toBeCloseTo(0.09, 6);
    expect(thinToThick).toBeCloseTo(40 / 120, 6);
  });

  test('of overlapping outlines are measured through the overlap', () => {
    const l = [...rectangle(50, 0, 60, 700), ...rectangle(80, 0, 60, 700)];
    const o = [...rectangle(0, 0, 500, 500), ...rectangle(100, 100, 300, 300, -1)];
    expect(strokesOf(drawn(l, o)).stem).toBeCloseTo(0.09, 6);
  });

  test('of a real hairline face are more modulated than those of a grotesque', async () => {
    const measured = async (id: string) => {
      const name = family(id).files.find(({ name: file }) => file.includes('-latin-'))?.name ?? '';
      return strokesOf(openFont(await unpacked(readFileSync(fontPath(name) ?? ''))));
    };
    expect((await measured('bodoni-moda')).thinToThick).toBeLessThan(0.3);
    expect((await measured('archivo')).thinToThick).toBeGreaterThan(0.7);
  });
});

describe('feet', () => {
  test('tell five faces with serifs from five without by their outlines alone', async () => {
    const foot = async (id: string) => {
      const name = family(id).files.find(({ name: file }) => file.includes('-latin-'))?.name ?? '';
      return strokesOf(openFont(await unpacked(readFileSync(fontPath(name) ?? '')))).foot;
    };
    for (const id of ['literata', 'eb-garamond', 'bitter', 'playfair-display', 'fraunces'])
      expect([id, (await foot(id)) > 1.5]).toEqual([id, true]);
    for (const id of ['archivo', 'inter', 'league-spartan', 'syne', 'jetbrains-mono'])
      expect([id, (await foot(id)) < 1.2]).toEqual([id, true]);
  });
});

describe('unpacking', () => {
  test('what is no font is refused in words', async () => {
    await expect(unpacked(new TextEncoder().encode('GIF89a'))).rejects.toThrow('it is no font');
  });

  test('a WOFF that claims gigabytes is refused before anything is made', async () => {
    const claim = new Uint8Array(64);
    claim.set(new TextEncoder().encode('wOFF'));
    new DataView(claim.buffer).setUint32(16, 0xf0000000);
    await expect(unpacked(claim)).rejects.toThrow('more than 32 MB');
  });
});
