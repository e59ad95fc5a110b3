import { COMPONENTS } from '../components/components.ts';
import { stateOf, type StateId } from '../components/states.ts';
import { namedClass, type Naming } from '../formats/naming.ts';
import { partsOf } from '../proof/made-of.ts';
import type { ReadSheet } from './read-sheet.ts';

/** A class of a component that the sheets say something of, and the states that they say nothing of. */
export interface MissingStates {
  readonly name: string;
  readonly component: string;
  readonly states: readonly StateId[];
}

/** What each class of a component has states for, by the class that the system is written with. */
function statesByClass(naming: Pick<Naming, 'classes'>) {
  const found = new Map<string, { component: string; states: readonly StateId[] }>();
  for (const { name: component, variants = [] } of COMPONENTS)
    for (const { of, states } of variants) {
      const name = namedClass(of, naming);
      const before = found.get(name);
      found.set(name, {
        component,
        states: [...new Set([...(before?.states ?? []), ...states])],
      });
    }
  return found;
}

/**
 * The states that components of a system have and their classes in some sheets have not: what is pointed at, pressed or
 * focused there looks as at rest. A class that the sheets do not know is not told.
 */
export function missingStates(
  sheets: readonly ReadSheet[],
  naming: Pick<Naming, 'classes'>,
): readonly MissingStates[] {
  const selectors = new Map<string, string[]>();
  const wanted = statesByClass(naming);
  for (const { declarations } of sheets)
    for (const selector of new Set(declarations.flatMap((one) => partsOf(one))))
      for (const [, name = ''] of selector.matchAll(/\.([\w-]+)/g))
        if (wanted.has(name)) {
          const known = selectors.get(name);
          if (known) known.push(selector);
          else selectors.set(name, [selector]);
        }
  return [...selectors].flatMap(([name, all]): readonly MissingStates[] => {
    const own = wanted.get(name);
    const missing = (own?.states ?? []).filter((state) => {
      const { selectors: some, attributes } = stateOf(state);
      // What an attribute tells can be told by its name alone.
      const signs = [...some, ...Object.keys(attributes ?? {}).map((key) => `[${key}`)];
      return !all.some((selector) => signs.some((sign) => selector.includes(sign)));
    });
    return own && missing.length > 0 ? [{ name, component: own.component, states: missing }] : [];
  });
}
