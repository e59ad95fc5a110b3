import { RUNGS, type lightnessesOf, type RampShape } from '@garnish/core/color/ramp';
import type { Hex } from '@garnish/core/color/srgb';
import { scaleLinear } from 'd3-scale';
import { Ticks } from '../../charts/ticks.tsx';
import { useGesture } from '../../ui/gesture.ts';
import { handle, inDrawing, type Handle } from '../../ui/handle.ts';
import { LEFT, LIGHTNESS, SIZE, pathOf, rungX as x, type RampPart } from './ramp-scales.ts';

const STEP = 0.005;

/** How far neighboring steps differ from an even one, as a share of it. */
const uneven = (steps: readonly number[], index: number): number => {
  const even = ((steps[0] ?? 1) - (steps.at(-1) ?? 0)) / (RUNGS - 1);
  return ((steps[index] ?? 0) - (steps[index + 1] ?? 0)) / even - 1;
};

interface RampLightnessProps extends RampPart {
  readonly colors: readonly Hex[];
  readonly lightnesses: ReturnType<typeof lightnessesOf>;
}

/** The lightness of every rung, to be dragged. What is uneven is drawn, not forbidden; the source does not move. */
export function RampLightness({ name, colors, shape, lightnesses, onChange }: RampLightnessProps) {
  const gesture = useGesture();
  const { steps, seat } = lightnesses;
  const y = scaleLinear([0, 1], [LIGHTNESS.to, LIGHTNESS.from]);
  const setPositions = (positions: RampShape['positions']): void =>
    onChange({ positions }, gesture());
  const knob = (rung: number, lightness: number, hand: boolean): Handle =>
    handle({
      label: `Lightness of rung ${rung + 1} of ${name}`,
      value: Number(lightness.toFixed(3)),
      min: (steps[rung + 1] ?? 0) + STEP,
      max: (steps[rung - 1] ?? 1) - STEP,
      says: `${lightness.toFixed(3)}${hand ? ', by hand' : ''}`,
      isUpright: true,
      step: STEP,
      bigStep: STEP * 4,
      valueAt: (event) => {
        const at = inDrawing(event, SIZE);
        return at && y.invert(at.y);
      },
      onMove: (value) =>
        setPositions({ ...shape.positions, [String(rung + 1)]: Number(value.toFixed(3)) }),
      onClear: () =>
        setPositions(
          Object.fromEntries(
            Object.entries(shape.positions).filter(([key]) => key !== String(rung + 1)),
          ),
        ),
    });
  return (
    <>
      <Ticks y={y} count={4} decimals={1} from={LEFT} to={SIZE.width - 2} />
      <text x={LEFT} y={LIGHTNESS.to + 11} className="fill-quiet text-[9px]">
        lightness
      </text>
      {steps.slice(1).map((_, index) => {
        const off = uneven(steps, index);
        if (Math.abs(off) < 0.06) return null;
        return (
          <line
            key={index}
            x1={(x(index) + x(index + 1)) / 2}
            x2={(x(index) + x(index + 1)) / 2}
            y1={y(steps[index] ?? 0)}
            y2={y(steps[index + 1] ?? 0)}
            className="stroke-warning"
            strokeWidth={1.5}
          >
            <title>{`${off > 0 ? 'wider' : 'narrower'} than even by ${Math.round(Math.abs(off) * 100)} %`}</title>
          </line>
        );
      })}
      <path d={pathOf(steps.map((step) => y(step)))} className="fill-none stroke-line-strong" />
      {colors.map((hex, rung) => {
        const fixed = rung === seat;
        const hand = Object.hasOwn(shape.positions, String(rung + 1));
        const lightness = steps[rung] ?? 0;
        const cx = x(rung);
        const cy = y(lightness);
        return (
          <g key={rung}>
            {fixed ? (
              <rect
                x={cx - 5}
                y={cy - 5}
                width={10}
                height={10}
                fill={hex}
                className="stroke-base-content"
                transform={`rotate(45 ${cx} ${cy})`}
              >
                <title>{`${name} itself: its lightness is its own`}</title>
              </rect>
            ) : (
              <circle
                cx={cx}
                cy={cy}
                r={hand ? 6 : 4.5}
                fill={hex}
                className="cursor-ns-resize stroke-base-content focus-visible:outline-2"
                strokeWidth={hand ? 2 : 1}
                {...knob(rung, lightness, hand)}
              >
                <title>{`${rung + 1}: ${lightness.toFixed(3)}${hand ? ', by hand; Delete lets it follow again' : ''}`}</title>
              </circle>
            )}
          </g>
        );
      })}
    </>
  );
}
