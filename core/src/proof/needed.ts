import type { Component } from '../components/component.ts';
import { COMPONENTS } from '../components/components.ts';
import type { Derived, Rule } from '../derive/derived.ts';
import { ownVariantsOf } from '../derive/own-variants.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { propertyOf } from '../tokens/token.ts';
import { namesIn, partsOf } from './made-of.ts';
import { classesIn, type ProofElement } from './node.ts';
import { sitePage } from './site.ts';
import { specimenOf, variantsOf } from './specimens.ts';

/** What a component stands on, and the text that it is set in: neither is its own. */
const GROUND = /^(?:type|on|over)-/;

const classesOf = (selector: string): readonly string[] =>
  [...selector.matchAll(/\.([\p{L}\p{N}_-]+)/gu)].flatMap(([, name]) => name ?? []);

const allRules = ({ rules }: Pick<Derived, 'rules'>): readonly Rule[] =>
  rules.flatMap((group) => group.rules);

/** A component as it stands in each of its variants, by their names. */
export const variantsDrawn = (
  component: Component,
  { components }: Pick<StyleDocument, 'components'>,
  derived: Pick<Derived, 'styles' | 'colors'>,
): readonly (readonly [name: string, node: ProofElement])[] =>
  variantsOf(component, ownVariantsOf(components)).map(
    (variant) => [variant.name, specimenOf(variant, derived)] as const,
  );

/** The rules of a component: those that ask for its classes, on whatever ground and in whatever text. */
export function rulesOfComponent(
  component: Component,
  document: Pick<StyleDocument, 'components'>,
  derived: Pick<Derived, 'styles' | 'colors' | 'rules'>,
): readonly Rule[] {
  const own = new Set([
    ...component.classes.map(({ name }) => name),
    ...variantsDrawn(component, document, derived).flatMap(([, node]) =>
      [...classesIn(node)].filter((name) => !/^(type|on)-/.test(name)),
    ),
  ]);
  const isOfIt = (selector: string): boolean => {
    const names = classesOf(selector);
    return (
      names.some((name) => own.has(name)) &&
      names.every((name) => own.has(name) || GROUND.test(name))
    );
  };
  return allRules(derived).filter((rule) => partsOf(rule).some(isOfIt));
}

/** The rules of a page: those that ask for nothing but what stands on it. */
export function rulesOfPage(
  page: string,
  document: StyleDocument,
  derived: Derived,
): readonly Rule[] {
  const own = new Set(classesIn(sitePage(document, derived, page)));
  return allRules(derived).filter((rule) =>
    partsOf(rule).some((selector) => classesOf(selector).every((name) => own.has(name))),
  );
}

/** The tokens that rules take, in the order of the sheet. */
export function tokensInRules(
  rules: readonly Rule[],
  { tokens }: Pick<Derived, 'tokens'>,
): readonly string[] {
  const taken = new Set(
    rules.flatMap(({ declarations }) => declarations.flatMap(([, value]) => namesIn(value))),
  );
  return tokens.flatMap((token) => (taken.has(propertyOf(token)) ? [token.id] : []));
}

/** Something that is built from tokens. */
export interface Needing {
  readonly kind: 'page' | 'component';
  readonly id: string;
  readonly name: string;
}

/** The pages that are shown, and every component: whatever tokens are needed by. */
export const allNeeding = ({ content }: Pick<StyleDocument, 'content'>): readonly Needing[] => [
  ...inOrder(content.pages).flatMap(([id, { name, isOff }]): readonly Needing[] =>
    isOff === true ? [] : [{ kind: 'page', id, name }],
  ),
  ...COMPONENTS.map(({ id, name }): Needing => ({ kind: 'component', id, name })),
];

/** The tokens that the rules of a page or a component take; nothing for one that is not there. */
export function neededBy(
  { kind, id }: Pick<Needing, 'kind' | 'id'>,
  document: StyleDocument,
  derived: Derived,
): readonly string[] {
  if (kind === 'page')
    return Object.hasOwn(document.content.pages.items, id)
      ? tokensInRules(rulesOfPage(id, document, derived), derived)
      : [];
  const component = COMPONENTS.find((one) => one.id === id);
  return component ? tokensInRules(rulesOfComponent(component, document, derived), derived) : [];
}
