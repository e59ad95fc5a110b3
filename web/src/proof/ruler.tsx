import { handle } from '../ui/handle.ts';
import { heldWidth, NARROWEST_PROOF, WIDEST_PROOF } from '../ui/preferences.ts';

const STEP = 10;

interface RulerProps {
  readonly widthPx: number;
  readonly onChange: (widthPx: number) => void;
  readonly lengthPx: number;
}

/** From the narrowest width on, each twice the one before. */
const OCTAVES = [320, 640, 1280, 2560, 5120];
const BETWEEN = [400, 480, 560, 800, 960, 1120, 1600, 1920, 2240, 3200, 3840, 4480];

/** All widths on one line, as far from each other as they differ in proportion; the mark is the present one. */
export function Ruler({ widthPx, onChange, lengthPx }: RulerProps) {
  const octavePx = lengthPx / Math.log2(WIDEST_PROOF / NARROWEST_PROOF);
  const xOf = (width: number): number => Math.log2(width / NARROWEST_PROOF) * octavePx;
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
          NARROWEST_PROOF *
          2 ** ((clientX - currentTarget.getBoundingClientRect().left) / octavePx),
        onMove: (width) => onChange(heldWidth(width)),
      })}
      className="relative h-6 cursor-ew-resize touch-none"
      style={{ width: lengthPx }}
    >
      <svg className="absolute inset-0 overflow-visible" width={lengthPx} height={24} aria-hidden>
        <line x1={0} x2={lengthPx} y1={12.5} y2={12.5} className="stroke-line-strong" />
        {[...OCTAVES, ...BETWEEN].map((tick) => (
          <line
            key={tick}
            x1={Math.round(xOf(tick)) + 0.5}
            x2={Math.round(xOf(tick)) + 0.5}
            y1={13}
            y2={OCTAVES.includes(tick) ? 21 : 17}
            className="stroke-line-strong"
          />
        ))}
        <path d={`M${xOf(widthPx)} 20 l-6 -9 h12 z`} className="fill-primary" />
      </svg>
    </div>
  );
}
