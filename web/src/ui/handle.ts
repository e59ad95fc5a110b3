import type { KeyboardEvent, PointerEvent } from 'react';

interface HandleOptions {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  /** What it says of its value, where that is more than the number. */
  readonly says?: string;
  readonly isUpright?: boolean;
  /** What an arrow key adds, and with Shift, and with Alt. */
  readonly step: number;
  readonly bigStep?: number;
  readonly fineStep?: number;
  /** The value under the pointer that holds it. */
  readonly valueAt: (event: PointerEvent) => number | undefined;
  /** Called with values from `min` to `max`. */
  readonly onMove: (value: number) => void;
  /** Delete lets go of what was set. */
  readonly onClear?: () => void;
  /** Taking hold moves it already: for what is one long track. */
  readonly jumps?: boolean;
}

/** What an element needs to be a handle. */
export interface Handle {
  readonly role: 'slider';
  readonly tabIndex: 0;
  readonly 'aria-label': string;
  readonly 'aria-valuemin': number;
  readonly 'aria-valuemax': number;
  readonly 'aria-valuenow': number;
  readonly 'aria-valuetext': string | undefined;
  readonly 'aria-orientation': 'horizontal' | 'vertical';
  readonly onPointerDown: (event: PointerEvent) => void;
  readonly onPointerMove: (event: PointerEvent) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

/** The share of the way down or across the drawing that an element is part of, as its view box counts. */
export function inDrawing(
  event: PointerEvent,
  size: { readonly width: number; readonly height: number },
): { readonly x: number; readonly y: number } | undefined {
  const { currentTarget } = event;
  const box = (currentTarget as Partial<SVGElement>).ownerSVGElement?.getBoundingClientRect();
  if (!box) return undefined;
  return {
    x: ((event.clientX - box.left) / box.width) * size.width,
    y: ((event.clientY - box.top) / box.height) * size.height,
  };
}

/**
 * A number that is moved by a handle in a drawing or beside one: dragged, or with the arrow keys, Home and End,
 * as sliders are; it holds the pointer until it is let go.
 */
export function handle(options: HandleOptions): Handle {
  const { label, value, min, max, says, isUpright = false, valueAt, onMove, onClear } = options;
  const { step, bigStep = step * 10, fineStep = step } = options;
  const move = (next: number | undefined): void => {
    if (next !== undefined) onMove(Math.min(max, Math.max(min, next)));
  };
  return {
    role: 'slider',
    tabIndex: 0,
    'aria-label': label,
    'aria-valuemin': min,
    'aria-valuemax': max,
    'aria-valuenow': value,
    'aria-valuetext': says,
    'aria-orientation': isUpright ? 'vertical' : 'horizontal',
    onPointerDown(event) {
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      if (options.jumps) move(valueAt(event));
    },
    onPointerMove(event) {
      if (event.buttons !== 1) return;
      event.stopPropagation();
      move(valueAt(event));
    },
    onKeyDown(event) {
      const size = event.shiftKey ? bigStep : event.altKey ? fineStep : step;
      const next = {
        ArrowUp: value + size,
        ArrowRight: value + size,
        ArrowDown: value - size,
        ArrowLeft: value - size,
        Home: min,
        End: max,
      }[event.key];
      const clears = onClear && (event.key === 'Delete' || event.key === 'Backspace');
      if (next === undefined && !clears) return;
      event.preventDefault();
      event.stopPropagation();
      if (clears) onClear();
      else move(next);
    },
  };
}
