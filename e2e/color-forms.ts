/** Every way in which CSS Color 4 and 5 writes a color, put together: several hundred texts. */

const FUNCTIONS = [
  (r: string, g: string, b: string) => `rgb(${r} ${g} ${b})`,
  (r: string, g: string, b: string) => `rgb(${r}, ${g}, ${b})`,
  (r: string, g: string, b: string) => `RGBA(${r} ${g} ${b} / 1)`,
];

const NUMBERS = ['0', '12.5', '127.5', '128', '255', '300', '-40', '1e2', '20%', '120%', '-5%'];

const rgb = FUNCTIONS.flatMap((form) =>
  NUMBERS.flatMap((one) => [
    form(one, one.endsWith('%') ? '40%' : '90', one.endsWith('%') ? '0%' : '10'),
    form(one.endsWith('%') ? '7%' : '33', one, one),
  ]),
);

const HUES = ['0', '29.5', '120deg', '0.75turn', '-60', '750', '3.1416rad', '200grad', 'none'];
const SHARES = ['0%', '35%', '100%', '150%', '-20%', 'none'];

const polar = ['hsl', 'hwb'].flatMap((name) => [
  ...HUES.flatMap((hue) => [`${name}(${hue} 60% 30%)`, `${name}(${hue} 20 50)`]),
  ...SHARES.flatMap((share) => [`${name}(210 ${share} 40%)`, `${name}(80 45% ${share})`]),
  `${name}(10 80% 80%)`,
]);

const LEGACY_HSL = [
  'hsl(120, 100%, 25%)',
  'hsla(10, 20%, 30%, 1)',
  'hsl(120, 150%, 50%)',
  'hsl(1, 2, 3)',
];

const SPACES = [
  'srgb',
  'srgb-linear',
  'display-p3',
  'a98-rgb',
  'prophoto-rgb',
  'rec2020',
  'xyz',
  'xyz-d50',
  'xyz-d65',
];

const spaces = SPACES.flatMap((space) =>
  [
    '0.2 0.3 0.4',
    '20% 30% 40%',
    'none 0.2 0.1',
    '1 1 1',
    '0 0 0',
    '1.1 0.2 -0.1',
    '0.5 calc(1 / 4) 0.5',
  ].map((channels) => `color(${space} ${channels})`),
);

const labs = [
  ...['50 20 -30', '50% 20 -30', '50 40% -10%', 'none 10 10', '0 0 0', '100 0 0', '120 5 5'].map(
    (channels) => `lab(${channels})`,
  ),
  ...['50 30 40', '50% 20% 0.3turn', '30 none 20', '70 200 100', '60 -5 20'].map(
    (channels) => `lch(${channels})`,
  ),
  ...['0.5 0.05 -0.1', '50% 20% -10%', '0.4 none 0', '1 0 0', '1.4 0.1 0'].map(
    (channels) => `oklab(${channels})`,
  ),
  ...['0.7 0.1 150', '70% 30% 150deg', '0.6 0.4 20', '0.6 none none', '62.796% 0.25768 29.234'].map(
    (channels) => `oklch(${channels})`,
  ),
];

const written = [
  '#FFF',
  '#b53',
  '#B5391A',
  '#ffff',
  '#b5391aff',
  '#12345',
  '#1234567',
  '#ggg',
  'REBECCAPURPLE',
  'Red',
  'grey',
  'lightgoldenrodyellow',
  'transparent',
  '  tomato  ',
  'rgb(10 /* ten */ 20 30)',
  '/* first */ teal',
  'rgb( 10,20 , 30 )',
  'rgb(10,20 30)',
  'rgb(50%, 20, 30)',
  'rgb(50% 20 30)',
  'rgb(1, 2)',
  'rgb(1 2 3 4)',
  'rgb(calc(10 * 2) calc(20% + 5%) 30)',
  'rgb(calc(infinity) 0 0)',
  'rgb(calc(-infinity) 9 0)',
  'rgb(calc(NaN) 20 30)',
  'rgb(min(10, 20) max(3, 40) clamp(0, 50, 20))',
  'rgb(none none none)',
  'rgb(none, 0, 0)',
  'rgb(0 0 0 / 50%)',
  'rgb(0 0 0 / none)',
  'rgb(0 0 0 / 100%)',
  'rgb(0 0 0 / 1.5)',
  'hsl(calc(90deg * 2) 50% 50%)',
  'reddish',
  'rgb()',
  'color(unknown 1 1 1)',
  'color(srgb 1 1)',
  'color(--own 1 0 0)',
  'light-dark(red, blue)',
  'currentColor',
  'CanvasText',
  'AccentColor',
  'ButtonFace',
  'color-mix(in srgb, currentcolor, red)',
  'color-mix(in lab, Canvas, red)',
  'rgb(from currentcolor r g b)',
];

const METHODS = [
  'srgb',
  'srgb-linear',
  'oklab',
  'oklch',
  'lab',
  'lch',
  'hsl',
  'hwb',
  'xyz',
  'oklch longer hue',
  'hsl shorter hue',
];

const mixes = METHODS.flatMap((method) => [
  `color-mix(in ${method}, #2a6365, #c8692c)`,
  `color-mix(in ${method}, #2a6365 30%, white)`,
  `color-mix(in ${method}, black 20%, #4b3f8f 60%)`,
]);

const relative = [
  'rgb(from #2a6365 r g b)',
  'rgb(from #2a6365 b g r)',
  'rgb(from #2a6365 calc(r * 1.2) g 40)',
  'rgb(from tomato 255 g b / 1)',
  'hsl(from #2a6365 calc(h + 120) s l)',
  'hsl(from #2a6365 h 20% calc(l + 10))',
  'hwb(from #2a6365 h w b)',
  'lab(from #2a6365 calc(l + 10) a b)',
  'lch(from #2a6365 l calc(c / 2) h)',
  'oklab(from #2a6365 l 0 0)',
  'oklch(from #2a6365 calc(l * 0.8) c h)',
  'oklch(from #2a6365 l c calc(h + 60))',
  'color(from #2a6365 srgb r g b)',
  'color(from #2a6365 srgb-linear r g b)',
  'color(from #2a6365 display-p3 r g b)',
  'rgb(from red r g)',
  'rgb(from nothing r g b)',
];

export const FORMS: readonly string[] = [
  ...new Set([
    ...rgb,
    ...polar,
    ...LEGACY_HSL,
    ...spaces,
    ...labs,
    ...written,
    ...mixes,
    ...relative,
  ]),
];
