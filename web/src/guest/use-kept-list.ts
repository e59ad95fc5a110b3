import useSWR from 'swr';
import { get } from '../api/client.ts';
import { keptPageList } from '../api/kept-pages.ts';
import { guestKept, guestPath } from '../api/links.ts';
import type { GuestView } from './use-guest.ts';

/** The pages read from outside that a link opens, by name; it is asked for only where there are any. */
export function useKeptList(address: string, { hasKept }: GuestView) {
  const { data } = useSWR(hasKept ? guestKept(guestPath(address)) : null, (path: string) =>
    get(path, keptPageList),
  );
  return data?.pages ?? [];
}
