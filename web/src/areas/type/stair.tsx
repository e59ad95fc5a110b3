import type { TextStyle } from '@garnish/core/derive/derived';
import { fluidPx } from '@garnish/core/type/fluid';
import { memo } from 'react';
import type { View } from '../../system/store.ts';
import { useFace } from '../../ui/use-face.ts';

/** The em of the letters as they are laid out once; their sizes are transforms of it. */
const EM = 64;
const WIDTH = 340;
const LETTER_HEIGHT = 66;
/** How high an a stands, about, as a share of the em. */
const LETTER = 0.72;
/** A label needs so much, in px; the rest is shared out by size. */
const LABEL = 34;

interface LetterProps {
  readonly scale: number;
  /** From the bottom of the line to the baseline, as a share of the em. */
  readonly baseline: number;
  readonly outlined?: boolean;
}

/**
 * A letter is scaled and never set again: setting letters anew at every movement of a slider would
 * cost more than the whole proof.
 */
function Letter({ scale, baseline, outlined = false }: LetterProps) {
  return (
    <span
      aria-hidden
      className={`absolute bottom-0 origin-bottom-left leading-none ${outlined ? 'text-transparent' : ''}`}
      style={{
        fontSize: EM,
        transform: `translateY(${baseline * EM * scale}px) scale(${scale})`,
        ...(outlined && { WebkitTextStroke: `${1 / scale}px var(--color-line-strong)` }),
      }}
    >
      a
    </span>
  );
}

interface StairProps {
  readonly view: View;
}

/** One letter for each size in use, at true proportion: filled when narrow, outlined when wide. */
export const Stair = memo(function Stair({ view }: StairProps) {
  const { heading } = view.document.fonts.roles;
  const { narrow, wide } = view.document.type.anchors;
  const fontFamily = useFace(heading.family);
  const byPlace = new Map<number, TextStyle[]>();
  for (const style of view.derived.styles.values())
    byPlace.set(style.place, [...(byPlace.get(style.place) ?? []), style]);
  const sizes = [...byPlace]
    .sort(([one], [other]) => one - other)
    .map(([place, styles]) => {
      const size = styles[0]?.size;
      return {
        place,
        // Running text names a place better than a heading level that happens to stand there.
        names: styles
          .toSorted(
            (one, other) => Number(one.face === 'heading') - Number(other.face === 'heading'),
          )
          .map(({ name }) => name),
        narrowPx: size ? fluidPx(size, narrow.width) : 0,
        widePx: size ? fluidPx(size, wide.width) : 0,
      };
    });
  const largest = Math.max(...sizes.flatMap(({ narrowPx, widePx }) => [narrowPx, widePx]));
  const scale = LETTER_HEIGHT / (largest * LETTER);
  const { ascent, descent } = heading.family.metrics;
  const baseline = (1 - ascent - descent) / 2;
  const spare = Math.max(0, WIDTH - sizes.length * LABEL);
  const total = sizes.reduce((sum, { widePx }) => sum + widePx, 0);
  const starts = sizes.map((_, index) =>
    sizes.slice(0, index).reduce((sum, { widePx }) => sum + LABEL + (widePx / total) * spare, 0),
  );
  return (
    <figure
      aria-label={`The sizes of ${sizes.length} places, narrow and wide`}
      className="contain-layout"
    >
      <ol className="relative h-[8.25rem] text-xs">
        <li aria-hidden className="absolute inset-x-0 top-[4.75rem] border-t border-line-strong" />
        {sizes.map(({ place, names, narrowPx, widePx }, index) => (
          <li
            key={place}
            className="absolute top-0 w-14"
            style={{ transform: `translateX(${starts[index] ?? 0}px)` }}
          >
            <span
              className="relative block h-[4.75rem]"
              style={{ fontFamily, fontWeight: heading.weight }}
            >
              <Letter scale={(widePx * scale) / EM} baseline={baseline} outlined />
              <Letter scale={(narrowPx * scale) / EM} baseline={baseline} />
            </span>
            <span className="block truncate pt-1 font-semibold" title={names.join(', ')}>
              {names[0]}
            </span>
            <span className="figures block text-quiet">{narrowPx.toFixed(1)}</span>
            <span className="figures block text-quiet">{widePx.toFixed(1)}</span>
          </li>
        ))}
      </ol>
    </figure>
  );
});
