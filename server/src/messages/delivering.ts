import type { Messages } from './store.ts';

/** How often it is looked whether something is to be sent, in ms. */
const EVERY_MS = 1000;

/** Sends what is due, again and again, until it is stopped. */
export function keepDelivering(
  { deliver, close }: Pick<Messages, 'deliver' | 'close'>,
  warn: (error: unknown) => void,
): { readonly stop: () => Promise<void> } {
  let isStopped = false;
  let going: Promise<void> = Promise.resolve();
  let timer: ReturnType<typeof setTimeout>;
  const next = (): void => {
    if (isStopped) return;
    timer = setTimeout(() => {
      going = deliver()
        // A database that is away is told elsewhere; it is tried again.
        .catch(warn)
        .then(next);
    }, EVERY_MS);
    timer.unref();
  };
  next();
  return {
    stop: async () => {
      isStopped = true;
      clearTimeout(timer);
      close();
      await going;
    },
  };
}
