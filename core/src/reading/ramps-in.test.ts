import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { plainTokens } from '../formats/plain-tokens.ts';
import { isHex, type Hex } from '../color/srgb.ts';
import { sampleDocument } from '../system/sample.ts';
import { rampsIn } from './ramps-in.ts';

const system = sampleDocument();
const palette = new Map<string, Hex[]>();
for (const { id, values } of plainTokens(system, derive(system)).tokens) {
  const name = /^palette\.(.+)-\d+$/.exec(id)?.[1] ?? /^palette\.(.+)\.\d+$/.exec(id)?.[1];
  const { css } = values.light;
  if (name !== undefined && isHex(css)) palette.set(name, [...(palette.get(name) ?? []), css]);
}

describe('a ramp', () => {
  test('that was made of one color is found as one, from light to dark', () => {
    const vivid = [...palette].filter(([name]) => name !== 'gray');
    expect(vivid.length).toBeGreaterThan(1);
    for (const [, hexes] of vivid) {
      const [ramp, ...others] = rampsIn(hexes);
      expect(others).toEqual([]);
      expect(ramp?.hexes.length).toBeGreaterThan(hexes.length / 2);
      expect(hexes).toContain(ramp?.source);
    }
  });

  test('is none where colors are few, gray, or of many hues', () => {
    expect(rampsIn(['#1b4b66', '#2c6a85', '#c8452b'])).toEqual([]);
    expect(rampsIn(['#111111', '#444444', '#888888', '#bbbbbb', '#eeeeee'])).toEqual([]);
    expect(rampsIn(['#ff0000', '#00ff00', '#0000ff', '#ffff00', '#00ffff'])).toEqual([]);
  });

  test('a color is of one at most, and nothing is in it that was not there', () => {
    const hex = fc
      .integer({ min: 0, max: 0xff_ff_ff })
      .map((value): Hex => `#${value.toString(16).padStart(6, '0')}`);
    fc.assert(
      fc.property(fc.uniqueArray(hex, { maxLength: 40 }), (colors) => {
        const all = rampsIn(colors).flatMap(({ hexes }) => hexes);
        expect(new Set(all).size).toBe(all.length);
        for (const one of all) expect(colors).toContain(one);
      }),
    );
  });
});
