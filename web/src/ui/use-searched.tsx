import { useState, type ReactNode } from 'react';

/** Fewer are seen at a glance. */
const SEARCHED_FROM = 10;

interface Searched<Item> {
  readonly found: readonly Item[];
  /** The search field; nothing while the list is short. */
  readonly field: ReactNode;
}

/** A list that is searched by its items' names, upper and lower case alike. */
export function useSearched<Item>(
  items: readonly Item[],
  nameOf: (item: Item) => string,
): Searched<Item> {
  const [sought, setSought] = useState('');
  if (items.length <= SEARCHED_FROM) return { found: items, field: null };
  const words = sought.trim().toLowerCase();
  const found = items.filter((item) => nameOf(item).toLowerCase().includes(words));
  return {
    found,
    field: (
      <>
        <input
          type="search"
          className="input mb-2 w-full"
          aria-label="Part of a role’s name"
          placeholder="Part of a role’s name"
          value={sought}
          onChange={(event) => setSought(event.currentTarget.value)}
        />
        {found.length === 0 && <p className="text-quiet">No role is called so.</p>}
      </>
    ),
  };
}
