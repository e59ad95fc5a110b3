import { keptPageSchema, type KeptPage, type Wearing } from '@garnish/core/worn/wearing';
import * as z from 'zod/mini';
import { send } from './client.ts';

export const keptPageList = z.object({
  pages: z.array(z.object({ id: z.string(), name: z.string() })),
});

export const keptPageRecord = keptPageSchema;

export const keptPagesPath = (system: string): string => `/api/systems/${system}/kept-pages`;

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
