import { scaleLinear } from 'd3-scale';
import { handle } from '../ui/handle.ts';
import { heldWidth, NARROWEST_PROOF, WIDEST_PROOF } from '../ui/preferences.ts';

const STEP = 10;

interface RulerProps {
  readonly widthPx: number;
  readonly onChange: (widthPx: number) => void;
  readonly lengthPx: number;
}

/** All widths from 320 to 1600 px on one line; the mark is the present one. */
export function Ruler({ widthPx, onChange, lengthPx }: RulerProps) {
  const scale = scaleLinear([NARROWEST_PROOF, WIDEST_PROOF], [0, lengthPx]).clamp(true);
  return (
    <div
      {...handle({
        label: 'Width of the proof on the ruler',
        value: widthPx,
        min: NARROWEST_PROOF,
        max: WIDEST_PROOF,
        says: `${widthPx} px`,
        step: STEP,
        fineStep: 1,
        jumps: true,
        valueAt: ({ clientX, currentTarget }) =>
          scale.invert(clientX - currentTarget.getBoundingClientRect().left),
        onMove: (width) => onChange(heldWidth(width)),
      })}
      className="relative h-6 cursor-ew-resize touch-none"
      style={{ width: lengthPx }}
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
