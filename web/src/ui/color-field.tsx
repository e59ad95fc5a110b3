import { parseColor } from '@garnish/core/color/parse-color';
import type { Hex } from '@garnish/core/color/srgb';
import { useId, useRef, useState, type ReactNode } from 'react';
import { DraftProblem } from './draft-problem.tsx';
import { useGesture } from './gesture.ts';
import { OklchPicker } from './oklch-picker.tsx';
import { useDraft } from './use-draft.ts';

const PICKER_PX = { width: 336, height: 150 };

interface ColorFieldProps {
  readonly label: string;
  readonly value: Hex;
  /** The color itself, where sRGB does not hold it; `value` stands for it then. */
  readonly wide?: string | undefined;
  readonly onChange: (value: Hex, gesture: string, wide?: string) => void;
  readonly hideLabel?: boolean;
  /** What is told of the color under its field. */
  readonly children?: ReactNode;
}

/**
 * A color: typed as anything CSS accepts, or picked. One beyond sRGB is kept as it is, with the color
 * that stands for it. What cannot be read leaves the last in force.
 */
export function ColorField(props: ColorFieldProps) {
  const { label, value, wide, onChange, hideLabel = false, children } = props;
  const id = useId();
  const gesture = useGesture();
  const [open, setOpen] = useState(false);
  const swatch = useRef<HTMLButtonElement>(null);
  const panel = useRef<HTMLDivElement>(null);

  /** Puts the picker under the swatch, and within the window. */
  const place = (): void => {
    const box = swatch.current?.getBoundingClientRect();
    if (!box || !panel.current) return;
    const left = Math.max(8, Math.min(box.left, innerWidth - PICKER_PX.width - 8));
    const below = box.bottom + 6;
    const fits = below + PICKER_PX.height < innerHeight;
    panel.current.style.left = `${left}px`;
    panel.current.style.top = `${fits ? below : Math.max(8, box.top - PICKER_PX.height - 6)}px`;
  };

  const draft = useDraft({
    shown: wide ?? value,
    take(text) {
      const read = parseColor(text);
      if (!read.ok) return read.problem;
      if (read.hex !== value || read.wide !== wide) onChange(read.hex, gesture(), read.wide);
      return undefined;
    },
  });

  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-quiet'}>
        {label}
      </label>
      <div className="flex items-center gap-2 border-b border-line-strong focus-within:border-primary">
        <button
          ref={swatch}
          type="button"
          popoverTarget={`${id}-picker`}
          className="h-6 w-6 shrink-0 cursor-pointer border border-line-strong"
          aria-label={`${label}, picker`}
          aria-expanded={open}
          title="by lightness, chroma and hue"
          style={{ background: wide ?? value }}
        />
        <input
          {...draft.field}
          id={id}
          className={`figures min-h-7 w-full min-w-0 bg-transparent ${wide === undefined ? 'text-[0.9375rem]' : 'text-xs'}`}
          autoComplete="off"
          spellCheck={false}
        />
      </div>
      <div
        id={`${id}-picker`}
        ref={panel}
        popover="auto"
        className="fixed m-0 w-84 border border-line-strong bg-base-200 p-3 text-base-content"
        onToggle={({ newState }) => setOpen(newState === 'open')}
        onBeforeToggle={({ newState }) => newState === 'open' && place()}
      >
        {open && <OklchPicker label={label} value={value} wide={wide} onChange={onChange} />}
      </div>
      {wide !== undefined && draft.problem === undefined && (
        <p className="mt-1 text-xs text-quiet">
          Beyond sRGB: kept, with <span className="figures">{value}</span> for other screens.
        </p>
      )}
      <DraftProblem draft={draft} stays={value} />
      {children}
    </div>
  );
}
