import { keptPageSchema } from '@garnish/core/worn/wearing';
import { useEffect, useRef } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { keepingPages } from '../api/keeping-pages.ts';
import { keptPagesPath } from '../api/kept-pages.ts';
import { useKeptPages } from './kept-pages.ts';
import { onNews } from './news.ts';
import { showPage } from './shown-page.ts';

/** Pages that are being deleted from here: nobody asks for them any more. */
const going = new Set<string>();

/** Deletes a page; what is asked for meanwhile is not that page. */
export async function deleteKeptPage(system: string, id: string): Promise<void> {
  going.add(id);
  try {
    await keepingPages(system).remove(id);
  } catch (error) {
    going.delete(id);
    throw error;
  }
}

/**
 * A kept page with all that stands on it; what another window says of it is taken over. One that was deleted is
 * shown no longer.
 */
export function useKeptPage(system: string, id: string) {
  const { data: list, mutate: renewList } = useKeptPages(system);
  const isThere = list?.pages.some((page) => page.id === id);
  const wasThere = useRef(false);
  // A list from before it was kept does not know it yet: only what was there can be gone.
  useEffect(() => {
    if (isThere === true) wasThere.current = true;
    else if (isThere === false && wasThere.current) showPage(system, '');
  }, [isThere, system]);
  const known = useSWR(`${keptPagesPath(system)}/${id}`, (path: string) =>
    get(path, keptPageSchema),
  );
  const { mutate } = known;
  useEffect(() => {
    const renew = async (): Promise<void> => {
      const next = await renewList();
      if (next?.pages.some((page) => page.id === id) === true && !going.has(id)) await mutate();
    };
    return onNews(() => void renew());
  }, [renewList, mutate, id]);
  return known;
}
