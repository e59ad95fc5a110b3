import { columnPx } from '@garnish/core/checks/lines';
import { inOrder } from '@garnish/core/system/document';
import { fluidPx } from '@garnish/core/type/fluid';
import {
  convert,
  lengthsIn,
  LENGTH_UNITS,
  type Length,
  type LengthContext,
  type LengthUnit,
} from '@garnish/core/type/convert';
import { useState } from 'react';
import { usePreferences } from '../../ui/preferences.ts';
import { useDecidedLater } from '../../system/system-context.ts';
import { Copy } from '../../ui/copy.tsx';
import { readQuantity } from '../../ui/quantity.ts';

const shown = (value: number): string => String(Number(value.toFixed(4)));

/** Several lengths at once, each in every unit; all of them are copied as a table. */
function Listed({
  lengths,
  context,
}: {
  readonly lengths: readonly Length[];
  readonly context: LengthContext;
}) {
  const rows = lengths.map(({ value, unit }) =>
    LENGTH_UNITS.map((one) => `${shown(convert(value, unit, one, context))}${one}`),
  );
  return (
    <div className="mt-2 overflow-x-auto">
      <table className="figures w-full text-end text-xs" aria-label="The lengths in every unit">
        <thead>
          <tr className="text-quiet">
            {LENGTH_UNITS.map((one) => (
              <th key={one} scope="col" className="font-normal">
                {one}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index} className="border-t border-line">
              {row.map((cell, at) => (
                <td key={at} className="ps-2">
                  <Copy text={cell} label={`Copy ${cell}`}>
                    {cell.replace(/[a-z%]+$/, '')}
                  </Copy>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Copy text={[LENGTH_UNITS.join('\t'), ...rows.map((row) => row.join('\t'))].join('\n')}>
        copy all {rows.length}
      </Copy>
    </div>
  );
}

/** A length in every unit, as it is in a text role, in its parent, at the proof's width. */
export function Converter() {
  const decided = useDecidedLater(['layout', 'type'], ['grid', 'styles']);
  const { proofRoot, proofWidth } = usePreferences();
  const { type } = decided.document;
  const [text, setText] = useState('24');
  const [unit, setUnit] = useState<LengthUnit>('px');
  const [role, setRole] = useState('body');
  const [parent, setParent] = useState('body');
  const { styles } = decided.derived;
  const own = styles.get(role);
  const above = styles.get(parent);
  const listed = lengthsIn(text, unit);
  const read = readQuantity(text);
  const context = {
    rootPx: proofRoot,
    fontPx: own ? fluidPx(own.size, proofWidth, proofRoot) : proofRoot,
    parentPx: above ? fluidPx(above.size, proofWidth, proofRoot) : proofRoot,
    viewportPx: proofWidth,
    containerPx: own ? columnPx(decided.document, decided.derived, own, proofWidth) : proofWidth,
  };
  const roleOptions = inOrder(type.roles).map(([id, { name }]) => (
    <option key={id} value={id}>
      {name}
    </option>
  ));
  return (
    <div>
      <div className="grid grid-cols-[minmax(0,1fr)_4rem_minmax(0,1fr)_minmax(0,1fr)] items-end gap-x-3">
        <label>
          <span className="text-xs text-quiet">length, a sum, or several</span>
          <input
            className="figures input w-full text-end"
            value={text}
            aria-invalid={!listed && !read.ok}
            onChange={(event) => setText(event.currentTarget.value)}
          />
        </label>
        <select
          className="select w-full"
          aria-label="Unit of the length"
          value={unit}
          onChange={(event) =>
            setUnit(LENGTH_UNITS.find((one) => one === event.currentTarget.value) ?? 'px')
          }
        >
          {LENGTH_UNITS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
        {(
          [
            ['in', 'Role that it stands in', role, setRole],
            ['within', 'Role of its parent', parent, setParent],
          ] as const
        ).map(([words, label, value, choose]) => (
          <label key={words}>
            <span className="text-xs text-quiet">{words}</span>
            <select
              className="select w-full"
              aria-label={label}
              value={value}
              onChange={(event) => choose(event.currentTarget.value)}
            >
              {roleOptions}
            </select>
          </label>
        ))}
      </div>
      {listed ? (
        <Listed lengths={listed} context={context} />
      ) : read.ok ? (
        <ul className="mt-2 grid grid-cols-2 gap-x-6" aria-label="The length in other units">
          {LENGTH_UNITS.filter((one) => one !== unit).map((one) => {
            const value = `${shown(convert(read.value, unit, one, context))}${one}`;
            return (
              <li key={one} className="flex justify-between border-b border-line">
                <span className="text-quiet">{one}</span>
                <Copy className="figures" text={value} label={`Copy ${value}`}>
                  {value}
                </Copy>
              </li>
            );
          })}
        </ul>
      ) : (
        <p role="alert" className="mt-1 text-xs text-error">
          {read.problem}
        </p>
      )}
      <p className="figures mt-1 text-xs text-quiet">
        root {proofRoot} px, role {shown(context.fontPx)} px, parent {shown(context.parentPx)} px,
        screen {proofWidth} px, column {shown(context.containerPx)} px
      </p>
    </div>
  );
}
