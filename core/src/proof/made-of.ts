import type { Rule, RuleGroup } from '../derive/derived.ts';
import { once } from '../once.ts';

/** What an element has to answer: an element of the DOM does. */
export interface Asked<Self> {
  readonly parentElement: Self | null;
  readonly classList: Iterable<string>;
  matches(selector: string): boolean;
}

interface Ranked {
  readonly value: string;
  readonly weight: number;
}

const count = (text: string, what: RegExp): number => text.match(what)?.length ?? 0;

/**
 * How much a selector of the sheet weighs: its classes, attributes and pseudo-classes before its elements.
 * Source: Selectors 4, 17; the sheet has no ids, and nothing in `:is()` or `:has()`.
 */
export function weightOf(selector: string): number {
  const text = selector.replaceAll(/"[^"]*"/g, '').replaceAll(/:where\([^)]*\)/g, '');
  const classes = count(text, /\.[\p{L}_-]|\[|(?<!:):(?!not\(|:)[a-z]/gu);
  const elements = count(text, /(?:^|[\s>+~(])[a-z][\w-]*|::[a-z]/g);
  return classes * 1000 + elements;
}

/** The selectors of a list: commas in brackets, parentheses and strings part nothing. */
export const partsOf = once(({ selector }: { readonly selector: string }): readonly string[] =>
  (selector.match(/(?:"[^"]*"|\([^()]*\)|\[[^\]]*\]|[^,"([])+/g) ?? []).map((part) => part.trim()),
);

/** What a selector asks last, of the element itself: a class of it, or nothing that a class is. */
const classAsked = (selector: string): string => {
  const [compound = ''] = /[^\s>+~]*(?:\([^()]*\)[^\s>+~]*)*$/.exec(selector) ?? [];
  return /^[^(]*?\.([\p{L}\p{N}_-]+)/u.exec(compound)?.[1] ?? '';
};

/** The rules of a group by the classes that they ask last; those that ask for none stand under no name. */
const byClass = once(({ rules }: RuleGroup) => {
  const places = new Map<string, number[]>();
  rules.forEach((rule, index) => {
    for (const name of new Set(partsOf(rule).map(classAsked)))
      places.set(name, [...(places.get(name) ?? []), index]);
  });
  return places;
});

/** The rules of a group that an element may answer to, in their order. */
function rulesFor<Self extends Asked<Self>>(element: Self, group: RuleGroup): readonly Rule[] {
  const places = byClass(group);
  const found = ['', ...element.classList].flatMap((name) => places.get(name) ?? []);
  return [...new Set(found)]
    .sort((one, other) => one - other)
    .flatMap((index) => group.rules[index] ?? []);
}

/** What a reader has typed or opened, and what the browser draws in a field, is nothing that an element is made of. */
const NOT_OF_IT = /:user-invalid|:popover-open|::(?:placeholder|backdrop|file-selector-button)/;

/**
 * The declarations that an element has from the rules of the sheet, by their properties: what weighs most, and of
 * those the last. `applies` says whether an at-rule holds where the element is shown.
 */
export function declarationsOf<Self extends Asked<Self>>(
  element: Self,
  groups: readonly RuleGroup[],
  applies: (within: string) => boolean,
): ReadonlyMap<string, string> {
  const won = new Map<string, Ranked>();
  for (const group of groups)
    for (const rule of rulesFor(element, group)) {
      const parts = partsOf(rule).filter((part) => !NOT_OF_IT.test(part) && element.matches(part));
      if (parts.length === 0 || (rule.within !== undefined && !applies(rule.within))) continue;
      const weight = Math.max(...parts.map(weightOf));
      for (const [property, value] of rule.declarations)
        if (weight >= (won.get(property)?.weight ?? 0)) won.set(property, { value, weight });
    }
  return new Map([...won].map(([property, { value }]) => [property, value]));
}

/** The custom properties that a value takes. */
export const namesIn = (value: string): readonly string[] =>
  [...value.matchAll(/var\((--[\p{L}\p{N}_-]+)/gu)].map(([, name = '']) => name);

/** What an element takes its look from. */
export interface MadeOf {
  /** The custom properties of tokens, in the order of the rules. */
  readonly properties: readonly string[];
  /** Those that no token has and no rule says: there should be none. */
  readonly unknown: readonly string[];
}

/**
 * What makes the elements of one page, from the very rules of the sheet: a question that remembers what it has read,
 * because elements take properties from those around them. It holds as long as the page does not change. A property
 * that a rule sets (a shadow as its ground casts it) stands for the tokens in it. `isToken` knows the properties of
 * tokens.
 */
export function askingWhatMakes<Self extends Asked<Self>>(
  groups: readonly RuleGroup[],
  isToken: (property: string) => boolean,
  applies: (within: string) => boolean = () => true,
): (element: Self) => MadeOf {
  const read = new Map<Self, ReadonlyMap<string, string>>();
  const declared = (element: Self): ReadonlyMap<string, string> => {
    const known = read.get(element) ?? declarationsOf(element, groups, applies);
    read.set(element, known);
    return known;
  };
  return (element) => {
    const properties = new Set<string>();
    const unknown = new Set<string>();
    const said = (name: string): string | undefined => {
      for (let one: Self | null = element; one; one = one.parentElement) {
        const value = declared(one).get(name);
        if (value !== undefined) return value;
      }
      return undefined;
    };
    const take = (name: string, seen: readonly string[]): void => {
      if (isToken(name)) {
        properties.add(name);
        return;
      }
      const value = seen.includes(name) ? undefined : said(name);
      if (value === undefined) unknown.add(name);
      else for (const next of namesIn(value)) take(next, [...seen, name]);
    };
    for (const [property, value] of declared(element))
      if (!property.startsWith('--')) for (const name of namesIn(value)) take(name, []);
    return { properties: [...properties], unknown: [...unknown] };
  };
}

/** The same for one element. */
export const madeOf = <Self extends Asked<Self>>(
  element: Self,
  ...sheet: Parameters<typeof askingWhatMakes>
): MadeOf => askingWhatMakes<Self>(...sheet)(element);
