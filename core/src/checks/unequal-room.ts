import type { Derived } from '../derive/derived.ts';
import { SPACE_PARTS } from '../components/spaces.ts';
import type { StyleDocument } from '../system/document.ts';
import type { Patch } from '../system/patch.ts';
import { checkOf, type Finding } from './finding.ts';

type Parts = StyleDocument['space']['parts'];

/** What stands before the words of something and after them: the ids of both spaces. */
const SIDES = Object.entries(SPACE_PARTS).flatMap(([start, { selector, property }]) => {
  if (property !== 'padding-inline-start') return [];
  const end = Object.entries(SPACE_PARTS).find(
    ([, other]) => other.selector === selector && other.property === 'padding-inline-end',
  )?.[0];
  return end === undefined ? [] : [{ start, end, selector }];
});

/** Screens at which both are compared, in px: the narrowest that is looked at, and a desk. */
const WIDTHS_PX = [320, 1440] as const;
/** Less than this is not seen. */
const SEEN_PX = 1;

/** How long a space is on a screen, in px. */
function pxOf(
  id: string,
  parts: Parts,
  { spaces, steps }: Pick<Derived, 'spaces' | 'steps'>,
  widthPx: number,
): number | undefined {
  const own = parts[id];
  if (own !== undefined && 'px' in own) return own.px;
  if (own !== undefined && 'step' in own) return steps.get(own.step)?.px;
  return spaces.get(own === undefined ? (SPACE_PARTS[id]?.role ?? '') : own.role)?.inline.px({
    widthPx,
  });
}

const taking = (end: string, parts: Parts, value: Parts[string] | undefined): Patch => {
  const path = `/space/parts/${end}`;
  if (value === undefined) return [{ op: 'remove', path }];
  return [{ op: Object.hasOwn(parts, end) ? 'replace' : 'add', path, value: { ...value } }];
};

/** Words that have more room on one side than on the other. */
export const unequalRoomCheck = checkOf(['space'], ['spaces', 'steps'], ({ space }, derived) =>
  SIDES.flatMap(({ start, end, selector }): Finding[] => {
    const { parts } = space;
    const apart = WIDTHS_PX.map((width) => {
      const [one, other] = [start, end].map((id) => pxOf(id, parts, derived, width));
      return { width, one, other };
    }).find(
      ({ one, other }) =>
        one !== undefined && other !== undefined && Math.abs(one - other) >= SEEN_PX,
    );
    if (!apart) return [];
    const says = (px: number | undefined): string => `${Number((px ?? 0).toFixed(2))} px`;
    const usual = parts[start] === undefined && !Object.hasOwn(parts, end);
    return [
      {
        id: `unequal-room:${selector}`,
        severity: 'look',
        area: 'space',
        decision: `/space/parts/${Object.hasOwn(parts, end) ? end : start}`,
        title: `The words of ${selector} do not stand in its middle`,
        figures: `${says(apart.one)} before them and ${says(apart.other)} after them at ${apart.width} px`,
        reason: 'Items in a row look as if one were pushed.',
        source: 'common practice',
        where: { selector, widthPx: apart.width },
        ...(!usual && {
          repair: {
            label: 'As much after them as before',
            patch: taking(end, parts, parts[start]),
            before: says(apart.other),
            after: says(apart.one),
          },
        }),
      },
    ];
  }),
);
