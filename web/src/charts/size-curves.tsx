import { smallerStretch } from '@garnish/core/checks/heading-order';
import { gapsOf } from '@garnish/core/checks/zoom';
import type { TextStyle } from '@garnish/core/derive/derived';
import { fluidCss, fluidPx, kneesOf } from '@garnish/core/type/fluid';
import { useShownLater } from '../system/system-context.ts';
import { Curves, FROM_PX, TO_PX } from './curves.tsx';

const LEVELS = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'] as const;

interface Sized {
  readonly names: readonly string[];
  readonly style: TextStyle;
}

/** Roles of the same size share a curve; running text names it better than a heading does. */
function sizesOf(styles: Iterable<TextStyle>): Sized[] {
  const bySize = new Map<string, { texts: string[]; others: string[]; style: TextStyle }>();
  for (const style of styles) {
    const key = fluidCss(style.size);
    const known = bySize.get(key);
    const texts = style.face === 'text' ? [style.name] : [];
    const others = style.face === 'text' ? [] : [style.name];
    bySize.set(key, {
      texts: [...(known?.texts ?? []), ...texts],
      others: [...(known?.others ?? []), ...others],
      style: known?.style ?? style,
    });
  }
  return [...bySize.values()]
    .map(({ texts, others, style }) => ({ names: [...texts, ...others], style }))
    .sort((one, other) => fluidPx(one.style.size, TO_PX) - fluidPx(other.style.size, TO_PX));
}

/** Where a heading level is smaller than the one below it. */
const crossingsOf = (styles: ReadonlyMap<string, TextStyle>) =>
  LEVELS.slice(0, -1).flatMap((level, index) => {
    const upper = styles.get(level);
    const lower = styles.get(LEVELS[index + 1] ?? '');
    const found = upper && lower && smallerStretch(upper, lower);
    return found
      ? [
          {
            names: `${upper.name} under ${lower.name}`,
            from: Math.max(FROM_PX, found.fromPx),
            to: Math.min(TO_PX, found.toPx),
          },
        ]
      : [];
  });

/** Every role's size over the screen width, with what is not proved. */
export function SizeCurves() {
  const shown = useShownLater(['brief'], ['styles']);
  const curves = sizesOf(shown.derived.styles.values()).map(({ names, style }) => ({
    id: style.id,
    names,
    bends: kneesOf(style.size),
    at: (width: number) => fluidPx(style.size, width),
    broken: gapsOf(style.size, shown.document.brief.zoom),
  }));
  const crossings = crossingsOf(shown.derived.styles);
  const unproved = curves
    .filter(({ broken }) => broken.length > 0)
    .map(({ names }) => names[0] ?? '')
    .reverse();
  return (
    <div>
      <Curves
        label="Sizes over the screen width"
        curves={curves}
        height={236}
        least={8}
        marked={crossings}
      />
      {(crossings.length > 0 || unproved.length > 0) && (
        <p className="text-xs text-error">
          {[
            ...(unproved.length > 0
              ? [
                  `${unproved.join(', ')} cannot be zoomed to twice their size where dashed, at up to ${shown.document.brief.zoom} %`,
                ]
              : []),
            ...crossings.map(({ names }) => `${names} where the foot is red`),
          ].join('; ')}
          .
        </p>
      )}
    </div>
  );
}
