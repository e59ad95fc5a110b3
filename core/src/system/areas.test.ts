import { describe, expect, test } from '@jest/globals';
import { AREAS, areaOf, placesOfView, viewAddresses } from './areas.ts';
import type { Area } from './areas/area.ts';
import { documentSchema } from './document.ts';
import { valueAt } from './patch.ts';
import { sampleDocument } from './sample.ts';

const SAMPLE = sampleDocument();
const LIST: readonly Area[] = AREAS;

test('each part of a document is decided in one area', () => {
  const parts = Object.keys(documentSchema.shape).filter((part) => part !== 'schema');
  expect(LIST.flatMap(({ decides }) => [...decides]).sort()).toEqual(parts.sort());
  for (const { id, decides } of LIST)
    for (const part of decides) expect(areaOf(`/${part}/of/it`)).toBe(id);
});

test('what is decided nowhere is looked for in Tokens', () => {
  expect(areaOf('/nothing')).toBe('tokens');
  expect(areaOf('')).toBe('tokens');
  expect(areaOf('/__proto__')).toBe('tokens');
});

test('the addresses of views name each view once', () => {
  const addresses = viewAddresses();
  expect(new Set(addresses).size).toBe(addresses.length);
  expect(addresses).toHaveLength(
    LIST.reduce((sum, { views }) => sum + Math.max(1, views.length), 0),
  );
  for (const { id } of AREAS) expect(addresses.some((one) => one.startsWith(id))).toBe(true);
});

test('a view decides places of its own area; an area opens with its first view', () => {
  for (const { id, views } of LIST)
    for (const view of views) {
      const places = placesOfView(id, view.id);
      expect(places).toEqual(view.at);
      for (const place of places) expect(areaOf(place)).toBe(id);
    }
  for (const { id, views } of LIST) expect(placesOfView(id, null)).toEqual(views[0]?.at ?? []);
  expect(placesOfView('nowhere', null)).toEqual([]);
  expect(placesOfView('color', '__proto__')).toEqual([]);
});

describe.each(LIST.map((area) => [area.id, area] as const))(
  '%s',
  (_, { id, views, named, decides }) => {
    const decisions = named?.(SAMPLE) ?? [];

    test('has names for decisions that are its own and stand in the document', () => {
      // What may be left open stands there only when it was decided.
      const OPEN = ['/fonts/roles/label', '/fonts/narrow', '/type/root', '/type/baseline'].concat(
        '/color/darkChroma',
        '/color/themes',
        '/components/narrow',
        '/space/utilities',
        '/tokens/sheet/properties',
        '/tokens/sheet/classes',
        '/tokens/sheet/layer',
      );
      for (const { path } of decisions) {
        expect([path, areaOf(path)]).toEqual([path, id]);
        if (!OPEN.includes(path))
          expect([path, valueAt(SAMPLE, path) !== undefined]).toEqual([path, true]);
      }
    });

    test('gives no two decisions one name', () => {
      const names = decisions.map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
      if (decides.length > 0 && named) expect(names.length).toBeGreaterThan(0);
    });

    // Labels of drawings stand with the components that are drawn.
    test('decides in its views only what is its own, words of the page, or labels of drawings', () => {
      for (const { at } of views)
        for (const path of at)
          expect(
            [...decides, 'content', 'components/labels'].some((part) =>
              path.startsWith(`/${part}`),
            ),
          ).toBe(true);
    });
  },
);
