import * as z from 'zod/mini';

export const keptPageList = z.object({
  pages: z.array(z.object({ id: z.string(), name: z.string() })),
});

export const keptPagesPath = (system: string): string => `/api/systems/${system}/kept-pages`;
