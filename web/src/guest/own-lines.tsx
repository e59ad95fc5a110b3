import { remWords, sizeWords, type Box } from '@garnish/core/measures/geometry';
import type { FactUnit } from '@garnish/core/measures/facts';
import { useState } from 'react';
import * as z from 'zod/mini';
import { handle } from '../ui/handle.ts';

const lineSchema = z.object({ axis: z.enum(['x', 'y']), at: z.number() });

/** A line of one’s own: down the page at an x, or across it at a y, in px of the page. */
export type OwnLine = z.infer<typeof lineSchema>;

/** More lines of a page are not kept. */
const MOST_LINES = 20;

function kept(key: string): readonly OwnLine[] {
  try {
    const read = z.array(lineSchema).safeParse(JSON.parse(localStorage.getItem(key) ?? '[]'));
    return read.success ? read.data.slice(0, MOST_LINES) : [];
  } catch {
    return []; // nothing is kept here, or what is there cannot be read
  }
}

/** The lines of a page, kept in this browser under the address and the page that they are of. */
export function useOwnLines(address: string, page: string) {
  const key = `garnish-lines-${address}-${page}`;
  const [lines, setLines] = useState(() => kept(key));
  const change = (next: readonly OwnLine[]): void => {
    setLines(next);
    try {
      localStorage.setItem(key, JSON.stringify(next));
    } catch {
      // Nothing is kept here: they last as long as the window.
    }
  };
  return {
    lines,
    lay: (line: OwnLine): void => {
      if (lines.length < MOST_LINES) change([...lines, line]);
    },
    move: (index: number, at: number): void =>
      change(lines.map((line, other) => (other === index ? { ...line, at } : line))),
    take: (index: number): void => change(lines.filter((_, other) => other !== index)),
  };
}

/** How far a line is from the nearer edge of a thing along its axis; nothing where it goes through its middle. */
export function fromEdge({ axis, at }: OwnLine, box: Box): number {
  const [start, size] = axis === 'x' ? [box.left, box.width] : [box.top, box.height];
  const [near, far] = [at - start, at - (start + size)];
  return Math.abs(near) <= Math.abs(far) ? near : far;
}

interface OwnLinesProps {
  readonly own: ReturnType<typeof useOwnLines>;
  readonly scale: number;
  /** How far the page is scrolled, in px of it. */
  readonly scroll: { readonly x: number; readonly y: number };
  /** Of the frame, in px of the page. */
  readonly size: { readonly width: number; readonly height: number };
  readonly chosen: Box | undefined;
  readonly unit: FactUnit;
}

/** Lines over the page, moved by pointer or arrow keys, held against what is chosen. */
export function OwnLines({ own, scale, scroll, size, chosen, unit }: OwnLinesProps) {
  const told = (px: number): string => (unit === 'px' ? sizeWords(px) : remWords(px));
  return own.lines.map((line, index) => {
    const { axis, at } = line;
    const isX = axis === 'x';
    const shown = at - (isX ? scroll.x : scroll.y);
    const most = isX ? size.width : scroll.y + size.height;
    const away = chosen && fromEdge({ axis, at: shown }, chosen);
    const words = [
      told(at),
      ...(away === undefined ? [] : [`${told(Math.abs(away))} from the edge`]),
    ].join(', ');
    const grip = handle({
      label: isX ? `Line down the page ${index + 1}` : `Line across the page ${index + 1}`,
      value: at,
      min: 0,
      max: Math.max(most, at),
      says: words,
      step: 1,
      valueAt: ({ clientX, clientY, currentTarget }) => {
        const room = currentTarget.parentElement?.getBoundingClientRect();
        const along = isX ? clientX - (room?.left ?? 0) : clientY - (room?.top ?? 0);
        return Math.round(along / scale + (isX ? scroll.x : scroll.y));
      },
      onMove: (next) => own.move(index, next),
    });
    return (
      <div
        key={index}
        {...grip}
        onKeyDown={(event) => {
          // A line across the page goes where the arrow points; a slider would go the other way.
          const by = { ArrowUp: -1, ArrowDown: 1 }[event.key] ?? 0;
          if (isX || by === 0) {
            grip.onKeyDown(event);
            return;
          }
          event.preventDefault();
          own.move(index, Math.max(0, at + by * (event.shiftKey ? 10 : 1)));
        }}
        data-own-line={axis}
        className={`absolute z-10 touch-none ${isX ? 'inset-y-0 w-3 -translate-x-1/2 cursor-ew-resize' : 'inset-x-0 h-3 -translate-y-1/2 cursor-ns-resize'}`}
        style={isX ? { left: shown * scale } : { top: shown * scale }}
      >
        <span
          aria-hidden
          className={`absolute bg-primary ${isX ? 'inset-y-0 left-1/2 w-px' : 'inset-x-0 top-1/2 h-px'}`}
        />
        <span
          aria-hidden
          className={`figures absolute bg-base-100 px-1 text-xs whitespace-nowrap ${isX ? 'top-2 left-2' : 'start-2 bottom-2'}`}
        >
          {words}
        </span>
      </div>
    );
  });
}

interface LayLinesProps {
  readonly own: ReturnType<typeof useOwnLines>;
  /** Where a new one is laid: in the middle of what is seen, in px of the page. */
  readonly middle: { readonly x: number; readonly y: number };
}

/** Lays lines, and takes them again. */
export function LayLines({ own, middle }: LayLinesProps) {
  return (
    <section aria-label="Lines" className="mt-4 min-w-0">
      <h2 className="font-semibold">Lines</h2>
      <div className="flex gap-x-3">
        <button
          type="button"
          className="act"
          onClick={() => own.lay({ axis: 'x', at: Math.round(middle.x) })}
        >
          down
        </button>
        <button
          type="button"
          className="act"
          onClick={() => own.lay({ axis: 'y', at: Math.round(middle.y) })}
        >
          across
        </button>
      </div>
      {own.lines.length > 0 && (
        <ul aria-label="Lines">
          {own.lines.map(({ axis, at }, index) => (
            <li key={index} className="flex items-baseline justify-between gap-x-2">
              <span className="text-quiet">
                {axis === 'x' ? 'down' : 'across'} <span className="figures">{sizeWords(at)}</span>
              </span>
              <button
                type="button"
                className="act"
                aria-label={`Remove the line ${axis === 'x' ? 'down' : 'across'} at ${sizeWords(at)}`}
                onClick={() => own.take(index)}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
