import { useRef } from 'react';

/** Movements that follow one another so closely are one gesture, and one step of undo. */
const BURST_MS = 1000;

/** Gives the same id for all movements of a burst, and a new one for the next. */
export function useGesture(): () => string {
  const burst = useRef({ id: '', until: 0 });
  return () => {
    // When the key was pressed, not when the window came to it: it may have been busy. No other way leads to the
    // event from here.
    // eslint-disable-next-line @typescript-eslint/no-deprecated
    const now = window.event?.timeStamp ?? performance.now();
    if (now > burst.current.until) burst.current.id = crypto.randomUUID();
    burst.current.until = now + BURST_MS;
    return burst.current.id;
  };
}
