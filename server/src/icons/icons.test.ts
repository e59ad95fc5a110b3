import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { fitBeside, unlikeness } from '@garnish/core/icons/alike';
import { measureIcon, type IconMeasures } from '@garnish/core/icons/measure';
import { readMeasures, writeMeasures } from '@garnish/core/icons/measured-line';
import { testServer, type TestServer } from '../test-server.ts';
import { findIcons, summarizeStyles } from './search.ts';
import { iconSets, SET_IDS } from './sets.ts';

const names = (words: string, more: Partial<Parameters<typeof findIcons>[0]> = {}): string[] =>
  findIcons({ words, ...more }).map(({ set, name }) => `${set}:${name}`);

describe('the shipped sets', () => {
  const sets = [...iconSets().values()];

  test('are of different kinds, under licenses that a short text carries, without signs of brands', () => {
    expect(sets.map(({ id }) => id)).toEqual(SET_IDS);
    expect(sets.length).toBeGreaterThanOrEqual(5);
    for (const { license, icons, author } of sets) {
      expect(['MIT', 'ISC']).toContain(license.spdx);
      expect(author).not.toBe('');
      expect(icons.filter(({ name }) => /^brand-|-logo(-|$)/.test(name))).toEqual([]);
    }
    expect(new Set(summarizeStyles().map(({ typical }) => typical.kind)).size).toBe(3);
  });

  test.each(SET_IDS)('%s: what is kept of it is what is measured of it', (id) => {
    const set = iconSets().get(id);
    if (!set) throw new Error('there is no such set');
    // An icon on which nothing is drawn has no measures, and is not found.
    expect(set.icons.length - set.measures.size).toBeLessThanOrEqual(1);
    const step = Math.ceil(set.icons.length / 8);
    for (const { name } of set.icons.filter((_, index) => index % step === 3)) {
      const drawing = set.drawing(name);
      const measures = drawing && measureIcon(drawing);
      if (!measures) continue;
      const kept = set.measures.get(name);
      expect([name, kept]).toEqual([
        name,
        readMeasures(writeMeasures(new Map([[name, measures]]))).get(name),
      ]);
    }
  });

  // What the authors of the sets publish as their strokes: 2 on 24, 1.5 on 24, and 8, 12, 16 and 24 on 256.
  test.each([
    ['lucide', 'outlined', 2 / 24, 0],
    ['tabler', 'outlined', 2 / 24, 0],
    ['heroicons', 'outlined', 1.5 / 24, 0],
    ['ph', 'thin', 8 / 256, 0.0005],
    ['ph', 'light', 12 / 256, 0.0005],
    ['ph', 'regular', 16 / 256, 0.0005],
    ['ph', 'bold', 24 / 256, 0.0005],
    ['radix-icons', 'outlined', 1 / 15, 0.02],
  ])('%s, %s: the usual stroke is the one that its authors publish', (set, style, stroke, off) => {
    const own = summarizeStyles().find((one) => one.set === set && one.style === style);
    expect(Math.abs((own?.typical.stroke ?? 0) - stroke)).toBeLessThanOrEqual(off + 1e-4);
  });

  test('styles that are called filled, outlined and two-toned are measured as such', () => {
    for (const { style, typical } of summarizeStyles())
      if (style === 'filled' || style === 'outlined' || style === 'two-toned')
        expect([style, typical.kind]).toEqual([style, style]);
  });
});

describe('searching', () => {
  test.each([
    ['menu', /:menu/],
    ['hamburger', /:menu|hamburger/],
    ['telephone', /:phone/],
    ['magnifier', /:(search|magnifying|zoom)/],
    ['trash', /:trash/],
    ['garbage', /:(trash|delete)/],
    ['ferry', /:(ship|boat|ferry|sailboat|anchor)/],
    // Mistyped.
    ['calender', /:calendar/],
    ['envelop', /:envelope/],
    ['telescpe', /:telescope/],
  ])('%s finds what is meant first', (words, expected) => {
    expect(names(words)[0]).toMatch(expected);
  });

  test('what is called exactly so comes first, in every set; all words count', () => {
    const found = names('phone');
    const first = found.slice(0, 4).map((one) => one.split(':')[1]);
    for (const name of first)
      expect(name).toMatch(
        /^phone(-(thin|light|bold|fill|filled|duotone|solid|20-solid|16-solid))?$/,
      );
    for (const one of names('arrow left').slice(0, 10))
      expect(one).toMatch(/arrow.*left|left.*arrow/);
  });

  test('kind, set and style limit it; what is nothing finds nothing', () => {
    const filled = findIcons({ words: 'heart', kind: 'filled' });
    expect(filled.length).toBeGreaterThan(3);
    expect(new Set(filled.map(({ measures }) => measures.kind))).toEqual(new Set(['filled']));
    expect(names('heart', { set: 'lucide' }).every((one) => one.startsWith('lucide:'))).toBe(true);
    expect(names('heart', { set: 'ph', style: 'thin' })[0]).toBe('ph:heart-thin');
    expect(names('qqqqxzzz')).toEqual([]);
    expect(names('__proto__').every((one) => one.includes(':'))).toBe(true);
    expect(names('toString constructor')).toEqual([]);
    expect(names('', { set: 'duo-icons' })).toHaveLength(
      iconSets().get('duo-icons')?.measures.size ?? 0,
    );
  });

  test('more like this one: nothing before is less like it', () => {
    const like = { set: 'ph', name: 'phone-thin' };
    const model = iconSets().get('ph')?.measures.get('phone-thin') as IconMeasures;
    const found = findIcons({ words: 'house', like });
    const far = found.map(({ measures }) => unlikeness(measures, model));
    expect(far).toEqual(far.toSorted((one, other) => one - other));
    expect(found[0]?.style).toBe('thin');
  });

  test('a set for the faces: of all styles the thin one is the nearest to a hairline', () => {
    const beside = { stemPx: 0.63, iconPx: 20 };
    const [best] = summarizeStyles().toSorted(
      (one, other) =>
        fitBeside(one.typical, beside).distance - fitBeside(other.typical, beside).distance,
    );
    expect([best?.set, best?.style]).toEqual(['ph', 'thin']);
  });
});

describe('the routes', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await testServer('garnish_icons');
  });
  afterAll(() => server.close());

  const ask = async (
    path: string,
  ): Promise<{ readonly status: number; readonly body: Record<string, unknown> }> => {
    const answer = await fetch(`${server.url}/api/icons${path}`);
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };

  test('give drawings by the page, never a whole set at once', async () => {
    const { body } = await ask('?words=arrow&most=50&from=50');
    const icons = body['icons'] as readonly {
      readonly drawing: { readonly shapes: readonly unknown[] };
    }[];
    expect(body['total']).toBeGreaterThan(500);
    expect(icons).toHaveLength(50);
    for (const { drawing } of icons) expect(drawing.shapes.length).toBeGreaterThan(0);
    expect((await ask('?most=1000')).status).toBe(400);
    expect((await ask('?kind=golden')).status).toBe(400);
    expect((await ask(`?words=${'x'.repeat(200)}`)).status).toBe(400);
    expect((await ask('?from=90000')).body['icons']).toEqual([]);
  });

  test('one icon by its name, and none by a name from outside', async () => {
    expect((await ask('/lucide/phone')).body).toMatchObject({ set: 'lucide', name: 'phone' });
    for (const path of [
      '/lucide/__proto__',
      '/__proto__/phone',
      '/constructor/constructor',
      '/tabler/brand-x',
      '/..%2f..%2fetc/passwd',
    ])
      expect([path, (await ask(path)).status]).toEqual([path, 404]);
  });
});
