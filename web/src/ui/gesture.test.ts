/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { renderHook } from '@testing-library/react';
import { useGesture } from './gesture.ts';

/** The gestures of keys that were pressed at these times, in ms, whenever the window came to them. */
function gesturesOf(times: readonly number[]): readonly string[] {
  const { result } = renderHook(() => useGesture());
  const ids: string[] = [];
  const field = document.createElement('input');
  document.body.append(field);
  field.addEventListener('keydown', () => ids.push(result.current()));
  for (const time of times) {
    const event = new KeyboardEvent('keydown', { key: 'ArrowUp' });
    Object.defineProperty(event, 'timeStamp', { value: time });
    field.dispatchEvent(event);
  }
  return ids;
}

test('keys that follow one another within a second are one gesture, and the next is another', () => {
  const [first, second, third, fourth] = gesturesOf([5000, 5900, 6800, 7900]);
  expect(second).toBe(first);
  expect(third).toBe(first);
  expect(fourth).not.toBe(first);
});

test('two fields have gestures of their own', () => {
  expect(gesturesOf([5000])[0]).not.toBe(gesturesOf([5000])[0]);
});

test('a gesture that no event began counts too', () => {
  const { result } = renderHook(() => useGesture());
  const id = result.current();
  expect(id).not.toBe('');
  expect(result.current()).toBe(id);
});
