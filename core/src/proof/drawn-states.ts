import { DRAWN, STATES } from '../components/states.ts';
import type { Rule } from '../derive/derived.ts';
import { partsOf } from './made-of.ts';

/** The states that only a hand can bring about, by the selectors that they have. */
const BY_HAND = STATES.filter((state) => !('attributes' in state));

/** A selector with its states as an attribute; the same where it has none. */
function drawn(selector: string): string {
  let found = selector;
  for (const { id, selectors } of BY_HAND)
    for (const state of selectors) found = found.replaceAll(state, `[${DRAWN}~="${id}"]`);
  return found;
}

/**
 * The rules of states that only a hand can bring about (pointed at, pressed, focused), of the same declarations, for
 * elements that are drawn in such a state; of a list of selectors those alone that have one. They are part of the
 * window and not exported.
 */
export const drawnRules = (rules: readonly Rule[]): readonly Rule[] =>
  rules.flatMap((rule): Rule[] => {
    if (drawn(rule.selector) === rule.selector) return [];
    const selector = partsOf(rule)
      .filter((part) => drawn(part) !== part)
      .map(drawn)
      .join(', ');
    return [{ selector, declarations: rule.declarations }];
  });
