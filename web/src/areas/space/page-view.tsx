import { widthIn } from '@garnish/core/derive/space/layout';
import { inherited } from '@garnish/core/space/inherited';
import { without } from '@garnish/core/system/collection';
import { inOrder, type Layout } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { SCREEN_UNITS, WIDTH_UNITS } from '@garnish/core/system/space-schema';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { TrySelect } from '../../system/try-select.tsx';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { Crops } from './crops.tsx';
import { PictureRoles } from './picture-roles.tsx';
import { DecidedChoice } from '../../system/decided-choice.tsx';
import { Items } from '../../system/items.tsx';
import { KnownField } from './known-field.tsx';
import { LogoEditor } from './logo.tsx';
import { Patterns } from './patterns.tsx';

type Width = Layout['widths']['items'][string];

/** What one width is from breakpoints up, and whether it stands in the middle. */
function WidthMore({ path, width }: { readonly path: string; readonly width: Width }) {
  const store = useStore();
  const { layout } = useDecided(['layout']).document;
  const { name, unit, value, at = {}, centered } = width;
  const stops = inOrder(layout.breakpoints);
  const held = inherited(value, at, layout.breakpoints.order);
  /** Sets one breakpoint, or leaves it to what holds on from below. */
  const setting = (id: string, next: number | undefined): Patch => {
    const rest = next === undefined ? without(at, id) : { ...at, [id]: next };
    return [{ op: 'replace', path, value: jsonOf({ ...width, at: rest }) }];
  };
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 pt-1 text-quiet">
      {stops.map(([id, { name: stop }], index) => (
        <span key={id} className="flex items-center gap-1.5" data-decision={`${path}/at/${id}`}>
          from {stop}, {unit}
          <span className="w-14">
            <KnownField
              label={`Width ${name} from ${stop}`}
              known={at[id]}
              computed={String(held[index - 1]?.value ?? value)}
              decide={(next) => store.decide(setting(id, next), `width ${name} from ${stop}`)}
            />
          </span>
        </span>
      ))}
      <label className="flex min-h-7 items-center gap-1.5 text-base-content">
        <input
          type="checkbox"
          className="h-4 w-4 accent-primary"
          checked={centered === true}
          onChange={({ currentTarget: { checked } }) =>
            store.change(
              [
                checked
                  ? { op: 'add', path: `${path}/centered`, value: true }
                  : { op: 'remove', path: `${path}/centered` },
              ],
              `width ${name} ${checked ? 'centered' : 'not centered'}`,
            )
          }
        />
        centered
      </label>
    </div>
  );
}

function Widths() {
  const store = useStore();
  const decided = useDecided(['layout'], ['grid']);
  const { widths } = decided.document.layout;
  return (
    <Items
      path="/layout/widths"
      collection={widths}
      what="width"
      columns="minmax(0,1fr) 6rem 6.5rem"
      below={(id, width) => <WidthMore path={`/layout/widths/items/${id}`} width={width} />}
      another={() => ({
        name: `width ${widths.order.length + 1}`,
        bound: 'max' as const,
        value: 48,
        unit: 'rem' as const,
      })}
    >
      {(_, width, path) => {
        const { name, bound, value, unit } = width;
        return (
          <>
            <DecidedChoice
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
              step={1}
            />
            <TrySelect
              aria-label={`Unit of width ${name}`}
              className="select w-full"
              data-decision={`${path}/unit`}
              value={unit}
              onChange={({ currentTarget }) => {
                const next = WIDTH_UNITS.find((one) => one === currentTarget.value) ?? unit;
                // As wide as before, so that only the way of counting changes.
                store.change(
                  [
                    {
                      op: 'replace',
                      path,
                      value: jsonOf(widthIn(width, next, decided.derived.grid)),
                    },
                  ],
                  `width ${name} in ${next}`,
                );
              }}
            >
              {WIDTH_UNITS.map((one) => (
                <option key={one} value={one}>
                  {one}
                </option>
              ))}
            </TrySelect>
          </>
        );
      }}
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
  const decided = useDecided(['layout']);
  const { screen, header } = decided.document.layout;
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-4" data-decision="/layout/screen">
        <span className="w-36 text-quiet">full height is</span>
        <TryChoice
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
        <TryChoice
          label="Middle of the header"
          options={[
            { value: 'spread', name: 'between its neighbors' },
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

/** What the page as a whole is made of: widths, full height, shapes of pictures, the logo, patterns. */
export function PageView() {
  const findings = useSystem((state) => state.findings);
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
      <Section full title="Pictures on pages" aside="by what they are there">
        <PictureRoles />
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
