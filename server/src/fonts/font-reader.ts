import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
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

export interface ReaderAnswer {
  readonly ticket: number;
  readonly answer: MeasureAnswer | Uint8Array;
  /** What the process has worked since it began, in ms. */
  readonly cpuMs: number;
}

/** A file that is not read in this time is refused. */
const TIME_MS = 15_000;
/** What the operating system lets the process have: memory that can be written, in kB, and seconds of work. */
const MEMORY_KB = 700_000;
const CPU_S = 60;
/** A process that has worked so long makes room for the next, so that the limit is one of files, not of a day. */
const TIRED_MS = 20_000;
const HEAP_MB = 350;

const TOO_MUCH: MeasureAnswer = {
  ok: false,
  problem: 'reading it took more memory or time than a font may',
};

/** POSIX: limits are set by the shell, which then becomes the program. */
const LIMITED = 'ulimit -c 0; ulimit -t "$1"; ulimit -d "$2"; shift 2; exec "$@"';

const PROGRAM = fileURLToPath(new URL('./reader-process.mjs', import.meta.url));

const start = (program: string): ChildProcess =>
  spawn(
    '/bin/sh',
    [
      ...['-c', LIMITED, 'sh', String(CPU_S), String(MEMORY_KB)],
      ...[process.execPath, `--max-old-space-size=${HEAP_MB}`, program],
    ],
    {
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      serialization: 'advanced',
      // Nothing of the server's own: no address of a database, no secret.
      env: { PATH: process.env['PATH'] },
    },
  );

export interface FontReader {
  readonly measure: (bytes: Uint8Array) => Promise<MeasureAnswer>;
  /** A file that was measured, as WOFF2. */
  readonly pack: (bytes: Uint8Array) => Promise<Uint8Array>;
  readonly close: () => void;
}

/**
 * Reads uploaded files in a process of its own, one after the other, whose memory and time the
 * operating system limits: whatever a file does to its reader, the server goes on.
 */
export function createFontReader(program = PROGRAM): FontReader {
  let reader: ChildProcess | undefined;
  let ticket = 0;
  let queue: Promise<unknown> = Promise.resolve();

  const end = (own: ChildProcess): void => {
    if (reader === own) reader = undefined;
    own.kill('SIGKILL');
  };

  const ask = (task: ReaderRequest['task'], bytes: Uint8Array): Promise<unknown> =>
    new Promise((resolve) => {
      const own = (reader ??= start(program));
      own.unref();
      own.channel?.ref();
      const mine = (ticket += 1);
      const done = (answer: unknown): void => {
        clearTimeout(timer);
        own.off('message', hear);
        own.off('error', fail);
        own.off('exit', fail);
        own.channel?.unref();
        resolve(answer);
      };
      const fail = (): void => {
        end(own);
        done(undefined);
      };
      const hear = (message: unknown): void => {
        const { ticket: theirs, answer, cpuMs } = message as ReaderAnswer;
        if (theirs !== mine) return;
        if (cpuMs > TIRED_MS) end(own);
        done(answer);
      };
      const timer = setTimeout(fail, TIME_MS);
      own.on('message', hear);
      own.on('error', fail);
      own.on('exit', fail);
      own.send({ ticket: mine, task, bytes } satisfies ReaderRequest, (error) => {
        if (error) fail();
      });
    });

  const inTurn = (task: ReaderRequest['task'], bytes: Uint8Array): Promise<unknown> => {
    const result = queue.then(() => ask(task, bytes));
    queue = result;
    return result;
  };

  return {
    measure: async (bytes) =>
      ((await inTurn('measure', bytes)) as MeasureAnswer | undefined) ?? TOO_MUCH,
    async pack(bytes) {
      const packed = (await inTurn('pack', bytes)) as Uint8Array | undefined;
      if (!packed) throw new Error('a measured font could not be packed');
      return packed;
    },
    close() {
      if (reader) end(reader);
    },
  };
}
