import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { judge } from '../checks/contrast.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { assignRungs, type Assignment } from './assign.ts';
import { derive } from './derive.ts';

function assign(document: StyleDocument): Assignment {
  const { pairs, ramps } = derive(document);
  const { conformance } = document.brief;
  return assignRungs(document.color, ramps, (mode) =>
    pairs.map((pair) => ({ pair, needed: judge(pair, mode, conformance).needed })),
  );
}

const applied = (document: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

/** The pairs that fall short, as the contrast check judges them. */
const short = (document: StyleDocument): string[] =>
  derive(document).pairs.flatMap((pair) =>
    (['light', 'dark'] as const)
      .filter((mode) => !judge(pair, mode, document.brief.conformance).passes)
      .map((mode: Mode) => `${pair.id} ${mode}`),
  );

const at = (role: string, mode: Mode, rung: number): Patch[number] => ({
  op: 'replace',
  path: `/color/roles/items/${role}/${mode}`,
  value: { kind: 'rung', ramp: 'neutral', rung },
});

describe('an assignment', () => {
  test('changes nothing where everything reads', () => {
    expect(assign(sampleDocument())).toEqual({ patch: [], moves: [], unsolved: [] });
  });

  test('moves a text to the nearest rung that reads on all its surfaces', () => {
    const document = sampleDocument([at('quiet', 'light', 6)]);
    const { moves, patch } = assign(document);
    expect(moves.map(({ role, mode }) => `${role} ${mode}`)).toEqual(['quiet light']);
    const to = moves[0]?.to ?? 0;
    expect(short(applied(document, patch))).toEqual([]);
    // One rung less falls short: it is the nearest.
    expect(short(sampleDocument([at('quiet', 'light', to - 1)]))).not.toEqual([]);
  });

  test('keeps what is pinned, and tells what cannot be read then', () => {
    const pale: Patch = [
      {
        op: 'replace',
        path: '/color/roles/items/quiet/light',
        value: { kind: 'own', value: '#c8c8c8' },
      },
    ];
    const { moves, unsolved } = assign(sampleDocument(pale));
    expect(moves.some(({ role }) => role === 'quiet')).toBe(false);
    expect(unsolved.every(({ mode, pair }) => mode === 'light' && pair.color.id === 'quiet')).toBe(
      true,
    );
    expect(unsolved.length).toBeGreaterThan(0);
  });

  test('makes every pair read from any rungs, or says which do not', () => {
    const roles = ['text', 'quiet', 'link', 'surface', 'action-ink'] as const;
    const rungs = fc.tuple(...roles.map(() => fc.integer({ min: 1, max: 16 })));
    fc.assert(
      fc.property(rungs, (chosen) => {
        const document = sampleDocument(
          roles.map((role, index) => at(role, 'light', chosen[index] ?? 1)),
        );
        const { patch, unsolved } = assign(document);
        const told = unsolved.map(({ pair, mode }) => `${pair.id} ${mode}`);
        expect(short(applied(document, patch)).sort()).toEqual(told.sort());
      }),
      { numRuns: 60 },
    );
  });

  test('moves as few rungs as a search through all of them', () => {
    // Two texts on one surface of greys: every combination is tried the long way round.
    const document = sampleDocument([at('quiet', 'light', 5), at('text', 'light', 6)]);
    const { moves } = assign(document);
    const moved = (role: string): number => {
      const move = moves.find((one) => one.role === role && one.mode === 'light');
      return move ? Math.abs(move.to - move.from) : 0;
    };
    let least = Infinity;
    for (let quiet = 1; quiet <= 16; quiet += 1)
      for (let text = 1; text <= 16; text += 1)
        if (
          short(sampleDocument([at('quiet', 'light', quiet), at('text', 'light', text)])).length ===
          0
        )
          least = Math.min(least, Math.abs(quiet - 5) + Math.abs(text - 6));
    expect(moved('quiet') + moved('text')).toBe(least);
  });
});
