import { MODES } from '../system/document.ts';
import type { Derived } from './derived.ts';

const touches = (path: string, decision: string): boolean =>
  path === decision || path.startsWith(`${decision}/`) || decision.startsWith(`${path}/`);

/**
 * The tokens that a decision leads to, by id: those whose trail names it, a part of it or what it is a part of, and
 * all that take their value from them.
 */
export function tokensOfDecision(
  decision: string,
  { tokens, trailOf }: Pick<Derived, 'tokens' | 'trailOf'>,
): readonly string[] {
  const found = new Set(
    tokens
      .filter(({ id }) => trailOf(id)?.decisions.some(({ path }) => touches(path, decision)))
      .map(({ id }) => id),
  );
  for (let before = -1; before !== found.size;) {
    before = found.size;
    for (const { id, values } of tokens)
      if (MODES.some((mode) => found.has(values[mode].reference ?? ''))) found.add(id);
  }
  return [...found];
}
