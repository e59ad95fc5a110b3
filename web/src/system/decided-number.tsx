import { valueAt, type Patch } from '@garnish/core/system/patch';
import { NumberField, type NumberFieldProps } from '../ui/number-field.tsx';
import { useStore } from './system-context.ts';

interface DecidedNumberProps extends Omit<NumberFieldProps, 'onChange' | 'check'> {
  /** Where the number stands in the document. */
  readonly path: string;
  /** How the change is called; the label where nothing else is said. */
  readonly name?: string;
  /** How many of the document’s own units one of the field is: 0.01 for per cent. */
  readonly factor?: number;
}

/** A number field for one decision: what would not fit is explained beside it and changes nothing. */
export function DecidedNumber({ path, name, factor = 1, value, ...field }: DecidedNumberProps) {
  const store = useStore();
  // Sums of factors leave dust behind the twelfth decimal.
  const inside = (number: number): number => Number((number * factor).toFixed(9));
  const patch = (number: number): Patch => {
    const isThere = valueAt(store.state().decided.document, path) !== undefined;
    return [{ op: isThere ? 'replace' : 'add', path, value: inside(number) }];
  };
  return (
    <div data-decision={path}>
      <NumberField
        {...field}
        value={Number((value / factor).toFixed(9))}
        check={(number) => store.problemOf(patch(number))}
        onChange={(number, gesture) =>
          store.change(patch(number), name ?? field.label, { gesture })
        }
      />
    </div>
  );
}
