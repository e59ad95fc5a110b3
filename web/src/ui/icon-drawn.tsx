import { USUAL_FAINT, usualStroke } from '@garnish/core/icons/usual';
import type { IconDrawing } from '@garnish/core/icons/drawing';
import type { DeepReadonly } from '@garnish/core/deep-readonly';
import { memo } from 'react';

interface IconDrawnProps {
  readonly drawing: DeepReadonly<IconDrawing>;
  readonly px: number;
  /** Width of its strokes in px at any size; that of the drawing where absent. */
  readonly stroke?: number;
  readonly faint?: number;
}

/** An icon in the color of the text. It is drawn path by path: nothing of a file gets here as markup. */
export const IconDrawn = memo(function IconDrawn({ drawing, px, stroke, faint }: IconDrawnProps) {
  const usual = usualStroke(drawing);
  return (
    <svg
      aria-hidden
      width={px}
      height={px}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      fill="none"
      strokeLinecap={drawing.cap}
      strokeLinejoin={drawing.join}
      className="shrink-0"
    >
      {drawing.shapes.map(({ d, paint, width = 0, tone, rule }, index) => (
        <path
          // The paths of a drawing never change places.
          key={index}
          d={d}
          opacity={tone === 2 ? (faint ?? USUAL_FAINT) : undefined}
          {...(paint === 'fill'
            ? { fill: 'currentColor', fillRule: rule }
            : {
                stroke: 'currentColor',
                strokeWidth:
                  stroke === undefined ? width : (width / (usual ?? (width || 1))) * stroke,
                ...(stroke !== undefined && { vectorEffect: 'non-scaling-stroke' as const }),
              })}
        />
      ))}
    </svg>
  );
});
