import type { RampShape } from '@garnish/core/color/ramp';
import type { Hex } from '@garnish/core/color/srgb';
import { jsonOf, type Patch } from '@garnish/core/system/patch';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { RampDrawing } from './ramp-drawing.tsx';

interface RampEditorProps {
  /** The id of the ramp that comes of it. */
  readonly id: string;
  readonly name: string;
  /** Where the shape is decided in the document. */
  readonly path: string;
  readonly decided: Partial<RampShape> | undefined;
  readonly usual: RampShape;
  readonly source?: Hex;
}

/** How a ramp runs: its ends, its chroma and its hue towards both, and every rung by hand. */
export function RampEditor({ id, name, path, decided, usual, source }: RampEditorProps) {
  const store = useStore();
  const colors = useSystem((state) => state.decided.derived.ramps.get(id)?.colors);
  const shape: RampShape = { ...usual, ...decided };
  const changing = (part: Partial<RampShape>): Patch => [
    { op: 'add', path, value: jsonOf({ ...decided, ...part }) },
  ];
  const number = (
    label: string,
    part: Exclude<keyof RampShape, 'positions'>,
    options: { readonly step: number; readonly factor?: number; readonly unit?: string },
  ) => (
    <DecidedNumber
      {...options}
      label={label}
      path={`${path}/${part}`}
      name={`ramp of ${name}`}
      value={shape[part]}
      change={(value) => changing({ [part]: value })}
    />
  );
  const share = { step: 2, factor: 0.01, unit: '%' };
  const turn = { step: 2, unit: '°' };
  return (
    <div role="group" aria-label={`Run of ${name}`} className="mt-2 border-s border-line ps-3">
      <RampDrawing
        name={name}
        colors={colors ?? []}
        shape={shape}
        onChange={(part, gesture) => store.change(changing(part), `ramp of ${name}`, { gesture })}
        {...(source !== undefined && { source })}
      />
      <div className="mt-2 grid grid-cols-3 gap-x-3 gap-y-1">
        <span className="self-end pb-1 text-quiet">at paper</span>
        {number('lightness', 'paper', { step: 0.005 })}
        {number('hue turns', 'driftAtPaper', turn)}
        <span className="self-end pb-1 text-quiet">at ink</span>
        {number('lightness', 'ink', { step: 0.005 })}
        {number('hue turns', 'driftAtInk', turn)}
        {source !== undefined && (
          <>
            <span className="self-end pb-1 text-quiet">chroma left</span>
            {number('at paper', 'chromaAtPaper', share)}
            {number('at ink', 'chromaAtInk', share)}
          </>
        )}
      </div>
      {decided !== undefined && (
        <button
          type="button"
          className="act mt-1"
          onClick={() => store.change([{ op: 'remove', path }], `usual run of ${name}`)}
        >
          Let it run as usual
        </button>
      )}
    </div>
  );
}
