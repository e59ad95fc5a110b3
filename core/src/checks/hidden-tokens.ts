import { inOrder } from '../system/document.ts';
import { removingTokens } from '../system/custom-tokens.ts';
import { checkOf, type Finding } from './finding.ts';

/** Tokens from elsewhere that a later decision of the system has taken the name of: they are not exported. */
export const hiddenTokensCheck = checkOf(
  ['tokens'],
  ['hidden', 'tokenById'],
  ({ tokens }, { hidden, tokenById }) =>
    inOrder(tokens.custom).flatMap(([id, { path }]): Finding[] => {
      if (!hidden.includes(id)) return [];
      const place = `/tokens/custom/items/${id}`;
      const token = tokenById.get(path);
      return [
        {
          id: `hidden-token:${id}`,
          severity: 'look',
          area: 'tokens',
          decision: place,
          title: `The imported token ${path} is hidden`,
          figures:
            token === undefined
              ? 'it stands below a token or a group, or shares a custom property with another'
              : 'the system has a token of this name, and its value counts',
          reason: 'Two tokens of one name cannot both be handed over.',
          source: 'Design Tokens Format Module 2025.10, groups and names',
          where: { selector: ':root' },
          repair: {
            label: 'Remove the imported one',
            // What took its value from it keeps that, and does not go over to the system’s own.
            patch: removingTokens(tokens.custom, new Set([id])),
            before: path,
            after: 'the system’s own',
          },
        },
      ];
    }),
);
