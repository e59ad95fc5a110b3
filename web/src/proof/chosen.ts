import type { Derived } from '@garnish/core/derive/derived';
import { tokensSaid } from '@garnish/core/drawings/scene';
import { namingOf } from '@garnish/core/formats/naming';
import { rulesCss } from '@garnish/core/formats/sheet';
import { builtOf, factsOf, type Fact, type FactUnit } from '@garnish/core/measures/facts';
import type { Box } from '@garnish/core/measures/geometry';
import { declarationsOf, namesIn, partsOf, weightOf } from '@garnish/core/proof/made-of';
import type { StyleDocument } from '@garnish/core/system/document';
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

export const hasWords = (element: Element): boolean =>
  [...element.childNodes].some(
    (node) => node.nodeType === 3 && (node.textContent ?? '').trim() !== '',
  );

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

/** The tokens behind a custom property: itself, or those in what a rule further out has set it to. */
export function tokensBehind(
  element: Element,
  { derived }: { readonly derived: Derived },
): (property: string) => readonly string[] {
  const names = new Map(derived.tokens.map((token) => [propertyOf(token), token.id]));
  const holds = holdsOn(element.ownerDocument);
  const known = new Map<Element, ReadonlyMap<string, string>>();
  const declared = (one: Element): ReadonlyMap<string, string> => {
    const found = known.get(one) ?? declarationsOf(one, derived.rules, holds);
    known.set(one, found);
    return found;
  };
  const behind = (property: string, seen: readonly string[]): readonly string[] => {
    const own = names.get(property);
    if (own !== undefined) return [own];
    if (seen.includes(property)) return [];
    for (let one: Element | null = element; one; one = one.parentElement) {
      const said = declared(one).get(property);
      if (said !== undefined)
        return namesIn(said).flatMap((name) => behind(name, [...seen, property]));
    }
    return [];
  };
  return (property) => behind(property, []);
}

/** The room that an element leaves between what stands in it, in px, and the tokens that make it. */
export interface Gap {
  readonly px: number;
  readonly tokens: readonly string[];
}

/** Between rows and between columns; nothing where it is neither a grid nor a flexible box. */
export function gapsOf(
  element: Element,
  derived: Derived,
): { readonly row: Gap; readonly column: Gap } {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  const isSpaced = /flex|grid/.test(style?.display ?? '');
  const declared = declarationsOf(element, derived.rules, holdsOn(element.ownerDocument));
  const tokensOf = tokensBehind(element, { derived });
  const of = (axis: 'row' | 'column'): Gap => {
    const both = declared.get('gap')?.split(/ (?![^(]*\))/);
    const said = declared.get(`${axis}-gap`) ?? both?.[axis === 'row' ? 0 : 1] ?? both?.[0];
    const px = isSpaced ? Number.parseFloat(style?.getPropertyValue(`${axis}-gap`) ?? '') : 0;
    return { px: Number.isFinite(px) ? px : 0, tokens: tokensSaid(said, tokensOf) };
  };
  return { row: of('row'), column: of('column') };
}

/** Everything that is told of a chosen element. */
export interface Told {
  readonly name: string;
  readonly built: string;
  readonly facts: readonly Fact[];
  readonly css: string;
  readonly html: string;
  /** How often what is of its name stands on the page. */
  readonly places: number;
}

const LONGEST_HTML = 4000;

export function toldOf(
  element: Element,
  unit: FactUnit,
  { document, derived }: { readonly document: StyleDocument; readonly derived: Derived },
): Told {
  const page = element.ownerDocument;
  const style = page.defaultView?.getComputedStyle(element);
  const computed = (property: string): string => style?.getPropertyValue(property) ?? '';
  const naming = namingOf(document.tokens.sheet, derived);
  const rules = derived.rules
    .flatMap((group) => group.rules)
    .filter((rule) =>
      // What holds for everything is no news of one thing.
      partsOf(rule).some((part) => weightOf(part) > 0 && element.matches(part)),
    );
  const [first] = element.classList;
  return {
    name: nameOf(element),
    built: builtOf(computed, hasWords(element), element.localName),
    facts: factsOf({
      computed,
      declared: declarationsOf(element, derived.rules, holdsOn(page)),
      tokensOf: tokensBehind(element, { derived }),
      unit,
      hasWords: hasWords(element),
    }),
    css: rulesCss(rules, naming),
    html: element.outerHTML.replaceAll(/ data-[\w-]+="[^"]*"/g, '').slice(0, LONGEST_HTML),
    places:
      first === undefined
        ? page.querySelectorAll(`.site ${element.localName}`).length
        : page.querySelectorAll(`.${CSS.escape(first)}`).length,
  };
}
