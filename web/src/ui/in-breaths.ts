/** So long may work go on before keys, clicks and frames have their turn, in ms. */
const BREATH_MS = 8;

/** Lets whatever waits go first: keys, clicks, a frame. Timers wait longer, and are taken where there is no channel. */
export const breathe = (): Promise<void> =>
  new Promise((resolve) => {
    if (typeof MessageChannel === 'undefined') {
      setTimeout(resolve);
      return;
    }
    const channel = new MessageChannel();
    channel.port1.onmessage = () => {
      channel.port1.close();
      resolve();
    };
    channel.port2.postMessage(undefined);
  });

/** Goes through steps and lets others have their turn meanwhile; what comes of them, or nothing where it was called off. */
export async function inBreaths<Result>(
  steps: Generator<unknown, Result>,
  isOff: () => boolean,
): Promise<Result | undefined> {
  let since = performance.now();
  while (!isOff()) {
    const step = steps.next();
    if (step.done === true) return step.value;
    if (performance.now() - since < BREATH_MS) continue;
    await breathe();
    since = performance.now();
  }
  return undefined;
}
