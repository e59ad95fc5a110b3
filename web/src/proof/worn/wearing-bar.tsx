import { COMPONENTS } from '@garnish/core/components/components';
import type { Alike } from '@garnish/core/worn/wearing';
import { wardrobeOf } from '@garnish/core/worn/proposed';
import { useMemo } from 'react';
import { useSystemLater } from '../../system/system-context.ts';
import {
  AS_BUILT,
  classOf,
  hasSpaces,
  withClass,
  withSpaces,
  type Sort,
  type Worn,
} from './use-worn.ts';

/** Parts of components that a page’s own things can be: what a component is made around, and not what it only has inside. */
const PARTS: ReadonlySet<string> = new Set(
  COMPONENTS.flatMap(({ variants = [] }) => variants.map(({ of }) => of)),
);

/** A class in words: without what says of which sort it is. */
const inWords = (name: string): string => name.replace(/^(?:type|on)-/, '').replaceAll('-', ' ');

interface SortChoiceProps {
  readonly sort: Sort;
  readonly label: string;
  readonly names: readonly string[];
  readonly kind: Alike;
  readonly onWear: Worn['wear'];
}

function SortChoice({ sort, label, names, kind, onWear }: SortChoiceProps) {
  const value = classOf(kind.wearing, sort);
  return (
    <label className="flex items-center gap-1">
      <span className="text-quiet">{label}</span>
      <select
        className="min-h-6 max-w-28 border-b border-line-strong bg-transparent"
        value={value}
        onChange={({ target }) => onWear(kind, withClass(kind.wearing, sort, target.value))}
      >
        <option value="">as it was</option>
        {[...new Set([...names, ...(value === '' ? [] : [value])])].map((name) => (
          <option key={name} value={name}>
            {inWords(name)}
          </option>
        ))}
      </select>
    </label>
  );
}

interface WearingBarProps {
  readonly worn: Worn;
  readonly kind: Alike | undefined;
}

/** What the things that look like the chosen one take of the system, and otherwise by a choice. */
export function WearingBar({ worn, kind }: WearingBarProps) {
  const document = useSystemLater(({ shown }) => shown.document);
  const derived = useSystemLater(({ shown }) => shown.derived);
  const wardrobe = useMemo(() => wardrobeOf(document, derived), [document, derived]);
  const { page, wear, back, problem } = worn;
  if (problem !== undefined)
    return (
      <p role="alert" className="text-error">
        {problem}
      </p>
    );
  if (!page) return <p>Reading the page …</p>;
  const goBack = back && (
    <button type="button" className="act" title="Ctrl+Z, here" onClick={back}>
      back
    </button>
  );
  if (!kind) {
    const asBuilt = page.alike.filter(
      ({ wearing: { classes, values } }) => classes.length + values.length === 0,
    ).length;
    return (
      <p className="flex flex-wrap gap-x-3">
        <span>
          Click a thing to say what it is. {page.alike.length} kinds of things
          {asBuilt > 0 && `, ${asBuilt} as they were`}.
        </span>
        {goBack}
      </p>
    );
  }
  const components = [...wardrobe.classes].filter((name) => PARTS.has(name));
  const isProposed = JSON.stringify(kind.wearing) === JSON.stringify(kind.proposed);
  const isAsBuilt = kind.wearing.classes.length + kind.wearing.values.length === 0;
  return (
    <div
      role="group"
      aria-label={`What ${kind.name} takes`}
      className="flex flex-wrap items-center gap-x-3"
      onKeyDown={(event) => {
        const isBack = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key === 'z';
        if (!isBack || !back) return;
        event.preventDefault();
        event.stopPropagation();
        back();
      }}
    >
      <span className="min-w-0 truncate">
        <strong className="font-semibold text-base-content">{kind.name}</strong>
        {kind.count > 1 && `, ${kind.count} alike`}
      </span>
      <SortChoice sort="component" label="is" names={components} kind={kind} onWear={wear} />
      <SortChoice sort="text" label="text" names={[...wardrobe.texts]} kind={kind} onWear={wear} />
      <SortChoice
        sort="ground"
        label="on"
        names={wardrobe.grounds.map(({ name }) => `on-${name}`)}
        kind={kind}
        onWear={wear}
      />
      {hasSpaces(kind.proposed) && (
        <label className="flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={hasSpaces(kind.wearing)}
            onChange={({ target }) =>
              wear(kind, withSpaces(kind.wearing, kind.proposed, target.checked))
            }
          />
          spaces
        </label>
      )}
      {!isProposed && (
        <button type="button" className="act" onClick={() => wear(kind, kind.proposed)}>
          as proposed
        </button>
      )}
      {!isAsBuilt && (
        <button type="button" className="act" onClick={() => wear(kind, AS_BUILT)}>
          as it was
        </button>
      )}
      {goBack}
    </div>
  );
}
