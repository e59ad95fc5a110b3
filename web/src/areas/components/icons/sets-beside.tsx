import { Fragment } from 'react';
import type { Beside } from '@garnish/core/derive/icons/beside';
import { fitBeside, STROKE_BESIDE_STEM } from '@garnish/core/icons/alike';
import { IconDrawn } from '../../../ui/icon-drawn.tsx';
import { px } from '../../../ui/px.ts';
import type { StyleOfSet } from './found-icons.ts';
import { heavierText } from './said.ts';
import { WholeSet } from './whole-set.tsx';

interface SetsBesideProps {
  readonly styles: readonly StyleOfSet[];
  readonly beside: Beside;
  readonly shown: string;
  readonly onShow: (from: string) => void;
}

/** The styles of all sets, those first whose strokes are as thick as the stems that they stand beside. */
export function SetsBeside({ styles, beside, shown, onShow }: SetsBesideProps) {
  const rows = styles
    .map((style) => ({ style, fit: fitBeside(style.typical, beside) }))
    .toSorted((one, other) => one.fit.distance - other.fit.distance);
  return (
    // In a face that is wider than ours it is scrolled rather than cut off.
    <div className="overflow-x-auto">
      <table className="w-full">
        <caption className="pb-1 text-start text-quiet">
          {beside.face} {beside.weight} at {px(beside.textPx, 1)} has stems of {px(beside.stemPx)};
          icons are {px(beside.iconPx, 1)} beside it. Strokes of {STROKE_BESIDE_STEM.from} to{' '}
          {STROKE_BESIDE_STEM.to} times the stem look meant (common practice). What is drawn with
          strokes takes the one that is decided; what is filled keeps its own.
        </caption>
        <tbody>
          {rows.map(({ style, fit }) => {
            const id = `${style.set}/${style.style}`;
            const { roundEnds } = style.typical;
            const isMeant =
              1 + fit.heavier >= STROKE_BESIDE_STEM.from &&
              1 + fit.heavier <= STROKE_BESIDE_STEM.to;
            return (
              <Fragment key={id}>
                <tr className="border-t border-line">
                  <td className="py-1.5 pe-3">
                    <span className="flex gap-x-2" style={{ fontSize: beside.textPx }}>
                      {style.samples.map((drawing, index) => (
                        <IconDrawn key={index} drawing={drawing} px={beside.iconPx} />
                      ))}
                    </span>
                  </td>
                  <td className="pe-3">
                    {style.name}, {style.style}
                    <span className="block text-xs text-quiet">
                      {style.count.toLocaleString('en-US')} · {style.license.spdx}
                      {roundEnds === undefined ? '' : roundEnds ? ' · round ends' : ' · flat ends'}
                    </span>
                  </td>
                  <td className="figures pe-3 whitespace-nowrap">
                    {fit.distance === Infinity ? (
                      <span className="text-quiet">filled</span>
                    ) : (
                      <>
                        {px(fit.strokePx)}
                        <span className={`block text-xs ${isMeant ? '' : 'text-quiet'}`}>
                          {heavierText(fit.heavier)}
                        </span>
                      </>
                    )}
                  </td>
                  <td className="text-end">
                    <button
                      type="button"
                      className="act whitespace-nowrap"
                      aria-pressed={shown === id}
                      aria-label={`Look into ${style.name}, ${style.style}`}
                      onClick={() => onShow(shown === id ? '' : id)}
                    >
                      {shown === id ? 'Looking into it' : 'Look into it'}
                    </button>
                  </td>
                </tr>
                {shown === id && (
                  <tr>
                    <td colSpan={4} className="pb-1.5">
                      <WholeSet style={style} />
                    </td>
                  </tr>
                )}
              </Fragment>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
