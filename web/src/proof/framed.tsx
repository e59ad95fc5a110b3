/** Where an element stands on the screen of the page, in its px. */
export interface Box {
  readonly top: number;
  readonly left: number;
  readonly width: number;
  readonly height: number;
}

interface FramedProps {
  readonly box: Box;
  readonly scale: number;
  /** What is framed: a place that is shown, or a layer that was stepped out to. */
  readonly as: 'shown' | 'layer';
}

const LOOKS = {
  shown: 'outline-2 outline-offset-4',
  layer: 'outline-1 outline-offset-2 outline-dashed',
} as const;

/** A frame around an element of the page, over the proof. */
export const Framed = ({ box, scale, as }: FramedProps) => (
  <div
    className={`pointer-events-none absolute outline-primary ${LOOKS[as]}`}
    {...{ [`data-${as}`]: '' }}
    style={{
      top: box.top * scale,
      left: box.left * scale,
      width: box.width * scale,
      height: box.height * scale,
    }}
  />
);
