/** A color, or a gradient, before its words. */
export const Swatch = ({ value }: { readonly value: string }) => (
  <span
    aria-hidden
    className="me-1.5 inline-block h-3 w-3.5 border border-line align-[-1px]"
    style={{ background: value }}
  />
);
