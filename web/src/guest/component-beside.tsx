import { stateOf, type StateId } from '@garnish/core/components/states';
import { classesIn } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import { inOrder } from '@garnish/core/system/document';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { componentOf } from '../proof/component-of.ts';
import type { GuestView } from './use-guest.ts';

/** How often a class stands on each page, by the id of the page. */
function countsOf({
  document,
  derived,
}: GuestView): ReadonlyMap<string, ReadonlyMap<string, number>> {
  return new Map(
    document.content.pages.order.map((page) => {
      const counts = new Map<string, number>();
      for (const name of classesIn(sitePage(document, derived, page)))
        counts.set(name, (counts.get(name) ?? 0) + 1);
      return [page, counts];
    }),
  );
}

interface ComponentProps {
  readonly element: Element;
  readonly view: GuestView;
  readonly page: string;
  /** The class that the chosen thing is found by elsewhere. */
  readonly known: string | undefined;
  readonly onChoose: (element: Element) => void;
  /** The state that the component is drawn in; none where it is at rest. */
  readonly drawn: StateId | undefined;
  readonly onDraw: (state: StateId | undefined) => void;
}

const LINK = 'min-h-6 min-w-6 text-end underline decoration-line-strong underline-offset-4';

/** The component that the chosen thing is of, its states, and where else the same stands. */
export function ComponentBeside(props: ComponentProps) {
  const { element, view, page, known, onChoose, drawn, onDraw } = props;
  const [, setParameters] = useSearchParams();
  const counts = useMemo(() => countsOf(view), [view]);
  const own = componentOf(element);
  const here = known === undefined ? [] : [...element.ownerDocument.getElementsByClassName(known)];
  const at = here.indexOf(element);
  const next = here[(at + 1) % here.length];
  const elsewhere = inOrder(view.document.content.pages).flatMap(([id, { name }]) => {
    const count = known === undefined ? 0 : (counts.get(id)?.get(known) ?? 0);
    return id === page || count === 0 ? [] : [{ id, name, count }];
  });
  const states = own?.variant?.states ?? [];
  return (
    <dl className="grid grid-cols-[6rem_minmax(0,1fr)] [&>*]:border-b [&>*]:border-line [&>*]:py-0.5 [&>dt]:pt-1 [&>dt]:text-quiet">
      {own && (
        <>
          <dt>component</dt>
          <dd className="text-end">
            <button
              type="button"
              className={LINK}
              onClick={() =>
                setParameters({
                  page: 'parts',
                  part: own.component.id,
                  ...(own.variant && { variant: own.variant.id }),
                })
              }
            >
              {own.component.name}
            </button>
          </dd>
        </>
      )}
      {own && states.length > 0 && (
        <>
          <dt>states</dt>
          <dd
            role="group"
            aria-label={`States of ${own.component.name}`}
            className="flex flex-wrap justify-end gap-x-3"
          >
            {states.map((state) => (
              <button
                key={state}
                type="button"
                aria-pressed={state === drawn}
                className="min-h-6 text-quiet hover:text-base-content aria-pressed:font-semibold aria-pressed:text-base-content"
                onClick={() => onDraw(state === drawn ? undefined : state)}
              >
                {stateOf(state).name}
              </button>
            ))}
          </dd>
        </>
      )}
      {known !== undefined && (
        <>
          <dt>places</dt>
          <dd className="flex flex-col items-end">
            {here.length > 1 && next ? (
              <button
                type="button"
                className={LINK}
                onClick={() => {
                  next.scrollIntoView({ block: 'center' });
                  onChoose(next);
                }}
              >
                {at + 1} of {here.length} here
              </button>
            ) : (
              <span className="min-h-6">one here</span>
            )}
            {elsewhere.map(({ id, name, count }) => (
              <button
                key={id}
                type="button"
                className={LINK}
                onClick={() => setParameters({ page: id })}
              >
                {count} in {name}
              </button>
            ))}
          </dd>
        </>
      )}
    </dl>
  );
}
