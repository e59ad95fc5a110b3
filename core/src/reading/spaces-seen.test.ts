import { describe, expect, test } from '@jest/globals';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import type { Proposal, ProposalId } from './proposal.ts';
import { seenElement } from './seen-element.ts';
import type { SeenElement } from './seen.ts';
import { spacesSeen } from './spaces-seen.ts';

const PAGE = '#ffffff';
const body = seenElement({ name: 'body', box: { left: 0, top: 0, width: 1280, height: 3000 } });
const band = (px: number): SeenElement =>
  seenElement({
    name: 'section',
    ...{ hasOwnGround: false, grounds: [PAGE], padding: [px, 24, px, 24] },
    box: { left: 0, top: 0, width: 1280, height: 500 },
  });
const card = (px: number): SeenElement =>
  seenElement({
    name: 'div.offer',
    ...{ grounds: ['#eeeeee'], padding: [px, px, px, px] },
    box: { left: 0, top: 0, width: 300, height: 200 },
  });
const text = (px: number): SeenElement =>
  seenElement({ signs: 90, hasOwnGround: false, grounds: [PAGE], margin: [0, 0, px, 0] });
const button = (inline: number, block: number): SeenElement =>
  seenElement({
    ...{ name: 'button', acts: 'button', signs: 8, sizePx: 16 },
    padding: [block, inline, block, inline],
  });

const found = (unitPx: number, ...elements: readonly SeenElement[]) =>
  new Map<ProposalId, Proposal>(
    spacesSeen([body, ...elements], unitPx).map((one) => [one.id, one]),
  );

describe('what spaces do on a page', () => {
  test('follows from where they stand, and is the step that is nearest', () => {
    const all = found(
      8,
      band(80),
      band(80),
      band(40),
      card(24),
      card(24),
      text(16),
      text(16),
      text(12),
    );
    expect(all.get('section space')?.value).toBe('80 px, xxl of 64 px');
    expect(all.get('section space')?.alternatives?.map(({ value }) => value)).toEqual([
      '40 px, xl',
    ]);
    expect(all.get('card inset')?.value).toBe('24 px, l');
    expect(all.get('stack')?.value).toBe('16 px, m');
    expect(all.get('stack')?.unexplained).toEqual(['12 px, p']);
    const result = patched(
      sampleDocument(),
      [...all.values()].flatMap(({ patch }) => patch),
    );
    expect(result.ok && result.document.space.roles.items['section']?.value).toEqual({
      kind: 'step',
      step: 'xxl',
    });
  });

  test('is told by the unit that the steps are multiples of', () => {
    expect(found(12, card(24), card(24)).get('card inset')?.value).toBe('24 px, m');
  });

  test('buttons have theirs by their text', () => {
    const all = found(8, button(24, 12), button(24, 12), button(8, 4));
    const inset = all.get('control inset');
    expect(inset?.value).toBe('1.5 em, 0.75 em above and below');
    const result = patched(sampleDocument(), inset?.patch ?? []);
    expect(result.ok && result.document.space.roles.items['control']?.block).toEqual({
      ...{ kind: 'own', value: 0.75, unit: 'em' },
    });
  });

  test('is nothing where there is nothing, or only one of it', () => {
    expect(spacesSeen([])).toEqual([]);
    expect(found(8, band(80)).has('card inset')).toBe(false);
  });
});
