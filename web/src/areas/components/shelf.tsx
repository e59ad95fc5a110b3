import type { Component } from '@garnish/core/components/component';
import { element, type ProofNode } from '@garnish/core/proof/node';
import { specimenOf } from '@garnish/core/proof/specimens';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { Specimens } from '../../proof/specimens.tsx';
import { inOrder } from '@garnish/core/system/document';
import { isOfComponent, ofDecision, SHOWN } from './of-decision.ts';
import { idOfOwn, ownPartNode } from './own-part-node.ts';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useDecidedLater, useStore, useSystem } from '../../system/system-context.ts';

const PER_ROW = 7;
const PICTURE_PX = 44;
const CELL_PX = 66;

/** A picture of each in its place, under the buttons that name them. */
const PLACED = `
body { margin: 0; overflow: hidden; background: none; }
.shelf { display: grid; grid-template-columns: repeat(${PER_ROW}, minmax(0, 1fr)); }
.shelf-cell { block-size: ${CELL_PX}px; overflow: clip; }
.shelf-picture { display: grid; place-content: center; justify-items: center; block-size: ${PICTURE_PX}px; padding: 4px; overflow: clip; }
.shelf-picture > * { zoom: 0.42; inline-size: max-content; max-inline-size: 128px; }
.shelf-picture > .field, .shelf-picture > .slider, .shelf-picture > .progress { inline-size: 100px; }
.shelf-picture > .skip-link { position: static; translate: none; }
.shelf-picture > .dialog { position: static; }
.shelf-picture > .tabs { zoom: 0.36; max-inline-size: none; }
.shelf-picture > .step-bar { zoom: 0.36; inline-size: 160px; max-inline-size: none; flex-wrap: nowrap; }
.shelf-picture .step-mark { flex-basis: 0; }
.shelf-picture > .prices, .shelf-picture > .quotation, .shelf-picture > .form-row, .shelf-picture > .hero, .shelf-picture > .table, .shelf-picture > .point, .shelf-picture > .add-one { zoom: 0.24; inline-size: 220px; max-inline-size: none; }
.shelf-picture > .form-row .field { inline-size: 100%; }
.shelf-picture > .figure { zoom: 0.26; }
.shelf-picture > .own-part { zoom: 0.16; inline-size: 420px; max-inline-size: none; }
.shelf-picture > .hero { zoom: 0.17; inline-size: 380px; }
.shelf-picture > .band { zoom: 0.16; inline-size: 380px; max-inline-size: none; }
.shelf-picture > .card, .shelf-picture > .alert, .shelf-picture > .notice, .shelf-picture > .dialog, .shelf-picture > .site-header, .shelf-picture > .site-footer { zoom: 0.23; inline-size: 240px; max-inline-size: none; }
`;

const CELL =
  'group flex min-w-0 items-end border-e border-b border-line text-xs aria-pressed:shadow-[inset_0_3px_0_var(--color-primary)]';
const NAME =
  'flex h-5.5 w-full min-w-0 items-center justify-between gap-1 bg-base-100 px-1 text-start text-quiet group-hover:text-base-content group-aria-pressed:font-semibold group-aria-pressed:text-base-content';

/** So long the pictures wait at most for what is looked at first, in ms. */
const WAIT_MS = 250;

/** Whether the component that was opened had its turn: its states are looked at before the pictures of all others. */
function useIdle(): boolean {
  const [isIdle, setIdle] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setIdle(true)), WAIT_MS);
    return () => clearTimeout(timer);
  }, []);
  return isIdle;
}

interface ShelfProps {
  readonly opened: string;
  readonly onOpen: (id: string) => void;
}

/** All components and own parts as small live pictures in one manner; one is opened below. */
export function Shelf({ opened, onOpen }: ShelfProps) {
  const theme = useProofTheme();
  const { derived, document } = useDecidedLater(['content'], ['styles', 'colors']);
  const store = useStore();
  const departures = useSystem(({ decided }) => decided.document.components.departures);
  const findings = useSystem((state) => state.findings);
  const { styles, colors } = derived;
  const { parts } = document.content;
  const isDrawn = useIdle();
  const own = parts ? inOrder(parts) : [];
  const node = useMemo((): ProofNode => {
    const cell = (...nodes: readonly ProofNode[]): ProofNode =>
      element(
        'div',
        { class: 'shelf-cell on-page' },
        element('div', { class: 'shelf-picture' }, ...nodes),
      );
    const { decided } = store.state();
    return element(
      'div',
      { class: 'shelf' },
      ...SHOWN.map(({ variants = [] }) =>
        cell(...variants.slice(0, 1).map((variant) => specimenOf(variant, { styles, colors }))),
      ),
      ...(parts?.order ?? []).map((id) =>
        cell(ownPartNode(id, decided.document, { ...decided.derived, styles, colors })),
      ),
    );
  }, [store, parts, styles, colors]);
  const rows = Math.ceil((SHOWN.length + own.length) / PER_ROW);
  const countOf = (own: Component): number =>
    Object.keys(departures).filter((name) => isOfComponent(own, name.split('.')[0] ?? '')).length;
  const isFound = (own: Component): boolean =>
    findings.some(({ decision }) => isOfComponent(own, ofDecision(decision) ?? ''));
  return (
    <div className="relative border-y border-line">
      {isDrawn ? (
        <Specimens
          title="All parts"
          isPicture
          css={PLACED}
          node={node}
          theme={theme}
          heightPx={rows * CELL_PX}
        />
      ) : (
        <div style={{ height: rows * CELL_PX }} />
      )}
      <div
        role="group"
        aria-label="Parts"
        className="absolute inset-0 grid"
        style={{
          gridTemplateColumns: `repeat(${PER_ROW}, minmax(0, 1fr))`,
          gridAutoRows: `${CELL_PX}px`,
        }}
      >
        {SHOWN.map((own) => {
          const count = countOf(own);
          return (
            <button
              key={own.id}
              type="button"
              aria-pressed={own.id === opened}
              className={CELL}
              onClick={() => onOpen(own.id)}
            >
              <span className={NAME}>
                <span className="truncate">{own.name}</span>
                {count > 0 && (
                  <span
                    className="figures text-base-content"
                    title={`${count} depart from the manner`}
                  >
                    {count}
                  </span>
                )}
                {isFound(own) && (
                  <span className="text-warning" title="A check says something of it">
                    <span aria-hidden>!</span>
                    <span className="sr-only">to look at</span>
                  </span>
                )}
              </span>
            </button>
          );
        })}
        {own.map(([id, { name }]) => (
          <button
            key={id}
            type="button"
            aria-pressed={idOfOwn(id) === opened}
            className={CELL}
            onClick={() => onOpen(idOfOwn(id))}
          >
            <span className={NAME}>
              <span className="truncate">{name}</span>
            </span>
          </button>
        ))}
      </div>
    </div>
  );
}
