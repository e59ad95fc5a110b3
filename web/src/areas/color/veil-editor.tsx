import { neededContrast } from '@garnish/core/color/contrast';
import { isHex, type Hex } from '@garnish/core/color/srgb';
import { veilColor } from '@garnish/core/derive/color/veil';
import { veilCss } from '@garnish/core/image/veil';
import { adding, removing } from '@garnish/core/system/collection';
import { inOrder, VEIL_SIDES, type Veil } from '@garnish/core/system/document';
import { ROOT_PX } from '@garnish/core/type/fluid';
import { Plus, X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { usePreferences } from '../../ui/preferences.ts';
import { measureHero, type PictureFrame } from '../../proof/measure-hero.ts';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { useGesture } from '../../ui/gesture.ts';
import { NameField } from '../../ui/name-field.tsx';
import { pixelsAt } from '../../ui/picture.ts';
import { RoleSelect } from './role-select.tsx';
import type { VeilAnswer, VeilQuestion } from './veil-worker.ts';

/** The widths of the proof at which it is proved. */
const WIDTHS = [320, 375, 480, 720, 1024, 1440, 1600] as const;
const STEP = 0.01;

type Marking = 'none' | 'before' | 'after';

/** Asks the worker again whenever the question changes; the last answer stands meanwhile. */
function useAnswer(
  address: string,
  question: Omit<VeilQuestion, 'id' | 'picture'>,
): VeilAnswer | undefined {
  const worker = useRef<Worker>(undefined);
  const [answer, setAnswer] = useState<VeilAnswer>();
  const [ready, setReady] = useState<string>();
  const picture = useRef<ImageData>(undefined);
  const asked = useRef(0);
  const key = JSON.stringify(question);
  useEffect(() => {
    const started = new Worker(new URL('./veil-worker.ts', import.meta.url), { type: 'module' });
    started.onmessage = ({ data }: MessageEvent<VeilAnswer>) => {
      if (data.id === asked.current) setAnswer(data);
    };
    worker.current = started;
    let gone = false;
    pixelsAt(address)
      .then((pixels) => {
        if (gone) return;
        picture.current = pixels;
        setReady(address);
      })
      .catch(() => undefined);
    return () => {
      gone = true;
      started.terminate();
    };
  }, [address]);
  useEffect(() => {
    if (ready !== address) return;
    const timer = setTimeout(() => {
      asked.current += 1;
      const first = picture.current;
      picture.current = undefined;
      worker.current?.postMessage({
        ...(JSON.parse(key) as Omit<VeilQuestion, 'id' | 'picture'>),
        id: asked.current,
        ...(first && { picture: first }),
      });
    }, 60);
    return () => clearTimeout(timer);
  }, [key, ready, address]);
  return answer;
}

interface FrameProps {
  readonly veil: Veil;
  readonly id: string;
  readonly frame: PictureFrame;
  readonly inHero: boolean;
  readonly answer: VeilAnswer | undefined;
  readonly marking: Marking;
  readonly color: Hex;
  readonly ink: Hex;
}

/** The picture as the frame crops it, under its veil, with the boxes of text on it. */
function Frame({ veil, id, frame, inHero, answer, marking, color, ink }: FrameProps) {
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
      <img
        src={`/proof/pictures/${veil.picture.file}`}
        alt={veil.picture.name}
        className="absolute inset-0 h-full w-full object-cover"
      />
      <div
        className="absolute inset-0"
        style={{
          backgroundImage:
            marking === 'before'
              ? undefined
              : veilCss({ color, side: veil.side, strength: veil.strength }),
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

interface VeilEditorProps {
  readonly id: string;
  readonly veil: Veil;
}

/** Text over one picture, and the least veil at which it reads, proved at every width. */
export function VeilEditor({ id, veil }: VeilEditorProps) {
  const store = useStore();
  const decided = useSystem((state) => state.decided);
  const { proofTheme: mode, proofWidth } = usePreferences();
  const [marking, setMarking] = useState<Marking>('none');
  const [measured, setMeasured] = useState<readonly PictureFrame[]>([]);
  const { document, derived } = decided;
  const { color: colors, content, brief } = document;
  const inHero = content.heroVeil === id;
  const path = `/color/veils/items/${id}`;
  const ink = derived.colors.get(veil.ink)?.colors[mode] ?? '#ffffff';
  const color = veilColor(veil, derived.colors, mode);

  // The words of the hero are measured where they really stand, whenever the page may have moved.
  const layout = inHero ? decided : undefined;
  useEffect(() => {
    if (!layout) return;
    let gone = false;
    const timer = setTimeout(() => {
      measureHero(layout, WIDTHS)
        .then((frames) => !gone && setMeasured(frames))
        .catch(() => undefined);
    }, 250);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [layout]);

  const frames = useMemo((): readonly PictureFrame[] => {
    if (inHero) return measured;
    const { width, height } = veil.picture;
    return [{ screenPx: 0, width, height, boxes: inOrder(veil.boxes).map(([, box]) => box) }];
  }, [inHero, measured, veil]);
  const needs = frames.map((frame) => ({
    ...frame,
    needed: frame.boxes.map(({ text }) => {
      const style = derived.styles.get(text);
      return style
        ? neededContrast(style.size.minRem * ROOT_PX, style.weight, brief.conformance)
        : 4.5;
    }),
  }));
  const nearest = frames.reduce(
    (best, { screenPx }, index) =>
      Math.abs(screenPx - proofWidth) < Math.abs((frames[best]?.screenPx ?? 0) - proofWidth)
        ? index
        : best,
    0,
  );
  const other: Hex = ink === '#ffffff' ? '#000000' : '#ffffff';
  const answer = useAnswer(`/proof/pictures/${veil.picture.file}`, {
    frames: needs,
    inks: [ink, other],
    color,
    side: veil.side,
    pixels: veil.pixels,
    strength: veil.strength,
    marked: nearest,
  });
  const set = (
    patch: Parameters<typeof store.change>[0],
    label: string,
    gesture?: string,
  ): void => {
    store.change(patch, label, gesture ? { gesture } : {});
  };
  const replace = (part: string, value: string | number, label: string, gesture?: string): void =>
    set([{ op: 'replace', path: `${path}/${part}`, value }], label, gesture);
  const least = answer?.least[0];
  const [frame] = frames.slice(nearest);
  const failing = answer?.present.some((proofs) =>
    proofs.some(({ passing }) => passing < veil.pixels),
  );
  return (
    <div role="group" aria-label={`Picture ${veil.name}`} data-decision={path} className="mb-6">
      <div className="mb-1.5 flex items-end gap-3">
        <div className="min-w-0 grow">
          <NameField
            label={`Name of picture ${veil.name}`}
            hideLabel
            value={veil.name}
            onChange={(next) => replace('name', next, `picture ${next}`)}
          />
        </div>
        <label className="flex min-h-7 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={inHero}
            onChange={() =>
              set(
                [
                  inHero
                    ? { op: 'remove', path: '/content/heroVeil' }
                    : { op: 'add', path: '/content/heroVeil', value: id },
                ],
                inHero ? 'opening without picture' : `opening over ${veil.name}`,
              )
            }
          />
          in the opening of the proof
        </label>
        <button
          type="button"
          className="grid h-7 w-6 shrink-0 place-items-center text-quiet hover:text-base-content"
          aria-label={`Remove picture ${veil.name}`}
          onClick={() =>
            set(
              [
                ...(inHero ? [{ op: 'remove' as const, path: '/content/heroVeil' }] : []),
                ...removing('/color/veils', colors.veils, id),
              ],
              `without picture ${veil.name}`,
            )
          }
        >
          <X size={13} aria-hidden />
        </button>
      </div>
      {frame ? (
        <Frame
          veil={veil}
          id={id}
          frame={frame}
          inHero={inHero}
          answer={answer}
          marking={marking}
          color={color}
          ink={ink}
        />
      ) : (
        <p className="py-6 text-quiet">Measuring where the words stand …</p>
      )}
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="text-quiet">mark failing pixels</span>
        <Choice
          label="Mark failing pixels"
          options={[
            { value: 'none', name: 'no' },
            { value: 'before', name: 'without the veil' },
            { value: 'after', name: 'with it' },
          ]}
          value={marking}
          onChange={setMarking}
        />
      </div>
      <div className="mt-1 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_5rem_5rem] items-end gap-x-3">
        <RoleSelect
          label="text in"
          value={veil.ink}
          onChange={(next) => replace('ink', next, `text on ${veil.name}`)}
        />
        <RoleSelect
          label="veil of"
          value={veil.color}
          onChange={(next) => replace('color', next, `veil of ${veil.name}`)}
        >
          <option value="#000000">black</option>
          <option value="#ffffff">white</option>
          {isHex(veil.color) && !['#000000', '#ffffff'].includes(veil.color) && (
            <option value={veil.color}>{veil.color}</option>
          )}
        </RoleSelect>
        <DecidedNumber
          path={`${path}/pixels`}
          value={veil.pixels}
          factor={0.01}
          name={`pixels that pass on ${veil.name}`}
          label="pixels"
          step={1}
          decimals={1}
          unit="%"
        />
        <DecidedNumber
          path={`${path}/strength`}
          name={`veil of ${veil.name}`}
          label="of 255"
          value={veil.strength}
          step={1}
          decimals={0}
        />
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="text-quiet">from</span>
        <Choice
          label="Where the veil comes from"
          options={VEIL_SIDES.map((value) => ({ value, name: value }))}
          value={veil.side}
          onChange={(next) => replace('side', next, `veil from ${next}`)}
        />
      </div>
      {!inHero && (
        <ul aria-label={`Texts on ${veil.name}`}>
          {inOrder(veil.boxes).map(([key, box]) => (
            <li key={key} className="flex items-center gap-2">
              <select
                className="bare select w-32"
                aria-label={`Text role of ${key}`}
                value={box.text}
                onChange={(event) =>
                  replace(
                    `boxes/items/${key}/text`,
                    event.currentTarget.value,
                    `text on ${veil.name}`,
                  )
                }
              >
                {inOrder(document.type.roles).map(([role, { name }]) => (
                  <option key={role} value={role}>
                    {name}
                  </option>
                ))}
              </select>
              {veil.boxes.order.length > 1 && (
                <button
                  type="button"
                  className="grid h-7 w-6 shrink-0 place-items-center text-quiet hover:text-base-content"
                  aria-label={`Remove box ${key}`}
                  onClick={() =>
                    set(removing(`${path}/boxes`, veil.boxes, key), `a text less on ${veil.name}`)
                  }
                >
                  <X size={12} aria-hidden />
                </button>
              )}
            </li>
          ))}
          <li>
            <button
              type="button"
              className="act gap-1"
              onClick={() => {
                const key = `box-${crypto.randomUUID().slice(0, 6)}`;
                set(
                  adding(`${path}/boxes`, veil.boxes, key, {
                    text: 'body',
                    x: 0.05,
                    y: 0.05,
                    width: 0.4,
                    height: 0.2,
                  }),
                  `another text on ${veil.name}`,
                );
              }}
            >
              <Plus size={13} aria-hidden /> Another text on it
            </button>
          </li>
        </ul>
      )}
      <div role="status" className="mt-1">
        {!answer && <p className="text-quiet">Looking at the pixels …</p>}
        {answer && (
          <p className="flex flex-wrap items-baseline gap-x-4">
            <span className={failing ? 'font-semibold text-error' : ''}>
              {failing ? 'falls short' : 'reads'} at {veil.strength} of 255
            </span>
            {least ? (
              <button
                type="button"
                className="act"
                disabled={least.strength === veil.strength}
                onClick={() => replace('strength', least.strength, `least veil of ${veil.name}`)}
              >
                {least.strength === veil.strength
                  ? 'This is the least veil'
                  : `Take the least veil, ${least.strength}`}
              </button>
            ) : (
              <span className="text-error">no strength of this veil is enough</span>
            )}
            <span className="text-quiet">
              text in <span className="figures">{other}</span>{' '}
              {answer.least[1]
                ? `would need ${answer.least[1].strength}`
                : 'would not read at any strength'}
            </span>
          </p>
        )}
      </div>
      {answer && answer.present.length === frames.length && (
        <table className="mt-1 w-full text-xs" aria-label={`Lowest contrast on ${veil.name}`}>
          <tbody>
            {frames.map(({ screenPx, boxes }, index) => (
              <tr key={screenPx} className="border-t border-line">
                <th scope="row" className="figures py-0.5 text-start font-normal text-quiet">
                  {screenPx === 0 ? 'the whole picture' : `${screenPx} px`}
                </th>
                {boxes.map(({ text }, box) => {
                  const proof = answer.present[index]?.[box];
                  const needed = needs[index]?.needed[box] ?? 4.5;
                  const short = proof !== undefined && proof.passing < veil.pixels;
                  return (
                    <td key={box} className={short ? 'text-error' : ''}>
                      {derived.styles.get(text)?.name ?? text}{' '}
                      <span className="figures">{proof?.lowest.toFixed(2)}</span>
                      <span className="text-quiet"> of {needed}</span>
                      {short && ` · ${(100 - proof.passing * 100).toFixed(1)} % fail`}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
