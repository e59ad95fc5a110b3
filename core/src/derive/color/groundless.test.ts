import { describe, expect, test } from '@jest/globals';
// An independent library of color; its contrast is that of WCAG 2.
import { wcagContrast } from 'culori';
import { sampleDocument } from '../../system/sample.ts';
import { SURFACES } from '../../system/component-schema.ts';
import { FAMILIES } from '../../system/families.ts';
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
    expect(asked('filled', 'border-color')).toEqual(['.on-x .quiet-button', '.on-x .add-one']);
    expect(asked('outlined', 'border-color')).toEqual([
      '.on-x .button',
      '.on-x .danger-button',
      '.on-x .add-one',
    ]);
    expect(asked('quiet', 'border-color')).toEqual(['.on-x .add-one']);
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

test('every vivid color is a ground with all texts on it, before the rules of surfaces', () => {
  const { rules, colors } = derive(sampleDocument());
  const families = FAMILIES.filter((id) => colors.has(id) && colors.has(`${id}-ink`));
  expect(families.length).toBeGreaterThan(4);
  const keys = rules.map(({ key }) => key);
  expect(keys.indexOf('vivid-texts')).toBeLessThan(keys.indexOf('color'));
  const own = rules.find(({ key }) => key === 'vivid-texts')?.rules ?? [];
  for (const id of families) {
    const [ground, ink] = [colors.get(id)?.slug ?? '', colors.get(`${id}-ink`)?.slug ?? ''];
    expect(own).toContainEqual({
      selector: `.on-${ground}`,
      declarations: [
        ['background-color', `var(--color-${ground})`],
        ['color', `var(--color-${ink})`],
      ],
    });
    const texts = own.find(({ selector }) => selector.startsWith(`.on-${ground} [class*="type-"]`));
    expect(texts?.declarations).toEqual([['color', `var(--color-${ink})`]]);
    expect(texts?.selector).toContain(`.on-${ground} [class*="type-"] a:visited`);
  }
});

test('a state that gives words another color and no ground is told on a vivid color by form alone', () => {
  const hover = on('filled').find(
    ({ selector, declarations }) =>
      selector.includes('.on-x .more-link:hover') && declarations[0]?.[0] === 'color',
  );
  expect(hover).toMatchObject({ declarations: [['color', 'var(--ink)']] });
  expect(hover?.within).toBe('@media (hover: hover)');
  // What is off is exempt, and stays told apart.
  expect(on('filled').some(({ selector }) => selector.includes('disabled'))).toBe(false);
});
