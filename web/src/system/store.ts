import type { StyleDocument } from '@garnish/core/system/document';
import { patched, type Patch } from '@garnish/core/system/patch';
import type { ChangeRecord } from '../api/resources.ts';
import type { Measured } from '@garnish/core/checks/measurements';
import { createFindings, type Findings, type Said } from './findings.ts';
import type { Choice } from './pending.ts';
import type { RepairTrier, Tell } from './repair-trier.ts';
import { createSync, type Made, type Me, type Sync, type SyncState } from './sync.ts';
import type { Unsaved } from './unsaved.ts';
import { createViewer, type View } from './views.ts';
import type { Finding } from '@garnish/core/checks/finding';

/** The open system as it is shown: what nothing has touched stays the very same value. */
export interface SystemState extends SyncState, Said {
  readonly id: string;
  readonly decided: View;
  /** What the proof shows: what is decided, or what is being tried. */
  readonly shown: View;
}

export interface ChangeOptions {
  /** Changes of one gesture are one step of undo. */
  readonly gesture?: string;
}

export interface SystemStore {
  readonly subscribe: (listener: () => void) => () => void;
  readonly state: () => SystemState;
  /** Takes a change; one that does not fit is told to everybody. */
  readonly change: (patch: Patch, label: string, options?: ChangeOptions) => boolean;
  /** Takes a change; why one does not fit is the answer, for whoever asked to tell it in its place. */
  readonly decide: (patch: Patch, label: string, options?: ChangeOptions) => string | undefined;
  /** Why a change would not be taken, in words; nothing where it would. */
  readonly problemOf: (patch: Patch) => string | undefined;
  readonly tryOut: (patch: Patch | undefined) => void;
  /** Tries what an act would change: nothing of it is decided, the proof shows it. */
  readonly rehearse: (act: () => void) => void;
  /** What was measured on the page as it stands. */
  readonly found: (kind: Measured, measured: readonly Finding[]) => void;
  /** All pages of a document were measured: the server is told what was found, for the list and the handoff. */
  readonly measuredAll: (of: StyleDocument) => void;
  /** Somebody looks at repairs: they are tried from now on, until the answer is called. */
  readonly watchRepairs: () => () => void;
  /** Hears of every change that is made here. */
  readonly onChange: (listener: (change: Made) => void) => () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** What is moved from now on is seen everywhere, and decided when it is taken. */
  readonly hold: Sync['hold'];
  readonly takeHeld: Sync['takeHeld'];
  readonly dropHeld: Sync['dropHeld'];
  /** Answers every place of the conflict. */
  readonly resolve: (choices: ReadonlyMap<string, Choice>) => void;
  readonly dismiss: () => void;
  readonly open: () => void;
  readonly close: () => void;
}

/** What a store works with where there is a browser around it. */
export interface StoreParts {
  readonly makeTrier?: (tell: Tell) => RepairTrier;
  readonly unsaved?: Unsaved;
}

/**
 * The open system: every change is shown at once, sent to the server in order, and looked at by the
 * checks when it has been shown.
 */
export function createSystemStore(
  id: string,
  opened: { readonly document: StyleDocument; readonly sequence: number },
  past: readonly ChangeRecord[],
  me: Me,
  { makeTrier, unsaved }: StoreParts = {},
): SystemStore {
  const listeners = new Set<() => void>();
  const hearers = new Set<(change: Made) => void>();
  const decidedView = createViewer();
  const shownView = createViewer();
  let trial: StyleDocument | undefined;
  /** What an act that is only tried would change. */
  let rehearsed: Patch[] | undefined;
  const sync = createSync(id, opened, past, me, {
    unsaved,
    publish: () => publish(),
    told: (change) => hearers.forEach((hear) => hear(change)),
  });
  const findings: Findings = createFindings(
    decidedView(sync.document()),
    () => publish(),
    makeTrier,
  );
  let state = compute();

  function compute(): SystemState {
    const decided = decidedView(sync.document());
    findings.look(decided);
    return {
      id,
      decided,
      shown: trial ? shownView(trial) : decided,
      ...findings.said(),
      ...sync.state(),
    };
  }

  function publish(): void {
    state = compute();
    listeners.forEach((listener) => listener());
  }

  function decide(
    patch: Patch,
    label: string,
    { gesture = crypto.randomUUID() }: ChangeOptions = {},
  ): string | undefined {
    if (rehearsed) {
      rehearsed.push(patch);
      return undefined;
    }
    const before = trial;
    trial = undefined;
    const why = sync.push(patch, label, gesture);
    // What is tried goes on where nothing was taken.
    if (why !== undefined) trial = before;
    return why;
  }

  function tryOut(patch: Patch | undefined): void {
    const tried = patch && patched(sync.document(), patch);
    const next = tried?.ok ? tried.document : undefined;
    if (next === trial) return;
    trial = next;
    publish();
  }

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
    change(patch, label, options) {
      const why = decide(patch, label, options);
      if (why !== undefined) sync.refuse(why);
      return why === undefined;
    },
    decide,
    tryOut,
    rehearse(act) {
      const heard: Patch[] = [];
      rehearsed = heard;
      try {
        act();
      } finally {
        rehearsed = undefined;
      }
      tryOut(heard.length > 0 ? heard.flat() : undefined);
    },
    problemOf(patch) {
      const result = patched(sync.document(), patch);
      return result.ok ? undefined : (result.problems[0]?.message ?? 'This does not fit.');
    },
    watchRepairs: findings.watchRepairs,
    found: (kind, measured) => findings.found(kind, sync.document(), measured),
    measuredAll(of) {
      if (of !== sync.document()) return;
      sync.tellMeasured(findings.measured());
    },
    undo: () => {
      trial = undefined;
      sync.step('undo');
    },
    redo: () => {
      trial = undefined;
      sync.step('redo');
    },
    hold: sync.hold,
    takeHeld: sync.takeHeld,
    dropHeld: sync.dropHeld,
    resolve: sync.resolve,
    dismiss: sync.dismiss,
    open: sync.open,
    close() {
      findings.close();
      sync.close();
    },
  };
}
