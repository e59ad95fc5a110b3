import type { TextStyle } from '../derive/derived.ts';
import { sizeAtAnchor } from '../derive/type/styles.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { fluidSize, type FluidSize } from '../type/fluid.ts';
import type { Finding, Repair } from './finding.ts';

/** What makes sizes of the scale flow as they do: the scale; a role with a size of its own is a cause of its own. */
export const causeOfSize = ({ ownSize }: TextStyle): Pick<Finding, 'cause'> =>
  ownSize
    ? {}
    : {
        cause: { id: 'scale too steep', title: 'The scale is too steep for zoom and larger fonts' },
      };

/** Sizes are offered in hundredths of a px. */
const STEP_PX = 0.01;

/**
 * The repair that gives a role a size of its own on the widest screen: the largest one at which the
 * whole size passes. Absent where none does that is as large as on the screen before.
 */
export function sizeRepair(
  { type }: Pick<StyleDocument, 'type'>,
  { id, name, size }: TextStyle,
  passes: (size: FluidSize) => boolean,
): Repair | undefined {
  const role = type.roles.items[id];
  const anchors = inOrder(type.anchors);
  const [widest] = anchors.at(-1) ?? [];
  // A size that follows its container or its words has no widest screen to be smaller on.
  if (!role || widest === undefined || role.container || role.fit) return undefined;
  const at = anchors.map(([anchorId, anchor]) => ({
    widthPx: anchor.width,
    sizePx: role.sizes?.[anchorId] ?? sizeAtAnchor(type, anchor, role.place),
  }));
  const present = at.at(-1)?.sizePx ?? 0;
  const before = at.at(-2)?.sizePx ?? 0;
  const withWidest = (sizePx: number): FluidSize =>
    fluidSize(
      [...at.slice(0, -1), { widthPx: at.at(-1)?.widthPx ?? 0, sizePx }],
      size.unit,
      size.written,
    );
  let [low, high] = [Math.ceil(before / STEP_PX), Math.floor(present / STEP_PX)];
  if (low >= high || !passes(withWidest(low * STEP_PX))) return undefined;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (passes(withWidest(middle * STEP_PX))) low = middle;
    else high = middle;
  }
  const value = Number((low * STEP_PX).toFixed(2));
  const path = `/type/roles/items/${id}/sizes`;
  return {
    label: `${name} to ${value} px when wide`,
    patch: [
      role.sizes
        ? { op: 'add', path: `${path}/${widest}`, value }
        : { op: 'add', path, value: { [widest]: value } },
    ],
    before: `${Number(present.toFixed(2))} px`,
    after: `${value} px`,
  };
}
