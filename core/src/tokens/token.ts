import type { Mode } from '../system/document.ts';

export const TIERS = ['primitive', 'semantic', 'component'] as const;
export type Tier = (typeof TIERS)[number];

/** A value as the open token format writes it. */
export type TokenJson =
  string | number | boolean | null | readonly TokenJson[] | { readonly [key: string]: TokenJson };

export interface TokenValue {
  /** The id of the token that this value is taken from. */
  readonly reference?: string;
  /** The value itself, as the open format writes it; never a reference. */
  readonly json: TokenJson;
  /** The value as it stands in a style sheet, without reference; absent where CSS has no single one. */
  readonly css?: string;
  /** The value on screens with a wide gamut, where it differs. */
  readonly wide?: string;
  /** What the open format cannot say, under our own key of `$extensions`. */
  readonly extension?: TokenJson;
}

/** One decision that a value rests on: its place in the document, its name and what it says. */
export interface TrailDecision {
  readonly path: string;
  readonly label: string;
  readonly value: string;
}

export interface Trail {
  readonly decisions: readonly TrailDecision[];
  /** The calculation, a line for each step. */
  readonly steps: readonly string[];
}

export interface Token {
  /** The path joined by dots: how references name it. */
  readonly id: string;
  readonly path: readonly string[];
  readonly tier: Tier;
  readonly type: string;
  readonly values: Readonly<Record<Mode, TokenValue>>;
  readonly description?: string;
  /** Not to be used any more, and why where somebody said it. */
  readonly deprecated?: string | true;
  /** What extensions of other makers say, which goes out as it came. */
  readonly others?: TokenJson;
}

/** A token as it is made, which can still say why it is what it is. */
export interface MadeToken extends Token {
  /** Asked for only when somebody looks: a sentence costs more than the number it explains. */
  readonly trail: () => Trail;
}

/** The custom property of a token: letters, digits and hyphens, as CSS wants them. */
export function propertyOf({ path }: Pick<Token, 'path'>): string {
  const known = properties.get(path);
  if (known !== undefined) return known;
  const property = propertyOfPath(path);
  properties.set(path, property);
  return property;
}

/** Names that were made: a token keeps its path as long as nothing renames it. */
const properties = new WeakMap<readonly string[], string>();

/** Signs that a custom property may not have; most paths have none of them. */
const SIGNS = /[^\p{L}\p{N}_-]+/gu;

export const propertyOfPath = (path: readonly string[]): string => {
  // The value of a group itself is called $root, and no custom property has that sign.
  const joined = path.join('-').replace(/-\$root$/, '-root');
  return `--${/^[a-z0-9_-]*$/.test(joined) ? joined : joined.replaceAll(SIGNS, '-')}`;
};

/** Whether both modes say the same: what is taken from the same token in both changes with that token. */
export const isSameInBoth = ({ values: { light, dark } }: Pick<Token, 'values'>): boolean =>
  light === dark ||
  (light.reference === dark.reference &&
    (light.reference !== undefined ||
      (light.css === dark.css &&
        (light.css !== undefined || JSON.stringify(light.json) === JSON.stringify(dark.json)))));

/** A token whose value is the same in every mode. */
export const everyMode = (value: TokenValue): Token['values'] => ({ light: value, dark: value });

/** A token whose value is made for each mode. */
export const byMode = (value: (mode: Mode) => TokenValue): Token['values'] => ({
  light: value('light'),
  dark: value('dark'),
});

/** Names that were made plain: the same few come at every movement of a slider. */
const plainNames = new Map<string, string>();
const MOST_KEPT = 2000;

/** What is left of a name in which there is neither a letter nor a digit. */
export const UNNAMED = 'unnamed';

/** A name in lower case, its words joined by hyphens, with nothing but letters and digits. */
export function plainName(name: string): string {
  const known = plainNames.get(name);
  if (known !== undefined) return known;
  const plain =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replaceAll(/\p{M}+/gu, '')
      .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
      .replaceAll(/^-+|-+$/g, '') || UNNAMED;
  if (plainNames.size >= MOST_KEPT) plainNames.clear();
  plainNames.set(name, plain);
  return plain;
}

/**
 * A name as part of a token path: lower case words joined by hyphens; names that come out alike get
 * a number, so that each stays itself.
 */
export function slugs(names: Iterable<readonly [id: string, name: string]>): Map<string, string> {
  const taken = new Set<string>();
  const result = new Map<string, string>();
  /** The number that a name got last: of a thousand alike none asks for all before it. */
  const numbers = new Map<string, number>();
  for (const [id, name] of names) {
    const plain = plainName(name);
    let slug = plain;
    let number = numbers.get(plain) ?? 1;
    while (taken.has(slug)) slug = `${plain}-${(number += 1)}`;
    numbers.set(plain, number);
    taken.add(slug);
    result.set(id, slug);
  }
  return result;
}
