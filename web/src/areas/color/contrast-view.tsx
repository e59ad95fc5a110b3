import { Notes } from '../../findings/note.tsx';
import { useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { ContrastTable } from './contrast-table.tsx';
import { Pairs } from './pairs.tsx';

/** Every color judged where it stands, and which text stands where. */
export function ContrastView() {
  const findings = useSystem((state) => state.findings);
  return (
    <>
      <Section title="Contrast" aside="of the emitted colors" full>
        <ContrastTable />
      </Section>
      <Section
        title="Pairs in use"
        aside="ratio in light, dark, needed"
        notes={<Notes findings={findings} at={['/color/texts']} />}
      >
        <Pairs />
      </Section>
    </>
  );
}
