import { judge, nameOfUse } from '@garnish/core/checks/contrast';
import { assignRungs, type Assignment } from '@garnish/core/derive/assign';
import { useEffect, useState } from 'react';
import { useStore, useSystem } from '../../system/system-context.ts';

/** The rungs at which every text reads, as near as can be to the chosen ones: seen, then taken. */
export function Assign() {
  const store = useStore();
  const { decided } = useSystem();
  const [found, setFound] = useState<Assignment & { readonly of: object }>();
  useEffect(() => () => store.tryOut(undefined), [store]);
  const { document, derived } = decided;
  // What was found speaks of the colors as they were then.
  const shown = found?.of === document.color ? found : undefined;
  const look = (): void => {
    const assignment = assignRungs(document.color, derived.ramps, (mode) =>
      derived.pairs.map((pair) => ({
        pair,
        needed: judge(pair, mode, document.brief.conformance).needed,
      })),
    );
    setFound({ ...assignment, of: document.color });
    store.tryOut(assignment.patch.length > 0 ? assignment.patch : undefined);
  };
  const back = (): void => {
    setFound(undefined);
    store.tryOut(undefined);
  };
  return (
    <div role="group" aria-label="Rungs that read" className="mt-3">
      {!shown && (
        <button type="button" className="act" onClick={look}>
          Find rungs at which every text reads
        </button>
      )}
      {shown && (
        <>
          <p role="status">
            {shown.moves.length === 0
              ? shown.unsolved.length === 0
                ? 'Every text reads already, in light and in dark.'
                : 'No other rung helps while what is pinned stays.'
              : `${shown.moves.length} ${shown.moves.length === 1 ? 'role moves' : 'roles move'}, the fewest rungs that will do:`}
          </p>
          <ul className="text-xs">
            {shown.moves.map(({ role, name, mode, from, to }) => (
              <li key={`${role} ${mode}`} className="flex justify-between border-b border-line">
                <span>
                  {name} in {mode}
                </span>
                <span className="figures">
                  {from} → {to}
                </span>
              </li>
            ))}
            {shown.unsolved.map(({ pair, mode }) => (
              <li key={`${pair.id} ${mode}`} className="text-warning">
                {nameOfUse(pair)} in {pair.color.name} on {pair.on.name} stays short in {mode}: one
                of the two is pinned.
              </li>
            ))}
          </ul>
          <p className="flex gap-x-4">
            {shown.moves.length > 0 && (
              <button
                type="button"
                className="act"
                onClick={() => {
                  store.change(shown.patch, 'rungs that read');
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
