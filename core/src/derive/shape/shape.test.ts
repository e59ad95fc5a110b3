import { describe, expect, test } from '@jest/globals';
import { writeCss } from '../../formats/css.ts';
import { writeDtcg } from '../../formats/dtcg.ts';
import { readDtcg } from '../../formats/read-dtcg.ts';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';

describe('corners that grow with their text', () => {
  const document = sampleDocument([{ op: 'add', path: '/shape/growing', value: true }]);
  const derived = derive(document);
  const px = document.shape.radii.items[document.shape.corners.control]?.px ?? 0;

  test('are what they were at the size of text that browsers begin with', () => {
    expect(px).toBeGreaterThan(0);
    const token = derived.tokenById.get('corner.control');
    // 16 px are one em there (CSS Fonts 4, medium).
    expect(token?.values.light).toEqual({
      json: { value: px / 16, unit: 'rem' },
      css: `${px / 16}em`,
      extension: { em: px / 16 },
    });
    expect(writeCss(derived)).toContain(`--corner-control: ${px / 16}em;`);
    expect(derived.tokenById.get('button.corner')?.values.light.reference).toBe('corner.control');
  });

  test('are those of controls alone', () => {
    const before = derive(sampleDocument());
    const changed = derived.tokens
      .filter(({ id, values }) => before.tokenById.get(id)?.values.light.css !== values.light.css)
      .map(({ id }) => id);
    expect(changed).toContain('corner.control');
    for (const id of changed) {
      const [, part] = id.split('.');
      expect([id, id === 'corner.control' || /corner/.test(part ?? '')]).toEqual([id, true]);
    }
    expect(derived.tokenById.get('corner.card')).toEqual(before.tokenById.get('corner.card'));
  });

  test('are read back from the open format', () => {
    const read = readDtcg(writeDtcg(derived, document));
    expect(read.kind === 'system' && read.document.shape).toEqual(document.shape);
  });
});
