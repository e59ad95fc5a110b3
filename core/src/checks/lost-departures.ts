import { nameOf, PARTS } from '../derive/components.ts';
import { departuresOf } from '../derive/own-variants.ts';
import { TEXT, TEXT_PARTS } from '../derive/text-parts.ts';
import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { checkOf, type Finding } from './finding.ts';

const NAMES: ReadonlySet<string> = new Set([
  ...PARTS.map(nameOf),
  ...TEXT_PARTS.map(({ of }) => `${of}.${TEXT}`),
]);

/** Whether what a departure takes is there: a role, a corner or an edge by its id, what has only a place by that. */
function isThere(
  to: string,
  shape: StyleDocument['shape'],
  { colors, styles, tokenById }: Pick<Derived, 'colors' | 'styles' | 'tokenById'>,
): boolean {
  const [kind = '', ...rest] = to.split('.');
  const id = rest.join('.');
  const placed = { duration: shape.durations, easing: shape.easings, shadow: shape.shadows };
  switch (kind) {
    case 'color':
      return colors.has(id);
    case 'type':
      return styles.has(id);
    case 'corner':
      return Object.hasOwn(shape.corners, id);
    case 'edge':
      return Object.hasOwn(shape.edges, id);
    case 'duration':
    case 'easing':
    case 'shadow':
      return Number(id) <= placed[kind].order.length || tokenById.has(to);
    default:
      return tokenById.has(to);
  }
}

/** What departs to something that is gone follows again without saying so: it is told. */
export const lostDeparturesCheck = checkOf(
  ['components', 'shape'],
  ['colors', 'styles', 'tokenById'],
  ({ components, shape }, derived) =>
    departuresOf(components).flatMap(({ part, name, to, path }): Finding[] => {
      const isKnown = NAMES.has(part);
      if (isKnown && isThere(to, shape, derived)) return [];
      return [
        {
          id: `lost:${path}`,
          severity: 'look',
          area: 'components',
          decision: path,
          title: isKnown
            ? `${name} departs to ${to}, which is not there`
            : `${name} departs, and there is no such part`,
          figures: 'It has the look of what it follows.',
          reason: 'Who reads the decision expects another look than is shown.',
          source: 'common practice',
          where: { selector: `.${part.split('.')[0] ?? ''}` },
          repair: {
            label: `Let ${name} follow again`,
            patch: [{ op: 'remove', path }],
            before: to,
            after: 'as what it follows',
          },
        },
      ];
    }),
);
