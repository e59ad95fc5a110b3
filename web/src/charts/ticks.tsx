import type { ScaleLinear } from 'd3-scale';

interface TicksProps {
  readonly y: ScaleLinear<number, number>;
  /** About how many; the scale chooses round numbers. */
  readonly count: number;
  readonly decimals?: number;
  readonly from: number;
  readonly to: number;
}

/** Lines across a drawing at round values, each with its number before it. */
export const Ticks = ({ y, count, decimals = 0, from, to }: TicksProps) =>
  y.ticks(count).map((tick) => (
    <g key={tick}>
      <line x1={from} x2={to} y1={y(tick)} y2={y(tick)} className="stroke-line" />
      <text x={from - 5} y={y(tick) + 3} textAnchor="end" className="figures fill-quiet text-[9px]">
        {tick.toFixed(decimals)}
      </text>
    </g>
  ));
