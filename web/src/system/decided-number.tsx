import { fieldLimits } from '@garnish/core/system/limits';
import { valueAt, type Patch } from '@garnish/core/system/patch';
import { memo } from 'react';
import { NumberField, type NumberFieldProps } from '../ui/number-field.tsx';
import { useStore } from './system-context.ts';

interface DecidedNumberProps extends Omit<NumberFieldProps, 'onChange' | 'decide' | 'min' | 'max'> {
  /** Where the number stands in the document; its limits are those of the schema. */
  readonly path: string;
  /** In the document’s own unit. */
  readonly value: number;
  /** How the change is called; the label where nothing else is said. */
  readonly name?: string;
  /** How many of the document’s own units one of the field is: 0.01 for per cent. */
  readonly factor?: number;
  /** Ends within those of the schema, in the field’s unit, where what stands beside it narrows them. */
  readonly min?: number | undefined;
  readonly max?: number | undefined;
  /** What is changed, where that is more or other than the number at its place. */
  readonly change?: (value: number) => Patch;
}

/** A number field for one decision: what would not fit is explained beside it and changes nothing. */
export const DecidedNumber = memo(function DecidedNumber(props: DecidedNumberProps) {
  const { path, name, factor = 1, value, change, min, max, decimals, ...field } = props;
  const store = useStore();
  const limits = fieldLimits(path, { factor, decimals, step: field.step });
  // Sums of factors leave dust behind the ninth decimal.
  const inside = (number: number): number => Number((number * factor).toFixed(9));
  const replacing = (number: number): Patch => {
    const isThere = valueAt(store.state().decided.document, path) !== undefined;
    return [{ op: isThere ? 'replace' : 'add', path, value: number }];
  };
  return (
    <div className="min-w-0" data-decision={path}>
      <NumberField
        {...field}
        decimals={limits.decimals}
        min={min ?? limits.min}
        max={max ?? limits.max}
        value={Number((value / factor).toFixed(9))}
        decide={(number, gesture) =>
          store.decide((change ?? replacing)(inside(number)), name ?? field.label, { gesture })
        }
      />
    </div>
  );
});
