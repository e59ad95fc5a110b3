import type { DriftRow } from '@garnish/core/reading/drift';
import type { Fault } from '@garnish/core/reading/faults';
import { percent } from '@garnish/core/reading/drift-report';
import { useState } from 'react';
import { Copy } from '../../ui/copy.tsx';

const MOST_ROWS = 200;
const MOST_PLACES = 40;

/** How many places there are, in words. */
export const placesWords = ({ places }: Pick<DriftRow | Fault, 'places'>): string =>
  `${places.length} ${places.length === 1 ? 'place' : 'places'}`;

/** A color as it is written and as it should be, one beside the other. */
const Swatches = ({ row }: { readonly row: DriftRow }) =>
  row.kind !== 'color' ? null : (
    <span aria-hidden className="me-2 inline-flex align-[-2px]">
      {[row.filled ?? row.value, row.token?.value].map((color, index) => (
        <span
          // The first is what stands there, the second what it should be.
          // oxlint-disable-next-line react/no-array-index-key
          key={index}
          className="h-3.5 w-4 border border-line first:border-e-0"
          style={{ background: color ?? 'transparent' }}
        />
      ))}
    </span>
  );

/** Where a value stands, place by place. */
export function Places({ places }: Pick<DriftRow | Fault, 'places'>) {
  return (
    <ul className="pb-2 text-xs">
      {places.slice(0, MOST_PLACES).map(({ file, line, selector, property, within, from }) => (
        <li
          key={`${file} ${from}`}
          className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-3"
        >
          <span className="figures truncate text-quiet" title={`${file}:${line}`}>
            {file}:{line}
          </span>
          <span className="figures truncate" title={[...within, selector].join(' ')}>
            {selector} <span className="text-quiet">{property}</span>
          </span>
        </li>
      ))}
      {places.length > MOST_PLACES && (
        <li className="text-quiet">and {places.length - MOST_PLACES} more</li>
      )}
    </ul>
  );
}

/** Values, each with the token that it should be and the places where it stands. */
export function DriftRows({
  rows,
  areaOf = () => undefined,
}: {
  readonly rows: readonly DriftRow[];
  /** How much of the pages wears a value, 0 to 1; nothing where there is no page. */
  readonly areaOf?: (row: DriftRow) => number | undefined;
}) {
  const [open, setOpen] = useState<string>();
  if (rows.length === 0) return <p className="text-quiet">There is none of this kind.</p>;
  return (
    <ul aria-label="Values">
      {rows.slice(0, MOST_ROWS).map((row) => {
        const key = [
          row.kind,
          row.theme,
          row.value,
          row.token?.id,
          row.places[0]?.file,
          row.places[0]?.from,
        ].join('\n');
        const isOpen = open === key;
        const area = areaOf(row);
        return (
          <li key={key} className="border-t border-line py-0.5">
            <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_7rem] items-baseline gap-x-3">
              <span className="figures truncate" title={row.value}>
                <Swatches row={row} />
                {row.value}
                {row.theme === 'dark' && (
                  <span className="font-sans text-xs text-quiet"> dark</span>
                )}
              </span>
              <span className="flex min-w-0 flex-wrap items-baseline gap-x-2">
                {row.token && (row.match !== 'foreign' || row.isTaken) ? (
                  <Copy
                    text={`var(${row.token.property})`}
                    label={`Copy var(${row.token.property})`}
                    className="figures max-w-full truncate"
                  >
                    {row.token.property}
                  </Copy>
                ) : (
                  <span className="text-quiet">
                    {row.token ? `none; ${row.token.id} is nearest` : 'none of its kind'}
                  </span>
                )}
                {row.isTaken && row.match !== 'equal' && (
                  <span className="text-xs text-quiet">is set to another value</span>
                )}
                {row.away !== undefined && (
                  <span className="text-xs whitespace-nowrap text-quiet">{row.away} off</span>
                )}
              </span>
              <button
                type="button"
                aria-expanded={isOpen}
                aria-label={`${placesWords(row)} of ${row.value}`}
                className="min-h-6 text-end text-quiet hover:text-base-content hover:underline"
                onClick={() => setOpen(isOpen ? undefined : key)}
              >
                {placesWords(row)}
                {area !== undefined && area > 0 && (
                  <span className="block text-xs whitespace-nowrap">
                    {percent(area)} of the page
                  </span>
                )}
              </button>
            </div>
            {isOpen && <Places places={row.places} />}
          </li>
        );
      })}
      {rows.length > MOST_ROWS && (
        <li className="border-t border-line py-1 text-quiet">
          and {rows.length - MOST_ROWS} more: all of them stand in the report
        </li>
      )}
    </ul>
  );
}
