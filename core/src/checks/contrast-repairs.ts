import {
  contrastRatio,
  neededContrast,
  relativeLuminance,
  ratioOfLuminances,
} from '../color/contrast.ts';
import { nearestPassing } from '../color/nearest-passing.ts';
import type { Hex } from '../color/srgb.ts';
import type { DerivedColorRole, DerivedRamp } from '../derive/derived.ts';
import { colorsIn } from '../derive/color/paint.ts';
import { nearestWeight } from '../fonts/family.ts';
import { inOrder, type Mode, type StyleDocument } from '../system/document.ts';
import type { Json, Patch } from '../system/patch.ts';
import { ROOT_PX } from '../type/fluid.ts';
import { ratioText as text, type Judged } from './judge.ts';
import type { Repair } from './finding.ts';

const paintPatch = (role: string, mode: Mode, value: Json): Patch => [
  { op: 'replace', path: `/color/roles/items/${role}/${mode}`, value },
];

/** One of the two takes the nearest passing color of its own hue. */
function colorRepair(
  moving: DerivedColorRole,
  staying: DerivedColorRole,
  { mode, needed, ratio }: Judged,
  label: (hex: Hex) => string,
): Repair[] {
  const before = moving.colors[mode];
  const after = nearestPassing(before, staying.colors[mode], needed);
  if (after === undefined || after === before) return [];
  return [
    {
      label: label(after),
      patch: paintPatch(moving.id, mode, { kind: 'own', value: after }),
      before: `${before}, ${text(ratio)}`,
      after: `${after}, ${text(contrastRatio(after, staying.colors[mode]))}`,
      swatches: [before, after],
    },
  ];
}

/** The rung of a ramp nearest to the one that is taken at which the pair passes. */
export function nearestRung(
  ramp: DerivedRamp,
  from: number,
  against: Hex,
  needed: number,
  mode: Mode,
): { readonly rung: number; readonly hex: Hex } | undefined {
  const ground = relativeLuminance(against);
  return colorsIn(ramp, mode)
    .map((hex, index) => ({ rung: index + 1, hex }))
    .filter(({ hex }) => ratioOfLuminances(relativeLuminance(hex), ground) >= needed)
    .sort((one, other) => Math.abs(one.rung - from) - Math.abs(other.rung - from))[0];
}

function rungRepair({ need, mode, needed, ratio }: Judged): Repair[] {
  const { ramp, rung } = need.color.painted[mode];
  if (!ramp || rung === undefined) return [];
  const before = need.color.colors[mode];
  const found = nearestRung(ramp, rung, need.on.colors[mode], needed, mode);
  if (!found || found.hex === before) return [];
  return [
    {
      label: `Use ${ramp.name} ${ramp.rungNames[found.rung - 1] ?? found.rung}`,
      patch: paintPatch(need.color.id, mode, { kind: 'rung', ramp: ramp.id, rung: found.rung }),
      before: `${ramp.name} ${ramp.rungNames[rung - 1] ?? rung}, ${text(ratio)}`,
      after: `${found.hex}, ${text(contrastRatio(found.hex, need.on.colors[mode]))}`,
      swatches: [before, found.hex],
    },
  ];
}

/** Sizes from which text counts as large, in px. Source: WCAG 2.2, large scale text. */
const LARGE_PX = 24;
const LARGE_BOLD_PX = 18.67;
const BOLD = 700;

/** Larger or heavier, where text of that kind would need no more contrast than there is. */
function textRepairs(
  { need, ratio, fromPx }: Judged,
  { brief, type }: Pick<StyleDocument, 'brief' | 'type'>,
): Repair[] {
  const { style } = need;
  if (!style || fromPx === undefined || ratio < neededContrast(LARGE_PX, 400, brief.conformance))
    return [];
  const path = `/type/roles/items/${style.id}`;
  const leastPx = style.weight >= BOLD ? LARGE_BOLD_PX : LARGE_PX;
  const sizes = Object.fromEntries(
    inOrder(type.anchors).map(([id]) => [
      id,
      Number(Math.max(leastPx, (style.size.maxRem * ROOT_PX * leastPx) / fromPx).toFixed(2)),
    ]),
  );
  const [first] = type.anchors.order;
  const larger: Repair[] =
    fromPx < leastPx && first !== undefined
      ? [
          {
            label: `Set ${style.name} in ${leastPx} px and up`,
            patch: [{ op: 'add', path: `${path}/sizes`, value: { ...sizes, [first]: leastPx } }],
            before: `${Number(fromPx.toFixed(1))} px`,
            after: `${leastPx} px: large text`,
          },
        ]
      : [];
  const heavier: Repair[] =
    fromPx >= LARGE_BOLD_PX && style.weight < BOLD && nearestWeight(style.family, BOLD) >= BOLD
      ? [
          {
            label: `Set ${style.name} in ${BOLD}`,
            patch: [{ op: 'add', path: `${path}/weight`, value: BOLD }],
            before: String(style.weight),
            after: `${BOLD}: large text`,
          },
        ]
      : [];
  return [...larger, ...heavier];
}

/**
 * The ways in which a pair that falls short can be made to pass, the usual one first: the nearest
 * passing color of the same hue, the nearest passing rung of its ramp, the ground moving instead, a
 * larger size, a heavier weight.
 */
export const repairsOf = (
  judged: Judged,
  document: Pick<StyleDocument, 'brief' | 'type'>,
): readonly Repair[] => {
  const { color, on } = judged.need;
  return [
    ...colorRepair(color, on, judged, (hex) => `Use ${hex}`),
    ...rungRepair(judged),
    ...colorRepair(on, color, judged, (hex) => `Make ${on.name} ${hex}`),
    ...textRepairs(judged, document),
  ];
};
