import { createDeriver } from '@garnish/core/derive/derive';
import type { Derived } from '@garnish/core/derive/derived';
import { sheetOf, type SheetBlock } from '@garnish/core/formats/sheet';
import type { StyleDocument } from '@garnish/core/system/document';
import { readDocument } from '@garnish/core/system/upgrade';
import { useEffect, useMemo, useState } from 'react';
import * as z from 'zod/mini';
import useSWR, { useSWRConfig } from 'swr';
import { ApiError, get, send } from '../api/client.ts';
import { follow } from '../api/follow.ts';
import { guestKept, guestPath, guestState } from '../api/links.ts';

/** What a guest reads: a system as it stands, or a release of it. */
export interface GuestView {
  readonly document: StyleDocument;
  readonly derived: Derived;
  readonly sheet: readonly SheetBlock[];
  readonly release?: string;
  readonly mayWrite: boolean;
  /** For a client: pages and questions alone. */
  readonly forClient: boolean;
  /** Whether it opens pages that were read from outside, in the looks of the system. */
  readonly hasKept: boolean;
  /** The change that it is of. */
  readonly sequence: number;
}

export type GuestSays =
  | { readonly kind: 'opening' }
  | { readonly kind: 'asked'; readonly problem: string | undefined }
  | { readonly kind: 'nowhere'; readonly problem: string }
  | { readonly kind: 'failed'; readonly problem: string }
  | { readonly kind: 'open'; readonly view: GuestView; readonly isInTouch: boolean };

/** Within how long a change is asked for, in ms, so that many windows do not ask at once. */
function spreadOf(told: string): number {
  const parsed = z.object({ spreadMs: z.optional(z.number()) }).safeParse(JSON.parse(told));
  return parsed.data?.spreadMs ?? 0;
}

const TAKEN_BACK = 'It was taken back, or its time is over.';
const UNREADABLE = 'What stands here cannot be read. Load it again later.';

/** Opens what an address leads to, follows every change of it, and says when it has lost touch. */
export function useGuest(address: string) {
  const path = guestPath(address);
  const [isGone, setGone] = useState(false);
  const [isLost, setLost] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [derive] = useState(createDeriver);
  const { mutate: mutateAny } = useSWRConfig();
  const { data, error, mutate } = useSWR<Awaited<ReturnType<typeof read>>, unknown>(path, read, {
    shouldRetryOnError: false,
  });
  const view = useMemo((): GuestView | undefined => {
    if (!data) return undefined;
    const result = readDocument(data.document);
    if (!result.ok) return undefined;
    const derived = derive(result.document);
    return {
      document: result.document,
      sequence: data.sequence,
      mayWrite: data.mayWrite,
      forClient: data.forClient,
      hasKept: data.hasKept === true,
      derived,
      sheet: sheetOf(derived),
      ...(data.release !== undefined && { release: data.release }),
    };
  }, [data, derive]);
  const isOpen = data !== undefined;
  useEffect(() => {
    if (!isOpen || isGone) return undefined;
    let soon: ReturnType<typeof setTimeout> | undefined;
    const leave = follow(`${path}/events`, {
      onFound: () => setLost(false),
      onLost: () => setLost(true),
      // It may have been taken back meanwhile.
      onAgain: () => void mutate(),
      on: {
        changed: (told) => {
          clearTimeout(soon);
          soon = setTimeout(
            () => {
              void mutate();
              // What was written is told in the same way.
              void mutateAny(
                (key) =>
                  typeof key === 'string' &&
                  (key === `${path}/notes` || key.startsWith(guestKept(path))),
              );
            },
            Math.random() * spreadOf(told),
          );
        },
        gone: () => setGone(true),
      },
    });
    return () => {
      leave();
      clearTimeout(soon);
    };
  }, [path, isOpen, isGone, mutate, mutateAny]);

  const says = ((): GuestSays => {
    const status = error instanceof ApiError ? error.status : undefined;
    if (isGone || status === 404)
      return {
        kind: 'nowhere',
        problem: error instanceof ApiError && status === 404 ? error.problem.detail : TAKEN_BACK,
      };
    if (status === 401) return { kind: 'asked', problem };
    if (view) return { kind: 'open', view, isInTouch: !isLost && error === undefined };
    if (data) return { kind: 'failed', problem: UNREADABLE };
    return error instanceof Error
      ? { kind: 'failed', problem: error.message }
      : { kind: 'opening' };
  })();

  /** Tells the words that are asked for. */
  const enter = async (passphrase: string): Promise<void> => {
    setProblem(undefined);
    try {
      await send('POST', `${path}/enter`, { passphrase });
      await mutate();
    } catch (thrown) {
      setProblem(
        thrown instanceof ApiError
          ? thrown.problem.detail
          : 'The server does not answer. Try again.',
      );
    }
  };
  return [says, enter] as const;
}

const read = (path: string) => get(path, guestState);
