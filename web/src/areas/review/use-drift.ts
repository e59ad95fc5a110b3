import { shareOf } from '@garnish/core/reading/drift';
import type { SheetFacts } from '@garnish/core/reading/sheet-facts';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import type { StyleDocument } from '@garnish/core/system/document';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { announce } from '../../ui/announce.tsx';
import type { DriftAnswer, DriftFound, DriftQuestion } from './drift-worker.ts';

/** What is known of the drift of a system: what was read stays as long as the window is open. */
export interface DriftState {
  readonly found?: DriftFound;
  /** The pages among the files. */
  readonly pages?: readonly ShownPage[];
  /** What is told of their sheets. */
  readonly facts?: SheetFacts;
  readonly progress?: Extract<DriftAnswer, { kind: 'progress' }>;
  readonly problem?: string;
  /** The figure of the time before, in this browser. */
  readonly before?: Figure;
}

/** A figure that was found, and when. */
export interface Figure {
  readonly share: number;
  readonly at: string;
}

/** Reads files beside the window, and holds them against each state of the system that is asked for. */
class Reader {
  readonly #system: string;
  readonly #listeners = new Set<() => void>();
  #worker: Worker | undefined;
  #state: DriftState = {};
  #isCounted = false;

  constructor(system: string) {
    this.#system = system;
  }

  readonly state = (): DriftState => this.#state;
  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  #set(state: DriftState): void {
    this.#state = state;
    for (const listener of this.#listeners) listener();
  }

  get #key(): string {
    return `garnish-drift-${this.#system}`;
  }

  /** The figure of the last files, before these. */
  #before(): Figure | undefined {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(this.#key) ?? 'null');
      return typeof kept === 'object' && kept !== null && 'share' in kept && 'at' in kept
        ? { share: Number(kept.share), at: String(kept.at) }
        : undefined;
    } catch {
      return undefined; // nothing is kept in this browser
    }
  }

  #keep(found: DriftFound): void {
    const figure: Figure = {
      share: shareOf(found.report.drift.all),
      at: new Date().toISOString(),
    };
    try {
      localStorage.setItem(this.#key, JSON.stringify(figure));
    } catch {
      // It is a convenience: without it, there is no figure to compare with next time.
    }
  }

  /** Reads files; the last ones are forgotten. */
  read(question: DriftQuestion): void {
    this.#worker?.terminate();
    this.#isCounted = false;
    const worker = new Worker(new URL('drift-worker.ts', import.meta.url), { type: 'module' });
    this.#worker = worker;
    const before = this.#before();
    const known = before && { before };
    worker.addEventListener('message', ({ data }: MessageEvent<DriftAnswer>) => {
      if (data.kind === 'progress') this.#set({ ...this.#state, progress: data });
      else if (data.kind === 'problem') {
        this.#set({ ...known, problem: data.words });
        this.#worker?.terminate();
        this.#worker = undefined;
      } else {
        if (!this.#isCounted) {
          this.#keep(data.found);
          announce('the drift is known');
        }
        this.#isCounted = true;
        const pages = data.pages ?? this.#state.pages;
        const facts = data.facts ?? this.#state.facts;
        this.#set({
          ...known,
          found: data.found,
          ...(pages && { pages }),
          ...(facts && { facts }),
        });
      }
    });
    worker.addEventListener('error', () =>
      this.#set({ ...known, problem: 'It could not be read here.' }),
    );
    const of = question.files?.length ?? 1;
    this.#set({ ...known, progress: { kind: 'progress', words: 'opening', done: 0, of } });
    worker.postMessage(question);
  }

  /** Holds what was read against another state of the system. */
  again(question: Omit<DriftQuestion, 'files'>): void {
    this.#worker?.postMessage(question);
  }

  stop(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    const { before } = this.#state;
    this.#set(before ? { before } : {});
  }
}

const readers = new Map<string, Reader>();
function readerOf(system: string): Reader {
  const known = readers.get(system) ?? new Reader(system);
  readers.set(system, known);
  return known;
}

/** So long nothing may have changed before it is held against the system again, in ms. */
const CALM_MS = 400;

/** The drift of a system from files, followed as the system changes. */
export function useDrift(system: string, document: StyleDocument, state: string) {
  const [held, setHeld] = useState({ document, state });
  const reader = readerOf(system);
  const known = useSyncExternalStore(reader.subscribe, reader.state);
  useEffect(() => {
    if (held.document === document && held.state === state) return undefined;
    const timer = setTimeout(() => {
      reader.again({ document, state });
      setHeld({ document, state });
    }, CALM_MS);
    return () => clearTimeout(timer);
  }, [reader, document, state, held]);
  return {
    ...known,
    read: (files: readonly File[]): void => reader.read({ files, document, state }),
    stop: (): void => reader.stop(),
  };
}
