import {
  customValues,
  darkReaching,
  referring,
  saidIn,
  sourceText,
  tokenOf,
  type CustomItem,
} from '../system/custom-values.ts';
import { inOrder, type Mode, type StyleDocument } from '../system/document.ts';
import { cssOfValue, extensionOfBoth } from '../tokens/css-value.ts';
import {
  everyMode,
  isSameInBoth,
  type MadeToken,
  type Token,
  type TokenValue,
  type Trail,
} from '../tokens/token.ts';

const NONE: ReadonlyMap<string, Token> = new Map();

/** How a token that nobody but people decided came about. */
function trailOf(id: string, { path, alias, made, parts = {}, isOwn }: CustomItem): Trail {
  const taken = [
    ...(made ? [`${made.times} times ${made.of}`] : []),
    ...(alias === undefined ? [] : [`taken from ${alias}`]),
    ...Object.entries(parts).map(([place, source]) =>
      [place.slice(1), 'taken from', typeof source === 'string' ? source : sourceText(source)]
        .filter((part) => part !== '')
        .join(' '),
    ),
  ];
  const value = isOwn === true ? 'decided here' : 'imported';
  return {
    decisions: [{ path: `/tokens/custom/items/${id}`, label: path, value }],
    steps:
      isOwn === true ? taken : ['taken over from an imported file as it stood there', ...taken],
  };
}

/**
 * Tokens that came from elsewhere or were made by hand; one that refers to another is semantic, the rest primitive.
 * @param own the tokens of the system itself that they are taken from
 */
export const deriveCustomTokens = (
  { custom }: Pick<StyleDocument['tokens'], 'custom'>,
  own: ReadonlyMap<string, Token> = NONE,
): MadeToken[] => {
  const paths = new Set(inOrder(custom).map(([, { path }]) => path));
  const isThere = (path: string): boolean => paths.has(path) || own.has(path);
  const valueOf = customValues(custom, (path, mode) => {
    const token = own.get(path);
    if (!token) return undefined;
    const { json, extension } = token.values[mode];
    return { type: token.type, value: json, ...(extension !== undefined && { extension }) };
  });
  const isDark = darkReaching(custom, (path) => {
    const token = own.get(path);
    return token !== undefined && !isSameInBoth(token);
  });
  return inOrder(custom).map(([id, token]): MadeToken => {
    const { path, type, alias, made, description, deprecated, others } = token;
    const valueIn = (mode: Mode): TokenValue => {
      const said = saidIn(token, mode);
      const { value: whole, extension: there } = valueOf(path, mode) ?? { value: said.value };
      const isAlias = said.alias !== undefined && isThere(said.alias);
      const extension =
        isAlias || made || mode === 'light' || !token.dark ? there : extensionOfBoth(type, there);
      const isWhole = isAlias || made !== undefined;
      const json = isWhole ? whole : referring(said, (source) => isThere(tokenOf(source)));
      // A sheet can name a whole token; a place in the value of one stands in it as it is.
      const named = isWhole
        ? whole
        : referring(
            { ...said, value: whole },
            (source) => typeof source === 'string' && isThere(source),
          );
      // What is no value of its type with its references followed is none with them either.
      const plain = cssOfValue(type, whole, extension);
      const css =
        plain === undefined ? undefined : (cssOfValue(type, named, extension, whole) ?? plain);
      return {
        json,
        ...(css !== undefined && { css }),
        ...(extension !== undefined && { extension }),
        ...(isAlias && { reference: said.alias }),
      };
    };
    const light = valueIn('light');
    return {
      id: path,
      path: path.split('.'),
      tier: alias === undefined && !made ? 'primitive' : 'semantic',
      type,
      values: isDark(path) ? { light, dark: valueIn('dark') } : everyMode(light),
      ...(description !== undefined && { description }),
      ...(deprecated !== undefined && { deprecated }),
      ...(others !== undefined && { others }),
      trail: () => trailOf(id, token),
    };
  });
};
