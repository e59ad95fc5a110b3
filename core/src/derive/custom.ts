import { inOrder, type StyleDocument } from '../system/document.ts';
import { everyMode, type MadeToken, type TokenJson, type TokenValue } from '../tokens/token.ts';
import { cssOfExtension, cssOfJson } from '../tokens/css-value.ts';

/** Tokens that came from elsewhere; one that refers to another is semantic, the rest primitive. */
export const deriveCustomTokens = ({ custom }: StyleDocument['tokens']): MadeToken[] => {
  const paths = new Set(inOrder(custom).map(([, { path }]) => path));
  const valueOf = (
    type: string,
    json: TokenJson,
    alias: string | undefined,
    extension?: TokenJson,
  ): TokenValue => {
    const own = type === 'dimension' ? cssOfExtension(extension) : undefined;
    const css = own ?? cssOfJson(type, json);
    return {
      json,
      ...(css !== undefined && { css }),
      ...(extension !== undefined && { extension }),
      ...(alias !== undefined && paths.has(alias) && { reference: alias }),
    };
  };
  return inOrder(custom).map(([id, token]): MadeToken => {
    const { path, type, value, alias, description, deprecated, extension, dark } = token;
    const light = valueOf(type, value, alias, extension);
    return {
      id: path,
      path: path.split('.'),
      tier: alias === undefined ? 'primitive' : 'semantic',
      type,
      values: dark ? { light, dark: valueOf(type, dark.value, dark.alias) } : everyMode(light),
      ...(description !== undefined && { description }),
      ...(deprecated !== undefined && { deprecated }),
      trail: () => ({
        decisions: [{ path: `/tokens/custom/items/${id}`, label: path, value: 'imported' }],
        steps: ['taken over from an imported file as it stood there'],
      }),
    };
  });
};
