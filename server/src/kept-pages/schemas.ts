import { keptPageSchema } from '@garnish/core/worn/wearing';
import * as z from 'zod';

/** What core has a schema of is looked at with it at the border. */
export const as = <Value>(
  schema: { safeParse: (value: unknown) => { success: boolean; data?: Value } },
  message: string,
) => z.custom<Value>((value) => schema.safeParse(value).success, { message });

export const keptPage = as(keptPageSchema, 'is no page');

export const keptList = z.object({
  pages: z.array(z.object({ id: z.string(), name: z.string() })),
});
