import { AS_BUILT, type Alike, type KeptPage, type Wearing } from '@garnish/core/worn/wearing';
import { useState } from 'react';
import { keepingPages } from '../../api/keeping-pages.ts';
import { useKeptPage } from '../../system/kept-page.ts';
import { announce } from '../../ui/announce.tsx';

/** What one kind of thing wore before. */
type Step = Pick<Alike, 'id' | 'wearing'>;

/** A kept page with what its things take, and ways to say it otherwise. */
export interface Worn {
  readonly page: KeptPage | undefined;
  /** Why it is not shown, or what could not be kept. */
  readonly problem: string | undefined;
  readonly wear: (kind: Alike, wearing: Wearing) => void;
  /** Reads it again. */
  readonly renew: () => Promise<unknown>;
  /** Leads back from the last of what was said here; nothing where nothing was. */
  readonly back: (() => void) | undefined;
}

/** What is said of a kind of thing in a page. */
const saidOf = (page: KeptPage, id: string, wearing: Wearing): KeptPage => ({
  ...page,
  alike: page.alike.map((one) => (one.id === id ? { ...one, wearing } : one)),
});

/** A kept page as it is worn: each saying is shown at once, and kept; what could not be kept is taken back. */
export function useWorn(system: string, id: string): Worn {
  const known = useKeptPage(system, id);
  const { data, mutate } = known;
  const [steps, setSteps] = useState<readonly Step[]>([]);
  const [refused, setRefused] = useState<string>();
  const error: unknown = known.error;
  const put = (kind: string, wearing: Wearing): void => {
    const send = async (): Promise<KeptPage | undefined> => {
      await keepingPages(system).wear(id, kind, wearing);
      return undefined;
    };
    setRefused(undefined);
    mutate(send, {
      optimisticData: (known) => saidOf(known as KeptPage, kind, wearing),
      populateCache: (_, known) => saidOf(known as KeptPage, kind, wearing),
      rollbackOnError: true,
      revalidate: false,
    }).catch((reason: unknown) => {
      const words = reason instanceof Error ? reason.message : 'It could not be kept.';
      setRefused(words);
      announce(words);
    });
  };
  const last = steps.at(-1);
  return {
    page: data,
    problem: refused ?? (error instanceof Error && !data ? error.message : undefined),
    wear: (kind, wearing) => {
      setSteps([...steps, { id: kind.id, wearing: kind.wearing }]);
      put(kind.id, wearing);
    },
    renew: () => mutate(),
    back:
      last &&
      (() => {
        setSteps(steps.slice(0, -1));
        put(last.id, last.wearing);
        announce('as before');
      }),
  };
}

/** What one thing takes of each sort: there is one of each at most. */
export type Sort = 'text' | 'ground' | 'component';

const GROUND = /^on-/;
const TEXT = /^type-/;

/** Which sort of class something is. */
export const sortOf = (name: string): Sort =>
  TEXT.test(name) ? 'text' : GROUND.test(name) ? 'ground' : 'component';

/** The class of a sort that something takes. */
export const classOf = ({ classes }: Wearing, sort: Sort): string =>
  classes.find((name) => sortOf(name) === sort) ?? '';

/** The same with another class of a sort; none where that is empty. */
export const withClass = (wearing: Wearing, sort: Sort, name: string): Wearing => ({
  // What a thing is, and what it stands on, decide the color of its words: nothing else says it then.
  values:
    sort === 'text'
      ? wearing.values
      : wearing.values.filter(
          ({ property }) =>
            property !== 'color' && (sort === 'ground' || property !== 'border-color'),
        ),
  classes: [
    ...wearing.classes.filter((one) => sortOf(one) !== sort),
    ...(name === '' ? [] : [name]),
  ],
});

const isSpace = (property: string): boolean => /^(?:margin|padding)|gap$/.test(property);

/** Whether the spaces of something are of the system, where some could be. */
export const hasSpaces = ({ values }: Wearing): boolean =>
  values.some(({ property }) => isSpace(property));

/** The same with the spaces that were proposed, or as they were built. */
export const withSpaces = (wearing: Wearing, proposed: Wearing, isWorn: boolean): Wearing => ({
  classes: wearing.classes,
  values: [
    ...wearing.values.filter(({ property }) => !isSpace(property)),
    ...(isWorn ? proposed.values.filter(({ property }) => isSpace(property)) : []),
  ],
});

export { AS_BUILT };
