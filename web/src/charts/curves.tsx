import { inOrder } from '@garnish/core/system/document';
import { limitsOf } from '@garnish/core/system/limits';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { heldWidth, setPreferences, usePreferences } from '../ui/preferences.ts';
import { useShownLater, useStore } from '../system/system-context.ts';
import { useGesture } from '../ui/gesture.ts';
import { handle, inDrawing, type Handle } from '../ui/handle.ts';
import { Ticks } from './ticks.tsx';

const WIDTH = 352;
/** Side of what takes hold of a knee, large enough where the drawing is at its narrowest. */
const KNEE = 32;
const MARGIN = { top: 14, right: 44, bottom: 22, left: 28 };
export const FROM_PX = 240;
export const TO_PX = 2560;
/** Labels at the lines' ends keep so far apart. */
const LABEL_PX = 11;

/** A length over the screen width, straight between its bends. */
export interface Curve {
  readonly id: string;
  /** The first stands at its end. */
  readonly names: readonly string[];
  readonly bends: readonly number[];
  readonly at: (widthPx: number) => number;
  /** Steps up at its bends rather than flowing between them. */
  readonly jumps?: boolean;
  /** Stretches in which something is wrong with it. */
  readonly broken?: readonly { readonly fromPx: number; readonly toPx: number }[];
}

interface Label {
  readonly name: string;
  readonly y: number;
}

/** Labels from the lowest up, each moved up where it would touch the one below it. */
function spread(labels: readonly Label[]): Label[] {
  const placed: Label[] = [];
  for (const label of [...labels].sort((one, other) => other.y - one.y)) {
    const below = placed.at(-1);
    placed.push(below ? { ...label, y: Math.min(label.y, below.y - LABEL_PX) } : label);
  }
  return placed;
}

/** A small ring as part of a path: all knees of a curve are one element. */
const ring = (cx: number, cy: number): string =>
  `M${cx - 2.5} ${cy}a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0`;

const within = (width: number): boolean => width >= FROM_PX && width <= TO_PX;

/** How steeply a curve runs at a width, in px for every 100 px. */
const slopeAt = ({ at }: Curve, width: number): number =>
  at(width + 0.5) * 100 - at(width - 0.5) * 100;

/** What stands at a width on a curve, in words: the size, and how steeply it flows. */
function readingOf(curve: Curve, width: number): string {
  const slope = curve.jumps ? 0 : slopeAt(curve, width);
  const flow =
    Math.abs(slope) < 0.005
      ? 'at rest'
      : `${slope > 0 ? '+' : ''}${slope.toFixed(2)} px for every 100 px`;
  return `${curve.names.join(', ')} at ${width} px: ${curve.at(width).toFixed(2)} px, ${flow}`;
}

interface CurvesProps {
  readonly label: string;
  /** From the lowest up. */
  readonly curves: readonly Curve[];
  readonly height: number;
  readonly least: number;
  /** Stretches that the foot marks, with what is wrong there. */
  readonly marked?: readonly {
    readonly names: string;
    readonly from: number;
    readonly to: number;
  }[];
}

/** Lengths over the screen width: knees, the proof's width, and what is not proved. */
export function Curves({ label, curves, height, least, marked = [] }: CurvesProps) {
  const shown = useShownLater(['type']);
  const store = useStore();
  const gesture = useGesture();
  const { proofWidth } = usePreferences();
  const [beyond, setBeyond] = useState<number>();
  const [active, setActive] = useState<string>();
  const at = beyond ?? proofWidth;
  const chosen = Math.max(
    0,
    active === undefined ? curves.length - 1 : curves.findIndex(({ id }) => id === active),
  );
  const stops = (bends: readonly number[]): number[] => [FROM_PX, ...bends.filter(within), TO_PX];
  const largest = Math.max(
    1,
    ...curves.flatMap((one) => stops(one.bends).map((width) => one.at(width))),
  );
  const x = scaleLinear([FROM_PX, TO_PX], [MARGIN.left, WIDTH - MARGIN.right]);
  const y = scaleLinear([least, largest * 1.04], [height - MARGIN.bottom, MARGIN.top]);
  const path = line<readonly [number, number]>(
    ([width]) => x(width),
    ([, size]) => y(size),
  );
  const pathOf = (curve: Curve, from: number, to: number): string => {
    const bends = curve.bends.filter((width) => width > from && width < to);
    // A jump has two heights at one width.
    const widths = curve.jumps ? bends.flatMap((width) => [width - 0.01, width]) : bends;
    return path([from, ...widths, to].map((width) => [width, curve.at(width)] as const)) ?? '';
  };
  const labels = spread(
    curves.map((curve) => ({ name: curve.names[0] ?? '', y: y(curve.at(TO_PX)) })),
  );
  const anchors = inOrder(shown.document.type.anchors).map(
    ([id, { width }]) => [id, width] as const,
  );
  /** Moves an anchor between its neighbors; to whole tens, as a hand that drags means them. */
  const moveKnee = (id: string, to: number): void => {
    const index = anchors.findIndex(([one]) => one === id);
    const [lowest, most] = [anchors[index - 1]?.[1] ?? 150, anchors[index + 1]?.[1] ?? 5130];
    const value = Math.min(most - 10, Math.max(lowest + 10, Math.round(to / 10) * 10));
    if (value !== anchors[index]?.[1])
      store.change(
        [{ op: 'replace', path: `/type/anchors/items/${id}/width`, value }],
        'knee of the curves',
        { gesture: gesture() },
      );
  };
  const knee = (id: string, width: number): Handle => {
    const { least: lowest, most } = limitsOf(`/type/anchors/items/${id}/width`);
    return handle({
      label: `Knee at ${width} px`,
      value: width,
      min: lowest,
      max: most,
      says: `${width} px`,
      step: 10,
      valueAt: (event) => {
        const at = inDrawing(event, { width: WIDTH, height });
        return at && x.invert(at.x);
      },
      onMove: (to) => moveKnee(id, to),
    });
  };
  const curve = curves[chosen];
  const reading = curve ? readingOf(curve, at) : '';

  const go = (width: number): void => {
    const next = Math.round(Math.min(TO_PX, Math.max(FROM_PX, width)));
    const held = heldWidth(next);
    setBeyond(held === next ? undefined : next);
    if (held !== proofWidth) setPreferences({ proofWidth: held });
  };
  const point = (event: PointerEvent<SVGGElement>): void => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!box) return;
    go(x.invert(((event.clientX - box.left) / box.width) * WIDTH));
  };
  const press = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? 100 : event.altKey ? 1 : 10;
    const across = { ArrowRight: step, ArrowLeft: -step }[event.key];
    const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (across !== undefined) go(at + across);
    else if (event.key === 'Home') go(FROM_PX);
    else if (event.key === 'End') go(TO_PX);
    else if (up !== undefined)
      setActive(curves[Math.min(curves.length - 1, Math.max(0, chosen + up))]?.id);
    else return;
    event.preventDefault();
  };
  return (
    <div>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="w-full max-w-[30rem] cursor-ew-resize touch-none overflow-visible"
      >
        <g
          role="slider"
          tabIndex={0}
          aria-label={label}
          aria-valuemin={FROM_PX}
          aria-valuemax={TO_PX}
          aria-valuenow={at}
          aria-valuetext={reading}
          onKeyDown={press}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            point(event);
          }}
          onPointerMove={(event) => event.buttons === 1 && point(event)}
        >
          <rect width={WIDTH} height={height} className="fill-transparent" />
          <Ticks y={y} count={5} from={MARGIN.left} to={WIDTH - MARGIN.right} />
          {curves.map((one, index) => (
            <g key={one.id}>
              <path
                d={pathOf(one, FROM_PX, TO_PX)}
                className={`fill-none ${index === chosen ? 'stroke-primary' : 'stroke-base-content'}`}
                strokeWidth={index === chosen ? 2 : 1}
              />
              {(one.broken ?? []).map(({ fromPx, toPx }) => (
                <path
                  key={fromPx}
                  d={pathOf(one, Math.max(FROM_PX, fromPx), Math.min(TO_PX, toPx))}
                  className="fill-none stroke-error"
                  strokeWidth={4}
                  strokeDasharray="2 2"
                />
              ))}
              <path
                d={one.bends
                  .filter(within)
                  .map((width) => ring(x(width), y(one.at(width))))
                  .join('')}
                className="fill-base-100 stroke-base-content"
              />
            </g>
          ))}
          {marked.map(({ names, from, to }) => (
            <rect
              key={names}
              x={x(from)}
              width={Math.max(2, x(to) - x(from))}
              y={height - MARGIN.bottom - 3}
              height={3}
              className="fill-error"
            >
              <title>{names}</title>
            </rect>
          ))}
          {labels.map(({ name, y: top }, index) => (
            <text
              key={name}
              x={WIDTH - MARGIN.right + 5}
              y={top + 3}
              className={`text-[10px] font-semibold ${index === chosen ? 'fill-primary' : 'fill-base-content'}`}
            >
              {name}
            </text>
          ))}
          <line
            x1={x(at)}
            x2={x(at)}
            y1={MARGIN.top - 4}
            y2={height - MARGIN.bottom}
            className="stroke-primary"
            strokeWidth={1.5}
          />
          {curve && <circle cx={x(at)} cy={y(curve.at(at))} r={3.5} className="fill-primary" />}
          <text
            x={x(at) + (at > 1800 ? -4 : 4)}
            y={MARGIN.top + 2}
            textAnchor={at > 1800 ? 'end' : 'start'}
            className="figures fill-primary text-[9px] font-semibold"
          >
            {at} px
          </text>
        </g>
        {anchors
          .filter(([, width]) => within(width))
          .map(([id, width]) => (
            <g key={id}>
              <path
                d={`M${x(width)} ${height - MARGIN.bottom + 1}l4 6h-8z`}
                className="fill-base-content"
              />
              <text
                x={x(width)}
                y={height - 6}
                textAnchor="middle"
                className="figures fill-quiet text-[9px]"
              >
                {width}
              </text>
              <rect
                x={x(width) - KNEE / 2}
                y={height - KNEE}
                width={KNEE}
                height={KNEE}
                className="cursor-grab fill-transparent"
                {...knee(id, width)}
              >
                <title>{`The knee at ${width} px: drag it, or use the arrow keys`}</title>
              </rect>
            </g>
          ))}
      </svg>
      <p className="figures min-h-8 text-xs" aria-hidden>
        {reading}
      </p>
    </div>
  );
}
