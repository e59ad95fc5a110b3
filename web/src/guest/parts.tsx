import type { Mode } from '@garnish/core/system/document';
import type { Component } from '@garnish/core/components/component';
import {
  handedWords,
  inGroups,
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
import { ComponentDrawing, DRAWABLE } from '../proof/drawing/component-drawing.tsx';
import { TakeAway } from '../proof/take-away.tsx';
import { StageFilter, StageWord, TagLine } from './stages.tsx';
import type { GuestView } from './use-guest.ts';

interface PartsProps {
  readonly view: GuestView;
  readonly theme: Mode;
}

/** The components, one of them drawn with its measures, parts, states and code. */
export function Parts({ view, theme }: PartsProps) {
  const [parameters, setParameters] = useSearchParams();
  const [sought, setSought] = useState('');
  const component = DRAWABLE.find(({ id }) => id === parameters.get('part')) ?? DRAWABLE[0];
  const [stage, setStage] = useState<Stage>();
  const said = handedWords(view.document.content.handed);
  const wordsOf = ({ id }: Component): HandedWords => said({ kind: 'component', id });
  const found = DRAWABLE.filter((one) =>
    isFound(`${one.name}\n${one.says}`, wordsOf(one), { text: sought, stage }),
  );
  const hasStages = DRAWABLE.some((one) => wordsOf(one).stage !== undefined);
  const open = (part: string, variant?: string): void =>
    setParameters({ page: 'parts', part, ...(variant !== undefined && { variant }) });
  if (!component) return <p className="p-4">There is no component.</p>;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 grid-rows-[auto_minmax(0,1fr)] md:grid-rows-1 md:grid-cols-[13rem_minmax(0,1fr)]">
      <nav
        aria-label="Components"
        className="border-line px-4 py-2 md:overflow-auto md:border-e md:py-4"
      >
        <select
          aria-label="Component"
          className="min-h-8 w-full border-b border-line-strong bg-transparent md:hidden"
          value={component.id}
          onChange={({ target }) => open(target.value)}
        >
          {DRAWABLE.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <input
          type="search"
          aria-label="Find a component"
          placeholder="find a component"
          className="mb-2 w-full border-b border-line-strong bg-transparent leading-7 max-md:hidden"
          value={sought}
          onChange={({ target }) => setSought(target.value)}
        />
        {hasStages && <StageFilter stage={stage} onStage={setStage} />}
        {found.length === 0 && <p className="text-quiet max-md:hidden">None is found so.</p>}
        {inGroups(found, (one) => wordsOf(one).group).map(([group, things]) => (
          <div key={group} className="max-md:hidden">
            {group !== '' && <h2 className="mt-2 text-xs text-quiet">{group}</h2>}
            <ul>
              {things.map((one) => (
                <li key={one.id} className="flex items-baseline justify-between gap-x-2">
                  <button
                    type="button"
                    aria-current={one.id === component.id ? 'page' : undefined}
                    className="min-h-6 text-start text-quiet hover:text-base-content aria-[current]:font-semibold aria-[current]:text-base-content"
                    onClick={() => open(one.id)}
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
          <ComponentDrawing
            component={component}
            variant={parameters.get('variant') ?? undefined}
            onVariant={(variant) => open(component.id, variant)}
            made={view}
            theme={theme}
          />
          <TagLine words={wordsOf(component)} />
          <h2 className="mt-6 mb-1 font-semibold">Code</h2>
          <TakeAway component={component} document={view.document} derived={view.derived} />
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
