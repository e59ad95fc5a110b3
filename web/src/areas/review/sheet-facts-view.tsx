import type { SheetFacts } from '@garnish/core/reading/sheet-facts';
import { useState } from 'react';
import { Copy } from '../../ui/copy.tsx';
import { Section } from '../../ui/bench.tsx';

/** So many custom properties are told at once. */
const FIRST_PROPERTIES = 12;

const counted = (count: number, one: string, many: string): string =>
  `${count} ${count === 1 ? one : many}`;

/** What is told of the sheets of a page before anything else: how much there is, and what it names. */
export function SheetFactsView({ facts }: { readonly facts: SheetFacts }) {
  const [isWhole, setWhole] = useState(false);
  const { properties, breakpoints, layers, families } = facts;
  const shown = isWhole ? properties : properties.slice(0, FIRST_PROPERTIES);
  const lines: readonly (readonly [string, string])[] = [
    ...(breakpoints.length === 0
      ? []
      : ([
          ['breakpoints', breakpoints.map(([px, places]) => `${px} px (${places})`).join(', ')],
        ] as const)),
    ...(layers.length === 0 ? [] : ([['layers', layers.join(', ')]] as const)),
    ...(families.length === 0 ? [] : ([['faces it brings', families.join(', ')]] as const)),
  ];
  return (
    <Section full title="Its sheets" aside={counted(facts.files, 'sheet', 'sheets')}>
      <p>
        {[
          counted(facts.rules, 'rule', 'rules'),
          counted(facts.declarations, 'declaration', 'declarations'),
          ...(facts.forced > 0 ? [`${facts.forced} of them forced`] : []),
          ...(facts.problems > 0 ? [`${counted(facts.problems, 'line', 'lines')} not read`] : []),
        ].join(', ')}
      </p>
      <table className="w-full">
        <tbody>
          {lines.map(([what, value]) => (
            <tr key={what} className="border-t border-line">
              <th scope="row" className="w-28 text-start align-top font-normal text-quiet">
                {what}
              </th>
              <td className="figures break-words">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {properties.length > 0 && (
        <details className="border-t border-line">
          <summary className="min-h-7 cursor-pointer">
            custom property{' '}
            <span className="figures float-end text-quiet">{properties.length}</span>
          </summary>
          <ul aria-label="custom property" className="pb-2">
            {shown.map(({ name, values, taken }) => (
              <li
                key={name}
                className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_3.5rem] items-baseline gap-x-2"
              >
                <span className="figures truncate" title={name}>
                  {name}
                </span>
                <span className="figures truncate text-quiet" title={values.join('\n')}>
                  {values.join(' | ')}
                </span>
                <span className="figures text-end text-quiet">{taken} ×</span>
              </li>
            ))}
            <li className="flex gap-4">
              {!isWhole && properties.length > FIRST_PROPERTIES && (
                <button type="button" className="act" onClick={() => setWhole(true)}>
                  {properties.length - FIRST_PROPERTIES} more
                </button>
              )}
              <Copy
                text={properties
                  .map(({ name, values }) => `${name}: ${values.join(' | ')}`)
                  .join('\n')}
              >
                copy all
              </Copy>
            </li>
          </ul>
        </details>
      )}
    </Section>
  );
}
