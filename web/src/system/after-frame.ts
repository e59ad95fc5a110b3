/** A hidden page draws no frames: then it is not waited for one longer than this. */
const LONGEST_MS = 200;

/**
 * Runs something once the frame that is being made has been drawn, so that what a person sees comes first;
 * gives the way to call it off. Where nothing is drawn it runs a little later.
 */
export function afterFrame(run: () => void): () => void {
  let isOver = false;
  let frame: number | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const end = (): void => {
    isOver = true;
    clearTimeout(timer);
    if (frame !== undefined) cancelAnimationFrame(frame);
  };
  const go = (): void => {
    if (isOver) return;
    end();
    run();
  };
  if (typeof requestAnimationFrame === 'function') {
    timer = setTimeout(go, LONGEST_MS);
    frame = requestAnimationFrame(() => {
      frame = undefined;
      clearTimeout(timer);
      // The callback comes before the frame is drawn, the next task after it.
      timer = setTimeout(go);
    });
  } else timer = setTimeout(go);
  return end;
}
