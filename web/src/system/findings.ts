import { inOrderOfWeight, inThemes, isAccepted } from '@garnish/core/checks/order';
import type { Checker } from '@garnish/core/checks/checks';
import {
  causeIdOf,
  type Finding,
  type Repair,
  type ToldFinding,
} from '@garnish/core/checks/finding';
import { MEASUREMENTS, stillMeasured, type Measured } from '@garnish/core/checks/measurements';
import { isOffering } from '@garnish/core/checks/tried-repairs';
import { keptList } from '@garnish/core/same';
import type { StyleDocument } from '@garnish/core/system/document';
import { inBreaths } from '../ui/in-breaths.ts';
import { afterFrame } from './after-frame.ts';
import type { RepairTrier, Tell } from './repair-trier.ts';
import type { View } from './views.ts';

/** What is said of a system; lists and findings are the very same as long as they say the same. */
export interface Said {
  readonly findings: readonly Finding[];
  readonly accepted: readonly Finding[];
  /** Whether repairs are being tried; until then only those are offered that were tried before. */
  readonly trying: boolean;
}

export interface Findings {
  readonly said: () => Said;
  /** Looks at a view after the frame that shows it; findings that are known go on until then. */
  readonly look: (view: View) => void;
  /** What was measured on the page of a document. */
  readonly found: (kind: Measured, of: StyleDocument, measured: readonly Finding[]) => void;
  /** All that was measured, as far as it still holds; without repairs. */
  readonly measured: () => readonly ToldFinding[];
  /** Somebody looks at repairs: from now on they are tried, until they are looked at no more. */
  readonly watchRepairs: () => () => void;
  readonly close: () => void;
}

/** Repairs are tried when nothing has moved for so long. */
const TRY_AFTER_MS = 300;

/** The checks are fetched after what a person sees first, which is there by then; until then nothing is said. */
const FETCHED_AFTER_MS = 2000;

/** Where nobody looks, nobody waits for a key: all is checked at once. */
const isSeen = typeof window !== 'undefined';

const KINDS = Object.keys(MEASUREMENTS) as readonly Measured[];

const repairsOf = ({ repair, ways = [] }: Finding): readonly Repair[] =>
  repair ? [repair, ...ways] : ways;

const idOf = ({ id }: Finding): string => id;

/**
 * All findings of the open system: of its checks, and what was measured on its page; with the repairs that
 * hold, once they were tried. `changed` hears of everything new.
 */
export function createFindings(
  first: View,
  changed: () => void,
  makeTrier?: (tell: Tell) => RepairTrier,
): Findings {
  let view = first;
  let check: Checker | undefined;
  let judged: readonly Finding[] = [];
  let isClosed = false;
  let isFetching = false;
  /** Fetches the checks and asks them in steps; once more where they did not come. */
  const fetchChecks = (): void => {
    clearTimeout(waiting);
    if (isFetching || check || isClosed) return;
    isFetching = true;
    import('@garnish/core/checks/checks')
      .then(({ createChecker }) => {
        const made = createChecker();
        const steps = made.warm(view.document, view.derived);
        const end = (): void => {
          if (isClosed) return;
          check = made;
          judged = check(view.document, view.derived);
          tell();
        };
        if (isSeen) void inBreaths(steps, () => isClosed).then(end);
        else end();
      })
      .catch(() => {
        isFetching = false;
        if (!isClosed) waiting = setTimeout(fetchChecks, FETCHED_AFTER_MS);
      });
  };
  let waiting = setTimeout(fetchChecks, isSeen ? FETCHED_AFTER_MS : 0);
  let measured: Readonly<
    Partial<Record<Measured, { readonly of: StyleDocument; readonly findings: readonly Finding[] }>>
  > = {};
  /** What is left of each finding's repairs after they were tried on one document. */
  let tried: { readonly of: StyleDocument; readonly findings: Map<string, Finding> } | undefined;
  let asking: ReturnType<typeof setTimeout> | undefined;
  let asked: { readonly of: StyleDocument; readonly findings: readonly Finding[] } | undefined;
  let trying = false;
  let watchers = 0;
  let callOff: (() => void) | undefined;
  const trier = makeTrier?.((of, finding) => {
    if (of !== view.document) return;
    if (tried?.of !== of) tried = { of, findings: new Map(tried?.findings) };
    if (finding) tried.findings.set(finding.id, finding);
    // What was asked meanwhile is still to be answered.
    else trying = asking !== undefined;
    tell();
  });
  let said: Said = { findings: [], accepted: [], trying: false };
  said = compute();

  /** A finding as it is shown: repairs only once they were tried. */
  function withTried(finding: Finding): Finding {
    if (!trier || !isOffering(finding)) return finding;
    const known = tried?.findings.get(finding.id);
    const { repair: _repair, ways: _ways, ...plain } = finding;
    if (!known) return plain;
    // What was tried before the last change is shown until it is tried anew, if it is offered still.
    const offered = new Set(repairsOf(finding).map(({ label }) => label));
    const fresh = tried?.of === view.document;
    const [repair, ...ways] = repairsOf(known).filter(({ label }) => fresh || offered.has(label));
    return { ...plain, ...(repair && { repair }), ...(ways.length > 0 && { ways }) };
  }

  /** Asks what repairs are good for, where somebody looks at them and nothing has moved for a moment. */
  function tryRepairs(findings: readonly Finding[]): void {
    const now = findings.filter(isOffering);
    const isAsked =
      asked?.of === view.document &&
      now.length === asked.findings.length &&
      now.every((finding, index) => finding === asked?.findings[index]);
    if (!trier || watchers === 0 || isAsked) return;
    // Another document is another question: what was good there may make something worse here.
    const of = view.document;
    asked = { of, findings: now };
    clearTimeout(asking);
    trying = now.length > 0;
    asking = setTimeout(() => {
      asking = undefined;
      trier.ask(of, now);
    }, TRY_AFTER_MS);
  }

  /** What was measured, as far as it still holds. */
  function stillFound(): readonly Finding[] {
    return KINDS.flatMap((kind) => {
      const before = measured[kind];
      return before ? stillMeasured(kind, before.of, before.findings, view.document) : [];
    });
  }

  function compute(): Said {
    const seen = inThemes(stillFound(), view.derived.themes);
    const all = seen.length === 0 ? judged : inOrderOfWeight([...judged, ...seen]);
    tryRepairs(all);
    const shown = trier ? all.map(withTried) : all;
    const isOut = (finding: Finding): boolean => isAccepted(view.document, finding);
    const findings = keptList(
      said.findings,
      shown.filter((finding) => !isOut(finding)),
      idOf,
    );
    const accepted = keptList(said.accepted, shown.filter(isOut), idOf);
    return findings === said.findings && accepted === said.accepted && trying === said.trying
      ? said
      : { findings, accepted, trying };
  }

  function tell(): void {
    const before = said;
    said = compute();
    if (said !== before) changed();
  }

  return {
    said: () => said,
    look(next) {
      if (next === view) return;
      view = next;
      callOff?.();
      callOff = afterFrame(() => {
        callOff = undefined;
        judged = check?.(view.document, view.derived) ?? judged;
        tell();
      });
    },
    found(kind, of, findings) {
      if (findings.length === 0 && !measured[kind]?.findings.length) return;
      measured = { ...measured, [kind]: { of, findings } };
      tell();
    },
    measured: () =>
      inThemes(stillFound(), view.derived.themes).map((finding) => ({
        id: finding.id,
        of: causeIdOf(finding),
        severity: finding.severity,
        title: finding.title.slice(0, 400),
        figures: finding.figures.slice(0, 1000),
      })),
    watchRepairs() {
      watchers += 1;
      fetchChecks();
      if (watchers === 1) tell();
      return () => {
        watchers -= 1;
      };
    },
    close() {
      isClosed = true;
      clearTimeout(waiting);
      callOff?.();
      clearTimeout(asking);
      trier?.close();
    },
  };
}
