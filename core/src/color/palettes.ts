import { oklabOf, oklchOf } from './oklab.ts';
import { isHex, rgbOf, type Hex } from './srgb.ts';

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

/** A palette that ships with the application; made up, like its subject. */
export interface ShippedPalette {
  readonly name: string;
  readonly mood: PaletteMood;
  readonly subject: string;
  readonly colors: readonly Hex[];
}

/** One a line: name, mood, subject, colors. */
const LIST = `
Low water|calm|estuary at ebb tide|e8dfcb b9a67c 6f8f8a 2f5d62 14333a
Slack tide|calm|harbour without wind|dfe7e4 a9c0bb 7596a0 41617a 22344f
Fog bell|calm|morning fog on a quay|eceae4 c9cac4 9aa3a3 6b787c 3a4549
Reed bed|calm|reeds by still water|e9e6c8 c2bf85 8a9a5b 567052 2d4438
Snow shadow|calm|blue shade on snow|f2f5f8 cfdbe6 9db3c9 667f9c 33465f
Linen drawer|calm|folded sheets|f4efe6 ddd2c1 b8a993 857767 4f463d
Tea at four|calm|a pot and two cups|f0e4d0 d3b48a a57f53 6f5337 3c2d22
Hayloft|calm|dry grass under a roof|f3e9c6 dcc27d b1924a 7a6233 43371f
Night train|calm|window of a sleeping car|cfd6e2 8b98b3 55658a 2f3d63 151c36
Paper kite|vivid|kites over a field|ffd23f ee4266 3bceac 540d6e 0e79b2
Fairground|vivid|booths in the evening|f94144 f8961e f9c74f 43aa8b 277da1
Parrot house|vivid|feathers|e63946 f4a300 2a9d4b 1d6fd1 6a1b9a
Poster wall|vivid|screen prints|ff5a36 ffc400 00a878 0066cc 1b1b3a
Neon diner|vivid|signs in the rain|ff2e93 ffb000 00e0c6 3d5afe 16162e
Swimming lane|vivid|tiles under water|00b4d8 0077b6 ffd60a ff5400 03045e
Marker set|vivid|felt pens|e4002b ff8200 ffd100 00a651 0072ce
Acid lime|vivid|citrus and chrome|c8f04a 7bd93b 1fae7c 16697a 25283d
Tin toys|vivid|painted tin|d62828 f77f00 fcbf49 2a9d8f 264653
Hot rails|vivid|signals at a junction|ff3b30 ffcc00 34c759 0a84ff 1c1c28
Ember|warm|the last of a fire|ffe0b5 ffae5c e8622c a8321e 4a1512
Brick lane|warm|old brick and lime|f1dfd0 d9a384 b5643f 7f3a24 41201a
Apricot jam|warm|a pot on the stove|ffe8cc ffc078 f08c3a b65a1e 5f2f16
Terracotta roofs|warm|a town on a hill|f6e3d3 e0a37e c26a45 8c4630 50291f
Saddle room|warm|leather and brass|ecd9bd c99a5b 9a6332 6a3f22 372417
Chestnut|warm|husks in autumn|efdcc2 c58f56 8f5424 5a3119 2d1a10
Sunday oven|warm|crust and crumb|fbeed8 f0c890 d08c45 8d5523 4b2c15
Desert road|warm|dust and asphalt|f5e2c4 e2ad6e bd7241 77503c 37302e
Fox|warm|a fox in dry grass|f7e3cb eea55d d36a22 8b3d14 2e1c14
Beeswax|warm|candles on a table|fff3d1 f5cf6b d99a26 96631a 4d3414
Glacier mouth|cool|meltwater|eaf6f7 b3dde3 6bb3c4 2d7d95 12425a
Mint leaf|cool|a window box|e3f6ec a6dec3 5fbf9a 2b8a6e 12493f
Cold store|cool|steel and frost|edf2f4 b8c7d0 7f95a5 4c6375 263644
North window|cool|light without sun|e9eff2 bccbd6 8ba3b8 5a7490 2d405a
Kelp|cool|seaweed on a rope|dfeee1 98bf9f 55896c 2a5a4b 10312d
Blue hour|cool|a quarter past sunset|d8def2 9daae0 6474c4 3a4690 1a1f4d
Rain gauge|cool|wet slate|e4e9ec adbac2 768a96 4a5d69 24313a
Ice rink|cool|blades and boards|eef7fb bfe3f2 7cc3e3 2f8fc4 134e7d
Ink and water|cool|a brush rinsed|dbe4f0 96acd0 5273ab 2a4679 0f1f3f
Loam|earthy|a dug bed|e7dcc6 b89f77 836a49 55432f 2b2219
Moss wall|earthy|the shaded side|e3e6cd adb57e 74824c 4a5733 252e1f
Clay pit|earthy|wet clay|eddccc cfa78b a67a5c 73513e 3d2c25
Mushroom walk|earthy|caps under birches|efe6dc cdb7a3 9d8570 6b594b 3a302a
Olive press|earthy|oil and stone|eeeacb c6bd77 918a3f 5f5b2b 33311b
Heath|earthy|heather and sand|eadfe0 c4a3b0 8f6c84 665a4a 38342a
Barn door|earthy|rust and weather|e8d9c8 bc8f72 8e4f3a 5b3a32 2f2522
Peat|earthy|a cut bank|dcd3c4 a48f74 6d5a45 43362c 211b18
Lantern feast|festive|paper lamps|fff0c2 ffb627 e8432e a4133c 3c0d3f
Carnival mask|festive|gilt and velvet|f9d65c e07a1f b5179e 5f0f8a 1f0a44
First of May|festive|ribbons on a tree|fdf0d5 f7b32b e4572e 17a398 33658a
Wedding tent|festive|garlands and glass|fff4f0 f6c1c7 d9798f 8f6aa8 3f4b86
Brass band|festive|uniforms and horns|ffe29a e9a820 c8102e 1f3a93 14193a
Winter market|festive|stalls in the snow|f4f1ea d9b44a b3262e 1f6f50 14342b
Ledger|sober|an office of old|eeece6 c3c2bb 8a8f8f 4e5a60 22292e
Court room|sober|oak and robes|e9e4da b8a88e 7d6b57 4a3f3a 221e20
Slate school|sober|chalk on board|eef0ee b7c0bd 75837f 43514e 1f2927
Observatory|sober|a dome at night|dfe3ec 9aa4bd 5d6990 363f66 171b36
Pilot house|sober|instruments|e6eaec a8b8bd 5f7d86 2d4f5a 132a33
Concrete poem|sober|formwork|edebe7 c4c1bb 94918b 625f5b 302e2c
Sugared almond|soft|a paper cone|fdf1f1 f5d3d6 e2d6ef cfe6e0 f7ecc9
Nursery|soft|cotton and milk|fbf4e6 f3d9c4 cfe0d8 b9cbe3 8d9dbd
Petal|soft|a rose, opened|fdeff0 f6cdd2 e79fac bf6b80 7a3f55
Sea glass|soft|found on the strand|eef7f2 cfe7dc a8d0c8 83b2b8 5b8795
Pillow talk|soft|dusk in a room|f3edf5 d9cbe4 b8a4cf 8d7cb0 5b5083
Custard|soft|vanilla|fff9e4 fdeab2 f6d57e d9ab5a 9c7740
`;

const read = (line: string): ShippedPalette => {
  const [name = '', mood = '', subject = '', colors = ''] = line.split('|');
  return {
    name,
    mood: PALETTE_MOODS.find((one) => one === mood) ?? 'calm',
    subject,
    colors: colors
      .split(' ')
      .map((hex) => `#${hex}`)
      .filter((hex) => isHex(hex)),
  };
};

/** The palettes that ship with the application. */
export const SHIPPED_PALETTES: readonly ShippedPalette[] = LIST.trim().split('\n').map(read);

/** Words for parts of the hue circle, as one searches for a color, by OKLCH degrees from and to. */
const HUE_WORDS: Readonly<Record<string, readonly [from: number, to: number]>> = {
  red: [8, 40],
  orange: [40, 75],
  yellow: [75, 115],
  green: [115, 165],
  teal: [165, 220],
  blue: [220, 285],
  violet: [285, 325],
  pink: [325, 368],
};

/** Less chroma than this says nothing of a hue. */
const TELLING = 0.05;

const hasHue = (colors: readonly Hex[], [from, to]: readonly [number, number]): boolean =>
  colors.some((hex) => {
    const { chroma, hue } = oklchOf(oklabOf(rgbOf(hex)));
    const turned = hue < from ? hue + 360 : hue;
    return chroma >= TELLING && turned >= from && turned < to;
  });

/**
 * Whether a palette answers to all words of a search: each is part of its text, or a hue that it has
 * (red, orange, yellow, green, teal, blue, violet, pink).
 */
export function answersTo(
  { text, colors }: { readonly text: string; readonly colors: readonly Hex[] },
  search: string,
): boolean {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const lower = text.toLowerCase();
  return words.every((word) => {
    const hue = HUE_WORDS[word];
    return lower.includes(word) || (hue !== undefined && hasHue(colors, hue));
  });
}
