import { inOrder } from '@garnish/core/system/document';
import { useState, type PointerEvent } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Copy } from '../../ui/copy.tsx';
import { useGesture } from '../../ui/gesture.ts';
import { DecidedChoice } from '../../system/decided-choice.tsx';
import { Items } from '../../system/items.tsx';

interface Picture {
  readonly name: string;
  readonly file: string;
  readonly width: number;
  readonly height: number;
}

const HEIGHT_PX = 92;

interface CropProps {
  readonly id: string;
  readonly picture: Picture | undefined;
}

/** What is seen of a picture in a shape: the rest is dimmed, the point that stays in view is marked. */
function Crop({ id, picture }: CropProps) {
  const store = useStore();
  const decided = useDecided(['layout']);
  const gesture = useGesture();
  const shape = decided.document.layout.pictures.items[id];
  if (!shape) return null;
  const ratio = shape.width / shape.height;
  if (!picture)
    return (
      <span
        className="mt-2 block border border-line-strong bg-base-200"
        style={{ height: HEIGHT_PX, width: HEIGHT_PX * ratio, maxWidth: '100%' }}
        aria-hidden
      />
    );
  const own = picture.width / picture.height;
  const covers = shape.fit === 'cover';
  // The part of the picture that is seen, as shares of it.
  const width = covers ? Math.min(1, ratio / own) : 1;
  const height = covers ? Math.min(1, own / ratio) : 1;
  const lost = 1 - width * height;
  const place = (event: PointerEvent<HTMLButtonElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (value: number): number => Number(Math.min(1, Math.max(0, value)).toFixed(2));
    const path = `/layout/pictures/items/${id}`;
    store.change(
      [
        { op: 'replace', path: `${path}/x`, value: share((event.clientX - box.left) / box.width) },
        { op: 'replace', path: `${path}/y`, value: share((event.clientY - box.top) / box.height) },
      ],
      `what stays in view, ${shape.name}`,
      { gesture: gesture() },
    );
  };
  return (
    <div className="flex items-end gap-3 pt-1.5">
      <button
        type="button"
        className="relative block touch-none overflow-hidden border border-line"
        style={{ height: HEIGHT_PX, width: HEIGHT_PX * own }}
        aria-label={`What stays in view of ${shape.name}: click the picture, or type below`}
        onPointerDown={place}
        onPointerMove={(event) => event.buttons === 1 && place(event)}
      >
        <img
          src={`/proof/pictures/${picture.file}`}
          alt=""
          width={picture.width}
          height={picture.height}
          className="h-full w-full opacity-35"
        />
        <span
          className="absolute overflow-hidden outline-1 outline-base-content"
          style={{
            width: `${width * 100}%`,
            height: `${height * 100}%`,
            left: `${(1 - width) * shape.x * 100}%`,
            top: `${(1 - height) * shape.y * 100}%`,
          }}
        >
          <img
            src={`/proof/pictures/${picture.file}`}
            alt=""
            className="absolute max-w-none"
            style={{
              height: HEIGHT_PX,
              width: HEIGHT_PX * own,
              left: -((1 - width) * shape.x) * HEIGHT_PX * own,
              top: -((1 - height) * shape.y) * HEIGHT_PX,
            }}
          />
        </span>
        <span
          className="absolute h-2 w-2 -translate-x-1/2 -translate-y-1/2 border border-base-100 bg-base-content"
          style={{ left: `${shape.x * 100}%`, top: `${shape.y * 100}%` }}
        />
      </button>
      <div className="min-w-0 text-xs text-quiet">
        <p>
          {covers
            ? lost < 0.005
              ? 'nothing is cut off'
              : `${Math.round(lost * 100)} % is cut off`
            : 'whole, with room beside it'}
        </p>
        <Copy
          className="figures"
          text={`<img src="…" width="${picture.width}" height="${picture.height}" alt="…">`}
          label={`Copy the picture’s own size: ${picture.width} by ${picture.height}`}
        >
          width=&quot;{picture.width}&quot; height=&quot;{picture.height}&quot;
        </Copy>
        <p>given with the picture, so that nothing moves while it loads</p>
      </div>
    </div>
  );
}

/** Shapes that pictures are shown in, each with the crop on one of the site’s own pictures. */
export function Crops() {
  const decided = useDecided(['color', 'layout']);
  const { layout, color } = decided.document;
  const pictures = inOrder(color.veils).map(([, { picture }]) => picture);
  const [chosen, setChosen] = useState(0);
  const picture = pictures[Math.min(chosen, pictures.length - 1)];
  return (
    <>
      {pictures.length === 0 && (
        <p className="pb-1 text-quiet">
          No picture yet: bring one under Color, Pictures, to see what each shape cuts off.
        </p>
      )}
      {pictures.length > 1 && (
        <select
          aria-label="Picture that is cropped"
          className="select w-56"
          value={chosen}
          onChange={(event) => setChosen(Number(event.currentTarget.value))}
        >
          {pictures.map(({ name, file }, index) => (
            <option key={file} value={index}>
              {name}
            </option>
          ))}
        </select>
      )}
      <Items
        path="/layout/pictures"
        collection={layout.pictures}
        what="shape"
        columns="3rem 3rem 6rem 4rem 4rem"
        below={(id) => <Crop id={id} picture={picture} />}
        another={() => ({
          name: `shape ${layout.pictures.order.length + 1}`,
          width: 1,
          height: 1,
          fit: 'cover' as const,
          x: 0.5,
          y: 0.5,
        })}
      >
        {(_, { name, width, height, fit, x, y }, path) => (
          <>
            <DecidedNumber
              label="wide"
              path={`${path}/width`}
              name={`shape ${name}`}
              value={width}
              step={1}
              decimals={0}
            />
            <DecidedNumber
              label="high"
              path={`${path}/height`}
              name={`shape ${name}`}
              value={height}
              step={1}
              decimals={0}
            />
            <DecidedChoice
              label="fit"
              path={`${path}/fit`}
              value={fit}
              options={[
                ['cover', 'cover'],
                ['contain', 'contain'],
              ]}
            />
            <DecidedNumber
              label="across"
              path={`${path}/x`}
              name={`view of ${name}`}
              value={x}
              factor={0.01}
              step={5}
              unit="%"
            />
            <DecidedNumber
              label="down"
              path={`${path}/y`}
              name={`view of ${name}`}
              value={y}
              factor={0.01}
              step={5}
              unit="%"
            />
          </>
        )}
      </Items>
    </>
  );
}
