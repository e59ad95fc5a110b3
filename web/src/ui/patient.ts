import { lazy, useSyncExternalStore, type ComponentType } from 'react';

const AGAIN_MS = 1500;

let silent = 0;
const listeners = new Set<() => void>();

function count(by: 1 | -1): void {
  silent += by;
  listeners.forEach((listener) => listener());
}

const rest = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, AGAIN_MS));

/** The address of a module that did not come, as browsers name it; they do not ask for it twice by that. */
const addressIn = (error: unknown): string | undefined =>
  error instanceof Error ? /https?:\/\/\S+\.js/.exec(error.message)?.[0] : undefined;

/** Loads a module; while the server is silent it is asked again and again, and what is open stays. */
async function patient<Module>(load: () => Promise<Module>): Promise<Module> {
  let waiting = false;
  let address: string | undefined;
  for (let time = 0; ; time += 1) {
    try {
      const found =
        address === undefined
          ? await load()
          : ((await import(/* @vite-ignore */ `${address}?again=${time}`)) as Module);
      if (waiting) count(-1);
      return found;
    } catch (error) {
      address = addressIn(error) ?? address;
      if (!waiting) count(1);
      waiting = true;
      await rest();
    }
  }
}

/** A part of the application that comes when it is needed, however long the server takes. */
export const lazyPart = <Props extends object>(
  load: () => Promise<{ readonly default: ComponentType<Props> }>,
) => lazy(() => patient(load));

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whether a part of the application is waited for because the server is silent. */
export const useServerSilent = (): boolean => useSyncExternalStore(subscribe, () => silent > 0);
