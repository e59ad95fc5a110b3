import type { Finding } from '../finding.ts';
import {
  around,
  bottomOf,
  contentWidth,
  nameOf,
  selectorOf,
  type MeasuredPage,
  type Measurement,
  type PageCheck,
} from './measured-page.ts';

/** Up to this width a screen is a phone's, from the other on it is wide, in px. */
const PHONE_PX = 480;
const WIDE_PX = 1200;

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Whether a box, or one around it, has a neighbor beside it. */
function sharesItsRow({ page: { boxes }, children }: Measurement, index: number): boolean {
  for (let at = index; at >= 0; at = boxes[at]?.parent ?? -1) {
    const box = boxes[at];
    const beside = children[box?.parent ?? -1] ?? [];
    const isBeside = beside.some((other) => {
      const one = boxes[other];
      return (
        other !== at &&
        one !== undefined &&
        box !== undefined &&
        one.width > 0 &&
        one.top < bottomOf(box) - 0.5 &&
        bottomOf(one) > box.top + 0.5
      );
    });
    if (isBeside) return true;
  }
  return false;
}

/** The words that have the least width on a phone, as a share of it that is space. */
function narrowest(measurement: Measurement): { index: number; share: number } | undefined {
  const { boxes, widthPx } = measurement.page;
  let found: { index: number; share: number } | undefined;
  for (const [index, box] of boxes.entries()) {
    // Only what fills its line: words that share it with others have less by intent.
    if (box.text === '' || box.display === 'inline' || box.textWidth < box.width * 0.5) continue;
    if (box.isTarget || /^t[dh]$/.test(box.tag)) continue;
    const outer = [...around(boxes, index)];
    if (outer.some(({ display, isTarget }) => display.includes('flex') || isTarget)) continue;
    if (sharesItsRow(measurement, index)) continue;
    const parent = boxes[box.parent];
    // What is only as wide as its words could be as wide as what it stands in.
    const room = Math.max(
      box.width - box.padding[1] - box.padding[3],
      parent ? contentWidth(parent) : 0,
    );
    const share = 1 - room / widthPx;
    if (room > widthPx * 0.3 && (!found || share > found.share)) found = { index, share };
  }
  return found;
}

/** The share of the page that neither words nor pictures nor controls cover. */
export function emptyShare({ boxes, widthPx, heightPx }: MeasuredPage): number {
  const filled = boxes.reduce((sum, box, index) => {
    if (box.tag === 'img' || box.tag === 'svg' || box.isTarget) return sum + box.width * box.height;
    if ([...around(boxes, index)].some(({ isTarget }) => isTarget)) return sum;
    return sum + box.textWidth * box.textHeight;
  }, 0);
  return Math.max(0, 1 - filled / Math.max(1, widthPx * heightPx));
}

/** Space takes no more of a phone's width, and of a wide screen's area, than the system allows. */
export const roomCheck: PageCheck = (measurement) => {
  const { page, document } = measurement;
  const { phone, wide } = document.space.limits;
  if (page.widthPx <= PHONE_PX) {
    const found = narrowest(measurement);
    const box = found && page.boxes[found.index];
    if (!found || !box || found.share <= phone) return [];
    const finding: Finding = {
      id: 'room:phone',
      severity: 'look',
      area: 'space',
      decision: '/space/limits/phone',
      title: `Space takes ${percent(found.share)} of a phone’s width`,
      figures: `beside ${nameOf(box)} at ${page.widthPx} px; ${percent(phone)} is allowed`,
      reason: 'A phone that gets the padding of a desktop has lines of four words.',
      source: 'measured in the browser; the limit is the system’s own',
      where: { selector: selectorOf(page, found.index), widthPx: page.widthPx },
    };
    return [finding];
  }
  if (page.widthPx < WIDE_PX) return [];
  const share = emptyShare(page);
  if (share <= wide) return [];
  const finding: Finding = {
    id: 'room:wide',
    severity: 'look',
    area: 'space',
    decision: '/space/limits/wide',
    title: `${percent(share)} of the page is space`,
    figures: `at ${page.widthPx} px; ${percent(wide)} is allowed`,
    reason:
      'Where everything stands alone, people scroll without seeing how things belong together.',
    source: 'measured in the browser; the limit is the system’s own',
    where: { selector: '.site', widthPx: page.widthPx },
  };
  return [finding];
};
