import { useModes, useProofTheme } from '../system/proof-theme.ts';
import { Maximize2, Minimize2 } from 'lucide-react';
import { ROOT_PX } from '@garnish/core/type/fluid';
import { Suspense, useCallback, useEffect, useRef, useState } from 'react';
import {
  heldWidth,
  MOST_BESIDE,
  NARROWEST_PROOF,
  setPreferences,
  usePreferences,
  WIDEST_PROOF,
  type Preferences,
} from '../ui/preferences.ts';
import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { useShownKeptPage, useShownPage } from '../system/shown-page.ts';
import { useSystem, useSystemLater } from '../system/system-context.ts';
import { handle } from '../ui/handle.ts';
import { NumberField } from '../ui/number-field.tsx';
import { useKeptVerification } from './use-kept-verification.ts';
import { useLayoutFindings } from './use-layout-findings.ts';
import { Frame } from './frame.tsx';
import { PageChoice } from './page-choice.tsx';
import { Marks } from './marks.tsx';
import { lazyPart } from '../ui/patient.ts';
import { setPageInFrame } from './page-in-frame.ts';
import { Ruler } from './ruler.tsx';
import { filterFor } from './seen.ts';
import { usePointing } from './use-pointing.ts';
import { useMeasured } from './use-measured.ts';
import { sideBySide } from './side-by-side.ts';
import { useWriting } from './use-writing.ts';

/** What comes when somebody asks for it: nobody else waits for these. */
const ShapingBar = lazyPart(() => import('./shaping-bar.tsx'));
const Drawn = lazyPart(() => import('./drawn.tsx'));
const DrawnGrid = lazyPart(() => import('./drawn-grid.tsx'));
const DrawnSpaces = lazyPart(() => import('./drawn-spaces.tsx'));
const SeenFilters = lazyPart(() => import('./seen-filters.tsx'));
const Reader = lazyPart(() => import('./reader.tsx'));
const Uses = lazyPart(() => import('./uses.ts'));
const Layers = lazyPart(() => import('./layers.tsx'));
const Beside = lazyPart(() => import('./beside.tsx'));
const Following = lazyPart(() => import('./following.tsx'));
const WornPage = lazyPart(() => import('./worn/worn-page.tsx'));

const NAMED: readonly [number, ...number[]] = [375, 720, 1440];
const NONE: readonly number[] = [];
/** Room for the widths of the others above them, in px of the window. */
const BESIDE_TOP_PX = 28;

/** Whether anything on the page was pointed at yet, or has had the focus. */
function useFirstPointing(page: Document | undefined): boolean {
  const [isPointed, setPointed] = useState(false);
  useEffect(() => {
    const point = (): void => setPointed(true);
    // What the hand rests on already is pointed at too.
    if (page?.querySelector(':hover')) point();
    page?.addEventListener('pointerover', point, { once: true });
    page?.addEventListener('focusin', point, { once: true });
    return () => {
      page?.removeEventListener('pointerover', point);
      page?.removeEventListener('focusin', point);
    };
  }, [page]);
  return isPointed;
}

/** So long after the proof came it is used; what nobody waits for comes then, in ms. */
const CALM_MS = 3000;

/** Whether everything that somebody waits for has come. */
function useCalm(): boolean {
  const [isCalm, setCalm] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setCalm(true), CALM_MS);
    return () => clearTimeout(timer);
  }, []);
  return isCalm;
}

/** Measures the page while the proof is there; shows nothing itself. */
function LayoutFindings() {
  useLayoutFindings();
  useKeptVerification();
  return null;
}

interface OverlaysProps {
  readonly page: Document;
  readonly theme: 'light' | 'dark';
  readonly scale: number;
  readonly widthPx: number;
  readonly rootPx: number;
  readonly drawn: Preferences['proofDrawn'];
}

/** What is drawn over the page; it follows what moves in the next frame. */
function Overlays({ page, theme, scale, widthPx, rootPx, drawn }: OverlaysProps) {
  const findings = useSystemLater((state) => state.findings);
  const { document, derived, sheet } = useSystemLater((state) => state.shown);
  return (
    <>
      <Marks
        page={page}
        findings={findings}
        theme={theme}
        scale={scale}
        sheet={sheet}
        widthPx={widthPx}
      />
      <Suspense>
        {(drawn === 'values' || drawn === 'units') && (
          <Drawn
            page={page}
            kind={drawn}
            scale={scale}
            rootPx={rootPx}
            sheet={sheet}
            widthPx={widthPx}
          />
        )}
        {drawn === 'spaces' && (
          <DrawnSpaces
            page={page}
            scale={scale}
            sheet={sheet}
            widthPx={widthPx}
            document={document}
          />
        )}
        {drawn === 'grid' && (
          <DrawnGrid grid={derived.grid} widthPx={widthPx} rootPx={rootPx} scale={scale} />
        )}
      </Suspense>
    </>
  );
}

const TRIED = 'tried, not taken: Enter takes it, Escape goes back';

/** The site's own page, live: at a chosen width, in a chosen theme. */
export function Proof() {
  const isTrying = useSystem(({ shown, decided }) => shown !== decided);
  const held = useSystem((state) => state.held);
  const preferences = usePreferences();
  const theme = useProofTheme();
  const modes = useModes();
  const { proofWidth: widthPx, wide, proofFonts } = preferences;
  // The sheet of parts is made of decisions: nothing is written on it.
  const isSheet = useShownPage() === SHEET_OF_PARTS;
  const kept = useShownKeptPage();
  const isMade = isSheet || kept !== undefined;
  const editing = preferences.editing && !isMade;
  const { proofRoot, proofZoom, proofDrawn, proofSeen, proofSeverity, proofBlur } = preferences;
  const [asReader, setAsReader] = useState(false);
  const [page, setPage] = useState<Document>();
  const frame = useRef<HTMLIFrameElement>(null);
  const room = useRef<HTMLDivElement>(null);
  const [over, setOver] = useState<HTMLDivElement | null>(null);
  const [foot, setFoot] = useState<HTMLDivElement | null>(null);
  const { width: roomPx, height: roomHeightPx } = useMeasured(room);
  const layer = useRef<Element>(undefined);
  const stepTo = useCallback((element: Element | undefined): void => {
    layer.current = element;
  }, []);
  usePointing(page, editing, layer);
  const isPointed = useFirstPointing(page);
  const isCalm = useCalm();
  useWriting(page, editing);
  // Over the full window other widths stand beside it, all in one scale.
  const beside = wide && kept === undefined ? preferences.proofBeside : NONE;
  const { scale, starts } = sideBySide([widthPx, ...beside], roomPx);
  const topPx = beside.length > 0 ? BESIDE_TOP_PX : 0;
  const heightPx = roomHeightPx - topPx;
  const filter = filterFor(proofSeen, proofBlur * scale * (proofZoom / 100));
  // Zoom makes the page's own screen narrower, and everything on it larger.
  const zoom = proofZoom / 100;
  const pagePx = Math.round(widthPx / zoom);
  const ready = useCallback((document: Document) => {
    setPage(document);
    setPageInFrame(document);
  }, []);
  // What is shown instead is no page of the site: nothing measures or marks it as one.
  useEffect(() => () => setPageInFrame(undefined), [kept]);
  const changed =
    proofRoot !== ROOT_PX || proofZoom !== 100 || proofSeen !== 'usual' || proofBlur > 0;
  const said =
    proofFonts !== 'arrived'
      ? 'as before the fonts have come; choose “with its fonts” under Fonts, delivery'
      : isTrying
        ? TRIED
        : held === 'pointer'
          ? 'tried, not taken: releasing it takes it, Escape goes back'
          : held === 'keys'
            ? TRIED
            : editing
              ? 'click words to change them: Enter takes them, Escape goes back'
              : '';
  const setWidth = (px: number): void => setPreferences({ proofWidth: heldWidth(px) });

  const [grab, setGrab] = useState({ x: 0, width: 0 });
  const edge = handle({
    label: 'Edge of the proof',
    value: widthPx,
    min: NARROWEST_PROOF,
    max: WIDEST_PROOF,
    says: `${widthPx} px`,
    step: 10,
    valueAt: ({ clientX }) => grab.width + (clientX - grab.x) / scale,
    onMove: setWidth,
  });

  return (
    <section
      aria-label="Proof"
      className="flex min-h-[80vh] min-w-0 flex-col px-[1.125rem] pt-2 pb-4 sm:h-[42vh] sm:min-h-0 sm:border-t sm:border-line lg:h-auto lg:flex-1 lg:border-t-0"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <PageChoice isCalm={isCalm} />
        <div className="w-20">
          <NumberField
            label="Width of the proof"
            hideLabel
            value={widthPx}
            min={NARROWEST_PROOF}
            max={WIDEST_PROOF}
            step={10}
            decimals={0}
            unit="px"
            onChange={setWidth}
          />
        </div>
        {NAMED.map((named) => (
          <button
            key={named}
            type="button"
            aria-label={`${named} px wide`}
            aria-pressed={named === widthPx}
            className="figures min-h-6 min-w-6 text-quiet hover:text-base-content aria-pressed:text-base-content aria-pressed:underline aria-pressed:underline-offset-4"
            onClick={() => setWidth(named)}
          >
            {named}
          </button>
        ))}
        {wide && kept === undefined && beside.length < MOST_BESIDE && (
          <button
            type="button"
            title="The same page at another width beside this one"
            className="min-h-6 px-1 text-quiet hover:text-base-content"
            onClick={() => {
              const next = NAMED.find((width) => width !== widthPx && !beside.includes(width));
              setPreferences({ proofBeside: [...beside, next ?? NAMED[0]] });
            }}
          >
            + width beside
          </button>
        )}
        {scale < 1 && <span className="text-quiet">shown at {Math.round(scale * 100)} %</span>}
        <span className="grow" />
        <button
          type="button"
          aria-pressed={editing}
          disabled={isMade}
          title={
            isMade
              ? 'Words are written on the pages of the site'
              : 'Change the words in the proof where they stand'
          }
          className="min-h-6 px-1 text-quiet hover:text-base-content disabled:opacity-50 aria-pressed:font-semibold aria-pressed:text-base-content"
          onClick={() => setPreferences({ editing: !editing })}
        >
          write
        </button>
        <button
          type="button"
          aria-expanded={asReader}
          title="The reader’s font size and zoom, and what is drawn over the page"
          className={`min-h-6 px-1 hover:text-base-content aria-expanded:font-semibold aria-expanded:text-base-content ${changed ? 'font-semibold text-primary' : 'text-quiet'}`}
          onClick={() => setAsReader(!asReader)}
        >
          {changed
            ? [
                `${proofRoot} px`,
                `${proofZoom} %`,
                ...(proofSeen === 'usual' ? [] : [proofSeen]),
                ...(proofBlur > 0 ? ['blurred'] : []),
              ].join(', ')
            : 'reader'}
        </button>
        <div role="group" aria-label="Theme of the proof" className="flex gap-1">
          {modes.map((mode) => (
            <button
              key={mode}
              type="button"
              aria-pressed={mode === theme}
              className="min-h-6 px-1 text-quiet hover:text-base-content aria-pressed:font-semibold aria-pressed:text-base-content"
              onClick={() => setPreferences({ proofTheme: mode })}
            >
              {mode}
            </button>
          ))}
        </div>
        <button
          type="button"
          className="grid min-h-6 min-w-6 place-items-center text-quiet hover:text-base-content max-lg:hidden"
          aria-label={wide ? 'Show the bench' : 'Proof over the full window'}
          title={wide ? 'Show the bench' : 'Proof over the full window'}
          onClick={() => setPreferences({ wide: !wide })}
        >
          {wide ? <Minimize2 size={14} aria-hidden /> : <Maximize2 size={14} aria-hidden />}
        </button>
      </div>
      <LayoutFindings />
      {isCalm && (
        <Suspense>
          <Uses />
        </Suspense>
      )}
      {asReader && (
        <Suspense>
          <Reader />
        </Suspense>
      )}
      {proofSeen !== 'usual' && (
        <Suspense>
          <SeenFilters severity={proofSeverity / 100} />
        </Suspense>
      )}
      <Ruler widthPx={widthPx} onChange={setWidth} lengthPx={roomPx} />
      <div ref={room} className="relative min-h-0 flex-1">
        {kept === undefined ? (
          <>
            {beside.length > 0 && <p className="figures pt-1 text-quiet">{widthPx} px</p>}
            <div
              ref={setOver}
              className="absolute bottom-0 start-0 outline-1 outline-line"
              style={{ width: widthPx * scale, top: topPx }}
            >
              <div className="h-full overflow-hidden" style={{ filter }}>
                <Frame
                  frame={frame}
                  theme={theme}
                  editing={editing}
                  widthPx={pagePx}
                  heightPx={heightPx}
                  scale={scale * zoom}
                  onReady={ready}
                />
              </div>
              {page && editing && (
                <Suspense>
                  <ShapingBar page={page} scale={scale * zoom} />
                </Suspense>
              )}
              {page && (
                <Overlays
                  page={page}
                  theme={theme}
                  scale={scale * zoom}
                  widthPx={pagePx}
                  rootPx={proofRoot}
                  drawn={proofDrawn}
                />
              )}
              <div
                {...edge}
                className="absolute inset-y-0 -end-3 w-6 cursor-ew-resize touch-none"
                onPointerDown={(event) => {
                  setGrab({ x: event.clientX, width: widthPx });
                  edge.onPointerDown(event);
                }}
              />
            </div>
            {page && beside.length > 0 && (
              <Suspense>
                <Beside
                  page={page}
                  widths={beside}
                  starts={starts.slice(1)}
                  theme={theme}
                  heightPx={heightPx}
                  scale={scale}
                  zoom={zoom}
                  filter={filter}
                />
              </Suspense>
            )}
          </>
        ) : (
          <Suspense>
            <WornPage
              key={kept}
              id={kept}
              theme={theme}
              widthPx={widthPx}
              roomPx={roomPx}
              roomHeightPx={roomHeightPx}
              zoom={zoom}
              rootPx={proofRoot}
              filter={filter}
              foot={foot}
              said={isTrying || held ? said : ''}
            />
          </Suspense>
        )}
      </div>
      <div className="flex items-center gap-x-3 pt-1">
        {kept === undefined ? (
          <>
            <div className="figures min-h-6 min-w-0 grow truncate text-xs text-quiet">
              {said ||
                (page && isPointed && !editing && (
                  <Suspense>
                    <Layers
                      page={page}
                      theme={theme}
                      scale={scale * zoom}
                      over={over}
                      onLayer={stepTo}
                    />
                  </Suspense>
                ))}
            </div>
            {page && !editing && (
              <Suspense>
                <Following page={page} />
              </Suspense>
            )}
          </>
        ) : (
          // What is put in from elsewhere has it for itself.
          <div ref={setFoot} className="min-h-6 min-w-0 grow text-quiet" />
        )}
      </div>
    </section>
  );
}
