import { judgedAll, ratioText, sizesText, titleOf } from '@garnish/core/checks/judge';
import { repairsOf } from '@garnish/core/checks/contrast-repairs';
import { strokeOf } from '@garnish/core/checks/strokes';
import { perceptualContrast } from '@garnish/core/color/perceptual';
import type { Need } from '@garnish/core/derive/derived';
import { useDecided, useStore } from '../../system/system-context.ts';
import { triedBy, useTrying } from '../../system/use-trying.ts';

interface ContrastDetailProps {
  readonly need: Need;
  readonly onClose: () => void;
}

const WHY = {
  text: 'WCAG 2.2, 1.4.3 and 1.4.6',
  part: 'WCAG 2.2, 1.4.11: parts of controls, states and focus',
  beside: 'WCAG 2.2, 1.4.1: a link told from its text by color alone',
  exempt: 'exempt: decoration, and what cannot be used, need no contrast',
} as const;

/** One pair in both themes: figures, strokes, and every way to make it pass. */
export function ContrastDetail({ need, onClose }: ContrastDetailProps) {
  const store = useStore();
  const trying = useTrying();
  const { document, derived } = useDecided(['brief', 'type'], ['needs', 'themes']);
  const both = judgedAll(derived).filter((judged) => judged.need === need);
  return (
    <div
      role="group"
      aria-label={`${titleOf(need)}, closely`}
      className="mt-2 border-y border-line-strong bg-base-200 px-3 py-2"
    >
      <div className="flex items-baseline justify-between gap-3">
        <p className="font-semibold">{titleOf(need)}</p>
        <button type="button" className="act" onClick={onClose}>
          Close
        </button>
      </div>
      <p className="text-xs text-quiet">{WHY[need.kind]}.</p>
      <div className="mt-1 grid grid-cols-2 gap-x-6">
        {both.map((judged) => {
          const { mode, ratio, wideRatio, needed, passes } = judged;
          const stroke = strokeOf(judged);
          const color = need.color.colors[mode];
          const on = need.on.colors[mode];
          const ways = passes ? [] : repairsOf(judged, document);
          return (
            <div key={mode} className="min-w-0">
              <p className="flex items-center justify-between gap-2">
                <span
                  className="grid h-7 w-14 place-items-center font-semibold"
                  style={{ background: on, color }}
                  aria-hidden
                >
                  {need.kind === 'text' ? (
                    'Ag'
                  ) : (
                    <span className="h-2 w-8" style={{ background: color }} />
                  )}
                </span>
                <span className="grow">{mode}</span>
                <span className="figures font-semibold">{ratioText(ratio)}</span>
              </p>
              <dl className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-2 text-xs [&>dd]:text-end [&>dt]:text-quiet">
                {needed > 0 && (
                  <>
                    <dt>needs</dt>
                    <dd className="figures">{needed.toFixed(2)}</dd>
                  </>
                )}
                {wideRatio !== undefined && (
                  <>
                    <dt>on wide-gamut screens</dt>
                    <dd className="figures">{ratioText(wideRatio)}</dd>
                  </>
                )}
                {need.style && (
                  <>
                    <dt>smallest to largest</dt>
                    <dd className="figures">{sizesText(judged)}</dd>
                    <dt>weight</dt>
                    <dd className="figures">{need.style.weight}</dd>
                  </>
                )}
                {stroke && (
                  <>
                    <dt>stem, thinnest stroke</dt>
                    <dd className="figures">
                      {stroke.px.toFixed(2)}, {stroke.thinPx.toFixed(2)} px
                    </dd>
                    <dt title="Our own reading aid: 1 + (ratio - 1) x stroke / 1.6 px, the stroke up to 1.6 px">
                      legibility, our own aid
                    </dt>
                    <dd className="figures">{ratioText(stroke.legibility)}</dd>
                  </>
                )}
                <dt title="Asked for by no standard">perceptual, 2nd opinion</dt>
                <dd className="figures">{perceptualContrast(color, on).toFixed(1)}</dd>
              </dl>
              {!passes && ways.length === 0 && (
                <p className="text-xs text-error">
                  No color of either hue passes here; change the ground or the text role.
                </p>
              )}
              <ul>
                {ways.map(({ label, patch, before, after, swatches }) => (
                  <li
                    key={label}
                    className="flex items-center gap-2 border-t border-line py-0.5 text-xs"
                  >
                    {swatches && (
                      <span className="flex h-4 w-8 shrink-0" aria-hidden>
                        {swatches.map((swatch, index) => (
                          <span key={index} className="grow" style={{ background: swatch }} />
                        ))}
                      </span>
                    )}
                    <span className="min-w-0 grow">
                      <button
                        type="button"
                        className="act text-xs"
                        {...triedBy(trying, () => void store.change(patch, label))}
                      >
                        {label}
                      </button>
                      <span className="figures block text-quiet">
                        {before} → {after}
                      </span>
                    </span>
                  </li>
                ))}
              </ul>
            </div>
          );
        })}
      </div>
    </div>
  );
}
