import { useEffect } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { keptPageList, keptPagesPath } from '../api/kept-pages.ts';
import { onNews } from './news.ts';

/** The pages that are kept with a system to prove it on, by name. */
export function useKeptPages(system: string) {
  const known = useSWR(keptPagesPath(system), (path: string) => get(path, keptPageList));
  const { mutate } = known;
  useEffect(() => onNews(() => void mutate()), [mutate]);
  return known;
}
