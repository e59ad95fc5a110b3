import type { Hex } from '@garnish/core/color/srgb';
import type { Treated } from '@garnish/core/image/treat';
import { veilCss } from '@garnish/core/image/veil';
import { inOrder, type Veil } from '@garnish/core/system/document';
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { PictureFrame } from '../../proof/measure-hero.ts';
import { useDecided, useStore } from '../../system/system-context.ts';
import { useGesture } from '../../ui/gesture.ts';
import type { VeilAnswer } from './veil-worker.ts';

const STEP = 0.01;

/** Which pixels are marked: those that fail without the veil, those that fail with it, or none. */
export type Marking = 'none' | 'before' | 'after';

interface VeilFrameProps {
  readonly veil: Veil;
  readonly id: string;
  readonly frame: PictureFrame;
  readonly inHero: boolean;
  readonly answer: VeilAnswer | undefined;
  readonly marking: Marking;
  readonly color: Hex;
  readonly ink: Hex;
  readonly strength: number;
  /** What is done to the picture under the veil. */
  readonly treated: Treated | undefined;
}

/** A picture with what is done to it, as the sheet does it. */
function TreatedPicture({
  veil: { picture, crop },
  treated,
}: Pick<VeilFrameProps, 'veil' | 'treated'>) {
  const isToned = treated?.kind === 'toned';
  return (
    <div
      className="absolute inset-0 isolate"
      style={{ backgroundColor: isToned ? treated.light : treated?.ground }}
    >
      <img
        src={`/proof/pictures/${picture.file}`}
        alt={picture.name}
        className="absolute inset-0 h-full w-full object-cover"
        style={{
          ...(crop && { objectPosition: `${crop.x * 100}% ${crop.y * 100}%` }),
          ...(treated?.kind === 'faint' && { opacity: treated.opacity }),
          ...(isToned && { filter: 'grayscale(1)', mixBlendMode: 'multiply' }),
        }}
      />
      {isToned && (
        <div
          className="absolute inset-0"
          style={{ backgroundColor: treated.dark, mixBlendMode: 'lighten' }}
        />
      )}
    </div>
  );
}

/** The picture as the frame crops it, under its veil, with the boxes of text on it. */
export function VeilFrame(props: VeilFrameProps) {
  const { veil, id, frame, inHero, answer, marking, color, ink, strength, treated } = props;
  const store = useStore();
  const gesture = useGesture();
  const decided = useDecided([], ['styles']);
  const room = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const grab = useRef({ x: 0, y: 0 });
  const mask = marking === 'none' ? undefined : answer?.masks?.[marking];
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !canvas.current) return;
    context.clearRect(0, 0, canvas.current.width, canvas.current.height);
    if (mask) context.drawImage(mask, 0, 0, canvas.current.width, canvas.current.height);
  }, [mask]);
  const decidedBoxes = inOrder(veil.boxes);
  const boxes = inHero
    ? frame.boxes.map((box, index) => [`measured-${index}`, box] as const)
    : decidedBoxes;
  const path = `/color/veils/items/${id}/boxes/items`;
  const place = (key: string, change: Partial<(typeof decidedBoxes)[number][1]>): void => {
    const box = veil.boxes.items[key];
    if (!box) return;
    const next = { ...box, ...change };
    const width = Math.min(1, Math.max(0.04, next.width));
    const height = Math.min(1, Math.max(0.04, next.height));
    store.change(
      [
        {
          op: 'replace',
          path: `${path}/${key}`,
          value: {
            ...next,
            width,
            height,
            x: Math.min(1 - width, Math.max(0, next.x)),
            y: Math.min(1 - height, Math.max(0, next.y)),
          },
        },
      ],
      `place of text on ${veil.name}`,
      { gesture: gesture() },
    );
  };
  const press = (key: string) => (event: KeyboardEvent) => {
    const box = veil.boxes.items[key];
    const move = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
    }[event.key];
    if (!box || !move) return;
    event.preventDefault();
    const [dx = 0, dy = 0] = move;
    place(
      key,
      event.shiftKey
        ? { width: box.width + dx, height: box.height + dy }
        : { x: box.x + dx, y: box.y + dy },
    );
  };
  const drag = (key: string, resize: boolean) => (event: PointerEvent) => {
    const area = room.current?.getBoundingClientRect();
    const box = veil.boxes.items[key];
    if (event.buttons !== 1 || !area || !box) return;
    const dx = (event.clientX - grab.current.x) / area.width;
    const dy = (event.clientY - grab.current.y) / area.height;
    grab.current = { x: event.clientX, y: event.clientY };
    place(
      key,
      resize
        ? { width: box.width + dx, height: box.height + dy }
        : { x: box.x + dx, y: box.y + dy },
    );
  };
  const hold = (event: PointerEvent): void => {
    event.stopPropagation();
    grab.current = { x: event.clientX, y: event.clientY };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  return (
    <div
      ref={room}
      className="relative w-full overflow-clip"
      style={{ aspectRatio: `${frame.width} / ${frame.height}` }}
      role="group"
      aria-label={`Text on ${veil.name}`}
    >
      <TreatedPicture veil={veil} treated={treated} />
      <div
        className="absolute inset-0"
        style={{
          backgroundImage:
            marking === 'before' ? undefined : veilCss({ color, side: veil.side, strength }),
        }}
      />
      <canvas
        ref={canvas}
        width={320}
        height={Math.max(1, Math.round((320 * frame.height) / frame.width))}
        className="absolute inset-0 h-full w-full"
        aria-hidden
      />
      {boxes.map(([key, box], index) => {
        const style = decided.derived.styles.get(box.text);
        return (
          <div
            key={key}
            className="absolute touch-none border border-dashed border-white outline-1 outline-black"
            style={{
              insetInlineStart: `${box.x * 100}%`,
              insetBlockStart: `${box.y * 100}%`,
              inlineSize: `${box.width * 100}%`,
              blockSize: `${box.height * 100}%`,
            }}
            {...(!inHero && {
              role: 'group',
              'data-moved-by-keys': '',
              tabIndex: 0,
              'aria-label': `Box ${index + 1}, ${style?.name ?? box.text}: arrow keys move it, with Shift they size it`,
              onKeyDown: press(key),
              onPointerDown: hold,
              onPointerMove: drag(key, false),
            })}
          >
            {!inHero && (
              <>
                <span className="block truncate px-1 font-semibold" style={{ color: ink }}>
                  {style?.name ?? box.text}
                </span>
                <span
                  aria-hidden
                  className="absolute -end-1.5 -bottom-1.5 h-3 w-3 cursor-nwse-resize border border-black bg-white"
                  onPointerDown={hold}
                  onPointerMove={drag(key, true)}
                />
              </>
            )}
          </div>
        );
      })}
    </div>
  );
}
