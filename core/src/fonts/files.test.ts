import { describe, expect, test } from '@jest/globals';
import { sampleFamilies, sampleFamily } from '../system/sample.ts';
import { nearestWeight } from './family.ts';
import { firstBytes, neededFiles } from './files.ts';
import type { PairingBrief } from './pairing.ts';

describe('the files that are needed', () => {
  test('of a variable family are the one file, whatever the weights', () => {
    const files = neededFiles(sampleFamily('archivo'), {
      upright: [400, 700, 800],
      italic: [],
      languages: ['en'],
    });
    expect(files.map(({ script }) => script).sort()).toEqual(['latin', 'latin-ext']);
  });

  test('of a family in steps are those of the weights, and no other', () => {
    const files = neededFiles(sampleFamily('fira-sans'), {
      upright: [400, 650],
      italic: [400],
      languages: ['en'],
    });
    expect(new Set(files.map(({ style, weight }) => `${style} ${weight.min}`))).toEqual(
      new Set(['normal 400', 'normal 700', 'italic 400']),
    );
  });

  test('bring other scripts only where a language needs them', () => {
    const scripts = (languages: PairingBrief['languages']) => [
      ...new Set(
        neededFiles(sampleFamily('literata'), { upright: [400], italic: [], languages }).map(
          ({ script }) => script,
        ),
      ),
    ];
    expect(scripts(['en'])).not.toContain('cyrillic');
    expect(scripts(['en', 'ru'])).toContain('cyrillic');
    expect(scripts(['el'])).toContain('greek');
  });

  test('are counted as a first visit in Latin loads them', () => {
    const family = sampleFamily('literata');
    const files = neededFiles(family, { upright: [400], italic: [], languages: ['en', 'ru'] });
    expect(firstBytes(files)).toBe(
      files.filter(({ script }) => script === 'latin').reduce((sum, { bytes }) => sum + bytes, 0),
    );
    expect(firstBytes(files)).toBeLessThan(files.reduce((sum, { bytes }) => sum + bytes, 0));
  });

  test('of a variable family are its static cuts where those are fewer bytes', () => {
    const family = sampleFamily('literata');
    const [only] = neededFiles(family, { upright: [700], italic: [], languages: ['en'] });
    expect(only?.weight).toEqual({ min: 700, max: 700 });
    expect(only?.bytes).toBeLessThan(family.files[0]?.bytes ?? 0);
    // A weight between the hundreds is in the variable file alone.
    const between = neededFiles(family, { upright: [650], italic: [], languages: ['en'] });
    expect(between.map(({ name }) => name)).toEqual(
      family.files
        .filter(({ name }) => /-latin(-ext)?-wght-normal/.test(name))
        .map((file) => file.name),
    );
  });

  test('are never more bytes than either kind alone, in any style', () => {
    // Worked out the long way round, for every family and every pair of weights.
    const weights = [300, 400, 600, 700, 800];
    for (const family of sampleFamilies().filter(({ statics }) => statics !== undefined))
      for (const one of weights)
        for (const other of weights) {
          const upright = [one, other].map((weight) => nearestWeight(family, weight));
          const files = neededFiles(family, { upright, italic: [], languages: ['en'] });
          const sum = files.reduce((total, { bytes }) => total + bytes, 0);
          const variable = neededFiles(
            { ...family, statics: [] },
            { upright, italic: [], languages: ['en'] },
          ).reduce((total, { bytes }) => total + bytes, 0);
          const cuts = (family.statics ?? [])
            .filter(({ style, script }) => style === 'normal' && /^latin(-ext)?$/.test(script))
            .flatMap((group) => group.cuts)
            .filter(({ weight }) => upright.includes(weight))
            .reduce((total, { bytes }) => total + bytes, 0);
          expect(sum).toBe(Math.min(variable, cuts));
        }
  });
});
