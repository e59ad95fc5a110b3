import { titleOf } from '@garnish/core/checks/judge';
import { assignRungs, movesPatch } from '@garnish/core/derive/color/assign';
import type { Assignment, Move } from '@garnish/core/derive/derived';
import { isLocked, lockedIn } from '@garnish/core/system/locks';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { modesOf, themesOf } from '@garnish/core/system/themes';
import { useEffect, useState } from 'react';
import { useDecided, useStore } from '../../system/system-context.ts';

const Moves = ({ moves }: { readonly moves: readonly Move[] }) => (
  <ul className="text-xs">
    {moves.map(({ role, name, mode, from, to }) => (
      <li key={`${role} ${mode}`} className="flex justify-between border-b border-line">
        <span>
          {name} in {mode}
        </span>
        <span className="figures">
          {from} → {to}
        </span>
      </li>
    ))}
  </ul>
);

/**
 * What was found for the wishes, and what stays short; for what is held by hand, the rungs at which
 * everything would read: seen, then taken.
 */
export function Assign() {
  const store = useStore();
  const decided = useDecided(['color'], ['assignment', 'needs', 'ramps']);
  const [found, setFound] = useState<Assignment & { readonly of: object }>();
  useEffect(() => () => store.tryOut(undefined), [store]);
  const { document, derived } = decided;
  const { roles } = document.color;
  const modes = modesOf(themesOf(document));
  const { moves, unsolved } = derived.assignment;
  // What was found speaks of the colors as they were then.
  const shown = found?.of === document.color ? found : undefined;
  const needOf = (id: string) => derived.needs.find((need) => need.id === id);
  const held = roles.order.flatMap((id) =>
    modes.filter((mode) => roles.items[id]?.[mode].kind === 'rung').map((mode) => ({ id, mode })),
  );
  const look = (): void => {
    const plans = derived.needs.map((need) => ({ ...need, color: need.color.id, on: need.on.id }));
    const assignment = assignRungs(roles, derived.ramps, plans, 'every rung', modes);
    const own = assignment.moves.filter(
      ({ role, mode }) =>
        roles.items[role]?.[mode].kind === 'rung' &&
        !isLocked(lockedIn(store.state().decided.document), `/color/roles/items/${role}`),
    );
    setFound({ ...assignment, moves: own, of: document.color });
    store.tryOut(own.length > 0 ? movesPatch(own) : undefined);
  };
  const back = (): void => {
    setFound(undefined);
    store.tryOut(undefined);
  };
  const letGo = (): void => {
    const patch: Patch = held.flatMap(({ id, mode }) => {
      const paint = roles.items[id]?.[mode];
      return paint?.kind === 'rung'
        ? [
            {
              op: 'replace' as const,
              path: `/color/roles/items/${id}/${mode}`,
              value: jsonOf({ ...paint, kind: 'near' }),
            },
          ]
        : [];
    });
    store.change(patch, 'every rung found');
  };
  return (
    <div role="group" aria-label="Rungs that read" className="mt-3">
      <details>
        <summary className="min-h-6">
          {moves.length === 0
            ? 'Every wish stands where it was wished.'
            : `${moves.length} of the wishes stand on another rung, the nearest that reads.`}
          {unsolved.length > 0 && (
            <span className="text-error"> {unsolved.length} pairs stay short.</span>
          )}
        </summary>
        <Moves moves={moves} />
      </details>
      {!shown && held.length > 0 && (
        <p className="flex flex-wrap gap-x-4">
          <button type="button" className="act" onClick={look}>
            Find rungs at which every text reads
          </button>
          <button
            type="button"
            className="min-h-6 text-quiet hover:text-base-content hover:underline"
            title="No rung is set by hand any more; each is found from now on"
            onClick={letGo}
          >
            Make all {held.length} set by hand automatic
          </button>
        </p>
      )}
      {shown && (
        <>
          <p role="status">
            {shown.moves.length === 0
              ? shown.unsolved.length === 0
                ? `Every text reads already, in ${modes.join(' and in ')}.`
                : 'No other rung helps while what is pinned stays.'
              : `${shown.moves.length} ${shown.moves.length === 1 ? 'role moves' : 'roles move'}, the fewest rungs that will do:`}
          </p>
          <Moves moves={shown.moves} />
          <ul className="text-xs">
            {shown.unsolved.map(({ need, mode }) => {
              const known = needOf(need.id);
              return (
                <li key={`${need.id} ${mode}`} className="text-warning">
                  {known ? titleOf(known) : need.what} stays short in {mode}: one of the two is
                  pinned.
                </li>
              );
            })}
          </ul>
          <p className="flex gap-x-4">
            {shown.moves.length > 0 && (
              <button
                type="button"
                className="act"
                onClick={() => {
                  store.change(movesPatch(shown.moves), 'rungs that read');
                  setFound(undefined);
                }}
              >
                Take them
              </button>
            )}
            <button
              type="button"
              className="min-h-6 text-quiet hover:text-base-content hover:underline"
              onClick={back}
            >
              {shown.moves.length > 0 ? 'Back to what was there' : 'Close'}
            </button>
          </p>
        </>
      )}
    </div>
  );
}
