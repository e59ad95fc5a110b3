import { SPACES_AND_SIDES } from '../../components/spaces.ts';
import { nearestStep } from '../../space/scale.ts';
import type { Finding, Repair } from '../finding.ts';
import {
  contentWidth,
  nameOf,
  selectorOf,
  type Measurement,
  type MeasuredBox,
  type MeasuredPage,
  type PageCheck,
} from './measured-page.ts';
import { alike, partAt, says, setting, type Place } from './parts-of.ts';

/** What layout rounds away, in px. */
const SAME_PX = 0.02;

/** The widths that a share on a box may be of, in px: what it stands in; in a grid its area, which it fills. */
function containersOf({ widthPx, boxes }: MeasuredPage, box: MeasuredBox): readonly number[] {
  const around = boxes[box.parent];
  return [
    around ? contentWidth(around) : widthPx,
    ...(around?.display.includes('grid') ? [box.width] : []),
  ];
}

/** Every length that is on the scale in such containers: steps, and roles at that width and font size. */
function onScale(
  { page, derived }: Measurement,
  containers: readonly number[],
  fontPx: number,
): readonly number[] {
  const { widthPx, rootPx } = page;
  return [
    0,
    ...[...derived.steps.values()].map(({ px }) => (px * rootPx) / 16),
    ...[...derived.spaces.values()].flatMap(({ inline, block }) =>
      containers.flatMap((containerPx) => {
        const at = { widthPx, rootPx, containerPx, fontPx };
        return [inline.px(at), block.px(at)];
      }),
    ),
    derived.grid.at(-1)?.grid.marginEnd ?? 0,
  ];
}

/** The same, found once for all boxes that stand in the same room in text of the same size. */
function scales(measurement: Measurement): (box: MeasuredBox) => readonly number[] {
  const known = new Map<string, readonly number[]>();
  return (box) => {
    const containers = containersOf(measurement.page, box);
    const key = `${containers.join(' ')}, ${box.fontPx}`;
    const allowed = known.get(key) ?? onScale(measurement, containers, box.fontPx);
    known.set(key, allowed);
    return box.classes.includes('logo')
      ? [...allowed, box.height * measurement.document.layout.logo.clear]
      : allowed;
  };
}

const placesOf = ({
  padding,
  margin,
  rowGap,
  columnGap,
  display,
}: MeasuredBox): readonly (readonly [Place, number])[] => [
  ['padding-top', padding[0]],
  ['padding-right', padding[1]],
  ['padding-bottom', padding[2]],
  ['padding-left', padding[3]],
  // At the sides a margin may be what centers a box, which no scale has.
  ['margin-top', margin[0]],
  ['margin-bottom', margin[2]],
  ...(display.includes('grid') || display.includes('flex')
    ? ([
        ['row-gap', rowGap],
        ['column-gap', columnGap],
      ] as const)
    : []),
];

/** The repair that puts a part on the step nearest to what it is. */
function nearest(
  { document, derived, page }: Measurement,
  key: string,
  px: number,
): Repair | undefined {
  const steps = [...derived.steps.values()];
  const usualPx = (px * 16) / page.rootPx;
  const index = nearestStep(
    steps.map((step) => step.px),
    usualPx,
  );
  const step = index === undefined ? undefined : steps[index];
  if (!step) return undefined;
  const role = derived.spaces.get(SPACES_AND_SIDES.get(key)?.role ?? '');
  const isUsual =
    role !== undefined &&
    Math.abs(role.inline.px({ widthPx: page.widthPx }) - step.px) < SAME_PX &&
    Object.hasOwn(document.space.parts, key);
  return {
    label: isUsual
      ? `Use ${role.name}, ${says(step.px)}`
      : `Use step ${step.name}, ${says(step.px)}`,
    patch: isUsual
      ? [{ op: 'remove', path: `/space/parts/${key}` }]
      : setting(document, key, { step: step.id }),
    before: says(px),
    after: says(step.px),
  };
}

/** Every padding, gap and margin of the page is a value of the scale at that width. */
export const offScaleCheck: PageCheck = (measurement) => {
  const { page } = measurement;
  const allowedOn = scales(measurement);
  const found = new Map<string, Finding>();
  for (const [index, box] of page.boxes.entries()) {
    if (box.display === 'inline') continue;
    const odd = placesOf(box).filter(([, px]) => px > 0.5);
    if (odd.length === 0) continue;
    const allowed = allowedOn(box);
    for (const [place, px] of odd) {
      if (allowed.some((one) => Math.abs(one - px) <= SAME_PX)) continue;
      const key = partAt(page, index, place, measurement.document);
      const id = `off-scale:${key ?? `${alike(box)}:${place}`}`;
      if (found.has(id)) continue;
      const repair = key === undefined ? undefined : nearest(measurement, key, px);
      found.set(id, {
        id,
        severity: 'look',
        area: 'space',
        decision: key === undefined ? '/space/steps' : `/space/parts/${key}`,
        title: `${says(px)} ${key === undefined ? `of ${nameOf(box)}` : (SPACES_AND_SIDES.get(key)?.says ?? key)} is on no step`,
        figures: `${place.replace('-', ' ')} of ${nameOf(box)}, at ${page.widthPx} px; ${repair ? `${repair.after} is the nearest step` : 'the scale has no such step'}`,
        reason: 'A value beside the scale is seen as a mistake, and nobody can name it.',
        source: 'measured in the browser; common practice',
        where: { selector: selectorOf(page, index), widthPx: page.widthPx },
        ...(repair && { repair }),
      });
    }
  }
  return [...found.values()];
};
