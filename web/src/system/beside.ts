import { patched, type Patch } from '@garnish/core/system/patch';
import type { SystemState, SystemStore } from './store.ts';
import { createViewer } from './views.ts';

/**
 * A store beside another: the same system as if something more were decided, which nothing keeps. It follows whatever
 * the other one shows; where the change does not fit any more, it is the other one.
 */
export function besideStore(store: SystemStore, patch: Patch): SystemStore {
  const viewer = createViewer();
  let last: { readonly of: SystemState; readonly state: SystemState } | undefined;
  return {
    ...store,
    state() {
      const of = store.state();
      if (last?.of === of) return last.state;
      const other = patched(of.shown.document, patch);
      const view = other.ok ? viewer(other.document) : of.shown;
      last = { of, state: { ...of, decided: view, shown: view } };
      return last.state;
    },
  };
}
