import { joinRules } from '@garnish/core/formats/css';
import { ARRANGEMENT } from '@garnish/core/proof/arrangement';
import { withoutFonts } from '@garnish/core/proof/without-fonts';
import { rootShare } from '@garnish/core/derive/styles';
import { inOrder } from '@garnish/core/system/document';
import { homePage } from '@garnish/core/proof/home';
import { ROOT_PX } from '@garnish/core/type/fluid';
import {
  useEffect,
  useLayoutEffect,
  useMemo,
  useState,
  type ReactPortal,
  type RefObject,
} from 'react';
import { createPortal } from 'react-dom';
import { usePreferences } from '../app/preferences.ts';
import type { View } from '../system/store.ts';
import { litRule, useLit } from './lit.ts';
import { renderNode } from './render.tsx';

interface Page {
  readonly document: Document;
  readonly exported: CSSStyleSheet;
  readonly arrangement: CSSStyleSheet;
  /** The rules that the sheet holds now. */
  readonly shown: { current: readonly string[] };
}

/** The frame's document with its two sheets: the exported one, and the arrangement of the page. */
function prepare(frame: HTMLIFrameElement): Page | undefined {
  const { contentDocument: document, contentWindow } = frame;
  if (!document || !contentWindow || document.readyState === 'loading') return undefined;
  const { CSSStyleSheet: FrameSheet } = contentWindow as Window & typeof globalThis;
  const exported = new FrameSheet();
  const arrangement = new FrameSheet();
  arrangement.replaceSync(ARRANGEMENT);
  document.adoptedStyleSheets = [exported, arrangement];
  return { document, exported, arrangement, shown: { current: [] } };
}

/**
 * Makes the frame's sheet hold these rules. Only rules that differ are replaced: font faces that
 * stay the same are not loaded and laid out again at every movement of a slider.
 */
function showRules({ exported, shown }: Page, rules: readonly string[]): void {
  const before = shown.current;
  shown.current = rules;
  if (before.length !== rules.length) {
    exported.replaceSync(joinRules(rules));
    return;
  }
  rules.forEach((rule, index) => {
    if (rule === before[index]) return;
    exported.deleteRule(index);
    exported.insertRule(rule, index);
  });
}

/** Lays a sheet that is never exported over the two; none takes it away. */
function simulate({ document, exported, arrangement }: Page, css: string): void {
  const FrameSheet = document.defaultView?.CSSStyleSheet;
  if (css === '' || !FrameSheet) {
    document.adoptedStyleSheets = [exported, arrangement];
    return;
  }
  const simulation = new FrameSheet();
  simulation.replaceSync(css);
  document.adoptedStyleSheets = [exported, arrangement, simulation];
}

/** What the grid is drawn at where the system holds its lines to none. */
const BASELINE_PX = 8;

/** Lines over the whole page at a baseline unit, in px at the usual font size. */
const baselineGrid = (unitPx: number): string => `
body { position: relative; }
body::after { content: ''; position: absolute; inset: 0; pointer-events: none; opacity: 0.35; background: repeating-linear-gradient(to bottom, transparent 0 calc(${unitPx / ROOT_PX}rem - 1px), currentcolor calc(${unitPx / ROOT_PX}rem - 1px) ${unitPx / ROOT_PX}rem); }
`;

/** What of the derived values the page's elements depend on: their classes, not their sizes. */
const classesOf = ({ derived, document }: View): string =>
  [
    ...[...derived.styles.values()].map(({ id, slug }) => `${id}:${slug}`),
    ...[...derived.colors.values()].map(({ id, slug }) => `${id}:${slug}`),
    ...derived.patterns.map(({ id, slug, on }) => `${id}:${slug}:${on.slug}`),
    ...('hang' in document.space.roles.items ? ['hang'] : []),
    ...inOrder(document.shape.shadows).map(([id, { name }]) => `${id}:${name}`),
    ...derived.pairs.map(({ style, part, color, on }) =>
      [style.id, part, color.id, on.id].join(':'),
    ),
  ].join(' ');

interface FrameProps {
  readonly frame: RefObject<HTMLIFrameElement | null>;
  readonly view: View;
  readonly theme: 'light' | 'dark';
  readonly editing: boolean;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly scale: number;
  readonly onReady: (document: Document) => void;
}

/**
 * The proof itself: a frame with a real viewport width that shows the home page with the exported
 * style sheet, byte for byte.
 */
export function Frame({
  frame,
  view,
  theme,
  editing,
  widthPx,
  heightPx,
  scale,
  onReady,
}: FrameProps) {
  const [page, setPage] = useState<Page>();
  const { proofFonts, proofRoot, proofDrawn } = usePreferences();
  const lit = useLit();
  const { document: system, derived, rules } = view;
  const classes = classesOf(view);
  const tree = useMemo(
    () => renderNode(homePage(system, derived), editing),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- sizes and colors reach the page by the sheet alone
    [
      system.name,
      system.content,
      system.color.veils,
      system.brief.languages,
      system.layout.logo,
      system.shape.cards,
      classes,
      editing,
    ],
  );

  useLayoutEffect(() => {
    if (page) showRules(page, rules);
  }, [page, rules]);
  const simulation = [
    ...(proofFonts === 'arrived' ? [] : [withoutFonts(system.fonts, derived.faces, proofFonts)]),
    ...(proofRoot === ROOT_PX
      ? []
      : [`html { font-size: ${proofRoot * rootShare(system.type)}px; }`]),
    ...(lit.length > 0 ? [litRule(lit)] : []),
    ...(proofDrawn === 'baseline' ? [baselineGrid(system.type.baseline ?? BASELINE_PX)] : []),
  ].join('\n');
  useLayoutEffect(() => {
    if (page) simulate(page, simulation);
  }, [page, simulation]);
  useLayoutEffect(() => {
    page?.document.documentElement.setAttribute('data-theme', theme);
  }, [page, theme]);
  useEffect(() => {
    if (page) onReady(page.document);
  }, [page, onReady]);

  const portal: ReactPortal | undefined = page && createPortal(tree, page.document.body);
  return (
    <>
      <iframe
        ref={frame}
        src="/proof/"
        title="Proof"
        className="block origin-top-left border-0 bg-white"
        style={{ width: widthPx, height: heightPx / scale, transform: `scale(${scale})` }}
        onLoad={(event) => setPage(prepare(event.currentTarget))}
      />
      {portal}
    </>
  );
}
