import { contrastRatio, isLargeText, neededContrast, type Conformance } from '../color/contrast.ts';
import { nearestPassing } from '../color/nearest-passing.ts';
import { partSelector } from '../derive/color.ts';
import type { TextPair } from '../derive/derived.ts';
import { MODES, type Mode } from '../system/document.ts';
import type { Check, Finding } from './finding.ts';

const ROOT_PX = 16;

/** A pair as judged in one mode: its ratio, what it needs, and why. */
export interface Judged {
  readonly pair: TextPair;
  readonly mode: Mode;
  readonly ratio: number;
  readonly needed: number;
  readonly passes: boolean;
  /** The sizes over all widths, in px: a fluid text is judged by its smallest. */
  readonly fromPx: number;
  readonly toPx: number;
  readonly large: boolean;
}

/** Judges the emitted colors of a pair by the smallest size and the weight that the text has. */
export function judge(pair: TextPair, mode: Mode, level: Conformance): Judged {
  const { style, color, on } = pair;
  const fromPx = style.size.minRem * ROOT_PX;
  const needed = neededContrast(fromPx, style.weight, level);
  const ratio = contrastRatio(color.colors[mode], on.colors[mode]);
  return {
    pair,
    mode,
    ratio,
    needed,
    passes: ratio >= needed,
    fromPx,
    toPx: style.size.maxRem * ROOT_PX,
    large: isLargeText(fromPx, style.weight),
  };
}

/** Two decimals, cut and never rounded up: a ratio of 4.499 is not 4.5. */
export const ratioText = (ratio: number): string => (Math.floor(ratio * 100) / 100).toFixed(2);

const px = (value: number): string => String(Number(value.toFixed(1)));

export const sizesText = ({ fromPx, toPx }: Judged): string =>
  px(fromPx) === px(toPx) ? `${px(fromPx)} px` : `${px(fromPx)} to ${px(toPx)} px`;

/** The rule of the proof that shows the pair. */
const selectorOf = ({ style, part, on }: TextPair): string =>
  `.on-${on.slug} ${partSelector(part, style)}`;

/** What a use is called: the text role, or the link or quiet button in it. */
export const nameOfUse = ({ style, part }: TextPair): string =>
  part === 'words' ? style.name : part === 'link' ? `link in ${style.name}` : `quiet button`;

function findingOf(judged: Judged): Finding {
  const { pair, mode, ratio, needed, large } = judged;
  const { color, on, style } = pair;
  const before = color.colors[mode];
  const after = nearestPassing(before, on.colors[mode], needed);
  const what =
    pair.part === 'link' ? `${color.name} in ${style.name}` : `${nameOfUse(pair)} in ${color.name}`;
  return {
    id: `contrast:${pair.id}:${mode}`,
    severity: 'repair',
    area: 'color',
    decision: `/color/texts/items/${pair.id}`,
    title: `${what} on ${on.name} falls short in ${mode}`,
    figures: `${ratioText(ratio)} of ${needed.toFixed(2)}, at ${sizesText(judged)}, weight ${style.weight}`,
    reason: large
      ? 'Large text needs less contrast than small text, and this is still too little to be read by everyone.'
      : 'Text of this size and weight needs this contrast to be read by people with low vision.',
    source: 'WCAG 2.2, 1.4.3 and 1.4.6',
    where: { selector: selectorOf(pair), mode },
    ...(after !== undefined && {
      repair: {
        label: `Take ${after}`,
        patch: [
          {
            op: 'replace',
            path: `/color/roles/items/${color.id}/${mode}`,
            value: { kind: 'own', value: after },
          },
        ],
        before: `${before}, ${ratioText(ratio)}`,
        after: `${after}, ${ratioText(contrastRatio(after, on.colors[mode]))}`,
        swatches: [before, after],
      },
    }),
  };
}

/** Every text in the color and on the surface that it is used in, in both themes. */
export const contrastCheck: Check = ({ brief }, { pairs }) =>
  pairs.flatMap((pair) =>
    MODES.flatMap((mode) => {
      const judged = judge(pair, mode, brief.conformance);
      return judged.passes ? [] : [findingOf(judged)];
    }),
  );
