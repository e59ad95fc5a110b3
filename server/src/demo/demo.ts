import { readFileSync } from 'node:fs';
import type { StyleDocument } from '@garnish/core/system/document';
import { patched } from '@garnish/core/system/patch';
import { validate } from '@garnish/core/system/validate';
import type { Pictures } from '../pictures/pictures.ts';
import type { Store } from '../systems/store.ts';
import { handedDemos, handOver, release, type DemoHandoff, type HandedDemo } from './handoffs.ts';
import { portraitFiles } from './portraits.ts';

/** The systems that a first start shows; all made up. */
export const demoSystems = (): readonly StyleDocument[] =>
  handedDemos().map(({ system }) => system());

/** The same, checked as everything else is. */
const checked = (document: StyleDocument): StyleDocument => {
  const result = validate(document);
  if (!result.ok)
    throw new Error(`the demo “${document.name}” is not valid: ${JSON.stringify(result.problems)}`);
  return result.document;
};

/** How a system was when it was released first. */
function firstOf({ system, before }: HandedDemo): StyleDocument {
  const result = patched(checked(system()), before);
  if (!result.ok)
    throw new Error(`the demo has no first release: ${JSON.stringify(result.problems)}`);
  return result.document;
}

/** Loads the demo, through the same checks as everything else; with what was handed over of it where that is wanted. */
export async function loadDemo(
  store: Store,
  pictures: Pictures,
  handoff?: DemoHandoff,
): Promise<void> {
  await pictures.keep(readFileSync(new URL('./estuary.webp', import.meta.url)));
  for (const bytes of portraitFiles()) await pictures.keep(bytes);
  for (const demo of handedDemos()) {
    if (!handoff) await store.create(checked(demo.system()));
    else await handOver(await release(demo, firstOf(demo), { store, ...handoff }), demo, handoff);
  }
}
