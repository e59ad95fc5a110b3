import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { removing } from '../system/collection.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { findingsOf } from './checks.ts';

const lost = (patch: Patch) => {
  const document = sampleDocument(patch);
  return findingsOf(document, derive(document)).filter(({ id }) => id.startsWith('lost:'));
};
const departs = (part: string, value: string): Patch => [
  { op: 'add', path: `/components/departures/${part}`, value },
];

describe('a departure', () => {
  test.each([
    ['button.ink', 'color.text'],
    ['button.corner', 'corner.card'],
    ['button.edge-width', 'edge.strong'],
    ['button.lasts', 'duration.1'],
  ])('of %s to %s is no loss', (part, to) => {
    expect(lost(departs(part, to))).toEqual([]);
  });

  test.each([
    ['button.ink', 'color.nothing'],
    ['button.corner', 'corner.nothing'],
    ['button.edge-width', 'edge.nothing'],
    ['button.lasts', 'duration.99'],
    ['button.corner', 'radius.nothing'],
    ['button.glow', 'color.text'],
    ['constructors.ink', 'color.text'],
  ])('of %s to %s is told, and its repair lets it go', (part, to) => {
    const [finding, ...others] = lost(departs(part, to));
    expect(others).toEqual([]);
    expect(finding).toMatchObject({
      severity: 'look',
      area: 'components',
      decision: `/components/departures/${part}`,
    });
    const after = patched(sampleDocument(departs(part, to)), finding?.repair?.patch ?? []);
    expect(after.ok && after.document.components.departures).toEqual({});
  });

  test('to a role that is removed afterwards is told', () => {
    const before = sampleDocument(departs('button.ink', 'color.art-1'));
    if (!Object.hasOwn(before.color.roles.items, 'art-1')) throw new Error('no such role');
    const removed = removing('/color/roles', before.color.roles, 'art-1');
    const after = patched(before, removed);
    if (!after.ok) throw new Error(JSON.stringify(after.problems));
    const found = findingsOf(after.document, derive(after.document));
    expect(found.map(({ id }) => id)).toContain('lost:/components/departures/button.ink');
  });

  test('of a variant of one’s own is told where it is decided', () => {
    const variants = {
      order: ['one'],
      items: { one: { name: 'Booking', of: 'button', takes: { ink: 'color.nothing' } } },
    };
    const [finding] = lost([{ op: 'add', path: '/components/variants', value: variants }]);
    expect(finding?.decision).toBe('/components/variants/items/one/takes/ink');
    expect(finding?.title).toBe('booking.ink departs to color.nothing, which is not there');
  });
});

describe('a variant that is worn', () => {
  const page = sampleDocument().content.pages.order[0] ?? '';
  const section = sampleDocument().content.pages.items[page]?.sections.order[0] ?? '';
  const at = `/content/pages/items/${page}/sections/items/${section}/wears`;
  const variants: Patch = [
    {
      op: 'add',
      path: '/components/variants',
      value: { order: ['one'], items: { one: { name: 'Loud', of: 'button', takes: {} } } },
    },
  ];
  const worn = (patch: Patch) => {
    const document = sampleDocument(patch);
    return findingsOf(document, derive(document)).filter(({ id }) =>
      id.startsWith('lost-variant:'),
    );
  };

  test.each([at, '/content/wears'])('at %s and is there is no loss', (path) => {
    expect(worn([...variants, { op: 'add', path, value: { button: 'one' } }])).toEqual([]);
  });

  test.each([
    [at, { button: 'gone' }],
    [at, { 'quiet-button': 'one' }],
    ['/content/wears', { button: 'gone' }],
    [at, { button: 'gone', 'quiet-button': 'one' }],
  ])('at %s as %j is told, and its repairs let it go', (path, value) => {
    const patch: Patch = [...variants, { op: 'add', path, value }];
    let document = sampleDocument(patch);
    const before = worn(patch);
    expect(before.map(({ decision }) => decision)).toEqual(
      Object.keys(value).map((of) => `${path}/${of}`),
    );
    for (let left = before.length; left > 0; left -= 1) {
      const [finding] = findingsOf(document, derive(document)).filter(({ id }) =>
        id.startsWith('lost-variant:'),
      );
      const after = patched(document, finding?.repair?.patch ?? []);
      if (!after.ok) throw new Error(JSON.stringify(after.problems));
      document = after.document;
    }
    expect(findingsOf(document, derive(document)).map(({ id }) => id)).not.toContainEqual(
      expect.stringMatching(/^lost-variant:/),
    );
  });
});
