import type { Derived } from '../derive/derived.ts';
import { WIDE } from '../formats/sheet.ts';
import type { Mode } from '../system/document.ts';
import { propertyOf } from '../tokens/token.ts';

/** Whether what an at-rule asks for is so where a page is shown: `@media (width >= 720px)`. */
export type Holds = (within: string) => boolean;

/** Of a file that knows no screens nothing ever holds. */
export const nowhere: Holds = () => false;

const VAR = /var\((--[\p{L}\p{N}_-]+)(?:,\s*([^()]*))?\)/gu;

/**
 * What each token is in a theme on a page, as CSS that stands for itself: references are followed, no custom property
 * of a token is left. What another screen or another reader gets counts where it holds. Tokens that CSS has no single
 * value for are not among them. References in a circle, which no system has, end where they began.
 */
export function shownValues(
  { tokens, rules }: Pick<Derived, 'tokens' | 'rules'>,
  mode: Mode,
  holds: Holds,
): ReadonlyMap<string, string> {
  const byId = new Map(tokens.map((token) => [token.id, token]));
  const idOf = new Map(tokens.map((token) => [propertyOf(token), token.id]));
  const elsewhere = new Map(
    rules.flatMap(({ rules: own }) =>
      own.flatMap(({ selector, within, declarations }) =>
        selector === ':root' && within !== undefined && holds(within) ? declarations : [],
      ),
    ),
  );
  const isWide = holds(WIDE);
  const known = new Map<string, string | undefined>();
  const valueOf = (id: string): string | undefined => {
    if (known.has(id)) return known.get(id);
    const token = byId.get(id);
    if (!token) return undefined;
    known.set(id, undefined);
    const { reference, css, wide } = token.values[mode];
    const said =
      elsewhere.get(propertyOf(token)) ??
      (reference === undefined ? ((isWide ? wide : undefined) ?? css) : valueOf(reference));
    const value = said?.replaceAll(VAR, (whole, property: string, otherwise?: string) => {
      const of = idOf.get(property);
      return (of === undefined ? undefined : valueOf(of)) ?? otherwise ?? whole;
    });
    known.set(id, value);
    return value;
  };
  return new Map(
    tokens.flatMap(({ id, values: { light, dark } }) => {
      const value = light.css === undefined || dark.css === undefined ? undefined : valueOf(id);
      return value === undefined ? [] : [[id, value] as const];
    }),
  );
}
