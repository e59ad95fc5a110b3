import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import type { Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { utilityRules, writeUtilities } from './utilities.ts';

const made = (prefix: string, steps: string, breakpoints: boolean, more: Patch = []) => {
  const document = sampleDocument([
    { op: 'add', path: '/space/utilities', value: { prefix, steps, breakpoints } },
    ...more,
  ]);
  return { document, derived: derive(document) };
};

describe('utility classes', () => {
  test('are none unless they are asked for', () => {
    const document = sampleDocument();
    expect(utilityRules(document, derive(document))).toEqual([]);
  });

  test('have a class for every property and step, in words', () => {
    const { document, derived } = made('', 'all', false);
    const css = writeUtilities(document, derived);
    expect(css).toContain('.pad-block-m {\n  padding-block: var(--step-m);\n}');
    expect(css).toContain('.gap-xxl {\n  gap: var(--step-xxl);\n}');
    expect(utilityRules(document, derived)).toHaveLength(17 * 6);
  });

  test('hold only the steps in use where that is chosen', () => {
    const more: Patch = [
      { op: 'add', path: '/space/steps/items/unused', value: { name: 'unused', multiple: 20 } },
      {
        op: 'replace',
        path: '/space/steps/order',
        value: [...sampleDocument().space.steps.order, 'unused'],
      },
    ];
    const all = made('', 'all', false, more);
    const used = made('', 'in use', false, more);
    expect(writeUtilities(all.document, all.derived)).toContain('.pad-unused');
    expect(writeUtilities(used.document, used.derived)).not.toContain('unused');
  });

  test('come again from each breakpoint up, behind a prefix of their own', () => {
    const { document, derived } = made('site-', 'in use', true);
    const css = writeUtilities(document, derived);
    expect(css).toMatch(/@media \(width >= 1080px\) \{\n[\s\S]*\.site-pad-m-from-wide \{/);
    expect(css.match(/@media/g)).toHaveLength(2);
  });
});
