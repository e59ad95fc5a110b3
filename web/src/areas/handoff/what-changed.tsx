import { DIFFERENCE_FILES } from '@garnish/core/releases/files';
import { Link } from 'react-router';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import { differenceBetween, differencePath } from '../../api/releases.ts';
import { decisionAddress } from '../../findings/address.ts';
import { useModes } from '../../system/proof-theme.ts';
import { Section } from '../../ui/bench.tsx';
import { Differences } from '../../ui/differences.tsx';
import { BothLooks } from './both-looks.tsx';

interface WhatChangedProps {
  readonly system: string;
  /** The number of a release. */
  readonly from: string;
  /** Another, or `now`. */
  readonly to: string;
  /** Of what stands now. */
  readonly sequence: number;
}

/** What became of the system between two states, by meaning. */
export function WhatChanged({ system, from, to, sequence }: WhatChangedProps) {
  const modes = useModes();
  const known = useSWR(
    [differencePath(system, from, to), to === 'now' ? sequence : 0],
    ([path]) => get(path, differenceBetween),
    { keepPreviousData: true },
  );
  const error: unknown = known.error;
  if (error instanceof Error)
    return (
      <p role="alert" className="px-4 pt-4 text-error">
        {error.message}
      </p>
    );
  const { data } = known;
  if (!data)
    return (
      <p className="px-4 pt-4 text-quiet">
        Comparing {from} with {to} …
      </p>
    );
  const { difference } = data;
  return (
    <>
      <Section full title={`${from} to ${to}`} aside="what changed, to take away">
        <ul aria-label="Files of what changed" className="flex flex-wrap gap-x-4">
          {DIFFERENCE_FILES.map(({ file, says }) => (
            <li key={file}>
              <a
                className="act figures"
                href={differencePath(system, from, to, file)}
                title={says}
                download
              >
                {file}
              </a>
            </li>
          ))}
        </ul>
        {data.reasons.length === 0 && <p>Nothing changed between the two.</p>}
      </Section>
      <Differences
        difference={difference}
        modes={modes}
        goTo={(path, words) => (
          <Link className="act" to={`../${decisionAddress(path)}`}>
            Go there<span className="sr-only">: {words}</span>
          </Link>
        )}
      />
      {difference.looks.length > 0 && (
        <BothLooks system={system} from={from} to={to} looks={difference.looks} />
      )}
    </>
  );
}
