import {
  handedKey,
  handedWords,
  handing,
  inHandedOrder,
  isFound,
  orderingHanded,
  STAGES,
  tagsIn,
  type HandedThing,
  type HandedWords,
  type Stage,
} from '@garnish/core/system/handed-over';
import { inOrder } from '@garnish/core/system/document';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import { drawableThings } from '../../proof/drawing/drawable.ts';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { LineField } from '../../ui/line-field.tsx';

interface RowProps {
  readonly thing: HandedThing;
  readonly name: string;
  /** Its name where nothing is seen around it. */
  readonly called: string;
  readonly words: HandedWords;
  /** Moves it up or down among its like; nothing where it cannot go. */
  readonly move: (by: -1 | 1) => (() => void) | undefined;
}

/** So far apart are those of another page, or of another group of components. */
interface Block {
  readonly title: string;
  readonly rows: readonly Omit<RowProps, 'move'>[];
}

const freshId = (): string => `handed-${crypto.randomUUID().slice(0, 13)}`;

const LINE =
  'min-h-7 w-full border-b border-transparent bg-transparent leading-7 hover:border-line-strong focus:border-line-strong';

const ARROWS = [
  [-1, 'up', ChevronUp],
  [1, 'down', ChevronDown],
] as const;

/** How far something is, which group it stands in, its tags, and its place among its like. */
function Row({ thing, name, called, words, move }: RowProps) {
  const store = useStore();
  const say = (next: HandedWords): void => {
    const { handed } = store.state().decided.document.content;
    const patch = handing(handed, thing, next, freshId);
    if (patch.length > 0) store.change(patch, `what is said of ${called}`.slice(0, 120));
  };
  return (
    <tr className="border-t border-line align-baseline">
      <th scope="row" className="max-w-0 truncate py-0.5 pe-3 text-start font-normal" title={name}>
        {name}
      </th>
      <td className="pe-3">
        <select
          aria-label={`State of ${called}`}
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
          label={`Group of ${called}`}
          placeholder="–"
          className={LINE}
          longest={80}
          value={words.group ?? ''}
          onChange={(group) => say({ group })}
        />
      </td>
      <td>
        <LineField
          label={`Tags of ${called}`}
          placeholder="–"
          className={LINE}
          longest={400}
          value={(words.tags ?? []).join(', ')}
          onChange={(text) => say({ tags: tagsIn(text) })}
        />
      </td>
      <td className="text-end whitespace-nowrap">
        {ARROWS.map(([by, says, Icon]) => (
          <button
            key={says}
            type="button"
            aria-label={`Move ${called} ${says}`}
            title={`Move ${says}`}
            disabled={!move(by)}
            className="inline-grid h-7 w-6 place-items-center text-quiet hover:text-base-content disabled:invisible"
            onClick={() => move(by)?.()}
          >
            <Icon size={13} aria-hidden />
          </button>
        ))}
      </td>
    </tr>
  );
}

/** Everything that is handed over, with how far it is and in which order; guests see it so. */
export function Things() {
  const store = useStore();
  const { pages, parts, handed } = useSystem((state) => state.decided.document.content);
  const [text, setText] = useState('');
  const [stage, setStage] = useState<Stage>();
  const blocks = useMemo((): readonly Block[] => {
    const said = handedWords(handed);
    const drawn = drawableThings({ pages, ...(parts && { parts }) }).map((one) => ({
      ...one,
      called: one.of.kind === 'section' ? `${one.name}, ${one.of.section.pageName}` : one.name,
    }));
    const shownPages = inOrder(pages)
      .filter(([, { isOff }]) => isOff !== true)
      .map(([id, { name }]) => ({ thing: { kind: 'page', id } as const, name, called: name }));
    const titles = [
      ...new Set(drawn.filter(({ of }) => of.kind === 'section').map(({ under }) => under)),
    ];
    const block = (
      title: string,
      things: readonly Pick<RowProps, 'thing' | 'name' | 'called'>[],
    ): Block => ({
      title,
      rows: inHandedOrder(
        things.map(({ thing, name, called }) => ({ thing, name, called, words: said(thing) })),
        ({ words }) => words.rank,
      ),
    });
    return [
      block('Pages', shownPages),
      ...titles.map((title) =>
        block(
          title,
          drawn.filter(({ under }) => under === title),
        ),
      ),
      block(
        'Components',
        drawn.filter(({ of }) => of.kind === 'component'),
      ),
    ];
  }, [pages, parts, handed]);
  const all = blocks.flatMap(({ rows }) => rows);
  const isWhole = text.trim() === '' && stage === undefined;
  const found = blocks
    .map(({ title, rows }) => ({
      title,
      rows: rows.filter(({ name, words }) => isFound(`${name}\n${title}`, words, { text, stage })),
    }))
    .filter(({ rows }) => rows.length > 0);
  /** What puts one in the place of its neighbor; nothing where there is none, or not all are seen. */
  const moveOf =
    (rows: Block['rows'], at: number): RowProps['move'] =>
    (by) => {
      const [row, other] = [rows[at], rows[at + by]];
      if (!isWhole || !row || !other) return undefined;
      return () => {
        const order = rows.map(({ thing }) => thing);
        [order[at], order[at + by]] = [other.thing, row.thing];
        const before = store.state().decided.document.content.handed;
        const patch = orderingHanded(before, order, freshId);
        if (patch.length > 0) store.change(patch, `${row.called} moved`.slice(0, 120));
      };
    };
  const count = found.reduce((sum, { rows }) => sum + rows.length, 0);
  return (
    <Section full title="Pages, sections and components" aside={`${count} of ${all.length}`}>
      <div className="mb-2 flex gap-x-4">
        <input
          type="search"
          aria-label="Find a page, a section or a component"
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
      {count === 0 ? (
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
              <td className="w-14" />
            </tr>
          </thead>
          {found.map(({ title, rows }) => (
            <tbody key={title}>
              <tr>
                <th scope="rowgroup" colSpan={5} className="pt-3 pb-0.5 text-start font-semibold">
                  {title}
                </th>
              </tr>
              {rows.map((one, at) => (
                <Row key={handedKey(one.thing)} {...one} move={moveOf(rows, at)} />
              ))}
            </tbody>
          ))}
        </table>
      )}
    </Section>
  );
}
