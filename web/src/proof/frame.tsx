import { useShownPage } from '../system/shown-page.ts';
import { ARRANGEMENT } from '@garnish/core/proof/arrangement';
import { withoutFonts } from '@garnish/core/proof/without-fonts';
import { rootShare } from '@garnish/core/derive/type/styles';
import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { sitePage } from '@garnish/core/proof/site';
import { ROOT_PX } from '@garnish/core/type/fluid';
import { Suspense, useEffect, useLayoutEffect, useMemo, useState, type RefObject } from 'react';
import { createPortal } from 'react-dom';
import { lazyPart } from '../ui/patient.ts';
import { usePreferences } from '../ui/preferences.ts';
import { useShown, useStore, useSystem } from '../system/system-context.ts';
import { framedSheets, type FramedSheets } from './framed-sheets.ts';
import { elementsMadeOf } from './elements.ts';
import { LIT_RULE, mark, useLit } from './lit.ts';
import { outOfSight, RESTING, type OutOfSight } from './out-of-sight.ts';
import { madeOfNames } from './made-of-names.ts';
import { renderNode } from './render.tsx';

const ShownParts = lazyPart(() => import('./shown-parts.tsx'));

interface Page extends FramedSheets {
  readonly away: OutOfSight;
}

/** The frame's document with its two sheets: the exported one, and the arrangement of the page. */
function prepare(frame: HTMLIFrameElement): Page | undefined {
  const sheets = framedSheets(frame);
  if (!sheets) return undefined;
  sheets.arrangement.replaceSync(ARRANGEMENT + RESTING);
  return { ...sheets, away: outOfSight(sheets.document) };
}

/** Lays a sheet that is never exported over the two; none takes it away. */
function simulate({ document, exported, arrangement }: Page, css: string): void {
  const FrameSheet = document.defaultView?.CSSStyleSheet;
  if (css === '' || !FrameSheet) {
    document.adoptedStyleSheets = [exported.sheet, arrangement];
    return;
  }
  const simulation = new FrameSheet();
  simulation.replaceSync(css);
  document.adoptedStyleSheets = [exported.sheet, arrangement, simulation];
}

/** What the grid is drawn at where the system holds its lines to none. */
const BASELINE_PX = 8;

/** Lines over the whole page at a baseline unit, in px at the usual font size. */
const baselineGrid = (unitPx: number): string => `
body { position: relative; }
body::after { content: ''; position: absolute; inset: 0; pointer-events: none; opacity: 0.35; background: repeating-linear-gradient(to bottom, transparent 0 calc(${unitPx / ROOT_PX}rem - 1px), currentcolor calc(${unitPx / ROOT_PX}rem - 1px) ${unitPx / ROOT_PX}rem); }
`;

/** The sheet of what is shown, in the frame: all that most movements change. */
function ShownSheet({ page }: { readonly page: Page }) {
  const sheet = useSystem((state) => state.shown.sheet);
  useLayoutEffect(() => {
    page.away.moves();
    page.exported.show(sheet);
  }, [page, sheet]);
  return null;
}

interface ShownPageProps {
  readonly page: Page;
  readonly shown: string;
  readonly editing: boolean;
}

/** The elements of a page of the site. */
function ShownPage({ page, shown, editing }: ShownPageProps) {
  const store = useStore();
  const made = useSystem(({ shown: view }) => madeOfNames(view));
  const tree = useMemo(() => {
    const { document, derived } = store.state().shown;
    return renderNode(sitePage(document, derived, shown), editing);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it is made of says when it is another
  }, [store, made, editing, shown]);
  useLayoutEffect(() => page.away.renew(), [page, tree]);
  return tree;
}

const toBeginning = ({ document }: Page): void => {
  document.documentElement.scrollTop = 0;
};

interface FrameProps {
  readonly frame: RefObject<HTMLIFrameElement | null>;
  readonly title?: string;
  readonly theme: 'light' | 'dark';
  readonly editing: boolean;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly scale: number;
  readonly onReady: (document: Document) => void;
}

/** A page of the site or the sheet of parts, as the choice above says. */
function Shown({
  page,
  theme,
  editing,
}: Pick<FrameProps, 'theme' | 'editing'> & { readonly page: Page }) {
  const shown = useShownPage();
  // Another page is read from its beginning.
  useLayoutEffect(() => toBeginning(page), [page, shown]);
  return createPortal(
    shown === SHEET_OF_PARTS ? (
      <Suspense>
        <ShownParts mode={theme} onChange={page.away.renew} />
      </Suspense>
    ) : (
      <ShownPage page={page} shown={shown} editing={editing} />
    ),
    page.document.body,
  );
}

/** What is laid over the page and never exported. */
function Simulation({ page }: { readonly page: Page }) {
  const { proofFonts, proofRoot, proofDrawn } = usePreferences();
  const lit = useLit();
  const { document, derived } = useShown(['fonts', 'type'], ['faces']);
  const css = [
    ...(proofFonts === 'arrived' ? [] : [withoutFonts(document.fonts, derived.faces, proofFonts)]),
    ...(proofRoot === ROOT_PX
      ? []
      : [`html { font-size: ${proofRoot * rootShare(document.type)}px; }`]),
    ...(lit.length > 0 ? [LIT_RULE] : []),
    ...(proofDrawn === 'baseline' ? [baselineGrid(document.type.baseline ?? BASELINE_PX)] : []),
  ].join('\n');
  useLayoutEffect(() => simulate(page, css), [page, css]);
  const store = useStore();
  useEffect(() => {
    const made = store.state().shown.derived;
    mark(page.document, lit.length > 0 ? elementsMadeOf(page.document, lit, made) : []);
  }, [store, page, lit]);
  return null;
}

/**
 * The proof itself: a frame with a real viewport width that shows the home page with the exported
 * style sheet, rule by rule.
 */
export function Frame({
  frame,
  title = 'Proof',
  theme,
  editing,
  widthPx,
  heightPx,
  scale,
  onReady,
}: FrameProps) {
  const [page, setPage] = useState<Page>();
  useLayoutEffect(() => {
    page?.document.documentElement.setAttribute('data-theme', theme);
  }, [page, theme]);
  useEffect(() => {
    if (page) onReady(page.document);
  }, [page, onReady]);
  useEffect(() => () => page?.away.close(), [page]);
  return (
    <>
      <iframe
        ref={frame}
        src="/proof/"
        title={title}
        className="block origin-top-left border-0 bg-white"
        style={{ width: widthPx, height: heightPx / scale, transform: `scale(${scale})` }}
        onLoad={(event) => setPage(prepare(event.currentTarget))}
      />
      {page && (
        <>
          <ShownSheet page={page} />
          <Simulation page={page} />
          <Shown page={page} theme={theme} editing={editing} />
        </>
      )}
    </>
  );
}
