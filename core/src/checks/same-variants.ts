import { COMPONENTS } from '../components/components.ts';
import type { Variant } from '../components/component.ts';
import { looksOf } from '../derive/component-states.ts';
import type { StyleDocument } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import type { Finding, Repair } from './finding.ts';
import { checkOfComponents } from './of-components.ts';

/** A departure of one of the two that makes them alike is let go. */
function repairOf(
  variants: readonly Variant[],
  departures: StyleDocument['components']['departures'],
): Repair | undefined {
  const names = Object.keys(departures).filter((name) =>
    variants.some(({ of }) => name.startsWith(`${of}.`)),
  );
  const [first] = names;
  if (first === undefined) return undefined;
  return {
    label: names.length === 1 ? `Let ${first} follow again` : `Let ${names.length} follow again`,
    patch: names.map((name) => ({ op: 'remove', path: `/components/departures/${name}` })),
    before: departures[first] ?? '',
    after: 'as their manner',
  };
}

/** Two variants of a component that look the same at rest, in every theme: one of them is not needed. */
export const sameVariantsCheck = checkOfComponents(
  ({ components: { manner, departures }, tokenById, themes }) =>
    COMPONENTS.flatMap(({ name, variants = [] }) => {
      const own = variants.filter(
        ({ of }, index) => variants.findIndex((other) => other.of === of) === index,
      );
      const looks = own.map((variant) =>
        modesOf(themes)
          .map((mode) => looksOf(variant, { manner, tokenById, mode }))
          .join('\n'),
      );
      return own.flatMap((variant, index): Finding[] => {
        const before = looks.indexOf(looks[index] ?? '');
        const other = own[before];
        // What takes nothing has no look of its own to compare.
        if (before === index || !other || looks[index]?.trim() === '') return [];
        const repair = repairOf([variant, other], departures);
        return [
          {
            id: `same-variants:${other.of}:${variant.of}`,
            severity: 'look',
            area: 'components',
            decision: `/components/departures/${variant.of}`,
            title: `${name}: ${variant.name} looks as ${other.name}`,
            figures: 'Every color, edge and corner at rest is the same, in every theme.',
            reason: 'Two names for one look are kept apart by nobody.',
            source: 'common practice',
            where: { selector: `.${variant.of}` },
            ...(repair && { repair }),
          },
        ];
      });
    }),
);
