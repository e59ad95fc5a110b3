import { colorName, uniqueName } from '@garnish/core/color/names';
import { inOrder } from '@garnish/core/system/document';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { NearDuplicates, ShiftPalette } from './palette.tsx';
import { Colored, WhereUsed } from './uses.tsx';

/** Names for all sources at once: from how they look, or their hex. */
function Names() {
  const store = useStore();
  const decided = useDecided(['color']);
  const sources = inOrder(decided.document.color.sources);
  const rename = (
    label: string,
    nameOf: (value: (typeof sources)[number][1]['value']) => string,
  ): void => {
    const taken = new Set<string>();
    const patch = sources.map(([id, { value }]) => {
      const name = uniqueName(nameOf(value), taken);
      taken.add(name);
      return { op: 'replace' as const, path: `/color/sources/items/${id}/name`, value: name };
    });
    store.change(patch, label);
  };
  return (
    <div>
      <ul className="grid grid-cols-2 gap-x-6">
        {sources.map(([id, { name, value }]) => (
          <li key={id} className="flex items-center gap-2 border-b border-line py-0.5">
            <span className="h-4 w-6 shrink-0" style={{ background: value }} aria-hidden />
            <span className="min-w-0 grow truncate font-semibold">{name}</span>
            <span className="truncate text-xs text-quiet">{colorName(value)}</span>
          </li>
        ))}
      </ul>
      <p className="mt-1 flex gap-x-4">
        <button
          type="button"
          className="act"
          onClick={() => rename('names from how colors look', colorName)}
        >
          Name all by how they look
        </button>
        <button
          type="button"
          className="act"
          onClick={() => rename('names from hex', (value) => value)}
        >
          Name all by their hex
        </button>
      </p>
    </div>
  );
}

/** What concerns the palette as a whole. */
export function WholeView() {
  return (
    <>
      <Section full title="All at once" aside="shift the palette, seen before it is taken">
        <ShiftPalette />
      </Section>
      <Section full title="Nearly the same" aside="colors that could be one">
        <NearDuplicates />
      </Section>
      <Section full title="Where a color is used">
        <WhereUsed />
      </Section>
      <Section full title="How much is colored" aside="in the proof, as it stands">
        <Colored />
      </Section>
      <Section full title="Names of the sources" aside="become names of tokens">
        <Names />
      </Section>
    </>
  );
}
