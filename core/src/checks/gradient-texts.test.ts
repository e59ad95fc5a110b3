import { describe, expect, test } from '@jest/globals';
import { wcagContrast } from 'culori';
import { gradientAt } from '../color/gradient.ts';
import { derive } from '../derive/derive.ts';
import { writeHtml } from '../proof/node.ts';
import { sitePage } from '../proof/site.ts';
import { MODES } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { gradientTextsCheck } from './gradient-texts.ts';

const HOME = '/content/pages/items/home/sections';
const gradient = (from: string, to: string, ink?: string): Patch => [
  {
    op: 'add',
    path: '/color/gradients/items/sky',
    value: {
      name: 'sky',
      space: 'oklab',
      angle: 180,
      stops: {
        order: ['a', 'b'],
        items: { a: { at: 0, color: from }, b: { at: 1, color: to } },
      },
      ...(ink !== undefined && { ink }),
    },
  },
  { op: 'replace', path: '/color/gradients/order', value: ['sky'] },
];
const [first = ''] = sampleDocument().content.pages.items['home']?.sections.order ?? [];
const onSky: Patch = [{ op: 'add', path: `${HOME}/items/${first}/gradient`, value: 'sky' }];
const found = (patch: Patch) => {
  const document = sampleDocument(patch);
  const derived = derive(document);
  return { document, derived, all: gradientTextsCheck.find(document, derived) };
};

describe('text on a gradient', () => {
  test('is judged only where a section stands on it', () => {
    expect(found(gradient('text', 'page')).all).toEqual([]);
    expect(found([...gradient('text', 'page'), ...onSky]).all.map(({ id }) => id)).toEqual([
      'on-gradient:sky:light',
      'on-gradient:sky:dark',
    ]);
  });

  test('reads where the gradient is near the page, and is told at its worst point where it is not', () => {
    expect(found([...gradient('page', 'surface'), ...onSky]).all).toEqual([]);
    const { derived, all } = found([...gradient('page', 'quiet'), ...onSky]);
    const stops = derived.gradients[0]?.stops ?? [];
    for (const { id, figures } of all) {
      const mode = MODES.find((one) => id.endsWith(one)) ?? 'light';
      const ink = derived.colors.get('text')?.colors[mode] ?? '#000000';
      const shown = stops.map(({ at, role }) => ({ at, color: role.colors[mode] }));
      // Source: culori, contrast of WCAG 2, at a thousand places.
      const lowest = Math.min(
        ...Array.from({ length: 1001 }, (_, at) =>
          wcagContrast(ink, gradientAt(shown, at / 1000, 'oklab')),
        ),
      );
      expect(Number.parseFloat(figures)).toBeCloseTo(lowest, 1);
    }
    expect(all.length).toBeGreaterThan(0);
  });

  test('is repaired by a role that reads on all of it in every theme, where there is one', () => {
    // Text on itself reads nowhere; the page reads on all of it.
    const { document, all } = found([...gradient('text', 'text'), ...onSky]);
    expect(all).toHaveLength(2);
    const labels = all.map(({ repair }) => repair?.label);
    expect(labels[0]).toBe(labels[1]);
    const after = patched(document, all[0]?.repair?.patch ?? []);
    if (!after.ok) throw new Error('the repair does not fit');
    expect(gradientTextsCheck.find(after.document, derive(after.document))).toEqual([]);
    expect(after.document.color.gradients.items['sky']?.ink).toBe('page');
    // Between the two nothing reads everywhere, and nothing is offered.
    expect(found([...gradient('text', 'page'), ...onSky]).all[0]?.repair).toBeUndefined();
  });

  test('stands on it on the page and in the sheet, in the color that was decided', () => {
    const { document, derived } = found([...gradient('text', 'text', 'page'), ...onSky]);
    const html = writeHtml(sitePage(document, derived), (svg) => svg);
    expect(html).toContain('class="ground gradient-sky"');
    const rules = derived.rules.flatMap((group) => group.rules);
    const own = rules.find(({ selector }) => selector.startsWith('.gradient-sky [class*="type-"]'));
    expect(own?.declarations).toEqual([['color', 'var(--color-page)']]);
    expect(own?.selector).toContain('.gradient-sky [class*="type-"] a');
  });

  test('a gradient that is gone is told at the section', () => {
    const without = patched(sampleDocument([...gradient('text', 'page'), ...onSky]), [
      { op: 'replace', path: '/color/gradients', value: { order: [], items: {} } },
    ]);
    expect(without.ok).toBe(false);
    expect(!without.ok && without.problems[0]?.path).toBe(`${HOME}/items/${first}/gradient`);
  });
});
