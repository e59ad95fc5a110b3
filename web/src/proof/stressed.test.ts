/** @jest-environment jsdom */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { STRESSES } from '@garnish/core/checks/page/measured-page';
import { stressed } from './stressed.ts';

const WORDS = `
<main class="site"><p>Plain <a href="#x">Times</a> and <button type="button"><span>Book now</span></button></p>
<p class="tag">Running</p></main>`;

beforeEach(() => {
  document.documentElement.removeAttribute('dir');
  document.head.innerHTML = '';
  document.body.innerHTML = WORDS;
});
const textOf = (selector: string) => document.querySelector(selector)?.textContent;

describe('a page under stress', () => {
  test('has labels a third longer, rounded up, and no other words', () => {
    const relieve = stressed(document, 'longer');
    expect(textOf('a')).toBe('TimesTi');
    expect(textOf('button')).toBe('Book nowBoo');
    expect(textOf('.tag')).toBe('RunningRun');
    expect(textOf('p')?.startsWith('Plain Times')).toBe(true);
    relieve();
    expect(document.body.innerHTML).toBe(WORDS);
  });

  test('lengthens words once, however many labels they stand in', () => {
    document.body.innerHTML = '<label>Day<a href="#x">Day</a></label>';
    stressed(document, 'longer');
    expect(document.body.textContent).toBe('DayDDayD');
  });

  test('turns, spaces and enlarges all of it', () => {
    const relieve = stressed(document, 'right to left');
    expect(document.documentElement.dir).toBe('rtl');
    relieve();
    expect(document.documentElement.hasAttribute('dir')).toBe(false);
    stressed(document, 'spaced');
    expect(document.head.textContent).toContain('letter-spacing: 0.12em');
    stressed(document, 'twice as large');
    expect(document.head.textContent).toContain('font-size: 200%');
  });

  test.each(STRESSES.map((stress) => [stress]))(
    '%s: is as it was when it is relieved',
    (stress) => {
      const before = document.documentElement.outerHTML;
      stressed(document, stress)();
      expect(document.documentElement.outerHTML).toBe(before);
    },
  );
});
