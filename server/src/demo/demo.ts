import { readFileSync } from 'node:fs';
import { validate } from '@garnish/core/system/validate';
import type { Pictures } from '../pictures/pictures.ts';
import type { Store } from '../systems/store.ts';
import { brackwater } from './brackwater.ts';
import { portraitFiles } from './portraits.ts';
import { kestrel } from './kestrel.ts';
import { tallow } from './tallow.ts';

/** The systems that a first start shows; all made up. */
export const demoSystems = () => [brackwater(), kestrel(), tallow()];

/** Loads the demo, through the same checks as everything else. */
export async function loadDemo(store: Store, pictures: Pictures): Promise<void> {
  await pictures.keep(readFileSync(new URL('./estuary.webp', import.meta.url)));
  for (const bytes of portraitFiles()) await pictures.keep(bytes);
  for (const document of demoSystems()) {
    const checked = validate(document);
    if (!checked.ok)
      throw new Error(
        `the demo “${document.name}” is not valid: ${JSON.stringify(checked.problems)}`,
      );
    await store.create(checked.document);
  }
}
