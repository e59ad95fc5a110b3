import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { inOrder } from '@garnish/core/system/document';
import { useKeptPages } from '../system/kept-pages.ts';
import { showKeptPage, showPage, useShownKeptPage, useShownPage } from '../system/shown-page.ts';
import { useStore, useSystem } from '../system/system-context.ts';

/** Before the id of a page that was read from outside: no page of the site has such an id. */
const KEPT = 'kept:';

/** Which page of the site the proof shows, the sheet of all its parts, or a page that was read from outside. */
export function PageChoice() {
  const store = useStore();
  const system = useSystem(({ id }) => id);
  const pages = useSystem(({ shown }) => shown.document.content.pages);
  const shown = useShownPage();
  const kept = useShownKeptPage();
  const { data } = useKeptPages(system);
  return (
    <select
      aria-label="Page of the proof"
      className="select min-h-6 w-44 py-0 font-semibold"
      value={kept === undefined ? shown : KEPT + kept}
      onChange={({ currentTarget: { value } }) => {
        const { id } = store.state();
        if (value.startsWith(KEPT)) showKeptPage(id, value.slice(KEPT.length));
        else showPage(id, value);
      }}
    >
      {inOrder(pages).map(([id, { name, isOff }]) => (
        <option key={id} value={id}>
          {name}
          {isOff === true ? ' (off)' : ''}
        </option>
      ))}
      <hr />
      <option value={SHEET_OF_PARTS}>Sheet of parts</option>
      {(data?.pages.length ?? 0) > 0 && <hr />}
      {data?.pages.map(({ id, name }) => (
        <option key={id} value={KEPT + id}>
          {name}
        </option>
      ))}
    </select>
  );
}
