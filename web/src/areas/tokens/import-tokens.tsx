import { incomingOf, ownTokens, takeChosen, type Incoming } from '@garnish/core/formats/incoming';
import type { LeftOut } from '@garnish/core/formats/read-dtcg';
import { groupsTaken, readTokens, restoring } from '@garnish/core/formats/taking';
import { describing, type Described } from '@garnish/core/system/descriptions';
import { useRef, useState } from 'react';
import { useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { IncomingTokens } from './incoming-tokens.tsx';
import { tokenTextOf } from './token-text.ts';

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

  /** What a file holds: words about it where nothing is to be chosen. */
  const look = (text: string, name: string): Told | Waiting => {
    const read = readTokens(text);
    if (read.kind === 'problem')
      return { words: `${read.message} Nothing was changed.`, wrong: true };
    const { document } = store.state().decided;
    if (read.kind === 'system') {
      const patch = restoring(document, read.document);
      if (patch.length === 0)
        return { words: 'This file holds what is decided already.', wrong: false };
      return store.change(patch, `decisions of ${name}`.slice(0, 120))
        ? {
            words: `All decisions of ${read.document.name} are restored. Undo goes back.`,
            wrong: false,
          }
        : { words: 'The decisions could not be restored. Nothing was changed.', wrong: true };
    }
    const incoming = incomingOf(document.tokens.custom, ownTokens(document), read.tokens);
    return incoming.length === 0
      ? {
          words: 'No token of this file could be imported.',
          wrong: true,
          leftOut: read.leftOut,
        }
      : { name, incoming, groups: read.groups ?? [], leftOut: read.leftOut };
  };

  const open = async (files: readonly File[]): Promise<void> => {
    const all: Waiting[] = [];
    let last: Told | undefined;
    for (const file of files) {
      const read = await tokenTextOf(file).catch(() => ({
        ok: false as const,
        problem: `${file.name} cannot be read.`,
      }));
      const found: Told | Waiting = read.ok
        ? look(read.text, file.name)
        : { words: `${read.problem} Nothing was changed.`, wrong: true };
      if ('incoming' in found) all.push(found);
      else last = found;
    }
    setTold(last);
    const [first] = all;
    // Of several files with a token of one name the last one counts, as in a style sheet.
    setWaiting(
      first && {
        name: all.length === 1 ? first.name : `${all.length} files`,
        incoming: [
          ...new Map(
            all.flatMap(({ incoming }) => incoming.map((one) => [one.item.path, one] as const)),
          ).values(),
        ],
        groups: all.flatMap(({ groups }) => groups),
        leftOut: all.flatMap(({ leftOut }) => leftOut),
      },
    );
  };

  /** Shows what one text holds. */
  const shown = (found: Told | Waiting): void => {
    setTold('incoming' in found ? undefined : found);
    setWaiting('incoming' in found ? found : undefined);
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
          onFiles={(files) => void open(files)}
        >
          <p className="text-quiet">
            or several, or drop them here. One from Garnish, tokens.zip too, restores its decisions;
            of any other, style sheets too, you see the tokens before any is taken.
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
                shown(look(event.clipboardData.getData('text'), 'what was pasted'));
              }}
            />
          </label>
          {told && (
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
