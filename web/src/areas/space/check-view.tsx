import { causesOf } from '@garnish/core/checks/causes';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';
import { Note } from '../../findings/note.tsx';
import { useLastMeasured } from '../../proof/last-measured.ts';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Parts } from './parts.tsx';
import { Squint } from './squint.tsx';

/** What was found on the page as the browser lays it out. */
function Measured() {
  const findings = useSystem((state) => state.findings);
  const last = useLastMeasured();
  const own = findings.filter(({ area, source }) => area === 'space' && source !== '');
  return (
    <>
      <p className="pb-2 text-quiet" role="status">
        {last === undefined
          ? 'The page is being measured …'
          : `${last.elements} elements at ${last.widths.join(', ')} px, measured in ${Math.round(last.ms)} ms.`}
        {last !== undefined && own.length === 0 && ' Nothing is off.'}
      </p>
      <div className="grid gap-x-8 @min-[34rem]:grid-cols-2">
        {causesOf(own).map((cause) => (
          <Note key={cause.id} cause={cause} />
        ))}
      </div>
    </>
  );
}

/** The page measured: what is off the scale, too close, too small; each space of it; what stands out. */
export function CheckView() {
  const decided = useDecided(['space']);
  const { proofDrawn } = usePreferences();
  const { limits } = decided.document.space;
  return (
    <>
      <Section
        full
        title="On the page"
        aside={
          <label className="flex min-h-6 items-center gap-1.5">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={proofDrawn === 'spaces'}
              onChange={() =>
                setPreferences({ proofDrawn: proofDrawn === 'spaces' ? 'nothing' : 'spaces' })
              }
            />
            draw all spaces over the proof
          </label>
        }
      >
        <Measured />
      </Section>
      <Section full title="What takes which space" aside="pointing marks it in the proof">
        <Parts />
      </Section>
      <Section full title="How much space there may be">
        <div className="flex gap-x-8" data-decision="/space/limits">
          <div className="w-40">
            <DecidedNumber
              label="of a phone’s width"
              path="/space/limits/phone"
              name="space on a phone"
              value={limits.phone}
              factor={0.01}
              step={5}
              unit="%"
            />
          </div>
          <div className="w-40">
            <DecidedNumber
              label="of a wide screen’s area"
              path="/space/limits/wide"
              name="space on a wide screen"
              value={limits.wide}
              factor={0.01}
              step={5}
              unit="%"
            />
          </div>
        </div>
      </Section>
      <Section full title="Squint" aside="what stands out, to compare with what should">
        <Squint />
      </Section>
    </>
  );
}
