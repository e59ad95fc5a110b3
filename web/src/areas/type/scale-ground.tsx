import { breakpointsOf } from '@garnish/core/formats/stepped';
import { ROUNDINGS, SCALES, type StyleDocument } from '@garnish/core/system/document';
import { memo } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { LineField } from '../../ui/line-field.tsx';

/** What the whole scale rests on beside its anchors. */
export const ScaleGround = memo(function ScaleGround({
  type,
}: {
  readonly type: StyleDocument['type'];
}) {
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
          <TrySelect
            className="select w-full"
            value={value}
            onChange={(event) =>
              choose(part, event.currentTarget.value, `${label} ${event.currentTarget.value}`)
            }
          >
            {options.map((option) => (
              <option key={option}>{option}</option>
            ))}
          </TrySelect>
        </label>
      ))}
      <label data-decision="/type/baseline">
        <span className="text-xs text-quiet">baseline grid</span>
        <TrySelect
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
        </TrySelect>
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
