import { CATEGORIES } from '@garnish/core/fonts/family';
import {
  EMPTY_FILTER,
  ORDERS,
  SIZES,
  WEIGHTS,
  WIDTHS,
  type FamilyFilter,
} from '@garnish/core/fonts/family-filter';
import { LANGUAGE_CODES } from '@garnish/core/fonts/languages';
import { MOOD_WORDS } from '@garnish/core/fonts/mood';
import { Choice } from '../../ui/choice.tsx';
import { languageName } from './choosing.ts';

const keysOf = <Key extends string>(table: Readonly<Record<Key, unknown>>): Key[] =>
  Object.keys(table) as Key[];

const keyIn = <Key extends string>(table: Readonly<Record<Key, unknown>>, text: string): Key =>
  keysOf(table).find((key) => key === text) ?? ('any' as Key);

interface FilterProps {
  readonly filter: FamilyFilter;
  readonly onChange: (change: Partial<FamilyFilter>) => void;
}

/** What is asked for less often, folded away; how much of it is in force is told. */
const FOLDED = ['language', 'weights', 'size', 'width', 'kilobytes', 'italic', 'figures'] as const;

/** What the list of families is narrowed by. */
export function Filters({ filter, onChange }: FilterProps) {
  const asked = FOLDED.filter((key) => filter[key] !== EMPTY_FILTER[key]).length;
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
      </div>
      <details>
        <summary className="min-h-6">
          language, weights, proportions, bytes
          {asked > 0 && <span className="text-primary">: {asked} asked for</span>}
        </summary>
        <div className="grid grid-cols-3 gap-x-3 gap-y-1 pb-1">
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
            aria-label="Weights that it has"
            value={filter.weights}
            onChange={(event) => onChange({ weights: keyIn(WEIGHTS, event.currentTarget.value) })}
          >
            {keysOf(WEIGHTS).map((weights) => (
              <option key={weights} value={weights}>
                {weights === 'any' ? 'any weights' : `weights ${weights}`}
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
          <span className="flex items-center gap-4">
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
      </details>
    </div>
  );
}
