import {
  handedWords,
  handing,
  isFound,
  STAGES,
  tagsIn,
  type HandedThing,
  type HandedWords,
  type Stage,
} from '@garnish/core/system/handed-over';
import { inOrder } from '@garnish/core/system/document';
import { useState } from 'react';
import { DRAWABLE } from '../../proof/drawing/component-drawing.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { LineField } from '../../ui/line-field.tsx';

interface RowProps {
  readonly thing: HandedThing;
  readonly name: string;
  readonly words: HandedWords;
}

const LINE =
  'min-h-7 w-full border-b border-transparent bg-transparent leading-7 hover:border-line-strong focus:border-line-strong';

/** How far a page or a component is, which group it stands in, and its tags. */
function Row({ thing, name, words }: RowProps) {
  const store = useStore();
  const say = (next: HandedWords): void => {
    const { handed } = store.state().decided.document.content;
    const patch = handing(handed, thing, next, () => `handed-${crypto.randomUUID().slice(0, 13)}`);
    if (patch.length > 0) store.change(patch, `what is said of ${name}`.slice(0, 120));
  };
  return (
    <tr className="border-t border-line align-baseline">
      <th scope="row" className="max-w-0 truncate py-0.5 pe-3 text-start font-normal" title={name}>
        {name}
      </th>
      <td className="pe-3">
        <select
          aria-label={`State of ${name}`}
          className={`${LINE} ${words.stage === undefined ? 'text-quiet' : ''}`}
          value={words.stage ?? ''}
          onChange={({ target }) => say({ stage: STAGES.find((one) => one === target.value) })}
        >
          <option value="">–</option>
          {STAGES.map((stage) => (
            <option key={stage}>{stage}</option>
          ))}
        </select>
      </td>
      <td className="pe-3">
        <LineField
          label={`Group of ${name}`}
          placeholder="–"
          className={LINE}
          longest={80}
          value={words.group ?? ''}
          onChange={(group) => say({ group })}
        />
      </td>
      <td>
        <LineField
          label={`Tags of ${name}`}
          placeholder="–"
          className={LINE}
          longest={400}
          value={(words.tags ?? []).join(', ')}
          onChange={(text) => say({ tags: tagsIn(text) })}
        />
      </td>
    </tr>
  );
}

/** Everything that is handed over, with how far it is; guests see it so. */
export function Things() {
  const { pages, handed } = useSystem((state) => state.decided.document.content);
  const [text, setText] = useState('');
  const [stage, setStage] = useState<Stage>();
  const said = handedWords(handed);
  const all: readonly RowProps[] = [
    ...inOrder(pages)
      .filter(([, { isOff }]) => isOff !== true)
      .map(([id, { name }]) => ({ thing: { kind: 'page', id } as const, name })),
    ...DRAWABLE.map(({ id, name }) => ({ thing: { kind: 'component', id } as const, name })),
  ].map((one) => ({ ...one, words: said(one.thing) }));
  const found = all.filter(({ name, words }) => isFound(name, words, { text, stage }));
  return (
    <Section full title="Pages and components" aside={`${found.length} of ${all.length}`}>
      <div className="mb-2 flex gap-x-4">
        <input
          type="search"
          aria-label="Find a page or a component"
          placeholder="name, group or tag"
          className="min-w-0 grow border-b border-line-strong bg-transparent leading-7"
          value={text}
          onChange={({ target }) => setText(target.value)}
        />
        <select
          aria-label="State"
          className="min-h-7 border-b border-line-strong bg-transparent"
          value={stage ?? ''}
          onChange={({ target }) => setStage(STAGES.find((one) => one === target.value))}
        >
          <option value="">any state</option>
          {STAGES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </div>
      {found.length === 0 ? (
        <p className="text-quiet">Nothing is found by these words.</p>
      ) : (
        <table className="w-full table-fixed" data-decision="/content/handed">
          <thead>
            <tr className="text-quiet">
              {['name', 'state', 'group', 'tags'].map((words) => (
                <th key={words} scope="col" className="pe-3 text-start font-normal">
                  {words}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {found.map((one) => (
              <Row key={`${one.thing.kind} ${one.thing.id}`} {...one} />
            ))}
          </tbody>
        </table>
      )}
    </Section>
  );
}
