import type { Component } from '@garnish/core/components/component';
import { stateOf } from '@garnish/core/components/states';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { differenceOf } from '@garnish/core/derive/component-states';
import { element, type ProofNode } from '@garnish/core/proof/node';
import { builder } from '@garnish/core/proof/build';
import { picture as pictureElement } from '@garnish/core/proof/parts';
import { specimenOf, statesOfVariants, variantsOf } from '@garnish/core/proof/specimens';
import type { Mode } from '@garnish/core/system/document';
import { useMemo } from 'react';
import { Specimens } from '../../proof/specimens.tsx';
import { ON_PICTURE } from './grounds.tsx';
import { useDecidedLater, useStore } from '../../system/system-context.ts';

const placed = (columns: number): string => `
body { margin: 0; overflow-x: auto; overflow-y: hidden; }
.drawn { display: grid; grid-template-columns: auto repeat(${columns}, minmax(max-content, 1fr)); gap: 12px 8px; align-items: center; justify-items: start; padding: 12px; inline-size: max-content; min-inline-size: 100%; box-sizing: border-box; }
.drawn-says { zoom: 0.8; white-space: nowrap; color: inherit; }
.drawn-one { zoom: 0.56; max-inline-size: 26rem; }
.drawn-one .field, .drawn-one .slider, .drawn-one .progress { inline-size: 6.5rem; }
.drawn-one .step-bar { inline-size: 20rem; }
.drawn-one .skip-link { position: static; translate: none; }
.drawn-one .dialog { position: static; }
.drawn-one .alert, .drawn-one .notice, .drawn-one .card, .drawn-one .dialog, .drawn-one .fold { inline-size: 16rem; }
.over-picture { margin: 0; border-radius: 0; min-block-size: 0; grid-template-rows: auto; }
.over-picture > .drawn { grid-row: 1; min-inline-size: 0; }
.over-picture .drawn-says { justify-self: start; padding: 0 6px; background: rgb(255 255 255 / 0.85); color: #222; }
.over-picture .drawn-says:empty { background: none; }
.drawn-one .nav-panel { position: static; }
.drawn-one .quotation, .drawn-one .prices, .drawn-one .hero, .drawn-one .band, .drawn-one .point, .drawn-one .side-box, .drawn-one .form-row, .drawn-one .field-group, .drawn-one .error-summary, .drawn-one .empty, .drawn-one .add-one { inline-size: 18rem; }
.drawn-one .form-row .field, .drawn-one .field-group .field { inline-size: 100%; }
.drawn-one > div.block { inline-size: 16rem; }
.drawn-one > section.block { inline-size: 31rem; }
.drawn-one:has(> section.block) { max-inline-size: none; }
.drawn-one > .gallery { inline-size: 30rem; }
.drawn-one:has(> .gallery) { max-inline-size: none; }
.drawn-one > div.block > .card, .drawn-one > section.block > .card { inline-size: auto; }
.drawn-one .site-header, .drawn-one .site-footer { inline-size: 26rem; }
`;

/** The first picture of the system under words, with its veil, where components are to stand on one. */
function usePicture(ground: string) {
  const store = useStore();
  const { document } = useDecidedLater(['color']);
  const { veils } = document.color;
  return useMemo(() => {
    const [id] = veils.order;
    if (ground !== ON_PICTURE || id === undefined) return undefined;
    const { decided } = store.state();
    return builder(decided.document, decided.derived).veil(id);
  }, [store, ground, veils]);
}

interface DrawnProps {
  readonly component: Component;
  /** The id of the color role that it stands on. */
  readonly ground: string;
  readonly theme: Mode;
}

/** Every variant in every state beside each other, and how each state is told from rest. */
export function StatesDrawn({ component, ground, theme }: DrawnProps) {
  const { document, derived } = useDecidedLater(['components'], ['styles', 'colors', 'tokenById']);
  const { styles, colors, tokenById } = derived;
  const picture = usePicture(ground);
  const variants = useMemo(
    () => variantsOf(component, ownVariantsOf(document.components)),
    [component, document],
  );
  const columns = statesOfVariants(variants);
  const node = useMemo((): ProofNode => {
    const caption = styles.get('caption')?.slug ?? 'caption';
    const says = (words: string): ProofNode =>
      element('span', { class: `drawn-says type-${caption}` }, words);
    const slug = colors.get(ground)?.slug ?? 'page';
    const rows = [
      says(''),
      ...columns.map((state) => says(state === undefined ? 'rest' : stateOf(state).name)),
      ...variants.flatMap((variant) => [
        says(variant.name),
        ...columns.map((state) =>
          state === undefined || variant.states.includes(state)
            ? element('div', { class: 'drawn-one' }, specimenOf(variant, { styles, colors }, state))
            : says(''),
        ),
      ]),
    ];
    if (!picture) return element('div', { class: `drawn on-${slug}` }, ...rows);
    return element(
      'div',
      { class: `over-picture over-${picture.slug}` },
      pictureElement({ ...picture.picture, name: '' }, 'hero-picture'),
      element('div', { class: `hero-veil veil-${picture.slug}` }),
      element('div', { class: 'drawn hero-words' }, ...rows),
    );
  }, [columns, variants, styles, colors, ground, picture]);
  const { manner } = document.components;
  // Sizes of one thing differ by the same.
  const told = variants.filter(
    ({ of }, index) => variants.findIndex((other) => other.of === of) === index,
  );
  const states = columns.flatMap((state) => state ?? []);
  return (
    <>
      <div className="border border-line">
        <Specimens
          title={`${component.name} in its states`}
          css={placed(columns.length)}
          node={node}
          theme={theme}
        />
      </div>
      {states.length > 0 && (
        <table className="mt-2 w-full text-xs" aria-label="How states differ from rest">
          <thead>
            <tr className="text-quiet">
              <th className="pe-3 text-start font-normal">differs from rest by</th>
              {states.map((state) => (
                <th key={state} className="pe-3 text-start font-normal">
                  {stateOf(state).name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {told.map((variant) => (
              <tr key={variant.id}>
                <th className="pe-3 text-start font-normal text-quiet">{variant.name}</th>
                {states.map((state) => {
                  if (!variant.states.includes(state)) return <td key={state} />;
                  const { distance, isMore } = differenceOf(variant, undefined, state, {
                    manner,
                    tokenById,
                    mode: theme,
                  });
                  return (
                    <td key={state} className="figures pe-3 whitespace-nowrap">
                      {distance > 0 && distance.toFixed(3)}
                      {isMore && (
                        <span className="text-quiet">{distance > 0 ? ' and form' : 'form'}</span>
                      )}
                      {!isMore && distance === 0 && <span className="text-warning">nothing</span>}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
