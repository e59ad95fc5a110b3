import { useState } from 'react';
import { Assign } from './assign.tsx';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { useSystem } from '../../system/system-context.ts';
import { Bench, Section } from '../../ui/bench.tsx';
import { NearDuplicates, ShiftPalette } from './palette.tsx';
import { Pairs } from './pairs.tsx';
import { ColorRoles, type OpenRole } from './roles.tsx';
import { Sample } from './sample.tsx';
import { Sources } from './sources.tsx';

/** Colors in, ramps out; roles for light and dark; every text on its surface judged. */
export default function ColorArea() {
  const { findings } = useSystem();
  const [open, setOpen] = useState<OpenRole>();
  return (
    <Bench title="Color">
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
        <Sample />
      </Section>
      <Section
        title="Roles"
        aside="light · dark"
        notes={<Notes findings={findings} at={['/color/roles']} />}
      >
        <ColorRoles open={open} onOpen={setOpen} />
        <Assign />
      </Section>
      <Section title="All at once" aside="shift the whole palette, seen before it is taken">
        <ShiftPalette />
      </Section>
      <Section title="Nearly the same" aside="colors that could be one">
        <NearDuplicates />
      </Section>
      <Section
        title="Pairs in use"
        aside="ratio in light, dark, needed"
        notes={<Notes findings={findings} at={['/color/texts']} />}
      >
        <Pairs />
      </Section>
    </Bench>
  );
}
