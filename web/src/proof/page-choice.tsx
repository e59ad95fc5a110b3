import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { inOrder } from '@garnish/core/system/document';
import { showPage, useShownPage } from '../system/shown-page.ts';
import { useStore, useSystem } from '../system/system-context.ts';

/** Which page of the site the proof shows, or the sheet of all its parts. */
export function PageChoice() {
  const store = useStore();
  const pages = useSystem(({ shown }) => shown.document.content.pages);
  const shown = useShownPage();
  return (
    <select
      aria-label="Page of the proof"
      className="select min-h-6 w-44 py-0 font-semibold"
      value={shown}
      onChange={(event) => showPage(store.state().id, event.currentTarget.value)}
    >
      {inOrder(pages).map(([id, { name, isOff }]) => (
        <option key={id} value={id}>
          {name}
          {isOff === true ? ' (off)' : ''}
        </option>
      ))}
      <hr />
      <option value={SHEET_OF_PARTS}>Sheet of parts</option>
    </select>
  );
}
