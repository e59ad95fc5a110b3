import { useState } from 'react';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import {
  releasedFilePath,
  releaseList,
  releasesPath,
  type ReleaseRecord,
} from '../../api/releases.ts';
import { useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { WhatChanged } from './what-changed.tsx';

const when = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short' });

const sized = (bytes: number): string =>
  bytes < 1000 ? `${bytes} B` : `${Math.round(bytes / 1000).toLocaleString('en-US')} kB`;

interface ReleaseProps {
  readonly system: string;
  readonly release: ReleaseRecord;
  readonly isLast: boolean;
}

/** One release: what its maker said, and its files, each at an address that stays. */
function Release({ system, release, isLast }: ReleaseProps) {
  const { number, words, at, files } = release;
  return (
    <li className="border-t border-line py-2">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="figures text-xl leading-8">{number}</h3>
        <time dateTime={at} className="text-quiet">
          {when.format(new Date(at))}
        </time>
      </div>
      {words !== '' && <p className="break-words whitespace-pre-line">{words}</p>}
      <details>
        <summary className="min-h-6 cursor-pointer text-quiet">
          {files.length} files{isLast && ', which latest leads to as well'}
        </summary>
        <table className="w-full text-xs">
          <thead className="sr-only">
            <tr>
              <th>file</th>
              <th>size</th>
              <th>address</th>
            </tr>
          </thead>
          <tbody>
            {files.map(({ file, bytes }) => {
              const path = releasedFilePath(system, number, file);
              return (
                <tr key={file} className="border-t border-line">
                  <td>
                    <a className="act figures" href={path} download>
                      {file}
                    </a>
                  </td>
                  <td className="figures px-2 text-end text-quiet">{sized(bytes)}</td>
                  <td className="text-end">
                    <Copy
                      text={new URL(path, location.href).href}
                      label={`address of ${file} of ${number}`}
                    >
                      address
                    </Copy>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {isLast && (
          <p className="mt-1 text-xs text-quiet">
            <Copy
              text={new URL(releasedFilePath(system, 'latest', 'tokens.css'), location.href).href}
              label="address of tokens.css of the last release"
            >
              tokens.css of whichever release is the last
            </Copy>
          </p>
        )}
      </details>
    </li>
  );
}

const NOW = 'now';

interface PickProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly string[];
  readonly onPick: (value: string) => void;
}

const PickState = ({ label, value, options, onPick }: PickProps) => (
  <label className="flex items-baseline gap-2">
    <span className="text-quiet">{label}</span>
    <select
      className="figures min-h-7 border-b border-line-strong bg-transparent"
      value={value}
      onChange={({ target }) => onPick(target.value)}
    >
      {options.map((option) => (
        <option key={option} value={option}>
          {option}
        </option>
      ))}
    </select>
  </label>
);

/** Any two states beside each other. */
function Compare({ numbers }: { readonly numbers: readonly string[] }) {
  const system = useSystem((state) => state.id);
  const sequence = useSystem((state) => state.sequence);
  const isSaved = useSystem((state) => state.saving === 'saved');
  const [last = '', before = last] = numbers;
  const [from, setFrom] = useState(before);
  const [to, setTo] = useState(numbers.length > 1 ? last : NOW);
  return (
    <>
      <Section full title="Compare">
        <div className="flex flex-wrap gap-x-6">
          <PickState label="from" value={from} options={numbers} onPick={setFrom} />
          <PickState label="to" value={to} options={[NOW, ...numbers]} onPick={setTo} />
        </div>
      </Section>
      {to === NOW && !isSaved ? (
        <p className="px-4 pt-4 text-quiet">Waiting until everything is saved …</p>
      ) : (
        <WhatChanged system={system} from={from} to={to} sequence={sequence} />
      )}
    </>
  );
}

/** Every release, the last one first, and what became of the system between any two states. */
export function Releases() {
  const system = useSystem((state) => state.id);
  const known = useSWR(releasesPath(system), (path: string) => get(path, releaseList));
  const error: unknown = known.error;
  if (error instanceof Error)
    return (
      <p role="alert" className="px-4 pt-4 text-error">
        {error.message}
      </p>
    );
  const { data } = known;
  if (!data) return <p className="px-4 pt-4 text-quiet">Reading the releases …</p>;
  const { releases } = data;
  return (
    <>
      <Section full title="Releases" aside={releases.length === 0 ? undefined : releases.length}>
        {releases.length === 0 ? (
          <p>
            None yet. A release has a number, keeps every file as it is at that moment, and is what
            the next one is compared with.
          </p>
        ) : (
          <ul aria-label="Releases">
            {releases.map((release, index) => (
              <Release
                key={release.number}
                system={system}
                release={release}
                isLast={index === 0}
              />
            ))}
          </ul>
        )}
      </Section>
      {releases.length > 0 && (
        <Compare key={releases[0]?.number} numbers={releases.map(({ number }) => number)} />
      )}
    </>
  );
}
