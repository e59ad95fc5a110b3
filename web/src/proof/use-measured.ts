import { useLayoutEffect, useState, type RefObject } from 'react';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of an element in px, kept up to date. */
export function useMeasured(element: RefObject<HTMLElement | null>): Size {
  const [size, setSize] = useState<Size>({ width: 720, height: 600 });
  useLayoutEffect(() => {
    const measured = element.current;
    if (!measured) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(measured);
    return () => observer.disconnect();
  }, [element]);
  return size;
}
