import { RUNG_NAMES, type RungNames } from '@garnish/core/color/ramp';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Gradients } from './gradients.tsx';
import { Palettes } from './palettes.tsx';
import { Sample } from './sample.tsx';
import { Sources } from './sources.tsx';

/** Where colors come from: sources and their ramps, pictures, palettes set aside, gradients. */
export function PaletteView() {
  const store = useStore();
  const rungNames = useSystem(({ decided }) => decided.document.color.rungNames ?? 'from paper');
  const findings = useSystem((state) => state.findings);
  const name = (next: RungNames): void => {
    store.change(
      [
        next === 'from paper'
          ? { op: 'remove', path: '/color/rungNames' }
          : { op: 'add', path: '/color/rungNames', value: next },
      ],
      `rungs named ${next}`,
    );
  };
  return (
    <>
      <Section
        title="Sources"
        aside="from paper to ink"
        notes={
          <>
            <Notes findings={findings} at={['/color/sources', '/color/neutral']} />
            <Fact>The diamond marks the color itself, kept exactly as it was given.</Fact>
          </>
        }
      >
        <Sources />
        <div className="mt-3 flex flex-wrap items-center gap-x-3" data-decision="/color/rungNames">
          <span className="text-quiet">Rungs named</span>
          <Choice
            label="How rungs are named"
            options={RUNG_NAMES.map((value) => ({ value, name: value }))}
            value={rungNames}
            onChange={(next) => next !== rungNames && name(next)}
          />
        </div>
        <Sample />
      </Section>
      <Section
        title="Gradients"
        aside="between roles"
        notes={<Notes findings={findings} at={['/color/gradients']} />}
      >
        <Gradients />
      </Section>
      <Section title="Palettes" aside="set aside, and shipped" full>
        <Palettes />
      </Section>
    </>
  );
}
