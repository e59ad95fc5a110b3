import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { inOrder } from '@garnish/core/system/document';
import { Suspense } from 'react';
import { lazyPart } from '../ui/patient.ts';
import { keptPage, showPage, useShownKeptPage, useShownPage } from '../system/shown-page.ts';
import { useStore, useSystem } from '../system/system-context.ts';

const KeptOptions = lazyPart(() => import('./worn/kept-options.tsx'));

/** Which page of the site the proof shows, the sheet of all its parts, or a page that was read from outside. */
export function PageChoice({ isCalm }: { readonly isCalm: boolean }) {
  const store = useStore();
  const pages = useSystem(({ shown }) => shown.document.content.pages);
  const shown = useShownPage();
  const kept = useShownKeptPage();
  return (
    <select
      aria-label="Page of the proof"
      className="select min-h-6 w-44 py-0 font-semibold"
      value={kept === undefined ? shown : keptPage(kept)}
      onChange={({ currentTarget: { value } }) => showPage(store.state().id, value)}
    >
      {inOrder(pages).map(([id, { name, isOff }]) => (
        <option key={id} value={id}>
          {name}
          {isOff === true ? ' (off)' : ''}
        </option>
      ))}
      <hr />
      <option value={SHEET_OF_PARTS}>Sheet of parts</option>
      {/* Few systems have any: nobody waits for them. */}
      {(isCalm || kept !== undefined) && (
        <Suspense>
          <KeptOptions />
        </Suspense>
      )}
    </select>
  );
}
