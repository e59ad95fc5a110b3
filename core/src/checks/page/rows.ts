import { centeredFrom } from '../../derive/space/layout.ts';
import type { Finding, Repair } from '../finding.ts';
import {
  gapsIn,
  nameOf,
  rightOf,
  selectorOf,
  type Measurement,
  type PageCheck,
} from './measured-page.ts';
import { alike, backToRole, partAt, says, setting } from './parts-of.ts';

/** Items of a row stand no farther apart than so many em, or the widest of them. Common practice. */
const MOST_EM = 4;

/** The repair that brings the items of a navigation nearer to each other. */
function nearer(
  { document, derived }: Measurement,
  key: string,
  px: number,
  most: number,
): Repair | undefined {
  const step = [...derived.steps.values()].findLast((one) => one.px <= most);
  return (
    backToRole(document, key, says(px), 'its usual role') ??
    (step && {
      label: `Use step ${step.name}, ${says(step.px)}`,
      patch: setting(document, key, { step: step.id }),
      before: says(px),
      after: says(step.px),
    })
  );
}

/** The links of a navigation are read as one thing. */
export const navigationCheck: PageCheck = (measurement) => {
  const { page, children } = measurement;
  return page.boxes.flatMap((box, index): Finding[] => {
    if (box.tag !== 'nav') return [];
    const gaps = gapsIn(measurement, index, 'inline').map(({ px }) => px);
    const widest = Math.max(
      0,
      ...(children[index] ?? []).map((child) => page.boxes[child]?.width ?? 0),
    );
    const most = Math.max(MOST_EM * box.fontPx, widest);
    const px = Math.max(0, ...gaps);
    if (px <= most) return [];
    const key = partAt(page, index, 'column-gap', measurement.document);
    const repair = key === undefined ? undefined : nearer(measurement, key, px, most);
    return [
      {
        id: 'apart:nav',
        severity: 'look',
        area: 'space',
        decision: key === undefined ? '/space/roles' : `/space/parts/${key}`,
        title: 'The navigation falls apart',
        figures: `${says(px)} between its links at ${page.widthPx} px; the widest link has ${says(widest)}`,
        reason:
          'Links that stand farther apart than they are wide are read one by one, not as a row.',
        source: 'measured in the browser; common practice',
        where: { selector: selectorOf(page, index), widthPx: page.widthPx },
        ...(repair && { repair }),
      },
    ];
  });
};

/** A middle that is off by more than this share of the row is not meant to be in the middle. */
const MEANT = 0.12;

/** What stands in the middle of a row of three stands in its true middle. */
export const middleCheck: PageCheck = (measurement) => {
  const { page, children, document } = measurement;
  const found = new Map<string, Finding>();
  for (const [index, box] of page.boxes.entries()) {
    const own = children[index] ?? [];
    if (page.widthPx < centeredFrom(document.layout)) break;
    if (own.length !== 3 || !(box.display.includes('flex') || box.display.includes('grid')))
      continue;
    const [first, middle, last] = own.map((child) => page.boxes[child]);
    if (!first || !middle || !last) continue;
    const isRow = middle.left >= rightOf(first) - 0.5 && last.left >= rightOf(middle) - 0.5;
    // Three that stand at their usual gap, or follow each other from the start, have no middle.
    const isPacked = middle.left - rightOf(first) < box.columnGap + 1;
    const isSpread =
      Math.abs(first.left - box.left - box.padding[3]) < 1 &&
      Math.abs(rightOf(box) - box.padding[1] - rightOf(last)) < 1;
    if (!isRow || !isSpread || isPacked) continue;
    const off = middle.left + middle.width / 2 - (box.left + box.width / 2);
    if (Math.abs(off) < 0.75 || Math.abs(off) > box.width * MEANT) continue;
    const isHeader = box.classes.includes('site-header');
    found.set(alike(box), {
      id: `middle:${alike(box)}`,
      severity: 'look',
      area: 'space',
      decision: isHeader ? '/layout/header' : '/space/parts',
      title: `The middle of ${nameOf(box)} is ${says(Math.abs(off))} off`,
      figures: `${nameOf(middle)} stands too far to the ${off < 0 ? 'left' : 'right'} at ${page.widthPx} px`,
      reason: 'Equal gaps beside unequal neighbors put the middle beside the middle.',
      source: 'measured in the browser; common practice',
      where: { selector: selectorOf(page, index), widthPx: page.widthPx },
      ...(isHeader &&
        document.layout.header === 'spread' && {
          repair: {
            label: 'Center it truly',
            patch: [{ op: 'replace', path: '/layout/header', value: 'centered' }],
            before: 'between its neighbors',
            after: 'in the true middle',
          },
        }),
    });
  }
  return [...found.values()];
};
