import { askingWhatMakes, namesIn } from '@garnish/core/proof/made-of';
import type { Derived, RuleGroup } from '@garnish/core/derive/derived';
import { propertyShownBy, specimenRules } from '@garnish/core/proof/sheet/manners';
import { propertyOf } from '@garnish/core/tokens/token';
import { atOnce, once } from '@garnish/core/once';

type Made = Pick<Derived, 'rules' | 'tokens'>;

/** The ids of the tokens by their custom properties. */
const byProperty = once(
  (tokens: Derived['tokens']): ReadonlyMap<string, string> =>
    new Map(tokens.map((token) => [propertyOf(token), token.id])),
);

/** Whether an at-rule of the sheet holds on a page: the width of its screen, and what the browser knows. */
export const holdsOn =
  (page: Document) =>
  (within: string): boolean => {
    const [, kind, condition = ''] = /^@(\w+) ([^]*)$/.exec(within) ?? [];
    if (kind === 'media') return page.defaultView?.matchMedia(condition).matches ?? false;
    return kind !== 'supports' || CSS.supports(condition);
  };

/** What shows a single token, on the sheet of parts. */
const SPECIMENS = '[class*="sheet-shows-"]';

const specimens = (classes: Iterable<string>): RuleGroup => ({
  key: 'specimens',
  rules: specimenRules(classes),
});

/** The decision that an element leads to: its own, or the first one that the token rests on which it shows. */
export function decisionOf(
  target: Element,
  { tokens, trailOf }: Pick<Derived, 'tokens' | 'trailOf'>,
): string | undefined {
  const source = target.closest<HTMLElement>(`[data-decision], ${SPECIMENS}`);
  if (!source) return undefined;
  const property = propertyShownBy(source.classList);
  if (property === undefined) return source.dataset['decision'];
  return trailOf(byProperty(tokens).get(property) ?? '')?.decisions[0]?.path;
}

/** Tells the tokens that make an element of a page, by id; it remembers what it has read of the page. */
function askingTokens(
  page: Document,
  { rules, tokens }: Made,
  own: RuleGroup,
): (element: Element) => readonly string[] {
  const ids = byProperty(tokens);
  const ask = askingWhatMakes<Element>(
    [...rules, own],
    (property) => ids.has(property),
    holdsOn(page),
  );
  return (element) => ask(element).properties.flatMap((property) => ids.get(property) ?? []);
}

/** The tokens that make an element of a page, by id. */
export const tokensOf = (element: Element, made: Made): readonly string[] =>
  askingTokens(element.ownerDocument, made, specimens(element.classList))(element);

/** So many elements are looked at before others may have their turn. */
const PER_STEP = 10;

/** The elements of a page that any of these tokens makes. It stops between some of them, so that keys are not held up. */
export function* findingMadeOf(
  page: Document,
  wanted: readonly string[],
  made: Made,
): Generator<undefined, readonly Element[]> {
  const sought = new Set(wanted);
  const properties = new Set(
    [...byProperty(made.tokens)].flatMap(([property, id]) => (sought.has(id) ? [property] : [])),
  );
  const candidates = new Set<Element>();
  const classes = [...page.querySelectorAll(SPECIMENS)].flatMap(({ classList }) => [...classList]);
  const own = specimens(classes);
  const tokens = askingTokens(page, made, own);
  let read = 0;
  for (const { rules } of [...made.rules, own])
    for (const { selector, declarations } of rules) {
      read += 1;
      if (read % PER_STEP === 0) yield;
      for (const [property, value] of declarations) {
        if (!value.includes('var(') || !namesIn(value).some((name) => properties.has(name)))
          continue;
        // What a rule hands on as a property of its own may be taken further inside.
        const there = property.startsWith('--') ? `:is(${selector}), :is(${selector}) *` : selector;
        for (const element of page.body.querySelectorAll(there)) candidates.add(element);
      }
    }
  const found: Element[] = [];
  let looked = 0;
  for (const element of candidates) {
    looked += 1;
    if (looked % PER_STEP === 0) yield;
    if (tokens(element).some((token) => sought.has(token))) found.push(element);
  }
  return found;
}

/** The same at once. */
export const elementsMadeOf = (...asked: Parameters<typeof findingMadeOf>): readonly Element[] =>
  atOnce(findingMadeOf(...asked));
