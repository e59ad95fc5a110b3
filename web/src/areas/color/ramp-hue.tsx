import { RUNGS } from '@garnish/core/color/ramp';
import { scaleLinear } from 'd3-scale';
import { useGesture } from '../../ui/gesture.ts';
import { handle, inDrawing, type Handle } from '../../ui/handle.ts';
import { HUES, LEFT, SIZE, pathOf, rungX as x, type RampPart } from './ramp-scales.ts';

/** As far as the hue is drawn to turn either way; fields take it further. */
const MOST_TURN = 90;

const drawn = (turn: number): number => Math.max(-MOST_TURN, Math.min(MOST_TURN, turn));

interface RampHueProps extends RampPart {
  /** How far the hue of every rung has turned, in degrees. */
  readonly turns: readonly number[];
}

/** How far the hue turns from rung to rung, and its ends, to be dragged. */
export function RampHue({ name, shape, turns, onChange }: RampHueProps) {
  const gesture = useGesture();
  const turn = scaleLinear([-MOST_TURN, MOST_TURN], [HUES.to, HUES.from]);
  const drifts = turns.map(drawn);
  const knob = (part: 'driftAtPaper' | 'driftAtInk'): Handle =>
    handle({
      label: `Hue of ${name} ${part === 'driftAtPaper' ? 'at paper' : 'at ink'}`,
      // Fields take it further than it is drawn; what it says is the whole.
      value: drawn(shape[part]),
      min: -MOST_TURN,
      max: MOST_TURN,
      says: `turned by ${shape[part]}°`,
      isUpright: true,
      step: 2,
      bigStep: 10,
      valueAt: (event) => {
        const at = inDrawing(event, SIZE);
        return at && turn.invert(at.y);
      },
      onMove: (value) => onChange({ [part]: Math.round(value) }, gesture()),
    });
  return (
    <>
      <line
        x1={LEFT}
        x2={SIZE.width - 2}
        y1={turn(0)}
        y2={turn(0)}
        className="stroke-line-strong"
        strokeDasharray="2 3"
      />
      <path
        d={pathOf(drifts.map((value) => turn(value)))}
        className="fill-none stroke-base-content"
        strokeWidth={1.5}
      />
      {(['driftAtPaper', 'driftAtInk'] as const).map((part) => {
        const rung = part === 'driftAtPaper' ? 0 : RUNGS - 1;
        return (
          <circle
            key={part}
            cx={x(rung)}
            cy={turn(drawn(shape[part]))}
            r={4.5}
            className="cursor-ns-resize fill-base-100 stroke-base-content focus-visible:outline-2"
            {...knob(part)}
          />
        );
      })}
      <text x={LEFT} y={HUES.to + 11} className="fill-quiet text-[9px]">
        how far the hue has turned, 90° either way
      </text>
    </>
  );
}
