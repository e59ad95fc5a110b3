import { without } from './collection.ts';
import { inOrder, type SpaceLength, type StyleDocument } from './document.ts';
import { jsonOf, type Patch } from './patch.ts';

/** What is decided at a breakpoint, taken back: before the breakpoint itself goes. */
export const forgetting = (
  { layout, space }: Pick<StyleDocument, 'layout' | 'space'>,
  id: string,
): Patch => [
  ...(Object.hasOwn(layout.grid.at, id)
    ? [{ op: 'remove', path: `/layout/grid/at/${id}` } as const]
    : []),
  ...inOrder(layout.widths).flatMap(([width, { at = {} }]) =>
    Object.hasOwn(at, id)
      ? [{ op: 'remove', path: `/layout/widths/items/${width}/at/${id}` } as const]
      : [],
  ),
  ...inOrder(space.roles).flatMap(([role, own]) =>
    (['value', 'block'] as const).flatMap((side) => {
      const length = own[side];
      return length?.kind === 'stepped' && Object.hasOwn(length.at, id)
        ? [{ op: 'remove', path: `/space/roles/items/${role}/${side}/at/${id}` } as const]
        : [];
    }),
  ),
];

/** A length without its step at an anchor; where that was the first, the next one's step leads. */
function withoutAnchor(
  length: Extract<SpaceLength, { kind: 'step' }>,
  id: string,
  order: readonly string[],
): SpaceLength {
  const at = length.at ?? {};
  const [first, second = ''] = order;
  const leads = id === first ? at[second] : undefined;
  const rest = leads === undefined ? without(at, id) : without(at, second);
  return {
    kind: 'step',
    step: leads ?? length.step,
    ...(Object.keys(rest).length > 0 && { at: rest }),
  };
}

/** The steps that roles take at an anchor of the type, taken back: before the anchor itself goes. */
export const forgettingAnchor = (
  { space, type }: Pick<StyleDocument, 'space' | 'type'>,
  id: string,
): Patch =>
  inOrder(space.roles).flatMap(([role, own]) =>
    (['value', 'block'] as const).flatMap((side) => {
      const length = own[side];
      return length?.kind === 'step' && length.at !== undefined
        ? [
            {
              op: 'replace',
              path: `/space/roles/items/${role}/${side}`,
              value: jsonOf(withoutAnchor(length, id, type.anchors.order)),
            } as const,
          ]
        : [];
    }),
  );
