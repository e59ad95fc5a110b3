import { pullsOf, type Pull } from '@garnish/core/checks/attention';
import type { Salience } from '@garnish/core/image/salience';
import { useEffect, useRef, useState } from 'react';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';
import { paintedOn } from '../../proof/measure-attention.ts';
import { usePageInFrame } from '../../proof/page-in-frame.ts';
import { pictureOfProof } from '../../proof/picture-of-proof.ts';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useShownPage } from '../../system/shown-page.ts';
import { useStore } from '../../system/system-context.ts';
import { NumberField } from '../../ui/number-field.tsx';
import type { SalienceAnswer, SalienceQuestion } from './salience-worker.ts';

const STRONGEST = 3;

interface Found {
  readonly salience: Salience;
  /** The things that draw most, with their boxes in px of the picture. */
  readonly things: readonly (Pull & { readonly box: DOMRect })[];
  /** What should stand out, and whether it does. */
  readonly wanted: readonly { readonly name: string; readonly isFound: boolean }[];
  readonly picture: OffscreenCanvas;
}

/** What should be seen first: what the page is meant to say first, else its title and what one does first. */
function wantedAmong(
  page: Document,
  things: readonly Pull[],
  all: readonly Pull[],
  intended: readonly string[],
): Found['wanted'] {
  if (intended.length > 0)
    return intended.map((at) => ({
      name: all.find((one) => one.at === at)?.name ?? 'what is meant, further down,',
      isFound: things.some((one) => one.at === at),
    }));
  return [
    { name: 'the title', element: page.querySelector('h1') },
    { name: 'the first action', element: page.querySelector('.site .button') },
  ].flatMap(({ name, element }) =>
    element
      ? [
          {
            name,
            isFound: things.some(({ selector }) => {
              const own = page.querySelector(selector);
              return own !== null && (element.contains(own) || own.contains(element));
            }),
          },
        ]
      : [],
  );
}

/** Draws the map over the picture: what stands out stays as it is, the rest goes pale. */
function draw(canvas: HTMLCanvasElement, { salience, picture, things }: Found): void {
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
  const size = picture.width / 24;
  context.font = `600 ${size * 0.6}px sans-serif`;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  things.forEach(({ box }, index) => {
    context.lineWidth = size / 8;
    context.strokeStyle = '#fff';
    context.strokeRect(box.x, box.y, box.width, box.height);
    context.lineWidth = size / 16;
    context.strokeStyle = '#111';
    context.strokeRect(box.x, box.y, box.width, box.height);
    context.fillStyle = '#111';
    context.fillRect(box.x, box.y, size, size);
    context.fillStyle = '#fff';
    context.fillText(String(index + 1), box.x + size / 2, box.y + size / 2);
  });
}

/** What stands out while one squints: blur, and a map, and the three things that draw the eye most. */
export function Squint() {
  const page = usePageInFrame();
  const store = useStore();
  const shown = useShownPage();
  const mode = useProofTheme();
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
      const { width, height } = picture;
      const painted = (await paintedOn(page, height, () => false)) ?? [];
      const all = pullsOf({ page: shown, widthPx: width, heightPx: height, mode, painted });
      const { scrollX = 0, scrollY = 0 } = page.defaultView ?? {};
      const things = all.slice(0, STRONGEST).flatMap((one) => {
        const box = page.querySelector(one.selector)?.getBoundingClientRect();
        return box
          ? [{ ...one, box: new DOMRect(box.x + scrollX, box.y + scrollY, box.width, box.height) }]
          : [];
      });
      const { items } = store.state().decided.document.content.pages;
      const intended = (Object.hasOwn(items, shown) ? items[shown]?.intended : undefined) ?? [];
      setFound({ salience, picture, things, wanted: wantedAmong(page, things, all, intended) });
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
            {found.things.length === 0 ? (
              <p className="text-quiet">Nothing stands out: the page is of one color.</p>
            ) : (
              <ol aria-label="What draws the eye most">
                {found.things.map(({ name, pull }, index) => (
                  <li key={index} className="flex gap-2 border-t border-line py-0.5">
                    <span className="figures">{index + 1}</span>
                    <span className="min-w-0 grow">{name}</span>
                    <span className="figures text-quiet">{Math.round(pull * 100)} %</span>
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
