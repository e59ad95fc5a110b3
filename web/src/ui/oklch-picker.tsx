import { gamutOf, type Gamut } from '@garnish/core/color/gamut-limits';
import { toSrgb } from '@garnish/core/color/gamut';
import { oklchCss, wideOklch } from '@garnish/core/color/wide';
import { oklabOf, oklchOf, type Oklch } from '@garnish/core/color/oklab';
import { hexOf, rgbOf, type Hex } from '@garnish/core/color/srgb';
import { Pipette } from 'lucide-react';
import { useState } from 'react';
import { useGesture } from './gesture.ts';

/** What Chromium offers for picking a color anywhere on the screen; not every browser has it. */
interface EyeDropper {
  readonly open: () => Promise<{ readonly sRGBHex: string }>;
}
type EyeDropperClass = new () => EyeDropper;

const eyeDropper = (): EyeDropperClass | undefined =>
  (globalThis as { EyeDropper?: EyeDropperClass }).EyeDropper;

const STOPS = 33;

interface AxisProps {
  readonly axis: keyof Oklch;
  readonly words: string;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly color: Oklch;
  readonly onMove: (color: Oklch) => void;
}

const LIMIT: Readonly<Record<Gamut, string>> = {
  srgb: 'var(--color-base-content)',
  p3: 'var(--color-line-strong)',
  beyond: 'transparent',
};

/** One of the three, with every color that it leads to; below it, how far which screens go. */
function Axis({ axis, words, least, most, step, color, onMove }: AxisProps) {
  const stops = Array.from({ length: STOPS }, (_, index) => {
    const value = least + ((most - least) * index) / (STOPS - 1);
    const at = { ...color, [axis]: value };
    return { share: index / (STOPS - 1), hex: hexOf(toSrgb(at)), gamut: gamutOf(at) };
  });
  const colors = stops.map(({ hex, share }) => `${hex} ${(share * 100).toFixed(1)}%`).join(', ');
  const limits = stops
    .map(({ gamut, share }) => `${LIMIT[gamut]} ${(share * 100).toFixed(1)}%`)
    .join(', ');
  const shown = axis === 'hue' ? color.hue.toFixed(1) : color[axis].toFixed(3);
  return (
    <label className="grid grid-cols-[4rem_minmax(0,1fr)_3.5rem] items-center gap-x-2">
      <span className="text-quiet">{words}</span>
      <span className="min-w-0">
        <input
          type="range"
          className="track block h-4 w-full cursor-pointer border border-line-strong"
          style={{ background: `linear-gradient(to right, ${colors})` }}
          min={least}
          max={most}
          step={step}
          value={color[axis]}
          aria-valuetext={`${shown}, ${
            { srgb: 'on every screen', p3: 'on wide-gamut screens', beyond: 'on no screen' }[
              gamutOf(color)
            ]
          }`}
          onChange={(event) => onMove({ ...color, [axis]: event.currentTarget.valueAsNumber })}
        />
        <span
          className="mt-px block h-[3px]"
          style={{ background: `linear-gradient(to right, ${limits})` }}
          aria-hidden
        />
      </span>
      <span className="figures text-end text-xs">{shown}</span>
    </label>
  );
}

interface OklchPickerProps {
  readonly label: string;
  readonly value: Hex;
  readonly wide?: string | undefined;
  readonly onChange: (value: Hex, gesture: string, wide?: string) => void;
}

/** Lightness, chroma and hue in OKLCH. A color beyond sRGB is kept, with the nearest within it. */
export function OklchPicker({ label, value, wide, onChange }: OklchPickerProps) {
  const gesture = useGesture();
  const [asked, setAsked] = useState<{ readonly color: Oklch; readonly hex: Hex }>();
  // A hue survives gray, and a chroma the limits, as long as nothing else has changed the color.
  const kept = wide === undefined ? undefined : wideOklch(wide);
  const color = asked?.hex === value ? asked.color : (kept ?? oklchOf(oklabOf(rgbOf(value))));
  const move = (next: Oklch): void => {
    const hex = hexOf(toSrgb(next));
    setAsked({ color: next, hex });
    const beyond = gamutOf(next) === 'srgb' ? undefined : oklchCss(next);
    if (hex !== value || beyond !== wide) onChange(hex, gesture(), beyond);
  };
  const Dropper = eyeDropper();
  const pick = (): void => {
    if (!Dropper) return;
    new Dropper()
      .open()
      .then(({ sRGBHex }) => onChange(sRGBHex.toLowerCase() as Hex, gesture()))
      // Escape: nothing was picked.
      .catch(() => undefined);
  };
  const beyond = gamutOf(color) !== 'srgb';
  return (
    <div role="group" aria-label={label} className="grid gap-1.5">
      <Axis
        axis="lightness"
        words="lightness"
        least={0}
        most={1}
        step={0.005}
        color={color}
        onMove={move}
      />
      <Axis
        axis="chroma"
        words="chroma"
        least={0}
        most={0.37}
        step={0.002}
        color={color}
        onMove={move}
      />
      <Axis axis="hue" words="hue" least={0} most={360} step={1} color={color} onMove={move} />
      <p className="flex items-baseline gap-3 text-xs text-quiet">
        <span className="grow">
          {beyond
            ? `Beyond sRGB; ${value} stands for it on other screens.`
            : 'Below each: dark on every screen, gray on wide-gamut ones.'}
        </span>
        {Dropper && (
          <button type="button" className="act gap-1 whitespace-nowrap" onClick={pick}>
            <Pipette size={12} aria-hidden /> From the screen
          </button>
        )}
      </p>
    </div>
  );
}
