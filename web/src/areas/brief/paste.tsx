import { collectionOf } from '@garnish/core/system/collection';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { useState } from 'react';
import { useStore } from '../../system/system-context.ts';

interface PasteProps {
  readonly kind: 'table' | 'article';
  readonly path: string;
}

const SAYS = {
  table: 'Cells from a spreadsheet, or CSV: the first row names the columns.',
  article: 'Markdown or HTML: words come in by their kind, markup stays out.',
} as const;

/** What a text becomes in a section, or why it becomes nothing. */
async function read(
  kind: PasteProps['kind'],
  path: string,
  text: string,
): Promise<{ readonly patch?: Patch; readonly said: string }> {
  if (kind === 'table') {
    const { readTable } = await import('@garnish/core/formats/read-table');
    const found = readTable(text);
    if (!found.ok) return { said: found.problem };
    const { columns, rows } = found.table;
    return {
      said: found.said,
      patch: [
        { op: 'replace', path: `${path}/columns`, value: jsonOf(columns) },
        { op: 'replace', path: `${path}/rows`, value: jsonOf(rows) },
      ],
    };
  }
  const { isHtml, readHtml, readMarkdown } = await import('@garnish/core/formats/read-article');
  const found = isHtml(text) ? readHtml(text) : readMarkdown(text);
  if (!found.ok) return { said: found.problem };
  const parts = collectionOf(found.parts.map((part, at) => [`part-${at + 1}`, part] as const));
  return {
    said: found.said,
    patch: [
      ...(found.title === ''
        ? []
        : [{ op: 'replace' as const, path: `${path}/title`, value: found.title.slice(0, 2000) }]),
      { op: 'replace', path: `${path}/parts`, value: jsonOf(parts) },
    ],
  };
}

/** A field that a table or an article is pasted into; what was there is replaced, as one change. */
export function Paste({ kind, path }: PasteProps) {
  const store = useStore();
  const [told, setTold] = useState<string>();
  const take = (text: string): void => {
    if (text.trim() === '') return;
    read(kind, path, text)
      .then(({ patch, said }) => {
        const taken = patch === undefined || store.change(patch, `${kind} pasted`);
        setTold(taken ? said : 'This could not be taken. Nothing was changed.');
      })
      .catch(() => setTold('This cannot be read. Nothing was changed.'));
  };
  return (
    <label className="mt-1 block">
      <span className="block text-quiet">Paste {kind === 'table' ? 'a table' : 'an article'}</span>
      <textarea
        className="textarea block min-h-14 w-full"
        placeholder={SAYS[kind]}
        rows={2}
        value=""
        onChange={(event) => take(event.currentTarget.value)}
        onPaste={(event) => {
          const { clipboardData } = event;
          const html = kind === 'article' ? clipboardData.getData('text/html') : '';
          event.preventDefault();
          take(html === '' ? clipboardData.getData('text/plain') : html);
        }}
      />
      {told !== undefined && (
        <span role="status" className="text-quiet">
          {told}
        </span>
      )}
    </label>
  );
}
