import type { Derived } from '../derive/derived.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import {
  propertyOf,
  propertyOfPath,
  type Tier,
  type Token,
  type TokenJson,
} from '../tokens/token.ts';
import { namedProperty, namedValue, namingOf } from './naming.ts';
import { tokenNamesOf } from './token-naming.ts';

/** A value as text that stands for itself. */
export interface PlainValue {
  /** As CSS writes it, whatever it was taken from; no custom property is left in it. */
  readonly css: string;
  /** As the style sheet has it: with the custom properties that it takes. */
  readonly taking: string;
  /** The value for screens of a wide gamut, where there is one; of the token that it is taken from, if need be. */
  readonly wide?: string;
  /** The value as the open token format writes it. */
  readonly json: TokenJson;
  /** The name of the token that it is taken from. */
  readonly from?: string;
}

/** A token as files for other languages have it: a name without sign, and a value in each theme. */
export interface PlainToken {
  /** Its path, joined by dots. */
  readonly id: string;
  readonly path: readonly string[];
  /** Its path as it is called outside, without the prefix of all. */
  readonly called: readonly string[];
  /** Its custom property without the hyphens before it: `color-page`. */
  readonly name: string;
  /** Its custom property as the system has it, without a prefix. */
  readonly property: string;
  readonly type: string;
  readonly tier: Tier;
  readonly description?: string;
  readonly values: Readonly<Record<Mode, PlainValue>>;
}

export interface PlainTokens {
  /** The name of the system. */
  readonly of: string;
  /** Its themes, the one that stands where nothing is said first. */
  readonly modes: readonly [Mode, ...Mode[]];
  readonly tokens: readonly PlainToken[];
  /** Tokens that are made of several others and have no single value; their parts stand among the tokens. */
  readonly composite: readonly Token[];
}

/** References deeper than this are none that we make. */
const DEEPEST = 32;

const VAR = /var\((--[\p{L}\p{N}_-]+)(?:,\s*[^()]*)?\)/gu;

/** The tokens of a system with values that stand for themselves, in the order of the sheet. */
export function plainTokens(
  { name, tokens: { sheet } }: Pick<StyleDocument, 'name' | 'tokens'>,
  derived: Pick<Derived, 'tokens' | 'themes' | 'groups' | 'rules'>,
): PlainTokens {
  const { tokens, themes } = derived;
  const naming = namingOf(sheet, derived);
  const names = tokenNamesOf(sheet, derived);
  const byProperty = new Map(tokens.map((token) => [propertyOf(token), token]));
  const byId = new Map(tokens.map((token) => [token.id, token]));
  const nameOf = (property: string): string => namedProperty(property, naming).slice(2);
  const resolved = (css: string, mode: Mode, depth = 0): string =>
    depth > DEEPEST
      ? css
      : css.replaceAll(VAR, (whole, property: string) => {
          const value = byProperty.get(property)?.values[mode].css;
          return value === undefined ? whole : resolved(value, mode, depth + 1);
        });
  const wideOf = ({ values }: Token, mode: Mode, depth = 0): string | undefined => {
    const { reference, wide } = values[mode];
    const from = reference === undefined || depth > DEEPEST ? undefined : byId.get(reference);
    return from ? wideOf(from, mode, depth + 1) : wide;
  };
  const valueIn = (token: Token, mode: Mode): PlainValue => {
    const { css = '', json, reference } = token.values[mode];
    const wide = wideOf(token, mode);
    return {
      css: resolved(css, mode),
      taking:
        reference === undefined
          ? namedValue(css, naming)
          : `var(--${nameOf(propertyOfPath(reference.split('.')))})`,
      ...(wide !== undefined && { wide }),
      json,
      ...(reference !== undefined && { from: nameOf(propertyOfPath(reference.split('.'))) }),
    };
  };
  const all = tokens.flatMap((token): readonly PlainToken[] =>
    token.values.light.css === undefined || token.values.dark.css === undefined
      ? []
      : [
          {
            id: token.id,
            path: token.path,
            called: names.tokens.get(token.id)?.path ?? token.path,
            name: nameOf(propertyOf(token)),
            property: propertyOf(token),
            type: token.type,
            tier: token.tier,
            ...(token.description !== undefined && { description: token.description }),
            values: { light: valueIn(token, 'light'), dark: valueIn(token, 'dark') },
          },
        ],
  );
  const plainById = new Map(all.map((token) => [token.id, token]));
  const former = names.former.flatMap(({ id, path, property }): readonly PlainToken[] => {
    const token = plainById.get(id);
    if (!token) return [];
    const taken = (value: PlainValue): PlainValue => ({
      ...value,
      taking: `var(--${token.name})`,
      from: token.name,
    });
    const { light, dark } = token.values;
    return [
      {
        ...token,
        id: path.join('.'),
        called: path,
        name: property.slice(2),
        property,
        description: `Deprecated: renamed to ${token.name}.`,
        values: { light: taken(light), dark: taken(dark) },
      },
    ];
  });
  return {
    of: name,
    modes: modesOf(themes),
    tokens: [...all, ...former],
    composite: tokens.filter(({ values }) => values.light.css === undefined),
  };
}

/** Tokens so that none stands before one that it is taken from in a theme. */
export function inOrderOfUse(tokens: readonly PlainToken[], mode: Mode): readonly PlainToken[] {
  const byName = new Map(tokens.map((token) => [token.name, token]));
  const done = new Set<PlainToken>();
  const sorted: PlainToken[] = [];
  for (const token of tokens) {
    // From what is used to what uses it; a reference in a circle, which no system has, would end here too.
    const chain: PlainToken[] = [];
    for (let at: PlainToken | undefined = token; at && !done.has(at) && !chain.includes(at);)
      at = (chain.push(at), byName.get(at.values[mode].from ?? ''));
    for (const one of chain.toReversed()) {
      done.add(one);
      sorted.push(one);
    }
  }
  return sorted;
}

/** Names that a language takes, each of them once; what would be there twice gets a number. */
export function identifiers(
  tokens: readonly PlainToken[],
  made: (token: PlainToken) => string,
): ReadonlyMap<string, string> {
  const taken = new Set<string>();
  return new Map(
    tokens.map((token) => {
      const plain = made(token);
      let name = plain;
      for (let number = 2; taken.has(name); number += 1) name = `${plain}_${number}`;
      taken.add(name);
      return [token.name, name] as const;
    }),
  );
}

/** Letters of ASCII and digits; any other as the number that Unicode has for it. */
export const inAscii = (name: string): string =>
  name.replaceAll(/[^\w-]/gu, (sign) => `u${(sign.codePointAt(0) ?? 0).toString(16)}`);

/** Words of a name one after the other, each but the first with a capital: `colorPage`. */
export const inCamelCase = (name: string): string =>
  inAscii(name)
    .split(/[-_]+/)
    .filter((part) => part !== '')
    .map((part, index) => (index === 0 ? part : `${(part[0] ?? '').toUpperCase()}${part.slice(1)}`))
    .join('');

/** What stands at the head of a file, in lines: whose tokens they are, and what is not among them. */
export const headOf = ({ of, composite }: PlainTokens, says: string): readonly string[] => [
  `${of.replaceAll(/\s+/g, ' ')}: ${says}`,
  ...(composite.length === 0
    ? []
    : [
        `Made of several values, and here in their parts alone: ${composite.map(({ id }) => id).join(', ')}`,
      ]),
];

/** A file of variables and maps, as the languages that become style sheets have them, with its head in comments. */
export const variablesFile = (
  plain: PlainTokens,
  says: string,
  variables: readonly string[],
  maps: readonly string[],
): string =>
  [...headOf(plain, says).map((line) => `// ${line}`), '', ...variables, '', ...maps].join('\n');

/**
 * A text style as the shorthand `font` writes it, from the values of its parts; nothing where a part is missing. What
 * the shorthand cannot say (letter spacing) stands in its own token. Source: CSS Fonts 4, the font shorthand.
 */
export function fontShorthand(
  { path }: Pick<Token, 'path'>,
  valueOf: (id: string) => string | undefined,
): string | undefined {
  const part = (name: string): string | undefined =>
    valueOf([...path.slice(0, -1), name].join('.'));
  const [weight, size, height, family] = ['weight', 'size', 'line-height', 'family'].map(part);
  return weight === undefined || size === undefined || height === undefined || family === undefined
    ? undefined
    : `${weight} ${size}/${height} ${family}`;
}
