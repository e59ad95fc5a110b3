import type { DerivedPattern } from '@garnish/core/derive/derived';
import { adding } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import { SCREEN_UNITS, WIDTH_UNITS } from '@garnish/core/system/space-schema';
import { PATTERN_KINDS, svgAddress } from '@garnish/core/space/pattern';
import { usePreferences } from '../../app/preferences.ts';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Copy } from '../../ui/copy.tsx';
import { Crops } from './crops.tsx';
import { Items, Pick } from './items.tsx';
import { LogoEditor } from './logo.tsx';

function Widths() {
  const { decided } = useSystem();
  const { widths } = decided.document.layout;
  return (
    <Items
      path="/layout/widths"
      collection={widths}
      what="width"
      columns="minmax(0,1fr) 6rem 4.5rem"
      another={() => ({
        name: `width ${widths.order.length + 1}`,
        bound: 'max' as const,
        value: 48,
        unit: 'rem' as const,
      })}
    >
      {(_, { name, bound, value, unit }, path) => (
        <>
          <Pick
            label={`Bound of width ${name}`}
            hideLabel
            path={`${path}/bound`}
            value={bound}
            options={[
              ['max', 'at most'],
              ['min', 'at least'],
            ]}
          />
          <DecidedNumber
            label={`Length of width ${name}`}
            hideLabel
            path={`${path}/value`}
            name={`width ${name}`}
            value={value}
            min={0.5}
            max={4000}
            step={1}
          />
          <Pick
            label={`Unit of width ${name}`}
            hideLabel
            path={`${path}/unit`}
            value={unit}
            options={WIDTH_UNITS.map((one) => [one, one] as const)}
          />
        </>
      )}
    </Items>
  );
}

const SCREEN_SAYS = {
  svh: 'The small viewport: what is seen while the browser’s bars stand. It never moves while one scrolls.',
  lvh: 'The large viewport: as high as without the bars; its foot lies under them at first.',
  dvh: 'The dynamic viewport follows the bars, so that the page moves while one scrolls.',
} as const;

function FullHeight() {
  const store = useStore();
  const { decided } = useSystem();
  const { screen, header } = decided.document.layout;
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-4" data-decision="/layout/screen">
        <span className="w-36 text-quiet">full height is</span>
        <Choice
          label="Viewport of a section of full height"
          options={SCREEN_UNITS.map((value) => ({
            value,
            name: { svh: 'small', lvh: 'large', dvh: 'dynamic' }[value],
          }))}
          value={screen}
          onChange={(value) =>
            store.change(
              [{ op: 'replace', path: '/layout/screen', value }],
              `full height: ${value}`,
            )
          }
        />
        <Copy
          className="figures text-xs text-quiet"
          text={`min-block-size: 100vh; min-block-size: 100${screen};`}
          label="Copy the declarations of full height"
        >
          100vh, then 100{screen}
        </Copy>
      </div>
      <p className="text-xs text-quiet">{SCREEN_SAYS[screen]}</p>
      <div className="flex flex-wrap items-center gap-x-4" data-decision="/layout/header">
        <span className="w-36 text-quiet">middle of the header</span>
        <Choice
          label="Middle of the header"
          options={[
            { value: 'spread', name: 'between its neighbours' },
            { value: 'centered', name: 'truly centered' },
          ]}
          value={header}
          onChange={(value) =>
            store.change([{ op: 'replace', path: '/layout/header', value }], `header ${value}`)
          }
        />
      </div>
    </div>
  );
}

const Swatch = ({ pattern }: { readonly pattern: DerivedPattern | undefined }) => {
  const { proofTheme: mode } = usePreferences();
  return (
    <span
      aria-hidden
      className="block h-16 w-full border border-line"
      style={{
        backgroundColor: pattern?.on.colors[mode],
        backgroundImage: pattern && svgAddress(pattern.svg[mode]),
        backgroundRepeat: pattern?.repeats === false ? 'no-repeat' : 'repeat',
        backgroundPosition: pattern?.repeats === false ? 'center' : undefined,
      }}
    />
  );
};

function Patterns() {
  const store = useStore();
  const { decided } = useSystem();
  const { document, derived } = decided;
  const { patterns } = document.layout;
  const roles = inOrder(document.color.roles).map(([id, { name }]) => [id, name] as const);
  const steps = [...derived.steps.values()].map(
    ({ id, name, px }) => [id, `${name}, ${px} px`] as const,
  );
  const has = (id: string): boolean => id in document.color.roles.items;
  return (
    <>
      {inOrder(patterns).map(([id, pattern]) => {
        const path = `/layout/patterns/items/${id}`;
        const shown = derived.patterns.find((one) => one.id === id);
        return (
          <div
            key={id}
            data-decision={path}
            className="grid grid-cols-[9rem_minmax(0,1fr)] gap-x-4 border-t border-line py-2"
          >
            <div>
              <Swatch pattern={shown} />
              <p className="mt-1 flex justify-between gap-2">
                <span className="truncate font-semibold">{pattern.name}</span>
                {shown && (
                  <Copy
                    className="text-xs text-quiet"
                    text={shown.svg.light}
                    label={`Copy pattern ${pattern.name} as SVG`}
                  >
                    SVG
                  </Copy>
                )}
              </p>
            </div>
            <div className="grid grid-cols-3 items-end gap-x-4 gap-y-1">
              <Pick
                label="kind"
                path={`${path}/kind`}
                value={pattern.kind}
                options={PATTERN_KINDS.map((kind) => [
                  kind,
                  kind === 'shape' ? 'one soft shape' : kind,
                ])}
              />
              <Pick label="ink" path={`${path}/ink`} value={pattern.ink} options={roles} />
              <Pick label="on" path={`${path}/on`} value={pattern.on} options={roles} />
              <Pick
                label="repeats every"
                path={`${path}/cell`}
                value={pattern.cell}
                options={steps}
              />
              <DecidedNumber
                label="ink laid over"
                path={`${path}/strength`}
                name={`strength of ${pattern.name}`}
                value={pattern.strength}
                factor={0.01}
                min={1}
                max={100}
                step={1}
                unit="%"
              />
              <DecidedNumber
                label="turned"
                path={`${path}/turn`}
                name={`turn of ${pattern.name}`}
                value={pattern.turn}
                min={0}
                max={179}
                step={15}
                unit="°"
              />
              <label className="col-span-2 flex min-h-6 items-center gap-1.5">
                <input
                  type="checkbox"
                  className="h-4 w-4 accent-primary"
                  checked={document.content.pattern === id}
                  onChange={() =>
                    store.change(
                      [
                        document.content.pattern === id
                          ? { op: 'remove', path: '/content/pattern' }
                          : { op: 'add', path: '/content/pattern', value: id },
                      ],
                      `pattern ${pattern.name} in the proof`,
                    )
                  }
                />
                behind the foot of the proof
              </label>
              <button
                type="button"
                className="min-h-6 justify-self-end text-quiet hover:text-base-content hover:underline"
                onClick={() =>
                  store.change(
                    [
                      ...(document.content.pattern === id
                        ? [{ op: 'remove', path: '/content/pattern' } as const]
                        : []),
                      { op: 'remove', path },
                      {
                        op: 'replace',
                        path: '/layout/patterns/order',
                        value: patterns.order.filter((one) => one !== id),
                      },
                    ],
                    `without pattern ${pattern.name}`,
                  )
                }
              >
                Remove
              </button>
            </div>
          </div>
        );
      })}
      {patterns.order.length === 0 && (
        <p className="text-quiet">None yet. A pattern is drawn from two roles and a step.</p>
      )}
      <button
        type="button"
        className="act mt-1"
        onClick={() => {
          const id = `pattern-${crypto.randomUUID().slice(0, 8)}`;
          const [first] = roles[0] ?? [''];
          store.change(
            adding('/layout/patterns', patterns, id, {
              name: `pattern ${patterns.order.length + 1}`,
              kind: 'dots',
              ink: has('text') ? 'text' : first,
              on: has('surface') ? 'surface' : first,
              cell:
                document.space.steps.order[Math.floor(document.space.steps.order.length / 2)] ?? '',
              strength: 0.06,
              turn: 0,
            }),
            'another pattern',
          );
        }}
      >
        Another pattern
      </button>
    </>
  );
}

/** What the page as a whole is made of: widths, full height, shapes of pictures, the logo, patterns. */
export function PageView() {
  const { findings } = useSystem();
  return (
    <>
      <Section full title="Widths" aside="for text, for a form, for a page">
        <Widths />
      </Section>
      <Section full title="Height and header">
        <FullHeight />
        <Notes findings={findings} at={['/layout/header', '/layout/screen']} />
      </Section>
      <Section full title="Shapes of pictures" aside="with the crop on a picture of the site">
        <Crops />
      </Section>
      <Section full title="Logo" aside="least size, clear space, scale against the header">
        <LogoEditor />
      </Section>
      <Section full title="Patterns" aside="from the palette and the space unit">
        <Patterns />
        <div className="pt-2">
          <Notes findings={findings} at={['/layout/patterns']} />
        </div>
      </Section>
    </>
  );
}
