import {
  inOrder,
  MOST_ANCHORS,
  ROUNDINGS,
  SCALES,
  type Anchor,
  type StyleDocument,
} from '@garnish/core/system/document';
import { addingAnchor, removingAnchor } from '@garnish/core/system/type-changes';
import { intervalOf, INTERVALS, sizeOfPlace } from '@garnish/core/type/scale';
import { breakpointsOf } from '@garnish/core/formats/stepped';
import { X } from 'lucide-react';
import { memo } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { Later, useDecided, useStore } from '../../system/system-context.ts';
import { LineField } from '../../ui/line-field.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';

type Type = StyleDocument['type'];

const COLUMNS =
  'grid-cols-[4rem_4rem_3.5rem_minmax(0,1fr)_1.5rem] @max-[26rem]:grid-cols-3 @max-[26rem]:border-t @max-[26rem]:border-line';

/** What an anchor is called: the two ends by their words, those between by their width. */
export const anchorName = (type: Type, id: string): string => {
  const { order, items } = type.anchors;
  if (order[0] === id) return 'narrow';
  return order.at(-1) === id ? 'wide' : `${items[id]?.width ?? ''} px`;
};

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
      <select
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
      </select>
    </label>
  ),
  (one, other) => one.ratio === other.ratio && one.label === other.label,
);
Interval.displayName = 'Interval';

interface AnchorRowProps {
  readonly id: string;
  readonly anchor: Anchor;
  readonly name: string;
  readonly scale: Type['scale'];
  /** The place of the largest heading. */
  readonly place: number;
  readonly removable: boolean;
}

/** Drawn anew only when its own anchor changes: a slider asks for that at every movement. */
const AnchorRow = memo(function AnchorRow(props: AnchorRowProps) {
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

/** What the whole scale rests on beside its anchors. */
const Ground = memo(function Ground({ type }: { readonly type: Type }) {
  const store = useStore();
  const { scale, rounding, unit, baseline, root = 100, breakpoints } = type;
  const takeBreakpoints = (text: string): void => {
    const widths = [
      ...new Set(
        text
          .split(/[^\d]+/)
          .filter(Boolean)
          .map(Number),
      ),
    ].sort((one, other) => one - other);
    if (widths.join() === (breakpoints ?? []).join()) return;
    store.change(
      widths.length === 0
        ? [{ op: 'remove', path: '/type/breakpoints' }]
        : [{ op: 'add', path: '/type/breakpoints', value: widths }],
      'breakpoints of the stepped sheet',
    );
  };
  const choose = (part: string, value: string, label: string): void => {
    store.change([{ op: 'replace', path: `/type/${part}`, value }], label);
  };
  const selects = [
    ['scale', 'sizes by', scale, SCALES],
    ['rounding', 'rounded to', rounding, ROUNDINGS],
    ['unit', 'flowing in', unit, ['vi', 'vw']],
  ] as const;
  return (
    <div className="mt-1 grid grid-cols-[minmax(0,1.3fr)_repeat(3,minmax(0,1fr))] gap-x-3 border-t border-line pt-2">
      {selects.map(([part, label, value, options]) => (
        <label key={part} data-decision={`/type/${part}`}>
          <span className="text-xs text-quiet">{label}</span>
          <select
            className="select w-full"
            value={value}
            onChange={(event) =>
              choose(part, event.currentTarget.value, `${label} ${event.currentTarget.value}`)
            }
          >
            {options.map((option) => (
              <option key={option}>{option}</option>
            ))}
          </select>
        </label>
      ))}
      <label data-decision="/type/baseline">
        <span className="text-xs text-quiet">baseline grid</span>
        <select
          className="select w-full"
          value={baseline ?? ''}
          onChange={(event) => {
            const { value } = event.currentTarget;
            store.change(
              value === ''
                ? [{ op: 'remove', path: '/type/baseline' }]
                : [{ op: 'add', path: '/type/baseline', value: Number(value) }],
              'baseline unit',
            );
          }}
        >
          <option value="">none</option>
          {[...new Set([2, 4, 6, 8, 12, ...(baseline === undefined ? [] : [baseline])])].map(
            (px) => (
              <option key={px} value={px}>
                {px} px
              </option>
            ),
          )}
        </select>
      </label>
      <div className="pt-1">
        <span className="text-xs text-quiet">root</span>
        <DecidedNumber
          path="/type/root"
          name="root font size"
          change={(value) =>
            value === 100
              ? [{ op: 'remove', path: '/type/root' }]
              : [{ op: 'add', path: '/type/root', value }]
          }
          label="root font size"
          hideLabel
          value={root}
          step={12.5}
          decimals={2}
          unit="%"
        />
      </div>
      <label className="col-span-3 pt-1" data-decision="/type/breakpoints">
        <span className="text-xs text-quiet">steps of the sheet without clamp(), px</span>
        <LineField
          className="figures input w-full"
          placeholder={breakpointsOf(type).join(', ')}
          value={(breakpoints ?? []).join(', ')}
          onChange={takeBreakpoints}
        />
      </label>
    </div>
  );
});

/** The screen widths at which sizes are decided, from the narrowest up. */
export function Anchors() {
  const store = useStore();
  const decided = useDecided(['type']);
  const { type } = decided.document;
  return (
    <>
      <div className={`mb-1 grid ${COLUMNS} gap-x-2.5 text-quiet @max-[26rem]:hidden`} aria-hidden>
        <span>at width</span>
        <span>base</span>
        <span>ratio</span>
        <span>interval</span>
      </div>
      {inOrder(type.anchors).map(([id, anchor]) => (
        <AnchorRow
          key={id}
          id={id}
          anchor={anchor}
          name={anchorName(type, id)}
          scale={type.scale}
          place={type.roles.items['h1']?.place ?? 0}
          removable={type.anchors.order.length > 2}
        />
      ))}
      {type.anchors.order.length < MOST_ANCHORS && (
        <button
          type="button"
          className="act"
          onClick={() => store.change(addingAnchor(type, crypto.randomUUID()), 'another anchor')}
        >
          Another anchor between
        </button>
      )}
      <Later select={({ decided }) => decided.document.type}>
        {(later) => <Ground type={later} />}
      </Later>
    </>
  );
}
