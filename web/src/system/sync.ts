import type { ToldFinding } from '@garnish/core/checks/finding';
import type { StyleDocument } from '@garnish/core/system/document';
import { tellNews } from './news.ts';
import { patched, valueAt, type Patch } from '@garnish/core/system/patch';
import { ApiError, get, send, Unreachable } from '../api/client.ts';
import { follow } from '../api/follow.ts';
import { changeList, changeRecord, type ChangeRecord } from '../api/resources.ts';
import { stacksOf, type Past, type Stacks } from './history.ts';
import {
  answered,
  contestedOf,
  contestedOfAll,
  continued,
  onto,
  wordsOf,
  type Choice,
  type Conflict,
} from './pending.ts';
import type { Pending, Unsaved } from './unsaved.ts';

/** So many measured findings are told; more have one cause. */
const MOST_TOLD = 500;

/** Something that was not taken: why, in words, and what was typed, to be copied. */
export interface Refused {
  readonly why: string;
  readonly kept?: string;
}

/** How the system that is open here stands to the one on the server. */
export interface SyncState {
  readonly saving: 'saved' | 'saving' | 'waiting';
  /** The number of the newest change that is saved and known here. */
  readonly sequence: number;
  /** What is the matter while it waits. */
  readonly why: string | undefined;
  readonly stacks: Stacks;
  readonly conflict: Conflict | undefined;
  readonly refused: Refused | undefined;
  readonly deleted: boolean;
  /** How something is being moved that is not taken yet; nothing while nothing is. */
  readonly held: HeldBy | undefined;
}

/** What moves a value: a pointer, which takes it by releasing it, or keys. */
export type HeldBy = 'pointer' | 'keys';

/** A change that was made here. */
export interface Made extends Pick<Past, 'kind' | 'label'> {
  readonly patch: Patch;
}

/** Who changes things here, and in which window. */
export interface Me {
  readonly person: string;
  readonly window: string;
}

export interface Sync {
  /** What is saved with everything that is on its way. */
  readonly document: () => StyleDocument;
  readonly state: () => SyncState;
  /** Takes a change, or answers why it does not fit, in words. */
  readonly push: (patch: Patch, label: string, gesture: string) => string | undefined;
  /** Tells everybody why something was not taken. */
  readonly refuse: (why: string) => void;
  readonly step: (kind: 'undo' | 'redo') => void;
  /** Whatever changes from now on is one gesture, and waits until it is taken or dropped. */
  readonly hold: (by: HeldBy) => void;
  /** Takes what was held, and holds no longer. */
  readonly takeHeld: () => void;
  /** Leads back to what was there before it was held; tells whether there was anything. */
  readonly dropHeld: () => boolean;
  /** Tells the server what was measured of what is saved. */
  readonly tellMeasured: (found: readonly ToldFinding[]) => void;
  /** Answers every place of the conflict. */
  readonly resolve: (choices: ReadonlyMap<string, Choice>) => void;
  readonly dismiss: () => void;
  readonly open: () => void;
  readonly close: () => void;
}

interface SyncParts {
  readonly unsaved: Unsaved | undefined;
  /** Hears that something is other than it was. */
  readonly publish: () => void;
  /** Hears of every change that is made here. */
  readonly told: (change: Made) => void;
}

/** A gesture is sent when nothing has moved for so long, so that a drag is a handful of requests. */
const SETTLE_MS = 250;
const RETRY_MS = 1500;

/** What is the matter, where a request failed for another reason than an answer of the server. */
const whyOf = (error: unknown): string =>
  error instanceof Unreachable
    ? error.why
    : `Garnish made a mistake (${error instanceof Error ? error.message : String(error)})`;

const sameStacks = (one: Stacks, other: Stacks): boolean =>
  (['undo', 'redo'] as const).every((kind) => {
    const [before, now] = [one[kind].at(-1), other[kind].at(-1)];
    return (
      one[kind].length === other[kind].length &&
      before?.gesture === now?.gesture &&
      before?.label === now?.label
    );
  });

/**
 * Keeps a document and the server together: sends every change in order, takes in what others change,
 * and keeps trying while the server does not answer.
 */
export function createSync(
  id: string,
  opened: { readonly document: StyleDocument; readonly sequence: number },
  past: readonly ChangeRecord[],
  { person: author, window }: Me,
  { unsaved, publish, told }: SyncParts,
): Sync {
  let base = opened.document;
  let sequence = opened.sequence;
  let history: readonly ChangeRecord[] = past;
  let pending: readonly Pending[] = [];
  let document = base;
  let conflict: Conflict | undefined;
  let refused: Refused | undefined;
  let deleted = false;
  /** What is the matter while changes wait; nothing while they do not. */
  let waiting: string | undefined;
  /** The newest change that was heard of. */
  let heard = opened.sequence;
  let syncing = false;
  /** The gesture that is held; the rest of a dropped one that a pointer goes on with changes nothing. */
  let holding:
    { readonly gesture: string; readonly by: HeldBy; readonly isDropped: boolean } | undefined;
  let settle: ReturnType<typeof setTimeout> | undefined;
  let leave: (() => void) | undefined;
  /** Changes that were sent: whether they arrived or not, they go on as they were. */
  const sent = new Set<string>();
  /** Whether everything that is not saved is kept in the browser. */
  let kept = true;
  const keep = (): void => {
    kept = unsaved?.keep(pending) ?? pending.length === 0;
  };
  // What a reload or a closed window left unsaved is there again, and is sent again.
  const taken = new Set(past.map((change) => change.id));
  pending = (unsaved?.load() ?? []).filter((change) => !taken.has(change.id));
  rebase();

  const isHeld = ({ gesture }: Pending): boolean => gesture === holding?.gesture;

  const stacks = (): Stacks => stacksOf([...history, ...pending], author);
  /** What is shown of it: the same as long as its buttons say the same. */
  let shownStacks = stacks();

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
      const next = patched(base, change.patch);
      if (!next.ok) throw new Error(`change ${change.sequence} does not fit`);
      base = next.document;
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
      const next = patched(base, answer.patch);
      if (next.ok) {
        base = next.document;
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
      waiting = whyOf(error);
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
    const paths = new Set([...named, ...contestedOfAll(pending, history)]);
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
        if (!change || isHeld(change)) break;
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
    asked: string,
    from: number,
  ): string | undefined {
    if (holding?.isDropped) return undefined;
    const gesture = holding?.gesture ?? asked;
    const result = patched(document, patch);
    if (!result.ok) return result.problems[0]?.message ?? 'This does not fit.';
    refused = undefined;
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
    told({ patch, label, kind });
    return undefined;
  }

  function refuse(why: string): void {
    refused = { why };
    publish();
  }

  function takeHeld(): void {
    if (!holding) return;
    const was = pending.some(isHeld);
    holding = undefined;
    if (!was) return;
    publish();
    void sync();
  }

  function dropHeld(): boolean {
    if (!holding || !pending.some(isHeld)) return false;
    pending = pending.filter((change) => !isHeld(change));
    holding = holding.by === 'pointer' ? { ...holding, isDropped: true } : undefined;
    rebase();
    keep();
    publish();
    return true;
  }

  function step(kind: 'undo' | 'redo'): void {
    // What is not taken yet is what is undone first.
    if (kind === 'undo' && dropHeld()) return;
    takeHeld();
    const top = stacks()[kind].at(-1);
    if (!top) return;
    const why = push(top.patch, top.label, kind, crypto.randomUUID(), top.sequence);
    if (why !== undefined) refuse(why);
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
    leave?.();
    leave = undefined;
    if (globalThis.document.hidden) return;
    leave = follow(`/api/systems/${id}/events`, {
      on: {
        message: (data) => {
          const told: unknown = JSON.parse(data);
          if (typeof told !== 'object' || told === null || !('sequence' in told)) return;
          const newest = Number(told.sequence);
          // Told of no change, it is something else that happened: a note.
          if (newest <= heard) tellNews();
          hear(newest);
        },
      },
    });
  }

  /** What is not saved is kept for the next time; only where that cannot be, leaving is asked about. */
  const warn = (event: BeforeUnloadEvent): void => {
    keep();
    if (!kept) event.preventDefault();
  };

  return {
    document: () => document,
    tellMeasured(found) {
      // What is not saved yet is measured again once it has settled.
      if (pending.length > 0) return;
      send('PUT', `/api/systems/${id}/measured`, {
        sequence,
        findings: found.slice(0, MOST_TOLD),
      }).catch(() => undefined);
    },
    state() {
      const now = stacks();
      if (!sameStacks(shownStacks, now)) shownStacks = now;
      return {
        saving:
          waiting !== undefined
            ? 'waiting'
            : pending.some((change) => !isHeld(change))
              ? 'saving'
              : 'saved',
        why: waiting,
        sequence,
        stacks: shownStacks,
        conflict,
        refused,
        deleted,
        held: pending.some(isHeld) ? holding?.by : undefined,
      };
    },
    push: (patch, label, gesture) => push(patch, label, 'change', gesture, sequence),
    refuse,
    step,
    hold(by) {
      if (holding?.by === by && by === 'keys') return;
      takeHeld();
      holding = { gesture: crypto.randomUUID(), by, isDropped: false };
    },
    takeHeld,
    dropHeld,
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
      takeHeld();
      leave?.();
      globalThis.document.removeEventListener('visibilitychange', listen);
      globalThis.removeEventListener('beforeunload', warn);
      void sync();
    },
  };
}
