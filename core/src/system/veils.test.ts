import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { MODES, type Veil } from './document.ts';
import { jsonOf, patched } from './patch.ts';
import { sampleDocument } from './sample.ts';
import { settingVeil, veilIn, type VeilLook } from './veils.ts';

const plain: Veil = {
  name: 'A hill',
  picture: { name: 'A hill', file: '0123456789abcdef.png', width: 8, height: 4 },
  side: 'all over',
  strength: 40,
  color: '#000000',
  ink: 'page',
  pixels: 1,
  boxes: { order: [], items: {} },
};
const look = fc.record<Partial<VeilLook>>(
  {
    ink: fc.constantFrom('page', 'text', 'quiet'),
    color: fc.constantFrom('#000000' as const, '#ffffff' as const, 'page'),
    strength: fc.integer({ min: 0, max: 255 }),
  },
  { requiredKeys: [] },
);
const modes = fc.subarray([...MODES], { minLength: 1 });

const after = (veil: Veil, asked: readonly ('light' | 'dark')[], next: Partial<VeilLook>): Veil => {
  const document = sampleDocument([
    { op: 'add', path: '/color/veils/items/hill', value: jsonOf(veil) },
    { op: 'replace', path: '/color/veils/order', value: ['hill'] },
  ]);
  const patch = settingVeil('hill', veil, asked, next);
  if (patch.length === 0) return veil;
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result));
  return result.document.color.veils.items['hill'] ?? veil;
};

test('a look is set in the themes that are meant, and the other theme stays as it looks', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(modes, look), { minLength: 1, maxLength: 4 }),
      modes,
      look,
      (before, asked, next) => {
        const veil = before.reduce((one, [where, how]) => after(one, where, how), plain);
        const now = after(veil, asked, next);
        for (const mode of MODES)
          expect(veilIn(now, mode)).toEqual({
            ...veilIn(veil, mode),
            ...(asked.includes(mode) && next),
          });
        // What is decided apart stays so, and nothing else is said twice.
        for (const part of ['ink', 'color', 'strength'] as const)
          expect(now.dark?.[part] !== undefined).toBe(
            veil.dark?.[part] !== undefined || veilIn(now, 'dark')[part] !== now[part],
          );
      },
    ),
    { numRuns: 60 },
  );
});

test('what it is already is no change', () => {
  expect(settingVeil('hill', plain, MODES, { strength: 40 })).toEqual([]);
  expect(settingVeil('hill', plain, ['dark'], { ink: 'page' })).toEqual([]);
});
