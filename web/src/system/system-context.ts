import type { Derived } from '@garnish/core/derive/derived';
import type { StyleDocument } from '@garnish/core/system/document';
import {
  createContext,
  startTransition,
  use,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { sameParts } from './same-parts.ts';
import type { SystemState, SystemStore } from './store.ts';
import type { View } from './views.ts';

export const SystemContext = createContext<SystemStore | undefined>(undefined);

/** The store of the open system; only beneath a page that has opened one. */
export function useStore(): SystemStore {
  const store = use(SystemContext);
  if (!store) throw new Error('no system is open here');
  return store;
}

/**
 * What a component shows of the open system: it is drawn again only when that is another. Several things
 * are selected as one record, whose parts are compared.
 */
export function useSystem<Selected>(select: (state: SystemState) => Selected): Selected {
  const { state, subscribe } = useStore();
  const last = useRef<{ readonly value: Selected } | undefined>(undefined);
  const snapshot = (): Selected => {
    const value = select(state());
    if (!last.current || !sameParts(last.current.value, value)) last.current = { value };
    return last.current.value;
  };
  return useSyncExternalStore(subscribe, snapshot);
}

const picked = <Whole extends object, Key extends keyof Whole>(
  whole: Whole,
  keys: readonly Key[],
): Pick<Whole, Key> => Object.fromEntries(keys.map((key) => [key, whole[key]])) as Pick<Whole, Key>;

/** Some parts of a view, by their names. */
interface Parts<Of extends keyof StyleDocument, From extends keyof Derived> {
  readonly document: Pick<StyleDocument, Of>;
  readonly derived: Pick<Derived, From>;
}

const partsOf = <Of extends keyof StyleDocument, From extends keyof Derived>(
  { document, derived }: View,
  of: readonly Of[],
  from: readonly From[],
): Parts<Of, From> => ({ document: picked(document, of), derived: picked(derived, from) });

/** The named parts of what is decided, and of what follows from it; drawn again when one of them changed. */
export const useDecided = <
  const Of extends keyof StyleDocument,
  const From extends keyof Derived = never,
>(
  of: readonly Of[],
  from: readonly From[] = [],
): Parts<Of, From> => useSystem(({ decided }) => partsOf(decided, of, from));

/** The same of what the proof shows: what is decided, or what is being tried. */
export const useShown = <
  const Of extends keyof StyleDocument,
  const From extends keyof Derived = never,
>(
  of: readonly Of[],
  from: readonly From[] = [],
): Parts<Of, From> => useSystem(({ shown }) => partsOf(shown, of, from));

/**
 * What a component shows, a moment later: for drawings that may follow what the hand moves. They are drawn
 * when there is time, and not at all at a movement that the next one has overtaken.
 */
export function useSystemLater<Selected>(select: (state: SystemState) => Selected): Selected {
  const store = useStore();
  const [value, setValue] = useState(() => select(store.state()));
  /** What was last asked to be drawn: React keeps what it is asked until something else is drawn. */
  const asked = useRef(value);
  const selecting = useRef(select);
  useLayoutEffect(() => {
    selecting.current = select;
  });
  useEffect(() => {
    const follow = (): void => {
      const now = selecting.current(store.state());
      if (sameParts(asked.current, now)) return;
      asked.current = now;
      startTransition(() => setValue(() => now));
    };
    follow();
    return store.subscribe(follow);
  }, [store]);
  return value;
}

/** Draws what follows from the system when there is time. */
export function Later<Selected>({
  select,
  children,
}: {
  readonly select: (state: SystemState) => Selected;
  readonly children: (selected: Selected) => ReactNode;
}): ReactNode {
  return children(useSystemLater(select));
}

/** The named parts of what is decided, a moment later. */
export const useDecidedLater = <
  const Of extends keyof StyleDocument,
  const From extends keyof Derived = never,
>(
  of: readonly Of[],
  from: readonly From[] = [],
): Parts<Of, From> => useSystemLater(({ decided }) => partsOf(decided, of, from));

/** The named parts of what the proof shows, a moment later. */
export const useShownLater = <
  const Of extends keyof StyleDocument,
  const From extends keyof Derived = never,
>(
  of: readonly Of[],
  from: readonly From[] = [],
): Parts<Of, From> => useSystemLater(({ shown }) => partsOf(shown, of, from));
