import { DRAWN, STATES } from '../components/states.ts';
import type { Rule } from '../derive/derived.ts';

/** The states that only a hand can bring about, by the selectors that they have. */
const BY_HAND = STATES.filter((state) => !('attributes' in state));

/**
 * The rules of states that only a hand can bring about (pointed at, pressed, focused), of the same declarations, for
 * elements that are drawn in such a state. They are part of the window and not exported.
 */
export const drawnRules = (rules: readonly Rule[]): readonly Rule[] =>
  rules.flatMap(({ selector, declarations }): Rule[] => {
    let drawn = selector;
    for (const { id, selectors } of BY_HAND)
      for (const state of selectors) drawn = drawn.replaceAll(state, `[${DRAWN}~="${id}"]`);
    return drawn === selector ? [] : [{ selector: drawn, declarations }];
  });
