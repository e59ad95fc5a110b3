import { STRUCTURE } from '@garnish/core/derive/structure';
import type { Mode } from '@garnish/core/system/document';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { useStore } from '../system/system-context.ts';
import type { View } from '../system/views.ts';
import { tokensOf } from './elements.ts';
import { Framed, type Box } from './framed.tsx';
import { elementOf } from './use-pointing.ts';

const PARTS: ReadonlySet<string> = new Set(STRUCTURE.map(({ name }) => name));

/** An element that takes anything from tokens, among those around it. */
interface Layer {
  readonly element: Element;
  readonly name: string;
  readonly tokens: readonly string[];
}

/** What a layer is: words, a ground that words stand on, a part by its class, a section, the page; else no layer. */
function nameOf(element: Element): string | undefined {
  const classes = [...element.classList];
  const part = classes.find((name) => PARTS.has(name));
  if (element.hasAttribute('data-section')) return 'section';
  if (part !== undefined) return part;
  if (classes.some((name) => /^(?:on|fill|wash)-/.test(name))) return 'ground';
  if (classes.some((name) => name.startsWith('type-'))) return 'words';
  return element.localName === 'body' ? 'page' : classes[0];
}

/** The layers around an element, from the innermost outward. */
function layersOf(target: Element, { derived }: View): readonly Layer[] {
  const found: Layer[] = [];
  for (let element: Element | null = target; element; element = element.parentElement) {
    const name = nameOf(element);
    const tokens = name === undefined ? [] : tokensOf(element, derived);
    if (name !== undefined && tokens.length > 0) found.push({ element, name, tokens });
  }
  return found;
}

/** What has arrow keys with Alt for itself: fields take smaller steps by them, lists open and move. */
const KEPT =
  'input, select, textarea, [contenteditable], [role="slider"], [role="listbox"], [role="row"]';

interface LayersProps {
  readonly page: Document;
  readonly theme: Mode;
  readonly scale: number;
  /** Where the frame around a layer is drawn. */
  readonly over: Element | null;
  /** Hears of the layer that was stepped out to, for whoever leads to its decision. */
  readonly onLayer: (layer: Element | undefined) => void;
}

/**
 * What is pointed at, or has the focus, in the proof: its layers from the words outward, and the tokens of one of
 * them with their present values. Alt with an arrow steps outward and inward, as a click on its name does.
 */
export default function Layers({ page, theme, scale, over, onLayer }: LayersProps) {
  const store = useStore();
  const [layers, setLayers] = useState<readonly Layer[]>([]);
  const [at, setAt] = useState(0);
  const [box, setBox] = useState<Box>();
  const chosen = layers[at];

  useEffect(() => {
    let last: Element | undefined;
    const point = ({ target }: Pick<Event, 'target'>): void => {
      const element = elementOf(target);
      if (!element || element === last) return;
      last = element;
      setLayers(layersOf(element, store.state().shown));
      setAt(0);
    };
    // What the hand rests on already is pointed at too.
    point({ target: [...page.querySelectorAll(':hover')].at(-1) ?? null });
    page.addEventListener('pointerover', point);
    page.addEventListener('focusin', point);
    return () => {
      page.removeEventListener('pointerover', point);
      page.removeEventListener('focusin', point);
    };
  }, [page, store]);

  useEffect(() => {
    const step = (event: KeyboardEvent): void => {
      const by = { ArrowUp: 1, ArrowDown: -1 }[event.key];
      if (!event.altKey || event.ctrlKey || by === undefined || layers.length === 0) return;
      // Lists and fields of the window have these keys for themselves.
      if (elementOf(event.target)?.closest(KEPT)) return;
      event.preventDefault();
      setAt((now) => Math.min(layers.length - 1, Math.max(0, now + by)));
    };
    page.addEventListener('keydown', step);
    document.addEventListener('keydown', step);
    return () => {
      page.removeEventListener('keydown', step);
      document.removeEventListener('keydown', step);
    };
  }, [page, layers]);

  useEffect(() => {
    onLayer(at > 0 ? chosen?.element : undefined);
    const measure = (): void => {
      const rect = at > 0 && chosen?.element.isConnected && chosen.element.getBoundingClientRect();
      setBox(rect || undefined);
    };
    measure();
    page.addEventListener('scroll', measure, { passive: true });
    return () => page.removeEventListener('scroll', measure);
  }, [page, onLayer, chosen, at]);

  if (!chosen) return null;
  const { derived } = store.state().shown;
  const values = chosen.tokens.map((id) => {
    const { css, reference } = derived.tokenById.get(id)?.values[theme] ?? {};
    return `${id}: ${reference ?? css ?? ''}`;
  });
  return (
    <span className="flex min-w-0 items-center gap-x-2">
      <span
        role="group"
        aria-label="Layers from the inside outward"
        className="flex shrink-0 gap-x-1.5"
        title="Alt with ↑ steps outward, with ↓ inward; a click in the proof leads to the decision"
      >
        {layers.map(({ name, element }, index) => (
          <button
            // An element has no name of its own; it stands here once, at its place.
            // oxlint-disable-next-line react/no-array-index-key
            key={`${element.localName} ${index}`}
            type="button"
            aria-pressed={index === at}
            className="min-h-6 text-quiet hover:text-base-content aria-pressed:text-base-content aria-pressed:underline aria-pressed:underline-offset-4"
            onClick={() => setAt(index)}
          >
            {name}
          </button>
        ))}
      </span>
      <span className="min-w-0 truncate">{values.join('   ')}</span>
      {box && over && createPortal(<Framed box={box} scale={scale} as="layer" />, over)}
    </span>
  );
}
