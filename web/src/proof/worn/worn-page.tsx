import { ALIKE_ATTRIBUTE, type KeptPage } from '@garnish/core/worn/wearing';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { useKeptPages } from '../../system/kept-pages.ts';
import { showPage } from '../../system/shown-page.ts';
import { useSystem } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { handle } from '../../ui/handle.ts';
import { boxOf } from '../chosen.ts';
import type { LiveSheet } from '../live-sheet.ts';
import { sideBySide } from '../side-by-side.ts';
import { useTogether } from '../together.ts';
import { elementOf } from '../use-pointing.ts';
import { PageDialog } from './page-dialog.tsx';
import { useWorn } from './use-worn.ts';
import { WearingBar } from './wearing-bar.tsx';
import { WornFrame, WornSheet } from './worn-frame.tsx';

const ORIGINALS = ['none', 'divider', 'beside'] as const;
type Original = (typeof ORIGINALS)[number];

/** No more things are outlined at once. */
const MOST_MARKED = 200;
/** Room for what stands over two pages beside each other, in px. */
const TOP_PX = 24;

interface WornPageProps {
  readonly id: string;
  readonly theme: 'light' | 'dark';
  readonly widthPx: number;
  readonly roomPx: number;
  readonly roomHeightPx: number;
  readonly zoom: number;
  readonly rootPx: number;
  readonly filter: string | undefined;
  /** Where what is said of it stands. */
  readonly foot: HTMLElement | null;
  /** What is said of what it shows now. */
  readonly said: string;
}

/** The sheet of what is shown now, or tried. */
function ShownSheet({ live, page }: { readonly live: LiveSheet; readonly page: KeptPage }) {
  return <WornSheet live={live} page={page} sheet={useSystem(({ shown }) => shown.sheet)} />;
}

/** What is chosen on a page by pointing: a kind of thing, by its id. */
function useChosenKind(document: Document | undefined) {
  const [chosen, setChosen] = useState<string>();
  const [, setScrolled] = useState(0);
  useEffect(() => {
    if (!document) return undefined;
    const click = (event: Event): void => {
      event.preventDefault();
      const thing = elementOf(event.target)?.closest(`[${ALIKE_ATTRIBUTE}]`);
      setChosen(thing?.getAttribute(ALIKE_ATTRIBUTE) ?? undefined);
    };
    const scrolled = (): void => setScrolled((count) => count + 1);
    const key = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') setChosen(undefined);
    };
    document.addEventListener('click', click, true);
    document.addEventListener('submit', click, true);
    document.addEventListener('keydown', key);
    document.addEventListener('scroll', scrolled, true);
    return () => {
      document.removeEventListener('click', click, true);
      document.removeEventListener('submit', click, true);
      document.removeEventListener('keydown', key);
      document.removeEventListener('scroll', scrolled, true);
    };
  }, [document]);
  return [chosen, setChosen] as const;
}

/** Outlines around everything of a kind, over the page. */
function Outlines({
  document,
  kind,
  scale,
}: {
  readonly document: Document;
  readonly kind: string;
  readonly scale: number;
}) {
  const boxes = [...document.querySelectorAll(`[${ALIKE_ATTRIBUTE}="${kind}"]`)]
    .slice(0, MOST_MARKED)
    .map(boxOf);
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute inset-0 h-full w-full"
      fill="none"
      data-marked={boxes.length}
    >
      {boxes.map(({ left, top, width, height }, index) => {
        const rect = {
          x: left * scale,
          y: top * scale,
          width: width * scale,
          height: height * scale,
        };
        return (
          <g key={index}>
            <rect {...rect} stroke="#fff" strokeWidth="3" strokeOpacity="0.8" />
            <rect {...rect} className="stroke-primary" strokeWidth="1.5" />
          </g>
        );
      })}
    </svg>
  );
}

/** A page that was read from outside, in the looks of the system; the original behind a divider or beside it. */
export default function WornPage(props: WornPageProps) {
  const { id, theme, widthPx, roomPx, roomHeightPx, zoom, rootPx, filter, foot, said } = props;
  const system = useSystem((state) => state.id);
  const worn = useWorn(system, id);
  const [original, setOriginal] = useState<Original>('none');
  const [divider, setDivider] = useState(50);
  const [document, setDocument] = useState<Document>();
  const [other, setOther] = useState<Document>();
  const [chosen, setChosen] = useChosenKind(document);
  const { mutate: renew } = useKeptPages(system);
  const [isOpen, setOpen] = useState(false);
  const isBeside = original === 'beside';
  const { scale: fitted, starts } = sideBySide(isBeside ? [widthPx, widthPx] : [widthPx], roomPx);
  const scale = fitted * zoom;
  const topPx = isBeside ? TOP_PX : 0;
  const heightPx = Math.max(1, roomHeightPx - topPx);
  const pagePx = Math.round(widthPx / zoom);
  const shownPx = widthPx * fitted;
  useTogether(
    useMemo(
      () => [document, original === 'none' ? undefined : other].filter((one) => one !== undefined),
      [document, other, original],
    ),
  );
  const ready = useCallback((next: Document) => setDocument(next), []);
  const otherReady = useCallback((next: Document) => setOther(next), []);
  const { page } = worn;
  const kind = page?.alike.find((one) => one.id === chosen);
  const edge = handle({
    label: 'Divider between the page in this system and as it was read',
    value: divider,
    min: 0,
    max: 100,
    says: `${Math.round(divider)} % in this system`,
    step: 1,
    bigStep: 10,
    valueAt: ({ clientX, currentTarget }) => {
      const box = currentTarget.parentElement?.getBoundingClientRect();
      return box && ((clientX - box.left) / box.width) * 100;
    },
    onMove: setDivider,
  });
  const frame = (isWorn: boolean) =>
    page && (
      <WornFrame
        page={page}
        theme={theme}
        dresser={isWorn ? (live) => <ShownSheet live={live} page={page} /> : undefined}
        rootPx={rootPx}
        widthPx={pagePx}
        heightPx={heightPx}
        scale={scale}
        onReady={isWorn ? ready : otherReady}
      />
    );
  return (
    <>
      {isBeside && (
        <p className="flex text-quiet" style={{ height: TOP_PX }}>
          <span style={{ width: starts[1] }}>in this system</span>
          <span>as it was read</span>
        </p>
      )}
      <div
        className="absolute bottom-0 start-0 overflow-hidden outline-1 outline-line"
        style={{ width: shownPx, top: topPx }}
      >
        <div className="h-full" style={{ filter }}>
          {frame(true)}
        </div>
        {document && chosen !== undefined && (
          <Outlines document={document} kind={chosen} scale={scale} />
        )}
        {original === 'divider' && (
          <>
            <div
              className="absolute inset-0 h-full"
              style={{ filter, clipPath: `inset(0 0 0 ${divider}%)` }}
            >
              {frame(false)}
            </div>
            <div
              {...edge}
              className="absolute inset-y-0 w-6 -translate-x-1/2 cursor-ew-resize touch-none before:absolute before:inset-y-0 before:start-1/2 before:w-0.5 before:-translate-x-1/2 before:bg-primary before:outline-1 before:outline-white"
              style={{ insetInlineStart: `${divider}%` }}
            />
          </>
        )}
      </div>
      {isBeside && (
        <div
          className="absolute bottom-0 overflow-hidden outline-1 outline-line"
          style={{ width: shownPx, top: topPx, insetInlineStart: starts[1], filter }}
        >
          {frame(false)}
        </div>
      )}
      {foot &&
        createPortal(
          <>
            {said !== '' && <p className="figures text-xs">{said}</p>}
            <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1 text-sm">
              <WearingBar worn={worn} kind={kind} />
              <span className="flex items-baseline gap-x-3">
                <span>the original:</span>
                <Choice
                  label="The page as it was read"
                  options={ORIGINALS.map((value) => ({ value, name: value }))}
                  value={original}
                  onChange={setOriginal}
                />
                {!kind && (
                  <button type="button" className="act" onClick={() => setOpen(true)}>
                    name, delete …
                  </button>
                )}
                {kind && (
                  <button type="button" className="act" onClick={() => setChosen(undefined)}>
                    done
                  </button>
                )}
              </span>
            </div>
          </>,
          foot,
        )}
      {isOpen && page && (
        <PageDialog
          system={system}
          id={id}
          name={page.name}
          onClose={() => setOpen(false)}
          onRenamed={() => Promise.all([renew(), worn.renew()])}
          onRemoved={async () => {
            await renew();
            showPage(system, '');
          }}
        />
      )}
    </>
  );
}
