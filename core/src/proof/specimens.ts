import type { Attributes, Component, Variant } from '../components/component.ts';
import { drawnAttributes, type StateId } from '../components/states.ts';
import type { OwnVariant } from '../derive/own-variants.ts';
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
export const inSystem = (
  node: ProofNode,
  derived: Pick<Derived, 'styles' | 'colors'>,
): ProofNode => {
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

/** An element with a class beside the one that is looked for, in it or in what is in it. */
function besideClass(node: ProofElement, name: string, added: string): ProofElement {
  const { class: names = '', ...attributes } = node.attributes;
  const own = names.split(' ');
  return {
    ...node,
    attributes: own.includes(name)
      ? { ...attributes, class: [...own, added].join(' ') }
      : node.attributes,
    children: node.children.map((child) =>
      typeof child === 'string' ? child : besideClass(child, name, added),
    ),
  };
}

/** The variants of a component, and behind each those of one’s own that follow it. */
export function variantsOf(
  { classes, variants = [] }: Pick<Component, 'classes' | 'variants'>,
  own: readonly OwnVariant[],
): readonly Variant[] {
  const isHere = (of: string): boolean => classes.some(({ name }) => name === of);
  return variants.flatMap((variant, index) => {
    const isFirst = variants.findIndex(({ of }) => of === variant.of) === index;
    const copies = isFirst && isHere(variant.of) ? own.filter(({ of }) => of === variant.of) : [];
    return [
      variant,
      ...copies.map(({ id, name, slug, of }) => ({
        ...variant,
        id: `own-${id}`,
        name,
        specimen: (state: Attributes) => besideClass(variant.specimen(state), of, slug),
      })),
    ];
  });
}

/** The states of some variants, in their order; rest first. */
export const statesOfVariants = (
  variants: readonly Variant[],
): readonly (StateId | undefined)[] => [
  undefined,
  ...new Set(variants.flatMap(({ states }) => states)),
];
