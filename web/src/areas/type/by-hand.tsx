import { sizeAtAnchor } from '@garnish/core/derive/type/styles';
import { inOrder } from '@garnish/core/system/document';
import { placeName } from '@garnish/core/type/scale';
import { X } from 'lucide-react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { PX_UNITS } from '../../ui/quantity.ts';

/** A list of sizes made by hand: each step in use at each anchor; what is not set follows the ratio. */
export function ByHand() {
  const store = useStore();
  const decided = useDecided(['type']);
  const { type } = decided.document;
  const anchors = inOrder(type.anchors);
  const places = [...new Set(inOrder(type.roles).map(([, { place }]) => place))].sort(
    (one, other) => other - one,
  );
  const columns = { gridTemplateColumns: `4rem repeat(${anchors.length}, minmax(0, 6.5rem))` };
  return (
    <div>
      <div className="grid gap-x-3 text-xs text-quiet" style={columns} aria-hidden>
        <span>step</span>
        {anchors.map(([id, { width }]) => (
          <span key={id} className="figures pe-7 text-end">
            {width} px
          </span>
        ))}
      </div>
      {places.map((place) => (
        <div key={place} className="grid items-baseline gap-x-3" style={columns}>
          <span>{placeName(place)}</span>
          {anchors.map(([id, anchor]) => {
            const path = `/type/anchors/items/${id}/sizes`;
            const own = anchor.sizes?.[String(place)] !== undefined;
            return (
              <div key={id} className="flex items-baseline gap-1">
                <DecidedNumber
                  path={`${path}/${place}`}
                  name={`${placeName(place)} at ${anchor.width} px`}
                  change={(value) => [
                    anchor.sizes
                      ? { op: 'add', path: `${path}/${place}`, value }
                      : { op: 'add', path, value: { [place]: value } },
                  ]}
                  label={`${placeName(place)} at ${anchor.width} px`}
                  hideLabel
                  value={sizeAtAnchor(type, anchor, place)}
                  step={1}
                  decimals={2}
                  unit="px"
                  units={PX_UNITS}
                />
                <button
                  type="button"
                  className={`min-h-6 min-w-6 text-quiet hover:text-base-content ${own ? '' : 'invisible'}`}
                  aria-label={`${placeName(place)} at ${anchor.width} px by the ratio again`}
                  title="by the ratio again"
                  onClick={() =>
                    store.change(
                      [
                        {
                          op: 'remove',
                          path:
                            Object.keys(anchor.sizes ?? {}).length > 1 ? `${path}/${place}` : path,
                        },
                      ],
                      `${placeName(place)} at ${anchor.width} px by the ratio`,
                    )
                  }
                >
                  <X size={12} aria-hidden />
                </button>
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
