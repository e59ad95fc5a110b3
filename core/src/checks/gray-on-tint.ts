import { oklabOf, oklchOf } from '../color/oklab.ts';
import { isHex, rgbOf, type Hex } from '../color/srgb.ts';
import { stateOf, type StateId } from '../components/states.ts';
import { isOf, nameOf, PARTS, partsOf } from '../derive/components.ts';
import { MODES } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import type { Finding } from './finding.ts';
import { checkOfComponents } from './of-components.ts';

/** Below this chroma a color is a gray, from this one on it is a tint. Common practice. */
const GRAY = 0.008;
const TINTED = 0.04;
/** Nearly black and nearly white are no grays. Lightness in OKLab, common practice. */
const GRAYS = { from: 0.35, to: 0.9 } as const;

const chromaOf = (hex: Hex): number => oklchOf(oklabOf(rgbOf(hex))).chroma;

const isGray = (hex: Hex): boolean => {
  const { chroma, lightness } = oklchOf(oklabOf(rgbOf(hex)));
  return chroma < GRAY && lightness > GRAYS.from && lightness < GRAYS.to;
};

const OFS = [...new Set(PARTS.map(({ of }) => of))];

/** A gray word, sign or edge on a tinted ground looks dirty there; what is off is meant to look so. */
export const grayOnTintCheck = checkOfComponents(
  ({ components: { manner, departures }, tokenById, themes }) =>
    OFS.flatMap((of) => {
      const own = partsOf(of).filter((part) => isOf(part, manner) && part.state !== 'off');
      const states = [...new Set(own.map(({ state }) => state))];
      return states.flatMap((state: StateId | undefined) =>
        MODES.filter((mode) => modesOf(themes).includes(mode)).flatMap((mode): Finding[] => {
          const partFor = (property: string) =>
            own.find((part) => part.property === property && part.state === state) ??
            own.find((part) => part.property === property && part.state === undefined);
          const hexOf = (property: string): Hex | undefined => {
            const part = partFor(property);
            const css = part && tokenById.get(nameOf(part))?.values[mode].css;
            return css !== undefined && isHex(css) ? css : undefined;
          };
          const ground = hexOf('background-color');
          if (ground === undefined || chromaOf(ground) < TINTED) return [];
          return ['color', 'border-color'].flatMap((property): Finding[] => {
            const [part, hex] = [partFor(property), hexOf(property)];
            if (!part || hex === undefined || !isGray(hex)) return [];
            const name = nameOf(part);
            const departure = Object.hasOwn(departures, name) ? departures[name] : undefined;
            return [
              {
                id: `gray:${name}:${state ?? 'rest'}:${mode}`,
                severity: 'look',
                area: 'components',
                decision: `/components/departures/${name}`,
                title: `${name} is gray on a tint${state === undefined ? '' : `, ${stateOf(state).name}`} in ${mode}`,
                figures: `${hex} has a chroma of ${chromaOf(hex).toFixed(3)}, its ground ${ground} one of ${chromaOf(ground).toFixed(3)}`,
                reason: 'Gray looks dirty on a color; a shade of that color does not.',
                source: 'common practice; chroma in OKLCH',
                where: { selector: `.${of}`, mode },
                ...(departure !== undefined && {
                  repair: {
                    label: `Let ${name} follow again`,
                    patch: [{ op: 'remove', path: `/components/departures/${name}` }],
                    before: departure,
                    after: 'as its manner',
                  },
                }),
              },
            ];
          });
        }),
      );
    }),
);
