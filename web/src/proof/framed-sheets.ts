import { liveSheet, type LiveSheet } from './live-sheet.ts';

/** A frame's document with its two sheets: the exported one, and one of the window that is never exported. */
export interface FramedSheets {
  readonly document: Document;
  readonly exported: LiveSheet;
  readonly arrangement: CSSStyleSheet;
}

/** Puts two empty sheets into a frame; nothing where it has no document yet. */
export function framedSheets(frame: HTMLIFrameElement): FramedSheets | undefined {
  const { contentDocument: document, contentWindow } = frame;
  if (!document || !contentWindow || document.readyState === 'loading') return undefined;
  const { CSSStyleSheet: FrameSheet } = contentWindow as Window & typeof globalThis;
  const exported = liveSheet(new FrameSheet());
  const arrangement = new FrameSheet();
  document.adoptedStyleSheets = [exported.sheet, arrangement];
  return { document, exported, arrangement };
}
