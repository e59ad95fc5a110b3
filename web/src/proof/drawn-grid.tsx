import type { Derived } from '@garnish/core/derive/derived';
import { gridAt } from '@garnish/core/derive/space/grid';
import { px } from '../ui/px.ts';

interface DrawnGridProps {
  readonly grid: Derived['grid'];
  readonly widthPx: number;
  readonly rootPx: number;
  readonly scale: number;
}

/** The columns over the proof, with their numbers. */
export default function DrawnGrid({ grid, widthPx, rootPx, scale }: DrawnGridProps) {
  const solved = gridAt(grid, widthPx, rootPx);
  if (!solved) return null;
  const { container, columns, column, gutter, marginStart } = solved;
  const start = (widthPx - container) / 2 + marginStart;
  return (
    <svg
      className="pointer-events-none absolute inset-0 h-full w-full"
      role="img"
      aria-label={`${columns} columns of ${px(column)}`}
    >
      {Array.from({ length: columns }, (_, index) => (
        <g key={index}>
          <rect
            x={(start + index * (column + gutter)) * scale}
            width={column * scale}
            y={-2}
            height="101%"
            className="fill-base-content stroke-base-content"
            fillOpacity={0.07}
            strokeWidth={0.5}
          />
          <text
            x={(start + index * (column + gutter) + column / 2) * scale}
            y={11}
            textAnchor="middle"
            className="figures fill-base-content text-[9px]"
          >
            {index + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}
