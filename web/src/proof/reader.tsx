import { setPreferences, usePreferences } from '../ui/preferences.ts';
import { Choice } from '../ui/choice.tsx';
import { SEEN } from './seen.ts';
import { NumberField } from '../ui/number-field.tsx';

const DRAWN = ['nothing', 'values', 'units', 'baseline', 'spaces', 'grid'] as const;

/** What is behind each way of seeing, and where it is weak. */
const MODELS = {
  protan: 'Machado, Oliveira and Fernandes 2009: red cones that answer differently.',
  deutan: 'Machado, Oliveira and Fernandes 2009: green cones that answer differently.',
  tritan:
    'Machado, Oliveira and Fernandes 2009: fitted for red and green; of blue cones a rough picture.',
  gray: 'Relative luminance: no model of an eye, but what is left when color says nothing.',
  outdoors: 'A third of the screen’s white laid over everything, as the sun does. Common practice.',
} as const;

/** What the reader has set in the browser, as far as a page can play it, and what is drawn over the page. */
export default function Reader() {
  const { proofRoot, proofZoom, proofDrawn, proofSeen, proofSeverity, proofBlur } =
    usePreferences();
  const zoom = proofZoom / 100;
  return (
    <div
      role="group"
      aria-label="The reader’s browser"
      className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line pt-1"
    >
      <span className="flex items-center gap-2 text-quiet">
        font size
        <span className="w-16 text-base-content">
          <NumberField
            label="Font size of the browser"
            hideLabel
            value={proofRoot}
            min={12}
            max={32}
            step={1}
            decimals={0}
            unit="px"
            onChange={(value) => setPreferences({ proofRoot: value })}
          />
        </span>
      </span>
      <span className="flex items-center gap-2 text-quiet">
        zoom
        <span className="w-16 text-base-content">
          <NumberField
            label="Zoom of the browser"
            hideLabel
            value={proofZoom}
            min={50}
            max={500}
            step={25}
            decimals={0}
            unit="%"
            onChange={(value) => setPreferences({ proofZoom: value })}
          />
        </span>
      </span>
      <span className="flex items-center gap-2 text-quiet">
        squint
        <span className="w-16 text-base-content">
          <NumberField
            label="Blur of the proof"
            hideLabel
            value={proofBlur}
            min={0}
            max={24}
            step={1}
            decimals={0}
            unit="px"
            onChange={(value) => setPreferences({ proofBlur: value })}
          />
        </span>
      </span>
      <span className="flex items-center gap-2">
        <span className="text-quiet">drawn over it</span>
        <Choice
          label="Drawn over the proof"
          options={DRAWN.map((value) => ({ value, name: value }))}
          value={proofDrawn}
          onChange={(value) => setPreferences({ proofDrawn: value })}
        />
      </span>
      <span className="flex flex-wrap items-center gap-x-2">
        <span className="text-quiet">seen by</span>
        <Choice
          label="Eyes that the proof is seen with"
          options={SEEN.map((value) => ({ value, name: value === 'usual' ? 'usual eyes' : value }))}
          value={proofSeen}
          onChange={(value) => setPreferences({ proofSeen: value })}
        />
        {proofSeen !== 'usual' && proofSeen !== 'outdoors' && (
          <span className="flex w-28 items-center gap-2 text-quiet">
            severity
            <span className="text-base-content">
              <NumberField
                label="Severity"
                hideLabel
                value={proofSeverity}
                min={0}
                max={100}
                step={10}
                decimals={0}
                unit="%"
                onChange={(value) => setPreferences({ proofSeverity: value })}
              />
            </span>
          </span>
        )}
      </span>
      {proofSeen !== 'usual' && (
        <p className="basis-full text-xs text-quiet">{MODELS[proofSeen]}</p>
      )}
      {(proofRoot !== 16 || proofZoom !== 100 || proofBlur > 0) && (
        <button
          type="button"
          className="act"
          onClick={() => setPreferences({ proofRoot: 16, proofZoom: 100, proofBlur: 0 })}
        >
          As usual again
        </button>
      )}
      <p className="basis-full text-xs text-quiet">
        <span className="text-base-content" aria-label="The same length in three units">
          <span style={{ fontSize: 16 * zoom }}>16px</span>{' '}
          <span style={{ fontSize: proofRoot * zoom }}>1rem</span>{' '}
          <span style={{ fontSize: proofRoot * 0.75 * zoom }}>
            (<span style={{ fontSize: '1em' }}>1em in 0.75rem</span>)
          </span>
        </span>{' '}
        px hears nobody but zoom; rem hears the font size; em the text around it as well. Not
        played: media queries in rem, and the finer screen that zoom makes.
      </p>
    </div>
  );
}
