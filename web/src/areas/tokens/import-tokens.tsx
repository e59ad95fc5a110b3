import { ownTokens, takeChosen, type Incoming } from '@garnish/core/formats/incoming';
import type { LeftOut } from '@garnish/core/formats/read-dtcg';
import { groupsTaken, restoring } from '@garnish/core/formats/taking';
import { describing, type Described } from '@garnish/core/system/descriptions';
import { useEffect, useRef, useState } from 'react';
import { useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { ProgressLine } from '../../ui/progress-line.tsx';
import { IncomingTokens } from './incoming-tokens.tsx';
import type { ImportAnswer, ImportQuestion } from './import-worker.ts';
import { READABLE } from './token-text.ts';

interface Told {
  readonly words: string;
  readonly wrong: boolean;
  readonly leftOut?: readonly LeftOut[];
  readonly silent?: readonly LeftOut[];
}

/** So many reasons stand open, and so many are told at all. */
const SHORT = 6;
const MOST_TOLD = 200;

const counted = (count: number, what: string): string =>
  `${count} ${what}${count === 1 ? '' : 's'}`;

/** Tokens that did not come in wholly, each with its reason. */
function Reasons({
  of = [],
  words,
}: {
  readonly of?: readonly LeftOut[] | undefined;
  readonly words: string;
}) {
  if (of.length === 0) return null;
  return (
    <details open={of.length <= SHORT}>
      <summary className="min-h-6">
        {of.length} {words}
      </summary>
      <ul>
        {of.slice(0, MOST_TOLD).map(({ path, reason }) => (
          <li key={path} className="break-words">
            <span className="figures">{path}</span>: {reason}
          </li>
        ))}
        {of.length > MOST_TOLD && <li>and {of.length - MOST_TOLD} more</li>}
      </ul>
    </details>
  );
}

/** A file whose tokens wait to be chosen. */
interface Waiting {
  readonly name: string;
  readonly incoming: readonly Incoming[];
  /** What groups of the file are for. */
  readonly groups: readonly Described[];
  readonly leftOut: readonly LeftOut[];
}

const newId = (): string => `token-${crypto.randomUUID().slice(0, 13)}`;

/** Takes in token files: one of ours restores its decisions, any other shows its tokens before they are taken. */
export function ImportTokens() {
  const store = useStore();
  const [told, setTold] = useState<Told>();
  const [waiting, setWaiting] = useState<Waiting>();
  const button = useRef<HTMLDivElement>(null);

  const [progress, setProgress] = useState<Extract<ImportAnswer, { kind: 'progress' }>>();
  const worker = useRef<Worker>(undefined);
  useEffect(() => () => worker.current?.terminate(), []);

  /** What came of reading: decisions are restored, tokens wait to be chosen, anything else is told. */
  const found = (answer: Exclude<ImportAnswer, { kind: 'progress' }>, name: string): void => {
    setWaiting(undefined);
    if (answer.kind === 'problem') {
      const { words, leftOut } = answer;
      setTold({ words: `${words} Nothing was changed.`, wrong: true, leftOut });
      return;
    }
    if (answer.kind === 'tokens') {
      const { incoming, groups, leftOut } = answer;
      setTold(undefined);
      setWaiting({ name, incoming, groups, leftOut });
      return;
    }
    const patch = restoring(store.state().decided.document, answer.document);
    const isSame = patch.length === 0;
    const isTaken = isSame || store.change(patch, `decisions of ${name}`.slice(0, 120));
    setTold(
      isSame
        ? { words: 'This file holds what is decided already.', wrong: false }
        : isTaken
          ? {
              words: `All decisions of ${answer.document.name} are restored. Undo goes back.`,
              wrong: false,
            }
          : { words: 'The decisions could not be restored. Nothing was changed.', wrong: true },
    );
  };

  /** Reads files beside the window, which goes on answering meanwhile. */
  const open = (files: readonly File[], pasted?: string): void => {
    const [first] = files;
    if (!first) return;
    worker.current?.terminate();
    const own = new Worker(new URL('./import-worker.ts', import.meta.url), { type: 'module' });
    worker.current = own;
    const name = pasted ?? (files.length === 1 ? first.name : `${files.length} files`);
    setProgress({ kind: 'progress', words: `reading ${name}`, done: 0, of: files.length });
    const stop = (): void => {
      own.terminate();
      setProgress(undefined);
    };
    own.onmessage = ({ data }: MessageEvent<ImportAnswer>) => {
      if (data.kind === 'progress') setProgress(data);
      else {
        stop();
        found(data, name);
      }
    };
    own.onerror = () => {
      stop();
      found({ kind: 'problem', words: `${name} could not be read.`, leftOut: [] }, name);
    };
    const question: ImportQuestion = { files, document: store.state().decided.document };
    own.postMessage(question);
  };
  const cancel = (): void => {
    worker.current?.terminate();
    setProgress(undefined);
    setTold({ words: 'Reading was called off. Nothing was changed.', wrong: false });
    button.current?.querySelector('input')?.focus();
  };

  const end = (next: Told | undefined): void => {
    setWaiting(undefined);
    setTold(next);
    button.current?.querySelector('input')?.focus();
  };
  const take = (chosen: ReadonlySet<string>, group: string): void => {
    if (!waiting) return;
    const { document } = store.state().decided;
    const taking = takeChosen(
      document.tokens.custom,
      ownTokens(document),
      waiting.incoming,
      chosen,
      group,
      newId,
    );
    const leftOut = [...waiting.leftOut, ...taking.leftOut];
    const words = describing(
      document.tokens.descriptions,
      groupsTaken(waiting.groups, chosen),
      newId,
    );
    const isTaken =
      taking.patch.length > 0 &&
      store.change([...taking.patch, ...words], `tokens of ${waiting.name}`.slice(0, 120));
    end(
      isTaken
        ? {
            words: `${counted(taking.taken, 'token')} came in.`,
            wrong: false,
            leftOut,
            silent: taking.silent,
          }
        : { words: 'The tokens could not be imported. Nothing was changed.', wrong: true, leftOut },
    );
  };

  return (
    <>
      <div ref={button}>
        <FileDrop
          name="Token files"
          label="Import a token file"
          accept=".json,.tokens,.css,.zip,application/json,text/css,application/zip"
          multiple
          folders="or a folder"
          isWanted={({ name }) => READABLE.test(name) || /\.zip$/i.test(name)}
          onFiles={(files) => open(files)}
        >
          <p className="text-quiet">
            Several, and folders and zips, are read as one; or drop them here. One from Garnish
            restores its decisions; of any other, style sheets too, you see the tokens before any is
            taken.
          </p>
          <label className="mt-1 flex items-center gap-x-2">
            <span className="shrink-0 text-quiet">or paste</span>
            <input
              className="input figures min-w-0 grow"
              value=""
              placeholder=":root { --brand: #1d4ed8 }"
              aria-label="Paste custom properties or a token file"
              onChange={() => undefined}
              onPaste={(event) => {
                event.preventDefault();
                open(
                  [new File([event.clipboardData.getData('text')], 'pasted')],
                  'what was pasted',
                );
              }}
            />
          </label>
          {progress && (
            <ProgressLine
              label="Files read"
              done={progress.done}
              of={progress.of}
              words={progress.words}
              onCancel={cancel}
            />
          )}
          {told && !progress && (
            <div role={told.wrong ? 'alert' : 'status'} className="mt-1">
              <p className={told.wrong ? 'text-error' : ''}>{told.words}</p>
              <Reasons of={told.leftOut} words="left out" />
              <Reasons of={told.silent} words="without a custom property" />
            </div>
          )}
        </FileDrop>
      </div>
      {waiting && (
        <div className="mt-2">
          <IncomingTokens
            key={`${waiting.name} ${waiting.incoming.length}`}
            incoming={waiting.incoming}
            name={waiting.name}
            onTake={take}
            onLeave={() => end(undefined)}
          />
          <Reasons of={waiting.leftOut} words="that cannot come in" />
        </div>
      )}
    </>
  );
}
