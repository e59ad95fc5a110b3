import { fluidPx, kneesOf } from '@garnish/core/type/fluid';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { usePreferences } from '../app/preferences.ts';
import { useSystem } from '../system/system-context.ts';

const WIDTH = 352;
const HEIGHT = 236;
const MARGIN = { top: 14, right: 44, bottom: 22, left: 28 };
const FROM_PX = 240;
const TO_PX = 1760;
/** Labels at the lines' ends keep so far apart. */
const LABEL_PX = 11;

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

/** Every role's size over the screen width, the knees marked, and where the proof stands. */
export function SizeCurves() {
  const { shown } = useSystem();
  const { proofWidth } = usePreferences();
  const styles = [...shown.derived.styles.values()];
  const largest = Math.max(...styles.map(({ size }) => size.maxRem * 16));
  const x = scaleLinear([FROM_PX, TO_PX], [MARGIN.left, WIDTH - MARGIN.right]);
  const y = scaleLinear([8, largest * 1.04], [HEIGHT - MARGIN.bottom, MARGIN.top]);
  const curve = line<readonly [number, number]>(
    ([width]) => x(width),
    ([, size]) => y(size),
  );
  const bySize = new Map<string, { names: string[]; style: (typeof styles)[number] }>();
  for (const style of styles) {
    const key = String(style.place);
    const known = bySize.get(key);
    // Running text names a line better than a heading level that happens to share it.
    if (known && style.face === 'text') known.names.unshift(style.name);
    else if (known) known.names.push(style.name);
    else bySize.set(key, { names: [style.name], style });
  }
  const lines = [...bySize.values()].map(({ names, style }) => {
    const knees = kneesOf(style.size) ?? [];
    const widths = [FROM_PX, ...knees.filter((knee) => knee > FROM_PX && knee < TO_PX), TO_PX];
    return {
      names,
      knees: knees.map((knee) => [knee, fluidPx(style.size, knee)] as const),
      points: widths.map((width) => [width, fluidPx(style.size, width)] as const),
      end: fluidPx(style.size, TO_PX),
      heading: style.face === 'heading',
    };
  });
  const labels = spread(lines.map(({ names, end }) => ({ name: names[0] ?? '', y: y(end) })));
  const { narrow, wide } = shown.document.type.anchors;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-[30rem] overflow-visible"
      role="img"
      aria-label={`Sizes of ${styles.length} text roles from ${FROM_PX} to ${TO_PX} px; the proof stands at ${proofWidth} px`}
    >
      {y.ticks(5).map((tick) => (
        <g key={tick}>
          <line
            x1={MARGIN.left}
            x2={WIDTH - MARGIN.right}
            y1={y(tick)}
            y2={y(tick)}
            className="stroke-line"
          />
          <text
            x={MARGIN.left - 5}
            y={y(tick) + 3}
            textAnchor="end"
            className="figures fill-quiet text-[9px]"
          >
            {tick}
          </text>
        </g>
      ))}
      {[narrow.width, wide.width].map((width) => (
        <text
          key={width}
          x={x(Math.min(TO_PX, Math.max(FROM_PX, width)))}
          y={HEIGHT - 6}
          textAnchor="middle"
          className="figures fill-quiet text-[9px]"
        >
          {width}
        </text>
      ))}
      {lines.map(({ names, knees, points, heading }) => (
        <g key={names.join(' ')}>
          <path
            d={curve(points) ?? ''}
            className="fill-none stroke-base-content"
            strokeWidth={heading ? 1.5 : 1}
          />
          {knees
            .filter(([width]) => width >= FROM_PX && width <= TO_PX)
            .map(([width, size]) => (
              <circle
                key={width}
                cx={x(width)}
                cy={y(size)}
                r={2.5}
                className="fill-base-100 stroke-base-content"
              />
            ))}
        </g>
      ))}
      {labels.map(({ name, y: at }) => (
        <text
          key={name}
          x={WIDTH - MARGIN.right + 5}
          y={at + 3}
          className="fill-base-content text-[10px] font-semibold"
        >
          {name}
        </text>
      ))}
      <line
        x1={x(proofWidth)}
        x2={x(proofWidth)}
        y1={MARGIN.top - 4}
        y2={HEIGHT - MARGIN.bottom}
        className="stroke-primary"
        strokeWidth={1.5}
      />
      <text
        x={x(proofWidth) + (proofWidth > 1200 ? -4 : 4)}
        y={MARGIN.top + 2}
        textAnchor={proofWidth > 1200 ? 'end' : 'start'}
        className="figures fill-primary text-[9px] font-semibold"
      >
        {proofWidth} px
      </text>
    </svg>
  );
}
