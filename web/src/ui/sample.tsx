import type { Token } from '@garnish/core/tokens/token';

interface SampleProps {
  readonly token: Pick<Token, 'type' | 'path'>;
  /** The value with everything that it takes, as CSS. */
  readonly css: string;
}

/** The curve of an easing, from the start below to the end above. */
function Curve({ css }: Pick<SampleProps, 'css'>) {
  const [x1 = 0, y1 = 0, x2 = 1, y2 = 1] = (/\(([^)]*)\)/.exec(css)?.[1] ?? '')
    .split(',')
    .map(Number);
  return (
    <svg viewBox="-1 -4 22 24" className="h-4 w-4 overflow-visible" aria-hidden>
      <path
        d={`M0 16C${x1 * 20} ${16 - y1 * 16} ${x2 * 20} ${16 - y2 * 16} 20 0`}
        className="fill-none stroke-base-content"
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

const LONGEST_PX = 16;

/** A value seen rather than read: its color, its shadow, its corner, its length, its curve; a duration plays under the pointer. */
export function Sample({ token: { type, path }, css }: SampleProps) {
  const isCorner = /radius|corner/.test(path.join(' '));
  switch (type) {
    case 'color':
    case 'gradient':
      return (
        <span
          aria-hidden
          className="block h-3.5 w-4 border border-line"
          style={{ background: css }}
        />
      );
    case 'shadow':
      return (
        <span
          aria-hidden
          className="block h-3 w-3.5 overflow-visible bg-base-100"
          style={{ boxShadow: css }}
        />
      );
    case 'border':
      return <span aria-hidden className="block h-3.5 w-4" style={{ border: css }} />;
    case 'dimension':
      return isCorner ? (
        <span
          aria-hidden
          className="block h-3.5 w-4 border-s border-t border-base-content"
          style={{ borderStartStartRadius: css }}
        />
      ) : (
        <span
          aria-hidden
          className="block h-1 bg-quiet"
          style={{ width: `clamp(1px, ${css}, ${LONGEST_PX}px)` }}
        />
      );
    case 'cubicBezier':
      return <Curve css={css} />;
    case 'duration':
      return (
        <span aria-hidden className="sample-way relative block h-3.5 w-4 border-b border-line">
          <span
            className="sample-goes absolute bottom-0 start-0 h-1.5 w-1.5 rounded-full bg-base-content"
            style={{ transitionDuration: css }}
          />
        </span>
      );
    case 'fontFamily':
      return (
        <span aria-hidden className="block leading-4" style={{ fontFamily: css }}>
          Ag
        </span>
      );
    case 'fontWeight':
      return (
        <span aria-hidden className="block leading-4" style={{ fontWeight: css }}>
          Ag
        </span>
      );
    case 'typography':
      return (
        <span
          aria-hidden
          className="block"
          style={{ font: css, fontSize: '0.8125rem', lineHeight: 1.2 }}
        >
          Ag
        </span>
      );
    default:
      return null;
  }
}
