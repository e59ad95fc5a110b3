import { describe, expect, jest, test } from '@jest/globals';
import type { KeyboardEvent, PointerEvent } from 'react';
import { handle, inDrawing } from './handle.ts';

const stops = { preventDefault: jest.fn(), stopPropagation: jest.fn() };
const key = (name: string, held: Partial<KeyboardEvent> = {}): KeyboardEvent =>
  ({ key: name, shiftKey: false, altKey: false, ...stops, ...held }) as unknown as KeyboardEvent;

const setPointerCapture = jest.fn();
const pointer = (clientX: number, buttons = 1): PointerEvent =>
  ({
    clientX,
    clientY: 5,
    buttons,
    pointerId: 7,
    ...stops,
    currentTarget: { setPointerCapture },
  }) as unknown as PointerEvent;

const make = (more: Partial<Parameters<typeof handle>[0]> = {}) => {
  const onMove = jest.fn();
  const made = handle({
    label: 'Width',
    value: 50,
    min: 0,
    max: 100,
    step: 2,
    fineStep: 0.5,
    valueAt: ({ clientX }) => clientX,
    onMove,
    ...more,
  });
  return { made, onMove };
};

describe('a handle', () => {
  test('says what it is and where it stands', () => {
    const { made } = make({ says: 'in the middle', isUpright: true });
    expect(made).toMatchObject({
      role: 'slider',
      'aria-label': 'Width',
      'aria-valuenow': 50,
      'aria-valuemin': 0,
      'aria-valuemax': 100,
      'aria-valuetext': 'in the middle',
      'aria-orientation': 'vertical',
    });
  });

  test.each([
    ['ArrowUp', {}, 52],
    ['ArrowRight', {}, 52],
    ['ArrowDown', {}, 48],
    ['ArrowLeft', {}, 48],
    ['ArrowRight', { shiftKey: true }, 70],
    ['ArrowRight', { altKey: true }, 50.5],
    ['Home', {}, 0],
    ['End', {}, 100],
  ])('moves by %s %j to %d', (name, held, expected) => {
    const { made, onMove } = make();
    made.onKeyDown(key(name, held));
    expect(onMove.mock.calls).toEqual([[expected]]);
  });

  test('stays within its ends, by keys and by pointer', () => {
    const { made, onMove } = make({ value: 99 });
    made.onKeyDown(key('ArrowUp'));
    made.onPointerMove(pointer(400));
    made.onPointerMove(pointer(-3));
    expect(onMove.mock.calls).toEqual([[100], [100], [0]]);
  });

  test('leaves other keys alone, and Delete where nothing can be let go', () => {
    const { made, onMove } = make();
    stops.preventDefault.mockClear();
    for (const name of ['a', 'Enter', 'Tab', 'Delete', 'Escape']) made.onKeyDown(key(name));
    expect(onMove).not.toHaveBeenCalled();
    expect(stops.preventDefault).not.toHaveBeenCalled();
    const onClear = jest.fn();
    make({ onClear }).made.onKeyDown(key('Backspace'));
    expect(onClear).toHaveBeenCalledTimes(1);
  });

  test('follows the pointer while it is held, and moves at once only where it is one long track', () => {
    const { made, onMove } = make();
    made.onPointerDown(pointer(20));
    made.onPointerMove(pointer(30, 0));
    expect(onMove).not.toHaveBeenCalled();
    expect(setPointerCapture).toHaveBeenCalledWith(7);
    made.onPointerMove(pointer(30));
    expect(onMove.mock.calls).toEqual([[30]]);
    const track = make({ jumps: true });
    track.made.onPointerDown(pointer(20));
    expect(track.onMove.mock.calls).toEqual([[20]]);
  });
});

test('a place in a drawing is counted as its view box counts, whatever its size on the screen', () => {
  const ownerSVGElement = {
    getBoundingClientRect: () => ({ left: 100, top: 50, width: 200, height: 100 }),
  };
  const event = { clientX: 150, clientY: 75, currentTarget: { ownerSVGElement } };
  expect(inDrawing(event as unknown as PointerEvent, { width: 400, height: 400 })).toEqual({
    x: 100,
    y: 100,
  });
  expect(inDrawing(pointer(3), { width: 1, height: 1 })).toBeUndefined();
});
