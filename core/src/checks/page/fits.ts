import type { Finding } from '../finding.ts';
import {
  around,
  bottomOf,
  nameOf,
  rightOf,
  selectorOf,
  type MeasuredBox,
  type MeasuredPage,
  type PageCheck,
  type Stress,
} from './measured-page.ts';
import { alike, partAt, says } from './parts-of.ts';

/** What rounding makes of sizes. */
const ROUNDING_PX = 1;

/** Tables scroll by themselves, as do codes; what scrolls holds what is wider than itself. */
const isHeld = (boxes: readonly MeasuredBox[], index: number): boolean =>
  [...around(boxes, index)].some(({ tag, scrolls }) => scrolls || tag === 'table' || tag === 'pre');

interface Misfit {
  readonly index: number;
  readonly figures: string;
}

/** Words that stick out of what holds them, or of the screen. */
function sticking({ boxes, widthPx }: MeasuredPage): readonly Misfit[] {
  return [...boxes.keys()].flatMap((index): Misfit[] => {
    const box = boxes[index];
    if (!box || box.isOut || box.width === 0 || box.text === '' || isHeld(boxes, index)) return [];
    // What hangs in the margin is meant to stick out.
    if (box.classes.some((name) => name.startsWith('pull-'))) return [];
    if (box.overflowPx > ROUNDING_PX && box.display !== 'inline' && !box.scrolls)
      return [{ index, figures: `its words are ${says(box.overflowPx)} wider than it` }];
    const out = Math.max(rightOf(box) - widthPx, -box.left);
    return out > ROUNDING_PX ? [{ index, figures: `it ends ${says(out)} outside the screen` }] : [];
  });
}

/** Neighbors that lie over each other. */
function overlapping(
  { boxes }: MeasuredPage,
  children: readonly (readonly number[])[],
): readonly Misfit[] {
  const isThere = (box: MeasuredBox | undefined): box is MeasuredBox =>
    box !== undefined && !box.isOut && box.width > 0 && box.height > 0 && box.display !== 'inline';
  return children.flatMap((own) =>
    own.slice(1).flatMap((index, at): Misfit[] => {
      const [one, other] = [boxes[own[at] ?? -1], boxes[index]];
      if (!isThere(one) || !isThere(other)) return [];
      // What is moved over its neighbor by a margin below nothing is meant to lie there.
      if ([...one.margin, ...other.margin].some((margin) => margin < 0)) return [];
      const across = Math.min(rightOf(one), rightOf(other)) - Math.max(one.left, other.left);
      const down = Math.min(bottomOf(one), bottomOf(other)) - Math.max(one.top, other.top);
      return across > ROUNDING_PX && down > ROUNDING_PX
        ? [{ index, figures: `it lies ${says(Math.min(across, down))} over ${nameOf(one)}` }]
        : [];
    }),
  );
}

const SAID: Readonly<
  Record<
    Stress | 'as it is',
    Pick<Finding, 'severity' | 'reason' | 'source'> & { readonly when: string }
  >
> = {
  'as it is': {
    severity: 'repair',
    when: '',
    reason: 'What is cut off or covered cannot be read.',
    source: 'measured in the browser; WCAG 2.2, 1.4.10',
  },
  longer: {
    severity: 'look',
    when: ' with labels a third longer',
    reason: 'Other languages, and other editors, need more letters for the same.',
    source: 'measured in the browser; common practice',
  },
  'right to left': {
    severity: 'look',
    when: ' from right to left',
    reason: 'Some languages are written the other way, and the page turns with them.',
    source: 'measured in the browser; common practice',
  },
  spaced: {
    severity: 'repair',
    when: ' with text spaced widely',
    reason: 'Readers who need more room between letters and lines set it themselves.',
    source: 'WCAG 2.2, 1.4.12',
  },
  'twice as large': {
    severity: 'repair',
    when: ' with text twice as large',
    reason: 'Readers who enlarge the text keep all of it.',
    source: 'WCAG 2.2, 1.4.4',
  },
};

/** Nothing is cut off, sticks out or lies over its neighbor, as it is and under stress. */
export const fitsCheck: PageCheck = ({ page, children, document }) => {
  const found = new Map<string, Finding>();
  const { when, ...said } = SAID[page.stress ?? 'as it is'];
  for (const { index, figures } of [...sticking(page), ...overlapping(page, children)]) {
    const box = page.boxes[index];
    if (!box) continue;
    const id = `fits:${page.stress?.replaceAll(' ', '-') ?? 'plain'}:${alike(box)}`;
    if (found.has(id)) continue;
    const key = partAt(page, index, 'padding-left', document);
    found.set(id, {
      id,
      ...said,
      area: 'components',
      decision: key === undefined ? '/layout/widths' : `/space/parts/${key}`,
      title: `${nameOf(box)} does not fit${when}`,
      figures: `${figures} at ${page.widthPx} px`,
      where: { selector: selectorOf(page, index), widthPx: page.widthPx },
    });
  }
  return [...found.values()];
};
