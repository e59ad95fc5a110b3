import { COMPONENT_BY_CLASS } from '../components/components.ts';
import { namedClass, type Naming } from '../formats/naming.ts';

/**
 * Tells the component that a selector is about: that of the last class in it that is one of a component, as the system
 * is written. The empty name where there is none.
 */
export function componentsBySelector(
  naming: Pick<Naming, 'classes'>,
): (selector: string) => string {
  const byClass = new Map(
    [...COMPONENT_BY_CLASS].map(([name, component]) => [namedClass(name, naming), component.name]),
  );
  const known = new Map<string, string>();
  return (selector) => {
    const told = known.get(selector);
    if (told !== undefined) return told;
    const names = [...selector.matchAll(/\.((?:[\p{L}\p{N}_-]|\\.)+)/gu)].map(([, name = '']) =>
      byClass.get(name.replaceAll('\\', '')),
    );
    const found = names.findLast((name) => name !== undefined) ?? '';
    known.set(selector, found);
    return found;
  };
}
