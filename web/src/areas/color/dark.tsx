import type { Paint } from '@garnish/core/system/document';
import { jsonOf } from '@garnish/core/system/patch';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';

/** How far surfaces stand from the page in the dark theme, in rungs: surface, raised surface. */
const SEPARATIONS = {
  'by lightness': [1, 2],
  'by much lightness': [2, 4],
  'by lines alone': [0, 0],
} as const;
type Separation = keyof typeof SEPARATIONS;
const NAMES = Object.keys(SEPARATIONS) as Separation[];

/** Dark as a design of its own: how surfaces separate, and how much color vivid colors keep. */
export function Dark() {
  const store = useStore();
  const decided = useDecided(['color'], ['colors']);
  const { color } = decided.document;
  const { darkChroma = 1, plainLinks = false } = color;
  const { colors } = decided.derived;
  const rungIn = (id: string): number | undefined => colors.get(id)?.painted.dark.rung;
  const page = rungIn('page');
  const offset = (id: string): number => (page ?? 0) - (rungIn(id) ?? 0);
  const present = NAMES.find(
    (name) =>
      SEPARATIONS[name][0] === offset('surface') && SEPARATIONS[name][1] === offset('raised'),
  );
  const separate = (name: Separation): void => {
    const ramp = colors.get('page')?.painted.dark.ramp?.id;
    if (page === undefined || ramp === undefined) return;
    const [surface, raised] = SEPARATIONS[name];
    const paint = (by: number): Paint => ({ kind: 'rung', ramp, rung: Math.max(1, page - by) });
    store.change(
      (
        [
          ['surface', surface],
          ['raised', raised],
        ] as const
      )
        .filter(([id]) => Object.hasOwn(color.roles.items, id))
        .map(([id, by]) => ({
          op: 'replace' as const,
          path: `/color/roles/items/${id}/dark`,
          value: jsonOf(paint(by)),
        })),
      `dark surfaces separate ${name}`,
    );
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_9rem] gap-x-6">
      <div className="min-w-0">
        {page !== undefined && (
          <>
            <span className="block text-quiet">surfaces separate in dark</span>
            <TryChoice
              label="Surfaces separate in dark"
              options={NAMES.map((value) => ({ value, name: value }))}
              value={present ?? ('' as Separation)}
              onChange={separate}
            />
          </>
        )}
        <label className="mt-1 flex min-h-6 items-center gap-1.5" data-decision="/color/plainLinks">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={plainLinks}
            onChange={() =>
              store.change(
                [
                  plainLinks
                    ? { op: 'remove', path: '/color/plainLinks' }
                    : { op: 'add', path: '/color/plainLinks', value: true },
                ],
                plainLinks ? 'links underlined' : 'links without underline',
              )
            }
          />
          links without underline
        </label>
      </div>
      <DecidedNumber
        path="/color/darkChroma"
        value={darkChroma}
        factor={0.01}
        label="color kept in dark"
        step={5}
        decimals={0}
        unit="%"
        slider
      />
    </div>
  );
}
