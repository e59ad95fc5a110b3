import { smallerStretch } from '@garnish/core/checks/heading-order';
import { gapsOf } from '@garnish/core/checks/zoom';
import type { TextStyle } from '@garnish/core/derive/derived';
import { inOrder } from '@garnish/core/system/document';
import { fluidCss, fluidPx, kneesOf, piecesOf } from '@garnish/core/type/fluid';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { setPreferences, usePreferences } from '../app/preferences.ts';
import { heldWidth } from '../proof/ruler.tsx';
import { useStore, useSystem } from '../system/system-context.ts';
import { useGesture } from '../ui/gesture.ts';
import { Ticks } from './ticks.tsx';

const WIDTH = 352;
const HEIGHT = 236;
const MARGIN = { top: 14, right: 44, bottom: 22, left: 28 };
const FROM_PX = 240;
const TO_PX = 2560;
/** Labels at the lines' ends keep so far apart. */
const LABEL_PX = 11;
const LEVELS = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'] as const;

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

interface Curve {
  readonly names: readonly string[];
  readonly style: TextStyle;
}

/** Roles of the same size share a curve; running text names it better than a heading does. */
function curvesOf(styles: Iterable<TextStyle>): Curve[] {
  const bySize = new Map<string, { texts: string[]; others: string[]; style: TextStyle }>();
  for (const style of styles) {
    const key = fluidCss(style.size);
    const known = bySize.get(key);
    const texts = style.face === 'text' ? [style.name] : [];
    const others = style.face === 'text' ? [] : [style.name];
    bySize.set(key, {
      texts: [...(known?.texts ?? []), ...texts],
      others: [...(known?.others ?? []), ...others],
      style: known?.style ?? style,
    });
  }
  return [...bySize.values()]
    .map(({ texts, others, style }) => ({ names: [...texts, ...others], style }))
    .sort((one, other) => fluidPx(one.style.size, TO_PX) - fluidPx(other.style.size, TO_PX));
}

/** A small ring as part of a path: all knees of a curve are one element. */
const ring = (cx: number, cy: number): string =>
  `M${cx - 2.5} ${cy}a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0`;

const within = (width: number): boolean => width >= FROM_PX && width <= TO_PX;

/** Where a heading level is smaller than the one below it. */
const crossingsOf = (styles: ReadonlyMap<string, TextStyle>) =>
  LEVELS.slice(0, -1).flatMap((level, index) => {
    const upper = styles.get(level);
    const lower = styles.get(LEVELS[index + 1] ?? '');
    const found = upper && lower && smallerStretch(upper, lower);
    return found
      ? [
          {
            names: `${upper.name} under ${lower.name}`,
            from: Math.max(FROM_PX, found.fromPx),
            to: Math.min(TO_PX, found.toPx),
          },
        ]
      : [];
  });

/** What stands at a width on a curve, in words: the size, and how steeply it flows. */
function readingOf({ names, style }: Curve, width: number): string {
  const piece = piecesOf(style.size).find(({ fromPx, toPx }) => width >= fromPx && width < toPx);
  const slope = (piece?.slope ?? 0) * 100;
  const flow =
    slope === 0 ? 'at rest' : `${slope > 0 ? '+' : ''}${slope.toFixed(2)} px for every 100 px`;
  return `${names.join(', ')} at ${width} px: ${fluidPx(style.size, width).toFixed(2)} px, ${flow}`;
}

/** Every role's size over the screen width: knees, the proof's width, and what is not proved. */
export function SizeCurves() {
  const { shown } = useSystem();
  const store = useStore();
  const gesture = useGesture();
  const { proofWidth } = usePreferences();
  const [beyond, setBeyond] = useState<number>();
  const [active, setActive] = useState<string>();
  const curves = curvesOf(shown.derived.styles.values());
  const at = beyond ?? proofWidth;
  const chosen = Math.max(
    0,
    active === undefined ? curves.length - 1 : curves.findIndex(({ style }) => style.id === active),
  );
  const largest = Math.max(...curves.map(({ style }) => style.size.maxRem * 16));
  const x = scaleLinear([FROM_PX, TO_PX], [MARGIN.left, WIDTH - MARGIN.right]);
  const y = scaleLinear([8, largest * 1.04], [HEIGHT - MARGIN.bottom, MARGIN.top]);
  const path = line<readonly [number, number]>(
    ([width]) => x(width),
    ([, size]) => y(size),
  );
  const pathOf = ({ size }: TextStyle, from: number, to: number): string => {
    const knees = kneesOf(size).filter((knee) => knee > from && knee < to);
    return path([from, ...knees, to].map((width) => [width, fluidPx(size, width)] as const)) ?? '';
  };
  const labels = spread(
    curves.map(({ names, style }) => ({
      name: names[0] ?? '',
      y: y(fluidPx(style.size, TO_PX)),
    })),
  );
  const anchors = inOrder(shown.document.type.anchors).map(
    ([id, { width }]) => [id, width] as const,
  );
  /** Moves an anchor between its neighbours; to whole tens, as a hand that drags means them. */
  const moveKnee = (id: string, to: number): void => {
    const index = anchors.findIndex(([one]) => one === id);
    const [least, most] = [anchors[index - 1]?.[1] ?? 150, anchors[index + 1]?.[1] ?? 5130];
    const value = Math.min(most - 10, Math.max(least + 10, Math.round(to / 10) * 10));
    if (value !== anchors[index]?.[1])
      store.change(
        [{ op: 'replace', path: `/type/anchors/items/${id}/width`, value }],
        'knee of the curves',
        { gesture: gesture() },
      );
  };
  const crossings = crossingsOf(shown.derived.styles);
  const unproved = curves
    .filter(({ style }) => gapsOf(style.size).length > 0)
    .map(({ names }) => names[0] ?? '')
    .reverse();
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
      setActive(curves[Math.min(curves.length - 1, Math.max(0, chosen + up))]?.style.id);
    else return;
    event.preventDefault();
  };
  return (
    <div>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full max-w-[30rem] cursor-ew-resize touch-none overflow-visible"
      >
        <g
          role="slider"
          tabIndex={0}
          aria-label="Sizes over the screen width"
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
          <rect width={WIDTH} height={HEIGHT} className="fill-transparent" />
          <Ticks y={y} count={5} from={MARGIN.left} to={WIDTH - MARGIN.right} />
          {curves.map(({ style }, index) => (
            <g key={style.id}>
              <path
                d={pathOf(style, FROM_PX, TO_PX)}
                className={`fill-none ${index === chosen ? 'stroke-primary' : 'stroke-base-content'}`}
                strokeWidth={index === chosen ? 2 : 1}
              />
              {gapsOf(style.size).map(({ fromPx, toPx }) => (
                <path
                  key={fromPx}
                  d={pathOf(style, Math.max(FROM_PX, fromPx), Math.min(TO_PX, toPx))}
                  className="fill-none stroke-error"
                  strokeWidth={4}
                  strokeDasharray="2 2"
                />
              ))}
              <path
                d={kneesOf(style.size)
                  .filter(within)
                  .map((width) => ring(x(width), y(fluidPx(style.size, width))))
                  .join('')}
                className="fill-base-100 stroke-base-content"
              />
            </g>
          ))}
          {crossings.map(({ names, from, to }) => (
            <rect
              key={names}
              x={x(from)}
              width={Math.max(2, x(to) - x(from))}
              y={HEIGHT - MARGIN.bottom - 3}
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
            y2={HEIGHT - MARGIN.bottom}
            className="stroke-primary"
            strokeWidth={1.5}
          />
          {curve && (
            <circle
              cx={x(at)}
              cy={y(fluidPx(curve.style.size, at))}
              r={3.5}
              className="fill-primary"
            />
          )}
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
                d={`M${x(width)} ${HEIGHT - MARGIN.bottom + 1}l4 6h-8z`}
                className="fill-base-content"
              />
              <text
                x={x(width)}
                y={HEIGHT - 6}
                textAnchor="middle"
                className="figures fill-quiet text-[9px]"
              >
                {width}
              </text>
              <rect
                x={x(width) - 10}
                y={HEIGHT - MARGIN.bottom - 2}
                width={20}
                height={24}
                className="cursor-grab fill-transparent"
                role="slider"
                tabIndex={0}
                aria-label={`Knee at ${width} px`}
                aria-valuenow={width}
                aria-valuemin={160}
                aria-valuemax={5120}
                onPointerDown={(event) => {
                  event.stopPropagation();
                  event.currentTarget.setPointerCapture(event.pointerId);
                }}
                onPointerMove={(event) => {
                  event.stopPropagation();
                  const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
                  if (event.buttons !== 1 || !box) return;
                  moveKnee(id, x.invert(((event.clientX - box.left) / box.width) * WIDTH));
                }}
                onKeyDown={(event) => {
                  const by = { ArrowRight: 10, ArrowLeft: -10 }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  event.stopPropagation();
                  moveKnee(id, width + by);
                }}
              >
                <title>{`The knee at ${width} px: drag it, or use the arrow keys`}</title>
              </rect>
            </g>
          ))}
      </svg>
      <p className="figures min-h-8 text-xs" aria-hidden>
        {reading}
      </p>
      {(crossings.length > 0 || unproved.length > 0) && (
        <p className="text-xs text-error">
          {[
            ...(unproved.length > 0
              ? [`${unproved.join(', ')} cannot be zoomed where dashed`]
              : []),
            ...crossings.map(({ names }) => `${names} where the foot is red`),
          ].join('; ')}
          .
        </p>
      )}
    </div>
  );
}
