import type { StyleDocument } from '../../system/document.ts';
import type { Finding } from '../finding.ts';
import {
  around,
  nameOf,
  selectorOf,
  type MeasuredBox,
  type MeasuredPage,
  type PageCheck,
} from './measured-page.ts';
import { backToRole, partAt, says, type Place } from './parts-of.ts';

/** Edges that miss each other by so much look like a mistake; more is an indent. Common practice. */
const FROM_PX = 0.9;
const TO_PX = 4.1;

interface Edge {
  readonly px: number;
  readonly index: number;
}

/** Where the words of a box, or the ground of one that is seen, begin; borders around it do not count. */
function edgeOf(boxes: readonly MeasuredBox[], index: number): number | undefined {
  const box = boxes[index];
  if (!box || box.width === 0 || box.display === 'inline' || box.isOut) return undefined;
  if (box.classes.some((name) => name.startsWith('pull-'))) return undefined;
  if (box.text === '' && !box.isSeen) return undefined;
  let borders = 0;
  for (const outer of around(boxes, index)) borders += outer.border[3];
  return box.text === '' ? box.left - borders : box.left + box.padding[3] - borders;
}

/** The part that moves a box in from the side, its own or that of a box around it. */
function partBeside(
  page: MeasuredPage,
  index: number,
  document: StyleDocument,
): string | undefined {
  const place: Place = 'padding-left';
  for (let at = index; at >= 0; at = page.boxes[at]?.parent ?? -1) {
    const key = partAt(page, at, place, document);
    if (key !== undefined) return key;
  }
  return undefined;
}

/** Boxes that stand in columns, cells and rows do not share an edge with what is above them. */
const isBeside = (boxes: readonly MeasuredBox[], index: number): boolean =>
  [...around(boxes, index)].some(
    ({ display, tag }) => display.includes('flex') || tag === 'tr' || tag === 'nav',
  );

/** Left edges are shared, or clearly apart. */
export const edgesCheck: PageCheck = ({ page, document }) => {
  const { boxes } = page;
  const columns = new Map<number, Edge[]>();
  for (const index of boxes.keys()) {
    const px = edgeOf(boxes, index);
    if (px === undefined || isBeside(boxes, index)) continue;
    const key = Math.round(px * 2) / 2;
    columns.set(key, [...(columns.get(key) ?? []), { px, index }]);
  }
  const edges = [...columns].sort(([one], [other]) => one - other);
  const found: Finding[] = [];
  for (const [at, [px, own]] of edges.slice(1).entries()) {
    const [beforePx = 0, before = []] = edges[at] ?? [];
    const apart = px - beforePx;
    if (apart < FROM_PX || apart > TO_PX) continue;
    // The edge that fewer things keep to is the one that misses.
    const [few, many] = own.length <= before.length ? [own, before] : [before, own];
    const index = few[0]?.index ?? 0;
    const other = boxes[many[0]?.index ?? 0];
    const box = boxes[index];
    if (!box || !other) continue;
    const key = partBeside(page, index, document);
    const repair =
      key === undefined ? undefined : backToRole(document, key, says(px), says(beforePx));
    found.push({
      id: `edge:${key ?? nameOf(box)}`,
      severity: 'look',
      area: 'space',
      decision: key === undefined ? '/space/parts' : `/space/parts/${key}`,
      title: `${nameOf(box)} misses an edge by ${says(apart)}`,
      figures: `${says(few[0]?.px ?? 0)} from the left; ${nameOf(other)} and ${many.length - 1} more at ${says(many[0]?.px ?? 0)}, at ${page.widthPx} px`,
      reason: 'The eye follows edges; one that is nearly there disturbs more than one that is not.',
      source: 'measured in the browser; common practice',
      where: { selector: selectorOf(page, index), widthPx: page.widthPx },
      ...(repair && { repair }),
    });
  }
  return found;
};
