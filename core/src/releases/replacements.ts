import type { Difference } from './difference.ts';

/** What developers write instead of what stood in the files before. */
export interface Replacements {
  readonly from: string;
  readonly to: string;
  /** Custom properties, the old name first; `null` where there is nothing to write instead. */
  readonly properties: Readonly<Record<string, string | null>>;
  /** Classes, without their dots. */
  readonly classes: Readonly<Record<string, string | null>>;
}

interface Between {
  readonly from: string;
  readonly to: string;
}

/** A record of names from outside: whatever they are called, each is a key of its own. */
const recordOf = (
  renamed: readonly (readonly [string, string | null])[],
): Record<string, string | null> => {
  const record = Object.create(null) as Record<string, string | null>;
  for (const [before, after] of renamed) record[before] = after;
  return record;
};

/** The table old to new of a difference. */
export const replacementsOf = (
  { tokens, classes }: Pick<Difference, 'tokens' | 'classes'>,
  { from, to }: Between,
): Replacements => ({
  from,
  to,
  properties: recordOf([
    ...tokens.renamed.map(({ before, after }) => [before.property, after.property] as const),
    ...tokens.removed.map(({ token }) => [token.property, null] as const),
  ]),
  classes: recordOf([
    ...classes.renamed.map(({ before, after }) => [before, after] as const),
    ...classes.removed.map((name) => [name, null] as const),
  ]),
});

export const replacementsJson = (difference: Difference, between: Between): string =>
  `${JSON.stringify(replacementsOf(difference, between), null, 2)}\n`;

/** What a comment may hold: nothing that ends it. */
const inComment = (text: string): string => text.replaceAll('*/', '* /');

/**
 * A style sheet with the old names of what was renamed, each taking what stands there now. It stands after the
 * sheet of the new state, until nobody asks for the old names any more. What was removed has nothing to take.
 */
export function deprecatedCss(
  { tokens }: Pick<Difference, 'tokens'>,
  { from, to }: Between,
): string {
  const lines = tokens.renamed
    .filter(({ keepsName }) => !keepsName)
    .map(({ before, after }) => `  ${before.property}: var(${after.property});`);
  const gone = tokens.removed.map(({ token }) => `   ${inComment(token.property)}`);
  return [
    `/* Deprecated: what ${inComment(from)} called otherwise than ${inComment(to)} does. Put it after tokens.css. */`,
    ...(lines.length === 0 ? [] : [':root {', ...lines, '}']),
    ...(gone.length === 0 ? [] : ['/* Removed, with nothing instead:', ...gone, '*/']),
    '',
  ].join('\n');
}
