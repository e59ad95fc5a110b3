import type { gapsOf } from '../proof/chosen.ts';
import {
  distancesAmong,
  distancesBetween,
  sharedEdges,
  sizeWords,
  remWords,
  type Box,
  type Distance,
} from '@garnish/core/measures/geometry';
import type { FactUnit } from '@garnish/core/measures/facts';

interface MeasuresProps {
  readonly chosen: Box | undefined;
  readonly pointed: Box | undefined;
  /** The room inside the chosen thing, on each side. */
  readonly inset: readonly [top: number, right: number, bottom: number, left: number];
  readonly scale: number;
  readonly unit: FactUnit;
  readonly width: number;
  readonly height: number;
  /** What stands beside both in the same place: distances that are the same as theirs are shown too. */
  readonly among: readonly Box[];
  /** What is between things there, and the tokens that make it. */
  readonly gaps: ReturnType<typeof gapsOf> | undefined;
  /** Where notes are pinned: a stroke from the margin leads to each. */
  readonly noted: readonly Box[];
}

const LABEL_HIGH = 16;
const LABEL_ROOM = 4;

const labelWide = (text: string): number => text.length * 6.6 + 2 * LABEL_ROOM;

interface LabelProps {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/** A length, on white, its middle where it is told to be. */
const Label = ({ x, y, text }: LabelProps) => {
  const wide = labelWide(text);
  return (
    <g transform={`translate(${x - wide / 2} ${y - LABEL_HIGH / 2})`}>
      <rect width={wide} height={LABEL_HIGH} fill="#fff" stroke="#888" strokeWidth="0.75" />
      <text x={wide / 2} y={11.5} textAnchor="middle" className="figures" fontSize="11" fill="#111">
        {text}
      </text>
    </g>
  );
};

/** A distance: a line with ends, and its length beside it. */
function Line({
  distance,
  scale,
  unit,
  tokens = [],
  isQuiet = false,
}: {
  readonly distance: Distance;
  readonly scale: number;
  readonly unit: FactUnit;
  /** The tokens that make it. */
  readonly tokens?: readonly string[];
  /** One that is the same as another, which has the words. */
  readonly isQuiet?: boolean;
}) {
  const { axis, from, to, at, px } = distance;
  const [a, b, across] = [from * scale, to * scale, at * scale];
  const text = [unit === 'px' ? sizeWords(px) : remWords(px), ...tokens].join(' ');
  const isX = axis === 'x';
  const d = isX
    ? `M${a} ${across}H${b}M${a} ${across - 4}v8M${b} ${across - 4}v8`
    : `M${across} ${a}V${b}M${across - 4} ${a}h8M${across - 4} ${b}h8`;
  const wide = labelWide(text);
  return (
    <g data-distance={axis} {...(isQuiet && { 'data-equal': '' })}>
      <path d={d} stroke="#111" fill="none" strokeWidth="1.25" />
      <path d={d} stroke="#fff" fill="none" strokeWidth="0.5" />
      {isQuiet ? null : isX ? (
        <Label x={(a + b) / 2} y={across - LABEL_HIGH / 2 - 5} text={text} />
      ) : (
        <Label x={across + wide / 2 + 7} y={(a + b) / 2} text={text} />
      )}
    </g>
  );
}

/** Where a box stands over the frame, made as small as the frame is. */
const rectOf = ({ left, top, width, height }: Box, scale: number) => ({
  x: left * scale,
  y: top * scale,
  width: width * scale,
  height: height * scale,
});

/** Measures over the page: what is chosen with the room inside it, what is pointed at, and what lies between. */
export function Measures(props: MeasuresProps) {
  const { chosen, pointed, inset, scale, unit, width, height, noted, among, gaps } = props;
  const isOther =
    chosen !== undefined &&
    pointed !== undefined &&
    !(['left', 'top', 'width', 'height'] as const).every((side) => chosen[side] === pointed[side]);
  const [top, right, bottom, left] = inset;
  const between = isOther ? distancesBetween(chosen, pointed) : [];
  const isSame = (one: Distance, two: Distance): boolean =>
    one.axis === two.axis && sizeWords(one.px) === sizeWords(two.px);
  const equal = distancesAmong(among).filter(
    (distance) =>
      between.some((one) => isSame(one, distance)) &&
      !between.some(
        (one) =>
          isSame(one, distance) &&
          Math.abs(one.from - distance.from) < 0.5 &&
          Math.abs(one.at - distance.at) < 0.5,
      ),
  );
  return (
    <svg
      className="pointer-events-none absolute inset-0 overflow-hidden"
      width={width}
      height={height}
      aria-hidden
    >
      <defs>
        <pattern id="guest-inset" width="6" height="6" patternUnits="userSpaceOnUse">
          <path
            d="M-1 1l2-2M0 6l6-6M5 7l2-2"
            stroke="#111"
            strokeOpacity="0.55"
            strokeWidth="0.8"
          />
        </pattern>
      </defs>
      {noted.map(({ left: spot, top: from, height: high }, index) => {
        const y = (from + high / 2) * scale;
        return (
          <g key={index} data-noted fill="none">
            <path d={`M0 ${y}H${spot * scale}`} stroke="#fff" strokeWidth="3" />
            <path d={`M0 ${y}H${spot * scale}`} stroke="#111" />
            <circle cx={spot * scale} cy={y} r="2.5" fill="#111" stroke="#fff" />
          </g>
        );
      })}
      {pointed && (isOther || !chosen) && (
        <g fill="none" data-measure="pointed">
          <rect {...rectOf(pointed, scale)} stroke="#fff" />
          <rect {...rectOf(pointed, scale)} stroke="#111" strokeDasharray="3 3" />
        </g>
      )}
      {chosen && (
        <>
          {Math.max(top, right, bottom, left) > 0 && (
            <path
              data-measure="inset"
              fill="url(#guest-inset)"
              fillRule="evenodd"
              d={[
                `M${chosen.left * scale} ${chosen.top * scale}h${chosen.width * scale}v${chosen.height * scale}h${-chosen.width * scale}z`,
                `M${(chosen.left + left) * scale} ${(chosen.top + top) * scale}v${Math.max(0, chosen.height - top - bottom) * scale}h${Math.max(0, chosen.width - left - right) * scale}v${-Math.max(0, chosen.height - top - bottom) * scale}z`,
              ].join('')}
            />
          )}
          <g fill="none" data-measure="chosen">
            <rect {...rectOf(chosen, scale)} stroke="#fff" strokeWidth="4" strokeOpacity="0.8" />
            <rect {...rectOf(chosen, scale)} className="stroke-primary" strokeWidth="2" />
          </g>
        </>
      )}
      {isOther && (
        <>
          {sharedEdges(chosen, pointed).map(({ axis, at }) => (
            <path
              key={`${axis} ${at}`}
              data-measure="shared"
              className="stroke-primary"
              strokeDasharray="1 3"
              d={axis === 'x' ? `M${at * scale} 0V${height}` : `M0 ${at * scale}H${width}`}
            />
          ))}
          {equal.map((distance, index) => (
            <Line key={`equal ${index}`} distance={distance} scale={scale} unit={unit} isQuiet />
          ))}
          {between.map((distance, index) => {
            const gap = gaps?.[distance.axis === 'x' ? 'column' : 'row'];
            const isGap = gap !== undefined && sizeWords(gap.px) === sizeWords(distance.px);
            return (
              <Line
                key={index}
                distance={distance}
                scale={scale}
                unit={unit}
                tokens={isGap ? gap.tokens : []}
              />
            );
          })}
        </>
      )}
    </svg>
  );
}
