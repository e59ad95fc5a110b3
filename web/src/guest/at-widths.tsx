import { writeHtml, type ProofElement } from '@garnish/core/proof/node';
import { remWords, sizeWords } from '@garnish/core/measures/geometry';
import type { FactUnit } from '@garnish/core/measures/facts';
import type { Mode } from '@garnish/core/system/document';
import { useEffect, useState } from 'react';
import { factsAt, readingOf } from '../proof/chosen.ts';
import { framedSheets } from '../proof/framed-sheets.ts';
import { openHiddenFrame } from '../proof/hidden-frame.ts';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import type { GuestView } from './use-guest.ts';

const WIDTHS = [375, 720, 1280] as const;

/** A fact at each of the widths; nothing where it is not said there. */
interface WideFact {
  readonly what: string;
  readonly values: readonly (string | undefined)[];
}

/** The way to an element from the page, as places among children. */
function wayTo(element: Element): readonly number[] {
  const way: number[] = [];
  for (let one = element; !one.matches('.site');) {
    const parent = one.parentElement;
    if (!parent) break;
    way.unshift([...parent.children].indexOf(one));
    one = parent;
  }
  return way;
}

interface Wanted {
  readonly view: GuestView;
  readonly node: ProofElement;
  readonly theme: Mode;
  readonly way: readonly number[];
  readonly unit: FactUnit;
}

/** What of the facts of an element is another at another width. */
async function factsAtWidths({
  view,
  node,
  theme,
  way,
  unit,
}: Wanted): Promise<readonly WideFact[]> {
  const hidden = await openHiddenFrame('At other widths');
  const sheets = hidden && framedSheets(hidden.frame);
  if (!hidden || !sheets) throw new Error('The browser lets nobody measure the page.');
  try {
    const { document: page } = sheets;
    page.documentElement.setAttribute('data-theme', theme);
    sheets.exported.show(view.sheet);
    sheets.arrangement.replaceSync('* { content-visibility: visible !important; }');
    page.body.innerHTML = writeHtml(node, sanitizedSvg);
    hidden.frame.style.height = '900px';
    const size = unit === 'px' ? sizeWords : remWords;
    const found: ReadonlyMap<string, string>[] = [];
    for (const width of WIDTHS) {
      hidden.frame.style.width = `${width}px`;
      page.body.getBoundingClientRect();
      await page.fonts.ready;
      const element = way.reduce<Element | undefined>(
        (one, index) => one?.children[index],
        page.querySelector('.site') ?? undefined,
      );
      const box = element?.getBoundingClientRect();
      found.push(
        new Map(
          !element || !box || element.getClientRects().length === 0
            ? []
            : [
                ['size', `${size(box.width)} × ${size(box.height)}`] as const,
                ...factsAt(element, unit, readingOf(page, view.derived)).map(
                  ({ what, value }) => [what, value] as const,
                ),
              ],
        ),
      );
    }
    return [...new Set(found.flatMap((one) => [...one.keys()]))]
      .map((what) => ({ what, values: found.map((one) => one.get(what)) }))
      .filter(({ values }) => new Set(values).size > 1);
  } finally {
    hidden.frame.remove();
  }
}

interface AtWidthsProps extends Omit<Wanted, 'way'> {
  readonly element: Element;
}

/** What of the chosen thing is another at other widths. */
export function AtWidths({ element, view, node, theme, unit }: AtWidthsProps) {
  const [isOpen, setOpen] = useState(false);
  const [told, setTold] = useState<{
    readonly of: string;
    readonly facts: readonly WideFact[] | string;
  }>();
  const way = wayTo(element).join(' ');
  const of = [way, theme, unit, view.sequence].join();
  useEffect(() => {
    if (!isOpen) return undefined;
    let isOver = false;
    const places = way === '' ? [] : way.split(' ').map(Number);
    factsAtWidths({ view, node, theme, unit, way: places })
      .catch((error: unknown) => (error instanceof Error ? error.message : String(error)))
      .then((facts) => {
        if (!isOver) setTold({ of, facts });
      })
      .catch(() => undefined);
    return () => {
      isOver = true;
    };
  }, [isOpen, way, view, node, theme, unit, of]);
  const facts = told?.of === of ? told.facts : undefined;
  return (
    <details
      className="mt-2 border-t border-line pt-1"
      open={isOpen}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="min-h-6 cursor-pointer">At other widths</summary>
      {facts === undefined ? (
        <p className="text-quiet">Measuring …</p>
      ) : typeof facts === 'string' ? (
        <p role="alert" className="text-error">
          {facts}
        </p>
      ) : facts.length === 0 ? (
        <p className="text-quiet">It is the same on {WIDTHS.join(', ')} px.</p>
      ) : (
        <table className="w-full table-fixed text-xs">
          <thead>
            <tr className="text-quiet">
              <td />
              {WIDTHS.map((width) => (
                <th key={width} scope="col" className="figures py-1 text-end font-normal">
                  {width}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {facts.map(({ what, values }) => (
              <tr key={what} className="border-t border-line">
                <th scope="row" className="py-1 text-start align-top font-normal text-quiet">
                  {what}
                </th>
                {values.map((value, index) => (
                  // A width stands once at its place.
                  // oxlint-disable-next-line react/no-array-index-key
                  <td key={index} className="figures py-1 text-end align-top break-words">
                    {value ?? '–'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </details>
  );
}
