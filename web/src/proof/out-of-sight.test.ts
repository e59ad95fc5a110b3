/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { outOfSight } from './out-of-sight.ts';

/** What stands in for the browser's own, and tells what the test says. */
class Observer {
  static readonly all: Observer[] = [];
  readonly observed: Element[] = [];
  readonly tell: (entries: readonly Partial<IntersectionObserverEntry>[]) => void;
  constructor(tell: (entries: readonly Partial<IntersectionObserverEntry>[]) => void) {
    this.tell = tell;
    Observer.all.push(this);
  }
  observe(element: Element): void {
    this.observed.push(element);
  }
  disconnect(): void {
    this.observed.length = 0;
  }
}

const page = document.implementation.createHTMLDocument();
const observer = (): Observer => Observer.all.at(-1) ?? new Observer(() => undefined);

beforeEach(() => {
  jest.useFakeTimers();
  Object.defineProperty(page, 'defaultView', {
    configurable: true,
    value: { IntersectionObserver: Observer },
  });
  page.body.innerHTML =
    '<div class="site"><section class="hero"></section><section class="block"></section><footer></footer></div>';
});
afterEach(() => {
  jest.useRealTimers();
});

const away = (): string[] =>
  [...page.querySelectorAll('[data-away]')].map(({ tagName }) => tagName);
const isMoving = (): boolean => page.documentElement.hasAttribute('data-moving');

test('parts of the page that nobody sees are marked, and those that come into sight no more', () => {
  const sight = outOfSight(page);
  sight.renew();
  const [block, footer] = observer().observed;
  expect([block?.className, footer?.tagName]).toEqual(['block', 'FOOTER']);
  observer().tell([
    { target: block, isIntersecting: false },
    { target: footer, isIntersecting: false },
  ] as IntersectionObserverEntry[]);
  expect(away()).toEqual(['SECTION', 'FOOTER']);
  observer().tell([{ target: block, isIntersecting: true }] as IntersectionObserverEntry[]);
  expect(away()).toEqual(['FOOTER']);
});

test('they rest while the sheet moves, and until a moment after the last movement', () => {
  const sight = outOfSight(page);
  expect(isMoving()).toBe(false);
  sight.moves();
  jest.advanceTimersByTime(150);
  sight.moves();
  jest.advanceTimersByTime(150);
  expect(isMoving()).toBe(true);
  jest.advanceTimersByTime(50);
  expect(isMoving()).toBe(false);
});

test('elements of another page are looked at instead of those before', () => {
  const sight = outOfSight(page);
  sight.renew();
  page.body.innerHTML = '<div class="site"><section class="block"></section></div>';
  sight.renew();
  expect(observer().observed).toHaveLength(1);
  sight.close();
  expect(observer().observed).toHaveLength(0);
});

test('a page without a window is left alone', () => {
  Object.defineProperty(page, 'defaultView', { configurable: true, value: null });
  const sight = outOfSight(page);
  sight.renew();
  sight.moves();
  sight.close();
  expect(away()).toEqual([]);
});
