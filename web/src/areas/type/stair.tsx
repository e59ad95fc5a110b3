import type { TextStyle } from '@garnish/core/derive/derived';
import { sizeOfPlaceIn } from '@garnish/core/derive/type/styles';
import { HIGHEST_PLACE, inOrder, LOWEST_PLACE } from '@garnish/core/system/document';
import { fluidPx } from '@garnish/core/type/fluid';
import { placeName } from '@garnish/core/type/scale';
import { useRef, useState, type DragEvent, type KeyboardEvent } from 'react';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { useFace } from '../../ui/use-face.ts';

/** The em of the letters as they are laid out once; their sizes are transforms of it. */
const EM = 64;
const WIDTH = 340;
const LETTER_HEIGHT = 66;
/** How high an a stands, about, as a share of the em. */
const LETTER = 0.72;
/** A step needs so much, in px; the rest is shared out by size. */
const LEAST = 42;

const ROLE = 'application/x-text-role';
const ROW_PX = 24;

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

/**
 * A letter for each step in use and each one skipped between, at true proportion: filled when narrow,
 * outlined when wide. The roles stand under their step and are moved along the stair.
 */
export function Stair() {
  const store = useStore();
  const [over, setOver] = useState<number>();
  const list = useRef<HTMLOListElement>(null);
  const { document, derived } = useDecidedLater(['fonts', 'type'], ['styles']);
  const { heading } = document.fonts.roles;
  const { type } = document;
  const anchors = inOrder(type.anchors).map(([, { width }]) => width);
  const [narrow = 0, wide = 0] = [anchors[0], anchors.at(-1)];
  const fontFamily = useFace(heading.family);
  const byPlace = new Map<number, TextStyle[]>();
  for (const style of derived.styles.values())
    byPlace.set(style.place, [...(byPlace.get(style.place) ?? []), style]);
  const places = [...byPlace.keys()];
  const [lowest, highest] = [Math.min(...places), Math.max(...places)];
  const steps = Array.from({ length: highest - lowest + 1 }, (_, index) => {
    const place = lowest + index;
    const size = sizeOfPlaceIn(type, place);
    return {
      place,
      styles: byPlace.get(place) ?? [],
      narrowPx: fluidPx(size, narrow),
      widePx: fluidPx(size, wide),
    };
  });
  const largest = Math.max(...steps.flatMap(({ narrowPx, widePx }) => [narrowPx, widePx]));
  const scale = LETTER_HEIGHT / (largest * LETTER);
  const { ascent, descent } = heading.family.metrics;
  const baseline = (1 - ascent - descent) / 2;
  const total = steps.reduce((sum, { widePx }) => sum + widePx, 0);
  const spare = Math.max(0, WIDTH - steps.length * LEAST);
  const starts = steps.reduce(
    (all, { widePx }) => [...all, (all.at(-1) ?? 0) + LEAST + (widePx / total) * spare],
    [0],
  );

  const move = (id: string, name: string, place: number): void => {
    if (place < LOWEST_PLACE || place > HIGHEST_PLACE) return;
    store.change(
      [{ op: 'replace', path: `/type/roles/items/${id}/place`, value: place }],
      `place of ${name}`,
    );
  };
  /** The step under a point of the drawing. */
  const placeAt = (event: DragEvent): number | undefined => {
    const box = list.current?.getBoundingClientRect();
    const x = event.clientX - (box?.left ?? 0);
    return steps.find((_, index) => x < (starts[index + 1] ?? Infinity))?.place;
  };
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(undefined);
    const style = derived.styles.get(event.dataTransfer.getData(ROLE));
    const place = placeAt(event);
    if (style && place !== undefined && style.place !== place) move(style.id, style.name, place);
  };
  const press =
    ({ id, name }: TextStyle) =>
    (event: KeyboardEvent) => {
      const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
      // What is drawn can lag behind keys that follow each other closely; what is decided does not.
      const role = store.state().decided.document.type.roles.items[id];
      if (by === undefined || !role) return;
      event.preventDefault();
      move(id, name, role.place + by);
    };
  const rowOf = ({ id, place }: TextStyle): number =>
    (byPlace.get(place) ?? []).findIndex((one) => one.id === id);
  const rows = Math.max(...steps.map(({ styles }) => styles.length));
  return (
    <figure
      aria-label={`The sizes of ${steps.length} steps, narrow and wide`}
      className="overflow-x-auto contain-layout"
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes(ROLE)) return;
        event.preventDefault();
        setOver(placeAt(event));
      }}
      onDragLeave={() => setOver(undefined)}
      onDrop={drop}
    >
      <ol ref={list} className="flex text-xs">
        {steps.map(({ place, styles, narrowPx, widePx }, index) => (
          <li
            key={place}
            className={`relative min-w-0 shrink-0 ${over === place ? 'bg-base-300' : ''}`}
            style={{ width: (starts[index + 1] ?? 0) - (starts[index] ?? 0) }}
            aria-label={placeName(place)}
          >
            <span
              className={`relative block h-[4.75rem] border-b border-line-strong ${styles.length === 0 ? 'opacity-40' : ''}`}
              style={{ fontFamily, fontWeight: heading.weight }}
              title={`${placeName(place)}: ${narrowPx.toFixed(1)} px narrow, ${widePx.toFixed(1)} px wide`}
            >
              <Letter scale={(widePx * scale) / EM} baseline={baseline} outlined />
              <Letter scale={(narrowPx * scale) / EM} baseline={baseline} />
            </span>
            <span className="figures block truncate pt-0.5 text-quiet">{narrowPx.toFixed(0)}</span>
            <span className="figures block truncate text-quiet">{widePx.toFixed(0)}</span>
          </li>
        ))}
      </ol>
      {/* Apart from the steps and always in the same order, so that a role keeps the keyboard. */}
      <div className="relative text-xs" style={{ height: rows * ROW_PX }}>
        {[...derived.styles.values()].map((style) => {
          const index = style.place - lowest;
          return (
            <button
              key={style.id}
              type="button"
              draggable
              className="absolute min-h-6 min-w-6 cursor-grab truncate text-start font-semibold hover:underline"
              style={{
                left: starts[index],
                top: rowOf(style) * ROW_PX,
                maxWidth: (starts[index + 1] ?? 0) - (starts[index] ?? 0) - 4,
              }}
              title={`${style.name}, ${placeName(style.place)}: drag it along the stair, or use the arrow keys`}
              aria-label={`${style.name} stands ${placeName(style.place)}: arrow keys move it`}
              onDragStart={(event) => event.dataTransfer.setData(ROLE, style.id)}
              onKeyDown={press(style)}
            >
              {style.name}
            </button>
          );
        })}
      </div>
    </figure>
  );
}
