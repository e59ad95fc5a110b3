import { stateOf } from '@garnish/core/components/states';
import { shareOf, type Counts, type Match } from '@garnish/core/reading/drift';
import {
  countsInWords,
  driftMarkdown,
  NO_COMPONENT,
  percent,
} from '@garnish/core/reading/drift-report';
import type { ValueKind } from '@garnish/core/reading/values';
import { readDocument } from '@garnish/core/system/upgrade';
import { useMemo, useState } from 'react';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import { releasedDocument, releaseList, releasesPath } from '../../api/releases.ts';
import { useSystem, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { saveAs } from '../../ui/save-as.ts';
import { SheetDrop } from '../../ui/sheet-drop.tsx';
import { DriftRows } from './drift-rows.tsx';
import type { DriftFound } from './drift-worker.ts';
import { FaultList } from './fault-list.tsx';
import { HowFar } from './how-far.tsx';
import { useDrift, type Figure } from './use-drift.ts';
import { areaOf, useDrifted, type Drifted } from './use-drifted.ts';

const NOW = 'as it stands';

/** A system as it stands, or as it was released; nothing while that is fetched. */
function useStateOf(system: string, name: string) {
  const now = useSystemLater(({ decided }) => decided.document);
  const known = useSWR(
    name === NOW ? null : `${releasesPath(system)}/${name}/document`,
    (path: string) => get(path, releasedDocument),
    { revalidateOnFocus: false },
  );
  const { data } = known;
  const released = useMemo(() => data && readDocument(data.document), [data]);
  const failed: unknown = known.error;
  return {
    document: name === NOW ? now : released?.ok === true ? released.document : undefined,
    isFailed: failed !== undefined || released?.ok === false,
    now,
  };
}

const MATCH_NAMES: readonly { readonly value: Match; readonly name: string }[] = [
  { value: 'near', name: 'near' },
  { value: 'foreign', name: 'foreign' },
  { value: 'equal', name: 'equal' },
];

/** The parts of the figure, in a line as long as all of it. */
const Bar = ({ counts }: { readonly counts: Counts }) => {
  const all = counts.equal + counts.near + counts.foreign;
  const part = (count: number): string => `${all === 0 ? 0 : (100 * count) / all}%`;
  return (
    <span aria-hidden className="flex h-2 w-full border border-line-strong">
      <span className="bg-base-content" style={{ width: part(counts.equal) }} />
      <span
        className="bg-[repeating-linear-gradient(135deg,currentcolor_0_1px,transparent_1px_4px)]"
        style={{ width: part(counts.near) }}
      />
    </span>
  );
};

interface TableProps {
  readonly title: string;
  readonly rows: readonly (readonly [string, Counts])[];
}

/** The figure of each kind, or of each file. */
const CountTable = ({ title, rows }: TableProps) => (
  <table className="w-full table-fixed">
    <thead>
      <tr className="text-quiet">
        <th scope="col" className="w-2/5 text-start font-normal">
          {title}
        </th>
        {['equal', 'near', 'foreign'].map((words) => (
          <th key={words} scope="col" className="text-end font-normal">
            {words}
          </th>
        ))}
        <th scope="col" className="text-end font-normal">
          share
        </th>
      </tr>
    </thead>
    <tbody className="figures">
      {rows.map(([name, counts]) => (
        <tr key={name} className="border-t border-line">
          <th scope="row" className="truncate text-start font-sans font-normal" title={name}>
            {name}
          </th>
          <td className="text-end">{counts.equal}</td>
          <td className="text-end">{counts.near}</td>
          <td className="text-end">{counts.foreign}</td>
          <td className="text-end">{percent(shareOf(counts))}</td>
        </tr>
      ))}
    </tbody>
  </table>
);

/** What became of it since the files before. */
function sinceThen(share: number, { share: old, at }: Figure): string {
  const day = new Date(at).toLocaleString('en', { dateStyle: 'medium', timeStyle: 'short' });
  const points = Math.abs(Math.round((share - old) * 1000) / 10);
  if (points === 0) return `as it was on ${day}`;
  return `${points} points ${share > old ? 'better' : 'worse'} than on ${day}`;
}

/** The one figure, and what it is made of. */
function FigureOf({
  found,
  before,
}: {
  readonly found: DriftFound;
  readonly before?: Figure | undefined;
}) {
  const { drift, state } = found.report;
  const share = shareOf(drift.all);
  return (
    <Section full title="How much is the system’s" aside={state}>
      <p className="flex items-baseline gap-x-3">
        <span className="figures text-3xl">{percent(share)}</span>
        <span className="text-quiet">{before ? sinceThen(share, before) : ''}</span>
      </p>
      <Bar counts={drift.all} />
      <p className="my-1 text-quiet">
        {countsInWords(drift.all)} of {found.files} {found.files === 1 ? 'file' : 'files'}.{' '}
        {drift.unjudged} more hang on what sheets alone do not tell: shares, em, what the page
        around them says.
        {drift.own.length > 0 &&
          ` ${drift.own.join(', ')} is the system’s own sheet and not counted.`}
      </p>
      <CountTable title="kind" rows={drift.byKind} />
      {drift.byComponent.some(([name]) => name !== '') && (
        <details className="mt-2">
          <summary className="min-h-6 cursor-pointer text-quiet">by component</summary>
          <CountTable
            title="component"
            rows={drift.byComponent.map(([name, counts]) => [
              name === '' ? NO_COMPONENT : name,
              counts,
            ])}
          />
        </details>
      )}
      {drift.byFile.length > 1 && (
        <details className="mt-2">
          <summary className="min-h-6 cursor-pointer text-quiet">by file</summary>
          <CountTable title="file" rows={drift.byFile} />
        </details>
      )}
    </Section>
  );
}

/** Every value of a match and a kind, and what is taken of them. */
function Values({
  found: { report, patch },
  drifted,
}: {
  readonly found: DriftFound;
  readonly drifted: Drifted;
}) {
  const { rows, all } = report.drift;
  const [match, setMatch] = useState<Match>('near');
  const [kind, setKind] = useState<ValueKind>();
  // What covers most of the pages is mended first; without pages, what stands in most places.
  const own = rows
    .filter((row) => row.match === match)
    .toSorted((one, other) => (areaOf(drifted, other) ?? 0) - (areaOf(drifted, one) ?? 0));
  const kinds = [...new Set(own.map((row) => row.kind))];
  const shown = kind !== undefined && kinds.includes(kind) ? kind : undefined;
  const save = (name: string, text: string, type: string): void =>
    saveAs(name, new Blob([text], { type }));
  return (
    <Section
      full
      title="Values"
      aside={
        <span className="flex flex-wrap gap-x-4">
          {patch !== '' && (
            <button
              type="button"
              className="act"
              onClick={() => save('drift.patch', patch, 'text/x-diff')}
            >
              Patch
            </button>
          )}
          <button
            type="button"
            className="act"
            onClick={() => save('drift.md', driftMarkdown(report), 'text/markdown')}
          >
            Report
          </button>
          <button
            type="button"
            className="act"
            onClick={() =>
              save('drift.json', `${JSON.stringify(report, null, 2)}\n`, 'application/json')
            }
          >
            JSON
          </button>
        </span>
      }
    >
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4">
        <Choice
          label="How they stand to the system"
          options={MATCH_NAMES.map((one) => ({ ...one, name: `${one.name} ${all[one.value]}` }))}
          value={match}
          onChange={setMatch}
        />
        <select
          aria-label="Kind"
          className="min-h-7 border-b border-line-strong bg-transparent"
          value={shown ?? ''}
          onChange={({ target }) => setKind(kinds.find((one) => one === target.value))}
        >
          <option value="">every kind</option>
          {kinds.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </div>
      <DriftRows
        rows={own.filter((row) => shown === undefined || row.kind === shown)}
        areaOf={(row) => areaOf(drifted, row)}
      />
    </Section>
  );
}

/** How much of each page wears what is not the system’s. */
function ByPage({ drifted }: { readonly drifted: Drifted }) {
  if (drifted.length === 0) return null;
  return (
    <Section full title="On the pages" aside="as wide as 1280 px, light">
      <ul aria-label="Pages">
        {drifted.map(([{ file, title }, { count, of, area }]) => (
          <li
            key={file}
            className="flex items-baseline justify-between gap-x-3 border-t border-line"
          >
            <span className="truncate" title={file}>
              {title || file}
            </span>
            <span className="figures shrink-0 text-quiet">
              {count} of {of} things, {percent(area)} of the page
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** What else is told: states that are missing, tokens that nobody takes, what was not read. */
function Besides({ found: { report, missing, refused } }: { readonly found: DriftFound }) {
  const { states, problems, drift } = report;
  const lists: readonly (readonly [title: string, lines: readonly string[]])[] = [
    [
      'States that are missing',
      states.map(
        ({ name, states: all }) => `.${name}: ${all.map((one) => stateOf(one).name).join(', ')}`,
      ),
    ],
    ['Tokens that stand nowhere', drift.nowhere],
    [
      'Not read',
      [
        ...refused,
        ...missing.map(
          (address) => `${address}: it is not among the files, and nothing is fetched`,
        ),
        ...problems.map(({ file, line, message }) => `${file}:${line}: ${message}`),
      ],
    ],
  ];
  return lists.map(([title, lines]) =>
    lines.length === 0 ? null : (
      <Section full key={title} title={title} aside={`${lines.length}`}>
        <details>
          <summary className="min-h-6 cursor-pointer truncate text-quiet">
            {lines.slice(0, 3).join('; ')}
          </summary>
          <ul className="figures max-h-72 overflow-auto text-xs" tabIndex={0}>
            {lines.map((line, index) => (
              // Two lines may say the same.
              // oxlint-disable-next-line react/no-array-index-key
              <li key={index} className="border-t border-line py-0.5 break-words">
                {line}
              </li>
            ))}
          </ul>
        </details>
      </Section>
    ),
  );
}

/** How far style sheets and pages that were built have drifted from what was decided. */
export function DriftView() {
  const system = useSystem((state) => state.id);
  const [name, setName] = useState(NOW);
  const { document, now, isFailed } = useStateOf(system, name);
  const { data: releases } = useSWR(releasesPath(system), (path: string) => get(path, releaseList));
  const state = name === NOW || !document ? NOW : `release ${name}`;
  const { found, pages, progress, problem, before, read, stop } = useDrift(
    system,
    document ?? now,
    state,
  );
  const drifted = useDrifted(pages, found);
  return (
    <>
      <Section full title="Drift" aside="nothing is sent anywhere">
        <p className="text-quiet">
          Style sheets and pages as they were built, held against what was decided: every color,
          size, space, corner and time in them.
        </p>
        <SheetDrop name="Style sheets and pages" className="my-1 py-2" onFiles={read}>
          or drop them here
        </SheetDrop>
        <label className="flex items-baseline gap-x-2">
          <span className="text-quiet">held against</span>
          <select
            className="min-h-7 border-b border-line-strong bg-transparent"
            value={name}
            onChange={({ target }) => setName(target.value)}
          >
            <option>{NOW}</option>
            {releases?.releases.map(({ number }) => (
              <option key={number} value={number}>
                release {number}
              </option>
            ))}
          </select>
        </label>
        {isFailed && (
          <p role="alert" className="text-error">
            That release cannot be read now. It is held against the system as it stands.
          </p>
        )}
        <HowFar progress={progress} problem={problem} onCancel={stop} />
      </Section>
      {found && (
        <>
          <FigureOf found={found} before={before} />
          <ByPage drifted={drifted} />
          <Values found={found} drifted={drifted} />
          <FaultList faults={found.report.faults} />
          <Besides found={found} />
        </>
      )}
    </>
  );
}
