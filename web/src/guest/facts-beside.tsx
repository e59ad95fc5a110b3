import type { FactUnit } from '@garnish/core/measures/facts';
import { remWords, sizeWords, type Box } from '@garnish/core/measures/geometry';
import type { ReactNode } from 'react';
import { Copy } from '../ui/copy.tsx';
import { Swatch } from '../ui/swatch.tsx';
import type { Told } from '../proof/chosen.ts';

export const SAID = ['value', 'token', 'both'] as const;
export type Said = (typeof SAID)[number];

interface FactsProps {
  readonly told: Told;
  readonly box: Box;
  readonly unit: FactUnit;
  readonly said: Said;
  /** What is told below. */
  readonly children: ReactNode;
}

/** What is told of the chosen thing, in the margin beside the page. */
export function FactsBeside({ told, box, unit, said, children }: FactsProps) {
  const size = (px: number): string => (unit === 'px' ? sizeWords(px) : remWords(px));
  return (
    <section aria-label="What is chosen" className="min-w-0">
      <h2 className="font-semibold first-letter:uppercase">{told.name}</h2>
      <table className="w-full table-fixed">
        <tbody>
          <tr className="border-b border-line">
            <th className="w-24 py-1 text-start align-top font-normal text-quiet">size</th>
            <td className="figures py-1 text-end align-top">
              {size(box.width)} × {size(box.height)}
            </td>
          </tr>
          {told.facts.map(({ what, value, tokens }) => (
            <tr key={what} className="border-b border-line">
              <th className="py-1 text-start align-top font-normal text-quiet">{what}</th>
              <td className="py-1 text-end align-top">
                {(said !== 'token' || tokens.length === 0) && (
                  <span className="figures block break-words">
                    <Copy text={value} className="text-end!" label={`${what} ${value}`}>
                      {/^#[\da-f]{6}$/.test(value) && <Swatch value={value} />}
                      {value}
                    </Copy>
                  </span>
                )}
                {said !== 'value' &&
                  tokens.map((token) => (
                    <span key={token} className="figures block text-xs break-words text-quiet">
                      {token}
                    </span>
                  ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="py-1 text-quiet">{told.built}</p>
      {children}
    </section>
  );
}
