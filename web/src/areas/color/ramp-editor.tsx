import type { RampShape } from '@garnish/core/color/ramp';
import type { Hex } from '@garnish/core/color/srgb';
import { jsonOf } from '@garnish/core/system/patch';
import { useStore } from '../../system/system-context.ts';
import { NumberField } from '../../ui/number-field.tsx';
import { RampDrawing } from './ramp-drawing.tsx';

interface RampEditorProps {
  readonly name: string;
  /** Where the shape is decided in the document. */
  readonly path: string;
  readonly decided: Partial<RampShape> | undefined;
  readonly usual: RampShape;
  readonly colors: readonly Hex[];
  readonly source?: Hex;
}

/** How a ramp runs: its ends, its chroma and its hue towards both, and every rung by hand. */
export function RampEditor({ name, path, decided, usual, colors, source }: RampEditorProps) {
  const store = useStore();
  const shape: RampShape = { ...usual, ...decided };
  const change = (part: Partial<RampShape>, gesture: string): void => {
    store.change([{ op: 'add', path, value: jsonOf({ ...decided, ...part }) }], `ramp of ${name}`, {
      gesture,
    });
  };
  const number = (
    label: string,
    part: Exclude<keyof RampShape, 'positions'>,
    options: { min: number; max: number; step: number; times?: number; unit?: string },
  ) => {
    const { min, max, step, times = 1, unit = '' } = options;
    return (
      <NumberField
        label={label}
        value={shape[part] * times}
        min={min}
        max={max}
        step={step}
        decimals={3}
        unit={unit}
        onChange={(value, gesture) => change({ [part]: value / times }, gesture)}
      />
    );
  };
  const share = { min: 0, max: 200, step: 2, times: 100, unit: '%' };
  const turn = { min: -180, max: 180, step: 2, unit: '°' };
  return (
    <div role="group" aria-label={`Run of ${name}`} className="mt-2 border-s border-line ps-3">
      <RampDrawing
        name={name}
        colors={colors}
        shape={shape}
        onChange={change}
        {...(source !== undefined && { source })}
      />
      <div className="mt-2 grid grid-cols-3 gap-x-3 gap-y-1">
        <span className="self-end pb-1 text-quiet">at paper</span>
        {number('lightness', 'paper', { min: 0.6, max: 1, step: 0.005 })}
        {number('hue turns', 'driftAtPaper', turn)}
        <span className="self-end pb-1 text-quiet">at ink</span>
        {number('lightness', 'ink', { min: 0, max: 0.5, step: 0.005 })}
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
