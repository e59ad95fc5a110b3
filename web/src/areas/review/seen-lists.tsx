import type { SeenElement, SeenKind, SeenValue } from '@garnish/core/reading/seen';
import { percent } from '@garnish/core/reading/drift-report';
import { sizeWords } from '@garnish/core/measures/geometry';
import { useState } from 'react';
import type { Looked } from '../../proof/reading/page-frame.tsx';
import { Swatch } from '../../ui/swatch.tsx';

/** So many values of a kind are told at once. */
const FIRST_VALUES = 8;
const COLORED: ReadonlySet<SeenKind> = new Set([
  'ground',
  'text color',
  'link color',
  'line color',
  'gradient',
]);

interface KindProps {
  readonly kind: SeenKind;
  readonly values: readonly SeenValue[];
  readonly open: string | undefined;
  readonly onOpen: (value: string | undefined, places: readonly number[]) => void;
}

/** The values of a kind, each with how often and on how much of the page it stands; a click marks where. */
export function Kind({ kind, values, open, onOpen }: KindProps) {
  const [isWhole, setWhole] = useState(false);
  return (
    <details className="border-t border-line">
      <summary className="min-h-7 cursor-pointer">
        {kind} <span className="figures float-end text-quiet">{values.length}</span>
      </summary>
      <ul aria-label={kind} className="pb-2">
        {(isWhole ? values : values.slice(0, FIRST_VALUES)).map(
          ({ value, count, area, places }) => (
            <li
              key={value}
              className="grid items-baseline grid-cols-[minmax(0,1fr)_3.5rem_4.5rem] gap-x-2"
            >
              <button
                type="button"
                aria-pressed={open === value}
                className="figures min-h-6 truncate text-start hover:underline aria-pressed:font-semibold"
                title={value}
                onClick={() => onOpen(open === value ? undefined : value, places)}
              >
                {COLORED.has(kind) && <Swatch value={value} />}
                {value}
              </button>
              <span className="figures text-end text-quiet">{count} ×</span>
              <span className="figures text-end text-quiet">{percent(area)}</span>
            </li>
          ),
        )}
        {!isWhole && values.length > FIRST_VALUES && (
          <li>
            <button type="button" className="act" onClick={() => setWhole(true)}>
              {values.length - FIRST_VALUES} more
            </button>
          </li>
        )}
      </ul>
    </details>
  );
}

export interface ListProps {
  readonly looked: Looked;
  readonly open: string | undefined;
  readonly onOpen: (value: string | undefined, places: readonly number[]) => void;
}

interface PlacesProps extends Pick<ListProps, 'open' | 'onOpen'> {
  readonly title: string;
  readonly why: string;
  readonly lines: readonly { readonly words: string; readonly places: readonly number[] }[];
}

/** Single things of the page under one title; a click marks one. */
const Places = ({ title, why, lines, open, onOpen }: PlacesProps) =>
  lines.length === 0 ? null : (
    <details className="border-t border-line">
      <summary className="min-h-7 cursor-pointer">
        {title} <span className="figures float-end text-quiet">{lines.length}</span>
      </summary>
      <p className="text-quiet">{why}</p>
      <ul aria-label={title} className="max-h-72 overflow-auto pb-2">
        {lines.map(({ words, places }) => {
          const key = `${title} ${places.join(' ')}`;
          return (
            <li key={key}>
              <button
                type="button"
                aria-pressed={open === key}
                className="figures min-h-6 text-start hover:underline aria-pressed:font-semibold"
                onClick={() => onOpen(open === key ? undefined : key, places)}
              >
                {words}
              </button>
            </li>
          );
        })}
      </ul>
    </details>
  );

/** Pictures and drawings of the page, one by one. */
export function Things({ looked: { seen }, open, onOpen }: ListProps) {
  const linesOf = (isOne: (one: SeenElement) => boolean): PlacesProps['lines'] =>
    seen.flatMap((one, place) =>
      isOne(one)
        ? [
            {
              places: [place],
              words: `${one.name}, ${sizeWords(one.box.width)} × ${sizeWords(one.box.height)}`,
            },
          ]
        : [],
    );
  return (
    <>
      <Places
        title="picture"
        why="For reference: none of them is taken into anything."
        lines={linesOf(({ hasRoom, picture }) => hasRoom !== undefined || picture.includes('url('))}
        open={open}
        onOpen={onOpen}
      />
      <Places
        title="drawing"
        why="Signs and drawings as SVG, for reference."
        lines={linesOf(({ isDrawing }) => isDrawing)}
        open={open}
        onOpen={onOpen}
      />
    </>
  );
}

/** What the page itself gets wrong, as it is shown. */
export function Wrong({ looked: { page, seen }, open, onOpen }: ListProps) {
  const one = (place: number) => ({ words: seen[place]?.name ?? '', places: [place] });
  const lists: readonly (readonly [string, string, PlacesProps['lines']])[] = [
    [
      'words too faint',
      'They stand out less than WCAG 2.2 asks (1.4.3, AA).',
      page.faint.map(({ place, ratio, needed, color, ground }) => ({
        words: `${seen[place]?.name ?? ''}: ${(Math.floor(ratio * 100) / 100).toFixed(2)} of ${needed}, ${color} on ${ground}`,
        places: [place],
      })),
    ],
    [
      'words over pictures',
      'How they stand out there cannot be told from colors.',
      page.unjudged.map(one),
    ],
    [
      'pictures without room',
      'The page says not how large they are: what is below them jumps when they come.',
      page.withoutRoom.map(one),
    ],
    [
      'nearly one text style',
      'They differ by one thing, and by little: probably they were meant to be one. Common practice.',
      page.nearStyles.map(({ styles: [first, second], by, places }) => ({
        words: `${second}: but for its ${by} it is ${first}`,
        places,
      })),
    ],
  ];
  return lists.map(([title, why, lines]) => (
    <Places key={title} title={title} why={why} lines={lines} open={open} onOpen={onOpen} />
  ));
}
