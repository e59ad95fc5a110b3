import { describe, expect, test } from '@jest/globals';
// An independent library of color; its contrast is that of WCAG 2.
import { wcagContrast } from 'culori';
import { findingsOf } from '../../checks/checks.ts';
import { SURFACES, TELLINGS } from '../../system/component-schema.ts';
import { MODES, type StyleDocument } from '../../system/document.ts';
import { patched, type Patch } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import { componentNeeds } from './component-needs.ts';

const USUAL = { manner: { surface: 'filled', states: 'shade' }, departures: {} } as const;
const needs = (components: StyleDocument['components'], without: readonly string[] = []) =>
  componentNeeds({ components, has: (id) => !without.includes(id), neededBy: () => 4.5 });
const idsOf = (components: StyleDocument['components'], without?: readonly string[]) =>
  needs(components, without).map(({ id }) => id);

describe('what components need of colors', () => {
  test('is words on their ground in every state in which they can be used', () => {
    const ids = idsOf(USUAL);
    for (const id of ['action-ink:action', 'action-ink:action-hover', 'action-ink:action-pressed'])
      expect(ids).toContain(id);
    expect(ids.some((id) => id.includes('disabled') || id.startsWith('faint'))).toBe(false);
  });

  test('is every surface for what has no ground of its own', () => {
    const ids = idsOf(USUAL);
    for (const on of ['page', 'surface', 'raised']) expect(ids).toContain(`action-edge:${on}`);
    expect(idsOf(USUAL, ['raised'])).not.toContain('action-edge:raised');
  });

  test('is 3 for signs and edges, and what words need for words', () => {
    const by = new Map(needs(USUAL).map((need) => [need.id, need]));
    expect(by.get('line-strong:surface')).toMatchObject({ kind: 'part', needed: 3 });
    expect(by.get('danger-edge:page')).toMatchObject({ kind: 'text', needed: 4.5, text: 'small' });
  });

  test('follows the manner', () => {
    const outlined = idsOf({ ...USUAL, manner: { surface: 'outlined', states: 'shade' } });
    expect(outlined).not.toContain('action-ink:action-hover');
    expect(outlined).toContain('action-edge:surface');
    expect(idsOf({ ...USUAL, manner: { surface: 'quiet', states: 'shade' } })).toContain(
      'text:action-wash',
    );
  });

  test('follows what departs, and names it', () => {
    const departures = { 'button.ink': 'color.faint' };
    const found = needs({ ...USUAL, departures }).find(({ id }) => id === 'faint:action');
    expect(found).toMatchObject({ departs: [{ name: 'button.ink' }], of: 'button' });
    // A role that there is not is no departure.
    expect(idsOf({ ...USUAL, departures }, ['faint'])).toContain('action-ink:action');
  });

  test('never makes a surface of the page a color that moves', () => {
    for (const surface of SURFACES)
      for (const states of TELLINGS)
        for (const { color } of needs({ ...USUAL, manner: { surface, states } }))
          expect(['page', 'surface', 'raised']).not.toContain(color);
  });
});

test('a variant of one’s own needs what it takes, under its name', () => {
  const variants = {
    order: ['one'],
    items: { one: { name: 'Booking', of: 'button', takes: { ink: 'color.support-ink' } } },
  };
  const found = needs({ ...USUAL, variants }).filter(({ what }) => what.startsWith('Booking'));
  expect(found.map(({ id }) => id)).toContain('support-ink:action');
  expect(found[0]?.departs).toEqual([
    {
      part: 'button.ink',
      name: 'booking.ink',
      path: '/components/variants/items/one/takes/ink',
      to: 'color.support-ink',
      variant: 'one',
    },
  ]);
});

test.each(SURFACES)('%s: the assignment keeps all of them, as another library finds', (surface) => {
  const document = sampleDocument([
    { op: 'replace', path: '/components/manner', value: { surface, states: 'shade' } },
  ]);
  const { colors, needs: all } = derive(document);
  const own = all.filter(({ of }) => of !== undefined);
  expect(own.length).toBeGreaterThan(5);
  for (const { color, on, needed, what } of own)
    for (const mode of MODES) {
      const [one, other] = [colors.get(color.id), colors.get(on.id)].map(
        (role) => role?.colors[mode] ?? '',
      );
      expect([what, mode, wcagContrast(one ?? '', other ?? '') >= needed]).toEqual([
        what,
        mode,
        true,
      ]);
    }
});

test('a departure that cannot be read is found on its component, and its repair lets it go', () => {
  const departs: Patch = [
    { op: 'add', path: '/components/departures/button.ink', value: 'color.action-edge' },
  ];
  const document = sampleDocument(departs);
  const finding = findingsOf(document, derive(document)).find(
    ({ decision }) => decision === '/components/departures/button.ink',
  );
  expect(finding).toMatchObject({ area: 'components', severity: 'repair' });
  expect(finding?.figures).toMatch(/of 4\.50/);
  const after = patched(document, finding?.repair?.patch ?? []);
  if (!after.ok) throw new Error('the repair cannot be applied');
  const left = findingsOf(after.document, derive(after.document));
  expect(left.filter(({ area }) => area === 'components')).toEqual([]);
});
