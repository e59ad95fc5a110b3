import type { Mode } from '@garnish/core/system/document';
import {
  handedWords,
  inGroups,
  inHandedOrder,
  isFound,
  type HandedWords,
  type Stage,
} from '@garnish/core/system/handed-over';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { guestPath } from '../api/links.ts';
import { AssetList } from '../guide/asset-list.tsx';
import { takingFrom } from '../guide/assets.ts';
import { GuideMaker } from '../guide/maker.tsx';
import { drawableThings, type DrawableThing } from '../proof/drawing/drawable.ts';
import { ThingDrawing } from '../proof/drawing/thing-drawing.tsx';
import { TakeAway } from '../proof/take-away.tsx';
import { StageFilter, StageWord, TagLine } from './stages.tsx';
import type { GuestView } from './use-guest.ts';

interface PartsProps {
  readonly view: GuestView;
  readonly theme: Mode;
}

/** The components and sections, one of them drawn with its measures, parts, states and code. */
export function Parts({ view, theme }: PartsProps) {
  const [parameters, setParameters] = useSearchParams();
  const [sought, setSought] = useState('');
  const [stage, setStage] = useState<Stage>();
  const { pages, parts, handed } = view.document.content;
  const said = handedWords(handed);
  const wordsOf = ({ thing }: DrawableThing): HandedWords => said(thing);
  const all = useMemo(() => {
    const known = handedWords(handed);
    const things = drawableThings({ pages, ...(parts && { parts }) });
    return (['component', 'section'] as const).flatMap((kind) =>
      inHandedOrder(
        things.filter((one) => one.of.kind === kind),
        (one) => known(one.thing).rank,
      ),
    );
  }, [pages, parts, handed]);
  const shown = all.find(({ key }) => key === parameters.get('part')) ?? all[0];
  const found = all.filter((one) =>
    isFound(`${one.name}\n${one.says}\n${one.under}`, wordsOf(one), { text: sought, stage }),
  );
  const hasStages = all.some((one) => wordsOf(one).stage !== undefined);
  const open = (part: string, variant?: string): void =>
    setParameters({ page: 'parts', part, ...(variant !== undefined && { variant }) });
  if (!shown) return <p className="p-4">There is nothing to be drawn.</p>;
  const { of } = shown;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 grid-rows-[auto_minmax(0,1fr)] md:grid-rows-1 md:grid-cols-[13rem_minmax(0,1fr)]">
      <nav
        aria-label="Components and sections"
        className="border-line px-4 py-2 md:overflow-auto md:border-e md:py-4"
      >
        <select
          aria-label="Component or section"
          className="min-h-8 w-full border-b border-line-strong bg-transparent md:hidden"
          value={shown.key}
          onChange={({ target }) => open(target.value)}
        >
          {inGroups(all, (one) => wordsOf(one).group ?? one.under).map(([group, things]) => (
            <optgroup key={group} label={group}>
              {things.map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
        <input
          type="search"
          aria-label="Find a component or a section"
          placeholder="find"
          className="mb-2 w-full border-b border-line-strong bg-transparent leading-7 max-md:hidden"
          value={sought}
          onChange={({ target }) => setSought(target.value)}
        />
        {hasStages && <StageFilter stage={stage} onStage={setStage} />}
        {found.length === 0 && <p className="text-quiet max-md:hidden">None is found so.</p>}
        {inGroups(found, (one) => wordsOf(one).group ?? one.under).map(([group, things]) => (
          <div key={group} className="max-md:hidden">
            <h2 className="mt-2 text-xs text-quiet">{group}</h2>
            <ul aria-label={group}>
              {things.map((one) => (
                <li key={one.key} className="flex items-baseline justify-between gap-x-2">
                  <button
                    type="button"
                    aria-current={one === shown ? 'page' : undefined}
                    className="min-h-6 text-start text-quiet hover:text-base-content aria-[current]:font-semibold aria-[current]:text-base-content"
                    onClick={() => open(one.key)}
                  >
                    {one.name}
                  </button>
                  <StageWord words={wordsOf(one)} />
                </li>
              ))}
            </ul>
          </div>
        ))}
      </nav>
      <main className="min-w-0 overflow-auto p-4">
        <div className="mx-auto max-w-4xl">
          <ThingDrawing
            thing={shown}
            variant={parameters.get('variant') ?? undefined}
            onVariant={(variant) => open(shown.key, variant)}
            made={view}
            theme={theme}
          />
          <TagLine words={wordsOf(shown)} />
          {of.kind === 'component' ? (
            <>
              <h2 className="mt-6 mb-1 font-semibold">Code</h2>
              <TakeAway component={of.component} document={view.document} derived={view.derived} />
            </>
          ) : (
            <button
              type="button"
              className="act mt-6"
              onClick={() => setParameters({ page: of.section.page })}
            >
              On its page
            </button>
          )}
        </div>
      </main>
    </div>
  );
}

/** What is taken by itself, and the whole guide. */
export function Assets({ address, view }: { readonly address: string; readonly view: GuestView }) {
  const take = useMemo(() => takingFrom(`${guestPath(address)}/files`), [address]);
  return (
    <main className="min-h-0 flex-1 overflow-auto p-4">
      <div className="mx-auto max-w-4xl">
        <h2 className="mb-1 font-semibold">Guide</h2>
        <p className="mb-2 max-w-prose text-quiet">
          Everything here as a site of its own, to be opened from a disk.
        </p>
        <GuideMaker
          guided={{
            ...view,
            take,
            state: view.release === undefined ? 'As it stood.' : `Release ${view.release}.`,
          }}
          fileName="guide.zip"
        />
        <h2 className="mt-6 mb-1 font-semibold">Assets</h2>
        <AssetList
          document={view.document}
          derived={view.derived}
          take={take}
          fileName="assets.zip"
        />
      </div>
    </main>
  );
}
