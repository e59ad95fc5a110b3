import { showPage } from '../system/shown-page.ts';
import { causesOf, endedBy, type Cause } from '@garnish/core/checks/causes';
import type { Finding, Repair } from '@garnish/core/checks/finding';
import { useEffect, useState } from 'react';
import { showInProof } from './spot.ts';
import { useStore, useSystem } from '../system/system-context.ts';
import { triedBy, useTrying } from '../system/use-trying.ts';

interface AcceptProps {
  readonly cause: Cause;
  readonly onDone: () => void;
}

/** What is found can stay as it is, with a reason; it becomes quiet, in all of its places. */
function Accept({ cause, onDone }: AcceptProps) {
  const store = useStore();
  const [reason, setReason] = useState('');
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() === '') return;
        const key = cause.id.replaceAll('~', '~0').replaceAll('/', '~1');
        store.change(
          [{ op: 'add', path: `/accepted/${key}`, value: { reason: reason.trim() } }],
          `accept: ${cause.title}`.slice(0, 120),
        );
        onDone();
      }}
    >
      <input
        className="input w-full"
        aria-label="Why it stays as it is"
        placeholder="because …"
        maxLength={200}
        value={reason}
        autoFocus
        onChange={(event) => setReason(event.currentTarget.value)}
        onKeyDown={(event) => event.key === 'Escape' && onDone()}
      />
      <button className="act" disabled={reason.trim() === ''}>
        Keep it as it is
      </button>
    </form>
  );
}

/** A repair; pointing at it, or coming to it by keyboard, tries it in the proof. */
function RepairButton({ repair }: { readonly repair: Repair }) {
  const store = useStore();
  const trying = useTrying();
  return (
    <button
      type="button"
      className="act"
      title={`${repair.before} becomes ${repair.after}`}
      {...triedBy(trying, () => void store.change(repair.patch, repair.label))}
    >
      {repair.label}
    </button>
  );
}

/** Shows a place in the proof, on the page that it is on. */
function useShowing(): (place: Finding) => void {
  const { state } = useStore();
  return (place) => {
    if (place.where.page !== undefined) showPage(state().id, place.where.page);
    showInProof(place);
  };
}

/** What a repair ends, where it is one of several places. */
function endsWords(repair: Repair, { places }: Cause): string {
  if (places.length === 1 || repair.ends === undefined) return '';
  const ended = endedBy(repair, places);
  return ended === places.length ? `ends all ${ended}` : `ends ${ended} of ${places.length}`;
}

/** Where something is found, each place with its figures and a way to it. */
function Places({ cause: { places, title } }: { readonly cause: Cause }) {
  const show = useShowing();
  const pages = useSystem(({ decided }) => decided.document.content.pages);
  return (
    <details>
      <summary className="min-h-6 py-0.5 hover:text-base-content">{places.length} places</summary>
      <ul aria-label={`Places: ${title}`}>
        {places.map((place) => {
          const { id, title: says, figures, where } = place;
          const page = where.page === undefined ? undefined : pages.items[where.page]?.name;
          return (
            <li key={id} className="border-t border-line py-0.5">
              <button
                type="button"
                className="min-h-6 text-start hover:underline"
                aria-label={`Show in the proof: ${says}`}
                onClick={() => show(place)}
              >
                {says}
                {page !== undefined && pages.order.length > 1 && `, on ${page}`}
              </button>
              <span className="figures block text-quiet">{figures}</span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

/** What checks say of one cause, beside the decision that it is; the repairs are the last lines. */
export function Note({ cause }: { readonly cause: Cause }) {
  const { watchRepairs } = useStore();
  useEffect(watchRepairs, [watchRepairs]);
  const show = useShowing();
  const page = useSystem(({ decided: { document } }) => {
    const { pages } = document.content;
    const on = cause.places[0].where.page;
    return on === undefined || pages.order.length < 2 ? undefined : pages.items[on]?.name;
  });
  const [accepting, setAccepting] = useState(false);
  const { severity, title, places, repairs } = cause;
  const [{ figures, reason, source }] = places;
  const [repair, ...ways] = repairs;
  const tone = severity === 'repair' ? 'error' : 'warning';
  const isOne = places.length === 1;
  return (
    <article
      aria-label={title}
      className="relative mb-4 ps-3 text-xs leading-snug"
      data-finding={cause.id}
    >
      <span
        aria-hidden
        className={`absolute start-0 top-[0.45rem] h-[3px] w-2 ${tone === 'error' ? 'bg-error' : 'bg-warning'}`}
      />
      <p className={`font-semibold ${tone === 'error' ? 'text-error' : 'text-warning'}`}>{title}</p>
      {isOne ? <p className="figures">{figures}</p> : <Places cause={cause} />}
      {isOne && page !== undefined && <p className="text-quiet">On the page {page}.</p>}
      <p className="text-quiet">{reason}</p>
      <details className="text-quiet">
        <summary className="min-h-6 py-0.5 hover:text-base-content">Source, accept</summary>
        <p>{source}.</p>
        {!accepting && (
          <button
            type="button"
            className="min-h-6 underline underline-offset-2"
            onClick={() => setAccepting(true)}
          >
            Accept with a reason
          </button>
        )}
        {accepting && <Accept cause={cause} onDone={() => setAccepting(false)} />}
      </details>
      {repair?.swatches && (
        <p className="my-1 flex h-4 w-14" aria-hidden>
          {repair.swatches.map((color, index) => (
            <span key={index} className="grow" style={{ background: color }} />
          ))}
        </p>
      )}
      <p className="flex flex-wrap gap-x-3">
        {repair && (
          <span>
            <RepairButton repair={repair} />
            {!isOne && <span className="text-quiet"> {endsWords(repair, cause)}</span>}
          </span>
        )}
        {isOne && (
          <button
            type="button"
            className="min-h-6 text-quiet hover:text-base-content hover:underline"
            onClick={() => show(places[0])}
            aria-label={`Show in the proof: ${title}`}
          >
            Show
          </button>
        )}
      </p>
      {ways.length > 0 && (
        <details className="text-quiet">
          <summary className="min-h-6 py-0.5 hover:text-base-content">Other ways</summary>
          <ul>
            {ways.map((way) => (
              <li key={`${way.label} ${way.after}`}>
                <RepairButton repair={way} />{' '}
                {!isOne && <span className="text-quiet">{endsWords(way, cause)}</span>}
              </li>
            ))}
          </ul>
        </details>
      )}
    </article>
  );
}

/** The findings whose decision lies at or below one of these places. */
export function Notes({
  findings,
  at,
}: {
  readonly findings: readonly Finding[];
  readonly at: readonly string[];
}) {
  const own = findings.filter(({ decision }) =>
    at.some((path) => decision === path || decision.startsWith(`${path}/`)),
  );
  return causesOf(own).map((cause) => <Note key={cause.id} cause={cause} />);
}
