import { useState } from 'react';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';
import { misfitsOf, type Misfits } from '../../proof/measure-text.ts';
import { usePageInFrame } from '../../proof/page-in-frame.ts';
import { NARROWEST_PROOF } from '../../ui/preferences.ts';

const FRAMES = 30;

/** Waits until the page has the width that was asked for; a bench without a proof has none. */
async function untilWide(page: Document, widthPx: number): Promise<void> {
  for (let frame = 0; frame < FRAMES; frame += 1) {
    await new Promise(requestAnimationFrame);
    if (page.documentElement.clientWidth === widthPx) return;
  }
}

/** What arithmetic cannot prove, measured in the browser on the site's own words. */
export function Measured() {
  const page = usePageInFrame();
  const { proofWidth, proofZoom } = usePreferences();
  const [found, setFound] = useState<Misfits>();
  const measure = async (shown: Document): Promise<void> => {
    const before = { proofWidth, proofZoom };
    setPreferences({ proofWidth: NARROWEST_PROOF, proofZoom: 100 });
    await untilWide(shown, NARROWEST_PROOF);
    await shown.fonts.ready;
    setFound(misfitsOf(shown));
    setPreferences(before);
  };
  const lines: readonly (readonly [string, readonly string[]])[] = found
    ? [
        ['Words of headings that are wider than the screen', found.words],
        ['Texts that stick out when spaced widely (WCAG 2.2, 1.4.12)', found.clipped],
      ]
    : [];
  return (
    <div>
      <button
        type="button"
        className="act"
        disabled={!page}
        onClick={() => page && void measure(page)}
      >
        Measure the proof at {NARROWEST_PROOF} px
      </button>
      {found && (
        <dl className="text-xs" role="status">
          {lines.map(([what, texts]) => (
            <div key={what} className="border-t border-line py-1">
              <dt className={texts.length > 0 ? 'font-semibold text-warning' : 'text-quiet'}>
                {what}: {texts.length === 0 ? 'none' : texts.length}
              </dt>
              {texts.map((text) => (
                <dd key={text}>{text}</dd>
              ))}
            </div>
          ))}
          <div className="border-t border-line py-1 text-quiet">
            The page {found.sideways ? 'scrolls sideways' : 'does not scroll sideways'} then.
          </div>
        </dl>
      )}
    </div>
  );
}
