import type { Finding } from '../finding.ts';
import { around, nameOf, rightOf, selectorOf, type PageCheck } from './measured-page.ts';
import { says } from './parts-of.ts';

/** The width at which a page may not scroll sideways, in CSS px. Source: WCAG 2.2, 1.4.10. */
export const REFLOW_PX = 320;

const isTable = (tag: string): boolean => tag === 'table' || tag === 'pre';

/** Nothing but data tables and the like is wider than the narrowest screen. */
export const reflowCheck: PageCheck = ({ page }) => {
  if (page.widthPx > REFLOW_PX) return [];
  const { boxes } = page;
  const wide = [...boxes.keys()].filter((index) => {
    const box = boxes[index];
    if (!box || box.isOut || rightOf(box) <= page.widthPx + 0.5 || box.width === 0) return false;
    const outer = [...around(boxes, index)];
    return !isTable(box.tag) && !outer.some(({ tag, scrolls }) => isTable(tag) || scrolls);
  });
  // The innermost ones say what it is; those around them only hold it.
  const inner = wide.filter((index) => !wide.some((other) => boxes[other]?.parent === index));
  const [index] = inner;
  const box = index === undefined ? undefined : boxes[index];
  if (index === undefined || !box) return [];
  const finding: Finding = {
    id: `reflow:${nameOf(box)}`,
    severity: 'repair',
    area: 'space',
    decision: '/layout/widths',
    title: `The page scrolls sideways at ${page.widthPx} px`,
    figures: `${nameOf(box)} ends at ${says(rightOf(box))}${inner.length > 1 ? `, and ${inner.length - 1} more` : ''}`,
    reason: 'Whoever enlarges a page reads every line by scrolling to and fro.',
    source: 'WCAG 2.2, 1.4.10; data tables are exempt',
    where: { selector: selectorOf(page, index), widthPx: page.widthPx },
  };
  return [finding];
};
