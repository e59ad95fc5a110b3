import { seeded } from '../seeded.ts';
import { toSrgb } from './gamut.ts';
import { oklabOf, oklchOf } from './oklab.ts';
import { hexOf, rgbOf, type Hex } from './srgb.ts';

/** Moods that the shipped palettes are sorted by. */
export const PALETTE_MOODS = [
  'calm',
  'vivid',
  'warm',
  'cool',
  'earthy',
  'festive',
  'sober',
  'soft',
] as const;
export type PaletteMood = (typeof PALETTE_MOODS)[number];

/** A palette that ships with the application; made by rule around the hue of a made-up subject. */
export interface ShippedPalette {
  readonly name: string;
  readonly mood: PaletteMood;
  readonly subject: string;
  readonly colors: readonly Hex[];
}

/** How the five colors of a mood run: lightness and chroma in OKLCH, and degrees from the seed's hue. */
interface Plan {
  readonly lightness: readonly number[];
  readonly chroma: readonly number[];
  readonly degrees: readonly number[];
}

/** Common practice: quiet moods go by lightness in one hue, loud ones round the circle. */
const PLANS: Readonly<Record<PaletteMood, Plan>> = {
  calm: {
    lightness: [0.93, 0.8, 0.64, 0.47, 0.3],
    chroma: [0.018, 0.04, 0.058, 0.056, 0.042],
    degrees: [-45, -25, 0, 12, 25],
  },
  vivid: {
    lightness: [0.86, 0.71, 0.63, 0.52, 0.31],
    chroma: [0.15, 0.18, 0.19, 0.17, 0.09],
    degrees: [72, 144, 0, 216, 288],
  },
  warm: {
    lightness: [0.93, 0.81, 0.66, 0.49, 0.3],
    chroma: [0.045, 0.1, 0.14, 0.11, 0.06],
    degrees: [28, 16, 0, -8, -16],
  },
  cool: {
    lightness: [0.95, 0.84, 0.67, 0.49, 0.31],
    chroma: [0.015, 0.05, 0.085, 0.09, 0.065],
    degrees: [-28, -14, 0, 10, 22],
  },
  earthy: {
    lightness: [0.89, 0.74, 0.57, 0.42, 0.27],
    chroma: [0.025, 0.05, 0.06, 0.045, 0.025],
    degrees: [14, 6, 0, -10, -24],
  },
  festive: {
    lightness: [0.95, 0.8, 0.62, 0.46, 0.26],
    chroma: [0.04, 0.14, 0.19, 0.15, 0.1],
    degrees: [60, 42, 0, -70, -110],
  },
  sober: {
    lightness: [0.94, 0.78, 0.59, 0.41, 0.24],
    chroma: [0.006, 0.016, 0.028, 0.032, 0.024],
    degrees: [0, 0, 0, 8, 16],
  },
  soft: {
    lightness: [0.97, 0.92, 0.85, 0.76, 0.64],
    chroma: [0.014, 0.036, 0.06, 0.072, 0.078],
    degrees: [40, 20, 0, -30, -60],
  },
};

/** One a line: name, mood, subject, and the hue of the subject in OKLCH degrees. */
const LIST = `
Low water|calm|estuary at ebb tide|90
Slack tide|calm|harbor without wind|240
Fog bell|calm|morning fog on a quay|225
Reed bed|calm|reeds by still water|120
Snow shadow|calm|blue shade on snow|255
Linen drawer|calm|folded sheets|75
Tea at four|calm|a pot and two cups|75
Hayloft|calm|dry grass under a roof|90
Night train|calm|window of a sleeping car|270
Paper kite|vivid|kites over a field|15
Fairground|vivid|booths in the evening|30
Parrot house|vivid|feathers|15
Poster wall|vivid|screen prints|30
Neon diner|vivid|signs in the rain|0
Swimming lane|vivid|tiles under water|45
Marker set|vivid|felt pens|30
Acid lime|vivid|citrus and chrome|135
Tin toys|vivid|painted tin|30
Hot rails|vivid|signals at a junction|30
Ember|warm|the last of a fire|45
Brick lane|warm|old brick and lime|45
Apricot jam|warm|a pot on the stove|60
Terracotta roofs|warm|a town on a hill|45
Saddle room|warm|leather and brass|75
Chestnut|warm|husks in autumn|60
Sunday oven|warm|crust and crumb|60
Desert road|warm|dust and asphalt|45
Fox|warm|a fox in dry grass|45
Beeswax|warm|candles on a table|75
Glacier mouth|cool|meltwater|225
Mint leaf|cool|a window box|165
Cold store|cool|steel and frost|240
North window|cool|light without sun|255
Kelp|cool|seaweed on a rope|165
Blue hour|cool|a quarter past sunset|270
Rain gauge|cool|wet slate|240
Ice rink|cool|blades and boards|240
Ink and water|cool|a brush rinsed|255
Loam|earthy|a dug bed|75
Moss wall|earthy|the shaded side|120
Clay pit|earthy|wet clay|60
Mushroom walk|earthy|caps under birches|60
Olive press|earthy|oil and stone|105
Heath|earthy|heather and sand|345
Barn door|earthy|rust and weather|45
Peat|earthy|a cut bank|75
Lantern feast|festive|paper lamps|30
Carnival mask|festive|gilt and velvet|330
First of May|festive|ribbons on a tree|30
Wedding tent|festive|garlands and glass|0
Brass band|festive|uniforms and horns|15
Winter market|festive|stalls in the snow|30
Ledger|sober|an office of old|225
Court room|sober|oak and robes|75
Slate school|sober|chalk on board|180
Observatory|sober|a dome at night|270
Pilot house|sober|instruments|225
Concrete poem|sober|formwork|90
Sugared almond|soft|a paper cone|90
Nursery|soft|cotton and milk|270
Petal|soft|a rose, opened|0
Sea glass|soft|found on the strand|225
Pillow talk|soft|dusk in a room|300
Custard|soft|vanilla|75
`;

/** How far a palette departs from the plan of its mood, so that each is its own. */
const SWAY = { lightness: 0.05, chroma: 0.25, degrees: 24 } as const;

/** The colors of a palette: the plan of its mood around the hue of its subject, swayed by its name. */
function colorsOf(name: string, mood: PaletteMood, hue: number): Hex[] {
  const random = seeded(name);
  const sway = (most: number): number => (random() * 2 - 1) * most;
  const { lightness, chroma, degrees } = PLANS[mood];
  const turn = sway(SWAY.degrees) / 2;
  return lightness.map((light, index) =>
    hexOf(
      toSrgb({
        lightness: Math.min(0.985, light + sway(SWAY.lightness)),
        chroma: (chroma[index] ?? 0) * (1 + sway(SWAY.chroma)),
        hue: hue + turn + (degrees[index] ?? 0) + sway(SWAY.degrees) / 2,
      }),
    ),
  );
}

const read = (line: string): ShippedPalette => {
  const [name = '', word = '', subject = '', hue = ''] = line.split('|');
  const mood = PALETTE_MOODS.find((one) => one === word) ?? 'calm';
  return { name, mood, subject, colors: colorsOf(name, mood, Number(hue)) };
};

/** The palettes that ship with the application, made by rule; the same every time. */
export const SHIPPED_PALETTES: readonly ShippedPalette[] = LIST.trim().split('\n').map(read);

type Lch = ReturnType<typeof lchOf>;
const lchOf = (hex: Hex) => oklchOf(oklabOf(rgbOf(hex)));

/** Less chroma than this says nothing of a hue. */
const TELLING = 0.05;

const isBetween = (hue: number, from: number, to: number): boolean => {
  const turned = hue < from ? hue + 360 : hue;
  return turned >= from && turned < to;
};

/** Whether some color of a palette is of a part of the hue circle, in OKLCH degrees, and within a lightness and chroma. */
const some =
  (
    [from, to]: readonly [from: number, to: number],
    [darkest, lightest] = [0, 1] as readonly [number, number],
    [grayest, mostVivid] = [TELLING, 1] as readonly [number, number],
  ) =>
  (colors: readonly Lch[]): boolean =>
    colors.some(
      ({ lightness, chroma, hue }) =>
        lightness >= darkest &&
        lightness <= lightest &&
        chroma >= grayest &&
        chroma <= mostVivid &&
        isBetween(hue, from, to),
    );

const ANY = [0, 360] as const;
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
const lightnessOf = (colors: readonly Lch[]): number =>
  mean(colors.map(({ lightness }) => lightness));
const mostChroma = (colors: readonly Lch[]): number =>
  Math.max(...colors.map(({ chroma }) => chroma));
const mostly =
  (from: number, to: number) =>
  (colors: readonly Lch[]): boolean => {
    const telling = colors.filter(({ chroma }) => chroma >= TELLING / 2);
    const own = telling.filter(({ hue }) => isBetween(hue, from, to));
    return telling.length > 0 && own.length > telling.length / 2;
  };

const RED = [8, 40] as const;
const YELLOW = [75, 115] as const;
const GREEN = [115, 165] as const;
const TEAL = [165, 220] as const;
const BLUE = [220, 285] as const;
const VIOLET = [285, 325] as const;
const PINK = [325, 368] as const;

/** The usual words for colors and for what they come to, each with what a palette has to have. Common practice. */
const COLOR_WORDS: ReadonlyMap<string, (colors: readonly Lch[]) => boolean> = new Map([
  ['red', some(RED)],
  ['orange', some([40, 75])],
  ['yellow', some(YELLOW)],
  ['green', some(GREEN)],
  ['teal', some(TEAL)],
  ['turquoise', some(TEAL)],
  ['cyan', some(TEAL)],
  ['blue', some(BLUE)],
  ['navy', some(BLUE, [0, 0.4], [0.02, 1])],
  ['violet', some(VIOLET)],
  ['purple', some([285, 335])],
  ['pink', some(PINK)],
  ['magenta', some([318, 352], [0, 1], [0.15, 1])],
  ['brown', some([30, 95], [0, 0.6], [0.02, 0.13])],
  ['beige', some([50, 115], [0.8, 1], [0.01, 0.08])],
  ['gold', some([70, 105], [0.55, 0.9], [0.09, 1])],
  ['olive', some([95, 130], [0, 0.65], [0.03, 1])],
  ['gray', some(ANY, [0.25, 0.95], [0, 0.03])],
  ['black', some(ANY, [0, 0.3], [0, 1])],
  ['white', some(ANY, [0.95, 1], [0, 0.05])],
  ['pastel', (colors) => lightnessOf(colors) > 0.8 && mostChroma(colors) < 0.14],
  ['dark', (colors) => lightnessOf(colors) < 0.6],
  ['light', (colors) => lightnessOf(colors) > 0.7],
  ['bright', (colors) => lightnessOf(colors) > 0.6 && mostChroma(colors) > 0.13],
  ['muted', (colors) => mostChroma(colors) < 0.08],
  ['neutral', (colors) => mostChroma(colors) < 0.05],
  ['colorful', (colors) => colors.filter(({ chroma }) => chroma > 0.12).length > 2],
  ['warm', mostly(-20, 115)],
  ['cool', mostly(150, 290)],
]);

/** Words for moods that palettes are sorted by under another. */
const MOOD_WORDS: ReadonlyMap<string, PaletteMood> = new Map([
  ['quiet', 'calm'],
  ['peaceful', 'calm'],
  ['bold', 'vivid'],
  ['playful', 'vivid'],
  ['fresh', 'cool'],
  ['cold', 'cool'],
  ['cozy', 'warm'],
  ['natural', 'earthy'],
  ['organic', 'earthy'],
  ['rustic', 'earthy'],
  ['cheerful', 'festive'],
  ['rich', 'festive'],
  ['serious', 'sober'],
  ['elegant', 'sober'],
  ['formal', 'sober'],
  ['gentle', 'soft'],
  ['delicate', 'soft'],
]);

/** All words that a search understands beside those that stand with a palette. */
export const PALETTE_WORDS: readonly string[] = [...COLOR_WORDS.keys(), ...MOOD_WORDS.keys()];

/**
 * Whether a palette answers to all words of a search: each is part of its text, one of the usual words for a color that
 * it has or for what its colors come to together, or another word for its mood.
 */
export function answersTo(
  { text, colors }: { readonly text: string; readonly colors: readonly Hex[] },
  search: string,
): boolean {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return true;
  const lower = text.toLowerCase();
  const lch = colors.map(lchOf);
  return words.every((word) => {
    const mood = MOOD_WORDS.get(word);
    return (
      lower.includes(word) ||
      (lch.length > 0 && COLOR_WORDS.get(word)?.(lch) === true) ||
      (mood !== undefined && lower.includes(mood))
    );
  });
}
