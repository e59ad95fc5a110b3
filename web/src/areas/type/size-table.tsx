import { lineAt } from '@garnish/core/checks/lines';
import { writeSizes, type SizeRow } from '@garnish/core/formats/size-table';
import { inOrder } from '@garnish/core/system/document';
import { fluidCss, fluidPx } from '@garnish/core/type/fluid';
import { placeName } from '@garnish/core/type/scale';
import { useState } from 'react';
import { usePreferences } from '../../ui/preferences.ts';
import { useDecidedLater } from '../../system/system-context.ts';
import { Copy } from '../../ui/copy.tsx';

const COLUMNS = ['role', 'step', 'narrow', 'wide', 'now', 'line', 'char.'] as const;
type Column = (typeof COLUMNS)[number];

const WORDS: Readonly<Record<Column, string>> = {
  role: 'text role',
  step: 'place on the scale',
  narrow: 'px on the narrowest anchor',
  wide: 'px on the widest anchor',
  now: 'px in the proof now',
  line: 'line height',
  'char.': 'characters in its longest line now, about',
};

const KEYS: Readonly<Record<Column, (row: SizeRow) => number | string>> = {
  role: ({ role }) => role,
  step: ({ place }) => place,
  narrow: ({ narrowPx }) => narrowPx,
  wide: ({ widePx }) => widePx,
  now: ({ nowPx }) => nowPx,
  line: ({ lineHeight }) => lineHeight,
  'char.': ({ characters }) => characters,
};

const text = (row: SizeRow, column: Column): string =>
  ({
    role: row.role,
    step: placeName(row.place),
    narrow: row.narrowPx.toFixed(1),
    wide: row.widePx.toFixed(1),
    now: row.nowPx.toFixed(1),
    line: String(row.lineHeight),
    'char.': String(Math.round(row.characters)),
  })[column];

/** Every role's figures in one table: sorted by any column, every cell copied by a click. */
export function SizeTable() {
  const { proofWidth } = usePreferences();
  const [by, setBy] = useState<{ column: Column; down: boolean }>({ column: 'wide', down: true });
  const { document, derived } = useDecidedLater(['type', 'layout'], ['styles', 'grid']);
  const anchors = inOrder(document.type.anchors).map(([, { width }]) => width);
  const rows = [...derived.styles.values()].map((style): SizeRow => ({
    role: style.name,
    place: style.place,
    narrowPx: fluidPx(style.size, anchors[0] ?? 0),
    widePx: fluidPx(style.size, anchors.at(-1) ?? 0),
    nowPx: fluidPx(style.size, proofWidth),
    lineHeight: style.lineHeight,
    characters: lineAt(document, derived, style, proofWidth),
    css: fluidCss(style.size),
  }));
  const key = KEYS[by.column];
  const sorted = rows.toSorted((one, other) => {
    const [first, second] = by.down ? [other, one] : [one, other];
    const [a, b] = [key(first), key(second)];
    return typeof a === 'number' && typeof b === 'number'
      ? a - b
      : String(a).localeCompare(String(b));
  });
  return (
    <>
      <div className="overflow-x-auto">
        <table className="w-full text-xs">
          <thead>
            <tr className="border-b border-line-strong text-quiet">
              {COLUMNS.map((column) => (
                <th
                  key={column}
                  aria-sort={by.column === column ? (by.down ? 'descending' : 'ascending') : 'none'}
                  className={`font-normal ${column === 'role' || column === 'step' ? 'text-start' : 'text-end'}`}
                >
                  <button
                    type="button"
                    title={WORDS[column]}
                    className="min-h-6 min-w-6 hover:text-base-content"
                    onClick={() =>
                      setBy({ column, down: by.column === column ? !by.down : column !== 'role' })
                    }
                  >
                    {column}
                    {by.column === column && <span aria-hidden>{by.down ? ' ↓' : ' ↑'}</span>}
                  </button>
                </th>
              ))}
              <th className="ps-3 text-start font-normal">expression</th>
            </tr>
          </thead>
          <tbody>
            {sorted.map((row) => (
              <tr key={row.role} className="border-b border-line">
                {COLUMNS.map((column) => (
                  <td
                    key={column}
                    className={column === 'role' || column === 'step' ? '' : 'text-end'}
                  >
                    <Copy
                      className={column === 'role' ? 'font-semibold' : 'figures'}
                      text={text(row, column)}
                      label={`Copy ${WORDS[column]} of ${row.role}: ${text(row, column)}`}
                    >
                      {text(row, column)}
                    </Copy>
                  </td>
                ))}
                <td className="max-w-32 ps-3">
                  <Copy
                    className="figures block w-full truncate text-quiet"
                    text={row.css}
                    label={`Copy the expression of ${row.role}`}
                  >
                    {row.css}
                  </Copy>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 flex flex-wrap gap-x-4">
        <span className="text-quiet">Copy all as</span>
        {(['CSS', 'Markdown', 'TSV'] as const).map((format) => (
          <Copy key={format} className="act" text={writeSizes(sorted, format)}>
            {format}
          </Copy>
        ))}
      </p>
    </>
  );
}
