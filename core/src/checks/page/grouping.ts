import type { Finding, Repair } from '../finding.ts';
import { gapsIn, nameOf, selectorOf, type Measurement, type PageCheck } from './measured-page.ts';
import { alike, backToRole, partAt, says, setting } from './parts-of.ts';

/** A heading belongs to what follows it, so that its distance is one inside the group. */
const isHeading = (tag: string | undefined): boolean =>
  /^(h[1-6]|dt|caption|legend)$/.test(tag ?? '');

/** The repair that makes the space inside smaller than the space around: a usual role, or a smaller step. */
function tighter(
  { document, derived, page }: Measurement,
  key: string,
  inner: number,
  outer: number,
): Repair | undefined {
  const scale = page.rootPx / 16;
  const step = [...derived.steps.values()].findLast(({ px }) => px * scale < outer - 0.5);
  const back = backToRole(document, key, says(inner), 'its usual role');
  if (back) return back;
  return step
    ? {
        label: `Use step ${step.name}, ${says(step.px)}`,
        patch: setting(document, key, { step: step.id }),
        before: says(inner),
        after: says(step.px),
      }
    : undefined;
}

/** What belongs together stands closer together than what does not. */
export const groupingCheck: PageCheck = (measurement) => {
  const { page, children } = measurement;
  const found = new Map<string, Finding>();
  for (const [parent] of page.boxes.entries())
    for (const axis of ['block', 'inline'] as const) {
      const outside = gapsIn(measurement, parent, axis);
      if (outside.length === 0) continue;
      for (const child of children[parent] ?? []) {
        const box = page.boxes[child];
        // An edge or a ground holds a group together, whatever the distances.
        if (!box || box.isSeen || box.tag === 'nav') continue;
        const gaps = gapsIn(measurement, child, axis);
        // Things with edges of their own hold together without being near.
        if (
          gaps.every(({ before, after }) => page.boxes[before]?.isSeen && page.boxes[after]?.isSeen)
        )
          continue;
        const inside = gaps.map(({ px }) => px);
        const beside = outside
          .filter(
            ({ before, after }) =>
              before === child || (after === child && !isHeading(page.boxes[before]?.tag)),
          )
          .map(({ px }) => px);
        if (inside.length === 0 || beside.length === 0) continue;
        const [inner, outer] = [Math.max(...inside), Math.min(...beside)];
        if (inner < 0.5 || inner < outer - 0.25) continue;
        const id = `grouping:${alike(box)}`;
        if (found.has(id)) continue;
        const key = partAt(
          page,
          child,
          axis === 'block' ? 'row-gap' : 'column-gap',
          measurement.document,
        );
        const repair = key === undefined ? undefined : tighter(measurement, key, inner, outer);
        found.set(id, {
          id,
          severity: 'look',
          area: 'space',
          decision: key === undefined ? '/space/roles' : `/space/parts/${key}`,
          title: `Inside ${nameOf(box)} things stand as far apart as around it`,
          figures: `${says(inner)} inside, ${says(outer)} around, at ${page.widthPx} px`,
          reason:
            'What stands nearer is read as belonging together; here nothing tells the groups apart.',
          source: 'measured in the browser; the law of proximity, common practice',
          where: { selector: selectorOf(page, child), widthPx: page.widthPx },
          ...(repair && { repair }),
        });
      }
    }
  return [...found.values()];
};
