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
