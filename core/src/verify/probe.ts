/** How the value of a token is seen on an element: what it is set as, and what is read from that. */
export interface Probe {
  readonly set: string;
  /** What stands before the value where it is only a part of what is set. */
  readonly before?: string;
  readonly read: readonly string[];
  /** Numbers that differ by no more than this are the same. */
  readonly within: number;
}

/** A channel of sRGB is one of 256 levels, and so is what is transparent; a browser writes as many decimals as tell them apart. */
const COLOR = 0.0021;
/** Lengths are equal within a hundredth of a pixel; all others as finely as they are written. */
const LENGTH = 0.01;
const WRITTEN = 0.0006;

const PROBES: ReadonlyMap<string, Probe> = new Map<string, Probe>([
  ['color', { set: 'color', read: ['color'], within: COLOR }],
  ['gradient', { set: 'background-image', read: ['background-image'], within: COLOR }],
  // A margin may be below 0, and a share of what is around it comes out as the px that it is.
  ['dimension', { set: 'margin-left', read: ['margin-left'], within: LENGTH }],
  ['number', { set: 'scale', read: ['scale'], within: WRITTEN }],
  ['fontWeight', { set: 'font-weight', read: ['font-weight'], within: WRITTEN }],
  ['fontFamily', { set: 'font-family', read: ['font-family'], within: 0 }],
  ['duration', { set: 'transition-duration', read: ['transition-duration'], within: WRITTEN }],
  [
    'cubicBezier',
    {
      set: 'transition-timing-function',
      read: ['transition-timing-function'],
      within: WRITTEN,
    },
  ],
  ['shadow', { set: 'box-shadow', read: ['box-shadow'], within: LENGTH }],
  [
    'border',
    {
      set: 'border-left',
      read: ['border-left-width', 'border-left-style', 'border-left-color'],
      within: LENGTH,
    },
  ],
  ['strokeStyle', { set: 'border-left-style', read: ['border-left-style'], within: 0 }],
  [
    'transition',
    {
      set: 'transition',
      before: 'all ',
      read: ['transition-duration', 'transition-timing-function', 'transition-delay'],
      within: WRITTEN,
    },
  ],
]);

/** A number that is written as a ratio stands where CSS takes one. */
const RATIO: Probe = { set: 'aspect-ratio', read: ['aspect-ratio'], within: WRITTEN };

/** How a value of a type of the open format is seen; nothing for types that CSS has no single value for. */
export const probeOf = (type: string, css = ''): Probe | undefined =>
  type === 'number' && css.includes('/') ? RATIO : PROBES.get(type);

/** The probe of a length that stands on an element by a class, in one of its properties. */
export const lengthProbe = (property: string): Probe => ({
  set: property,
  read: [property],
  within: LENGTH,
});

const NUMBER = /[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?/gi;

/** Colors of sRGB in one form, whichever of the two a browser keeps. Source: CSS Color 4, serializing. */
const SRGB = /rgba?\(([\d.]+),\s*([\d.]+),\s*([\d.]+)(?:,\s*([\d.]+))?\)/g;
const inOneForm = (text: string): string =>
  text
    .replaceAll(SRGB, (_, ...parts: readonly (string | undefined)[]) => {
      const [red, green, blue, alpha] = parts.slice(0, 4);
      const channels = [red, green, blue].map((channel) => Number(channel) / 255);
      return `color(srgb ${channels.join(' ')} / ${alpha ?? '1'})`;
    })
    .replaceAll(/color\(srgb ([^()/]+?)\s*\)/g, 'color(srgb $1 / 1)')
    // A ratio is how often the second fits into the first.
    .replace(/^([\d.]+) \/ ([\d.]+)$/, (_, one: string, other: string) =>
      String(Number(one) / Number(other)),
    );

/**
 * Whether two computed values are the same: the same words in the same order, and numbers that differ by no more than
 * `within`. Figures inside of quotes are words.
 */
export function isSameComputed(one: string, other: string, within: number): boolean {
  if (one === other) return true;
  const parts = (text: string): { readonly words: string; readonly numbers: readonly number[] } => {
    const numbers: number[] = [];
    const words = inOneForm(text).replaceAll(/"(?:[^"\\]|\\.)*"|[^"]+/g, (part) =>
      part.startsWith('"')
        ? part
        : part.replaceAll(NUMBER, (number) => {
            numbers.push(Number(number));
            return '#';
          }),
    );
    return { words, numbers };
  };
  const [here, there] = [parts(one), parts(other)];
  return (
    here.words === there.words &&
    here.numbers.every((number, at) => Math.abs(number - (there.numbers[at] ?? NaN)) <= within)
  );
}
