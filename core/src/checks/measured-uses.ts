import type { Finding } from './finding.ts';
import type { Measurement } from './measurement.ts';

/** So many are named; of the others the number is told. */
const NAMED = 6;

/** Which tokens stand on pages is known from the pages in the browser. */
export const measuredUses: Measurement = {
  reads: ({ content, tokens, fonts, type, color, space, layout, shape }) => [
    content,
    tokens,
    fonts,
    type,
    color,
    space,
    layout,
    shape,
  ],
  outlives: true,
};

/** What is found of tokens that stand on no page, by their ids in the order of the list; nothing where all do. */
export function checkUses(ids: readonly string[], standing: ReadonlySet<string>): Finding[] {
  const left = ids.filter((id) => !standing.has(id));
  if (left.length === 0) return [];
  const more = left.length - NAMED;
  return [
    {
      id: 'tokens-on-no-page',
      severity: 'look',
      area: 'tokens',
      decision: '/tokens/custom',
      title:
        left.length === 1
          ? `The token ${left[0] ?? ''} stands on no page`
          : `${left.length} tokens stand on no page`,
      figures: `${left.slice(0, NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}; of ${ids.length}`,
      reason:
        'Neither a page of the site nor the sheet of parts shows what they are: nobody sees whether they are right.',
      source: 'counted in the rules of the sheet and on every page; common practice',
      where: { selector: ':root' },
    },
  ];
}
