import { colorMatrixValues, visionMatrix, VISIONS, type Vision } from '@garnish/core/color/vision';
import type { Preferences } from '../ui/preferences.ts';

export const SEEN = ['usual', ...VISIONS, 'outdoors'] as const;

const idOf = (vision: Vision): string => `seen-${vision}`;

/** What the sun adds to every color of a screen, as a share of its white. Common practice. */
const GLARE = 0.35;

/** The filter that lets the proof be seen so, and blurred; none for usual eyes indoors. */
export const filterFor = (seen: Preferences['proofSeen'], blurPx: number): string | undefined => {
  const filters = [
    ...(seen === 'usual' ? [] : [`url(#seen-${seen})`]),
    ...(blurPx > 0 ? [`blur(${blurPx}px)`] : []),
  ];
  return filters.length === 0 ? undefined : filters.join(' ');
};

/** The filters themselves, once in the page. They work in linear light, as the models ask. */
export const SeenFilters = ({ severity }: { readonly severity: number }) => (
  <svg width="0" height="0" className="absolute" aria-hidden>
    {VISIONS.map((vision) => (
      <filter key={vision} id={idOf(vision)} colorInterpolationFilters="linearRGB">
        <feColorMatrix type="matrix" values={colorMatrixValues(visionMatrix(vision, severity))} />
      </filter>
    ))}
    <filter id="seen-outdoors" colorInterpolationFilters="linearRGB">
      <feComponentTransfer>
        {(['R', 'G', 'B'] as const).map((channel) => {
          const Transfer = `feFunc${channel}` as const;
          return (
            <Transfer
              key={channel}
              type="linear"
              slope={1 / (1 + GLARE)}
              intercept={GLARE / (1 + GLARE)}
            />
          );
        })}
      </feComponentTransfer>
    </filter>
  </svg>
);
