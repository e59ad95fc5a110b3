import { Fragment } from 'react';
import {
  distancesAmong,
  distancesBetween,
  labelPlace,
  sharedEdges,
  sizeWords,
  remWords,
  type Box,
  type Distance,
} from '@garnish/core/measures/geometry';
import type { FactUnit } from '@garnish/core/measures/facts';
import { makingWords, type Length } from '@garnish/core/measures/made-of';
import type { OfSides } from '@garnish/core/measures/sides';

interface MeasuresProps {
  readonly chosen: Box | undefined;
  readonly pointed: Box | undefined;
  /** Whether that is no more than what the chosen thing stands in. */
  readonly isAround: boolean;
  /** The room inside the chosen thing, on each side. */
  readonly inset: OfSides<Length> | undefined;
  readonly scale: number;
  readonly unit: FactUnit;
  readonly width: number;
  readonly height: number;
  /** What stands beside both in the same place: distances that are the same as theirs are shown too. */
  readonly among: readonly Box[];
  /** What makes a distance between the two. */
  readonly making: ((distance: Distance) => readonly Length[]) | undefined;
  /** Where notes are pinned: a stroke from the margin leads to each. */
  readonly noted: readonly Box[];
}

const LABEL_HIGH = 16;
const LABEL_ROOM = 4;

const labelWide = (text: string): number => text.length * 6.6 + 2 * LABEL_ROOM;

/** A length, on white, with what makes it below. */
const Label = ({ lines, place }: { readonly lines: readonly string[]; readonly place: Box }) => (
  <g transform={`translate(${place.left} ${place.top})`}>
    <rect
      width={place.width}
      height={place.height}
      fill="#fff"
      stroke="#888"
      strokeWidth="0.75"
      data-label
    />
    <text className="figures" fontSize="11" fill="#111">
      {lines.map((line, index) => (
        <Fragment key={index}>
          <tspan x={LABEL_ROOM} y={11.5 + index * LABEL_HIGH}>
            {line}
          </tspan>{' '}
        </Fragment>
      ))}
    </text>
  </g>
);

/** A distance: a line with ends, and its length beside it. */
function Line({
  distance,
  scale,
  unit,
  making = [],
  isQuiet = false,
  room,
  spared,
}: {
  readonly distance: Distance;
  readonly scale: number;
  readonly unit: FactUnit;
  /** What makes it. */
  readonly making?: readonly Length[];
  /** One that is the same as another, which has the words. */
  readonly isQuiet?: boolean;
  readonly room: Pick<Box, 'width' | 'height'>;
  /** What its words must not cover, as it is shown. */
  readonly spared?: Box | undefined;
}) {
  const { axis, from, to, at, px } = distance;
  const [a, b, across] = [from * scale, to * scale, at * scale];
  const length = unit === 'px' ? sizeWords(px) : remWords(px);
  const lines = [length, makingWords(making, unit)].filter((line) => line !== '');
  const isX = axis === 'x';
  const d = isX
    ? `M${a} ${across}H${b}M${a} ${across - 4}v8M${b} ${across - 4}v8`
    : `M${across} ${a}V${b}M${across - 4} ${a}h8M${across - 4} ${b}h8`;
  const size = {
    width: Math.max(...lines.map(labelWide)),
    height: lines.length * LABEL_HIGH,
  };
  const wanted = isX
    ? { left: (a + b - size.width) / 2, top: across - size.height - 5, ...size }
    : { left: across + 7, top: (a + b - size.height) / 2, ...size };
  return (
    <g data-distance={axis} {...(isQuiet && { 'data-equal': '' })}>
      <path d={d} stroke="#111" fill="none" strokeWidth="1.25" />
      <path d={d} stroke="#fff" fill="none" strokeWidth="0.5" />
      {!isQuiet && <Label lines={lines} place={labelPlace(wanted, room, spared)} />}
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
  const { chosen, pointed, isAround, inset, scale, unit, width, height, noted } = props;
  const { among, making } = props;
  const room = { width, height };
  const shown = chosen && {
    left: chosen.left * scale,
    top: chosen.top * scale,
    width: chosen.width * scale,
    height: chosen.height * scale,
  };
  const isOther =
    chosen !== undefined &&
    pointed !== undefined &&
    !(['left', 'top', 'width', 'height'] as const).every((side) => chosen[side] === pointed[side]);
  const [top = 0, right = 0, bottom = 0, left = 0] = inset?.map(({ px }) => px) ?? [];
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
      {pointed && !isAround && (isOther || !chosen) && (
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
          {(isAround ? [] : sharedEdges(chosen, pointed)).map(({ axis, at }) => (
            <path
              key={`${axis} ${at}`}
              data-measure="shared"
              className="stroke-primary"
              strokeDasharray="1 3"
              d={axis === 'x' ? `M${at * scale} 0V${height}` : `M0 ${at * scale}H${width}`}
            />
          ))}
          {equal.map((distance, index) => (
            <Line
              key={`equal ${index}`}
              distance={distance}
              scale={scale}
              unit={unit}
              room={room}
              isQuiet
            />
          ))}
          {between.map((distance, index) => (
            <Line
              key={index}
              distance={distance}
              scale={scale}
              unit={unit}
              making={making?.(distance) ?? []}
              room={room}
              spared={shown}
            />
          ))}
        </>
      )}
    </svg>
  );
}
