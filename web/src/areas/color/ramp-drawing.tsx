import { chromaLimit } from '@garnish/core/color/gamut-limits';
import { oklabOf, oklchOf, type Oklch } from '@garnish/core/color/oklab';
import {
  askedAt,
  driftOfNeutral,
  lightnessesOf,
  RUNGS,
  type RampShape,
} from '@garnish/core/color/ramp';
import { rgbOf, type Hex } from '@garnish/core/color/srgb';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { Ticks } from '../../charts/ticks.tsx';
import { useGesture } from '../../ui/gesture.ts';

const WIDTH = 352;
const HEIGHT = 276;
const LEFT = 26;
const TOP = { from: 6, to: 118 };
const BELOW = { from: 134, to: 196 };
const HUES = { from: 222, to: 262 };
/** As far as the hue is drawn to turn either way; fields take it further. */
const MOST_TURN = 90;
const STEP = 0.005;

interface RampDrawingProps {
  readonly name: string;
  readonly colors: readonly Hex[];
  readonly shape: RampShape;
  /** The source of the ramp; neutrals have none. */
  readonly source?: Hex;
  readonly onChange: (change: Partial<RampShape>, gesture: string) => void;
}

/** How far neighboring steps differ from an even one, as a share of it. */
const uneven = (steps: readonly number[], index: number): number => {
  const even = ((steps[0] ?? 1) - (steps.at(-1) ?? 0)) / (RUNGS - 1);
  return ((steps[index] ?? 0) - (steps[index + 1] ?? 0)) / even - 1;
};

/**
 * A ramp as it runs: above, the lightness of every rung, to be dragged; below, its chroma under the
 * limits of sRGB and P3. What is uneven is drawn, not forbidden; the source does not move.
 */
export function RampDrawing({ name, colors, shape, source, onChange }: RampDrawingProps) {
  const drawing = useRef<SVGSVGElement>(null);
  const gesture = useGesture();
  const polar: Oklch | undefined = source && oklchOf(oklabOf(rgbOf(source)));
  const { steps, seat } = lightnessesOf(shape, polar?.lightness);
  const x = scaleLinear([0, RUNGS - 1], [LEFT + 6, WIDTH - 8]);
  const y = scaleLinear([0, 1], [TOP.to, TOP.from]);
  const asked = polar
    ? steps.map((lightness) => askedAt(polar, shape, lightness))
    : colors.map((hex) => oklchOf(oklabOf(rgbOf(hex))));
  const limits = (gamut: 'srgb' | 'p3'): number[] =>
    asked.map(({ lightness, hue }) => chromaLimit(lightness, hue, gamut));
  const [srgb, p3] = [limits('srgb'), limits('p3')];
  const most = Math.max(0.05, ...srgb, ...asked.map(({ chroma }) => chroma)) * 1.05;
  const chroma = scaleLinear([0, most], [BELOW.to, BELOW.from]);
  const turn = scaleLinear([-MOST_TURN, MOST_TURN], [HUES.to, HUES.from]);
  const drifts = steps.map((lightness) => {
    if (!polar) return driftOfNeutral(shape, lightness);
    const turned = askedAt(polar, shape, lightness).hue - polar.hue;
    return Math.max(-MOST_TURN, Math.min(MOST_TURN, turned));
  });
  const path = line<number>(
    (_, index) => x(index),
    (value) => value,
  );

  const bounds = (rung: number): readonly [number, number] => [
    (steps[rung + 1] ?? 0) + STEP,
    (steps[rung - 1] ?? 1) - STEP,
  ];
  const move = (rung: number, lightness: number, id: string): void => {
    const [least, greatest] = bounds(rung);
    const held = Number(Math.min(greatest, Math.max(least, lightness)).toFixed(3));
    onChange({ positions: { ...shape.positions, [String(rung + 1)]: held } }, id);
  };
  const drag =
    (rung: number) =>
    (event: PointerEvent<SVGElement>): void => {
      const box = drawing.current?.getBoundingClientRect();
      if (event.buttons !== 1 || !box) return;
      const at = ((event.clientY - box.top) / box.height) * HEIGHT;
      move(rung, y.invert(at), gesture());
    };
  const press =
    (rung: number) =>
    (event: KeyboardEvent): void => {
      const sign = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
      if (event.key === 'Delete' || event.key === 'Backspace') {
        const left = Object.entries(shape.positions).filter(([key]) => key !== String(rung + 1));
        onChange({ positions: Object.fromEntries(left) }, gesture());
      } else if (sign !== 0)
        move(rung, (steps[rung] ?? 0) + sign * STEP * (event.shiftKey ? 4 : 1), gesture());
      else return;
      event.preventDefault();
    };

  return (
    <svg
      ref={drawing}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full touch-none overflow-visible"
      role="group"
      aria-label={`The ramp of ${name}`}
    >
      <Ticks y={y} count={4} decimals={1} from={LEFT} to={WIDTH - 2} />
      <text x={LEFT} y={TOP.to + 11} className="fill-quiet text-[9px]">
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
      <path d={path(steps.map((step) => y(step))) ?? ''} className="fill-none stroke-line-strong" />
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
                role="slider"
                tabIndex={0}
                aria-label={`Lightness of rung ${rung + 1} of ${name}`}
                aria-valuemin={0}
                aria-valuemax={1}
                aria-valuenow={Number(lightness.toFixed(3))}
                aria-valuetext={`${lightness.toFixed(3)}${hand ? ', by hand' : ''}`}
                aria-orientation="vertical"
                onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                onPointerMove={drag(rung)}
                onKeyDown={press(rung)}
              >
                <title>{`${rung + 1}: ${lightness.toFixed(3)}${hand ? ', by hand; Delete lets it follow again' : ''}`}</title>
              </circle>
            )}
          </g>
        );
      })}
      <path
        d={`${path(srgb.map((value) => chroma(value))) ?? ''} L${x(RUNGS - 1)},${BELOW.to} L${x(0)},${BELOW.to} Z`}
        className="fill-base-300 stroke-none"
      />
      <path
        d={path(p3.map((value) => Math.max(BELOW.from - 8, chroma(value)))) ?? ''}
        className="fill-none stroke-line-strong"
        strokeDasharray="2 3"
      />
      <path
        d={path(asked.map((color) => chroma(color.chroma))) ?? ''}
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
      {polar &&
        (['chromaAtPaper', 'chromaAtInk'] as const).map((part) => {
          const rung = part === 'chromaAtPaper' ? 0 : RUNGS - 1;
          if (rung === seat) return null;
          const setChroma = (value: number): void =>
            onChange({ [part]: Number(Math.min(2, Math.max(0, value)).toFixed(3)) }, gesture());
          return (
            <circle
              key={part}
              cx={x(rung)}
              cy={chroma(asked[rung]?.chroma ?? 0)}
              r={4.5}
              className="cursor-ns-resize fill-base-100 stroke-base-content focus-visible:outline-2"
              role="slider"
              tabIndex={0}
              aria-label={`Chroma of ${name} ${part === 'chromaAtPaper' ? 'at paper' : 'at ink'}`}
              aria-valuemin={0}
              aria-valuemax={200}
              aria-valuenow={Math.round(shape[part] * 100)}
              aria-valuetext={`${Math.round(shape[part] * 100)} % of its own`}
              aria-orientation="vertical"
              onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
              onPointerMove={(event) => {
                const box = drawing.current?.getBoundingClientRect();
                if (event.buttons !== 1 || !box || polar.chroma < 0.005) return;
                const at = ((event.clientY - box.top) / box.height) * HEIGHT;
                setChroma(chroma.invert(at) / polar.chroma);
              }}
              onKeyDown={(event) => {
                const sign = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
                if (sign === 0) return;
                event.preventDefault();
                setChroma(shape[part] + sign * (event.shiftKey ? 0.1 : 0.02));
              }}
            />
          );
        })}
      <line
        x1={LEFT}
        x2={WIDTH - 2}
        y1={turn(0)}
        y2={turn(0)}
        className="stroke-line-strong"
        strokeDasharray="2 3"
      />
      <path
        d={path(drifts.map((value) => turn(value))) ?? ''}
        className="fill-none stroke-base-content"
        strokeWidth={1.5}
      />
      {(['driftAtPaper', 'driftAtInk'] as const).map((part) => {
        const rung = part === 'driftAtPaper' ? 0 : RUNGS - 1;
        const setTurn = (value: number): void =>
          onChange(
            { [part]: Math.round(Math.min(MOST_TURN, Math.max(-MOST_TURN, value))) },
            gesture(),
          );
        return (
          <circle
            key={part}
            cx={x(rung)}
            cy={turn(shape[part])}
            r={4.5}
            className="cursor-ns-resize fill-base-100 stroke-base-content focus-visible:outline-2"
            role="slider"
            tabIndex={0}
            aria-label={`Hue of ${name} ${part === 'driftAtPaper' ? 'at paper' : 'at ink'}`}
            aria-valuemin={-180}
            aria-valuemax={180}
            aria-valuenow={shape[part]}
            aria-valuetext={`turned by ${shape[part]}°`}
            aria-orientation="vertical"
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={(event) => {
              const box = drawing.current?.getBoundingClientRect();
              if (event.buttons !== 1 || !box) return;
              setTurn(turn.invert(((event.clientY - box.top) / box.height) * HEIGHT));
            }}
            onKeyDown={(event) => {
              const sign = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
              if (sign === 0) return;
              event.preventDefault();
              setTurn(shape[part] + sign * (event.shiftKey ? 10 : 2));
            }}
          />
        );
      })}
      <text x={LEFT} y={HUES.to + 11} className="fill-quiet text-[9px]">
        how far the hue has turned, 90° either way
      </text>
      <text x={LEFT} y={BELOW.to + 11} className="fill-quiet text-[9px]">
        chroma: the area is what sRGB holds, dashed what P3 holds
      </text>
    </svg>
  );
}
