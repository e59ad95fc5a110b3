import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { afterFrame } from './after-frame.ts';

let frames: (() => void)[] = [];
const run = jest.fn();

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['requestAnimationFrame', 'cancelAnimationFrame'] });
  frames = [];
  run.mockReset();
  globalThis.requestAnimationFrame = (callback) => frames.push(() => callback(0));
  globalThis.cancelAnimationFrame = () => undefined;
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'requestAnimationFrame');
  Reflect.deleteProperty(globalThis, 'cancelAnimationFrame');
});

test('what waits for a frame runs in the task after it, once', () => {
  afterFrame(run);
  frames.forEach((frame) => frame());
  expect(run).not.toHaveBeenCalled();
  jest.advanceTimersByTime(1000);
  expect(run).toHaveBeenCalledTimes(1);
});

test('where no frame is drawn it runs all the same', () => {
  afterFrame(run);
  jest.advanceTimersByTime(1000);
  expect(run).toHaveBeenCalledTimes(1);
});

test('what is called off does not run, before the frame or after it', () => {
  afterFrame(run)();
  const callOff = afterFrame(run);
  frames.at(-1)?.();
  callOff();
  jest.advanceTimersByTime(1000);
  expect(run).not.toHaveBeenCalled();
});
