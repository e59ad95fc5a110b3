import { COMPONENT_BY_CLASS } from '@garnish/core/components/components';
import type { Component, Variant } from '@garnish/core/components/component';

/** The component that an element belongs to: itself, or the nearest around it that is one. */
export interface OfComponent {
  readonly component: Component;
  /** What of it the element is in; the first one where its class is none of a variant. */
  readonly variant: Variant | undefined;
  /** The element that is the component. */
  readonly root: Element;
}

/** The component that an element is of; nothing where it is of none. */
export function componentOf(element: Element): OfComponent | undefined {
  for (let one: Element | null = element; one && !one.matches('.site'); one = one.parentElement)
    for (const name of one.classList) {
      const component = COMPONENT_BY_CLASS.get(name);
      if (component)
        return {
          component,
          variant: component.variants?.find(({ of }) => of === name) ?? component.variants?.[0],
          root: one,
        };
    }
  return undefined;
}
