import { COMPONENTS } from '../components/components.ts';
import type { OwnVariant } from '../derive/own-variants.ts';
import type { Derived } from '../derive/derived.ts';
import { element, type ProofElement } from './node.ts';
import { specimenOf, variantsOf } from './specimens.ts';

/**
 * Every variant of every component at rest, one below the other without room between: who measures it finds what none
 * of the pages has.
 */
export const everyComponent = (
  derived: Pick<Derived, 'styles' | 'colors'>,
  own: readonly OwnVariant[],
): ProofElement =>
  element(
    'div',
    { class: 'site' },
    ...COMPONENTS.flatMap((component) =>
      variantsOf(component, own).map((variant) => element('div', {}, specimenOf(variant, derived))),
    ),
  );
