import { hexOf, type Hex } from '@garnish/core/color/srgb';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

const SIDE = 9;
const ZOOM_PX = 12;

interface LoupeProps {
  readonly picture: OffscreenCanvas;
  readonly name: string;
  readonly onTake: (hex: Hex) => void;
}

/** The picture itself: pointing, or the arrow keys, shows the pixels around a place; a click takes one. */
export function Loupe({ picture, name, onTake }: LoupeProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [at, setAt] = useState({
    x: Math.floor(picture.width / 2),
    y: Math.floor(picture.height / 2),
  });
  useEffect(() => {
    canvas.current?.getContext('2d')?.drawImage(picture, 0, 0);
  }, [picture]);
  const context = picture.getContext('2d', { willReadFrequently: true });
  const half = Math.floor(SIDE / 2);
  const data = context?.getImageData(at.x - half, at.y - half, SIDE, SIDE).data;
  const pixel = (index: number): Hex =>
    hexOf([
      (data?.[index * 4] ?? 0) / 255,
      (data?.[index * 4 + 1] ?? 0) / 255,
      (data?.[index * 4 + 2] ?? 0) / 255,
    ]);
  const chosen = pixel(half * SIDE + half);
  const held = (value: number, most: number): number => Math.min(most - 1, Math.max(0, value));
  const point = (event: PointerEvent<HTMLCanvasElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    setAt({
      x: held(Math.floor(((event.clientX - box.left) / box.width) * picture.width), picture.width),
      y: held(
        Math.floor(((event.clientY - box.top) / box.height) * picture.height),
        picture.height,
      ),
    });
  };
  const press = (event: KeyboardEvent): void => {
    const by = event.shiftKey ? 10 : 1;
    const move = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    }[event.key];
    if (event.key === 'Enter' || event.key === ' ') onTake(chosen);
    else if (move)
      setAt({
        x: held(at.x + (move[0] ?? 0), picture.width),
        y: held(at.y + (move[1] ?? 0), picture.height),
      });
    else return;
    event.preventDefault();
  };
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)_6.75rem] gap-3">
      <div
        role="slider"
        tabIndex={0}
        aria-label={`Pixel of ${name}`}
        aria-valuenow={at.y * picture.width + at.x}
        aria-valuetext={`${at.x}, ${at.y}: ${chosen}`}
        onKeyDown={press}
      >
        <canvas
          ref={canvas}
          width={picture.width}
          height={picture.height}
          className="block max-h-52 w-full cursor-crosshair object-contain"
          onPointerMove={point}
          onClick={() => onTake(chosen)}
        />
      </div>
      <div>
        <svg
          viewBox={`0 0 ${SIDE * ZOOM_PX} ${SIDE * ZOOM_PX}`}
          className="block w-full border border-line-strong"
          aria-hidden
        >
          {Array.from({ length: SIDE * SIDE }, (_, index) => (
            <rect
              key={index}
              x={(index % SIDE) * ZOOM_PX}
              y={Math.floor(index / SIDE) * ZOOM_PX}
              width={ZOOM_PX}
              height={ZOOM_PX}
              fill={pixel(index)}
            />
          ))}
          <rect
            x={half * ZOOM_PX}
            y={half * ZOOM_PX}
            width={ZOOM_PX}
            height={ZOOM_PX}
            className="fill-none stroke-black"
            strokeWidth={4}
          />
          <rect
            x={half * ZOOM_PX}
            y={half * ZOOM_PX}
            width={ZOOM_PX}
            height={ZOOM_PX}
            className="fill-none stroke-white"
            strokeWidth={2}
          />
        </svg>
        <p className="figures mt-1">{chosen}</p>
        <button type="button" className="act" onClick={() => onTake(chosen)}>
          Take this pixel
        </button>
      </div>
    </div>
  );
}
