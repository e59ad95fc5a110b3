import type { Derived, Rule } from '@garnish/core/derive/derived';
import type { Length } from '@garnish/core/measures/made-of';
import { saidOfSides, tokensSaid, type OfSides, type Side } from '@garnish/core/measures/sides';
import { builtOf, factsOf, type Fact, type FactUnit } from '@garnish/core/measures/facts';
import type { Box } from '@garnish/core/measures/geometry';
import { declarationsOf, namesIn, partsOf, weightOf } from '@garnish/core/proof/made-of';
import { propertyOf } from '@garnish/core/tokens/token';
import { holdsOn } from './elements.ts';

/** Where an element stands in its frame, as it is scrolled. */
export function boxOf(element: Element): Box {
  const { left, top, width, height } = element.getBoundingClientRect();
  return { left, top, width, height };
}

/** What one chooses at a place: the element itself; of a drawing all of it. */
export function chosenAt(target: Element): Element | undefined {
  const one = target.closest('svg') ?? target;
  const site = one.closest('.site');
  return site && one !== site ? one : undefined;
}

/** The words of an element itself, without those of what stands in it. */
export const ownWordsOf = (element: Element): string =>
  [...element.childNodes]
    .map((node) => (node.nodeType === 3 ? (node.textContent ?? '').trim() : ''))
    .join('');

export const hasWords = (element: Element): boolean => ownWordsOf(element) !== '';

/** What an element is called: its first class that says what it is, or its name in HTML. */
export function nameOf(element: Element): string {
  const own = [...element.classList].find((name) => !/^(?:on|fill|wash|width|span)-/.test(name));
  return (own ?? element.localName).replace(/^type-/, 'words in ').replaceAll('-', ' ');
}

/** The layers that an element stands in, the innermost first, without the page itself. */
export function layersOf(element: Element): readonly Element[] {
  const layers: Element[] = [];
  for (let one: Element | null = element; one && !one.matches('.site'); one = one.parentElement)
    layers.push(one);
  return layers;
}

/** What the rules of a system say of the elements of a page; remembered, so it holds as long as the page is the same. */
export interface Reading {
  /** The declarations that win, by their properties. */
  readonly declared: (element: Element) => ReadonlyMap<string, string>;
  /** The tokens behind a custom property: itself, or those in what a rule further out has set it to. */
  readonly tokensBehind: (element: Element) => (property: string) => readonly string[];
}

export function readingOf(
  page: Document,
  { rules, tokens }: Pick<Derived, 'rules' | 'tokens'>,
): Reading {
  const names = new Map(tokens.map((token) => [propertyOf(token), token.id]));
  const holds = holdsOn(page);
  const known = new Map<Element, ReadonlyMap<string, string>>();
  const declared = (one: Element): ReadonlyMap<string, string> => {
    const found = known.get(one) ?? declarationsOf(one, rules, holds);
    known.set(one, found);
    return found;
  };
  const behind = (
    element: Element,
    property: string,
    seen: readonly string[],
  ): readonly string[] => {
    const own = names.get(property);
    if (own !== undefined) return [own];
    if (seen.includes(property)) return [];
    for (let one: Element | null = element; one; one = one.parentElement) {
      const said = declared(one).get(property);
      if (said !== undefined)
        return namesIn(said).flatMap((name) => behind(element, name, [...seen, property]));
    }
    return [];
  };
  return { declared, tokensBehind: (element) => (property) => behind(element, property, []) };
}

/** A length in px, as CSS says it; nothing where it says something else. */
export const pxIn = (css: string): number => Number.parseFloat(css) || 0;

/** The room inside or around an element on each side, and the tokens that make it. */
export function roomOf(
  element: Element,
  property: 'padding' | 'margin',
  reading: Reading,
): OfSides<Length> {
  const computed = computedOf(element);
  const tokensOf = reading.tokensBehind(element);
  const said = saidOfSides(property, reading.declared(element), computed('direction') === 'rtl');
  const of = (side: Side, index: 0 | 1 | 2 | 3): Length => ({
    px: pxIn(computed(`${property}-${side}`)),
    tokens: tokensSaid(said[index], tokensOf),
  });
  return [of('top', 0), of('right', 1), of('bottom', 2), of('left', 3)];
}

/** How wide the edge of an element is on each side, in px. */
export function edgeOf(element: Element): OfSides<number> {
  const computed = computedOf(element);
  const of = (side: Side): number => pxIn(computed(`border-${side}-width`));
  return [of('top'), of('right'), of('bottom'), of('left')];
}

/** The room that an element leaves between rows and between columns, and the tokens that make it; nothing where it is neither a grid nor a flexible box. */
export function gapsOf(
  element: Element,
  reading: Reading,
): { readonly row: Length; readonly column: Length } {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  const isSpaced = /flex|grid/.test(style?.display ?? '');
  const declared = reading.declared(element);
  const tokensOf = reading.tokensBehind(element);
  const of = (axis: 'row' | 'column'): Length => {
    const both = declared.get('gap')?.split(/ (?![^(]*\))/);
    const said = declared.get(`${axis}-gap`) ?? both?.[axis === 'row' ? 0 : 1] ?? both?.[0];
    const px = isSpaced ? pxIn(style?.getPropertyValue(`${axis}-gap`) ?? '') : 0;
    return { px, tokens: tokensSaid(said, tokensOf) };
  };
  return { row: of('row'), column: of('column') };
}

/** Everything that is told of a chosen element. */
export interface Told {
  readonly name: string;
  readonly built: string;
  readonly facts: readonly Fact[];
  /** The rules that hold for it, for the sheet as it goes out. */
  readonly rules: readonly Rule[];
  /** The tokens that it is made of, by id. */
  readonly tokens: readonly string[];
  /** The class that it is found by elsewhere; none where it has none. */
  readonly known: string | undefined;
}

/** What is said of an element in facts. */
export const factsAt = (element: Element, unit: FactUnit, reading: Reading): readonly Fact[] =>
  factsOf({
    computed: computedOf(element),
    declared: reading.declared(element),
    tokensOf: reading.tokensBehind(element),
    unit,
    hasWords: hasWords(element),
  });

const computedOf = (element: Element): ((property: string) => string) => {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  return (property) => style?.getPropertyValue(property) ?? '';
};

export function toldOf(element: Element, unit: FactUnit, derived: Derived): Told {
  const reading = readingOf(element.ownerDocument, derived);
  const behind = reading.tokensBehind(element);
  return {
    name: nameOf(element),
    built: builtOf(computedOf(element), hasWords(element), element.localName),
    facts: factsAt(element, unit, reading),
    rules: derived.rules
      .flatMap((group) => group.rules)
      .filter((rule) =>
        // What holds for everything is no news of one thing.
        partsOf(rule).some((part) => weightOf(part) > 0 && element.matches(part)),
      ),
    tokens: [
      ...new Set(
        [...reading.declared(element).values()].flatMap((said) => namesIn(said).flatMap(behind)),
      ),
    ],
    known: element.classList[0],
  };
}
