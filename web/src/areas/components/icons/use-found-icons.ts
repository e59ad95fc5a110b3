import { useEffect, useRef, useState } from 'react';
import { get } from '../../../api/client.ts';
import { addressOf, foundPage, PAGE, type FoundIcon, type Query } from './found-icons.ts';

/** Pages that are kept: fewer drawings together than the smallest of the large sets has. */
const MOST_PAGES = 10;
/** Typing rests so long before it is asked. */
const RESTS_MS = 150;

export interface Found {
  /** How many there are; undefined until the first answer. */
  readonly total: number | undefined;
  readonly at: (index: number) => FoundIcon | undefined;
  /** Asks for what stands between two places, and lets what is far away go. */
  readonly need: (from: number, to: number) => void;
  readonly problem: string | undefined;
  /** Asks once more where the server said nothing. */
  readonly again: () => void;
}

interface Known {
  readonly key: string;
  readonly total: number | undefined;
  readonly pages: ReadonlyMap<number, readonly FoundIcon[]>;
  readonly problem: string | undefined;
}

const NOTHING: ReadonlyMap<number, readonly FoundIcon[]> = new Map();

const FIRST: readonly number[] = [0];

/** The pages with one more; those farthest from it go where they are too many. */
function nearest(
  before: ReadonlyMap<number, readonly FoundIcon[]>,
  page: number,
  icons: readonly FoundIcon[],
): ReadonlyMap<number, readonly FoundIcon[]> {
  const pages = new Map(before).set(page, icons);
  const far = [...pages.keys()].toSorted(
    (one, other) => Math.abs(other - page) - Math.abs(one - page),
  );
  for (const one of far.slice(0, Math.max(0, pages.size - MOST_PAGES))) pages.delete(one);
  return pages;
}

/** The icons that fit what is asked, page by page as they are looked at. */
export function useFoundIcons(query: Query): Found {
  const key = addressOf(query, 0);
  const [known, setKnown] = useState<Known>({
    key,
    total: undefined,
    pages: NOTHING,
    problem: undefined,
  });
  const [wanted, setWanted] = useState<readonly number[]>(FIRST);
  const asked = useRef(new Set<string>());
  const latest = useRef(key);

  useEffect(() => {
    latest.current = key;
    const ask = async (page: number): Promise<void> => {
      const address = addressOf(query, page);
      if (asked.current.has(address)) return;
      asked.current.add(address);
      try {
        const { total, icons } = await get(address, foundPage);
        if (latest.current !== key) return;
        setKnown((before) => ({
          key,
          total,
          pages: nearest(before.key === key ? before.pages : NOTHING, page, icons),
          problem: undefined,
        }));
      } catch (error) {
        if (latest.current !== key) return;
        const problem = error instanceof Error ? error.message : 'The server does not answer.';
        setKnown((before) => ({ ...before, problem }));
      } finally {
        asked.current.delete(address);
      }
    };
    const timer = setTimeout(
      () => {
        for (const page of known.key === key ? wanted : FIRST)
          if (known.key !== key || !known.pages.has(page)) void ask(page);
      },
      known.key === key && known.total !== undefined ? 0 : RESTS_MS,
    );
    return () => clearTimeout(timer);
    // What is asked is said by its key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, wanted, known.key]);

  return {
    // What was found before stays until the next answer is there: nothing jumps while one types.
    total: known.total,
    at: (index) => known.pages.get(Math.floor(index / PAGE))?.[index % PAGE],
    need(from, to) {
      const first = Math.floor(from / PAGE);
      const pages = Array.from(
        { length: Math.floor(to / PAGE) - first + 1 },
        (_, at) => first + at,
      );
      setWanted((before) => (before.join() === pages.join() ? before : pages));
    },
    problem: known.problem,
    again: () => setWanted((before) => [...before]),
  };
}
