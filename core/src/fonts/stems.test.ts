import { describe, expect, test } from '@jest/globals';
import { sampleFamilies, sampleFamily } from '../system/sample.ts';
import { stemAt } from './family.ts';

describe('the stem of a family', () => {
  const archivo = sampleFamily('archivo');
  const { stem, stems = {} } = archivo.metrics;

  test('is the measured one at a measured weight, and straight between two', () => {
    expect(stemAt(archivo, 400)).toBe(stems['400']);
    expect(stemAt(archivo, 400)).toBeCloseTo(stem, 3);
    expect(stemAt(archivo, 650)).toBeCloseTo(((stems['600'] ?? 0) + (stems['700'] ?? 0)) / 2, 6);
    expect(stemAt(archivo, 1000)).toBe(stems['900']);
  });

  test('is estimated where only the regular was measured', () => {
    const metrics = { ...archivo.metrics, stems: undefined };
    const unmeasured = { ...archivo, metrics };
    expect(stemAt(unmeasured, 400)).toBe(stem);
    expect(stemAt(unmeasured, 700)).toBeCloseTo(stem * 1.55);
    expect(stemAt(unmeasured, 100)).toBeCloseTo(stem * 0.5);
  });

  test('grows with the weight in every shipped family', () => {
    const shrinking = sampleFamilies().filter((family) => {
      const all = Object.entries(family.metrics.stems ?? {}).sort(
        ([one], [other]) => Number(one) - Number(other),
      );
      return all.some(([, own], index) => index > 0 && own < (all[index - 1]?.[1] ?? 0) - 0.002);
    });
    expect(shrinking.map(({ id }) => id)).toEqual([]);
  });
});
