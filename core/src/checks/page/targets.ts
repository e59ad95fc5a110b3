import type { Finding, Repair } from '../finding.ts';
import { SPACES_AND_SIDES } from '../../components/spaces.ts';
import {
  nameOf,
  selectorOf,
  type Measurement,
  type MeasuredBox,
  type PageCheck,
} from './measured-page.ts';
import { alike, partAt, says } from './parts-of.ts';

/** Sides of a target in CSS px. Source: WCAG 2.2, 2.5.8 (AA) and 2.5.5 (AAA). */
const LEAST = { AA: 24, AAA: 44 } as const;

/** A link in a sentence is as high as its line. Source: WCAG 2.2, 2.5.8, exception Inline. */
const isInSentence = (boxes: readonly MeasuredBox[], { display, parent }: MeasuredBox): boolean =>
  display === 'inline' && (boxes[parent]?.text ?? '') !== '';

interface Circle {
  readonly index: number;
  readonly x: number;
  readonly y: number;
}

const centerOf = (box: MeasuredBox, index: number): Circle => ({
  index,
  x: box.left + box.width / 2,
  y: box.top + box.height / 2,
});

/** The distance from a point to a box; 0 inside of it. */
const distance = ({ x, y }: Circle, { left, top, width, height }: MeasuredBox): number =>
  Math.hypot(Math.max(left - x, 0, x - left - width), Math.max(top - y, 0, y - top - height));

/**
 * Whether an undersized target has room enough: a circle of 24 px around its middle touches no other
 * target, nor the circle of another that is too small. Source: WCAG 2.2, 2.5.8, exception Spacing.
 */
function hasRoom(
  boxes: readonly MeasuredBox[],
  own: Circle,
  targets: readonly number[],
  small: readonly Circle[],
): boolean {
  const radius = LEAST.AA / 2;
  return (
    targets.every((index) => {
      const box = boxes[index];
      return index === own.index || !box || distance(own, box) >= radius;
    }) &&
    small.every(
      (other) =>
        other.index === own.index || Math.hypot(other.x - own.x, other.y - own.y) >= 2 * radius,
    )
  );
}

/** The repair that makes the part, or the role behind it, as high as is needed. */
function higher(
  { document }: Measurement,
  key: string,
  least: number,
  height: number,
): Repair | undefined {
  const after = says(least);
  const part = document.space.parts[key];
  const role = SPACES_AND_SIDES.get(key)?.role ?? '';
  if (part)
    return {
      label: `Follow ${document.space.roles.items[role]?.name ?? role} again`,
      patch: [{ op: 'remove', path: `/space/parts/${key}` }],
      before: says(height),
      after,
    };
  const own = document.space.roles.items[role];
  return own
    ? {
        label: `${own.name} to ${after}`,
        patch: [
          {
            op: 'replace',
            path: `/space/roles/items/${role}/value`,
            value: { kind: 'own', value: least / 16, unit: 'rem' },
          },
        ],
        before: says(height),
        after,
      }
    : undefined;
}

/** What is pressed is large enough, or has room around it. */
export const targetsCheck: PageCheck = (measurement) => {
  const { page, document } = measurement;
  const { boxes } = page;
  const level = document.brief.conformance;
  const least = LEAST[level];
  const targets = [...boxes.keys()].filter((index) => {
    const box = boxes[index];
    return box !== undefined && box.isTarget && box.width > 0 && !isInSentence(boxes, box);
  });
  const isSmall = (index: number, side: number): boolean => {
    const box = boxes[index];
    return box !== undefined && (box.width < side - 0.01 || box.height < side - 0.01);
  };
  const circles = targets
    .filter((index) => isSmall(index, LEAST.AA))
    .flatMap((index) => {
      const box = boxes[index];
      return box ? [centerOf(box, index)] : [];
    });
  const found = new Map<string, Finding>();
  for (const index of targets) {
    const box = boxes[index];
    if (!box || !isSmall(index, least)) continue;
    if (level === 'AA' && hasRoom(boxes, centerOf(box, index), targets, circles)) continue;
    const id = `target:${alike(box)}`;
    if (found.has(id)) continue;
    const key = partAt(page, index, 'height', document);
    const repair =
      key !== undefined && box.height < least
        ? higher(measurement, key, least, box.height)
        : undefined;
    found.set(id, {
      id,
      severity: 'repair',
      area: 'space',
      decision: key === undefined ? '/space/roles/items/target' : `/space/parts/${key}`,
      title: `${nameOf(box)} is small to press`,
      figures: `${says(box.width)} by ${says(box.height)} at ${page.widthPx} px; ${least} by ${least} ${level === 'AA' ? 'or room around it ' : ''}is needed`,
      reason: 'Fingers that tremble, and thumbs on a moving quay, hit the neighbor.',
      source: level === 'AA' ? 'WCAG 2.2, 2.5.8' : 'WCAG 2.2, 2.5.5',
      where: { selector: selectorOf(page, index), widthPx: page.widthPx },
      ...(repair && { repair }),
    });
  }
  return [...found.values()];
};
