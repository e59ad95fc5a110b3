import type { FactUnit } from '@garnish/core/measures/facts';
import type { Box } from '@garnish/core/measures/geometry';
import { elementAt } from '@garnish/core/notes/pin';
import { rulesCss } from '@garnish/core/formats/sheet';
import { drawnRules } from '@garnish/core/proof/drawn-states';
import { drawnAttributes, type StateId } from '@garnish/core/components/states';
import { sitePage } from '@garnish/core/proof/site';
import type { Mode } from '@garnish/core/system/document';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { framedSheets, type FramedSheets } from '../proof/framed-sheets.ts';
import { renderNode } from '../proof/render.tsx';
import { makingBetween } from '../proof/between.ts';
import { boxOf, chosenAt, layersOf, nameOf, readingOf, roomOf, toldOf } from '../proof/chosen.ts';
import { componentOf } from '../proof/component-of.ts';
import { AtWidths } from './at-widths.tsx';
import { CodeBeside } from './code-beside.tsx';
import { ComponentBeside } from './component-beside.tsx';
import { FactsBeside, type Said } from './facts-beside.tsx';
import { Measures } from './measures.tsx';
import { LayLines, OwnLines, useOwnLines } from './own-lines.tsx';
import { NotesBeside, useNotes } from './notes-beside.tsx';
import type { GuestView } from './use-guest.ts';

/** The page scrolls one way; all of it is laid out, so that all of it can be measured. Never exported. */
const ARRANGED = 'html { overflow-x: clip; }';

interface AnnotatedProps {
  readonly address: string;
  readonly view: GuestView;
  readonly page: string;
  readonly theme: Mode;
  /** The width of the screen that is looked at; the window's own where nothing is said. */
  readonly widthPx: number | undefined;
  readonly unit: FactUnit;
  readonly said: Said;
  /** Whether pointing chooses; else the page answers as it will. */
  readonly isMeasuring: boolean;
}

/** The boxes of what stands beside two things in the same place; none where they stand in different ones. */
const amongOf = (one: Element, two: Element): readonly Box[] =>
  one !== two && one.parentElement !== null && one.parentElement === two.parentElement
    ? [...one.parentElement.children].filter((each) => each.getClientRects().length > 0).map(boxOf)
    : [];

/** The nearest layer around a thing that is larger than it. */
function aroundOf(element: Element): Element | undefined {
  const own = boxOf(element);
  return layersOf(element).find((layer) => {
    const { width, height } = boxOf(layer);
    return width > own.width || height > own.height;
  });
}

/** What is chosen and pointed at, and where both stand now. */
function usePointed(stage: FramedSheets | undefined, isMeasuring: boolean) {
  const [chosen, setChosen] = useState<Element>();
  const [pointed, setPointed] = useState<Element>();
  const [, setMoved] = useState(0);
  useEffect(() => {
    const page = stage?.document;
    const view = page?.defaultView;
    if (!page || !view) return undefined;
    const elementAt = (event: Event): Element | undefined => {
      const { target } = event;
      return target !== null && 'closest' in target ? chosenAt(target as Element) : undefined;
    };
    const point = (event: Event): void => setPointed(isMeasuring ? elementAt(event) : undefined);
    const leave = (): void => setPointed(undefined);
    const click = (event: Event): void => {
      const target = event.target as Element | null;
      const opens = target?.closest('summary, [popovertarget]');
      if (!isMeasuring && opens) return;
      // No link of the page goes anywhere.
      event.preventDefault();
      if (isMeasuring) setChosen(elementAt(event));
    };
    const moved = (): void => setMoved((count) => count + 1);
    page.addEventListener('pointermove', point);
    page.documentElement.addEventListener('pointerleave', leave);
    page.addEventListener('click', click);
    page.addEventListener('scroll', moved, true);
    view.addEventListener('resize', moved);
    return () => {
      page.removeEventListener('pointermove', point);
      page.documentElement.removeEventListener('pointerleave', leave);
      page.removeEventListener('click', click);
      page.removeEventListener('scroll', moved, true);
      view.removeEventListener('resize', moved);
    };
  }, [stage, isMeasuring]);
  const isThere = (one: Element | undefined): one is Element => one?.isConnected === true;
  return {
    chosen: isMeasuring && isThere(chosen) ? chosen : undefined,
    pointed: isThere(pointed) ? pointed : undefined,
    choose: setChosen,
    look: () => setMoved((count) => count + 1),
  };
}

/** The rules of states that only a hand can bring about, for what is drawn in one. */
const drawnCss = ({ derived }: GuestView): string =>
  rulesCss(drawnRules(derived.rules.flatMap(({ rules }) => rules)));

/** Puts attributes on an element. @returns what puts back those that were there */
function wearing(element: Element, attributes: Readonly<Record<string, string>>): () => void {
  const before = Object.keys(attributes).map((name) => [name, element.getAttribute(name)] as const);
  for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, value);
  return () => {
    for (const [name, value] of before)
      if (value === null) element.removeAttribute(name);
      else element.setAttribute(name, value);
  };
}

/** Draws the component that is chosen in one of its states, until something else is chosen. */
function useDrawnState(chosen: Element | undefined) {
  const [wanted, setWanted] = useState<{ readonly at: Element; readonly state: StateId }>();
  const undo = useRef<() => void>(undefined);
  const rest = (): void => {
    undo.current?.();
    undo.current = undefined;
  };
  useEffect(() => rest, [chosen]);
  return {
    drawn: wanted?.at === chosen ? wanted?.state : undefined,
    draw: (state: StateId | undefined): void => {
      const root = chosen && componentOf(chosen)?.root;
      rest();
      if (state !== undefined && root) undo.current = wearing(root, drawnAttributes(state));
      setWanted(state !== undefined && chosen ? { at: chosen, state } : undefined);
    },
  };
}

/** A neighbor of an element in the order of the page: the one before or behind it, what is inside it left out. */
function beside(element: Element, by: -1 | 1): Element | undefined {
  const all = [...(element.closest('.site')?.querySelectorAll('*') ?? [])].filter(
    (one) => !one.parentElement?.closest('svg') && one.getClientRects().length > 0,
  );
  return all[all.indexOf(element) + by];
}

interface StepsProps {
  readonly chosen: Element | undefined;
  readonly stage: FramedSheets;
  readonly onChoose: (element: Element | undefined) => void;
}

/** How one chooses, and the layers of what is chosen: each a step, by click and by key. */
function Steps({ chosen, stage, onChoose }: StepsProps) {
  const first = (): Element | undefined =>
    stage.document.querySelector('.site h1') ??
    stage.document.querySelector('.site *') ??
    undefined;
  const go = (to: Element | null | undefined): void => {
    if (!to || to.matches('.site')) return;
    to.scrollIntoView({ block: 'nearest' });
    onChoose(to);
  };
  const layers = chosen ? layersOf(chosen) : [];
  return (
    <section aria-label="Choosing" className="min-w-0">
      <h2 className="font-semibold">Choosing</h2>
      <p className="text-quiet max-md:hidden">
        Point to outline, click to choose, point again for the distance between the two.
      </p>
      <div
        role="group"
        aria-label="Steps"
        className="mt-1 flex flex-wrap gap-x-3"
        onKeyDown={(event) => {
          const steps: Readonly<Record<string, () => Element | null | undefined>> = {
            ArrowUp: () => chosen?.parentElement,
            ArrowDown: () => chosen?.firstElementChild,
            ArrowLeft: () => chosen && beside(chosen, -1),
            ArrowRight: () => (chosen ? beside(chosen, 1) : first()),
          };
          const step = Object.hasOwn(steps, event.key) ? steps[event.key] : undefined;
          if (!step) return;
          event.preventDefault();
          go(step());
        }}
      >
        <button
          type="button"
          className="act"
          onClick={() => go(chosen ? beside(chosen, -1) : first())}
        >
          before
        </button>
        <button
          type="button"
          className="act"
          onClick={() => go(chosen ? beside(chosen, 1) : first())}
        >
          next
        </button>
        {chosen && (
          <button type="button" className="act" onClick={() => onChoose(undefined)}>
            none
          </button>
        )}
      </div>
      {layers.length > 0 && (
        <ol aria-label="Layers" className="mt-1 flex flex-wrap gap-x-2">
          {layers.map((layer, index) => (
            <li key={index}>
              <button
                type="button"
                aria-current={index === 0 ? 'true' : undefined}
                className="min-h-6 min-w-6 text-quiet hover:underline aria-[current]:font-semibold aria-[current]:text-base-content"
                onClick={() => go(layer)}
              >
                {nameOf(layer)}
              </button>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** A page of the site as an annotated sheet: the page itself in the middle, measures over it, facts in its margins. */
export function AnnotatedPage(props: AnnotatedProps) {
  const { address, view, page, theme, widthPx, unit, said, isMeasuring } = props;
  const [stage, setStage] = useState<FramedSheets>();
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const holder = useRef<HTMLDivElement>(null);
  const { chosen, pointed, choose, look } = usePointed(stage, isMeasuring);
  const node = useMemo(() => sitePage(view.document, view.derived, page), [view, page]);
  useLayoutEffect(() => {
    const box = holder.current;
    if (!box) return undefined;
    const observer = new ResizeObserver(() =>
      setRoom({ width: box.clientWidth, height: box.clientHeight }),
    );
    observer.observe(box);
    return () => observer.disconnect();
  }, []);
  useLayoutEffect(() => {
    if (!stage) return;
    stage.document.documentElement.setAttribute('data-theme', theme);
    stage.exported.show(view.sheet);
    stage.arrangement.replaceSync(ARRANGED + drawnCss(view));
    look();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `look` only draws anew
  }, [stage, theme, view]);
  const wide = widthPx ?? room.width;
  const scale = wide > 0 ? Math.min(1, room.width / wide) : 1;
  const high = scale > 0 ? room.height / scale : 0;
  const { threads, reread } = useNotes(address);
  const lines = useOwnLines(address, page);
  const pageView = stage?.document.defaultView;
  const scroll = { x: pageView?.scrollX ?? 0, y: pageView?.scrollY ?? 0 };
  const site = stage?.document.querySelector('.site') ?? undefined;
  const where = (element: Element | undefined): Box | undefined => element && boxOf(element);
  const box = where(chosen);
  const { drawn, draw } = useDrawnState(chosen);
  const told = chosen && toldOf(chosen, unit, view.derived);
  const reading = chosen && readingOf(chosen.ownerDocument, view.derived);
  // Where nothing else is pointed at, it is what the chosen thing stands in.
  const other = pointed && pointed !== chosen ? pointed : ((chosen && aroundOf(chosen)) ?? pointed);
  return (
    <main className="guest-sheet grid min-h-0 grow">
      <div className="guest-left min-w-0 overflow-auto px-4 py-3">
        {stage && isMeasuring && (
          <>
            <Steps chosen={chosen} stage={stage} onChoose={choose} />
            <LayLines own={lines} middle={{ x: scroll.x + wide / 2, y: scroll.y + high / 2 }} />
            <NotesBeside
              address={address}
              page={page}
              site={site}
              chosen={chosen}
              threads={threads}
              mayWrite={view.mayWrite}
              reread={reread}
              onChoose={choose}
            />
          </>
        )}
      </div>
      <div ref={holder} className="guest-page relative min-h-0 min-w-0 overflow-hidden">
        <div
          className="absolute inset-y-0 overflow-hidden border-x border-line"
          style={{ width: wide * scale, insetInlineStart: (room.width - wide * scale) / 2 }}
        >
          <iframe
            src="/proof/"
            title={`Page ${view.document.content.pages.items[page]?.name ?? ''}`}
            className="block origin-top-left border-0"
            style={{ width: wide, height: high, transform: `scale(${scale})` }}
            onLoad={(event) => setStage(framedSheets(event.currentTarget))}
          />
          {stage && createPortal(renderNode(node, false), stage.document.body)}
          {isMeasuring && (
            <OwnLines
              own={lines}
              scale={scale}
              scroll={scroll}
              size={{ width: wide, height: high }}
              chosen={box}
              unit={unit}
            />
          )}
          {isMeasuring && (
            <Measures
              chosen={box}
              pointed={where(other)}
              isAround={other !== pointed}
              among={chosen && other ? amongOf(chosen, other) : []}
              making={chosen && other && reading && makingBetween(chosen, other, reading)}
              inset={chosen && reading && roomOf(chosen, 'padding', reading)}
              scale={scale}
              unit={unit}
              width={wide * scale}
              height={room.height}
              noted={threads.flatMap(({ note }) => {
                const spot =
                  site && note.page === page && !note.isResolved
                    ? elementAt(site, note.pin)
                    : undefined;
                return spot ? [boxOf(spot)] : [];
              })}
            />
          )}
        </div>
      </div>
      <div className="guest-right min-w-0 overflow-auto px-4 py-3">
        {chosen && box && told ? (
          <FactsBeside told={told} box={box} unit={unit} said={said}>
            <ComponentBeside
              element={chosen}
              view={view}
              page={page}
              known={told.known}
              onChoose={choose}
              drawn={drawn}
              onDraw={draw}
            />
            <AtWidths element={chosen} view={view} node={node} theme={theme} unit={unit} />
            <CodeBeside told={told} element={chosen} view={view} theme={theme} />
          </FactsBeside>
        ) : (
          isMeasuring && <p className="text-quiet">What is chosen is described here.</p>
        )}
      </div>
    </main>
  );
}
