import {
  ALIKE_ATTRIBUTE,
  WORN_ATTRIBUTE,
  wornWords,
  type KeptPage,
} from '@garnish/core/worn/wearing';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import { wearing as wearingOf } from '@garnish/core/worn/worn-sheet';
import { ROOT_PX } from '@garnish/core/type/fluid';
import { useEffect, useLayoutEffect, useMemo, useState, type ReactNode } from 'react';
import { liveSheet, type LiveSheet } from '../live-sheet.ts';
import { dressPage } from '../reading/dress-page.ts';

/** A frame with somebody’s page in it, and the sheet that it wears. */
interface Dressed {
  readonly document: Document;
  readonly live: LiveSheet;
}

/** A kept page as `dressPage` takes it. */
const asShown = ({ name, html, sheets }: KeptPage) => ({
  file: name,
  title: name,
  html,
  sheets,
  missing: [],
});

interface WornFrameProps {
  readonly page: KeptPage;
  readonly theme: 'light' | 'dark';
  /** What dresses it in a sheet; as it was read where nothing does. */
  readonly dresser?: ((live: LiveSheet) => ReactNode) | undefined;
  readonly rootPx: number;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly scale: number;
  readonly onReady?: (document: Document) => void;
}

interface WornSheetProps {
  readonly live: LiveSheet;
  readonly page: KeptPage;
  readonly sheet: readonly SheetBlock[];
}

/** A sheet as a page wears it: all that most movements change. */
export function WornSheet({ live, page, sheet }: WornSheetProps) {
  const worn = useMemo(() => wearingOf(page.alike.map(({ wearing }) => wearing)), [page.alike]);
  useLayoutEffect(() => live.show(worn(sheet)), [live, worn, sheet]);
  return null;
}

/** Somebody’s page in a frame of its own, without anything in it that acts; in the looks of the system, or as it was. */
export function WornFrame(props: WornFrameProps) {
  const { page, theme, dresser, rootPx, widthPx, heightPx, scale, onReady } = props;
  const isWorn = dresser !== undefined;
  const { name, html, sheets, alike } = page;
  const [dressed, setDressed] = useState<Dressed>();
  // What it is made of alone: what its things take changes nothing of it.
  const made = useMemo(() => asShown({ name, html, sheets, alike: [] }), [name, html, sheets]);
  useLayoutEffect(() => {
    if (!dressed) return;
    dressPage(dressed.document, made, theme);
    if (isWorn) dressed.document.documentElement.setAttribute('data-theme', theme);
  }, [dressed, made, theme, isWorn]);
  useLayoutEffect(() => {
    if (!dressed || !isWorn) return;
    const words = new Map(alike.map(({ id, wearing }) => [id, wornWords(wearing)]));
    for (const element of dressed.document.querySelectorAll(`[${ALIKE_ATTRIBUTE}]`)) {
      const said = words.get(element.getAttribute(ALIKE_ATTRIBUTE) ?? '') ?? '';
      if (element.getAttribute(WORN_ATTRIBUTE) !== said) element.setAttribute(WORN_ATTRIBUTE, said);
    }
  }, [dressed, made, theme, isWorn, alike]);
  useLayoutEffect(() => {
    const size = rootPx === ROOT_PX ? '' : `${(rootPx / ROOT_PX) * 100}%`;
    dressed?.document.documentElement.style.setProperty('font-size', size);
  }, [dressed, made, theme, rootPx]);
  useEffect(() => {
    if (dressed) onReady?.(dressed.document);
  }, [dressed, onReady]);
  return (
    <>
      <iframe
        src={isWorn ? '/proof/worn' : '/reading/'}
        title={isWorn ? `${name}, in this system` : `${name}, as it was read`}
        className="block origin-top-left border-0 bg-white"
        style={{
          width: widthPx,
          height: heightPx / scale,
          transform: `scale(${scale})`,
          colorScheme: theme,
        }}
        onLoad={({ currentTarget: { contentDocument, contentWindow } }) => {
          if (!contentDocument || !contentWindow) return;
          const { CSSStyleSheet: FrameSheet } = contentWindow as Window & typeof globalThis;
          const live = liveSheet(new FrameSheet());
          if (isWorn) contentDocument.adoptedStyleSheets = [live.sheet];
          setDressed({ document: contentDocument, live });
        }}
      />
      {dressed && dresser?.(dressed.live)}
    </>
  );
}
