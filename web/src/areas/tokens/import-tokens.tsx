import type { LeftOut } from '@garnish/core/formats/read-dtcg';
import { takeFile } from '@garnish/core/formats/taking';
import { useState } from 'react';
import { useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
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

/** Takes in a token file: one of ours restores its decisions, any other gives its tokens. */
export function ImportTokens() {
  const store = useStore();
  const [told, setTold] = useState<Told>();

  const take = (text: string, name: string): Told => {
    const taken = takeFile(
      store.state().decided.document,
      text,
      () => `token-${crypto.randomUUID().slice(0, 13)}`,
    );
    if (taken.kind === 'problem')
      return { words: `${taken.message} Nothing was changed.`, wrong: true };
    if (taken.kind === 'system') {
      if (taken.patch.length === 0)
        return { words: 'This file holds what is decided already.', wrong: false };
      return store.change(taken.patch, `decisions of ${name}`.slice(0, 120))
        ? { words: `All decisions of ${taken.name} are restored. Undo goes back.`, wrong: false }
        : { words: 'The decisions could not be restored. Nothing was changed.', wrong: true };
    }
    const { count, leftOut, silent } = taken;
    if (taken.patch.length === 0)
      return { words: 'No token of this file could be imported.', wrong: true, leftOut };
    return store.change(taken.patch, `tokens of ${name}`.slice(0, 120))
      ? { words: `${counted(count, 'token')} came in.`, wrong: false, leftOut, silent }
      : { words: 'The tokens could not be imported. Nothing was changed.', wrong: true };
  };

  const open = (file: File | undefined): void => {
    if (!file) return;
    tokenTextOf(file)
      .then((read) =>
        setTold(
          read.ok
            ? take(read.text, file.name)
            : { words: `${read.problem} Nothing was changed.`, wrong: true },
        ),
      )
      .catch(() =>
        setTold({ words: 'The file cannot be read. Nothing was changed.', wrong: true }),
      );
  };

  return (
    <FileDrop
      name="Token file"
      label="Import a token file"
      accept=".json,.tokens,.zip,application/json,application/zip"
      className="ps-3 text-xs"
      onFiles={([file]) => open(file)}
    >
      <p className="text-quiet">
        or drop it here. One from Garnish, tokens.zip too, restores its decisions; any other adds
        its tokens.
      </p>
      {told && (
        <div role={told.wrong ? 'alert' : 'status'} className="mt-1">
          <p className={told.wrong ? 'text-error' : ''}>{told.words}</p>
          <Reasons of={told.leftOut} words="left out" />
          <Reasons of={told.silent} words="without a custom property" />
        </div>
      )}
    </FileDrop>
  );
}
