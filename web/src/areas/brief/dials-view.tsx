import { DIALS, dialed, type Dial, type Stays } from '@garnish/core/derive/dials';
import { lockedIn, locking } from '@garnish/core/system/locks';
import { areaOf } from '@garnish/core/system/areas';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useStore, useSystem } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';
import { Section } from '../../ui/bench.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { Locks } from './locks.tsx';

type By = Readonly<Record<string, number>>;

interface StaysProps {
  readonly dial: Dial;
  readonly stays: readonly Stays[];
}

/** What a dial leaves as it is, and the way to where its single decisions are tuned. */
function WhatStays({ dial, stays }: StaysProps) {
  const store = useStore();
  const open = ({ name, path }: Stays): void => {
    store.change(locking(store.state().decided.document, path, false), `${name} is open again`);
  };
  return (
    <div className="text-xs text-quiet">
      <Link
        className="hover:text-base-content hover:underline"
        to={`../${areaOf(dial.at)}?at=${encodeURIComponent(dial.at)}`}
      >
        tune one by one
      </Link>
      {stays.length > 0 && (
        <details>
          <summary className="min-h-6 cursor-pointer">
            {stays.length} {stays.length === 1 ? 'stays' : 'stay'} as{' '}
            {stays.length === 1 ? 'it is' : 'they are'}
          </summary>
          <ul aria-label={`What stays beside ${dial.name}`}>
            {stays.map((one) => (
              <li key={one.path} className="flex items-baseline justify-between gap-x-3">
                <span className="min-w-0 truncate">{one.name}</span>
                <span className="figures shrink-0">{one.value}</span>
                {one.why === 'locked' ? (
                  <button type="button" className="act text-xs" onClick={() => open(one)}>
                    locked: open<span className="sr-only"> {one.name}</span>
                  </button>
                ) : (
                  <span className="shrink-0">by hand</span>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

/** Many decisions at once: seen in the proof while they are turned, decided when they are taken. */
function Dials() {
  const store = useStore();
  const decided = useSystem((state) => state.decided);
  const [by, setBy] = useState<By>({});
  useEffect(() => () => store.tryOut(undefined), [store]);
  const turned = DIALS.filter(({ id, usual }) => (by[id] ?? usual) !== usual);
  const show = (next: By): void => {
    setBy(next);
    const patch = dialed(store.state().decided, next);
    store.tryOut(patch.length > 0 ? patch : undefined);
  };
  const back = (): void => show({});
  const take = (): void => {
    const patch = dialed(store.state().decided, by);
    if (patch.length === 0) return;
    const said = turned.map(({ name, unit, id }) => `${name} ${by[id] ?? ''} ${unit}`).join(', ');
    if (!store.change(patch, said.slice(0, 120))) return;
    setBy({});
    announce('taken');
  };
  const stays = useMemo(() => DIALS.map((dial) => dial.stays(decided)), [decided]);
  return (
    <div
      onKeyDown={(event) => {
        if (event.key === 'Escape' && turned.length > 0) {
          event.stopPropagation();
          back();
        }
        if (
          event.key === 'Enter' &&
          event.target instanceof HTMLInputElement &&
          event.target.type === 'range'
        )
          take();
      }}
    >
      <div className="grid grid-cols-2 gap-x-8 gap-y-3 @max-[26rem]:grid-cols-1">
        {DIALS.map((dial, index) => (
          <div key={dial.id}>
            <NumberField
              label={dial.name}
              value={by[dial.id] ?? dial.usual}
              min={dial.least}
              max={dial.most}
              step={dial.step}
              decimals={0}
              unit={dial.unit}
              slider
              onChange={(value) => show({ ...by, [dial.id]: value })}
            />
            <WhatStays dial={dial} stays={stays[index] ?? []} />
          </div>
        ))}
      </div>
      <p className="mt-3 flex items-baseline gap-x-4">
        <button type="button" className="act" disabled={turned.length === 0} onClick={take}>
          Take {turned.length > 1 ? `these ${turned.length}` : 'it'}
        </button>
        <button
          type="button"
          className="min-h-6 text-quiet hover:text-base-content hover:underline disabled:opacity-40"
          disabled={turned.length === 0}
          onClick={back}
        >
          Back to what was there
        </button>
      </p>
    </div>
  );
}

/** Dials over many decisions, and what they and everything else leave as it is. */
export function DialsView() {
  const count = useSystem(({ decided }) => lockedIn(decided.document).length);
  return (
    <>
      <Section full title="Dials" aside="from how it stands now; tried until taken">
        <Dials />
      </Section>
      <Section full title="Locked" aside={count === 0 ? 'nothing yet' : count}>
        <Locks />
      </Section>
    </>
  );
}
