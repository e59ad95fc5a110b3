import { oklabOf } from '../color/oklab.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { valueAt } from '../system/patch.ts';
import type { Finding } from './finding.ts';

/** Red, green and blue from 0 to 1, and how opaque. */
export type Rgba = readonly [red: number, green: number, blue: number, alpha: number];

/** A picture in a few cells: red, green, blue of each from 0 to 1, in rows from the top. */
export interface Seen {
  readonly columns: number;
  readonly rows: number;
  readonly values: readonly number[];
}

/** What is painted on a page, one thing after the other; places in CSS px from the corner of the first screen. */
export interface Painted {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly ground?: Rgba | undefined;
  /** How much room its own words take, in what color, and how thick and large they are. */
  readonly words?:
    | {
        readonly color: Rgba;
        readonly width: number;
        readonly height: number;
        readonly weight: number;
        readonly fontPx: number;
        readonly linePx: number;
      }
    | undefined;
  readonly picture?: Seen | undefined;
  /** What it is as one thing that is looked at: words, a picture, the logo; none where absent. */
  readonly thing?: {
    readonly at?: string | undefined;
    readonly name: string;
    readonly selector: string;
    /** The text style that sets it, as its class says. */
    readonly style?: string | undefined;
    /** A picture that words stand over is their ground, and is not looked at as a thing of its own. */
    readonly isPicture?: true;
  };
}

/** The first screen of a page as it is painted. */
export interface PaintedScreen {
  readonly page: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly mode: Mode;
  readonly painted: readonly Painted[];
}

/** A thing with how much it draws the eye; 1 is what draws most. */
export interface Pull {
  readonly at: string | undefined;
  readonly name: string;
  readonly selector: string;
  readonly style?: string | undefined;
  readonly pull: number;
}

/** What is missed on a screen, with the text styles that set it and what draws more, where words do. */
export interface Miss {
  readonly finding: Finding;
  readonly meant?: string | undefined;
  readonly stronger?: string | undefined;
}

/** So many cells lie side by side; finer than that nobody sees while squinting. */
const COLUMNS = 96;

/**
 * How much words count as their ink: the square root of how much of the room of their lines it covers (a fifth at a
 * weight of 400, a third at 900, less where lines stand apart), for the edges of letters are seen too. Common practice.
 */
const inkOf = ({ weight, fontPx, linePx }: NonNullable<Painted['words']>): number =>
  Math.sqrt(
    Math.min(0.6, (0.2 + (0.14 * (weight - 400)) / 500) * Math.min(1.6, (1.25 * fontPx) / linePx)),
  );

/** A screen in cells, in OKLab: lightness, and the two channels of color, as sums from the top left corner. */
interface Cells {
  readonly sums: readonly [Float64Array, Float64Array, Float64Array];
  readonly columns: number;
  readonly rows: number;
  /** In CSS px. */
  readonly size: number;
}

/** Paints a rectangle of cells in a color, each as far as it is covered. */
function paint(
  rgb: Float32Array,
  {
    columns,
    rows,
    size,
  }: { readonly columns: number; readonly rows: number; readonly size: number },
  { left, top, width, height }: Pick<Painted, 'left' | 'top' | 'width' | 'height'>,
  colorAt: (x: number, y: number) => Rgba,
): void {
  const [from, to] = [
    Math.max(0, Math.floor(left / size)),
    Math.min(columns, Math.ceil((left + width) / size)),
  ];
  const [first, last] = [
    Math.max(0, Math.floor(top / size)),
    Math.min(rows, Math.ceil((top + height) / size)),
  ];
  for (let row = first; row < last; row += 1) {
    const high = Math.min(top + height, (row + 1) * size) - Math.max(top, row * size);
    for (let column = from; column < to; column += 1) {
      const wide = Math.min(left + width, (column + 1) * size) - Math.max(left, column * size);
      const [red, green, blue, alpha] = colorAt(
        (column * size + size / 2 - left) / width,
        (row * size + size / 2 - top) / height,
      );
      const share = Math.max(0, alpha * (wide / size) * (high / size));
      const at = (row * columns + column) * 3;
      [red, green, blue].forEach((value, channel) => {
        const before = rgb[at + channel] ?? 0;
        rgb[at + channel] = before + (value - before) * share;
      });
    }
  }
}

/** What a screen comes to for half-closed eyes: words are as dark as their ink, pictures what they are. */
function cellsOf({ widthPx, heightPx, painted }: PaintedScreen): Cells {
  const columns = Math.min(COLUMNS, Math.max(1, Math.round(widthPx)));
  const size = widthPx / columns;
  const rows = Math.max(1, Math.round(heightPx / size));
  const rgb = new Float32Array(columns * rows * 3).fill(1);
  const cells = { columns, rows, size };
  for (const one of painted) {
    const { ground, words, picture } = one;
    if (ground && ground[3] > 0) paint(rgb, cells, one, () => ground);
    if (picture)
      paint(rgb, cells, one, (x, y) => {
        const column = Math.min(picture.columns - 1, Math.max(0, Math.floor(x * picture.columns)));
        const row = Math.min(picture.rows - 1, Math.max(0, Math.floor(y * picture.rows)));
        const at = (row * picture.columns + column) * 3;
        return [
          picture.values[at] ?? 0,
          picture.values[at + 1] ?? 0,
          picture.values[at + 2] ?? 0,
          1,
        ];
      });
    if (words) {
      const [red, green, blue, alpha] = words.color;
      const ink: Rgba = [red, green, blue, alpha * inkOf(words)];
      paint(rgb, cells, { ...one, width: words.width, height: words.height }, () => ink);
    }
  }
  const sums = [0, 1, 2].map(() => new Float64Array((columns + 1) * (rows + 1))) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const line = columns + 1;
  for (let row = 0; row < rows; row += 1) {
    const across = [0, 0, 0];
    for (let column = 0; column < columns; column += 1) {
      const at = (row * columns + column) * 3;
      const lab = oklabOf([rgb[at] ?? 0, rgb[at + 1] ?? 0, rgb[at + 2] ?? 0]);
      sums.forEach((values, channel) => {
        across[channel] = (across[channel] ?? 0) + (lab[channel] ?? 0);
        values[(row + 1) * line + column + 1] =
          (values[row * line + column + 1] ?? 0) + (across[channel] ?? 0);
      });
    }
  }
  return { sums, columns, rows, size };
}

/** A rectangle of cells, from the first to the one after the last. */
interface Area {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const areaOf = ({ left, right, top, bottom }: Area): number =>
  Math.max(0, right - left) * Math.max(0, bottom - top);

/** The sums of a rectangle, channel by channel. */
const sumsIn = ({ sums, columns }: Cells, { left, right, top, bottom }: Area): readonly number[] =>
  sums.map((values) => {
    const at = (row: number, column: number): number => values[row * (columns + 1) + column] ?? 0;
    return at(bottom, right) - at(top, right) - at(bottom, left) + at(top, left);
  });

/** Difference of color counts so much beside difference of lightness. Common practice. */
const COLOR_WEIGHT = 1.6;

/** How much a thing differs from what lies around it, as far around as half of its own height or width. */
function contrastOf(cells: Cells, inside: Area): number {
  const reach = Math.max(
    2,
    Math.round(Math.min(inside.right - inside.left, inside.bottom - inside.top) / 2),
  );
  const around: Area = {
    left: Math.max(0, inside.left - reach),
    right: Math.min(cells.columns, inside.right + reach),
    top: Math.max(0, inside.top - reach),
    bottom: Math.min(cells.rows, inside.bottom + reach),
  };
  const [own, other] = [areaOf(inside), areaOf(around) - areaOf(inside)];
  if (own === 0 || other === 0) return 0;
  const [within, whole] = [sumsIn(cells, inside), sumsIn(cells, around)];
  const [light = 0, a = 0, b = 0] = within.map(
    (sum, channel) => sum / own - ((whole[channel] ?? 0) - sum) / other,
  );
  return Math.abs(light) + COLOR_WEIGHT * Math.hypot(a, b);
}

/** How much the size of a thing counts beside how much it stands out: its share of the screen to this power. */
const SIZE_POWER = 0.35;

/** Whether the middle of something lies within another. */
const isOver = (one: Painted, other: Painted): boolean => {
  const [x, y] = [one.left + one.width / 2, one.top + one.height / 2];
  return (
    x >= other.left &&
    x <= other.left + other.width &&
    y >= other.top &&
    y <= other.top + other.height
  );
};

/**
 * What draws the eye on a screen, strongest first: how much each thing as a whole differs in lightness and color from
 * what lies around it, times its share of the screen to the power of 0.35. Words count as words wherever they stand,
 * also over pictures; a picture with words over it is their ground. Source: center and surround of Itti, Koch and Niebur
 * 1998, here of things instead of spots; the power is common practice. An aid of our own: no standard asks it.
 */
export function pullsOf(screen: PaintedScreen): readonly Pull[] {
  const cells = cellsOf(screen);
  const whole = screen.widthPx * screen.heightPx;
  const texts = screen.painted.filter(({ words }) => words);
  const pulls = screen.painted.flatMap((one): Pull[] => {
    const { thing, words, left, top } = one;
    if (!thing || (thing.isPicture && texts.some((text) => isOver(text, one)))) return [];
    // Of words their lines are the thing, not the room that they could take.
    const [width, height] = words ? [words.width, words.height] : [one.width, one.height];
    const { size, columns, rows } = cells;
    const inside: Area = {
      left: Math.max(0, Math.floor(left / size)),
      right: Math.min(columns, Math.ceil((left + width) / size)),
      top: Math.max(0, Math.floor(top / size)),
      bottom: Math.min(rows, Math.ceil((top + height) / size)),
    };
    const share = (areaOf(inside) * size * size) / whole;
    const { at, name, selector, style } = thing;
    return share === 0
      ? []
      : [{ at, name, selector, style, pull: contrastOf(cells, inside) * share ** SIZE_POWER }];
  });
  const most = Math.max(...pulls.map(({ pull }) => pull), 1e-6);
  return pulls
    .map((one) => ({ ...one, pull: one.pull / most }))
    .toSorted((one, other) => other.pull - one.pull);
}

/** Less than this apart, nobody says which of two is seen first. Common practice. */
const CLEARLY = 1.1;
const PHONE_PX = 600;
const LOGO = '/layout/logo';
const LONGEST_SAID = 40;
const ORDINALS = ['first', 'second', 'third'] as const;
/** More of what draws the eye is not told. */
const MOST_TOLD = 4;

/** What is meant to be seen first on a page, and is not: at most one thing for each screen and theme. */
export function missed(
  screen: PaintedScreen,
  { content, layout, name }: Pick<StyleDocument, 'content' | 'layout' | 'name'>,
): readonly Miss[] {
  const { items } = content.pages;
  const page = Object.hasOwn(items, screen.page) ? items[screen.page] : undefined;
  const intended = page?.intended ?? [];
  if (!page || intended.length === 0) return [];
  const pulls = pullsOf(screen);
  const meant = intended.map((at) => ({ at, pull: pulls.find((one) => one.at === at) }));
  const where = screen.widthPx < PHONE_PX ? 'a phone' : 'a desktop';
  const saidAt = (at: string): string => {
    const words = valueAt({ content, layout, name }, at);
    return typeof words === 'string'
      ? `“${words.slice(0, LONGEST_SAID)}”`
      : at === LOGO
        ? 'the logo'
        : 'what is gone';
  };
  const [miss] = meant.flatMap(({ at, pull }, index) => {
    const before = new Set(intended.slice(0, index));
    const stronger = pulls.filter(
      (other) =>
        other.at !== at &&
        !(other.at !== undefined && before.has(other.at)) &&
        other.pull > (pull?.pull ?? 0) * CLEARLY,
    );
    return !pull || stronger.length > 0 ? [{ at, pull, index, stronger }] : [];
  });
  if (!miss) return [];
  const nameOf = (at: string, pull: Pull | undefined): string =>
    pull?.name ?? `${saidAt(at)} (below the first screen)`;
  const order = meant.map(({ at, pull }) => nameOf(at, pull)).join(', ');
  const seen = pulls
    .slice(0, MOST_TOLD)
    .map(({ name, pull }) => `${name} ${Math.round(pull * 100)}`)
    .join(', ');
  const [strongest] = miss.stronger;
  return [
    {
      meant: miss.pull?.style,
      stronger: strongest?.style,
      finding: {
        id: `attention:${screen.page}:${screen.widthPx}:${screen.mode}`,
        severity: 'look',
        area: 'brief',
        decision: `/content/pages/items/${screen.page}/intended`,
        title: `${nameOf(miss.at, miss.pull)} is not seen ${ORDINALS[miss.index] ?? 'in its turn'} on ${page.name}`,
        figures: `on ${where} in ${screen.mode}; meant: ${order}; seen: ${seen}`,
        reason: strongest
          ? `${strongest.name} draws more: it stands out further from what is around it, or is larger.`
          : 'What is below the first screen is not seen first.',
        source:
          'our own aid: center and surround after Itti, Koch and Niebur 1998, of things, with their size',
        cause: {
          id: `attention of ${screen.page}`,
          title: `What is meant to be seen first on ${page.name} is not`,
        },
        where: {
          selector: strongest?.selector ?? miss.pull?.selector ?? '.site',
          mode: screen.mode,
          widthPx: screen.widthPx,
          page: screen.page,
        },
      },
    },
  ];
}
