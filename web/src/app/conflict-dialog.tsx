import { useState } from 'react';
import type { Choice, Conflict, Contested } from '../system/pending.ts';
import { useStore } from '../system/system-context.ts';
import { Dialog } from '../ui/dialog.tsx';

const LONGEST = 300;

const shown = (value: unknown): string => {
  if (value === undefined) return 'nothing';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
};

const placeName = (path: string): string =>
  path
    .split('/')
    .slice(1)
    .filter((part) => part !== 'items')
    .join(' › ');

const SIDES = [
  ['mine', 'From here'],
  ['theirs', 'From there'],
] as const satisfies readonly (readonly [Choice, string])[];

interface PlaceProps {
  readonly place: Contested;
  readonly choice: Choice | undefined;
  readonly onChoose: (choice: Choice) => void;
}

/** One value in two versions, side by side: the one that stays is chosen. */
function Place({ place, choice, onChoose }: PlaceProps) {
  const { path } = place;
  return (
    <fieldset className="border-t border-line py-2">
      <legend className="float-start mb-1 w-full text-quiet">{placeName(path)}</legend>
      <div className="clear-both grid gap-x-4 gap-y-1 sm:grid-cols-2">
        {SIDES.map(([side, name]) => (
          <label key={side} className="flex min-h-6 min-w-0 items-baseline gap-2">
            <input
              type="radio"
              className="accent-primary"
              name={path}
              aria-label={`${name}: ${shown(place[side])}`}
              checked={choice === side}
              onChange={() => onChoose(side)}
            />
            <span className="min-w-0">
              <span className="block text-xs text-quiet">{name}</span>
              <span className={`block break-words ${choice === side ? 'font-semibold' : ''}`}>
                {shown(place[side])}
              </span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** Two windows changed the same values: none of them disappears until somebody has chosen. */
export default function ConflictDialog({ conflict }: { readonly conflict: Conflict }) {
  const store = useStore();
  const [choices, setChoices] = useState<ReadonlyMap<string, Choice>>(new Map());
  const { places } = conflict;
  const all = (choice: Choice): ReadonlyMap<string, Choice> =>
    new Map(places.map(({ path }) => [path, choice]));
  const left = places.filter(({ path }) => !choices.has(path)).length;
  return (
    <Dialog title="Changed in two places at once">
      <p className="mb-2 text-quiet">
        {places.length === 1
          ? 'This value was changed here and elsewhere. Which one stays?'
          : `These ${places.length} values were changed here and elsewhere. Which ones stay?`}
      </p>
      <div className="-mx-1 max-h-[50vh] overflow-y-auto px-1">
        {places.map((place) => (
          <Place
            key={place.path}
            place={place}
            choice={choices.get(place.path)}
            onChoose={(choice) => setChoices(new Map([...choices, [place.path, choice]]))}
          />
        ))}
      </div>
      <p className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <button
          type="button"
          className="btn btn-primary"
          disabled={left > 0}
          onClick={() => store.resolve(choices)}
        >
          Go on with these
        </button>
        {SIDES.map(([side, name]) => (
          <button key={side} type="button" className="act" onClick={() => store.resolve(all(side))}>
            All {name.toLowerCase()}
          </button>
        ))}
        {left > 0 && <span className="text-quiet">{left} to choose</span>}
      </p>
    </Dialog>
  );
}
