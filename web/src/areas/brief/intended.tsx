import { inOrder } from '@garnish/core/system/document';
import { valueAt } from '@garnish/core/system/patch';
import { X } from 'lucide-react';
import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { usePageInFrame } from '../../proof/page-in-frame.ts';
import { useShownPage } from '../../system/shown-page.ts';
import { useStore, useSystem } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';

const ORDINALS = ['first', 'second', 'third'] as const;
const LOGO = '/layout/logo';
const LONGEST_NAME = 60;

const shortened = (words: string): string =>
  words.length > LONGEST_NAME ? `${words.slice(0, LONGEST_NAME - 1)}…` : words;

/** The place of what an element of the page says; nothing where it says nothing of its own. */
function placeOf(target: EventTarget | null): string | undefined {
  const element = target as Partial<Element> | null;
  const words = element?.closest?.<HTMLElement>('[data-content]')?.dataset['content'];
  return words ?? (element?.closest?.('.logo') ? LOGO : undefined);
}

/** Asks for one thing on a page by pointing, as long as somebody wants to know; Escape gives it up. */
function usePicking(
  page: Document | undefined,
  isPicking: boolean,
  onPicked: (place: string | undefined) => void,
  onGivenUp: () => void,
): void {
  const picked = useEffectEvent(onPicked);
  const givenUp = useEffectEvent(onGivenUp);
  useEffect(() => {
    if (!page || !isPicking) return undefined;
    const root = page.documentElement;
    const click = (event: Event): void => {
      event.preventDefault();
      event.stopPropagation();
      picked(placeOf(event.target));
    };
    const key = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') givenUp();
    };
    root.style.setProperty('cursor', 'crosshair');
    page.addEventListener('click', click, true);
    page.addEventListener('keydown', key, true);
    addEventListener('keydown', key, true);
    return () => {
      root.style.removeProperty('cursor');
      page.removeEventListener('click', click, true);
      page.removeEventListener('keydown', key, true);
      removeEventListener('keydown', key, true);
    };
  }, [page, isPicking]);
}

/** What should be seen first, second and third on the page that the proof shows; said by pointing at it, or from a list. */
export function Intended() {
  const store = useStore();
  const shown = useShownPage();
  const frame = usePageInFrame();
  const document = useSystem(({ decided }) => decided.document);
  const [isPicking, setPicking] = useState(false);
  const { pages } = document.content;
  const page = Object.hasOwn(pages.items, shown) ? pages.items[shown] : undefined;
  const intended = page?.intended ?? [];
  const path = `/content/pages/items/${shown}/intended`;
  const decide = (next: readonly string[], says: string): void => {
    store.change(
      next.length === 0 ? [{ op: 'remove', path }] : [{ op: 'add', path, value: [...next] }],
      says,
    );
  };
  const add = (place: string): void => {
    if (intended.includes(place)) announce('It is meant already');
    else
      decide(
        [...intended, place],
        `seen ${ORDINALS[intended.length] ?? 'too'} on ${page?.name ?? ''}`,
      );
  };
  usePicking(
    frame,
    isPicking,
    (place) => {
      if (place === undefined) {
        announce('There are no words and no logo');
        return;
      }
      setPicking(false);
      add(place);
    },
    () => setPicking(false),
  );
  const nameOf = (place: string): string => {
    if (place === LOGO) return 'the logo';
    const words = valueAt(document, place);
    return typeof words === 'string' ? `“${shortened(words)}”` : 'what is not there any more';
  };
  // What can be chosen by key: the words of the page in their order, each once.
  const choices = useMemo(() => {
    if (!frame || intended.length >= ORDINALS.length) return [];
    const found = new Map<string, string>();
    for (const element of frame.querySelectorAll<HTMLElement>('[data-content]')) {
      const place = element.dataset['content'] ?? '';
      const words = element.textContent.trim();
      if (words !== '' && !found.has(place)) found.set(place, shortened(words));
    }
    return [...found];
    // eslint-disable-next-line react-hooks/exhaustive-deps -- read anew with every change of the words
  }, [frame, document.content, intended.length]);
  if (!page) return <p className="text-quiet">The proof shows no page of the site.</p>;
  return (
    <div data-decision={path}>
      <ol aria-label={`Meant to be seen first on ${page.name}`}>
        {intended.map((place, index) => (
          <li key={place} className="flex items-center gap-x-3 border-b border-line">
            <span className="w-14 text-quiet">{ORDINALS[index]}</span>
            <span className="min-w-0 grow truncate">{nameOf(place)}</span>
            {index > 0 && (
              <button
                type="button"
                className="act text-xs"
                onClick={() =>
                  decide(
                    intended.toSpliced(index - 1, 2, place, intended[index - 1] ?? place),
                    `order of what is seen first on ${page.name}`,
                  )
                }
              >
                earlier<span className="sr-only"> than {nameOf(intended[index - 1] ?? '')}</span>
              </button>
            )}
            <button
              type="button"
              aria-label={`${nameOf(place)} need not be seen ${ORDINALS[index] ?? 'early'}`}
              className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
              onClick={() =>
                decide(
                  intended.filter((other) => other !== place),
                  `less is meant to be seen first on ${page.name}`,
                )
              }
            >
              <X size={13} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      {intended.length < ORDINALS.length && (
        <div className="mt-1 flex flex-wrap items-baseline gap-x-4">
          <button
            type="button"
            className="act"
            aria-pressed={isPicking}
            onClick={() => setPicking(!isPicking)}
          >
            {isPicking
              ? 'Click it in the proof, or Escape'
              : `Point at what is seen ${ORDINALS[intended.length] ?? ''}`}
          </button>
          <select
            aria-label={`What is seen ${ORDINALS[intended.length] ?? ''}, from a list`}
            className="select bare w-40 text-quiet"
            value=""
            onChange={({ currentTarget: { value } }) => value !== '' && add(value)}
          >
            <option value="">or from a list …</option>
            <option value={LOGO}>the logo</option>
            {choices
              .filter(([place]) => !intended.includes(place))
              .map(([place, words]) => (
                <option key={place} value={place}>
                  {words}
                </option>
              ))}
          </select>
        </div>
      )}
      <p className="text-xs text-quiet">
        Looked for on a phone and a desktop, in every theme, whenever nothing moves; what draws the
        eye more is told in Review.
      </p>
      {intended.length === 0 && inOrder(pages).length > 1 && (
        <p className="text-xs text-quiet">Said for each page by itself: the proof turns to it.</p>
      )}
    </div>
  );
}
