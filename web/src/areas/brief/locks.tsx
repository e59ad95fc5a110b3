import { AREAS } from '@garnish/core/system/areas';
import type { Area } from '@garnish/core/system/areas/area';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import { isLocked, lockedIn, locking, stateSources } from '@garnish/core/system/locks';
import { patched, valueAt } from '@garnish/core/system/patch';
import { Lock, LockOpen } from 'lucide-react';
import { useState } from 'react';
import { useStore, useSystem } from '../../system/system-context.ts';

/** What can be locked by its name: everything that is decided somewhere. */
interface Lockable {
  readonly name: string;
  readonly path: string;
}

/** So many are shown of what answers to some words. */
const MOST_FOUND = 8;

const lockables = (document: StyleDocument): readonly Lockable[] => [
  ...inOrder(document.color.sources).map(([id, { name }]) => ({
    name: `Color ${name}`,
    path: `/color/sources/items/${id}`,
  })),
  ...(AREAS as readonly Area[]).flatMap(({ named }) => named?.(document) ?? []),
];

/** Several things that belong together. */
interface Together {
  readonly name: string;
  readonly paths: readonly string[];
}

/** What is locked most often, as one each. */
function together(document: StyleDocument): readonly Together[] {
  const { color } = document;
  const states = stateSources(color);
  const brand = color.roles.items['action']?.light;
  const source =
    brand?.kind === 'source' ? brand.source : brand && 'ramp' in brand ? brand.ramp : undefined;
  return [
    { name: 'logo', paths: ['/layout/logo'] },
    {
      name: 'brand color',
      paths:
        source !== undefined && Object.hasOwn(color.sources.items, source)
          ? [`/color/sources/items/${source}`]
          : [],
    },
    { name: 'colors of states', paths: [...states].map((id) => `/color/sources/items/${id}`) },
    { name: 'pictures', paths: color.veils.order.map((id) => `/color/veils/items/${id}`) },
  ].filter(({ paths }) => paths.length > 0);
}

/** What dials, palettes and repairs leave as it is; whoever changes it by hand, changes it all the same. */
export function Locks() {
  const store = useStore();
  const document = useSystem(({ decided }) => decided.document);
  const [sought, setSought] = useState('');
  const locked = lockedIn(document);
  const all = lockables(document);
  const nameOf = (path: string): string =>
    all.find((one) => one.path === path)?.name ??
    (valueAt(document, path) === undefined ? `${path}, which is not there any more` : path);
  const set = (name: string, paths: readonly string[], isOn: boolean): void => {
    let next = store.state().decided.document;
    for (const path of paths) {
      const result = patched(next, locking(next, path, isOn));
      if (result.ok) next = result.document;
    }
    const value = lockedIn(next);
    store.change(
      value.length > 0
        ? [{ op: 'add', path: '/brief/locked', value }]
        : [{ op: 'remove', path: '/brief/locked' }],
      isOn ? `${name} locked` : `${name} open again`,
    );
  };
  const words = sought.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found =
    words.length === 0
      ? []
      : all.filter(
          ({ name, path }) =>
            words.every((word) => name.toLowerCase().includes(word)) && !isLocked(locked, path),
        );
  return (
    <div data-decision="/brief/locked">
      <p className="text-quiet">
        Dials, palettes and repairs leave these as they are. By hand they can be changed.
      </p>
      <div className="mt-1 flex flex-wrap gap-x-4">
        {together(document).map(({ name, paths }) => {
          const isOn = paths.every((path) => isLocked(locked, path));
          return (
            <label key={name} className="flex min-h-6 items-center gap-1.5">
              <input
                type="checkbox"
                className="h-4 w-4 accent-primary"
                checked={isOn}
                onChange={() => set(name, paths, !isOn)}
              />
              {name}
            </label>
          );
        })}
      </div>
      <input
        type="search"
        className="input mt-1 w-full"
        aria-label="Find a decision to lock"
        placeholder="any other decision, by its name"
        value={sought}
        onChange={({ currentTarget }) => setSought(currentTarget.value)}
      />
      {words.length > 0 && (
        <ul aria-label="Decisions that can be locked">
          {found.slice(0, MOST_FOUND).map(({ name, path }) => (
            <li key={`${path} ${name}`} className="border-b border-line">
              <button
                type="button"
                className="act gap-1.5"
                onClick={() => {
                  set(name, [path], true);
                  setSought('');
                }}
              >
                <Lock size={13} aria-hidden /> Lock {name}
              </button>
            </li>
          ))}
          {found.length === 0 && <li className="text-quiet">Nothing that is open is called so.</li>}
          {found.length > MOST_FOUND && (
            <li className="text-quiet">and {found.length - MOST_FOUND} more</li>
          )}
        </ul>
      )}
      {locked.length > 0 && (
        <ul aria-label="Locked" className="mt-2">
          {locked.map((path) => (
            <li
              key={path}
              className="flex items-center justify-between gap-x-3 border-b border-line"
            >
              <span className="flex min-w-0 items-center gap-x-1.5">
                <Lock size={13} aria-hidden className="shrink-0 text-quiet" />
                <span className="truncate">{nameOf(path)}</span>
              </span>
              <button
                type="button"
                className="act gap-1.5"
                onClick={() => set(nameOf(path), [path], false)}
              >
                <LockOpen size={13} aria-hidden /> Open
                <span className="sr-only"> {nameOf(path)}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
