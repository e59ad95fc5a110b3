import type { ReactNode } from 'react';

/** Something that is fine and worth knowing, quietly in the margin. */
export function Fact({ children }: { readonly children: ReactNode }) {
  return (
    <p className="relative mb-3 ps-3 text-xs leading-snug text-quiet">
      <span aria-hidden className="absolute start-0 top-[0.5rem] h-px w-2 bg-line-strong" />
      {children}
    </p>
  );
}
