import type { KeptPage, Wearing } from '@garnish/core/worn/wearing';
import { send } from './client.ts';
import { keptPagesPath } from './kept-pages.ts';

/** How pages that a system is proved on are kept. */
export const keepingPages = (system: string) => {
  const path = keptPagesPath(system);
  return {
    add: (id: string, page: KeptPage) => send('POST', path, { id, page }),
    rename: (id: string, name: string) => send('PUT', `${path}/${id}`, { name }),
    wear: (id: string, kind: string, wearing: Wearing) =>
      send('PUT', `${path}/${id}`, { kind, wearing }),
    remove: (id: string) => send('DELETE', `${path}/${id}`),
  };
};
