import { incomingOf, ownTokens, type Incoming } from '@garnish/core/formats/incoming';
import type { LeftOut } from '@garnish/core/formats/read-dtcg';
import { readFiles, type TextFile } from '@garnish/core/formats/reading-files';
import type { Described } from '@garnish/core/system/descriptions';
import type { StyleDocument } from '@garnish/core/system/document';
import { tokenTextsOf } from './token-text.ts';

/** Files to be read for a system. */
export interface ImportQuestion {
  readonly files: readonly File[];
  readonly document: StyleDocument;
}

export type ImportAnswer =
  | {
      readonly kind: 'progress';
      readonly words: string;
      readonly done: number;
      readonly of: number;
    }
  | { readonly kind: 'problem'; readonly words: string; readonly leftOut: readonly LeftOut[] }
  | { readonly kind: 'system'; readonly document: StyleDocument }
  | {
      readonly kind: 'tokens';
      readonly incoming: readonly Incoming[];
      readonly groups: readonly Described[];
      readonly leftOut: readonly LeftOut[];
    };

const scope = self as unknown as {
  onmessage: (event: MessageEvent<ImportQuestion>) => void;
  postMessage: (answer: ImportAnswer) => void;
};

async function read({ files, document }: ImportQuestion): Promise<ImportAnswer> {
  const texts: TextFile[] = [];
  const leftOut: LeftOut[] = [];
  for (const [done, file] of files.entries()) {
    scope.postMessage({ kind: 'progress', words: `reading ${file.name}`, done, of: files.length });
    const found = await tokenTextsOf(file).catch(() => ({
      ok: false as const,
      problem: `${file.name} cannot be read.`,
    }));
    if (found.ok) texts.push(...found.texts);
    else if (files.length === 1) return { kind: 'problem', words: found.problem, leftOut: [] };
    else leftOut.push({ path: file.name, reason: found.problem });
  }
  scope.postMessage({
    kind: 'progress',
    words:
      texts.length === 1 ? 'following its references' : `putting ${texts.length} files together`,
    done: files.length,
    of: files.length,
  });
  const result = readFiles(texts);
  if (result.kind === 'problem') return { kind: 'problem', words: result.message, leftOut };
  if (result.kind === 'system') return result;
  const incoming = incomingOf(document.tokens.custom, ownTokens(document), result.tokens);
  const all = [...leftOut, ...result.leftOut];
  return incoming.length === 0
    ? { kind: 'problem', words: 'No token of it could be imported.', leftOut: all }
    : { kind: 'tokens', incoming, groups: result.groups ?? [], leftOut: all };
}

scope.onmessage = ({ data }) => {
  read(data)
    .catch((error: unknown): ImportAnswer => ({
      kind: 'problem',
      words: `It could not be read: ${error instanceof Error ? error.message : String(error)}.`,
      leftOut: [],
    }))
    .then((answer) => scope.postMessage(answer))
    .catch(() => undefined);
};
