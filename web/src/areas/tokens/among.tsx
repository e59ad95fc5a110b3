import { allNeeding, neededBy } from '@garnish/core/proof/needed';
import { useMemo } from 'react';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import {
  differenceBetween,
  differencePath,
  releaseList,
  releasesPath,
} from '../../api/releases.ts';
import { useDecidedLater, useStore, useSystem } from '../../system/system-context.ts';

interface PickAmongProps {
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** Which tokens are looked at: all, those that a page or a component needs, or those that changed since a release. */
export function PickAmong({ value, onChange }: PickAmongProps) {
  const content = useSystem((state) => state.decided.document.content);
  const system = useSystem((state) => state.id);
  const { data } = useSWR(releasesPath(system), (path: string) => get(path, releaseList));
  const all = allNeeding({ content });
  return (
    <select
      aria-label="Needed by, or changed since"
      className="select w-auto min-w-0 flex-1"
      value={value}
      onChange={(event) => onChange(event.currentTarget.value)}
    >
      <option value="">anywhere</option>
      {(['page', 'component'] as const).map((kind) => (
        <optgroup key={kind} label={`needed by ${kind}s`}>
          {all
            .filter((one) => one.kind === kind)
            .map(({ id, name }) => (
              <option key={id} value={`${kind} ${id}`}>
                {name}
              </option>
            ))}
        </optgroup>
      ))}
      {data && data.releases.length > 0 && (
        <optgroup label="changed since a release">
          {data.releases.map(({ number }) => (
            <option key={number} value={`release ${number}`}>
              since {number}
            </option>
          ))}
        </optgroup>
      )}
    </select>
  );
}

interface Among {
  /** The ids of the tokens; all of them where nothing is said. */
  readonly ids?: ReadonlySet<string> | undefined;
  /** Why none of them is known. */
  readonly problem?: string;
}

/** The tokens that were picked so, as the system stands. */
export function useAmong(value: string): Among {
  const store = useStore();
  const [kind, id = ''] = value.split(' ');
  const { derived } = useDecidedLater([], ['rules']);
  const content = useSystem((state) => state.decided.document.content);
  const system = useSystem((state) => state.id);
  const sequence = useSystem((state) => state.sequence);
  const isSaved = useSystem((state) => state.saving === 'saved');
  const since = useSWR(
    kind === 'release' && isSaved ? [differencePath(system, id, 'now'), sequence] : null,
    ([path]) => get(path, differenceBetween),
    { keepPreviousData: true },
  );
  const tokens = since.data?.difference.tokens;
  const ids = useMemo(() => {
    if (kind === 'release')
      return new Set([
        ...(tokens?.added ?? []).map(({ token }) => token.id),
        ...[...(tokens?.changed ?? []), ...(tokens?.renamed ?? [])].map(({ after }) => after.id),
      ]);
    if (kind !== 'page' && kind !== 'component') return undefined;
    const { decided } = store.state();
    return new Set(neededBy({ kind, id }, decided.document, decided.derived));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- asked anew where rules or pages are others
  }, [kind, id, store, content, derived.rules, tokens]);
  const error: unknown = since.error;
  return {
    ids,
    ...(kind === 'release' &&
      error instanceof Error && { problem: `What changed is not known. ${error.message}` }),
  };
}
