import type { DerivedRamp } from '@garnish/core/derive/derived';
import { inOrder } from '@garnish/core/system/document';
import { NEUTRAL } from '@garnish/core/system/validate';
import { Plus, X } from 'lucide-react';
import { useStore, useSystem } from '../../system/system-context.ts';
import { ColorField } from '../../ui/color-field.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { NumberField } from '../../ui/number-field.tsx';

function RampBands({ ramp }: { readonly ramp: DerivedRamp }) {
  const { colors, seat, name } = ramp;
  return (
    <div>
      <div
        className="flex h-8"
        role="img"
        aria-label={`${name}, from ${colors[0] ?? ''} to ${colors.at(-1) ?? ''}`}
      >
        {colors.map((color, index) => (
          <span
            key={index}
            className="grow"
            title={`${index + 1}  ${color}`}
            style={{ background: color }}
          />
        ))}
      </div>
      <div className="relative h-2.5" aria-hidden>
        {seat !== undefined && (
          <span
            className="absolute top-0 h-[7px] w-[7px] -translate-x-1/2 rotate-45 bg-base-content"
            style={{ insetInlineStart: `${((seat + 0.5) / colors.length) * 100}%` }}
          />
        )}
      </div>
    </div>
  );
}

/** The colors that everything comes from, each with its ramp, and the neutrals they tint. */
export function Sources() {
  const store = useStore();
  const { decided } = useSystem();
  const { sources, neutral, roles } = decided.document.color;
  const { ramps } = decided.derived;
  const inUse = (id: string): boolean =>
    neutral.source === id ||
    inOrder(roles).some(([, { light, dark }]) =>
      [light, dark].some(
        (paint) =>
          (paint.kind === 'rung' && paint.ramp === id) ||
          (paint.kind === 'source' && paint.source === id),
      ),
    );

  const add = (): void => {
    const id = `color-${crypto.randomUUID().slice(0, 8)}`;
    store.change(
      [
        {
          op: 'add',
          path: `/color/sources/items/${id}`,
          value: { name: `color ${sources.order.length + 1}`, value: '#5b6c8f' },
        },
        { op: 'replace', path: '/color/sources/order', value: [...sources.order, id] },
      ],
      'another color',
    );
  };
  const remove = (id: string, name: string): void => {
    store.change(
      [
        { op: 'remove', path: `/color/sources/items/${id}` },
        {
          op: 'replace',
          path: '/color/sources/order',
          value: sources.order.filter((other) => other !== id),
        },
      ],
      `without ${name}`,
    );
  };

  const neutralRamp = ramps.get(NEUTRAL);
  return (
    <div className="grid gap-3">
      {inOrder(sources).map(([id, { name, value }]) => {
        const ramp = ramps.get(id);
        return (
          <div key={id} data-decision={`/color/sources/items/${id}`}>
            <div className="mb-1.5 grid grid-cols-[minmax(0,1fr)_9rem_1.5rem] items-end gap-x-3">
              <NameField
                label={`Name of ${name}`}
                hideLabel
                value={name}
                onChange={(next) =>
                  store.change(
                    [{ op: 'replace', path: `/color/sources/items/${id}/name`, value: next }],
                    `color ${next}`,
                  )
                }
              />
              <ColorField
                label={`Value of ${name}`}
                hideLabel
                value={value}
                onChange={(next, gesture) =>
                  store.change(
                    [{ op: 'replace', path: `/color/sources/items/${id}/value`, value: next }],
                    `${name} ${next}`,
                    { gesture },
                  )
                }
              />
              {sources.order.length > 1 && !inUse(id) && (
                <button
                  type="button"
                  className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
                  aria-label={`Remove ${name}`}
                  title={`Remove ${name}: no role uses it`}
                  onClick={() => remove(id, name)}
                >
                  <X size={13} aria-hidden />
                </button>
              )}
            </div>
            {ramp && <RampBands ramp={ramp} />}
          </div>
        );
      })}
      <button type="button" className="act gap-1 justify-self-start" onClick={add}>
        <Plus size={13} aria-hidden /> Another color
      </button>
      <div data-decision="/color/neutral">
        <div className="mb-1.5 grid grid-cols-[minmax(0,1fr)_7rem_4.5rem] items-end gap-x-3">
          <NameField
            label="neutrals"
            value={neutral.name}
            onChange={(name) =>
              store.change(
                [{ op: 'replace', path: '/color/neutral/name', value: name }],
                `neutrals ${name}`,
              )
            }
          />
          <label className="min-w-0">
            <span className="block text-quiet">tinted by</span>
            <select
              className="select w-full"
              value={neutral.source}
              onChange={(event) =>
                store.change(
                  [
                    {
                      op: 'replace',
                      path: '/color/neutral/source',
                      value: event.currentTarget.value,
                    },
                  ],
                  'tint of the neutrals',
                )
              }
            >
              {inOrder(sources).map(([id, { name }]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <NumberField
            label="tint"
            value={Math.round(neutral.tint * 100)}
            min={0}
            max={100}
            step={1}
            decimals={0}
            unit="%"
            onChange={(percent, gesture) =>
              store.change(
                [{ op: 'replace', path: '/color/neutral/tint', value: percent / 100 }],
                'tint of the neutrals',
                { gesture },
              )
            }
          />
        </div>
        {neutralRamp && <RampBands ramp={neutralRamp} />}
      </div>
    </div>
  );
}
