import { scaleLinear } from 'd3-scale';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { heldWidth, NARROWEST_PROOF, WIDEST_PROOF } from '../ui/preferences.ts';

const STEP = 10;

interface RulerProps {
  readonly widthPx: number;
  readonly onChange: (widthPx: number) => void;
  readonly lengthPx: number;
}

/** All widths from 320 to 1600 px on one line; the mark is the present one. */
export function Ruler({ widthPx, onChange, lengthPx }: RulerProps) {
  const track = useRef<HTMLDivElement>(null);
  const scale = scaleLinear([NARROWEST_PROOF, WIDEST_PROOF], [0, lengthPx]).clamp(true);
  const at = (clientX: number): number =>
    heldWidth(scale.invert(clientX - (track.current?.getBoundingClientRect().left ?? 0)));
  const drag = (event: PointerEvent): void => {
    if (event.buttons === 1) onChange(at(event.clientX));
  };
  const press = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? STEP * 10 : event.altKey ? 1 : STEP;
    const next = {
      ArrowLeft: widthPx - step,
      ArrowDown: widthPx - step,
      ArrowRight: widthPx + step,
      ArrowUp: widthPx + step,
      Home: NARROWEST_PROOF,
      End: WIDEST_PROOF,
    }[event.key];
    if (next === undefined) return;
    event.preventDefault();
    onChange(heldWidth(next));
  };
  return (
    <div
      ref={track}
      role="slider"
      tabIndex={0}
      aria-label="Width of the proof on the ruler"
      aria-valuemin={NARROWEST_PROOF}
      aria-valuemax={WIDEST_PROOF}
      aria-valuenow={widthPx}
      aria-valuetext={`${widthPx} px`}
      className="relative h-6 cursor-ew-resize touch-none"
      style={{ width: lengthPx }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onChange(at(event.clientX));
      }}
      onPointerMove={drag}
      onKeyDown={press}
    >
      <svg className="absolute inset-0 overflow-visible" width={lengthPx} height={24} aria-hidden>
        <line x1={0} x2={lengthPx} y1={12.5} y2={12.5} className="stroke-line-strong" />
        {[320, 480, 640, 800, 960, 1120, 1280, 1440, 1600].map((tick) => (
          <line
            key={tick}
            x1={Math.round(scale(tick)) + 0.5}
            x2={Math.round(scale(tick)) + 0.5}
            y1={13}
            y2={tick % 320 === 0 ? 21 : 17}
            className="stroke-line-strong"
          />
        ))}
        <path d={`M${scale(widthPx)} 20 l-6 -9 h12 z`} className="fill-primary" />
      </svg>
    </div>
  );
}
