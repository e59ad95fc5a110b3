import { NARROW_NAVIGATION } from '../../system/component-schema.ts';
import type { StyleDocument } from '../../system/document.ts';
import type { Repair } from '../finding.ts';
import { bottomOf, selectorOf, type MeasuredBox, type PageCheck } from './measured-page.ts';

/** From which screen down a navigation goes behind a button where nothing else is known. Common practice. */
const USUAL_BELOW = 720;

/** How many rows boxes stand in: a new one begins below all that came before it. */
export function rowsOf(boxes: readonly MeasuredBox[]): number {
  let rows = 0;
  let bottom = Number.NEGATIVE_INFINITY;
  for (const box of [...boxes].sort((one, other) => one.top - other.top)) {
    if (box.top >= bottom - 0.5) rows += 1;
    bottom = Math.max(bottom, bottomOf(box));
  }
  return rows;
}

/** The navigation goes behind a button, or the action into the navigation that is behind one. */
function repairOf(
  { components: { narrow }, content }: StyleDocument,
  widthPx: number,
): Repair | undefined {
  const { from, to } = NARROW_NAVIGATION;
  const below = Math.min(to, Math.max(from, USUAL_BELOW, widthPx + 1));
  if (!narrow)
    return {
      label: `Navigation behind a button below ${below} px`,
      patch: [
        { op: 'add', path: '/components/narrow', value: { below, open: 'Menu', close: 'Close' } },
      ],
      before: 'in a row everywhere',
      after: `behind a button below ${below} px`,
    };
  if (widthPx >= narrow.below)
    return widthPx + 1 > to
      ? undefined
      : {
          label: `Navigation behind a button below ${widthPx + 1} px`,
          patch: [{ op: 'replace', path: '/components/narrow/below', value: widthPx + 1 }],
          before: `below ${narrow.below} px`,
          after: `below ${widthPx + 1} px`,
        };
  if (content.headerAction === undefined || narrow.action === 'inside') return undefined;
  return {
    label: 'Its action goes into the navigation',
    patch: [
      {
        op: narrow.action === undefined ? 'add' : 'replace',
        path: '/components/narrow/action',
        value: 'inside',
      },
    ],
    before: 'beside the button',
    after: 'in the navigation',
  };
}

/** The head of a page is one row: what breaks into two pushes the page down and falls apart. */
export const headerRowsCheck: PageCheck = ({ page, children, document }) =>
  page.boxes.flatMap((box, index) => {
    if (!box.classes.includes('site-header')) return [];
    const inside = (children[index] ?? []).flatMap((child) => page.boxes[child] ?? []);
    const rows = rowsOf(inside.filter(({ width, height }) => width > 0 && height > 0));
    if (rows < 2) return [];
    const repair = repairOf(document, page.widthPx);
    return [
      {
        id: 'header-rows',
        severity: 'look' as const,
        area: 'components' as const,
        decision: '/components/narrow',
        title: `The header breaks into ${rows} rows`,
        figures: `${rows} rows at ${page.widthPx} px`,
        reason: 'A head of several rows takes the screen from what people came for.',
        source: 'measured in the browser; common practice',
        where: { selector: selectorOf(page, index), widthPx: page.widthPx },
        ...(repair && { repair }),
      },
    ];
  });
