import { describe, expect, test } from '@jest/globals';
import { documentSchema } from './document.ts';
import { fieldLimits, limitsOf } from './limits.ts';
import { sampleDocument } from './sample.ts';

/** Where numbers stand in a value; of the things of one collection or record, the first that has one there. */
function* numbersOf(value: unknown, path: string): Generator<string> {
  if (typeof value === 'number') yield path;
  if (typeof value !== 'object' || value === null) return;
  for (const [key, one] of Object.entries(value)) yield* numbersOf(one, `${path}/${key}`);
}

const SAMPLE = sampleDocument();
const seen = new Set<string>();
const PLACES = [...numbersOf({ ...SAMPLE, tokens: undefined }, '')].filter((path) => {
  const kind = path.replace(/\/items\/[^/]+/g, '/items/*');
  // The number of the schema is one number, and what was measured of a family nobody decides.
  const isNew = !seen.has(kind) && path !== '/schema' && !path.includes('/family/');
  seen.add(kind);
  return isNew;
});

/** Whether the schema takes a number at a place, by its own parsing of the part that it stands in. */
function takes(path: string, value: number): boolean {
  const [part = '', ...keys] = path.split('/').slice(1);
  const last = keys.pop() ?? '';
  const whole: unknown = structuredClone(SAMPLE[part as keyof typeof SAMPLE]);
  const holder = keys.reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], whole);
  (holder as Record<string, unknown>)[last] = value;
  return documentSchema.shape[part as keyof typeof SAMPLE].safeParse(whole).success;
}

describe('the limits of the number at', () => {
  test('a place: the sample has numbers in every part of the document', () => {
    expect(PLACES.length).toBeGreaterThan(50);
    for (const part of ['brief', 'fonts', 'type', 'color', 'space', 'layout', 'shape'])
      expect(PLACES.some((path) => path.startsWith(`/${part}/`))).toBe(true);
  });

  test.each(PLACES)('%s are what the schema takes there, and no more', (path) => {
    const { least, most, above, below, whole } = limitsOf(path);
    const fine = whole ? 1 : 1e-6;
    expect({
      least: takes(path, least),
      under: takes(path, least - fine),
      above: takes(path, least + fine),
      most: takes(path, most),
      over: takes(path, most + fine),
      below: takes(path, most - fine),
      half: takes(path, Math.floor((least + most) / 2) + 0.5),
    }).toEqual({
      least: !above,
      under: false,
      above: true,
      most: !below,
      over: false,
      below: true,
      half: !whole,
    });
  });

  test('nothing that is a number are a mistake of the program', () => {
    expect(() => limitsOf('/name')).toThrow('no number stands at /name');
    expect(() => limitsOf('/space/unit/px')).toThrow('no number stands');
    expect(() => limitsOf('/__proto__/x')).toThrow('no number stands');
  });

  test('a decision that was not made yet are known', () => {
    expect(limitsOf('/type/root')).toMatchObject({ least: 50, most: 200 });
    expect(limitsOf('/color/darkChroma')).toMatchObject({ least: 0.3, most: 1 });
  });
});

describe('a field', () => {
  test('counts in its own unit', () => {
    const percent = { factor: 0.01, decimals: 0 };
    expect(fieldLimits('/space/limits/phone', percent)).toEqual({ min: 0, max: 100, decimals: 0 });
    expect(fieldLimits('/color/darkChroma', percent)).toEqual({ min: 30, max: 100, decimals: 0 });
  });

  test('shows no decimals of whole numbers', () => {
    expect(fieldLimits('/brief/zoom')).toEqual({ min: 200, max: 500, decimals: 0 });
  });

  test('ends before what is out of reach', () => {
    const multiple = '/space/steps/items/x/px';
    expect(fieldLimits(multiple, { decimals: 2 }).min).toBe(0.01);
    expect(fieldLimits(multiple, { decimals: 2, step: 1 }).min).toBe(0.1);
    expect(fieldLimits('/color/gradients/items/x/angle', { decimals: 0 }).max).toBe(359);
  });
});
