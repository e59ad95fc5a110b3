import { drawnRules } from '@garnish/core/proof/drawn-states';
import type { ProofNode } from '@garnish/core/proof/node';
import { rulesCss, type SheetBlock } from '@garnish/core/formats/sheet';
import type { Derived } from '@garnish/core/derive/derived';
import type { Mode } from '@garnish/core/system/document';
import { useLayoutEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { useSystemLater } from '../system/system-context.ts';
import { framedSheets, type FramedSheets } from './framed-sheets.ts';
import { renderNode } from './render.tsx';

interface SpecimensProps {
  readonly title: string;
  /** How they are placed; part of the window, never exported. */
  readonly css: string;
  readonly node: ProofNode;
  readonly theme: Mode;
  /** Nothing in it can be reached: it is a picture of what is said beside it. */
  readonly isPicture?: boolean;
  /** Its own height where it is to be as high as its content. */
  readonly heightPx?: number;
}

interface SheetsProps {
  readonly stage: FramedSheets;
  readonly css: string;
}

/** The exported sheet of what is shown, with the states drawn by the same declarations. */
function Sheets({ stage, css }: SheetsProps) {
  const { sheet, rules } = useSystemLater(
    ({ shown }): { readonly sheet: readonly SheetBlock[]; readonly rules: Derived['rules'] } => ({
      sheet: shown.sheet,
      rules: shown.derived.rules,
    }),
  );
  useLayoutEffect(() => stage.exported.show(sheet), [stage, sheet]);
  useLayoutEffect(
    () =>
      stage.arrangement.replaceSync(
        css + rulesCss(drawnRules(rules.flatMap((group) => group.rules))),
      ),
    [stage, css, rules],
  );
  return null;
}

/** Elements of the exported classes in a frame of their own, where the sheet looks as on any page. */
export function Specimens({
  title,
  css,
  node,
  theme,
  isPicture = false,
  heightPx,
}: SpecimensProps) {
  const [stage, setStage] = useState<FramedSheets>();
  const [ownPx, setOwnPx] = useState(120);
  useLayoutEffect(() => {
    if (!stage) return undefined;
    stage.document.documentElement.setAttribute('data-theme', theme);
    stage.document.body.toggleAttribute('inert', isPicture);
    return undefined;
  }, [stage, theme, isPicture]);
  useLayoutEffect(() => {
    const View = stage?.document.defaultView;
    if (!stage || !View || heightPx !== undefined) return undefined;
    const observer = new View.ResizeObserver(() =>
      setOwnPx(Math.ceil(stage.document.body.getBoundingClientRect().height)),
    );
    observer.observe(stage.document.body);
    return () => observer.disconnect();
  }, [stage, heightPx]);
  return (
    <>
      <iframe
        src="/proof/"
        title={title}
        aria-hidden={isPicture || undefined}
        tabIndex={isPicture ? -1 : undefined}
        className={`block w-full border-0 ${isPicture ? 'pointer-events-none' : ''}`}
        style={{ height: heightPx ?? ownPx }}
        onLoad={(event) => setStage(framedSheets(event.currentTarget))}
      />
      {stage && (
        <>
          <Sheets stage={stage} css={css} />
          {createPortal(renderNode(node, false), stage.document.body)}
        </>
      )}
    </>
  );
}
