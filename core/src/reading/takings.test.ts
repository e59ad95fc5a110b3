import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument, sampleFamilies } from '../system/sample.ts';
import { seenElement } from './seen-element.ts';
import type { SeenElement } from './seen.ts';
import { TAKEN, takingsOf, type Taken } from './takings.ts';

const system = sampleDocument();
const takings = (one: Partial<SeenElement>, document: StyleDocument = system) =>
  takingsOf(seenElement(one), {
    document,
    steps: derive(document).steps.values(),
    catalogue: sampleFamilies(),
  });

/** The system after one of them was taken; nothing where there was nothing to take. */
function after(one: Partial<SeenElement>, of: Taken, at = 0, document = system) {
  const taking = takings(one, document).filter((each) => each.of === of)[at];
  if (!taking?.patch) return undefined;
  const result = patched(document, taking.patch('read-1'));
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.document;
}

const WORDS: Partial<SeenElement> = { signs: 80, color: '#204060', sizePx: 17.5 };

describe('of one thing of a page', () => {
  test.each([4, 8, 10])('a space is taken as a step of a unit of %d px, in its place', (unit) => {
    const document = sampleDocument([
      { op: 'replace', path: '/space/unit', value: unit },
      { op: 'replace', path: '/space/scale', value: 'multiples' },
    ]);
    for (const px of [1.5, 13, 27, 250]) {
      const next = after({ padding: [px, px, px, px] }, 'inset', 0, document);
      const steps = [...derive(next ?? document).steps.values()].map((step) => step.px);
      expect(steps).toEqual(steps.toSorted((one, other) => one - other));
      expect(steps.some((step) => Math.abs(step - px) < 0.01)).toBe(true);
      // Taken once, it is there.
      expect(takings({ padding: [px, px, px, px] }, next)).toContainEqual(
        expect.objectContaining({ of: 'inset', patch: undefined }),
      );
    }
  });

  test('a space becomes a step of a scale by hand, and of a series none', () => {
    const byHand = sampleDocument([
      { op: 'replace', path: '/space/scale', value: 'by hand' },
      ...inOrder(system.space.steps).map(([id, { multiple }]) => ({
        op: 'add' as const,
        path: `/space/steps/items/${id}/px`,
        value: multiple * system.space.unit,
      })),
    ]);
    const next = after({ gap: [13, 13] }, 'gap', 0, byHand);
    expect(next?.space.steps.items['read-1']?.px).toBe(13);
    const series = sampleDocument([
      { op: 'add', path: '/space/series', value: { first: 0.5, ratio: 1.6 } },
      { op: 'replace', path: '/space/scale', value: 'geometric' },
    ]);
    expect(takings({ gap: [13.3, 13.3] }, series).map(({ of }) => of)).not.toContain('gap');
  });

  test('sides that differ, nothing at all and what is pulled out are no step', () => {
    for (const margin of [[8, 16, 8, 16], [0, 0, 0, 0], [-8, -8, -8, -8], []])
      expect(takings({ margin }).map(({ of }) => of)).not.toContain('margin');
  });

  test('a face that the catalogue has is taken for headings or for text, by its name', () => {
    const other = sampleFamilies().find(({ id }) => id !== system.fonts.roles.text.family.id);
    const face = other?.name ?? '';
    expect(after({ ...WORDS, face }, 'face', 1)?.fonts.roles.text.family).toEqual(other);
    const own = system.fonts.roles.text.family.name;
    expect(takings({ ...WORDS, face: own })).toContainEqual({
      ...{ of: 'face', name: 'face of text', patch: undefined },
    });
    for (const unknown of ['Nowhere Sans', '', '__proto__'])
      expect(takings({ ...WORDS, face: unknown }).map(({ of }) => of)).not.toContain('face');
    // Where there are no words, there is no face.
    expect(takings({ face: own, signs: 0 }).map(({ of }) => of)).not.toContain('face');
  });

  test('the size of running text is the base on a wide screen; that of a heading is not', () => {
    const next = after(WORDS, 'text size');
    const [, wide] = inOrder(next?.type.anchors ?? system.type.anchors).at(-1) ?? [];
    expect(wide?.base).toBe(17.5);
    expect(takings({ ...WORDS, level: 2 }).map(({ of }) => of)).not.toContain('text size');
  });

  test('colors become brand colors under names that nothing has, once', () => {
    const next = after({ ...WORDS, grounds: ['#fefefe'], hasOwnGround: true }, 'color');
    const names = inOrder(next?.color.sources ?? system.color.sources).map(([, { name }]) => name);
    expect(next?.color.sources.items['read-1']?.value).toBe('#204060');
    expect(new Set(names).size).toBe(names.length);
    expect(takings(WORDS, next)).toContainEqual(
      expect.objectContaining({ of: 'color', patch: undefined }),
    );
    // One that shines through is none by itself.
    expect(takings({ ...WORDS, color: 'rgb(0 0 0 / 50%)' }).map(({ of }) => of)).not.toContain(
      'color',
    );
  });

  test('a corner is taken in its place among the others', () => {
    const next = after({ corners: [7, 7, 7, 7] }, 'corner');
    const px = inOrder(next?.shape.radii ?? system.shape.radii).map(([, radius]) => radius.px);
    expect(px).toContain(7);
    const before = inOrder(system.shape.radii).map(([, radius]) => radius.px);
    if (before.join() === before.toSorted((one, other) => one - other).join())
      expect(px).toEqual(px.toSorted((one, other) => one - other));
  });

  test('what cannot be decided is refused, and nothing is changed', () => {
    const corners = [999, 999, 999, 999];
    const taking = takings({ corners }).find(({ of }) => of === 'corner');
    const result = patched(system, taking?.patch?.('read-1') ?? []);
    expect(result.ok).toBe(false);
  });

  test('each sort of fact is told at most as often as it can be taken', () => {
    const all = takings({
      ...WORDS,
      face: system.fonts.roles.text.family.name,
      grounds: ['#fefefe'],
      padding: [9, 9, 9, 9],
      margin: [11, 11, 11, 11],
      gap: [13, 13],
      corners: [5, 5, 5, 5],
    });
    for (const of of TAKEN)
      expect(all.filter((one) => one.of === of)).toHaveLength(of === 'face' ? 2 : 1);
  });
});
