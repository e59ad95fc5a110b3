import {
  CATEGORIES,
  nearestWeight,
  type Category,
  type FontFamily,
} from '@garnish/core/fonts/family';
import type { Face } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { useFace } from '../../ui/use-face.ts';

const HOVER_MS = 90;

const choosing = (face: Face, family: FontFamily): Patch => [
  { op: 'replace', path: `/fonts/roles/${face}/family`, value: jsonOf(family) },
];

interface RowProps {
  readonly family: FontFamily;
  readonly weight: number;
  readonly id: string;
  readonly active: boolean;
  readonly chosen: boolean;
  readonly onEnter: () => void;
  readonly onTake: () => void;
}

function Row({ family, weight, id, active, chosen, onEnter, onTake }: RowProps) {
  const row = useRef<HTMLLIElement>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    if (!row.current) return;
    const observer = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) setNear(true);
      },
      { rootMargin: '200px' },
    );
    observer.observe(row.current);
    return () => observer.disconnect();
  }, []);
  useEffect(() => {
    if (active) row.current?.scrollIntoView({ block: 'nearest' });
  }, [active]);
  return (
    <li
      ref={row}
      id={id}
      role="option"
      aria-selected={chosen}
      aria-label={`${family.name}, ${family.category}`}
      data-active={active || undefined}
      className="flex h-10 cursor-pointer items-center gap-3 border-b border-line px-1.5 data-active:bg-base-300"
      onPointerEnter={onEnter}
      onClick={onTake}
    >
      <span className="w-2 text-primary" aria-hidden>
        {chosen ? '●' : ''}
      </span>
      <span className="min-w-0 grow truncate text-xl leading-10">
        {near ? <Name family={family} weight={weight} /> : family.name}
      </span>
      <span className="figures text-xs text-quiet">{family.metrics.xHeight.toFixed(2)}</span>
      <span className="w-12 text-end text-xs text-quiet">{family.category}</span>
    </li>
  );
}

function Name({ family, weight }: { readonly family: FontFamily; readonly weight: number }) {
  const fontFamily = useFace(family);
  return (
    <span style={{ fontFamily, fontWeight: nearestWeight(family, weight), fontSynthesis: 'none' }}>
      {family.name}
    </span>
  );
}

interface FamilyListProps {
  readonly families: readonly FontFamily[];
  readonly face: Face;
}

/** Every family set in itself; moving through the list tries each in the proof. */
export function FamilyList({ families, face }: FamilyListProps) {
  const store = useStore();
  const { decided } = useSystem();
  const { family: chosen, weight } = decided.document.fonts.roles[face];
  const [category, setCategory] = useState<Category | 'all'>('all');
  const [sought, setSought] = useState('');
  const [active, setActive] = useState<string>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const shown = families.filter(
    (family) =>
      (category === 'all' || family.category === category) &&
      family.name.toLowerCase().includes(sought.trim().toLowerCase()),
  );

  useEffect(
    () => () => {
      clearTimeout(timer.current);
      store.tryOut(undefined);
    },
    [store],
  );

  const tryOut = (family: FontFamily): void => {
    setActive(family.id);
    store.tryOut(family.id === chosen.id ? undefined : choosing(face, family));
  };
  const goBack = (): void => {
    clearTimeout(timer.current);
    setActive(undefined);
    store.tryOut(undefined);
  };
  const take = (family: FontFamily): void => {
    clearTimeout(timer.current);
    setActive(family.id);
    if (family.id === chosen.id && family.version === chosen.version) store.tryOut(undefined);
    else store.change(choosing(face, family), `${face} face ${family.name}`);
  };

  const press = (event: KeyboardEvent): void => {
    const at = shown.findIndex(({ id }) => id === (active ?? chosen.id));
    const to = {
      ArrowDown: Math.min(shown.length - 1, at + 1),
      ArrowUp: Math.max(0, at - 1),
      PageDown: Math.min(shown.length - 1, at + 8),
      PageUp: Math.max(0, at - 8),
      Home: 0,
      End: shown.length - 1,
    }[event.key];
    const next = to === undefined ? undefined : shown[to];
    const current = shown.find(({ id }) => id === active);
    if (next) tryOut(next);
    else if (event.key === 'Enter' && current) take(current);
    else if (event.key === 'Escape') goBack();
    else return;
    event.preventDefault();
  };

  return (
    <>
      <div className="mb-1 flex flex-wrap items-center gap-x-4">
        <Choice
          label="Kind of face"
          options={(['all', ...CATEGORIES] as const).map((value) => ({ value, name: value }))}
          value={category}
          onChange={setCategory}
        />
        <input
          type="search"
          className="input min-w-32 flex-1"
          placeholder="Search by name"
          aria-label="Search by name"
          value={sought}
          onChange={(event) => setSought(event.currentTarget.value)}
        />
      </div>
      <div
        className="flex justify-end gap-3 border-b border-line-strong px-1.5 text-xs text-quiet"
        aria-hidden
      >
        <span>x-height</span>
        <span className="w-12 text-end">kind</span>
      </div>
      {shown.length === 0 ? (
        <p className="py-4 text-quiet">No family is called so. Clear the search, or choose all.</p>
      ) : (
        <ul
          role="listbox"
          tabIndex={0}
          aria-label={`Families for the ${face} face`}
          aria-activedescendant={active && `family-${active}`}
          onKeyDown={press}
          onPointerLeave={goBack}
          onBlur={goBack}
        >
          {shown.map((family) => (
            <Row
              key={family.id}
              id={`family-${family.id}`}
              family={family}
              weight={weight}
              active={family.id === active}
              chosen={family.id === chosen.id}
              onEnter={() => {
                clearTimeout(timer.current);
                timer.current = setTimeout(() => tryOut(family), HOVER_MS);
              }}
              onTake={() => take(family)}
            />
          ))}
        </ul>
      )}
    </>
  );
}
