import { inOrder, type StyleDocument } from '../system/document.ts';
import { everyMode, type MadeToken, type TokenJson } from '../tokens/token.ts';
import { cssOfExtension, cssOfJson } from '../tokens/css-value.ts';

/** Tokens that came from elsewhere; one that refers to another is semantic, the rest primitive. */
export const deriveCustomTokens = ({ custom }: StyleDocument['tokens']): MadeToken[] => {
  const paths = new Set(inOrder(custom).map(([, { path }]) => path));
  return inOrder(custom).map(
    ([id, { path, type, value, alias, description, deprecated, extension }]): MadeToken => {
      const json: TokenJson = value;
      const own = type === 'dimension' ? cssOfExtension(extension) : undefined;
      const css = own ?? cssOfJson(type, json);
      return {
        id: path,
        path: path.split('.'),
        tier: alias === undefined ? 'primitive' : 'semantic',
        type,
        values: everyMode({
          json,
          ...(css !== undefined && { css }),
          ...(extension !== undefined && { extension }),
          ...(alias !== undefined && paths.has(alias) && { reference: alias }),
        }),
        ...(description !== undefined && { description }),
        ...(deprecated !== undefined && { deprecated }),
        trail: () => ({
          decisions: [{ path: `/tokens/custom/items/${id}`, label: path, value: 'imported' }],
          steps: ['taken over from an imported file as it stood there'],
        }),
      };
    },
  );
};
