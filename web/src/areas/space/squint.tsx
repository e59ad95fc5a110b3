import {
  nameOf,
  type MeasuredBox,
  type MeasuredPage,
} from '@garnish/core/checks/page/measured-page';
import type { Salience, Spot } from '@garnish/core/image/salience';
import { useEffect, useRef, useState } from 'react';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';
import { layoutNow } from '../../proof/measure-layout.ts';
import { usePageInFrame } from '../../proof/page-in-frame.ts';
import { pictureOfProof } from '../../proof/picture-of-proof.ts';
import { useStore } from '../../system/system-context.ts';
import { NumberField } from '../../ui/number-field.tsx';
import type { SalienceAnswer, SalienceQuestion } from './salience-worker.ts';

const STRONGEST = 3;

/** A spot with the name of what stands there. */
interface Named extends Spot {
  readonly name: string;
}

interface Found {
  readonly salience: Salience;
  readonly spots: readonly Named[];
  /** What should stand out, and whether it does. */
  readonly wanted: readonly { readonly name: string; readonly isFound: boolean }[];
  readonly picture: OffscreenCanvas;
}

const holds = ({ left, top, width, height }: MeasuredBox, x: number, y: number): boolean =>
  x >= left && x <= left + width && y >= top && y <= top + height;

/** The smallest box with words, a ground or a picture at a place of the page. */
function boxAt({ boxes }: MeasuredPage, x: number, y: number): MeasuredBox | undefined {
  return boxes
    .filter((box) => holds(box, x, y) && (box.text !== '' || box.isSeen || /img|svg/.test(box.tag)))
    .reduce<MeasuredBox | undefined>(
      (best, box) => (best && best.width * best.height <= box.width * box.height ? best : box),
      undefined,
    );
}

/** A box by its words, its own or those inside it, or by what it is. */
function saidOf(page: MeasuredPage, box: MeasuredBox | undefined): string {
  if (!box) return 'the ground';
  if (box.classes.includes('mark')) return 'the logo';
  const inside = box.text === '' ? wordsIn(page, page.boxes.indexOf(box)) : box.text;
  return inside === '' ? nameOf(box) : `“${inside}”`;
}

/** The first words inside a box that are all it holds; a part of the page with many is called by its name. */
function wordsIn({ boxes }: MeasuredPage, index: number): string {
  const own = boxes.filter((box) => {
    for (let at = box.parent; at >= 0; at = boxes[at]?.parent ?? -1) if (at === index) return true;
    return false;
  });
  const words = own.map(({ text }) => text).filter((text) => text !== '');
  return words.length === 1 ? (words[0] ?? '') : '';
}

/** What a page is opened for: its title, and what one does first. */
function wantedIn({ boxes }: MeasuredPage, spots: readonly Spot[], width: number, height: number) {
  const title = boxes.find(({ tag }) => tag === 'h1');
  const action = boxes.find(({ classes }) => classes.includes('button'));
  return [
    { name: 'the title', box: title },
    { name: 'the first action', box: action },
  ].flatMap(({ name, box }) =>
    box ? [{ name, isFound: spots.some(({ x, y }) => holds(box, x * width, y * height)) }] : [],
  );
}

/** Draws the map over the picture: what stands out stays as it is, the rest goes pale. */
function draw(canvas: HTMLCanvasElement, { salience, picture, spots }: Found): void {
  canvas.width = picture.width;
  canvas.height = picture.height;
  const context = canvas.getContext('2d');
  const small = new OffscreenCanvas(salience.columns, salience.rows);
  const cells = small.getContext('2d');
  if (!context || !cells) return;
  const image = cells.createImageData(salience.columns, salience.rows);
  salience.map.forEach((value, at) => {
    image.data.set([255, 255, 255, Math.round(225 * (1 - Math.sqrt(value)))], at * 4);
  });
  cells.putImageData(image, 0, 0);
  context.drawImage(picture, 0, 0);
  context.drawImage(small, 0, 0, picture.width, picture.height);
  const radius = picture.width / 28;
  context.font = `600 ${radius}px sans-serif`;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  spots.forEach(({ x, y }, index) => {
    const [cx, cy] = [x * picture.width, y * picture.height];
    context.beginPath();
    context.arc(cx, cy, radius, 0, Math.PI * 2);
    context.fillStyle = '#fff';
    context.fill();
    context.lineWidth = radius / 8;
    context.strokeStyle = '#111';
    context.stroke();
    context.fillStyle = '#111';
    context.fillText(String(index + 1), cx, cy);
  });
}

/** What stands out while one squints: blur, and a map with the three strongest spots. */
export function Squint() {
  const page = usePageInFrame();
  const store = useStore();
  const { proofBlur } = usePreferences();
  const [found, setFound] = useState<Found>();
  const [told, setTold] = useState<string>();
  const [working, setWorking] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);
  const worker = useRef<Worker>(undefined);
  useEffect(() => {
    if (found && canvas.current) draw(canvas.current, found);
  }, [found]);
  useEffect(() => () => worker.current?.terminate(), []);
  const look = async (): Promise<void> => {
    if (!page) return;
    setWorking(true);
    setTold(undefined);
    try {
      const picture = await pictureOfProof(page, store.state().decided.sheet);
      const context = picture.getContext('2d', { willReadFrequently: true });
      if (!context) throw new Error('there is no canvas');
      const question: SalienceQuestion = context.getImageData(0, 0, picture.width, picture.height);
      worker.current?.terminate();
      worker.current = new Worker(new URL('./salience-worker.ts', import.meta.url), {
        type: 'module',
      });
      const current = worker.current;
      const salience = await new Promise<SalienceAnswer>((resolve, reject) => {
        current.onmessage = ({ data }: MessageEvent<SalienceAnswer>) => resolve(data);
        current.onerror = () => reject(new Error('it could not be worked out'));
        current.postMessage(question);
      });
      const layout = layoutNow(page);
      const { width, height } = picture;
      // Two spots on one thing are one.
      const named = salience.spots.map((spot) => ({
        ...spot,
        name: saidOf(layout, boxAt(layout, spot.x * width, spot.y * height)),
      }));
      const spots = named
        .filter(({ name }, index) => named.findIndex((other) => other.name === name) === index)
        .slice(0, STRONGEST);
      setFound({ salience, picture, spots, wanted: wantedIn(layout, spots, width, height) });
    } catch (error) {
      setTold(
        `The page could not be pictured: ${error instanceof Error ? error.message : 'it failed'}. Nothing was changed.`,
      );
    } finally {
      setWorking(false);
    }
  };
  return (
    <div>
      <div className="flex flex-wrap items-end gap-x-6">
        <div className="w-24">
          <NumberField
            label="blur the proof"
            value={proofBlur}
            min={0}
            max={24}
            step={1}
            decimals={0}
            unit="px"
            slider
            onChange={(value) => setPreferences({ proofBlur: value })}
          />
        </div>
        <button
          type="button"
          className="act"
          disabled={working || !page}
          onClick={() => void look()}
        >
          {working ? 'Looking …' : found ? 'Look again' : 'Find what stands out'}
        </button>
      </div>
      {told !== undefined && (
        <p role="alert" className="text-error">
          {told}
        </p>
      )}
      {found && (
        <div className="mt-2 grid grid-cols-[minmax(0,15rem)_minmax(0,1fr)] gap-x-5">
          <canvas
            ref={canvas}
            className="h-auto w-full"
            role="img"
            aria-label="What stands out of the proof"
          />
          <div>
            {found.spots.length === 0 ? (
              <p className="text-quiet">Nothing stands out: the page is of one color.</p>
            ) : (
              <ol aria-label="The strongest spots">
                {found.spots.map(({ name, strength }, index) => (
                  <li key={index} className="flex gap-2 border-t border-line py-0.5">
                    <span className="figures">{index + 1}</span>
                    <span className="min-w-0 grow">{name}</span>
                    <span className="figures text-quiet">{Math.round(strength * 100)} %</span>
                  </li>
                ))}
              </ol>
            )}
            <ul className="mt-2" aria-label="What should stand out">
              {found.wanted.map(({ name, isFound }) => (
                <li key={name} className={isFound ? 'text-quiet' : 'text-warning'}>
                  {name} {isFound ? 'is among them' : 'is not among them'}
                </li>
              ))}
            </ul>
          </div>
        </div>
      )}
    </div>
  );
}
