import { customValues, darkReaching, referring, saidIn } from '../system/custom-values.ts';
import { inOrder, type Mode, type StyleDocument } from '../system/document.ts';
import { cssOfValue, extensionOfBoth } from '../tokens/css-value.ts';
import { everyMode, type MadeToken, type TokenValue } from '../tokens/token.ts';

/** Tokens that came from elsewhere; one that refers to another is semantic, the rest primitive. */
export const deriveCustomTokens = ({ custom }: StyleDocument['tokens']): MadeToken[] => {
  const paths = new Set(inOrder(custom).map(([, { path }]) => path));
  const isThere = (path: string): boolean => paths.has(path);
  const valueOf = customValues(custom);
  const isDark = darkReaching(custom);
  return inOrder(custom).map(([id, token]): MadeToken => {
    const { path, type, alias, description, deprecated } = token;
    const valueIn = (mode: Mode): TokenValue => {
      const said = saidIn(token, mode);
      const { value: whole, extension: there } = valueOf(path, mode) ?? { value: said.value };
      const isAlias = said.alias !== undefined && isThere(said.alias);
      const own = isAlias || mode === 'light' || !token.dark ? there : extensionOfBoth(type, there);
      const json = isAlias ? whole : referring(said, isThere);
      // What is no value of its type with its references followed is none with them either.
      const plain = cssOfValue(type, whole, own);
      const css = plain === undefined ? undefined : (cssOfValue(type, json, own, whole) ?? plain);
      return {
        json,
        ...(css !== undefined && { css }),
        ...(own !== undefined && { extension: own }),
        ...(isAlias && { reference: said.alias }),
      };
    };
    const light = valueIn('light');
    return {
      id: path,
      path: path.split('.'),
      tier: alias === undefined ? 'primitive' : 'semantic',
      type,
      values: isDark(path) ? { light, dark: valueIn('dark') } : everyMode(light),
      ...(description !== undefined && { description }),
      ...(deprecated !== undefined && { deprecated }),
      trail: () => ({
        decisions: [{ path: `/tokens/custom/items/${id}`, label: path, value: 'imported' }],
        steps: ['taken over from an imported file as it stood there'],
      }),
    };
  });
};
