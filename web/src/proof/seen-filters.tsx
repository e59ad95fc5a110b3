import { colorMatrixValues, visionMatrix, VISIONS, type Vision } from '@garnish/core/color/vision';

const idOf = (vision: Vision): string => `seen-${vision}`;

/** What the sun adds to every color of a screen, as a share of its white. Common practice. */
const GLARE = 0.35;

/** The filters themselves, once in the page. They work in linear light, as the models ask. */
export default function SeenFilters({ severity }: { readonly severity: number }) {
  return (
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
}
