import { createContext, use, useSyncExternalStore } from 'react';
import type { SystemState, SystemStore } from './store.ts';

export const SystemContext = createContext<SystemStore | undefined>(undefined);

/** The store of the open system; only beneath a page that has opened one. */
export function useStore(): SystemStore {
  const store = use(SystemContext);
  if (!store) throw new Error('no system is open here');
  return store;
}

export function useSystem(): SystemState {
  const { state, subscribe } = useStore();
  return useSyncExternalStore(subscribe, state);
}
