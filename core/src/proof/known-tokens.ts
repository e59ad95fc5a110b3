import { roleToken } from '../derive/components.ts';
import type { Derived } from '../derive/derived.ts';
import type { ProofElement } from './node.ts';

/**
 * The tokens that there are of those that an element names: of a color role by its id, and of a space
 * that is one token or two, as its role has it.
 */
function usedTokens(uses: readonly string[], { tokenById, colors }: Derived): readonly string[] {
  const known = (id: string): readonly string[] => {
    if (tokenById.has(id)) return [id];
    const named = roleToken(id, colors);
    const whole = id.replace(/-(inline|block)$/, '');
    return [...new Set([named, whole, `${whole}-inline`, `${whole}-block`])].filter((one) =>
      tokenById.has(one),
    );
  };
  return uses.every((id) => tokenById.has(id)) ? uses : [...new Set(uses.flatMap(known))];
}

/** A page whose elements name only tokens that there are. */
export function withKnownTokens(node: ProofElement, derived: Derived): ProofElement {
  const uses = node.uses && usedTokens(node.uses, derived);
  const children = node.children.map((child) =>
    typeof child === 'string' ? child : withKnownTokens(child, derived),
  );
  return { ...node, children, ...(uses && { uses }) };
}
