import { BEFORE_FONTS } from '@garnish/core/proof/without-fonts';
import { useState } from 'react';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';
import { usePageInFrame } from '../../proof/page-in-frame.ts';
import { swapShifts } from '../../proof/swap-shift.ts';
import { useStore } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';

const WORDS = { 'stand-in': 'fitted fallback fonts', unfitted: 'the bare local fonts' } as const;

const px = (value: number): string => value.toFixed(1);

/** The moment at which the fonts arrive: seen in the proof, and measured there. */
export function Swap() {
  const page = usePageInFrame();
  const store = useStore();
  const { proofFonts, proofWidth } = usePreferences();
  const [found, setFound] = useState<ReturnType<typeof swapShifts> & { width: number }>();
  return (
    <section aria-label="Font loading" className="mt-5">
      <h3 className="border-b border-line-strong font-semibold">Font loading</h3>
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="text-quiet">show the proof</span>
        <Choice
          label="Fonts of the proof"
          options={[
            { value: 'arrived', name: 'with its fonts' },
            { value: 'stand-in', name: 'with fallback fonts' },
            { value: 'unfitted', name: 'unfitted' },
          ]}
          value={proofFonts}
          onChange={(value) => setPreferences({ proofFonts: value })}
        />
      </div>
      <button
        type="button"
        className="act"
        disabled={!page}
        onClick={() => {
          if (page) setFound({ ...swapShifts(page, store.state().decided), width: proofWidth });
        }}
      >
        Measure what moves
      </button>
      {found && (
        <table className="w-full text-xs" aria-label="What moves when the fonts arrive">
          <thead>
            <tr className="text-quiet">
              <th className="text-start font-normal">at {found.width} px, px</th>
              {['headings', 'paragraphs', 'page'].map((what) => (
                <th key={what} className="text-end font-normal">
                  {what}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {BEFORE_FONTS.map((before) => (
              <tr key={before} className="border-t border-line">
                <th className="text-start font-normal">{WORDS[before]}</th>
                {(['headings', 'paragraphs', 'page'] as const).map((what) => (
                  <td key={what} className="figures text-end">
                    {px(found[before][what])}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
