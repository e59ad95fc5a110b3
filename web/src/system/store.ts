import { findingsOf, isAccepted } from '@garnish/core/checks/checks';
import type { Finding, Repair } from '@garnish/core/checks/finding';
import { isOffering } from '@garnish/core/checks/tried-repairs';
import { createDeriver } from '@garnish/core/derive/derive';
import type { Derived } from '@garnish/core/derive/derived';
import { writeCssRules } from '@garnish/core/formats/css';
import type { StyleDocument } from '@garnish/core/system/document';
import { overlaps, patched, valueAt, type Patch } from '@garnish/core/system/patch';
import { ApiError, get, send } from '../api/client.ts';
import { changeList, changeRecord, type ChangeRecord } from '../api/resources.ts';
import { stacksOf, type Past, type Stacks } from './history.ts';
import type { RepairTrier, Tell } from './repair-trier.ts';
import type { Pending, Unsaved } from './unsaved.ts';

/** All that follows from one document, for the bench or for the proof. */
export interface View {
  readonly document: StyleDocument;
  readonly derived: Derived;
  /** The rules of the exported style sheet. */
  readonly rules: readonly string[];
}

export interface Conflict {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

export interface SystemState {
  readonly id: string;
  readonly decided: View;
  /** What the proof shows: what is decided, or what is being tried. */
  readonly shown: View;
  readonly findings: readonly Finding[];
  readonly accepted: readonly Finding[];
  /** Whether repairs are being tried; until then only those are offered that were tried before. */
  readonly trying: boolean;
  readonly saving: 'saved' | 'saving' | 'waiting';
  readonly stacks: Stacks;
  readonly conflict: Conflict | undefined;
  /** Why the last change was not taken, in words. */
  readonly refused: string | undefined;
  readonly deleted: boolean;
}

/** What is measured on the page in the browser. */
export type Measured = 'colors' | 'layout';

export interface ChangeOptions {
  /** Changes of one gesture are one step of undo. */
  readonly gesture?: string;
}

export interface SystemStore {
  readonly subscribe: (listener: () => void) => () => void;
  readonly state: () => SystemState;
  readonly change: (patch: Patch, label: string, options?: ChangeOptions) => boolean;
  /** Why a change would not be taken, in words; nothing where it would. */
  readonly problemOf: (patch: Patch) => string | undefined;
  readonly tryOut: (patch: Patch | undefined) => void;
  /**
   * What was measured on the page as it stands: of its colors until colors or words change, of its
   * layout until it is measured again.
   */
  readonly found: (kind: Measured, measured: readonly Finding[]) => void;
  /** Hears of every change that is made here. */
  readonly onChange: (listener: (change: Made) => void) => () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly resolve: (choice: 'mine' | 'theirs') => void;
  readonly dismiss: () => void;
  readonly open: () => void;
  readonly close: () => void;
}

/** A change that was made here. */
export interface Made extends Pick<Past, 'kind' | 'label'> {
  readonly patch: Patch;
}

/** A gesture is sent when nothing has moved for so long, so that a drag is a handful of requests. */
const SETTLE_MS = 250;
const RETRY_MS = 1500;
/** Repairs are tried when nothing has moved for so long. */
const TRY_AFTER_MS = 300;

/** Operations on the same place, one after the other, are the last of them. */
function compact(patch: Patch, more: Patch): Patch {
  const replaced = new Set(more.filter(({ op }) => op === 'replace').map(({ path }) => path));
  const kept = patch.filter(({ op, path }) => !(op === 'replace' && replaced.has(path)));
  return [...kept, ...more];
}

const repairsOf = ({ repair, ways = [] }: Finding): readonly Repair[] =>
  repair ? [repair, ...ways] : ways;

/** What is to be repaired comes before what is to be looked at. */
const weight = ({ severity }: Finding): number => (severity === 'repair' ? 0 : 1);

const applied = (document: StyleDocument, patch: Patch): StyleDocument | undefined => {
  const result = patched(document, patch);
  return result.ok ? result.document : undefined;
};

function viewer(): (document: StyleDocument) => View {
  const derive = createDeriver();
  let last: View | undefined;
  return (document) => {
    if (last?.document === document) return last;
    const derived = derive(document);
    last = { document, derived, rules: writeCssRules(derived) };
    return last;
  };
}

/** What a store works with where there is a browser around it. */
export interface StoreParts {
  readonly makeTrier?: (tell: Tell) => RepairTrier;
  readonly unsaved?: Unsaved;
}

/**
 * The open system: shows every change at once, sends it to the server in order, takes in what others
 * change, and keeps trying while the server does not answer.
 */
export function createSystemStore(
  id: string,
  opened: { readonly document: StyleDocument; readonly sequence: number },
  past: readonly ChangeRecord[],
  author: string,
  { makeTrier, unsaved }: StoreParts = {},
): SystemStore {
  let base = opened.document;
  let sequence = opened.sequence;
  let history: readonly ChangeRecord[] = past;
  let pending: readonly Pending[] = [];
  let document = base;
  let trial: StyleDocument | undefined;
  let conflict: Conflict | undefined;
  let refused: string | undefined;
  let deleted = false;
  let waiting = false;
  let syncing = false;
  let settle: ReturnType<typeof setTimeout> | undefined;
  let events: EventSource | undefined;
  const listeners = new Set<() => void>();
  const hearers = new Set<(change: Made) => void>();
  const decidedView = viewer();
  const shownView = viewer();
  let checked: { readonly view: View; readonly all: readonly Finding[] } | undefined;
  let inFlight: string | undefined;
  let measured: Readonly<
    Partial<Record<Measured, { readonly of: StyleDocument; readonly findings: readonly Finding[] }>>
  > = {};
  /** What is left of each finding's repairs after they were tried on one document. */
  let tried: { readonly of: StyleDocument; readonly findings: Map<string, Finding> } | undefined;
  let asking: ReturnType<typeof setTimeout> | undefined;
  let askedOf: readonly Finding[] = [];
  let trying = false;
  const trier = makeTrier?.((of, finding) => {
    if (of !== document) return;
    if (tried?.of !== of) tried = { of, findings: new Map(tried?.findings) };
    if (finding) tried.findings.set(finding.id, finding);
    // What was asked meanwhile is still to be answered.
    else trying = asking !== undefined;
    publish();
  });
  /** Whether everything that is not saved is kept in the browser. */
  let kept = true;
  const keep = (): void => {
    kept = unsaved?.keep(pending) ?? pending.length === 0;
  };
  // What a reload or a closed window left unsaved is there again, and is sent again.
  const taken = new Set(past.map((change) => change.id));
  pending = (unsaved?.load() ?? []).filter((change) => !taken.has(change.id));
  rebase();
  let state = compute();

  /** A finding as it is shown: repairs only once they were tried. */
  function withTried(finding: Finding): Finding {
    if (!trier || !isOffering(finding)) return finding;
    const known = tried?.findings.get(finding.id);
    const { repair: _repair, ways: _ways, ...plain } = finding;
    if (!known) return plain;
    // What was tried before the last change is shown until it is tried anew, if it is offered still.
    const offered = new Set(repairsOf(finding).map(({ label }) => label));
    const fresh = tried?.of === document;
    const [repair, ...ways] = repairsOf(known).filter(({ label }) => fresh || offered.has(label));
    return { ...plain, ...(repair && { repair }), ...(ways.length > 0 && { ways }) };
  }

  /** Asks what repairs are good for, once nothing has moved for a moment. */
  function tryRepairs(findings: readonly Finding[]): void {
    const now = findings.filter(isOffering);
    const same =
      now.length === askedOf.length && now.every((finding, index) => finding === askedOf[index]);
    if (!trier || same) return;
    askedOf = now;
    clearTimeout(asking);
    const of = document;
    trying = now.length > 0;
    asking = setTimeout(() => {
      asking = undefined;
      trier.ask(of, now);
    }, TRY_AFTER_MS);
  }

  function compute(): SystemState {
    const decided = decidedView(document);
    const judged = checked?.view === decided ? checked.all : findingsOf(document, decided.derived);
    checked = { view: decided, all: judged };
    const { colors, layout } = measured;
    if (colors && (colors.of.color !== document.color || colors.of.content !== document.content))
      measured = { ...(layout && { layout }) };
    // What was decided anew since then is measured again in a moment; until then nobody knows.
    const seen = Object.values(measured).flatMap(({ of, findings }) =>
      of === document
        ? findings
        : findings.filter(({ decision }) => valueAt(of, decision) === valueAt(document, decision)),
    );
    const said =
      seen.length === 0
        ? judged
        : [...judged, ...seen].sort((one, other) => weight(one) - weight(other));
    tryRepairs(said);
    const all = trier ? said.map(withTried) : said;
    return {
      id,
      decided,
      shown: trial ? shownView(trial) : decided,
      trying,
      findings: all.filter((finding) => !isAccepted(document, finding)),
      accepted: all.filter((finding) => isAccepted(document, finding)),
      saving: waiting ? 'waiting' : pending.length > 0 ? 'saving' : 'saved',
      stacks: stacksOf([...history, ...pending], author),
      conflict,
      refused,
      deleted,
    };
  }

  function publish(): void {
    state = compute();
    listeners.forEach((listener) => listener());
  }

  /** What is saved with what is still on its way, in that order; what no longer fits is dropped. */
  function rebase(): void {
    document = base;
    pending = pending.filter(({ patch }) => {
      const next = applied(document, patch);
      if (next) document = next;
      return next !== undefined;
    });
  }

  async function catchUp(): Promise<void> {
    const news = await get(`/api/systems/${id}/changes?after=${sequence}&last=500`, changeList);
    for (const change of news) {
      if (change.sequence !== sequence + 1) {
        globalThis.location.reload();
        return;
      }
      const next = applied(base, change.patch);
      if (!next) throw new Error(`change ${change.sequence} does not fit`);
      base = next;
      sequence = change.sequence;
      history = [...history, change].slice(-300);
      pending = pending.filter((own) => own.id !== change.id);
    }
    rebase();
  }

  async function post(change: Pending): Promise<void> {
    const { gesture, kind, label, patch } = change;
    const answer = changeRecord.parse(
      await send('POST', `/api/systems/${id}/changes`, {
        id: change.id,
        base: change.base,
        patch,
        label,
        author,
        gesture,
        kind,
      }),
    );
    if (answer.sequence === sequence + 1) {
      const next = applied(base, answer.patch);
      if (next) {
        base = next;
        sequence = answer.sequence;
        history = [...history, answer].slice(-300);
        pending = pending.filter((own) => own.id !== change.id);
        // The same content under two identities: the one that is shown already stays.
        if (pending.length === 0) base = document;
        return;
      }
    }
    await catchUp();
  }

  function failed(error: unknown, change: Pending | undefined): 'again' | 'stop' {
    if (!(error instanceof ApiError)) {
      waiting = true;
      return 'again';
    }
    const { problem } = error;
    if (problem.conflict && change) {
      conflict = {
        path: problem.conflict.path,
        mine: valueAt(document, problem.conflict.path),
        theirs: problem.conflict.value,
      };
      return 'stop';
    }
    if (error.status === 404) deleted = true;
    refused = `${problem.title}. ${problem.problems?.[0]?.message ?? problem.detail}`;
    pending = pending.filter((own) => own.id !== change?.id);
    rebase();
    return 'stop';
  }

  async function sync(): Promise<void> {
    if (syncing || conflict) return;
    syncing = true;
    let change: Pending | undefined;
    try {
      for (;;) {
        change = pending[0];
        if (!change) break;
        inFlight = change.id;
        await post(change);
        waiting = false;
        publish();
      }
      waiting = false;
    } catch (error) {
      if (failed(error, change) === 'again') setTimeout(() => void sync(), RETRY_MS);
    } finally {
      syncing = false;
      inFlight = undefined;
      keep();
      publish();
    }
  }

  function push(
    patch: Patch,
    label: string,
    kind: Past['kind'],
    gesture: string,
    from: number,
  ): boolean {
    const result = patched(document, patch);
    if (!result.ok) {
      refused = result.problems[0]?.message ?? 'This does not fit.';
      publish();
      return false;
    }
    refused = undefined;
    trial = undefined;
    const last = pending.at(-1);
    const isOpen = last?.gesture === gesture && kind === 'change' && last.id !== inFlight;
    document = result.document;
    const { inverse } = result;
    pending = isOpen
      ? [
          ...pending.slice(0, -1),
          { ...last, patch: compact(last.patch, patch), inverse: [...inverse, ...last.inverse] },
        ]
      : [
          ...pending,
          {
            id: crypto.randomUUID(),
            author,
            gesture,
            kind,
            label,
            patch,
            inverse,
            base: from,
            sequence,
          },
        ];
    clearTimeout(settle);
    settle = setTimeout(() => {
      keep();
      void sync();
    }, SETTLE_MS);
    publish();
    hearers.forEach((hear) => hear({ patch, label, kind }));
    return true;
  }

  function step(kind: 'undo' | 'redo'): void {
    const top = state.stacks[kind].at(-1);
    if (top) push(top.patch, top.label, kind, crypto.randomUUID(), top.sequence);
  }

  function hear(newest: number): void {
    if (syncing || (newest >= 0 && newest <= sequence)) return;
    catchUp()
      .then(publish)
      .catch((error: unknown) => {
        if (error instanceof ApiError && error.status === 404) {
          deleted = true;
          publish();
        }
      });
  }

  /** One stream for each page that is looked at: a hidden one gives its connection back. */
  function listen(): void {
    events?.close();
    if (globalThis.document.hidden) return;
    events = new EventSource(`/api/systems/${id}/events`);
    events.onmessage = ({ data }: MessageEvent<string>) => {
      const told: unknown = JSON.parse(data);
      if (typeof told === 'object' && told !== null && 'sequence' in told)
        hear(Number(told.sequence));
    };
  }

  /** What is not saved is kept for the next time; only where that cannot be, leaving is asked about. */
  const warn = (event: BeforeUnloadEvent): void => {
    keep();
    if (!kept) event.preventDefault();
  };

  return {
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    state: () => state,
    onChange(hear) {
      hearers.add(hear);
      return () => hearers.delete(hear);
    },
    change: (patch, label, { gesture = crypto.randomUUID() } = {}) =>
      push(patch, label, 'change', gesture, sequence),
    tryOut(patch) {
      const next = patch && applied(document, patch);
      if (next === trial) return;
      trial = next;
      publish();
    },
    problemOf(patch) {
      const result = patched(document, patch);
      return result.ok ? undefined : (result.problems[0]?.message ?? 'This does not fit.');
    },
    found(kind, findings) {
      if (findings.length === 0 && !measured[kind]?.findings.length) return;
      measured = { ...measured, [kind]: { of: document, findings } };
      publish();
    },
    undo: () => step('undo'),
    redo: () => step('redo'),
    resolve(choice) {
      const path = conflict?.path;
      conflict = undefined;
      if (choice === 'theirs' && path !== undefined)
        pending = pending.filter(({ patch }) => !patch.some((own) => overlaps(own.path, path)));
      catchUp()
        .then(() => {
          pending = pending.map((own) => ({ ...own, base: sequence }));
          publish();
          void sync();
        })
        .catch(() => {
          waiting = true;
          publish();
          setTimeout(() => void sync(), RETRY_MS);
        });
      publish();
    },
    dismiss() {
      refused = undefined;
      publish();
    },
    open() {
      listen();
      if (pending.length > 0) void sync();
      globalThis.document.addEventListener('visibilitychange', listen);
      globalThis.addEventListener('beforeunload', warn);
    },
    close() {
      events?.close();
      clearTimeout(asking);
      trier?.close();
      globalThis.document.removeEventListener('visibilitychange', listen);
      globalThis.removeEventListener('beforeunload', warn);
      void sync();
    },
  };
}
