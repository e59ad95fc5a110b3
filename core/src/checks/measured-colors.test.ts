import { expect, test } from '@jest/globals';
import { tooMuch } from './measured-colors.ts';

test('a page of dark words and one vivid color has nothing too much', () => {
  const presence = {
    areas: [
      { hex: '#fdfbf5', share: 0.95 },
      { hex: '#b5391a', share: 0.05 },
    ],
    texts: [
      { hex: '#1d2222', share: 0.9 },
      { hex: '#2a6365', share: 0.1 },
    ],
  } as const;
  expect(tooMuch(presence, 'light')).toEqual([]);
});

test('mostly colored text, and four vivid hues, are found with their figures', () => {
  const presence = {
    areas: [
      { hex: '#ffffff', share: 0.9 },
      { hex: '#e4002b', share: 0.03 },
      { hex: '#00a651', share: 0.03 },
      { hex: '#0072ce', share: 0.02 },
      { hex: '#ffd100', share: 0.02 },
    ],
    texts: [
      { hex: '#b5391a', share: 0.6 },
      { hex: '#222222', share: 0.4 },
    ],
  } as const;
  const found = tooMuch(presence, 'dark');
  expect(found.map(({ id }) => id)).toEqual(['colored-text:dark', 'vivid-hues:dark']);
  expect(found[0]?.figures).toContain('60 %');
  expect(found[1]?.title).toContain('4 vivid hues');
});
