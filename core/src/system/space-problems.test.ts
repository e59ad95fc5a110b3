import { describe, expect, test } from '@jest/globals';
import { findingsOf } from '../checks/checks.ts';
import { derive } from '../derive/derive.ts';
import { forgetting, forgettingAnchor } from './breakpoints.ts';
import { removing } from './collection.ts';
import { jsonOf, patched, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';
import { readDocument, upgradePatch } from './upgrade.ts';
import { usualSpace } from './usual-space.ts';

const refused = (patch: Patch): string | undefined => {
  const result = patched(sampleDocument(), patch);
  return result.ok ? undefined : result.problems[0]?.message;
};

const set = (path: string, value: unknown): Patch => [
  { op: 'replace', path, value: jsonOf(value) },
];

describe('space is refused', () => {
  test.each<[string, Patch, RegExp]>([
    ['a unit of 0', set('/space/unit', 0), /./],
    ['a negative unit', set('/space/unit', -8), /./],
    ['0 columns', set('/layout/grid/base/columns', 0), /./],
    [
      'gutters wider than the container',
      set('/layout/grid/base/gutter', 200),
      /wider than the container/,
    ],
    [
      'breakpoints out of order',
      set('/layout/breakpoints/items/wide/width', 600),
      /from the narrowest up/,
    ],
    ['a step that is not there', set('/space/roles/items/inset/value/step', 'nowhere'), /no step/],
    [
      'a breakpoint that is not there',
      set('/space/roles/items/inset/value', { kind: 'stepped', step: 'm', at: { nowhere: 'l' } }),
      /no breakpoint/,
    ],
    [
      'an inset below 0',
      set('/space/roles/items/inset/value', { kind: 'own', value: -4, unit: 'px' }),
      /below 0/,
    ],
    [
      'a gap that shrinks',
      set('/space/roles/items/stack/value', {
        kind: 'shrinking',
        form: 'min',
        fixed: { value: 2, unit: 'rem' },
        share: 8,
      }),
      /cannot shrink/,
    ],
    [
      'a minus of a minus',
      set('/space/roles/items/hang/value', { kind: 'minus', of: 'bleed' }),
      /itself/,
    ],
    [
      'a part on no role',
      [{ op: 'add', path: '/space/parts/card.gap', value: { role: 'nowhere' } }],
      /no space role/,
    ],
    ['a corner of no radius', set('/shape/corners/card', 'nowhere'), /no radius/],
    ['cards on no level', [{ op: 'add', path: '/shape/cards', value: 'nowhere' }], /no level/],
  ])('with %s', (_, patch, message) => {
    expect(refused(patch)).toMatch(message);
  });
});

test('a breakpoint goes with all that was decided at it', () => {
  const document = sampleDocument(
    set('/space/roles/items/inset/value', { kind: 'stepped', step: 's', at: { wide: 'l' } }),
  );
  const result = patched(document, [
    ...forgetting(document, 'wide'),
    ...removing('/layout/breakpoints', document.layout.breakpoints, 'wide'),
  ]);
  expect(result.ok && result.document.layout.grid.at).toEqual({ medium: { columns: 8 } });
});

test('an anchor goes with the steps that were taken at it; the next one leads where it was the first', () => {
  const flowing = { kind: 'step', step: 's', at: { wide: 'xl' } };
  const document = sampleDocument(set('/space/roles/items/section/value', flowing));
  const length = (id: string): unknown => {
    const [operation] = forgettingAnchor(document, id);
    return operation && 'value' in operation ? operation.value : undefined;
  };
  expect(length('wide')).toEqual({ kind: 'step', step: 's' });
  expect(length('narrow')).toEqual({ kind: 'step', step: 'xl' });
});

describe('a system of schema 3', () => {
  const now = sampleDocument();
  // What is undefined is not there in JSON.
  const others = { ...now, layout: undefined, shape: undefined };
  const old = {
    ...others,
    schema: 3,
    space: {
      unit: 8,
      steps: usualSpace.steps,
      roles: { inset: 'm', stack: 's', section: 'xl' },
    },
  };

  test('keeps its steps and its three roles', () => {
    const read = readDocument(JSON.parse(JSON.stringify(old)));
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { roles } = read.document.space;
    expect(roles.items['inset']?.value).toEqual({ kind: 'step', step: 'm' });
    expect(roles.items['section']?.value).toEqual({ kind: 'step', step: 'xl' });
    expect(read.document.layout.grid.base).toMatchObject({ margin: 16 });
    expect(derive(read.document).spaces.get('stack')?.inline.px({ widthPx: 360 })).toBe(8);
  });

  test('can still take back a change of then', () => {
    expect(upgradePatch([{ op: 'replace', path: '/space/roles/inset', value: 'l' }], 3)).toEqual([
      { op: 'replace', path: '/space/roles/items/inset/value/step', value: 'l' },
    ]);
  });
});

describe('findings of the scale', () => {
  const found = (patch: Patch) => {
    const document = sampleDocument(patch);
    return findingsOf(document, derive(document));
  };

  test('tell steps that are alike, and are ended by their repair', () => {
    const patch = set('/space/steps/items/l/multiple', 2.25);
    const finding = found(patch).find(({ id }) => id === 'steps-alike:l');
    expect(finding?.figures).toContain('16 px and 18 px');
    const repaired = patched(sampleDocument(patch), finding?.repair?.patch ?? []);
    if (!repaired.ok) throw new Error('the repair does not fit');
    const ids = findingsOf(repaired.document, derive(repaired.document)).map(({ id }) => id);
    expect(ids).not.toContain('steps-alike:l');
  });

  test('tell a pattern on which text is lost, and the strength at which it reads', () => {
    const patch: Patch = [
      ...set('/layout/patterns', {
        order: ['bars'],
        items: {
          bars: {
            name: 'bars',
            kind: 'lines',
            ink: 'quiet',
            on: 'surface',
            cell: 'm',
            strength: 0.8,
            turn: 0,
          },
        },
      }),
    ];
    const finding = found(patch).find(({ id }) => id.startsWith('pattern:bars'));
    expect(finding?.severity).toBe('repair');
    const repaired = patched(sampleDocument(patch), finding?.repair?.patch ?? []);
    if (!repaired.ok) throw new Error('the repair does not fit');
    const ids = findingsOf(repaired.document, derive(repaired.document)).map(({ id }) => id);
    expect(ids.filter((id) => id.startsWith('pattern:'))).toEqual([]);
  });
});
