import { legibility } from '../color/legibility.ts';
import { nearestWeight, stemAt, weightsOf } from '../fonts/family.ts';
import { ratioText, judgedAll, selectorOf, type Judged } from './judge.ts';
import { checkOf, type Finding } from './finding.ts';

/** Less of a stroke than this is hard to read. Our own reading aid; common practice. */
export const LEAST_LEGIBILITY = 3;

export interface Stroke {
  /** Thickness of the stem at the smallest size, in px. */
  readonly px: number;
  /** Thickness of the thinnest stroke there. */
  readonly thinPx: number;
  readonly legibility: number;
}

/** The stroke of a text at its smallest size, with the contrast that is left of it. */
export function strokeOf({ need, ratio, fromPx }: Judged): Stroke | undefined {
  const { style } = need;
  if (!style || fromPx === undefined || need.kind !== 'text') return undefined;
  const px = stemAt(style.family, style.weight) * fromPx;
  return {
    px,
    thinPx: px * style.family.metrics.thinToThick,
    legibility: legibility(ratio, px),
  };
}

/** Text that passes and yet is thin, small and pale together. */
export const strokesCheck = checkOf([], ['needs', 'themes'], (_document, derived) =>
  judgedAll(derived).flatMap((judged): Finding[] => {
    const { need, mode, ratio, passes, fromPx } = judged;
    const stroke = strokeOf(judged);
    const { style } = need;
    if (!passes || !style || !stroke || stroke.legibility >= LEAST_LEGIBILITY) return [];
    const heavier = weightsOf(style.family).find(
      (weight) =>
        weight > style.weight &&
        legibility(ratio, stemAt(style.family, weight) * (fromPx ?? 16)) >= LEAST_LEGIBILITY,
    );
    return [
      {
        id: `stroke:${need.id}:${mode}`,
        severity: 'look',
        area: 'color',
        decision: need.decided
          ? `/color/texts/items/${need.id}`
          : `/color/roles/items/${need.color.id}`,
        title: `${need.what} in ${need.color.name} is thin, small and pale in ${mode}`,
        figures: `strokes of ${stroke.px.toFixed(2)} px at ${(fromPx ?? 0).toFixed(1)} px leave ${ratioText(stroke.legibility)} of ${ratioText(ratio)}; ${LEAST_LEGIBILITY} is easy`,
        reason:
          'A stroke thinner than about one and a half pixels covers only a part of them, and is seen paler than it is.',
        source:
          'our own reading aid, asked for by no standard: 1 + (ratio - 1) x stroke / 1.6 px; common practice',
        where: { selector: selectorOf(need), mode },
        ...(heavier !== undefined && {
          repair: {
            label: `Set ${style.name} in ${heavier}`,
            patch: [
              {
                op: 'add',
                path: `/type/roles/items/${style.id}/weight`,
                value: nearestWeight(style.family, heavier),
              },
            ],
            before: String(style.weight),
            after: String(heavier),
          },
        }),
      },
    ];
  }),
);
