import { derive } from '@garnish/core/derive/derive';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import { validate } from '@garnish/core/system/validate';
import { wardrobeOf } from '@garnish/core/worn/proposed';
import { get } from '../../api/client.ts';
import { keepingPages } from '../../api/keeping-pages.ts';
import { openedSystem } from '../../api/resources.ts';
import { keptPage, showPage } from '../../system/shown-page.ts';
import { keptFrom } from './keep-page.ts';

/**
 * Keeps a page that was read with a system that is not open, and turns its proof to it.
 * @throws what the server or the page says against it; the system is there all the same
 */
export async function proveOn(system: string, page: ShownPage): Promise<void> {
  const { document: sent } = await get(`/api/systems/${system}`, openedSystem);
  const checked = validate(sent);
  if (!checked.ok) return;
  const { document } = checked;
  const stop = new AbortController();
  const kept = await keptFrom(page, wardrobeOf(document, derive(document)), stop.signal);
  if (!kept) return;
  const id = crypto.randomUUID();
  await keepingPages(system).add(id, kept);
  showPage(system, keptPage(id));
}
