import { describe, expect, test } from '@jest/globals';
// An independent library of color; its contrast is that of WCAG 2.
import { wcagContrast } from 'culori';
import { sampleDocument } from '../../system/sample.ts';
import { SURFACES } from '../../system/component-schema.ts';
import { derive } from '../derive.ts';
import { groundlessOn } from './groundless.ts';

const on = (surface: (typeof SURFACES)[number]) =>
  groundlessOn('.on-x', 'var(--ink)', 'label', { surface, states: 'shade' });
const asked = (surface: (typeof SURFACES)[number], property: string): readonly string[] =>
  on(surface)
    .filter(({ declarations }) => declarations.some(([name]) => name === property))
    .flatMap(({ selector }) => selector.split(', '));

describe('what has no ground of its own', () => {
  test('takes the color of the words where it stands; what is filled keeps its own', () => {
    expect(asked('filled', 'color')).toContain('.on-x .quiet-button');
    expect(asked('filled', 'color')).toContain('.on-x .plain-button');
    expect(asked('filled', 'color')).not.toContain('.on-x .button');
    expect(asked('quiet', 'color')).not.toContain('.on-x .button');
    expect(asked('outlined', 'color')).toContain('.on-x .button');
    expect(asked('outlined', 'color')).toContain('.on-x .danger-button');
  });

  test('has an edge where it has one elsewhere', () => {
    expect(asked('filled', 'border-color')).toEqual(['.on-x .quiet-button']);
    expect(asked('outlined', 'border-color')).toEqual(['.on-x .button', '.on-x .danger-button']);
    expect(asked('quiet', 'border-color')).toEqual([]);
  });

  test.each(SURFACES)('%s: the ring of the focus goes with it', (surface) => {
    expect(asked(surface, 'outline-color')).toEqual(['.on-x :focus-visible']);
  });
});

test('on every vivid color the words, the edge and the ring reach 4.5:1, in both themes', () => {
  const { rules, tokenById } = derive(sampleDocument());
  const all = rules.flatMap((group) => group.rules);
  const rings = all.filter(({ selector }) => /^\.on-[\w-]+ :focus-visible$/.test(selector));
  expect(rings.length).toBeGreaterThan(3);
  for (const { selector, declarations } of rings) {
    const ground = /^\.on-([\w-]+)/.exec(selector)?.[1] ?? '';
    const ink = /--color-([\w-]+)/.exec(declarations[0]?.[1] ?? '')?.[1] ?? '';
    for (const mode of ['light', 'dark'] as const) {
      const [one, other] = [ink, ground].map(
        (slug) => tokenById.get(`color.${slug}`)?.values[mode].css,
      );
      expect([selector, mode, wcagContrast(one ?? '', other ?? '') >= 4.5]).toEqual([
        selector,
        mode,
        true,
      ]);
    }
  }
});
