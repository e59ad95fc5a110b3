import { MOST_KEPT_PAGES, type Alike, type KeptPage } from '@garnish/core/worn/wearing';
import type { Database } from '../db/models.ts';
import { Problem } from '../problems.ts';
import type { StorageKeeper } from '../storage/storage.ts';
import type { Store } from '../systems/store.ts';
import { telling } from '../systems/telling.ts';

/** A kept page as it stands in a list. */
export interface ListedPage {
  readonly id: string;
  readonly name: string;
}

export const unknownPage = (): Problem => new Problem('unknown-page', 'It may have been deleted.');

/** Keeps pages that were read from outside with the systems that are proved on them; they are part of no export. */
export function createKeptPages(
  database: Database,
  store: Store,
  { makeRoom }: Pick<StorageKeeper, 'makeRoom'>,
) {
  const { rows, write } = telling(database);

  return {
    /** The pages that are kept with a system, the oldest first. */
    async list(systemId: string): Promise<readonly ListedPage[]> {
      await store.sequence(systemId);
      return rows<ListedPage>(
        'SELECT id, name FROM kept_pages WHERE system_id = $1 ORDER BY at, id',
        [systemId],
      );
    },

    async one(systemId: string, id: string): Promise<KeptPage> {
      const [page] = await rows<KeptPage>(
        'SELECT name, html, sheets, alike FROM kept_pages WHERE system_id = $1 AND id = $2',
        [systemId, id],
      );
      if (!page) throw unknownPage();
      return page;
    },

    /** Keeps a page; the same once more, after a reply that got lost, changes nothing. */
    async add(systemId: string, id: string, page: KeptPage): Promise<void> {
      const kept = await this.list(systemId);
      if (kept.some((one) => one.id === id)) return;
      if (kept.length >= MOST_KEPT_PAGES)
        throw new Problem(
          'page-refused',
          `${MOST_KEPT_PAGES} pages are kept with a system. Delete one first. Nothing was changed.`,
        );
      const sheets = JSON.stringify(page.sheets);
      await makeRoom(Buffer.byteLength(page.html) + Buffer.byteLength(sheets));
      const written = await write(
        `INSERT INTO kept_pages (system_id, id, name, html, sheets, alike)
         VALUES ($1, $2, $3, $4, $5::jsonb, $6::jsonb) ON CONFLICT (id) DO NOTHING RETURNING id`,
        [...[systemId, id, page.name, page.html], ...[sheets, JSON.stringify(page.alike)]],
      );
      if (written.length === 0)
        throw new Problem('reused-id', 'Nothing was changed. Send it under an id of its own.');
    },

    /** Calls a page otherwise. */
    async rename(systemId: string, id: string, name: string): Promise<void> {
      const written = await write(
        'UPDATE kept_pages SET name = $3 WHERE system_id = $1 AND id = $2 RETURNING id',
        [systemId, id, name],
      );
      if (written.length === 0) throw unknownPage();
    },

    /** Says what one kind of its things takes; the others stay as they are. */
    async wear(
      systemId: string,
      id: string,
      { id: kind, wearing }: Pick<Alike, 'id' | 'wearing'>,
    ): Promise<void> {
      const written = await write(
        `UPDATE kept_pages SET alike = (
           SELECT jsonb_agg(CASE WHEN one->>'id' = $3 THEN jsonb_set(one, '{wearing}', $4::jsonb) ELSE one END ORDER BY place)
           FROM jsonb_array_elements(alike) WITH ORDINALITY AS list (one, place))
         WHERE system_id = $1 AND id = $2 AND alike @> jsonb_build_array(jsonb_build_object('id', $3::text)) RETURNING id`,
        [systemId, id, kind, JSON.stringify(wearing)],
      );
      if (written.length === 0) throw unknownPage();
    },

    async remove(systemId: string, id: string): Promise<void> {
      const removed = await write(
        'DELETE FROM kept_pages WHERE system_id = $1 AND id = $2 RETURNING id',
        [systemId, id],
      );
      if (removed.length === 0) throw unknownPage();
    },
  };
}

export type KeptPages = ReturnType<typeof createKeptPages>;
