import { useLayoutEffect, useRef, type ReactNode } from 'react';
import { useDecisionTarget } from './use-decision-target.ts';

interface BenchProps {
  readonly title: string;
  readonly margin?: boolean;
  readonly children: ReactNode;
}

/** The decisions of an area, with a margin for what the checks say of them. */
export function Bench({ title, margin = true, children }: BenchProps) {
  useDecisionTarget();
  const bench = useRef<HTMLDivElement>(null);
  // Asked after each drawing: a rule with :has() would cost 40 ms of style at every movement.
  useLayoutEffect(() => {
    const isBare = bench.current?.querySelector('[data-notes] > *') === null;
    bench.current?.toggleAttribute('data-bare', isBare);
  });
  return (
    <div ref={bench} className="bench @container relative min-h-full">
      <h1 className="sr-only">{title}</h1>
      {children}
      <div className="min-h-16" />
      {margin && (
        <span
          aria-hidden
          className="bench-margin absolute inset-y-0 end-[9.375rem] border-s border-line @max-[26rem]:hidden"
        />
      )}
    </div>
  );
}

interface SectionProps {
  readonly title: string;
  /** What the head needs to say, at its right. */
  readonly aside?: ReactNode;
  readonly notes?: ReactNode;
  /** Without a margin, where everything in the section is a note itself. */
  readonly full?: boolean;
  readonly children: ReactNode;
}

/** Some decisions under one head; what concerns them stands in the margin at their height. */
export function Section({ title, aside, notes, full = false, children }: SectionProps) {
  return (
    <section
      aria-label={title}
      className={`[contain-intrinsic-size:auto_20rem] [content-visibility:auto] ${full ? 'relative z-10 bg-base-100' : 'bench-section grid'}`}
    >
      <div className="min-w-0 px-4 pt-4">
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-3">
          <h2 className="font-semibold">{title}</h2>
          {aside !== undefined && <div className="text-quiet">{aside}</div>}
        </div>
        {children}
      </div>
      {!full && (
        <div data-notes className="min-w-0 px-4 pt-4 @min-[26rem]:ps-0 @min-[26rem]:pe-2">
          {notes}
        </div>
      )}
    </section>
  );
}
