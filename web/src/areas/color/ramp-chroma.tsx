import { chromaLimit } from '@garnish/core/color/gamut-limits';
import type { Oklch } from '@garnish/core/color/oklab';
import { RUNGS } from '@garnish/core/color/ramp';
import { scaleLinear } from 'd3-scale';
import { useGesture } from '../../ui/gesture.ts';
import { handle, inDrawing, type Handle } from '../../ui/handle.ts';
import { CHROMA, LEFT, SIZE, pathOf, rungX as x, type RampPart } from './ramp-scales.ts';

/** A color with less has no hue to speak of, and no chroma that could be more. */
const GRAY = 0.005;

interface RampChromaProps extends RampPart {
  /** The color that each rung asks for, whatever screens hold. */
  readonly asked: readonly Oklch[];
  readonly source: Oklch | undefined;
  /** The rung on which the source stands. */
  readonly seat: number | undefined;
}

/** The chroma of every rung under the limits of sRGB and P3, and its ends, to be dragged. */
export function RampChroma({ name, shape, asked, source, seat, onChange }: RampChromaProps) {
  const gesture = useGesture();
  const limits = (gamut: 'srgb' | 'p3'): number[] =>
    asked.map(({ lightness, hue }) => chromaLimit(lightness, hue, gamut));
  const [srgb, p3] = [limits('srgb'), limits('p3')];
  const most = Math.max(0.05, ...srgb, ...asked.map((color) => color.chroma)) * 1.05;
  const chroma = scaleLinear([0, most], [CHROMA.to, CHROMA.from]);
  const knob = (part: 'chromaAtPaper' | 'chromaAtInk'): Handle => {
    const percent = Math.round(shape[part] * 100);
    return handle({
      label: `Chroma of ${name} ${part === 'chromaAtPaper' ? 'at paper' : 'at ink'}`,
      value: percent,
      min: 0,
      max: 200,
      says: `${percent} % of its own`,
      isUpright: true,
      step: 2,
      bigStep: 10,
      valueAt: (event) => {
        const at = inDrawing(event, SIZE);
        if (!at || !source || source.chroma < GRAY) return undefined;
        return (chroma.invert(at.y) / source.chroma) * 100;
      },
      onMove: (value) => onChange({ [part]: Number((value / 100).toFixed(3)) }, gesture()),
    });
  };
  return (
    <>
      <path
        d={`${pathOf(srgb.map((value) => chroma(value)))} L${x(RUNGS - 1)},${CHROMA.to} L${x(0)},${CHROMA.to} Z`}
        className="fill-base-300 stroke-none"
      />
      <path
        d={pathOf(p3.map((value) => Math.max(CHROMA.from - 8, chroma(value))))}
        className="fill-none stroke-line-strong"
        strokeDasharray="2 3"
      />
      <path
        d={pathOf(asked.map((color) => chroma(color.chroma)))}
        className="fill-none stroke-base-content"
        strokeWidth={1.5}
      />
      {asked.map((color, rung) =>
        color.chroma > (srgb[rung] ?? 0) + 0.004 ? (
          <circle
            key={rung}
            cx={x(rung)}
            cy={chroma(color.chroma)}
            r={2.5}
            className="fill-warning"
          >
            <title>{`rung ${rung + 1}: sRGB holds ${(srgb[rung] ?? 0).toFixed(3)} of ${color.chroma.toFixed(3)}`}</title>
          </circle>
        ) : null,
      )}
      {source &&
        (['chromaAtPaper', 'chromaAtInk'] as const).map((part) => {
          const rung = part === 'chromaAtPaper' ? 0 : RUNGS - 1;
          if (rung === seat) return null;
          return (
            <circle
              key={part}
              cx={x(rung)}
              cy={chroma(asked[rung]?.chroma ?? 0)}
              r={4.5}
              className="cursor-ns-resize fill-base-100 stroke-base-content focus-visible:outline-2"
              {...knob(part)}
            />
          );
        })}
      <text x={LEFT} y={CHROMA.to + 11} className="fill-quiet text-[9px]">
        chroma: the area is what sRGB holds, dashed what P3 holds
      </text>
    </>
  );
}
