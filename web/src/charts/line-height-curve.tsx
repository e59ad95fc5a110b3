import type { TextStyle } from '@garnish/core/derive/derived';
import { middlePx } from '@garnish/core/derive/type/styles';
import { lineHeightOf } from '@garnish/core/type/line-height';
import { scaleLinear, scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { Ticks } from './ticks.tsx';

const WIDTH = 352;
const HEIGHT = 120;
const MARGIN = { top: 8, right: 12, bottom: 20, left: 28 };
const FROM_PX = 10;
const TO_PX = 120;

interface LineHeightCurveProps {
  readonly styles: Iterable<TextStyle>;
}

/** The automatic line height over the size, and where each role stands: on it, or set by hand. */
export function LineHeightCurve({ styles }: LineHeightCurveProps) {
  const all = [...styles];
  const x = scaleLog([FROM_PX, TO_PX], [MARGIN.left, WIDTH - MARGIN.right]);
  const heights = all.map(({ lineHeight }) => lineHeight);
  const y = scaleLinear(
    [Math.min(1, ...heights) - 0.05, Math.max(1.65, ...heights) + 0.05],
    [HEIGHT - MARGIN.bottom, MARGIN.top],
  );
  const curve = line<number>(x, (px) => y(lineHeightOf(px)));
  const sizes = Array.from(
    { length: 56 },
    (_, index) => FROM_PX * (TO_PX / FROM_PX) ** (index / 55),
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-[30rem] overflow-visible"
      role="img"
      aria-label="Automatic line height over the size of the text, with every role on it"
    >
      <Ticks y={y} count={4} decimals={1} from={MARGIN.left} to={WIDTH - MARGIN.right} />
      {[12, 18, 32, 72].map((px) => (
        <text
          key={px}
          x={x(px)}
          y={HEIGHT - 6}
          textAnchor="middle"
          className="figures fill-quiet text-[9px]"
        >
          {px}
        </text>
      ))}
      <path d={curve(sizes) ?? ''} className="fill-none stroke-line-strong" strokeWidth={1.5} />
      {all.map((style) => {
        const px = middlePx(style.size);
        const onCurve = Math.abs(lineHeightOf(px) - style.lineHeight) < 0.09;
        return (
          <circle
            key={style.id}
            cx={x(Math.min(TO_PX, Math.max(FROM_PX, px)))}
            cy={y(style.lineHeight)}
            r={3}
            className={onCurve ? 'fill-base-content' : 'fill-base-100 stroke-primary'}
            strokeWidth={1.5}
          >
            <title>{`${style.name}: ${style.lineHeight} at about ${px.toFixed(0)} px`}</title>
          </circle>
        );
      })}
    </svg>
  );
}
