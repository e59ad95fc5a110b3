import { SCREEN_UNITS, WIDTH_UNITS } from '@garnish/core/system/space-schema';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { Crops } from './crops.tsx';
import { PictureRoles } from './picture-roles.tsx';
import { DecidedChoice } from '../../system/decided-choice.tsx';
import { Items } from '../../system/items.tsx';
import { LogoEditor } from './logo.tsx';
import { Patterns } from './patterns.tsx';

function Widths() {
  const decided = useDecided(['layout']);
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
          <DecidedChoice
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
