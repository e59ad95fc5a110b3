import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { hexOf } from '../../color/srgb.ts';
import { judgedAll } from '../../checks/judge.ts';
import type { Mode, Paint, StyleDocument } from '../../system/document.ts';
import { jsonOf, patched, type Patch } from '../../system/patch.ts';
import { newDocument } from '../../system/new-document.ts';
import { sampleDocument, sampleFamily } from '../../system/sample.ts';
import { assignRungs, movesPatch, type Movable } from './assign.ts';
import type { Assignment } from '../derived.ts';
import { derive } from '../derive.ts';

const assign = (document: StyleDocument, movable: Movable = 'every rung'): Assignment => {
  const { needs, ramps } = derive(document);
  const plans = needs.map((need) => ({ ...need, color: need.color.id, on: need.on.id }));
  return assignRungs(document.color.roles, ramps, plans, movable);
};

const applied = (document: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

/** The pairs that fall short, as the contrast check judges them. */
const short = (document: StyleDocument): string[] =>
  judgedAll(derive(document))
    .filter(({ passes }) => !passes)
    .map(({ need, mode }) => `${need.id} ${mode}`);

/** The document with every role held on the rung that was found for it. */
const held = (document: StyleDocument): StyleDocument => ({
  ...document,
  color: {
    ...document.color,
    roles: {
      ...document.color.roles,
      items: Object.fromEntries(
        [...derive(document).colors.values()].map(({ id, name, painted }) => {
          const paint = (mode: Mode): Paint => {
            const before = document.color.roles.items[id]?.[mode];
            const { rung = 1 } = painted[mode];
            return before?.kind === 'near' ? { ...before, kind: 'rung', rung } : (before as Paint);
          };
          return [id, { name, light: paint('light'), dark: paint('dark') }];
        }),
      ),
    },
  },
});

const at = (role: string, mode: Mode, rung: number): Patch[number] => ({
  op: 'replace',
  path: `/color/roles/items/${role}/${mode}`,
  value: { kind: 'rung', ramp: 'neutral', rung },
});

/** A small system: three surfaces and what stands on them, no vivid colors. */
function few(): StyleDocument {
  const { color } = sampleDocument();
  const ids = ['page', 'surface', 'text', 'quiet', 'line'];
  const texts = color.texts.order.filter((id) => {
    const use = color.texts.items[id];
    return use && ids.includes(use.color) && ids.includes(use.on);
  });
  const picked = <Item>(items: Readonly<Record<string, Item>>, order: readonly string[]) =>
    jsonOf({ order, items: Object.fromEntries(order.map((id) => [id, items[id]])) });
  return sampleDocument([
    { op: 'replace', path: '/color/texts', value: picked(color.texts.items, texts) },
    { op: 'replace', path: '/color/roles', value: picked(color.roles.items, ids) },
  ]);
}

describe('an assignment', () => {
  test('changes nothing where everything reads', () => {
    const { moves, unsolved } = assign(held(sampleDocument()));
    expect({ moves, unsolved }).toEqual({ moves: [], unsolved: [] });
  });

  test('moves a text to the nearest rung that reads on all its surfaces', () => {
    const document = held(sampleDocument([at('quiet', 'light', 6)]));
    const { moves } = assign(document);
    expect(moves.map(({ role, mode }) => `${role} ${mode}`)).toEqual(['quiet light']);
    const to = moves[0]?.to ?? 0;
    expect(short(applied(document, movesPatch(moves)))).toEqual([]);
    // One rung less falls short: it is the nearest.
    expect(short(applied(document, [at('quiet', 'light', to - 1)]))).not.toEqual([]);
  });

  test('keeps what is pinned, and tells what cannot be read then', () => {
    const pale: Patch = [
      {
        op: 'replace',
        path: '/color/roles/items/quiet/light',
        value: { kind: 'own', value: '#c8c8c8' },
      },
    ];
    const { moves, unsolved } = assign(held(sampleDocument(pale)));
    expect(moves.some(({ role }) => role === 'quiet')).toBe(false);
    const told = new Set(unsolved.map(({ mode, need }) => `${need.color} ${mode}`));
    expect([...told]).toEqual(['quiet light']);
  });

  test('makes every pair read from any rungs, or says which do not', () => {
    const roles = ['text', 'quiet', 'link', 'surface', 'action-ink'] as const;
    const rungs = fc.tuple(...roles.map(() => fc.integer({ min: 1, max: 16 })));
    fc.assert(
      fc.property(rungs, (chosen) => {
        const document = sampleDocument(
          roles.map((role, index) => at(role, 'light', chosen[index] ?? 1)),
        );
        const { moves, unsolved } = assign(document);
        const told = unsolved.map(({ need, mode }) => `${need.id} ${mode}`);
        expect(short(applied(document, movesPatch(moves))).sort()).toEqual(told.sort());
      }),
      { numRuns: 60 },
    );
  });

  test('moves as few rungs as a search through all of them', () => {
    // Two texts on one surface of grays: every combination is tried the long way round.
    const start = held(few());
    const document = applied(start, [at('quiet', 'light', 5), at('text', 'light', 6)]);
    const { moves } = assign(document);
    const moved = (role: string): number => {
      const move = moves.find((one) => one.role === role && one.mode === 'light');
      return move ? Math.abs(move.to - move.from) : 0;
    };
    let least = Infinity;
    for (let quiet = 1; quiet <= 16; quiet += 1)
      for (let text = 1; text <= 16; text += 1)
        if (
          short(applied(start, [at('quiet', 'light', quiet), at('text', 'light', text)])).length ===
          0
        )
          least = Math.min(least, Math.abs(quiet - 5) + Math.abs(text - 6));
    expect(moved('quiet') + moved('text')).toBe(least);
  });

  test('lets wishes move and leaves what is held where it is', () => {
    const wished = sampleDocument([
      {
        op: 'replace',
        path: '/color/roles/items/quiet/light',
        value: { kind: 'near', ramp: 'neutral', rung: 5 },
      },
    ]);
    expect(short(wished)).toEqual([]);
    expect(derive(wished).colors.get('quiet')?.painted.light.rung).toBeGreaterThan(5);
    const kept = sampleDocument([at('quiet', 'light', 5)]);
    expect(derive(kept).colors.get('quiet')?.painted.light.rung).toBe(5);
    expect(short(kept)).not.toEqual([]);
  });

  test('of any brand color reads in both themes, whatever it is', () => {
    const hex = fc
      .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
      .map(([red, green, blue]) => hexOf([red / 255, green / 255, blue / 255]));
    fc.assert(
      fc.property(hex, (brand) => {
        const document = newDocument({
          name: 'Any',
          brand,
          heading: sampleFamily('archivo'),
          text: sampleFamily('literata'),
        });
        expect(short(document)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});

test('what is found does not depend on what was asked before, for systems that share most of their colors', () => {
  const branded = (value: string, tint: number): StyleDocument =>
    applied(sampleDocument(), [
      { op: 'replace', path: '/color/sources/items/brand/value', value },
      { op: 'replace', path: '/color/neutral/tint', value: tint },
    ]);
  const asked = ['#2a6365', '#c8f04a', '#663399', '#b5391a', '#777777', '#ffe08a'].flatMap(
    (value) => [0, 0.4].map((tint) => branded(value, tint)),
  );
  const found = ({ rungs, unsolved }: Assignment) => ({
    light: [...rungs.light],
    dark: [...rungs.dark],
    unsolved: unsolved.map(({ need, mode }) => `${need.id} ${mode}`),
  });
  for (const movable of ['wishes', 'every rung'] as const) {
    const first = asked.map((document) => found(assign(document, movable)));
    const again = asked.toReversed().map((document) => found(assign(document, movable)));
    expect(again.reverse()).toEqual(first);
    expect(new Set(first.map((one) => JSON.stringify(one))).size).toBeGreaterThan(3);
  }
});
