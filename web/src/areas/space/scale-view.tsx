import { uniqueName } from '@garnish/core/color/names';
import { LEAST_RATIO, SPACE_SCALES } from '@garnish/core/space/scale';
import { NO_SPACE, USUAL_SERIES } from '@garnish/core/derive/space/space';
import { inOrder } from '@garnish/core/system/document';
import { STEP_NAMES } from '@garnish/core/system/space-schema';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Copy } from '../../ui/copy.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';
import { Items } from '../../system/items.tsx';
import { STEP_USERS, stepUses } from './step-uses.ts';

const LARGEST_BAR_PX = 480;

function Base() {
  const store = useStore();
  const decided = useDecided(['space']);
  const { space } = decided.document;
  const { unit, scale, series = USUAL_SERIES, names } = space;
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="w-24">
          <DecidedNumber
            label="unit"
            path="/space/unit"
            name="base unit"
            value={unit}
            step={1}
            unit="px"
            units={PX_UNITS}
          />
        </div>
        <div className="flex min-h-7 items-center gap-x-3">
          {[4, 8, 10].map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={one === unit}
              className="figures min-h-6 min-w-6 text-quiet hover:text-base-content aria-pressed:text-base-content aria-pressed:underline aria-pressed:underline-offset-4"
              onClick={() =>
                store.change([{ op: 'replace', path: '/space/unit', value: one }], 'base unit')
              }
            >
              {one}
            </button>
          ))}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-x-4" data-decision="/space/scale">
        <span className="w-14 text-quiet">steps are</span>
        <TryChoice
          label="How steps come about"
          options={SPACE_SCALES.map((value) => ({ value, name: value }))}
          value={scale}
          onChange={(value) => {
            const patch: Patch = [{ op: 'replace', path: '/space/scale', value }];
            store.change(
              value === 'geometric' && space.series === undefined
                ? [...patch, { op: 'add', path: '/space/series', value: jsonOf(USUAL_SERIES) }]
                : patch,
              `steps ${value}`,
            );
          }}
        />
      </div>
      {scale === 'geometric' && (
        <div className="grid grid-cols-2 gap-x-6">
          <DecidedNumber
            label="first step, in units"
            path="/space/series/first"
            value={series.first}
            step={0.5}
            unit="×"
          />
          <DecidedNumber
            label="ratio"
            path="/space/series/ratio"
            name="ratio of the steps"
            value={series.ratio}
            step={0.05}
            slider
          />
        </div>
      )}
      <div className="flex flex-wrap items-center gap-x-4" data-decision="/space/names">
        <span className="w-14 text-quiet">called by</span>
        <Choice
          label="How steps are called"
          options={STEP_NAMES.map((value) => ({
            value,
            name: value === 'own' ? 'own names' : value,
          }))}
          value={names}
          onChange={(value) =>
            store.change([{ op: 'replace', path: '/space/names', value }], `names: ${value}`)
          }
        />
      </div>
    </div>
  );
}

function Steps() {
  const store = useStore();
  const { document, derived } = useDecided(STEP_USERS, ['steps']);
  const { space } = document;
  const uses = stepUses(document);
  const sizes = [...derived.steps.values()];
  const largest = Math.max(...sizes.map(({ px }) => px));
  const scale = Math.min(1, LARGEST_BAR_PX / largest);
  const addNone = (): void => {
    const id = `step-${crypto.randomUUID().slice(0, 8)}`;
    store.change(
      [
        {
          op: 'add',
          path: `/space/steps/items/${id}`,
          value: {
            name: uniqueName(NO_SPACE, new Set(inOrder(space.steps).map(([, { name }]) => name))),
            multiple: 0,
          },
        },
        { op: 'replace', path: '/space/steps/order', value: [id, ...space.steps.order] },
      ],
      'step none',
    );
  };
  return (
    <>
      <Items
        path="/space/steps"
        collection={space.steps}
        what="step"
        unnamed={space.names !== 'own'}
        columns={`${space.names === 'own' ? '' : 'minmax(4.5rem, 7rem) '}5rem minmax(0,1fr) 3.5rem`}
        below={(id) => (
          <span
            aria-hidden
            className="mt-1 block h-2 max-w-full bg-base-content"
            style={{ width: (derived.steps.get(id)?.px ?? 0) * scale }}
          />
        )}
        least={1}
        kept={(id) => {
          const used = uses.get(id);
          return used ? `stays: ${used.join(', ')}` : undefined;
        }}
        another={() => ({
          name: `step ${space.steps.order.length + 1}`,
          multiple: Math.min(64, Math.max(1, Math.round((largest / space.unit) * 1.5))),
          ...(space.scale === 'by hand' && { px: Math.min(1000, Math.round(largest * 1.5)) }),
        })}
      >
        {(id, { multiple }, at) => {
          const index = sizes.findIndex((one) => one.id === id);
          const step = sizes[index];
          const before = sizes[index - 1];
          const px = step?.px ?? 0;
          const ratio = before && before.px > 0 ? px / before.px : undefined;
          const rem = Number((px / 16).toFixed(4));
          return (
            <>
              {space.names !== 'own' && (
                <span className="flex min-h-7 items-center font-semibold">{step?.name}</span>
              )}
              {space.scale === 'geometric' || step?.px === 0 ? (
                <span />
              ) : (
                <DecidedNumber
                  path={`${at}/${space.scale === 'multiples' ? 'multiple' : 'px'}`}
                  name={`step ${step?.name ?? id}`}
                  label={`${space.scale === 'multiples' ? 'Multiple' : 'Size'} of step ${step?.name ?? id}`}
                  hideLabel
                  value={space.scale === 'multiples' ? multiple : px}
                  step={1}
                  unit={space.scale === 'multiples' ? '×' : 'px'}
                />
              )}
              <Copy
                className="figures justify-self-end"
                text={`${rem}rem`}
                label={`Copy step ${step?.name ?? id}, ${px} px, in rem`}
              >
                {Number(px.toFixed(3))} px <span className="text-quiet">{rem} rem</span>
              </Copy>
              <span
                className={`figures flex min-h-7 items-center justify-end text-xs ${ratio !== undefined && ratio < LEAST_RATIO ? 'font-semibold text-warning' : 'text-quiet'}`}
                title="how many times the step before"
              >
                {ratio === undefined ? '' : `× ${ratio.toFixed(2)}`}
              </span>
            </>
          );
        }}
      </Items>
      {!sizes.some(({ px }) => px === 0) && (
        <button type="button" className="act" onClick={addNone}>
          A step none, for no space
        </button>
      )}
      {scale < 1 && (
        <p className="text-xs text-quiet">Bars at {Math.round(scale * 100)} % of their size.</p>
      )}
    </>
  );
}

/** The base unit, how the steps come about, and the steps at true size. */
export function ScaleView() {
  const decided = useDecided(['space']);
  const findings = useSystem((state) => state.findings);
  const { unit } = decided.document.space;
  const count = inOrder(decided.document.space.steps).length;
  return (
    <>
      <Section
        title="Base unit"
        aside="px at a root of 16, exported in rem"
        notes={
          <>
            <Notes findings={findings} at={['/space/unit', '/space/scale']} />
            <Fact>
              {count} steps on {unit} px. A step stays as long as something uses it.
            </Fact>
          </>
        }
      >
        <Base />
      </Section>
      <Section full title="Steps" aside="at true size, with the ratio to the one before">
        <Steps />
        <div className="pt-2">
          <Notes findings={findings} at={['/space/steps']} />
        </div>
      </Section>
    </>
  );
}
