import type { AreaView } from '@garnish/core/system/areas/area';
import { useSearchParams } from 'react-router';

interface View<Id extends string> extends AreaView {
  readonly id: Id;
}

/**
 * The views of an area, one of which is open: the one that the address names (`?view=`), else the one
 * in which the decision of the address (`?at=`) is made, else the first.
 */
export function useView<Id extends string>(
  views: readonly [View<Id>, ...(readonly View<Id>[])],
): readonly [view: Id, open: (id: Id) => void] {
  const [parameters, setParameters] = useSearchParams();
  const named = views.find(({ id }) => id === parameters.get('view'));
  const at = parameters.get('at');
  const deciding =
    at === null
      ? undefined
      : views.find((view) => view.at.some((path) => at === path || at.startsWith(`${path}/`)));
  const view = named ?? deciding ?? views[0];
  // A view is a place of its own: the way back goes through it.
  return [view.id, (id) => setParameters({ view: id })];
}

/** The ids of views, for an area that shows them as one choice among its sections. */
export const viewIds = <Id extends string>(
  views: readonly [View<Id>, ...(readonly View<Id>[])],
): readonly [Id, ...(readonly Id[])] => {
  const [first, ...others] = views;
  return [first.id, ...others.map(({ id }) => id)];
};

/**
 * One of several ways in the address, under a name of its own; the first where it names none. What else
 * the address says of the same area stays, but not the decision that led here.
 */
export function useInAddress<Id extends string>(
  name: string,
  ids: readonly [Id, ...(readonly Id[])],
): readonly [Id, (id: Id) => void] {
  const [parameters, setParameters] = useSearchParams();
  const named = ids.find((id) => id === parameters.get(name));
  return [
    named ?? ids[0],
    (id) =>
      setParameters((before) => {
        const next = new URLSearchParams(before);
        next.delete('at');
        if (id === ids[0]) next.delete(name);
        else next.set(name, id);
        return next;
      }),
  ];
}

interface ViewsProps<Id extends string> {
  readonly label: string;
  readonly views: readonly View<Id>[];
  readonly open: Id;
  readonly onOpen: (id: Id) => void;
  /** How many things in a view are to be repaired. */
  readonly counts?: Readonly<Partial<Record<Id, number>>>;
}

/** The views of an area as words over its bench. */
export function Views<Id extends string>(props: ViewsProps<Id>) {
  const { label, views, open, onOpen, counts } = props;
  return (
    <nav
      aria-label={label}
      className="sticky top-0 z-20 flex flex-wrap gap-x-4 border-b border-line bg-base-100 px-4 py-1.5"
    >
      {views.map(({ id, name }) => {
        const count = counts?.[id] ?? 0;
        return (
          <button
            key={id}
            type="button"
            aria-current={id === open ? 'page' : undefined}
            className="min-h-6 min-w-6 text-quiet hover:text-base-content aria-[current]:font-semibold aria-[current]:text-base-content"
            onClick={() => onOpen(id)}
          >
            {name}
            {count > 0 && (
              <span className="figures ms-1 text-xs text-error">
                {count}
                <span className="sr-only"> to repair</span>
              </span>
            )}
          </button>
        );
      })}
    </nav>
  );
}
