import {
  shrinkingPx,
  shrinkingCss,
  swapWidths,
  type Shrinking,
} from '@garnish/core/space/shrinking';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Ticks } from '../../charts/ticks.tsx';
import { Copy } from '../../ui/copy.tsx';
import { px } from '../../ui/px.ts';

const WIDTH = 320;
const HEIGHT = 84;
const MARGIN = { top: 8, right: 10, bottom: 18, left: 28 };

/** A length over the width of its container, with the widths at which another part begins to rule. */
export function SwapDrawing({
  length,
  name,
}: {
  readonly length: Shrinking;
  readonly name: string;
}) {
  const swaps = swapWidths(length);
  const to = Math.max(800, ...swaps.map((width) => width * 1.4));
  const most = Math.max(1, shrinkingPx(length, to), shrinkingPx(length, 0));
  const x = scaleLinear([0, to], [MARGIN.left, WIDTH - MARGIN.right]);
  const y = scaleLinear([0, most * 1.1], [HEIGHT - MARGIN.bottom, MARGIN.top]);
  const widths = [0, ...swaps, to];
  const path = line<number>(
    (width) => x(width),
    (width) => y(shrinkingPx(length, width)),
  )(widths);
  const css = shrinkingCss(length);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full max-w-[26rem] overflow-visible"
        aria-hidden
      >
        <Ticks y={y} count={3} from={MARGIN.left} to={WIDTH - MARGIN.right} />
        <path d={path ?? ''} className="fill-none stroke-base-content" strokeWidth={1.5} />
        {swaps.map((width) => (
          <g key={width}>
            <line
              x1={x(width)}
              x2={x(width)}
              y1={y(shrinkingPx(length, width))}
              y2={HEIGHT - MARGIN.bottom}
              className="stroke-primary"
              strokeDasharray="2 2"
            />
            <circle
              cx={x(width)}
              cy={y(shrinkingPx(length, width))}
              r={3}
              className="fill-primary"
            />
            <text
              x={x(width)}
              y={HEIGHT - 5}
              textAnchor="middle"
              className="figures fill-primary text-[9px]"
            >
              {Math.round(width)}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-xs text-quiet">
        <Copy className="figures" text={css} label={`Copy ${name}: ${css}`}>
          {css}
        </Copy>
        {swaps.length === 0
          ? ': nothing swaps'
          : `: they swap at a container of ${swaps.map((width) => px(width)).join(' and ')}, in text of 16 px`}
      </figcaption>
    </figure>
  );
}
