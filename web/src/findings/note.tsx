import { showPage } from '../system/shown-page.ts';
import type { Finding, Repair } from '@garnish/core/checks/finding';
import { useEffect, useState } from 'react';
import { showInProof } from './spot.ts';
import { useStore, useSystem } from '../system/system-context.ts';
import { triedBy, useTrying } from '../system/use-trying.ts';

interface AcceptProps {
  readonly finding: Finding;
  readonly onDone: () => void;
}

/** A finding can stay as it is, with a reason; it becomes quiet. */
function Accept({ finding, onDone }: AcceptProps) {
  const store = useStore();
  const [reason, setReason] = useState('');
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() === '') return;
        const key = finding.id.replaceAll('~', '~0').replaceAll('/', '~1');
        store.change(
          [{ op: 'add', path: `/accepted/${key}`, value: { reason: reason.trim() } }],
          `accept: ${finding.title}`.slice(0, 120),
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

/** What a check says, beside the decision that causes it; the repair is the last line. */
export function Note({ finding }: { readonly finding: Finding }) {
  const { state, watchRepairs } = useStore();
  useEffect(watchRepairs, [watchRepairs]);
  const page = useSystem(({ decided: { document } }) => {
    const { pages } = document.content;
    const on = finding.where.page;
    return on === undefined || pages.order.length < 2 ? undefined : pages.items[on]?.name;
  });
  const [accepting, setAccepting] = useState(false);
  const { severity, title, figures, reason, source, repair, ways = [] } = finding;
  const tone = severity === 'repair' ? 'error' : 'warning';
  return (
    <article
      aria-label={title}
      className="relative mb-4 ps-3 text-xs leading-snug"
      data-finding={finding.id}
    >
      <span
        aria-hidden
        className={`absolute start-0 top-[0.45rem] h-[3px] w-2 ${tone === 'error' ? 'bg-error' : 'bg-warning'}`}
      />
      <p className={`font-semibold ${tone === 'error' ? 'text-error' : 'text-warning'}`}>{title}</p>
      <p className="figures">{figures}</p>
      {page !== undefined && <p className="text-quiet">On the page {page}.</p>}
      <details className="text-quiet">
        <summary className="min-h-6 py-0.5 hover:text-base-content">Why</summary>
        <p>{reason}</p>
        <p className="mt-1">Source: {source}.</p>
        {!accepting && (
          <button
            type="button"
            className="min-h-6 underline underline-offset-2"
            onClick={() => setAccepting(true)}
          >
            Accept with a reason
          </button>
        )}
        {accepting && <Accept finding={finding} onDone={() => setAccepting(false)} />}
      </details>
      {repair?.swatches && (
        <p className="my-1 flex h-4 w-14" aria-hidden>
          {repair.swatches.map((color, index) => (
            <span key={index} className="grow" style={{ background: color }} />
          ))}
        </p>
      )}
      <p className="flex flex-wrap gap-x-3">
        {repair && <RepairButton repair={repair} />}
        <button
          type="button"
          className="min-h-6 text-quiet hover:text-base-content hover:underline"
          onClick={() => {
            if (finding.where.page !== undefined) showPage(state().id, finding.where.page);
            showInProof(finding);
          }}
          aria-label={`Show in the proof: ${title}`}
        >
          Show
        </button>
      </p>
      {ways.length > 0 && (
        <details className="text-quiet">
          <summary className="min-h-6 py-0.5 hover:text-base-content">Other ways</summary>
          <ul>
            {ways.map((way) => (
              <li key={way.label}>
                <RepairButton repair={way} />
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
  return own.map((finding) => <Note key={finding.id} finding={finding} />);
}
