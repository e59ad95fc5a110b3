import { inOrder, type StyleDocument } from '../system/document.ts';
import { movesLocked } from '../system/locks.ts';
import { patched } from '../system/patch.ts';
import type { Finding, Repair } from './finding.ts';

/** All findings of a document: everything derived anew, every check. */
export type Judge = (document: StyleDocument) => readonly Finding[];

const SERIOUS: Readonly<Record<Finding['severity'], number>> = { look: 0, repair: 1 };

/** What a document comes to after a repair; undefined where the repair does not fit or makes anything worse. */
function after(
  document: StyleDocument,
  repair: Repair,
  before: ReadonlyMap<string, Finding>,
  judge: Judge,
): ReadonlyMap<string, Finding> | undefined {
  // What is locked is not repaired either.
  if (movesLocked(document, repair.patch)) return undefined;
  const result = patched(document, repair.patch);
  if (!result.ok) return undefined;
  const now = judge(result.document);
  const worse = now.some(({ id, severity }) => {
    const known = before.get(id);
    return known === undefined || SERIOUS[severity] > SERIOUS[known.severity];
  });
  return worse ? undefined : new Map(now.map((finding) => [finding.id, finding]));
}

/** Findings that may all come from a ratio that is too steep, or turn out so when it is changed. */
const OF_THE_RATIO = /^(zoom|reader|order):/;
const RATIO_STEP = 0.01;
const LEAST_RATIO = 1.05;

/**
 * One ratio that ends several findings of the scale at once: the largest below the present one, at the
 * widest anchor, after which none of them is left and nothing is worse. Yields once for each ratio tried.
 */
function* ratioRepair(
  document: StyleDocument,
  before: ReadonlyMap<string, Finding>,
  judge: Judge,
): Generator<
  undefined,
  { readonly repair: Repair; readonly ends: ReadonlySet<string> } | undefined
> {
  const several = [...before.values()].filter(({ id }) => OF_THE_RATIO.test(id));
  const [widest, anchor] = inOrder(document.type.anchors).at(-1) ?? [];
  if (several.length < 2 || widest === undefined || !anchor || document.type.scale !== 'one ratio')
    return undefined;
  let best: { readonly ratio: number; readonly ended: readonly Finding[] } | undefined;
  for (
    let ratio = Math.floor((anchor.ratio - RATIO_STEP / 2) / RATIO_STEP) * RATIO_STEP;
    ratio >= LEAST_RATIO;
    ratio -= RATIO_STEP
  ) {
    const value = Number(ratio.toFixed(2));
    const now = after(document, ratioTo(widest, value, anchor.ratio, 0), before, judge);
    yield undefined;
    if (!now) continue;
    const ended = several.filter(({ id }) => !now.has(id));
    if (ended.length > (best?.ended.length ?? 1)) best = { ratio: value, ended };
    if (ended.length === several.length) break;
  }
  return (
    best && {
      repair: ratioTo(widest, best.ratio, anchor.ratio, best.ended.length),
      ends: new Set(best.ended.map(({ id }) => id)),
    }
  );
}

const ratioTo = (anchor: string, value: number, before: number, ends: number): Repair => ({
  label: `Ratio ${value} when wide: ends ${ends} findings`,
  patch: [{ op: 'replace', path: `/type/anchors/items/${anchor}/ratio`, value }],
  before: `ratio ${before}`,
  after: `ratio ${value}`,
});

/**
 * Tries every repair on a copy of the document and runs all checks on it: what comes back offers only
 * those that end their finding and make nothing worse, in the order in which they were given; where one
 * ratio causes several findings, its repair comes first. A finding that none is left of offers none.
 * Yields undefined between two tries, so that whoever asks can stop, and each finding once it is tried; one
 * that a ratio ends comes a second time, with that first.
 *
 * `findings` are those that the checks of the document and of the page say; what the page says is not
 * judged again by `judge`, so that its repairs are held to make nothing else worse.
 */
export function* triedRepairs(
  document: StyleDocument,
  findings: readonly Finding[],
  judge: Judge,
): Generator<Finding | undefined> {
  const own = judge(document);
  // What the page says is not judged again, and is not said to be ended.
  const judged = new Set(own.map(({ id }) => id));
  const before = new Map([...own, ...findings].map((finding) => [finding.id, finding]));
  const tried = new Map<string, { readonly finding: Finding; readonly good: readonly Repair[] }>();
  const offering = (finding: Finding, [first, ...others]: readonly Repair[]): Finding => ({
    ...finding,
    ...(first && { repair: first }),
    ...(others.length > 0 && { ways: others }),
  });
  for (const { repair, ways = [], ...finding } of findings) {
    const good: Repair[] = [];
    for (const one of [...(repair ? [repair] : []), ...ways]) {
      const now = after(document, one, before, judge);
      if (now && !now.has(finding.id))
        good.push({
          ...one,
          ends: [
            ...new Set([
              finding.id,
              // What was measured with it before it was offered still holds.
              ...(one.ends ?? []).filter((id) => !judged.has(id)),
              ...[...judged].filter((id) => !now.has(id)),
            ]),
          ],
        });
      yield undefined;
    }
    tried.set(finding.id, { finding, good });
    yield offering(finding, good);
  }
  const ratio = yield* ratioRepair(document, before, judge);
  if (!ratio) return;
  for (const id of ratio.ends) {
    const known = tried.get(id);
    if (known) yield offering(known.finding, [ratio.repair, ...known.good]);
  }
}

/** Whether a finding offers anything that would have to be tried. */
export const isOffering = ({ repair, ways }: Finding): boolean =>
  repair !== undefined || (ways?.length ?? 0) > 0;
