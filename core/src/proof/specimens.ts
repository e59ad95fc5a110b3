import type { Attributes, Component, Variant } from '../components/component.ts';
import { drawnAttributes, type StateId } from '../components/states.ts';
import type { Derived } from '../derive/derived.ts';
import type { ProofElement, ProofNode } from './node.ts';

/** What classes are called that carry the name of a text or color role, by the id of that role. */
const NAMED = /^(type|on|fill|wash)-(.+)$/;

const className = (
  name: string,
  { styles, colors }: Pick<Derived, 'styles' | 'colors'>,
): string => {
  const [, kind, id = ''] = NAMED.exec(name) ?? [];
  const slug = kind === undefined ? undefined : (kind === 'type' ? styles : colors).get(id)?.slug;
  return slug === undefined ? name : `${kind}-${slug}`;
};

/** An element with the classes that a system’s roles have, which may be called otherwise than usual. */
const inSystem = (node: ProofNode, derived: Pick<Derived, 'styles' | 'colors'>): ProofNode => {
  if (typeof node === 'string') return node;
  const { class: names, ...attributes } = node.attributes;
  return {
    ...node,
    attributes: {
      ...attributes,
      ...(names !== undefined && {
        class: names
          .split(' ')
          .map((name) => className(name, derived))
          .join(' '),
      }),
    },
    children: node.children.map((child) => inSystem(child, derived)),
  };
};

/** A variant of a component in a state, as a system has it; at rest where none is named. */
export function specimenOf(
  { specimen }: Variant,
  derived: Pick<Derived, 'styles' | 'colors'>,
  state?: StateId,
): ProofElement {
  const attributes: Attributes = state === undefined ? {} : drawnAttributes(state);
  // An element stays an element.
  return inSystem(specimen(attributes), derived) as ProofElement;
}

/** The states of a component that any of its variants has, in their order; rest first. */
export const statesOfComponent = ({
  variants = [],
}: Component): readonly (StateId | undefined)[] => [
  undefined,
  ...new Set(variants.flatMap(({ states }) => states)),
];
