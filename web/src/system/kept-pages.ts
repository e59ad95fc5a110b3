import { useEffect } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { keepingPages, keptPageList, keptPageRecord, keptPagesPath } from '../api/kept-pages.ts';
import { onNews } from './news.ts';
import { hideKeptPage } from './shown-page.ts';

/** The pages that are kept with a system to prove it on, by name. */
export function useKeptPages(system: string) {
  const known = useSWR(keptPagesPath(system), (path: string) => get(path, keptPageList));
  const { mutate } = known;
  useEffect(() => onNews(() => void mutate()), [mutate]);
  return known;
}

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
  const isGone = list?.pages.every((page) => page.id !== id) === true;
  useEffect(() => {
    if (isGone) hideKeptPage(system);
  }, [isGone, system]);
  const known = useSWR(`${keptPagesPath(system)}/${id}`, (path: string) =>
    get(path, keptPageRecord),
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
