import { inOrder } from '@garnish/core/system/document';
import type { Patch } from '@garnish/core/system/patch';
import { fitScales, readSizes, type FittedScale } from '@garnish/core/type/read-sizes';
import { intervalOf } from '@garnish/core/type/scale';
import { useState } from 'react';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { px } from '../../ui/px.ts';

const round = (value: number, decimals: number): number => Number(value.toFixed(decimals));

/** Sizes from elsewhere: the scale that fits them, taken over with a click. */
export function ReadList() {
  const store = useStore();
  const decided = useDecidedLater(['type']);
  const [text, setText] = useState('');
  const sizes = readSizes(text);
  const fits = fitScales(sizes.map(({ px }) => px));
  const anchors = inOrder(decided.document.type.anchors);
  const take = ({ base, ratio }: FittedScale, id: string, width: number): void => {
    const path = `/type/anchors/items/${id}`;
    const patch: Patch = [
      { op: 'replace', path: `${path}/base`, value: round(Math.min(64, Math.max(6, base)), 2) },
      { op: 'replace', path: `${path}/ratio`, value: round(ratio, 4) },
    ];
    store.change(patch, `base and ratio at ${width} px from a list`);
  };
  return (
    <div>
      <label className="block">
        <span className="text-xs text-quiet">
          sizes in px, rem, em or %, or a part of a style sheet; of a clamp the largest
        </span>
        <textarea
          className="figures mt-0.5 block w-full border-b border-line-strong bg-transparent"
          rows={3}
          maxLength={20000}
          placeholder="13, 16, 20, 25, 31, 39, 49"
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
        />
      </label>
      {text.trim() !== '' && sizes.length === 0 && (
        <p role="status" className="text-quiet">
          There is no size in this.
        </p>
      )}
      {sizes.length > 0 && (
        <p className="figures mt-1 text-xs text-quiet" role="status">
          {sizes.length} sizes: {sizes.map(({ px }) => round(px, 2)).join(', ')} px
          {fits.length === 0 &&
            '; three different ones are the least that a scale can be read from'}
        </p>
      )}
      <ol aria-label="Scales that fit">
        {fits.map((scale) => {
          const { base, ratio, error, outliers } = scale;
          return (
            <li
              key={`${base} ${ratio}`}
              className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1"
            >
              <span className="figures">
                {px(base)} × {ratio.toFixed(3)}
              </span>
              <span className="text-xs text-quiet">
                {[intervalOf(ratio), `off by ${error.toFixed(1)} % on the mean`]
                  .filter(Boolean)
                  .join(', ')}
                {outliers.length > 0 &&
                  `; not on it: ${outliers.map((index) => px(sizes[index]?.px ?? 0)).join(', ')}`}
              </span>
              <span className="grow" />
              {anchors.map(([id, { width }]) => (
                <button
                  key={id}
                  type="button"
                  className="act"
                  onClick={() => take(scale, id, width)}
                >
                  Take at {width} px
                </button>
              ))}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
