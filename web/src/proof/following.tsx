import { tokensOfDecision } from '@garnish/core/derive/decided-tokens';
import { SHEET_OF_PARTS } from '@garnish/core/proof/sheet-of-parts';
import { placesOfView } from '@garnish/core/system/areas';
import { writeHtml } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import { withTakers } from '@garnish/core/proof/token-uses';
import { inOrder } from '@garnish/core/system/document';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { showPlace } from '../findings/spot.ts';
import { showPage, useShownPage } from '../system/shown-page.ts';
import type { View } from '../system/views.ts';
import { useStore } from '../system/system-context.ts';
import { setPreferences, usePreferences } from '../ui/preferences.ts';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import { inBreaths } from '../ui/in-breaths.ts';
import { findingMadeOf } from './elements.ts';

const MARK = 'data-place';
/** A hand that goes through fields passes those that it does not mean. */
const SETTLE_MS = 200;

/** So many places are asked whether they are in view: asking lays out what is not, and of thousands the first does. */
const MOST_ASKED = 100;

const inPageOrder = (one: Element, other: Element): number =>
  one.compareDocumentPosition(other) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1;

const isSeen = (element: Element): boolean => {
  const { top, bottom, height } = element.getBoundingClientRect();
  const screen = element.ownerDocument.defaultView?.innerHeight ?? 0;
  return height > 0 && bottom > 0 && top < screen;
};

/** Another page of the site on which any of these tokens is used, by its id. */
function* pageWith(
  tokens: readonly string[],
  { document: system, derived }: View,
  but: string,
): Generator<undefined, string | undefined> {
  if (tokens.length === 0) return undefined;
  for (const [id, { isOff }] of inOrder(system.content.pages)) {
    if (id === but || isOff === true) continue;
    yield;
    const there = document.implementation.createHTMLDocument('');
    there.body.innerHTML = writeHtml(sitePage(system, derived, id), sanitizedSvg);
    const found = yield* findingMadeOf(there, tokens, derived);
    if (found.length > 0) return id;
  }
  return undefined;
}

interface FollowingProps {
  readonly page: Document;
}

/**
 * Where what is being decided is used: the proof turns to the nearest page and place, marks it for a moment, and
 * goes through all places, unless it is held.
 */
export default function Following({ page }: FollowingProps) {
  const store = useStore();
  const { proofHeld: isHeld } = usePreferences();
  const shown = useShownPage();
  const [parameters] = useSearchParams();
  const [decision, setDecision] = useState<{
    readonly paths: readonly string[];
    readonly token?: string;
  }>();
  const turned = useRef<typeof decision>(undefined);
  const wentToSheet = useRef(false);
  const [places, setPlaces] = useState<readonly Element[]>([]);
  const [at, setAt] = useState(0);
  const named = parameters.get('at');
  const token = parameters.get('token');
  const view = parameters.get('view');
  const area = useLocation().pathname.split('/').at(-1) ?? '';

  const go = useCallback(
    (all: readonly Element[], index: number, turns: boolean): void => {
      const place = all[index];
      if (!place) return;
      setAt(index);
      for (const one of page.querySelectorAll(`[${MARK}]`)) one.removeAttribute(MARK);
      place.setAttribute(MARK, '');
      if (turns) showPlace(`[${MARK}]`);
    },
    [page],
  );

  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const touch = ({ target }: FocusEvent): void => {
      const own = (target as Element).closest<HTMLElement>('main [data-decision]');
      const path = own?.dataset['decision'];
      if (path === undefined) return;
      clearTimeout(timer);
      timer = setTimeout(() => setDecision({ paths: [path] }), SETTLE_MS);
    };
    document.addEventListener('focusin', touch);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('focusin', touch);
    };
  }, []);

  useEffect(() => {
    const paths = named === null ? placesOfView(area, view) : [named];
    if (paths.length === 0 && token === null) return undefined;
    const next = token === null ? { paths } : { paths: [], token };
    const timer = setTimeout(() => setDecision(next), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [named, area, view, token]);

  useEffect(() => {
    if (shown !== SHEET_OF_PARTS) wentToSheet.current = false;
  }, [shown]);

  useEffect(() => {
    if (decision === undefined) return undefined;
    let frame = 0;
    let isOver = false;
    const isOff = (): boolean => isOver;
    const turnTo = (there: string): void => {
      wentToSheet.current = there === SHEET_OF_PARTS;
      showPage(store.state().id, there);
    };
    const look = async (): Promise<void> => {
      // The sheet of parts comes a moment after it was asked for.
      if (shown === SHEET_OF_PARTS && !page.querySelector('.sheet')) {
        frame = requestAnimationFrame(() => void look());
        return;
      }
      const { shown: now } = store.state();
      const { derived } = now;
      const tokens = [
        ...new Set(
          decision.token === undefined
            ? decision.paths.flatMap((path) => tokensOfDecision(path, derived))
            : derived.tokenById.has(decision.token)
              ? withTakers(derived, decision.token)
              : [],
        ),
      ];
      // Where nobody chose the sheet of parts, a page of the site comes before it.
      const turns = !isHeld && turned.current !== decision;
      const better =
        turns && wentToSheet.current && shown === SHEET_OF_PARTS
          ? await inBreaths(pageWith(tokens, now, shown), isOff)
          : undefined;
      if (isOff()) return;
      if (better !== undefined) {
        turnTo(better);
        return;
      }
      const all =
        tokens.length === 0 ? [] : await inBreaths(findingMadeOf(page, tokens, derived), isOff);
      if (!all || isOff()) return;
      const here = all
        .filter((element) => element.getBoundingClientRect().height > 0)
        .sort(inPageOrder);
      setPlaces(here);
      // A page that somebody turned to stays: only a decision turns it, and once.
      if (here.length > 0) {
        // What is in sight already is near enough.
        const nearest = Math.max(0, here.slice(0, MOST_ASKED).findIndex(isSeen));
        turned.current = decision;
        go(here, nearest, turns);
        return;
      }
      if (!turns || tokens.length === 0) return;
      // Another page has it: the proof turns there, and comes here again. What no page has stands on the sheet of parts.
      const there = (await inBreaths(pageWith(tokens, now, shown), isOff)) ?? SHEET_OF_PARTS;
      if (isOff()) return;
      if (there === shown) turned.current = decision;
      else turnTo(there);
    };
    // The page is there by then, where the proof has just turned to it.
    frame = requestAnimationFrame(() => void look());
    return () => {
      isOver = true;
      cancelAnimationFrame(frame);
    };
  }, [store, page, decision, isHeld, shown, go]);

  const count = places.length;
  const step = (by: number): void => go(places, (at + by + count) % count, true);
  return (
    <span className="flex shrink-0 items-center gap-x-1 text-xs text-quiet">
      {count > 0 && (
        <>
          <button
            type="button"
            aria-label="The place before"
            className="grid h-6 w-6 place-items-center hover:text-base-content"
            onClick={() => step(-1)}
          >
            <ChevronLeft size={13} aria-hidden />
          </button>
          <span className="figures" role="status" aria-label="Place of what is decided">
            {at + 1} of {count}
          </span>
          <button
            type="button"
            aria-label="The next place"
            className="grid h-6 w-6 place-items-center hover:text-base-content"
            onClick={() => step(1)}
          >
            <ChevronRight size={13} aria-hidden />
          </button>
        </>
      )}
      <button
        type="button"
        aria-pressed={isHeld}
        title="The proof stays where it is, whatever is being decided"
        className="min-h-6 px-1 hover:text-base-content aria-pressed:font-semibold aria-pressed:text-base-content"
        onClick={() => setPreferences({ proofHeld: !isHeld })}
      >
        hold
      </button>
    </span>
  );
}
