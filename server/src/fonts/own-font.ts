import { Worker } from 'node:worker_threads';
import type { FontFamily, FontFile } from '@garnish/core/fonts/family';

export type MeasureAnswer =
  | {
      readonly ok: true;
      readonly facts: Pick<
        FontFamily,
        'figures' | 'smallCaps' | 'embedding' | 'languages' | 'missing' | 'metrics'
      >;
      readonly characters: readonly number[];
      readonly familyName: string;
      readonly style: FontFile['style'];
      readonly weight: FontFile['weight'];
      readonly axes: FontFamily['axes'];
    }
  | { readonly ok: false; readonly problem: string };

export interface ReaderRequest {
  readonly ticket: number;
  readonly task: 'measure' | 'pack';
  readonly bytes: Uint8Array;
}

/** A file that is not read in this time, or in this much memory, is refused. */
const TIME_MS = 15_000;
const MEMORY_MB = 400;
const TOO_MUCH: MeasureAnswer = {
  ok: false,
  problem: 'reading it took more memory or time than a font may',
};

export interface FontReader {
  readonly measure: (bytes: Uint8Array) => Promise<MeasureAnswer>;
  /** A file that was measured, as WOFF2. */
  readonly pack: (bytes: Uint8Array) => Promise<Uint8Array>;
  readonly close: () => Promise<void>;
}

/**
 * Reads uploaded files in a thread of its own, one after the other, with limits on time and memory:
 * whatever a file does to its reader, the server goes on.
 */
export function createFontReader(): FontReader {
  let worker: Worker | undefined;
  let ticket = 0;
  let queue: Promise<unknown> = Promise.resolve();

  const start = (): Worker => {
    const own = new Worker(new URL('./measure-worker.mjs', import.meta.url), {
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
      stderr: true,
    });
    own.unref();
    return own;
  };

  const now = <Answer>(
    task: ReaderRequest['task'],
    bytes: Uint8Array,
    failed: Answer,
  ): Promise<Answer> =>
    new Promise((resolve) => {
      const own = (worker ??= start());
      const mine = (ticket += 1);
      const done = (answer: Answer): void => {
        clearTimeout(timer);
        own.off('message', hear);
        own.off('error', fail);
        own.off('exit', fail);
        resolve(answer);
      };
      const fail = (): void => {
        if (worker === own) worker = undefined;
        void own.terminate();
        done(failed);
      };
      const hear = (message: { ticket: number; answer: Answer }): void => {
        if (message.ticket === mine) done(message.answer);
      };
      const timer = setTimeout(fail, TIME_MS);
      own.on('message', hear);
      own.on('error', fail);
      own.on('exit', fail);
      own.postMessage({ ticket: mine, task, bytes } satisfies ReaderRequest);
    });

  const inTurn = <Answer>(work: () => Promise<Answer>): Promise<Answer> => {
    const result = queue.then(work);
    queue = result.catch(() => undefined);
    return result;
  };

  return {
    measure: (bytes) => inTurn(() => now<MeasureAnswer>('measure', bytes, TOO_MUCH)),
    async pack(bytes) {
      const packed = await inTurn(() => now<Uint8Array | undefined>('pack', bytes, undefined));
      if (!packed) throw new Error('a measured font could not be packed');
      return packed;
    },
    async close() {
      await worker?.terminate();
    },
  };
}
