import { derive } from '@garnish/core/derive/derive';
import { readDtcg, type LeftOut } from '@garnish/core/formats/read-dtcg';
import { takeTokens } from '@garnish/core/formats/take-tokens';
import { NOTHING } from '@garnish/core/system/collection';
import type { StyleDocument } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { useState } from 'react';
import { useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { tokenTextOf } from './token-text.ts';

/** A whole system is taken over part by part, so that what is equal already stays untouched. */
const restoring = (now: StyleDocument, next: StyleDocument): Patch =>
  (Object.keys(next) as (keyof StyleDocument)[])
    .filter((part) => JSON.stringify(now[part]) !== JSON.stringify(next[part]))
    .map((part) => ({ op: 'replace', path: `/${part}`, value: jsonOf(next[part]) }));

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
    const read = readDtcg(text);
    if (read.kind === 'problem')
      return { words: `${read.message} Nothing was changed.`, wrong: true };
    if (read.kind === 'system') {
      const patch = restoring(store.state().decided.document, read.document);
      if (patch.length === 0)
        return { words: 'This file holds what is decided already.', wrong: false };
      const ok = store.change(patch, `decisions of ${name}`.slice(0, 120));
      return ok
        ? {
            words: `All decisions of ${read.document.name} are restored. Undo goes back.`,
            wrong: false,
          }
        : { words: 'The decisions could not be restored. Nothing was changed.', wrong: true };
    }
    const { document } = store.state().decided;
    const none = { custom: NOTHING };
    const taking = takeTokens(
      document.tokens.custom,
      derive({ ...document, tokens: none }).tokens,
      read.tokens,
      () => `token-${crypto.randomUUID().slice(0, 13)}`,
    );
    const leftOut = [...read.leftOut, ...taking.leftOut];
    if (taking.patch.length === 0)
      return { words: 'No token of this file could be imported.', wrong: true, leftOut };
    return store.change(taking.patch, `tokens of ${name}`.slice(0, 120))
      ? {
          words: `${counted(taking.taken, 'token')} came in.`,
          wrong: false,
          leftOut,
          silent: taking.silent,
        }
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
