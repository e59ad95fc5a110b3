import { inOrder } from '@garnish/core/system/document';
import { letterWidthIn } from '@garnish/core/fonts/family';
import { fluidPx } from '@garnish/core/type/fluid';
import { charactersPerLine, COMFORTABLE } from '@garnish/core/type/line-length';
import { intervalOf, INTERVALS } from '@garnish/core/type/scale';
import { useDeferredValue } from 'react';
import { usePreferences } from '../../app/preferences.ts';
import { SizeCurves } from '../../charts/size-curves.tsx';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Bench, Section } from '../../ui/bench.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';
import { Roles } from './roles.tsx';
import { Stair } from './stair.tsx';

const ENDS = ['narrow', 'wide'] as const;

function Anchor({ end }: { readonly end: (typeof ENDS)[number] }) {
  const store = useStore();
  const { decided } = useSystem();
  const { width, base, ratio } = decided.document.type.anchors[end];
  const path = `/type/anchors/${end}`;
  const set =
    (part: 'width' | 'base' | 'ratio') =>
    (value: number, gesture: string): void => {
      store.change(
        [{ op: 'replace', path: `${path}/${part}`, value }],
        part === 'width' ? `${end} width` : `${part} at ${width} px`,
        { gesture },
      );
    };
  return (
    <div
      className="grid grid-cols-[4.5rem_4.5rem_4rem_minmax(0,1fr)] items-start gap-x-3"
      role="group"
      aria-label={`${end} screen`}
      data-decision={path}
    >
      <NumberField
        label={`width of the ${end} screen`}
        hideLabel
        value={width}
        min={160}
        max={5120}
        step={10}
        decimals={0}
        unit="px"
        units={PX_UNITS}
        onChange={set('width')}
      />
      <NumberField
        label={`base on the ${end} screen`}
        hideLabel
        value={base}
        min={6}
        max={64}
        step={0.5}
        unit="px"
        units={PX_UNITS}
        slider
        onChange={set('base')}
      />
      <NumberField
        label={`ratio on the ${end} screen`}
        hideLabel
        value={ratio}
        min={1}
        max={2.5}
        step={0.01}
        decimals={4}
        slider
        onChange={set('ratio')}
      />
      <label className="min-w-0">
        <span className="sr-only">interval on the {end} screen</span>
        <select
          className="select w-full text-xs text-quiet"
          value={intervalOf(ratio) ?? ''}
          onChange={(event) => {
            const chosen = INTERVALS.find(({ name }) => name === event.currentTarget.value);
            if (chosen) set('ratio')(Number(chosen.ratio.toFixed(4)), crypto.randomUUID());
          }}
        >
          <option value="" disabled>
            your own
          </option>
          {INTERVALS.map(({ name }) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      </label>
    </div>
  );
}

/** The column in which the proof sets running text, in px. */
const PROSE_PX = 640;

/** How long a line of body text is at the proof's width. */
function LineLength() {
  const { decided } = useSystem();
  const { proofWidth } = usePreferences();
  const body = decided.derived.styles.get('body');
  const inset = decided.derived.steps.get(decided.document.space.roles.inset)?.px ?? 0;
  if (!body) return null;
  const columnPx = Math.min(PROSE_PX, proofWidth - 2 * inset);
  const characters = charactersPerLine(
    columnPx,
    fluidPx(body.size, proofWidth),
    letterWidthIn(body.family, decided.document.brief.languages[0] ?? 'en'),
  );
  return (
    <Fact>
      {body.name} line: about {Math.round(characters)} characters at {proofWidth} px,{' '}
      {characters > COMFORTABLE.to
        ? 'longer than'
        : characters < COMFORTABLE.from
          ? 'shorter than'
          : 'within'}{' '}
      the {COMFORTABLE.from} to {COMFORTABLE.to} that are comfortable.
    </Fact>
  );
}

/** Sizes at two screen widths, and every role's place on the scale between them. */
export default function TypeArea() {
  const { decided, findings } = useSystem();
  // While a slider moves, the proof and the curves come first, the rest as soon as there is time.
  const later = useDeferredValue(decided);
  const { anchors, roles } = decided.document.type;
  return (
    <Bench title="Type">
      <Section
        title="Anchors"
        aside="sizes flow between, and rest outside"
        notes={<Notes findings={findings} at={['/type/anchors']} />}
      >
        <div
          className="mb-1 grid grid-cols-[4.5rem_4.5rem_4rem_minmax(0,1fr)] gap-x-3 text-quiet"
          aria-hidden
        >
          <span>at width</span>
          <span>base</span>
          <span>ratio</span>
        </div>
        {ENDS.map((end) => (
          <Anchor key={end} end={end} />
        ))}
      </Section>
      <Section
        notes={<LineLength />}
        title="Stair"
        aside={`filled at ${anchors.narrow.width}, outline at ${anchors.wide.width} px`}
      >
        <Stair view={later} />
      </Section>
      <Section title="Size over screen width" aside="px">
        <SizeCurves />
      </Section>
      <Section
        title="Roles"
        aside={`${roles.order.length}`}
        notes={
          <Notes findings={findings} at={inOrder(roles).map(([id]) => `/type/roles/items/${id}`)} />
        }
      >
        <Roles view={later} />
      </Section>
    </Bench>
  );
}
