import {
  CATEGORIES,
  hasItalic,
  nearestWeight,
  weightsOf,
  type Category,
  type FontFamily,
} from '@garnish/core/fonts/family';
import { firstBytes, neededFiles } from '@garnish/core/fonts/files';
import { LANGUAGE_CODES, type LanguageCode } from '@garnish/core/fonts/languages';
import { MOOD_WORDS, moodFit, type MoodWord } from '@garnish/core/fonts/mood';
import type { Face } from '@garnish/core/system/document';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import { useSystem } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { useFace } from '../../ui/use-face.ts';
import { useTryList } from '../../ui/use-try-list.ts';
import { choosing, languageName } from './choosing.ts';

const ROW_PX = 40;

type Range = readonly [from: number, to: number];

/** Heights of small letters, and mean widths of a character, as shares of the em. */
const SIZES = {
  any: [0, 1],
  small: [0, 0.46],
  middling: [0.46, 0.52],
  large: [0.52, 1],
} as const satisfies Record<string, Range>;
const WIDTHS = {
  any: [0, 1],
  narrow: [0, 0.42],
  ordinary: [0.42, 0.47],
  wide: [0.47, 1],
} as const satisfies Record<string, Range>;
type Size = keyof typeof SIZES;
type Width = keyof typeof WIDTHS;

const within = (value: number, [from, to]: Range): boolean => value >= from && value < to;

interface Filter {
  readonly category: Category | 'all';
  readonly name: string;
  readonly mood: MoodWord | '';
  readonly language: LanguageCode | '';
  readonly italic: boolean;
  readonly figures: boolean;
  readonly weights: number;
  readonly size: Size;
  readonly width: Width;
  readonly kilobytes: number;
  readonly order: Order;
}

const ORDERS = ['name', 'x-height', 'width', 'bytes', 'mood'] as const;
type Order = (typeof ORDERS)[number];

const EMPTY: Filter = {
  category: 'all',
  name: '',
  mood: '',
  language: '',
  italic: false,
  figures: false,
  weights: 1,
  size: 'any',
  width: 'any',
  kilobytes: 1000,
  order: 'name',
};

const bytesOf = (family: FontFamily): number =>
  firstBytes(neededFiles(family, { upright: [400, 700], italic: [], languages: ['en'] }));

/** How well a family must carry a word to be shown under it. */
const CARRIES = 0.62;

function filtered(families: readonly FontFamily[], filter: Filter): FontFamily[] {
  const { category, name, mood, language, italic, figures, weights, order } = filter;
  const { kilobytes, size, width } = filter;
  const kept = families.filter(
    (family) =>
      (category === 'all' || family.category === category) &&
      family.name.toLowerCase().includes(name.trim().toLowerCase()) &&
      (mood === '' || moodFit(family, mood) >= CARRIES) &&
      (language === '' || family.languages.includes(language)) &&
      (!italic || hasItalic(family)) &&
      (!figures || family.figures !== 'proportional') &&
      weightsOf(family).length >= weights &&
      within(family.metrics.xHeight, SIZES[size]) &&
      within(family.metrics.letterWidths.en, WIDTHS[width]) &&
      bytesOf(family) <= kilobytes * 1000,
  );
  const key: Readonly<Record<Order, (family: FontFamily) => number>> = {
    name: () => 0,
    'x-height': ({ metrics }) => -metrics.xHeight,
    width: ({ metrics }) => metrics.letterWidths.en,
    bytes: bytesOf,
    mood: (family) => (mood === '' ? 0 : -moodFit(family, mood)),
  };
  return kept.toSorted((one, other) => key[order](one) - key[order](other));
}

/** The figure that the list is ordered by, in its own unit. */
const figureOf = (family: FontFamily, { mood, order }: Filter): string => {
  if (order === 'width') return family.metrics.letterWidths.en.toFixed(2);
  if (order === 'bytes') return `${Math.round(bytesOf(family) / 1000)} kB`;
  if (order === 'mood' && mood !== '') return `${Math.round(moodFit(family, mood) * 100)} %`;
  return family.metrics.xHeight.toFixed(2);
};

const FIGURE_NAMES: Readonly<Record<Order, string>> = {
  name: 'x-height',
  'x-height': 'x-height',
  width: 'width, em',
  bytes: 'two weights',
  mood: 'carries it',
};

function Name({ family, weight }: { readonly family: FontFamily; readonly weight: number }) {
  const fontFamily = useFace(family);
  return (
    <span style={{ fontFamily, fontWeight: nearestWeight(family, weight), fontSynthesis: 'none' }}>
      {family.name}
    </span>
  );
}

const keysOf = <Key extends string>(table: Readonly<Record<Key, Range>>): Key[] =>
  Object.keys(table) as Key[];

const keyIn = <Key extends string>(table: Readonly<Record<Key, Range>>, text: string): Key =>
  keysOf(table).find((key) => key === text) ?? ('any' as Key);

interface FilterProps {
  readonly filter: Filter;
  readonly onChange: (change: Partial<Filter>) => void;
}

function Filters({ filter, onChange }: FilterProps) {
  return (
    <div className="mb-2 grid gap-1">
      <Choice
        label="Kind of face"
        options={(['all', ...CATEGORIES] as const).map((value) => ({ value, name: value }))}
        value={filter.category}
        onChange={(category) => onChange({ category })}
      />
      <div className="grid grid-cols-3 gap-x-3 gap-y-1">
        <input
          type="search"
          className="input w-full"
          placeholder="Search by name"
          aria-label="Search by name"
          value={filter.name}
          onChange={(event) => onChange({ name: event.currentTarget.value })}
        />
        <select
          className="select w-full"
          aria-label="Mood that it carries"
          value={filter.mood}
          onChange={(event) => {
            const mood = MOOD_WORDS.find((word) => word === event.currentTarget.value) ?? '';
            onChange({ mood, order: mood === '' ? 'name' : 'mood' });
          }}
        >
          <option value="">any mood</option>
          {MOOD_WORDS.map((word) => (
            <option key={word}>{word}</option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label="Language that it writes"
          value={filter.language}
          onChange={(event) =>
            onChange({
              language: LANGUAGE_CODES.find((code) => code === event.currentTarget.value) ?? '',
            })
          }
        >
          <option value="">any language</option>
          {LANGUAGE_CODES.map((code) => (
            <option key={code} value={code}>
              {languageName(code)}
            </option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label="Weights at least"
          value={filter.weights}
          onChange={(event) => onChange({ weights: Number(event.currentTarget.value) })}
        >
          {[1, 2, 4, 6, 9].map((count) => (
            <option key={count} value={count}>
              {count === 1 ? 'any weights' : `${count} weights or more`}
            </option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label="Size of small letters"
          value={filter.size}
          onChange={(event) => onChange({ size: keyIn(SIZES, event.currentTarget.value) })}
        >
          {keysOf(SIZES).map((size) => (
            <option key={size} value={size}>
              {size} x-height
            </option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label="Width of letters"
          value={filter.width}
          onChange={(event) => onChange({ width: keyIn(WIDTHS, event.currentTarget.value) })}
        >
          {keysOf(WIDTHS).map((width) => (
            <option key={width} value={width}>
              {width} width
            </option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label="Bytes at most"
          value={filter.kilobytes}
          onChange={(event) => onChange({ kilobytes: Number(event.currentTarget.value) })}
        >
          {[1000, 80, 50, 30].map((most) => (
            <option key={most} value={most}>
              {most === 1000 ? 'any bytes' : `up to ${most} kB`}
            </option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label="Ordered by"
          value={filter.order}
          onChange={(event) =>
            onChange({
              order: ORDERS.find((order) => order === event.currentTarget.value) ?? 'name',
            })
          }
        >
          {ORDERS.filter((order) => order !== 'mood' || filter.mood !== '').map((order) => (
            <option key={order} value={order}>
              by {order}
            </option>
          ))}
        </select>
        <span className="col-span-2 flex items-center gap-4">
          {(
            [
              ['italic', 'italic'],
              ['figures', 'even figures'],
            ] as const
          ).map(([key, words]) => (
            <label key={key} className="flex min-h-6 items-center gap-1 whitespace-nowrap">
              <input
                type="checkbox"
                className="h-4 w-4 accent-primary"
                checked={filter[key]}
                onChange={(event) => onChange({ [key]: event.currentTarget.checked })}
              />
              {words}
            </label>
          ))}
        </span>
      </div>
    </div>
  );
}

interface FamilyListProps {
  readonly families: readonly FontFamily[];
  readonly face: Face;
}

/** Every family set in itself; moving through the list tries each in the proof. */
export function FamilyList({ families, face }: FamilyListProps) {
  const { decided } = useSystem();
  const { family: chosen, weight } = decided.document.fonts.roles[face];
  const [filter, setFilter] = useState(EMPTY);
  const room = useRef<HTMLUListElement>(null);
  const shown = filtered(families, filter);
  const candidates = shown.map((family) => ({
    id: family.id,
    patch:
      family.id === chosen.id && family.version === chosen.version
        ? undefined
        : choosing(face, family),
    label: `${face} face ${family.name}`,
  }));
  const list = useTryList(candidates, chosen.id);
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => room.current,
    estimateSize: () => ROW_PX,
    overscan: 6,
  });

  const activeAt = shown.findIndex(({ id }) => id === list.active);
  useEffect(() => {
    if (activeAt >= 0) rows.scrollToIndex(activeAt, { align: 'auto' });
  }, [activeAt, rows]);

  return (
    <>
      <Filters filter={filter} onChange={(change) => setFilter({ ...filter, ...change })} />
      <div className="flex gap-3 border-b border-line-strong px-1.5 text-xs text-quiet" aria-hidden>
        <span className="grow">
          {shown.length} of {families.length}
        </span>
        <span>{FIGURE_NAMES[filter.order]}</span>
        <span className="w-12 text-end">kind</span>
      </div>
      {shown.length === 0 ? (
        <p className="py-4 text-quiet">
          No family is like this.{' '}
          <button type="button" className="act" onClick={() => setFilter(EMPTY)}>
            Show all
          </button>
        </p>
      ) : (
        <ul
          ref={room}
          role="listbox"
          tabIndex={0}
          aria-label={`Families for the ${face} face`}
          aria-activedescendant={list.active && `family-${list.active}`}
          className="h-[25rem] overflow-y-auto"
          onKeyDown={list.press}
          onPointerLeave={list.goBack}
          onBlur={list.goBack}
        >
          <li role="presentation" style={{ height: rows.getTotalSize() }} className="relative">
            {rows.getVirtualItems().map(({ index, start }) => {
              const family = shown[index];
              const candidate = candidates[index];
              if (!family || !candidate) return null;
              return (
                <div
                  key={family.id}
                  id={`family-${family.id}`}
                  role="option"
                  aria-selected={family.id === chosen.id}
                  aria-label={`${family.name}, ${family.category}`}
                  data-active={family.id === list.active || undefined}
                  className="absolute inset-x-0 flex h-10 cursor-pointer items-center gap-3 border-b border-line px-1.5 data-active:bg-base-300"
                  style={{ transform: `translateY(${start}px)` }}
                  onPointerEnter={() => list.point(candidate)}
                  onClick={() => list.take(candidate)}
                >
                  <span className="w-2 text-primary" aria-hidden>
                    {family.id === chosen.id ? '●' : ''}
                  </span>
                  <span className="min-w-0 grow truncate text-xl leading-10">
                    <Name family={family} weight={weight} />
                  </span>
                  <span className="figures text-xs text-quiet">{figureOf(family, filter)}</span>
                  <span className="w-12 text-end text-xs text-quiet">{family.category}</span>
                </div>
              );
            })}
          </li>
        </ul>
      )}
    </>
  );
}
