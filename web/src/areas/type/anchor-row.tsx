import type { Anchor, StyleDocument } from '@garnish/core/system/document';
import { removingAnchor } from '@garnish/core/system/type-changes';
import { intervalOf, INTERVALS, sizeOfPlace } from '@garnish/core/type/scale';
import { X } from 'lucide-react';
import { memo } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';

export const COLUMNS =
  'grid-cols-[4rem_4rem_3.5rem_minmax(0,1fr)_1.5rem] @max-[26rem]:grid-cols-3 @max-[26rem]:border-t @max-[26rem]:border-line';

const round = (value: number, decimals: number): number => Number(value.toFixed(decimals));

interface IntervalProps {
  readonly label: string;
  readonly ratio: number;
  readonly onChange: (ratio: number) => void;
}

const Interval = memo(
  ({ label, ratio, onChange }: IntervalProps) => (
    <label className="min-w-0">
      <span className="sr-only">{label}</span>
      <TrySelect
        className="select w-full text-xs text-quiet"
        value={intervalOf(ratio) ?? ''}
        onChange={(event) => {
          const chosen = INTERVALS.find(({ name }) => name === event.currentTarget.value);
          if (chosen) onChange(round(chosen.ratio, 4));
        }}
      >
        <option value="" disabled>
          your own
        </option>
        {INTERVALS.map(({ name }) => (
          <option key={name}>{name}</option>
        ))}
      </TrySelect>
    </label>
  ),
  (one, other) => one.ratio === other.ratio && one.label === other.label,
);
Interval.displayName = 'Interval';

interface AnchorRowProps {
  readonly id: string;
  readonly anchor: Anchor;
  readonly name: string;
  readonly scale: StyleDocument['type']['scale'];
  /** The place of the largest heading. */
  readonly place: number;
  readonly removable: boolean;
}

/** Drawn anew only when its own anchor changes: a slider asks for that at every movement. */
export const AnchorRow = memo(function AnchorRow(props: AnchorRowProps) {
  const { id, anchor, name, scale, place, removable } = props;
  const store = useStore();
  const { width, base, ratio, second = ratio } = anchor;
  const screen = `the ${name} screen`;
  const path = `/type/anchors/items/${id}`;
  const set =
    (part: 'width' | 'base' | 'ratio' | 'second') =>
    (value: number, gesture: string): void => {
      store.change(
        [{ op: 'add', path: `${path}/${part}`, value }],
        part === 'width' ? `${name} width` : `${part} at ${width} px`,
        { gesture },
      );
    };
  const largest = sizeOfPlace(base, ratio, place, scale === 'two ratios' ? second : ratio);
  return (
    <div
      className={`mb-2 grid ${COLUMNS} items-start gap-x-2.5`}
      role="group"
      aria-label={`${name} screen`}
      data-decision={path}
    >
      <DecidedNumber
        path={`${path}/width`}
        name={`${name} width`}
        label={`width of ${screen}`}
        hideLabel
        value={width}
        step={10}
        decimals={0}
        unit="px"
        units={PX_UNITS}
      />
      <DecidedNumber
        path={`${path}/base`}
        name={`base at ${width} px`}
        label={`base on ${screen}`}
        hideLabel
        value={base}
        step={0.5}
        unit="px"
        units={PX_UNITS}
        slider
      />
      <DecidedNumber
        path={`${path}/ratio`}
        name={`ratio at ${width} px`}
        label={`ratio on ${screen}`}
        hideLabel
        value={ratio}
        step={0.01}
        decimals={4}
        slider
      />
      <div className="min-w-0">
        <Interval
          label={`interval on ${screen}`}
          ratio={ratio}
          onChange={(value) => set('ratio')(value, crypto.randomUUID())}
        />
        {place > 0 && scale === 'one ratio' && (
          <div className="flex items-baseline gap-2 text-quiet">
            <span className="text-xs" aria-hidden>
              h1
            </span>
            <DecidedNumber
              path={`${path}/ratio`}
              name={`ratio at ${width} px`}
              min={base}
              max={Math.min(400, base * 2.5 ** place)}
              change={(px) => [
                {
                  op: 'replace',
                  path: `${path}/ratio`,
                  value: round((px / base) ** (1 / place), 4),
                },
              ]}
              label={`h1 on ${screen}`}
              hideLabel
              value={largest}
              step={1}
              decimals={1}
              unit="px"
              units={PX_UNITS}
            />
          </div>
        )}
      </div>
      {removable ? (
        <button
          type="button"
          className="grid min-h-7 min-w-6 place-items-center text-quiet hover:text-base-content"
          aria-label={`Remove the anchor at ${width} px`}
          onClick={() =>
            store.change(
              removingAnchor(store.state().decided.document, id),
              `no anchor at ${width} px`,
            )
          }
        >
          <X size={13} aria-hidden />
        </button>
      ) : (
        <span />
      )}
      {scale === 'two ratios' && (
        <>
          <span className="col-span-2 pt-1 text-end text-xs text-quiet">and in turn</span>
          <DecidedNumber
            path={`${path}/second`}
            name={`second at ${width} px`}
            label={`second ratio on ${screen}`}
            hideLabel
            value={second}
            step={0.01}
            decimals={4}
            slider
          />
          <Interval
            label={`second interval on ${screen}`}
            ratio={second}
            onChange={(value) => set('second')(value, crypto.randomUUID())}
          />
        </>
      )}
    </div>
  );
});
