import type { Drawing, DrawingChoice } from '@garnish/core/drawings/drawing';
import { USUAL_CHOICE } from '@garnish/core/drawings/drawing';
import type { Moved } from '@garnish/core/drawings/placing';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { announce } from '../../ui/announce.tsx';
import { saveAs } from '../../ui/save-as.ts';
import { useMeasured } from '../use-measured.ts';
import { DrawingChoices } from './drawing-choice.tsx';
import { draw, prepare, type Drawn, type Prepared } from './make-drawing.ts';
import { addressOf, pngOf, withStills } from './picture-files.ts';

/** So long nothing may have changed before it is drawn again, in ms. */
const CALM_MS = 150;

/** What a drawing is made of, made again after every change; the last one stays until the next is there. */
function usePrepared(drawn: Drawn, { unit, chapters }: DrawingChoice) {
  const [made, setMade] = useState<{ readonly of: Drawn; readonly prepared: Prepared }>();
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let isOver = false;
    const timer = setTimeout(() => {
      prepare(drawn, { unit, chapters })
        .then((prepared) => {
          if (isOver) return;
          setMade({ of: drawn, prepared });
          setProblem(undefined);
        })
        .catch((error: unknown) => {
          if (!isOver) setProblem(error instanceof Error ? error.message : String(error));
        });
    }, CALM_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [drawn, unit, chapters]);
  const isOther = made?.of.subject.id !== drawn.subject.id;
  return { prepared: made?.prepared, isOld: made?.of !== drawn, isOther, problem };
}

/** What was chosen, but for things that are in no such component. */
function fittingChoice({ only, ...choice }: DrawingChoice, prepared: Prepared | undefined) {
  const isHere = prepared?.scene.things.some(({ place }) => only?.has(place) === true) ?? false;
  return only && isHere ? { ...choice, only } : choice;
}

interface LabelsProps {
  readonly drawing: Drawing;
  readonly scale: number;
  readonly moved: ReadonlyMap<string, Moved>;
  readonly onMove: (measure: string, to: Moved) => void;
}

const KEY_STEP = 4;
const ARROWS: Readonly<Record<string, Moved>> = {
  ArrowLeft: { x: -KEY_STEP, y: 0 },
  ArrowRight: { x: KEY_STEP, y: 0 },
  ArrowUp: { x: 0, y: -KEY_STEP },
  ArrowDown: { x: 0, y: KEY_STEP },
};

/** The labels of a drawing, to be moved: by pointer, by arrow keys, and back by Home. */
function Labels({ drawing, scale, moved, onMove }: LabelsProps) {
  const [held, setHeld] = useState<{ key: string; from: Moved; by: Moved }>();
  return drawing.labels.map(({ key, box, text }) => {
    const before = moved.get(key) ?? { x: 0, y: 0 };
    const by = held?.key === key ? held.by : { x: 0, y: 0 };
    const moveBy = (more: Moved): void =>
      onMove(key, { x: before.x + more.x, y: before.y + more.y });
    return (
      <button
        key={key}
        type="button"
        title="Move it: drag, or arrow keys; Home puts it back"
        aria-label={`Label ${text}${moved.has(key) ? ', moved' : ''}`}
        className="absolute cursor-move touch-none outline-offset-1 hover:outline hover:outline-primary"
        style={{
          left: box.left * scale,
          top: box.top * scale,
          width: box.width * scale,
          height: box.height * scale,
          translate: `${by.x * scale}px ${by.y * scale}px`,
          ...(held?.key === key && { outline: '2px solid var(--color-primary)' }),
        }}
        onKeyDown={(event) => {
          const step = ARROWS[event.key];
          if (event.key === 'Home' && moved.has(key)) onMove(key, { x: 0, y: 0 });
          else if (step && !event.ctrlKey && !event.metaKey) moveBy(step);
          else return;
          event.preventDefault();
        }}
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          setHeld({ key, from: { x: event.clientX, y: event.clientY }, by: { x: 0, y: 0 } });
        }}
        onPointerMove={(event) => {
          if (held?.key !== key) return;
          setHeld({
            ...held,
            by: {
              x: (event.clientX - held.from.x) / scale,
              y: (event.clientY - held.from.y) / scale,
            },
          });
        }}
        onPointerCancel={() => setHeld(undefined)}
        onPointerUp={() => {
          if (held?.key !== key) return;
          setHeld(undefined);
          if (Math.hypot(held.by.x, held.by.y) > 1) moveBy(held.by);
        }}
      />
    );
  });
}

/** A word that does something with what can fail, and says how it went. */
function Act({ says, run }: { readonly says: string; readonly run: () => Promise<string> }) {
  const [went, setWent] = useState<string>();
  return (
    <button
      type="button"
      className="act"
      onClick={() => {
        run()
          .catch((error: unknown) => (error instanceof Error ? error.message : String(error)))
          .then((words) => {
            setWent(words);
            announce(words);
            setTimeout(() => setWent(undefined), 2500);
          })
          .catch(() => undefined);
      }}
    >
      {went ?? says}
    </button>
  );
}

interface DrawnSheetProps {
  readonly drawing: Pick<Drawing, 'svg' | 'width' | 'height' | 'words'>;
  readonly title: string;
  /** What its files are called. */
  readonly fileName: string;
  /** It as a file for any program; itself where nothing is said. */
  readonly file?: () => Promise<string>;
  /** What lies over it, made as small as it is shown. */
  readonly over?: (scale: number) => ReactNode;
}

/** A drawing, to be looked at and taken: as SVG, as PNG, on the clipboard. */
export function DrawnSheet(props: DrawnSheetProps) {
  const { drawing, title, fileName, over, file = () => Promise.resolve(drawing.svg) } = props;
  const room = useRef<HTMLDivElement>(null);
  const { width: roomPx } = useMeasured(room);
  const [isWhole, setWhole] = useState(true);
  const address = useMemo(() => addressOf(drawing), [drawing]);
  const scale = isWhole && roomPx > 0 ? Math.min(1, roomPx / drawing.width) : 1;
  const size = { width: drawing.width * scale, height: drawing.height * scale };
  return (
    <>
      <div className="mt-2 mb-1 flex flex-wrap gap-x-4">
        <Act
          says="SVG"
          run={async () => {
            saveAs(`${fileName}.svg`, new Blob([await file()], { type: 'image/svg+xml' }));
            return `${fileName}.svg`;
          }}
        />
        <Act
          says="PNG, twice its size"
          run={async () => {
            saveAs(`${fileName}.png`, await pngOf(drawing));
            return `${fileName}.png`;
          }}
        />
        <Act
          says="Copy as picture"
          run={async () => {
            await navigator.clipboard.write([new ClipboardItem({ 'image/png': pngOf(drawing) })]);
            return 'copied';
          }}
        />
        <Act
          says="Copy as SVG"
          run={async () => {
            await navigator.clipboard.writeText(await file());
            return 'copied';
          }}
        />
        <button
          type="button"
          aria-pressed={!isWhole}
          className="ms-auto min-h-6 text-quiet hover:text-base-content"
          onClick={() => setWhole(!isWhole)}
        >
          {isWhole ? `shown at ${Math.round(scale * 100)} %` : 'shown as it is'}
        </button>
      </div>
      <div ref={room} className={isWhole ? 'overflow-hidden' : 'overflow-x-auto'}>
        <div className="relative outline-1 -outline-offset-1 outline-line" style={size}>
          <img
            src={address}
            alt={[title, ...drawing.words].join('\n')}
            className="block max-w-none"
            style={size}
          />
          {over?.(scale)}
        </div>
      </div>
    </>
  );
}

interface SpecificationProps {
  readonly drawn: Drawn;
  /** How far labels were moved, by the keys of their measures. */
  readonly moved: ReadonlyMap<string, Moved>;
  readonly screenPx: number;
  readonly onScreen: (px: number) => void;
  /** Moves a label; nobody does where absent. */
  readonly onMove?: (measure: string, to: Moved) => void;
}

/** Something drawn with its measures, parts, states and widths; drawn again after every change. */
export function Specification(props: SpecificationProps) {
  const { drawn, moved, screenPx, onScreen, onMove } = props;
  const [chosen, setChoice] = useState<DrawingChoice>(USUAL_CHOICE);
  const { prepared, isOld, isOther, problem } = usePrepared(drawn, chosen);
  const choice = useMemo(() => fittingChoice(chosen, prepared), [chosen, prepared]);
  const drawing = useMemo(
    () => prepared && draw(prepared, choice, moved),
    [prepared, choice, moved],
  );
  const things = (prepared?.scene.things ?? [])
    .filter(({ place }, index, all) => all.findIndex((one) => one.place === place) === index)
    .map(
      ({ place, name }) =>
        [place, place.includes('/') ? place.split('/').slice(1).join(' › ') : name] as const,
    );
  return (
    <div>
      <details>
        <summary className="min-h-6 cursor-pointer text-quiet">How it is drawn</summary>
        <DrawingChoices
          choice={choice}
          onChoice={setChoice}
          screenPx={screenPx}
          onScreen={onScreen}
          things={things}
        />
      </details>
      {problem !== undefined && (
        <p role="alert" className="my-2 text-error">
          {problem}
        </p>
      )}
      <div aria-busy={isOld}>
        {!drawing && problem === undefined && <p className="py-8 text-quiet">Drawing …</p>}
        {drawing && (
          <DrawnSheet
            drawing={drawing}
            title={prepared?.title ?? ''}
            fileName={drawn.subject.file}
            {...(prepared && {
              file: async () => draw(await withStills(prepared), choice, moved).svg,
            })}
            over={(scale) =>
              onMove && !isOther ? (
                <Labels drawing={drawing} scale={scale} moved={moved} onMove={onMove} />
              ) : null
            }
          />
        )}
      </div>
    </div>
  );
}
