import { createDeriver } from '@garnish/core/derive/derive';
import type { Derived } from '@garnish/core/derive/derived';
import { sheetOf, type SheetBlock } from '@garnish/core/formats/sheet';
import type { StyleDocument } from '@garnish/core/system/document';

/** All that follows from one document, for the bench or for the proof. */
export interface View {
  readonly document: StyleDocument;
  readonly derived: Derived;
  /** The blocks of the exported style sheet; those that say what they said are the very same. */
  readonly sheet: readonly SheetBlock[];
}

/** A function from documents to views; the same document gives the same view. */
export function createViewer(): (document: StyleDocument) => View {
  const derive = createDeriver();
  let last: View | undefined;
  return (document) => {
    if (last?.document === document) return last;
    const derived = derive(document);
    last = { document, derived, sheet: sheetOf(derived) };
    return last;
  };
}
