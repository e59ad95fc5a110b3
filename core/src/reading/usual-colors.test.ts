import { expect, test } from '@jest/globals';
import { isHex } from '../color/srgb.ts';
import { derive } from '../derive/derive.ts';
import { newDocument } from '../system/new-document.ts';
import { sampleDocument } from '../system/sample.ts';
import { usualColors } from './usual-colors.ts';

test('are those that a new system of that brand has, in each theme', () => {
  const { family } = sampleDocument().fonts.roles.heading;
  for (const brand of [['#c8452b', '#1b4b66'], ['#3b6ea5']] as const) {
    const [first, ...colors] = brand;
    const { tokenById } = derive(
      newDocument({ name: 'Millrace', brand: first, colors, heading: family, text: family }),
    );
    const usual = usualColors(brand, family);
    for (const role of ['page', 'surface', 'support', 'text', 'quiet', 'link', 'line'])
      for (const mode of ['light', 'dark'] as const) {
        const css = usual.get(`${role} ${mode}`) ?? '';
        expect(isHex(css)).toBe(true);
        expect(css).toBe(tokenById.get(`color.${role}`)?.values[mode].css);
      }
  }
  expect(usualColors([], family).size).toBe(0);
});
