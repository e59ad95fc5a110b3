import type { Box } from '@garnish/core/measures/geometry';
import { seenOn, type SeenElement, type SeenPage } from '@garnish/core/reading/seen';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import { useEffect, useRef, useState } from 'react';
import { boxOf } from '../chosen.ts';
import { useMeasured } from '../use-measured.ts';
import { dressPage } from './dress-page.ts';
import { lookOver } from './look.ts';

/** A page as it was looked at. */
export interface Looked {
  readonly elements: readonly Element[];
  readonly seen: readonly SeenElement[];
  readonly page: SeenPage;
}

/** So much of a window a page takes: what is told of it stands below, and is seen with it. */
const HIGH = 'clamp(14rem, 40svh, 34rem)';
/** No more things are outlined at once. */
const MOST_MARKED = 200;

interface PageFrameProps {
  readonly page: ShownPage;
  readonly widthPx: number;
  readonly theme: 'light' | 'dark';
  /** What of it is marked, by place. */
  readonly marked: readonly number[];
  readonly looked: Looked | undefined;
  readonly onLooked: (looked: Looked | undefined) => void;
  /** Something is chosen in it by pointing. */
  readonly onChoose: (place: number) => void;
}

/** Looks at a page once it is laid out, again after it was laid out anew. */
function useLooking(
  document: Document | undefined,
  { page, widthPx, theme, onLooked }: PageFrameProps,
): void {
  useEffect(() => {
    if (!document) return undefined;
    let isOff = false;
    dressPage(document, page, theme);
    onLooked(undefined);
    const look = async (): Promise<void> => {
      const found = await lookOver(document, () => isOff);
      if (!found || isOff) return;
      const seen = found.map(([, one]) => one);
      onLooked({ elements: found.map(([element]) => element), seen, page: seenOn(seen) });
    };
    void look();
    return () => {
      isOff = true;
    };
  }, [document, page, widthPx, theme, onLooked]);
}

/** A page of somebody else’s, shown without anything in it that acts, with outlines around what is marked. */
export function PageFrame(props: PageFrameProps) {
  const { page, widthPx, theme, marked, looked, onChoose } = props;
  const [document, setDocument] = useState<Document>();
  const [pointed, setPointed] = useState<Element>();
  const [, setScrolled] = useState(0);
  const room = useRef<HTMLDivElement>(null);
  const { width, height } = useMeasured(room);
  const scale = Math.min(1, width / widthPx);
  useLooking(document, props);
  useEffect(() => {
    if (!document) return undefined;
    const targetOf = (event: Event): Element | undefined => {
      const { target } = event;
      return target !== null && 'closest' in target ? (target as Element) : undefined;
    };
    const point = (event: Event): void => setPointed(targetOf(event));
    const leave = (): void => setPointed(undefined);
    const click = (event: Event): void => {
      event.preventDefault();
      let one = targetOf(event);
      while (one && looked?.elements.includes(one) !== true) one = one.parentElement ?? undefined;
      if (one && looked) onChoose(looked.elements.indexOf(one));
    };
    const scrolled = (): void => setScrolled((count) => count + 1);
    document.addEventListener('pointermove', point);
    document.documentElement.addEventListener('pointerleave', leave);
    document.addEventListener('click', click, true);
    document.addEventListener('submit', click, true);
    document.addEventListener('scroll', scrolled, true);
    return () => {
      document.removeEventListener('pointermove', point);
      document.documentElement.removeEventListener('pointerleave', leave);
      document.removeEventListener('click', click, true);
      document.removeEventListener('submit', click, true);
      document.removeEventListener('scroll', scrolled, true);
    };
  }, [document, looked, onChoose]);
  const [first] = marked;
  useEffect(() => {
    if (first !== undefined) looked?.elements[first]?.scrollIntoView({ block: 'center' });
  }, [first, looked]);
  const outlines = marked
    .slice(0, MOST_MARKED)
    .flatMap((place) => looked?.elements[place] ?? [])
    .map(boxOf);
  const rectOf = ({ left, top, width: wide, height }: Box) => ({
    x: left * scale,
    y: top * scale,
    width: wide * scale,
    height: height * scale,
  });
  return (
    <div
      ref={room}
      className="relative overflow-hidden border border-line-strong"
      style={{ height: HIGH }}
    >
      <iframe
        src="/reading/"
        title={`Page ${page.title || page.file}`}
        className="block origin-top-left border-0 bg-white"
        style={{
          width: widthPx,
          height: height / scale,
          transform: `scale(${scale})`,
          colorScheme: theme,
        }}
        onLoad={({ currentTarget }) => setDocument(currentTarget.contentDocument ?? undefined)}
      />
      <svg
        aria-hidden
        className="pointer-events-none absolute inset-0 h-full w-full"
        fill="none"
        data-marked={outlines.length}
      >
        {pointed?.isConnected && (
          <rect {...rectOf(boxOf(pointed))} stroke="#111" strokeDasharray="3 3" />
        )}
        {outlines.map((box, index) => (
          <g key={index}>
            <rect {...rectOf(box)} stroke="#fff" strokeWidth="3" strokeOpacity="0.8" />
            <rect {...rectOf(box)} className="stroke-primary" strokeWidth="1.5" />
          </g>
        ))}
      </svg>
    </div>
  );
}
