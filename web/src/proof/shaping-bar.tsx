import type { PageSection } from '@garnish/core/system/document';
import { kindOf } from '@garnish/core/proof/sections/kinds';
import { valueAt, type Patch } from '@garnish/core/system/patch';
import {
  addingAfter,
  doubling,
  moving,
  switching,
  takingOut,
  thingAt,
  thingsAround,
  type Place,
} from '@garnish/core/system/shaping';
import { ArrowDown, ArrowUp, CopyPlus, EyeOff, Plus, X } from 'lucide-react';
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { useStore } from '../system/system-context.ts';

type Act = 'up' | 'down' | 'add' | 'double' | 'off' | 'remove';

const SAYS: Readonly<Record<Act, string>> = {
  up: 'Move up',
  down: 'Move down',
  add: 'Another after',
  double: 'Double',
  off: 'Switch off',
  remove: 'Remove',
};

const ICONS: Readonly<Record<Act, ReactNode>> = {
  up: <ArrowUp size={13} aria-hidden />,
  down: <ArrowDown size={13} aria-hidden />,
  add: <Plus size={13} aria-hidden />,
  double: <CopyPlus size={13} aria-hidden />,
  off: <EyeOff size={13} aria-hidden />,
  remove: <X size={13} aria-hidden />,
};

/** The keys of the acts while words are written; the innermost thing that can is meant. */
const keyed = ({ key, altKey, ctrlKey, metaKey, shiftKey }: KeyboardEvent): Act | undefined => {
  const control = ctrlKey || metaKey;
  if (altKey && !control && key === 'ArrowUp') return 'up';
  if (altKey && !control && key === 'ArrowDown') return 'down';
  if (control && key === 'Enter') return shiftKey ? 'double' : 'add';
  return control && shiftKey && (key === 'Backspace' || key === 'Delete') ? 'remove' : undefined;
};

const KEYS: Readonly<Partial<Record<Act, string>>> = {
  up: 'Alt+ArrowUp',
  down: 'Alt+ArrowDown',
  add: 'Control+Enter',
  double: 'Control+Shift+Enter',
  remove: 'Control+Shift+Backspace',
};

/** What is shaped in lists of its own. */
const WHOLE: ReadonlySet<string> = new Set(['/content/pages', '/content/parts']);

/** The things that an element of the page is in, up to its section; none outside of what can be shaped. */
function thingsOf(target: EventTarget | null): readonly Place[] {
  const element = target as Partial<Element> | null;
  const words = element?.closest?.<HTMLElement>('[data-content]')?.dataset['content'];
  const section = element?.closest?.<HTMLElement>('[data-section]')?.dataset['section'];
  const path = words ?? section;
  if (path === undefined) return [];
  const things = thingsAround(path).filter(({ collection }) => !WHOLE.has(collection));
  // A section of a part of one’s own is in the part, where that stands on the page.
  const inside = element?.closest?.(`[data-section]`);
  const around = path.startsWith('/content/parts/') ? inside?.parentElement : undefined;
  return [...things, ...(around ? thingsOf(around) : [])];
}

/** The first words of a thing, as far as the page shows it already. */
const wordsOf = (page: Document, path: string): HTMLElement | null =>
  page.querySelector<HTMLElement>(
    `[data-content^="${CSS.escape(path).replaceAll(String.raw`\/`, '/')}"]`,
  );

const isSection = ({ collection }: Place): boolean => collection.endsWith('/sections');
const pathOf = ({ collection, id }: Place): string => `${collection}/items/${id}`;

interface ShapingBarProps {
  readonly page: Document;
  readonly scale: number;
}

/**
 * What can be done with the thing under the pointer or the caret while the page is written: a card, a row, a link,
 * and the section that it is in. Each act is one change; the caret follows what it made.
 */
export default function ShapingBar({ page, scale }: ShapingBarProps) {
  const store = useStore();
  const [things, setThings] = useState<readonly Place[]>([]);
  const [top, setTop] = useState(0);
  // What the caret belongs in after an act: the page is drawn after it, and what is moved there loses the focus.
  const caret = useRef<string>(undefined);

  const act = useCallback(
    (what: Act, places: readonly Place[], around: readonly Place[], isHere = true): void => {
      const { document } = store.state().decided;
      for (const place of places) {
        const name = thingAt(place);
        const newId = `${name.replaceAll(/[^a-z]+/g, '-')}-${crypto.randomUUID().slice(0, 8)}`;
        const patch: Patch | undefined = {
          up: () => moving(document, place, -1),
          down: () => moving(document, place, 1),
          add: () => addingAfter(document, place.collection, place.id, newId),
          double: () => doubling(document, place, newId),
          off: () => switching(document, place),
          remove: () => takingOut(document, place),
        }[what]();
        if (!patch) continue;
        if (!store.change(patch, `${SAYS[what].toLowerCase()}: ${name}`)) return;
        const order = (valueAt(store.state().decided.document, `${place.collection}/order`) ??
          []) as readonly string[];
        const next = {
          ...place,
          id:
            what === 'add' || what === 'double'
              ? newId
              : what === 'remove' || what === 'off'
                ? (order[0] ?? '')
                : place.id,
        };
        setThings(around.map((one) => (one === place ? next : one)));
        if (isHere) caret.current = pathOf(next);
        return;
      }
    },
    [store],
  );

  useEffect(() => {
    const turn = ({ target }: Pick<Event, 'target'>): void => {
      const found = thingsOf(target);
      if (found.length === 0) return;
      setThings((before) =>
        before.map(pathOf).join() === found.map(pathOf).join() ? before : found,
      );
      const element = (target as Element).closest('[data-section]') ?? (target as Element);
      setTop(Math.max(0, element.getBoundingClientRect().top));
    };
    const follow = (): void => {
      // Whoever went on to something else is not called back.
      if (!page.hasFocus()) caret.current = undefined;
      if (caret.current === undefined || page.activeElement !== page.body) return;
      const words = wordsOf(page, caret.current);
      words?.focus({ preventScroll: true });
      words?.scrollIntoView({ block: 'nearest' });
    };
    const letGo = ({ target }: Pick<Event, 'target'>): void => {
      if (caret.current !== undefined && wordsOf(page, caret.current) !== target)
        caret.current = undefined;
    };
    const press = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') caret.current = undefined;
      const what = keyed(event);
      const isNowhere = event.target === page.body && caret.current !== undefined;
      const found = thingsOf(isNowhere ? wordsOf(page, caret.current ?? '') : event.target);
      if (what === undefined || found.length === 0) return;
      event.preventDefault();
      event.stopPropagation();
      // What is being written is taken before anything moves.
      if (event.target instanceof (page.defaultView as Window & typeof globalThis).HTMLElement)
        event.target.blur();
      act(what, found, found);
      follow();
    };
    const drawn = new MutationObserver(follow);
    drawn.observe(page, { childList: true, subtree: true });
    // The caret may stand somewhere already when this comes.
    const frame = requestAnimationFrame(() => turn({ target: page.activeElement }));
    page.addEventListener('pointerover', turn);
    page.addEventListener('focusin', turn);
    page.addEventListener('focusin', letGo);
    page.addEventListener('pointerdown', letGo);
    page.addEventListener('keydown', press, true);
    return () => {
      cancelAnimationFrame(frame);
      drawn.disconnect();
      page.removeEventListener('focusin', letGo);
      page.removeEventListener('pointerdown', letGo);
      page.removeEventListener('pointerover', turn);
      page.removeEventListener('focusin', turn);
      page.removeEventListener('keydown', press, true);
    };
  }, [page, act]);

  if (things.length === 0) return null;
  return (
    <div
      role="toolbar"
      aria-label="Shape the page"
      className="absolute end-2 z-10 flex flex-wrap items-center gap-x-4 border border-line-strong bg-base-100 px-2 text-xs shadow"
      style={{ top: Math.max(4, top * scale - 14) }}
    >
      {things.map((place, index) => {
        const own = valueAt(store.state().decided.document, pathOf(place));
        const name = isSection(place)
          ? kindOf((own as PageSection | undefined)?.kind ?? 'story').name
          : thingAt(place);
        const acts: readonly Act[] = isSection(place)
          ? ['up', 'down', 'add', 'double', 'off', 'remove']
          : ['up', 'down', 'add', 'double', 'remove'];
        return (
          <span key={pathOf(place)} className="flex items-center">
            <span className="me-1 text-quiet">{name}</span>
            {acts.map((what) => (
              <button
                key={what}
                type="button"
                aria-label={`${SAYS[what]}: ${name}`}
                {...(index === 0 &&
                  KEYS[what] !== undefined && { 'aria-keyshortcuts': KEYS[what] })}
                title={`${SAYS[what]} ${name}${index === 0 && KEYS[what] !== undefined ? ` (${KEYS[what].replaceAll('Control', 'Ctrl')})` : ''}`}
                className="grid h-6 w-6 place-items-center text-quiet hover:bg-base-200 hover:text-base-content"
                onClick={() => act(what, [place], things, false)}
              >
                {ICONS[what]}
              </button>
            ))}
          </span>
        );
      })}
    </div>
  );
}
