import { allSections } from '../proof/texts.ts';
import { checkOf, type Finding } from './finding.ts';

/** A variant of one’s own that a part of a page wears and that is gone, or follows something else by now: it is told. */
export const lostVariantsCheck = checkOf(['components', 'content'], [], ({ components, content }) =>
  [
    { path: '/content', wears: content.wears },
    ...allSections(content).map(({ path, own }) => ({ path, wears: own.wears })),
  ].flatMap(({ path, wears = {} }) =>
    Object.entries(wears).flatMap(([of, id]): Finding[] => {
      const items = components.variants?.items ?? {};
      const variant = Object.hasOwn(items, id) ? items[id] : undefined;
      if (variant?.of === of) return [];
      const at = `${path}/wears/${of}`;
      return [
        {
          id: `lost-variant:${at}`,
          severity: 'look',
          area: 'brief',
          decision: at,
          title: variant
            ? `“${variant.name}” is worn by .${of} and follows .${variant.of}`
            : `A variant of .${of} is worn that is not there`,
          figures: 'It looks as the usual one.',
          reason: 'Who reads the page expects another look than is shown.',
          source: 'common practice',
          where: { selector: `.${of}` },
          repair: {
            label: 'Wear the usual one',
            patch: [
              {
                op: 'remove',
                path: Object.keys(wears).length === 1 ? `${path}/wears` : at,
              },
            ],
            before: variant?.name ?? id,
            after: 'the usual',
          },
        },
      ];
    }),
  ),
);
