import { COMPONENTS } from '@garnish/core/components/components';
import { derive } from '@garnish/core/derive/derive';
import type { Derived } from '@garnish/core/derive/derived';
import { sheetOf, type SheetBlock } from '@garnish/core/formats/sheet';
import { variantsDrawn, type Needing } from '@garnish/core/proof/needed';
import { element, type ProofElement } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import type { Mode, StyleDocument } from '@garnish/core/system/document';
import { readDocument } from '@garnish/core/system/upgrade';
import { useLayoutEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import { releasedDocument, releasesPath } from '../../api/releases.ts';
import { framedSheets, type FramedSheets } from '../../proof/framed-sheets.ts';
import { renderNode } from '../../proof/render.tsx';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';

interface Made {
  readonly document: StyleDocument;
  readonly derived: Derived;
  readonly sheet: readonly SheetBlock[];
}

/** A state of the system with its sheet: of a release, or as it stands now. */
function useMade(system: string, name: string): Made | undefined {
  const now = useSystemLater(({ decided }) => decided);
  const { data } = useSWR(
    name === 'now' ? null : `${releasesPath(system)}/${name}/document`,
    (path: string) => get(path, releasedDocument),
    { revalidateOnFocus: false },
  );
  return useMemo(() => {
    if (name === 'now') return now;
    const read = data && readDocument(data.document);
    if (!read?.ok) return undefined;
    const derived = derive(read.document);
    return { document: read.document, derived, sheet: sheetOf(derived) };
  }, [name, now, data]);
}

const PAGE_PX = 1280;
const PAGE_HIGH_PX = 1600;
const PART_PX = 480;

/** How what is compared is placed; part of the window, never exported. */
const PLACED = `
body { margin: 0; overflow: hidden; }
.both { display: grid; gap: 16px; justify-items: start; padding: 16px; }
.both .dialog, .both .skip-link, .both .nav-panel { position: static; translate: none; }
`;

/** A page, or a component in each of its variants. */
function nodeOf({ kind, id }: Needing, { document, derived }: Made): ProofElement | undefined {
  if (kind === 'page')
    return Object.hasOwn(document.content.pages.items, id)
      ? sitePage(document, derived, id)
      : undefined;
  const component = COMPONENTS.find((one) => one.id === id);
  return (
    component &&
    element(
      'div',
      { class: 'site both' },
      ...variantsDrawn(component, document, derived).map(([, node]) => node),
    )
  );
}

interface PictureProps {
  readonly title: string;
  readonly made: Made;
  readonly node: ProofElement;
  readonly theme: Mode;
  readonly widthPx: number;
  /** Where it is cut off; as high as its content where nothing is said. */
  readonly mostPx: number;
}

/** What something looked like in a state: by that state's own sheet, in a frame of its own, made smaller. */
function Picture({ title, made, node, theme, widthPx, mostPx }: PictureProps) {
  const [stage, setStage] = useState<FramedSheets>();
  const [high, setHigh] = useState(mostPx);
  const [wide, setWide] = useState(0);
  useLayoutEffect(() => {
    if (!stage) return;
    stage.document.documentElement.setAttribute('data-theme', theme);
    stage.document.body.setAttribute('inert', '');
    stage.exported.show(made.sheet);
    stage.arrangement.replaceSync(PLACED);
  }, [stage, theme, made]);
  useLayoutEffect(() => {
    const View = stage?.document.defaultView;
    if (!stage || !View) return undefined;
    const observer = new View.ResizeObserver(() =>
      setHigh(Math.min(mostPx, Math.ceil(stage.document.body.scrollHeight))),
    );
    observer.observe(stage.document.body);
    return () => observer.disconnect();
  }, [stage, mostPx]);
  const scale = wide / widthPx;
  return (
    <div
      ref={(box) => {
        if (box && box.clientWidth !== wide) setWide(box.clientWidth);
      }}
      className="overflow-hidden border border-line"
      style={{ height: Math.max(24, high * scale) }}
    >
      <iframe
        src="/proof/"
        title={title}
        tabIndex={-1}
        className="pointer-events-none block origin-top-left border-0"
        style={{ width: widthPx, height: high, transform: `scale(${scale})` }}
        onLoad={(event) => setStage(framedSheets(event.currentTarget))}
      />
      {stage && createPortal(renderNode(node, false), stage.document.body)}
    </div>
  );
}

interface BothProps {
  readonly system: string;
  readonly from: string;
  readonly to: string;
  readonly looks: readonly Needing[];
}

const keyOf = ({ kind, id }: Needing): string => `${kind}:${id}`;

/** Whatever looks different, chosen by its name and shown in both states beside each other. */
export function BothLooks({ system, from, to, looks }: BothProps) {
  const [chosen, setChosen] = useState<string>();
  const theme = useProofTheme();
  const [before, after] = [useMade(system, from), useMade(system, to)];
  const shown = looks.find((one) => keyOf(one) === chosen) ?? looks[0];
  const isPage = shown?.kind === 'page';
  return (
    <Section full title="Looks different" aside={looks.length}>
      {(['page', 'component'] as const).map((kind) => {
        const own = looks.filter((one) => one.kind === kind);
        return (
          own.length > 0 && (
            <Choice
              key={kind}
              label={kind === 'page' ? 'Pages' : 'Components'}
              options={own.map((one) => ({ value: keyOf(one), name: one.name }))}
              value={shown && keyOf(shown)}
              onChange={setChosen}
            />
          )
        );
      })}
      {shown && (
        <div className="mt-2 grid grid-cols-2 items-start gap-2">
          {(
            [
              [from, before],
              [to, after],
            ] as const
          ).map(([name, made]) => {
            const node = made && nodeOf(shown, made);
            return (
              <figure key={name} className="min-w-0">
                <figcaption className="figures text-xs text-quiet">{name}</figcaption>
                {!made && <p className="text-quiet">Drawing …</p>}
                {made && !node && <p className="text-quiet">It was not there.</p>}
                {made && node && (
                  <Picture
                    key={keyOf(shown)}
                    title={`${shown.name} in ${name}`}
                    made={made}
                    node={node}
                    theme={theme}
                    widthPx={isPage ? PAGE_PX : PART_PX}
                    mostPx={isPage ? PAGE_HIGH_PX : PAGE_PX}
                  />
                )}
              </figure>
            );
          })}
        </div>
      )}
    </Section>
  );
}
