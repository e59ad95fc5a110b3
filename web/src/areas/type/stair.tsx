import type { TextStyle } from '@garnish/core/derive/derived';
import { fluidPx } from '@garnish/core/type/fluid';
import { useSystem } from '../../system/system-context.ts';
import { useFace } from '../../ui/use-face.ts';

const LETTER_HEIGHT = 66;
const WIDTH = 352;

/** One letter for each size in use, at true proportion: filled when narrow, outlined when wide. */
export function Stair() {
  const { decided } = useSystem();
  const { heading } = decided.document.fonts.roles;
  const { narrow, wide } = decided.document.type.anchors;
  const fontFamily = useFace(heading.family);
  const byPlace = new Map<number, TextStyle[]>();
  for (const style of decided.derived.styles.values())
    byPlace.set(style.place, [...(byPlace.get(style.place) ?? []), style]);
  const places = [...byPlace].sort(([one], [other]) => one - other);
  const sizes = places.map(([place, styles]) => {
    const size = styles[0]?.size;
    return {
      place,
      // Running text names a place better than a heading level that happens to stand there.
      names: styles
        .toSorted((one, other) => Number(one.face === 'heading') - Number(other.face === 'heading'))
        .map(({ name }) => name),
      narrowPx: size ? fluidPx(size, narrow.width) : 0,
      widePx: size ? fluidPx(size, wide.width) : 0,
    };
  });
  const largest = Math.max(...sizes.flatMap(({ narrowPx, widePx }) => [narrowPx, widePx]));
  const scale = LETTER_HEIGHT / (largest * 0.72);
  const total = sizes.reduce((sum, { widePx }) => sum + widePx + 26, 0);
  const height = Math.max(40, largest * scale * 0.72) + 8;
  const starts = sizes.map((_, index) =>
    sizes.slice(0, index).reduce((sum, { widePx }) => sum + ((widePx + 26) / total) * WIDTH, 0),
  );
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${height + 4}`}
        className="w-full overflow-visible"
        role="img"
        aria-label={`The sizes of ${sizes.length} places, from ${sizes[0]?.names.join(', ') ?? ''} to ${sizes.at(-1)?.names.join(', ') ?? ''}`}
      >
        <line
          x1={0}
          x2={WIDTH}
          y1={height + 0.5}
          y2={height + 0.5}
          className="stroke-line-strong"
        />
        {sizes.map(({ place, narrowPx, widePx }, index) => (
          <g
            key={place}
            transform={`translate(${starts[index] ?? 0} ${height})`}
            style={{ fontFamily, fontWeight: heading.weight }}
          >
            <text fontSize={widePx * scale} className="fill-none stroke-line-strong">
              a
            </text>
            <text fontSize={narrowPx * scale} className="fill-base-content">
              a
            </text>
          </g>
        ))}
      </svg>
      <ol className="relative h-14 text-xs">
        {sizes.map(({ place, names, narrowPx, widePx }, index) => (
          <li
            key={place}
            className="absolute w-14"
            style={{ insetInlineStart: `${((starts[index] ?? 0) / WIDTH) * 100}%` }}
          >
            <span className="block truncate font-semibold" title={names.join(', ')}>
              {names[0]}
            </span>
            <span className="figures block text-quiet">{narrowPx.toFixed(1)}</span>
            <span className="figures block text-quiet">{widePx.toFixed(1)}</span>
          </li>
        ))}
      </ol>
    </figure>
  );
}
