import { findingsOf, isAccepted } from '@garnish/core/checks/checks';
import type { Finding, Repair } from '@garnish/core/checks/finding';
import { isOffering } from '@garnish/core/checks/tried-repairs';
import { createDeriver } from '@garnish/core/derive/derive';
import type { Derived } from '@garnish/core/derive/derived';
import { writeCssRules } from '@garnish/core/formats/css';
import type { StyleDocument } from '@garnish/core/system/document';
import { patched, valueAt, type Patch } from '@garnish/core/system/patch';
import { ApiError, get, send, Unreachable } from '../api/client.ts';
import { changeList, changeRecord, type ChangeRecord } from '../api/resources.ts';
import {
  answered,
  contestedOf,
  contestedPaths,
  continued,
  onto,
  wordsOf,
  type Choice,
  type Conflict,
} from './pending.ts';
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

/** Something that was not taken: why, in words, and what was typed, to be copied. */
export interface Refused {
  readonly why: string;
  readonly kept?: string;
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
  /** What is the matter while it waits. */
  readonly why: string | undefined;
  readonly stacks: Stacks;
  readonly conflict: Conflict | undefined;
  readonly refused: Refused | undefined;
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
  /** Answers every place of the conflict. */
  readonly resolve: (choices: ReadonlyMap<string, Choice>) => void;
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

/** Who changes things here, and in which window. */
export interface Me {
  readonly person: string;
  readonly window: string;
}

/**
 * The open system: shows every change at once, sends it to the server in order, takes in what others
 * change, and keeps trying while the server does not answer.
 */
export function createSystemStore(
  id: string,
  opened: { readonly document: StyleDocument; readonly sequence: number },
  past: readonly ChangeRecord[],
  { person: author, window }: Me,
  { makeTrier, unsaved }: StoreParts = {},
): SystemStore {
  let base = opened.document;
  let sequence = opened.sequence;
  let history: readonly ChangeRecord[] = past;
  let pending: readonly Pending[] = [];
  let document = base;
  let trial: StyleDocument | undefined;
  let conflict: Conflict | undefined;
  let refused: Refused | undefined;
  let deleted = false;
  /** What is the matter while changes wait; nothing while they do not. */
  let waiting: string | undefined;
  /** The newest change that was heard of. */
  let heard = opened.sequence;
  let syncing = false;
  let settle: ReturnType<typeof setTimeout> | undefined;
  let events: EventSource | undefined;
  const listeners = new Set<() => void>();
  const hearers = new Set<(change: Made) => void>();
  const decidedView = viewer();
  const shownView = viewer();
  let checked: { readonly view: View; readonly all: readonly Finding[] } | undefined;
  /** Changes that were sent: whether they arrived or not, they go on as they were. */
  const sent = new Set<string>();
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
      saving: waiting !== undefined ? 'waiting' : pending.length > 0 ? 'saving' : 'saved',
      why: waiting,
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

  /** What is saved with what is still on its way, in that order; what no longer fits is told and kept. */
  function rebase(): void {
    const result = onto(base, pending);
    ({ document, pending } = result);
    if (result.lost.length > 0)
      refused = {
        why: 'What was changed elsewhere leaves no place for what was changed here.',
        kept: wordsOf(result.lost),
      };
  }

  async function catchUp(): Promise<void> {
    const news = await get(`/api/systems/${id}/changes?after=${sequence}&last=500`, changeList);
    for (const change of news) {
      if (change.sequence !== sequence + 1) {
        // So much was missed that it is quicker to begin anew; what waits is kept.
        keep();
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
    const { gesture, kind, label, patch, settled } = change;
    const answer = changeRecord.parse(
      await send('POST', `/api/systems/${id}/changes`, {
        id: change.id,
        base: change.base,
        settled,
        patch,
        label,
        window: change.window,
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

  function failed(error: unknown, change: Pending | undefined): 'again' | 'on' | 'stop' {
    if (!(error instanceof ApiError)) {
      waiting = error instanceof Unreachable ? error.why : 'the server does not answer';
      return 'again';
    }
    waiting = undefined;
    const { problem } = error;
    if (problem.conflict && change) {
      const { places, sequence: newest } = problem.conflict;
      conflict = { sequence: newest, places: contestedOf(document, places) };
      return 'stop';
    }
    if (error.status === 404) deleted = true;
    refused = {
      why: `${problem.title}. ${problem.problems?.[0]?.message ?? problem.detail}`,
      ...(change && { kept: wordsOf([change]) }),
    };
    pending = pending.filter((own) => own.id !== change?.id);
    rebase();
    return deleted || !change ? 'stop' : 'on';
  }

  /** Asks about everything that waits at once, where the server has named the places of one change. */
  async function widen(): Promise<void> {
    if (!conflict) return;
    const named = conflict.places.map(({ path }) => path);
    try {
      await catchUp();
    } catch {
      return;
    }
    const paths = new Set([...named, ...contestedPaths(pending, history)]);
    conflict = {
      sequence,
      places: contestedOf(
        document,
        [...paths].map((path) => ({ path, value: valueAt(base, path) })),
      ),
    };
  }

  async function sync(): Promise<void> {
    if (syncing || conflict) return;
    syncing = true;
    let change: Pending | undefined;
    try {
      for (;;) {
        change = pending[0];
        if (!change) break;
        sent.add(change.id);
        await post(change);
        waiting = undefined;
        publish();
      }
      if (heard > sequence) await catchUp();
      waiting = undefined;
    } catch (error) {
      const next = failed(error, change);
      if (next === 'stop') await widen();
      // What was refused does not hold up what waits behind it.
      if (next !== 'stop') setTimeout(() => void sync(), next === 'again' ? RETRY_MS : 0);
    } finally {
      syncing = false;
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
      refused = { why: result.problems[0]?.message ?? 'This does not fit.' };
      publish();
      return false;
    }
    refused = undefined;
    trial = undefined;
    const last = pending.at(-1);
    const isOpen = last?.gesture === gesture && kind === 'change' && !sent.has(last.id);
    document = result.document;
    const { inverse } = result;
    pending = isOpen
      ? [...pending.slice(0, -1), continued(last, patch, inverse)]
      : [
          ...pending,
          {
            id: crypto.randomUUID(),
            author,
            window,
            gesture,
            kind,
            label,
            patch,
            inverse,
            base: from,
            settled: [],
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
    heard = Math.max(heard, newest);
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
    resolve(choices) {
      if (!conflict) return;
      pending = answered(pending, conflict, choices);
      // What the others did is fetched with the next answer, or without one where nothing is left to send.
      heard = Math.max(heard, conflict.sequence);
      conflict = undefined;
      rebase();
      keep();
      publish();
      void sync();
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
