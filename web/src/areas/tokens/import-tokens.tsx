import { readDtcg, type LeftOut } from '@garnish/core/formats/read-dtcg';
import type { StyleDocument } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { useState } from 'react';
import { useStore, useSystem } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';

/** A whole system is taken over part by part, so that what is equal already stays untouched. */
const restoring = (now: StyleDocument, next: StyleDocument): Patch =>
  (Object.keys(next) as (keyof StyleDocument)[])
    .filter((part) => JSON.stringify(now[part]) !== JSON.stringify(next[part]))
    .map((part) => ({ op: 'replace', path: `/${part}`, value: jsonOf(next[part]) }));

interface Told {
  readonly words: string;
  readonly wrong: boolean;
  readonly leftOut?: readonly LeftOut[];
}

/** Takes in a token file: one of ours restores its decisions, any other gives its tokens. */
export function ImportTokens() {
  const store = useStore();
  const { decided } = useSystem();
  const [told, setTold] = useState<Told>();

  const take = (text: string, name: string): Told => {
    const read = readDtcg(text);
    if (read.kind === 'problem')
      return { words: `${read.message} Nothing was changed.`, wrong: true };
    if (read.kind === 'system') {
      const patch = restoring(decided.document, read.document);
      if (patch.length === 0)
        return { words: 'This file holds what is decided already.', wrong: false };
      const ok = store.change(patch, `decisions of ${name}`.slice(0, 120));
      return ok
        ? {
            words: `All decisions of ${read.document.name} are restored. Undo goes back.`,
            wrong: false,
          }
        : { words: 'The decisions could not be taken over. Nothing was changed.', wrong: true };
    }
    const { custom } = decided.document.tokens;
    const items = { ...custom.items };
    const order = [...custom.order];
    const idOf = new Map(Object.entries(items).map(([key, { path }]) => [path, key]));
    for (const token of read.tokens) {
      const key = idOf.get(token.path) ?? `token-${crypto.randomUUID().slice(0, 13)}`;
      if (!(key in items)) order.push(key);
      items[key] = token;
    }
    const ok = store.change(
      [{ op: 'replace', path: '/tokens/custom', value: jsonOf({ order, items }) }],
      `tokens of ${name}`.slice(0, 120),
    );
    return ok
      ? {
          words: `${read.tokens.length} tokens came in.`,
          wrong: false,
          leftOut: read.leftOut,
        }
      : { words: 'The tokens could not be taken over. Nothing was changed.', wrong: true };
  };

  const open = (file: File | undefined): void => {
    if (!file) return;
    file
      .text()
      .then((text) => setTold(take(text, file.name)))
      .catch(() =>
        setTold({ words: 'The file cannot be read. Nothing was changed.', wrong: true }),
      );
  };

  return (
    <FileDrop
      name="Token file"
      label="Take in a token file"
      accept=".json,.tokens,application/json"
      className="text-xs"
      onFiles={([file]) => open(file)}
    >
      <p className="text-quiet">
        or drop it here. One from Garnish restores its decisions; any other adds its tokens.
      </p>
      {told && (
        <div role={told.wrong ? 'alert' : 'status'} className="mt-1">
          <p className={told.wrong ? 'text-error' : ''}>{told.words}</p>
          {told.leftOut && told.leftOut.length > 0 && (
            <details>
              <summary className="min-h-6">{told.leftOut.length} were left out</summary>
              <ul>
                {told.leftOut.slice(0, 100).map(({ path, reason }) => (
                  <li key={path}>
                    <span className="figures">{path}</span>: {reason}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </div>
      )}
    </FileDrop>
  );
}
