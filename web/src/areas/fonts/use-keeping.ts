import type { KeptPair } from '@garnish/core/system/keeper';
import { jsonOf } from '@garnish/core/system/patch';
import type { FontFamily } from '@garnish/core/fonts/family';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { send } from '../../api/client.ts';
import { useSystem } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';

/** Where pairs that were set aside are kept. */
export const KEEPERS = '/api/keepers';

interface Faces {
  readonly heading: FontFamily;
  readonly text: FontFamily;
  readonly label: FontFamily | undefined;
}

export interface Keeping {
  /** What was set aside here, in that order, and what each is called. */
  readonly pairs: readonly KeptPair[];
  readonly names: ReadonlySet<string>;
  /** Sets faces aside; nothing of the system changes. */
  readonly keep: (name: string, faces: Faces) => void;
  readonly problem: string | undefined;
}

/** Sets faces aside while they are looked through; each once. */
export function useKeeping(): Keeping {
  const origin = useSystem(({ decided }) => decided.document.name);
  const { mutate } = useSWRConfig();
  const [kept, setKept] = useState<ReadonlyMap<string, KeptPair>>(new Map());
  const [problem, setProblem] = useState<string>();
  return {
    pairs: [...kept.values()],
    names: new Set(kept.keys()),
    problem,
    keep: (name, { heading, text, label }) => {
      if (kept.has(name)) return;
      const pair: KeptPair = { heading, text, ...(label && { label }) };
      setProblem(undefined);
      setKept(new Map([...kept, [name, pair]]));
      send('POST', KEEPERS, { pair: jsonOf(pair), note: '', origin })
        .then(() => {
          announce(`${name} is set aside`);
          return mutate(KEEPERS);
        })
        .catch((reason: unknown) => {
          setKept((now) => new Map([...now].filter(([other]) => other !== name)));
          setProblem(reason instanceof Error ? reason.message : 'It could not be set aside.');
        });
    },
  };
}
