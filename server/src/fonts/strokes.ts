import type { Font, Glyph } from 'fontkit';

type Point = readonly [x: number, y: number];

const STEPS = 12;

/** The outline as closed lines; curves are cut into short pieces. */
function contours({ path }: Glyph): Point[][] {
  const found: Point[][] = [];
  let here: Point[] = [];
  const last = (): Point => here.at(-1) ?? [0, 0];
  for (const { command, args } of path.commands) {
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = args;
    if (command === 'moveTo') {
      here = [[a, b]];
      found.push(here);
    } else if (command === 'lineTo') here.push([a, b]);
    else if (command === 'quadraticCurveTo') {
      const [x, y] = last();
      for (let step = 1; step <= STEPS; step += 1) {
        const t = step / STEPS;
        const u = 1 - t;
        here.push([u * u * x + 2 * u * t * a + t * t * c, u * u * y + 2 * u * t * b + t * t * d]);
      }
    } else if (command === 'bezierCurveTo') {
      const [x, y] = last();
      for (let step = 1; step <= STEPS; step += 1) {
        const t = step / STEPS;
        const u = 1 - t;
        const at = (p: number, q: number, r: number, s: number): number =>
          u ** 3 * p + 3 * u * u * t * q + 3 * u * t * t * r + t ** 3 * s;
        here.push([at(x, a, c, e), at(y, b, d, f)]);
      }
    }
  }
  return found;
}

/** The lengths of ink that a straight line meets, by the rule of the non-zero winding. */
function inkAlong(glyph: Glyph, axis: 'across' | 'down', at: number): number[] {
  const crossings: { readonly place: number; readonly turn: number }[] = [];
  const [along, over] = axis === 'across' ? [0, 1] : [1, 0];
  for (const contour of contours(glyph))
    contour.forEach((from, index) => {
      const to = contour[(index + 1) % contour.length] ?? from;
      const a = from[over] ?? 0;
      const b = to[over] ?? 0;
      if (a <= at === b <= at) return;
      const place =
        (from[along] ?? 0) + ((at - a) / (b - a)) * ((to[along] ?? 0) - (from[along] ?? 0));
      crossings.push({ place, turn: b > a ? 1 : -1 });
    });
  crossings.sort((one, other) => one.place - other.place);
  const runs: number[] = [];
  let winding = 0;
  let start = 0;
  for (const { place, turn } of crossings) {
    if (winding === 0) start = place;
    winding += turn;
    if (winding === 0 && place - start > 1) runs.push(place - start);
  }
  return runs;
}

const glyphOf = (font: Font, letter: string): Glyph =>
  font.glyphForCodePoint(letter.codePointAt(0) ?? 0);

const positive = (values: readonly number[], otherwise: number): number =>
  values.length > 0 ? Math.min(...values) : otherwise;

/** Where feet are looked at, hairlines too, and where stems, as shares of the height of the capitals. */
const AT_FEET = [0.008, 0.03] as const;
const AT_STEM = 0.25;

/** How wide the feet of an H are over its stems; 1 where it cannot be told. */
function footOf(font: Font): number {
  const H = glyphOf(font, 'H');
  const { minY, maxY } = H.bbox;
  const height = maxY - minY;
  const widthAt = (share: number): number =>
    positive(inkAlong(H, 'across', minY + height * share + 0.37), 0);
  const foot = Math.max(...AT_FEET.map(widthAt));
  const stem = widthAt(AT_STEM);
  return foot > 0 && stem > 0 ? foot / stem : 1;
}

/** Stroke thicknesses in shares of the em, measured on the outlines of l and o, and the foot of an H. */
export function strokesOf(font: Font): {
  readonly stem: number;
  readonly thinToThick: number;
  readonly foot: number;
} {
  const l = glyphOf(font, 'l');
  const o = glyphOf(font, 'o');
  const middle = (low: number, high: number): number => (low + high) / 2 + 0.37;
  const stem = positive(inkAlong(l, 'across', font.xHeight * 0.6 + 0.37), font.unitsPerEm * 0.08);
  const { minX, maxX, minY, maxY } = o.bbox;
  const sides = inkAlong(o, 'across', middle(minY, maxY));
  const ends = inkAlong(o, 'down', middle(minX, maxX));
  const thick = Math.max(positive(sides, stem), positive(ends, stem));
  const thin = Math.min(positive(sides, stem), positive(ends, stem));
  return { stem: stem / font.unitsPerEm, thinToThick: thin / thick, foot: footOf(font) };
}
