import type { Hex } from '@garnish/core/color/srgb';
import { nearestOf } from '@garnish/core/image/displays';
import { triedBy, useTrying } from '../../system/use-trying.ts';
import { usePreferences } from '../../ui/preferences.ts';

interface OnDisplayProps {
  /** What the color is called. */
  readonly name: string;
  readonly hex: Hex;
  /** Takes the color that the display shows. */
  readonly onSnap: (hex: Hex) => void;
}

/** Under a color: what becomes of it on the limited display that is marked; nothing where none is. */
export function OnDisplay({ name, hex, onSnap }: OnDisplayProps) {
  const { displayMark } = usePreferences();
  const trying = useTrying();
  if (!displayMark) return null;
  const nearest = nearestOf(displayMark.colors as Hex[], hex);
  if (nearest.hex === hex)
    return <p className="truncate text-xs text-quiet">shown as it is: {displayMark.name}</p>;
  return (
    <p className="flex min-w-0 items-center gap-1.5 text-xs">
      <span
        aria-hidden
        className="h-3 w-3 shrink-0 border border-line-strong"
        style={{ background: nearest.hex }}
      />
      <button
        type="button"
        className="act min-w-0 gap-1 truncate"
        aria-label={`Snap ${name} to ${nearest.hex}, the nearest of ${displayMark.name}`}
        title={`the nearest of ${displayMark.name}`}
        {...triedBy(trying, () => onSnap(nearest.hex))}
      >
        snap to <span className="figures">{nearest.hex}</span>
      </button>
    </p>
  );
}
