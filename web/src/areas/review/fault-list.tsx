import { FAULT_KINDS, FAULT_REASONS, type Fault } from '@garnish/core/reading/faults';
import { useState } from 'react';
import { Section } from '../../ui/bench.tsx';
import { Swatch } from '../../ui/swatch.tsx';
import { Places, placesWords } from './drift-rows.tsx';

const MOST_TOLD = 60;

/** What is wrong with sheets by themselves, kind by kind. */
export function FaultList({ faults }: { readonly faults: readonly Fault[] }) {
  const [open, setOpen] = useState<Fault>();
  if (faults.length === 0) return null;
  return (
    <Section full title="In the sheets themselves" aside={`${faults.length}`}>
      {FAULT_KINDS.map((kind) => {
        const own = faults.filter((one) => one.kind === kind);
        if (own.length === 0) return null;
        return (
          <details key={kind} className="border-t border-line">
            <summary className="min-h-7 cursor-pointer">
              {kind} <span className="figures float-end text-quiet">{own.length}</span>
            </summary>
            <p className="text-quiet">{FAULT_REASONS[kind]}</p>
            <ul aria-label={kind} className="pb-2">
              {own.slice(0, MOST_TOLD).map((fault) => (
                <li key={fault.values.join('\n')}>
                  <div className="flex items-baseline justify-between gap-x-3">
                    <span className="figures min-w-0 break-words">
                      {fault.values.map((value) => (
                        <span key={value} className="me-3">
                          {fault.of === 'color' && !value.includes('var(') && (
                            <Swatch value={value} />
                          )}
                          {value}
                        </span>
                      ))}
                    </span>
                    <button
                      type="button"
                      aria-expanded={open === fault}
                      aria-label={`${placesWords(fault)} of ${fault.values.join(', ')}, ${kind}`}
                      className="min-h-6 shrink-0 text-quiet hover:text-base-content hover:underline"
                      onClick={() => setOpen(open === fault ? undefined : fault)}
                    >
                      {placesWords(fault)}
                    </button>
                  </div>
                  {open === fault && <Places places={fault.places} />}
                </li>
              ))}
              {own.length > MOST_TOLD && (
                <li className="text-quiet">and {own.length - MOST_TOLD} more, in the report</li>
              )}
            </ul>
          </details>
        );
      })}
    </Section>
  );
}
