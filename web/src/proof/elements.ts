import { madeOf } from '@garnish/core/proof/made-of';
import type { Derived, RuleGroup } from '@garnish/core/derive/derived';
import { propertyShownBy, specimenRules } from '@garnish/core/proof/sheet/manners';
import { propertyOf } from '@garnish/core/tokens/token';
import { once } from '@garnish/core/once';

type Made = Pick<Derived, 'rules' | 'tokens'>;

/** The ids of the tokens by their custom properties. */
const byProperty = once(
  (tokens: Derived['tokens']): ReadonlyMap<string, string> =>
    new Map(tokens.map((token) => [propertyOf(token), token.id])),
);

/** Whether an at-rule of the sheet holds on a page: the width of its screen, and what the browser knows. */
const holdsOn =
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

/** The tokens that make an element of a page, by id. */
export function tokensOf(element: Element, { rules, tokens }: Made): readonly string[] {
  const ids = byProperty(tokens);
  const { properties } = madeOf<Element>(
    element,
    [...rules, specimens(element.classList)],
    (property) => ids.has(property),
    holdsOn(element.ownerDocument),
  );
  return properties.flatMap((property) => ids.get(property) ?? []);
}

/** The elements of a page that any of these tokens makes. */
export function elementsMadeOf(
  page: Document,
  wanted: readonly string[],
  made: Made,
): readonly Element[] {
  const sought = new Set(wanted);
  const properties = [...byProperty(made.tokens)].flatMap(([property, id]) =>
    sought.has(id) ? [`var(${property})`, `var(${property},`] : [],
  );
  const candidates = new Set<Element>();
  const classes = [...page.querySelectorAll(SPECIMENS)].flatMap(({ classList }) => [...classList]);
  for (const { rules } of [...made.rules, specimens(classes)])
    for (const { selector, declarations } of rules)
      for (const [property, value] of declarations) {
        if (!properties.some((one) => value.includes(one))) continue;
        // What a rule hands on as a property of its own may be taken further inside.
        const there = property.startsWith('--') ? `:is(${selector}), :is(${selector}) *` : selector;
        for (const element of page.body.querySelectorAll(there)) candidates.add(element);
      }
  return [...candidates].filter((element) =>
    tokensOf(element, made).some((token) => sought.has(token)),
  );
}
