import type { FontFamily } from '@garnish/core/fonts/family';
import { PARTS, type PairingBrief } from '@garnish/core/fonts/pairing';
import { reasonsOf, standingOf } from '@garnish/core/fonts/pairing-reasons';
import type { Face } from '@garnish/core/system/document';
import { chosenFaces } from '@garnish/core/system/faces';
import { Suspense, useEffect, useRef, useState } from 'react';
import { LanguagesField, MoodField, NeedsField } from '../../brief/brief-fields.tsx';
import { Bookmark, BookmarkCheck } from 'lucide-react';
import { useDecided } from '../../system/system-context.ts';
import { FaceName } from '../../ui/face-name.tsx';
import { lazyPart } from '../../ui/patient.ts';
import { useTryList, type Candidate, type TryList } from '../../system/use-try-list.ts';
import { choosingAll } from './choosing.ts';
import { Proposals } from './proposals.tsx';
import type { RankedPair } from './rank-worker.ts';
import { useKeeping } from './use-keeping.ts';
import { useRanking } from './use-ranking.ts';

interface PairRowProps {
  readonly pair: RankedPair;
  readonly heading: FontFamily;
  readonly text: FontFamily;
  readonly label: FontFamily | undefined;
  readonly brief: PairingBrief;
  readonly candidate: Candidate;
  readonly list: TryList;
  readonly chosen: boolean;
  /** Sets it aside without taking it; nothing where it is set aside already. */
  readonly onKeep: (() => void) | undefined;
}

function PairRow(props: PairRowProps) {
  const { pair, heading, text, label, brief, candidate, list, chosen, onKeep } = props;
  const row = useRef<HTMLLIElement>(null);
  const active = list.active === candidate.id;
  const reasons = reasonsOf({ parts: pair.parts, heading, text, ...(label && { label }) }, brief);
  useEffect(() => {
    if (active) row.current?.scrollIntoView({ block: 'nearest' });
  }, [active]);
  return (
    <li
      ref={row}
      id={`pair-${candidate.id}`}
      role="option"
      aria-selected={chosen}
      aria-label={`${candidate.label}, ${Math.round(pair.score * 100)} of 100`}
      data-active={active || undefined}
      className="cursor-pointer border-b border-line px-1.5 py-1.5 data-active:bg-base-300"
      onPointerEnter={() => list.point(candidate)}
      onClick={() => list.take(candidate)}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_1.5rem_6.5rem_2rem] items-center gap-x-3">
        <span className="min-w-0">
          <span className="block truncate text-lg leading-tight">
            <FaceName family={heading} weight={700} />
          </span>
          <span className="block truncate">
            <FaceName family={text} weight={400} />
            {label && (
              <>
                <span className="text-quiet" aria-hidden>
                  {' · '}
                </span>
                <FaceName family={label} weight={600} />
              </>
            )}
          </span>
        </span>
        {/* For the pointer; by key it is S, said over the list. */}
        <span
          className={`grid h-6 w-6 place-items-center ${onKeep ? 'text-quiet hover:text-base-content' : ''}`}
          title={onKeep ? `Set ${candidate.label} aside` : 'set aside'}
          data-keeps={candidate.label}
          onClick={(event) => {
            event.stopPropagation();
            onKeep?.();
          }}
        >
          {onKeep ? <Bookmark size={14} aria-hidden /> : <BookmarkCheck size={14} aria-hidden />}
        </span>
        <span className="grid gap-[2px]" aria-hidden>
          {PARTS.map((part) => (
            <span key={part} className="h-[3px] bg-line">
              <span
                className="block h-full bg-base-content"
                style={{ width: `${pair.parts[part] * 100}%` }}
              />
            </span>
          ))}
        </span>
        <span className="figures text-end text-[0.9375rem]">
          {chosen && <span className="sr-only">chosen </span>}
          {Math.round(pair.score * 100)}
        </span>
      </div>
      {active && <p className="mt-1 text-xs">{standingOf(pair)}</p>}
      {active && (
        <dl className="mt-1 grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-2 text-xs">
          {PARTS.map((part) => (
            <div key={part} className="contents">
              <dt className="text-quiet">{part}</dt>
              <dd>{reasons[part]}</dd>
            </div>
          ))}
        </dl>
      )}
    </li>
  );
}

const Compare = lazyPart(async () => ({ default: (await import('./compare.tsx')).Compare }));

/** So many stand beside the present one where they are compared: the last that were set aside. */
const MOST_BESIDE_PRESENT = 3;

/** Every pair that the brief allows, ranked, with the reasons. */
export function Pairs({ families }: { readonly families: readonly FontFamily[] }) {
  const decided = useDecided(['brief', 'fonts', 'type']);
  const { brief, fonts } = decided.document;
  const [held, setHeld] = useState<readonly Face[]>([]);
  const [trios, setTrios] = useState(false);
  const kept = useKeeping();
  const { heading, text } = fonts.roles;
  const wanted: PairingBrief = {
    mood: brief.mood,
    needs: brief.needs,
    languages: brief.languages,
    budgetKb: brief.fontBudgetKb,
  };
  const ranking = useRanking(
    families,
    wanted,
    {
      heading: held.includes('heading') ? heading.family.id : undefined,
      text: held.includes('text') ? text.family.id : undefined,
      label: held.includes('label') ? fonts.roles.label?.family.id : undefined,
    },
    trios,
  );
  const byId = new Map(families.map((family) => [family.id, family]));
  /** The families of a ranked pair; undefined while the list of families is another one. */
  const known = (pair: RankedPair) => {
    const one = byId.get(pair.heading);
    const other = byId.get(pair.text);
    const third = byId.get(pair.label ?? '');
    if (!one || !other) return undefined;
    const name = `${one.name} over ${other.name}${third ? `, labels ${third.name}` : ''}`;
    return { one, other, third, name };
  };
  const rows = (ranking?.best ?? []).flatMap((pair) => {
    const families = known(pair);
    if (!families) return [];
    const { one, other, third, name } = families;
    const chosen =
      one.id === heading.family.id &&
      other.id === text.family.id &&
      (!third || third.id === fonts.roles.label?.family.id);
    const candidate: Candidate = {
      id: [one.id, other.id, third?.id].filter(Boolean).join('-'),
      patch: () =>
        chosen
          ? undefined
          : choosingAll(decided.document, { heading: one, text: other, label: third }),
      label: name,
    };
    return [{ pair, heading: one, text: other, label: third, candidate, chosen }];
  });
  // Pairs leave the labels alone, so their face can be held for trios only; code is never one of them.
  const faces = chosenFaces(fonts).filter(
    ({ face, narrow }) => !narrow && face !== 'code' && (face !== 'label' || trios),
  );
  const [comparing, setComparing] = useState(false);
  const list = useTryList(
    rows.map(({ candidate }) => candidate),
    rows.find(({ chosen }) => chosen)?.candidate.id,
  );
  return (
    <>
      {comparing && (
        <Suspense>
          <Compare
            pairs={[
              {
                heading: heading.family,
                text: text.family,
                ...(fonts.roles.label && { label: fonts.roles.label.family }),
              },
              ...kept.pairs.slice(-MOST_BESIDE_PRESENT),
            ]}
            onClose={() => setComparing(false)}
          />
        </Suspense>
      )}
      <details className="mb-1">
        <summary className="min-h-6">What they are ranked for</summary>
        <div className="mb-2 grid gap-2 border-b border-line pb-2">
          <MoodField />
          <NeedsField />
          <LanguagesField />
        </div>
      </details>
      <div className="mb-2 flex flex-wrap items-center gap-x-4">
        <span className="text-quiet">Hold</span>
        {faces.map(({ face, choice }) => (
          <label key={face} className="flex min-h-6 items-center gap-1">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={held.includes(face)}
              // One of those that are sought is left to be found.
              disabled={!held.includes(face) && held.length >= (trios ? 2 : 1)}
              onChange={() => {
                const next = held.includes(face)
                  ? held.filter((other) => other !== face)
                  : [...held, face];
                setHeld(next);
                if (next.length === 0) setTrios(false);
              }}
            />
            {choice.family.name}
          </label>
        ))}
        <label
          className={`flex min-h-6 items-center gap-1 ${held.length > 0 ? '' : 'text-quiet'}`}
          title={
            held.length > 0 ? undefined : 'Hold one face first: a third is chosen beside something.'
          }
        >
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={trios}
            disabled={held.length === 0}
            onChange={() => {
              setTrios(!trios);
              if (trios) setHeld(held.filter((face) => face !== 'label').slice(0, 1));
            }}
          />
          with a label face
        </label>
      </div>
      <Proposals
        candidates={rows.map(({ candidate }) => candidate)}
        seed={[...held, trios, heading.family.id, text.family.id, ...brief.mood].join(' ')}
        list={list}
      />
      <p className="mb-1 flex flex-wrap items-baseline gap-x-4 text-xs text-quiet" role="status">
        <span>S sets the one that is tried aside, without taking it.</span>
        {kept.pairs.length > 0 && (
          <button type="button" className="act text-xs" onClick={() => setComparing(true)}>
            Compare {kept.pairs.length === 1 ? 'it' : `these ${kept.pairs.length}`} with the present
          </button>
        )}
        {kept.problem !== undefined && <span className="text-error">{kept.problem}</span>}
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)_1.5rem_6.5rem_2rem] gap-x-3 border-b border-line-strong px-1.5 text-xs text-quiet">
        <span>{ranking ? `the best ${rows.length} of ${ranking.count}` : 'ranking …'}</span>
        <span />
        <span aria-hidden title={PARTS.join(', ')}>
          six parts
        </span>
        <span className="text-end" aria-hidden>
          of 100
        </span>
      </div>
      {ranking && rows.length === 0 ? (
        <p className="py-4 text-quiet">
          No face has all that the brief needs. Take a need or a language out of it.
        </p>
      ) : (
        <ul
          role="listbox"
          tabIndex={0}
          aria-label={trios ? 'Trios, the best first' : 'Pairs, the best first'}
          aria-busy={!ranking}
          aria-activedescendant={list.active && `pair-${list.active}`}
          className="h-[26rem] overflow-y-auto"
          aria-keyshortcuts="S"
          onKeyDown={(event) => {
            const row = rows.find(({ candidate }) => candidate.id === list.active);
            if (event.key.toLowerCase() !== 's' || event.ctrlKey || event.metaKey || !row)
              list.press(event);
            else kept.keep(row.candidate.label, row);
          }}
          onPointerLeave={list.goBack}
          onBlur={list.goBack}
        >
          {rows.map((row) => (
            <PairRow
              key={row.candidate.id}
              {...row}
              brief={wanted}
              list={list}
              onKeep={
                kept.names.has(row.candidate.label)
                  ? undefined
                  : () => kept.keep(row.candidate.label, row)
              }
            />
          ))}
        </ul>
      )}
      {ranking && ranking.worst.length > 0 && (
        <details className="mt-3">
          <summary className="min-h-6">The last, and why</summary>
          <ul className="text-xs">
            {ranking.worst.map((pair) => {
              const families = known(pair);
              if (!families) return null;
              const { one, other, third, name } = families;
              const reasons = reasonsOf(
                { parts: pair.parts, heading: one, text: other, ...(third && { label: third }) },
                wanted,
              );
              const least = PARTS.toSorted((part, next) => pair.parts[part] - pair.parts[next]);
              return (
                <li key={name} className="border-t border-line py-1">
                  <span className="font-semibold">{name}</span>{' '}
                  <span className="figures">{Math.round(pair.score * 100)}</span>
                  <span className="block text-quiet">
                    {least
                      .slice(0, 2)
                      .map((part) => reasons[part])
                      .join(' ')}
                  </span>
                </li>
              );
            })}
          </ul>
        </details>
      )}
      {ranking && ranking.excluded.length > 0 && (
        <details className="mt-1">
          <summary className="min-h-6">
            {ranking.excluded.length} faces cannot set this text
          </summary>
          <ul className="text-xs">
            {ranking.excluded.map(({ name, reasons }) => (
              <li key={name} className="border-t border-line py-0.5">
                <span className="font-semibold">{name}</span> {reasons.join(', ')}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
