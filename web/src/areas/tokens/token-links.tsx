import type { Derived } from '@garnish/core/derive/derived';
import type { PlainToken } from '@garnish/core/formats/plain-tokens';
import type { TokenUse } from '@garnish/core/proof/token-uses';
import { useState } from 'react';
import { useProofTheme } from '../../system/proof-theme.ts';
import { Sample } from '../../ui/sample.tsx';

const ROW_PX = 26;
/** So many stand in the drawing; the others when they are asked for. */
const MOST_DRAWN = 10;
const MIDDLE_PX = 64;

interface LinksProps {
  readonly id: string;
  readonly use: TokenUse;
  readonly plain: ReadonlyMap<string, PlainToken>;
  readonly derived: Pick<Derived, 'tokenById'>;
  readonly onOpen: (id: string) => void;
}

/** What a token takes, on the left, and what takes it, on the right: each a way on. */
export function TokenLinks({ id, use, plain, derived, onOpen }: LinksProps) {
  const mode = useProofTheme();
  const [whole, setWhole] = useState<string>();
  const { takes, takenBy } = use;
  if (takes.length === 0 && takenBy.length === 0)
    return (
      <p className="mt-1 text-quiet">It takes nothing from other tokens, and none takes it.</p>
    );
  const right = whole === id ? takenBy : takenBy.slice(0, MOST_DRAWN);
  const rows = Math.max(takes.length, right.length, 1);
  const height = rows * ROW_PX;
  const placeOf = (index: number, count: number): number =>
    ((rows - count) / 2 + index + 0.5) * ROW_PX;
  const side = (ids: readonly string[], says: string, isEnd: boolean) => (
    <ul aria-label={says} className="relative min-w-0" style={{ height }}>
      {ids.map((one, index) => {
        const token = derived.tokenById.get(one);
        return (
          <li
            key={one}
            className={`absolute inset-x-0 flex items-center ${isEnd ? 'ps-1' : 'justify-end pe-1'}`}
            style={{ top: placeOf(index, ids.length) - ROW_PX / 2, height: ROW_PX }}
          >
            <button
              type="button"
              title={one}
              className="figures flex min-h-6 min-w-0 items-center gap-1.5 text-xs hover:underline hover:underline-offset-2"
              onClick={() => onOpen(one)}
            >
              {token && <Sample token={token} css={plain.get(one)?.values[mode].css ?? ''} />}
              <span className="truncate">{one}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
  const line = (index: number, count: number, from: number, to: number): string => {
    const y = placeOf(index, count);
    const middle = height / 2;
    const bend = (from + to) / 2;
    return `M${from} ${from < to && from === 0 ? y : middle}C${bend} ${from === 0 ? y : middle} ${bend} ${from === 0 ? middle : y} ${to} ${from === 0 ? middle : y}`;
  };
  return (
    <figure className="mt-2" aria-label={`What ${id} hangs together with`}>
      <figcaption className="grid grid-cols-[minmax(0,1fr)_4rem_minmax(0,1fr)] text-xs text-quiet">
        <span className="text-end">
          {takes.length === 0 ? 'takes none' : `takes ${takes.length}`}
        </span>
        <span />
        <span className="ps-1">
          {takenBy.length === 0 ? 'taken by none' : `taken by ${takenBy.length}`}
        </span>
      </figcaption>
      <div className="grid grid-cols-[minmax(0,1fr)_4rem_minmax(0,1fr)]">
        {side(takes, 'Takes from', false)}
        <svg width={MIDDLE_PX} height={height} aria-hidden className="fill-none stroke-line-strong">
          {takes.map((one, index) => (
            <path key={one} d={line(index, takes.length, 0, MIDDLE_PX / 2)} />
          ))}
          {right.map((one, index) => (
            <path key={one} d={line(index, right.length, MIDDLE_PX / 2, MIDDLE_PX)} />
          ))}
          <circle
            cx={MIDDLE_PX / 2}
            cy={height / 2}
            r={4}
            className="fill-base-content stroke-none"
          />
        </svg>
        {side(right, 'Taken by', true)}
      </div>
      {right.length < takenBy.length && (
        <p className="text-end">
          <button type="button" className="act" onClick={() => setWhole(id)}>
            {takenBy.length - right.length} more
          </button>
        </p>
      )}
    </figure>
  );
}
