import { verification } from '@garnish/core/verify/report';
import * as z from 'zod/mini';

/** What came out when files were verified last, and of which state; nothing where they never were. */
export const keptVerification = z.nullable(z.object({ sequence: z.number(), verification }));
