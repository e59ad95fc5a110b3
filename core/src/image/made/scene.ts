import { oklabOf, oklchOf } from '../../color/oklab.ts';
import { rgbOf, type Hex } from '../../color/srgb.ts';
import {
  between,
  brushOf,
  chanceOf,
  disc,
  framed,
  n,
  type Chance,
  type MadePalette,
} from './ink.ts';
import type { MadeManner } from './kinds.ts';

export const SCENE = { width: 1200, height: 800 } as const;
const { width: W, height: H } = SCENE;

/** A line of land across the picture, as points from left to right. */
function ridge(
  chance: Chance,
  level: number,
  high: number,
): readonly (readonly [number, number])[] {
  const waves = [1, 2.3, 4.1].map((turns) => ({
    turns: turns * chance.from(0.7, 1.4),
    from: chance.from(0, 2 * Math.PI),
    high: (high / turns) * chance.from(0.6, 1.2),
  }));
  return Array.from({ length: 41 }, (_, index) => {
    const x = (index / 40) * W;
    const up = waves.reduce(
      (sum, wave) => sum + Math.sin((x / W) * wave.turns * Math.PI + wave.from) * wave.high,
      0,
    );
    return [x, level - up] as const;
  });
}

const heightAt = (points: readonly (readonly [number, number])[], x: number): number =>
  points[
    Math.max(0, Math.min(points.length - 1, Math.round((x / W) * (points.length - 1))))
  ]?.[1] ?? H;

/** Land from a ridge down. */
const land = (points: readonly (readonly [number, number])[]): string =>
  `M0 ${H}L${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}L${W} ${H}Z`;

interface Light {
  readonly sky: Hex;
  readonly low: Hex;
  readonly sun: Hex;
  /** Of land, from far to near: 0 to 1. */
  readonly land: (near: number) => Hex;
  readonly water: Hex;
  readonly window: Hex;
}

/** The hue of water in OKLCH, in degrees; common practice. */
const WATER = 230;

/** Of some colors the one that is the nearest to water. */
const coolest = (colors: readonly Hex[]): Hex =>
  colors.toSorted((one, other) => fromWater(one) - fromWater(other))[0] ?? '#5b7f99';

const fromWater = (color: Hex): number => {
  const off = Math.abs(oklchOf(oklabOf(rgbOf(color))).hue - WATER) % 360;
  return Math.min(off, 360 - off);
};

/** The light of a manner, made of the palette alone. */
function lightOf(manner: MadeManner, { page, ink, vivid }: MadePalette, chance: Chance): Light {
  const first = chance.one(vivid);
  const second = chance.one(vivid);
  const warm = chance.one(vivid);
  const wet = coolest(vivid);
  if (manner === 'dusk') {
    const night = between(ink, first, 0.35);
    return {
      sky: between(night, ink, 0.35),
      low: between(night, warm, 0.55),
      sun: between(warm, page, 0.55),
      land: (near) => between(between(night, second, 0.35), ink, 0.25 + 0.6 * near),
      water: between(night, wet, 0.45),
      window: between(warm, page, 0.6),
    };
  }
  return {
    sky: between(page, first, 0.2),
    low: between(page, warm, 0.3),
    sun: between(page, warm, 0.75),
    land: (near) => between(between(page, second, 0.3 + 0.7 * near), ink, 0.5 * near),
    water: between(page, wet, 0.55),
    window: between(page, warm, 0.35),
  };
}

/** A landscape of hills, a shore, or the roofs of a town: no place that there is. */
export function drawScene(seed: string, manner: MadeManner, palette: MadePalette): string {
  const chance = chanceOf(`scene ${seed}`);
  const light = lightOf(manner, palette, chance);
  const brush = brushOf(manner, palette, palette.page);
  const subject = chance.one(['hills', 'shore', 'town'] as const);
  const parts: string[] = [];
  const ground = manner === 'lines' ? palette.page : light.sky;
  parts.push(`<path d="M0 0H${W}V${H}H0Z" fill="${ground}"/>`);
  const horizon = H * chance.from(0.45, 0.62);
  if (manner !== 'lines')
    for (let band = 1; band <= 5; band += 1) {
      const y = (horizon * band) / 6;
      parts.push(
        `<path d="M0 ${n(y)}H${W}V${H}H0Z" fill="${between(light.sky, light.low, band / 5)}"/>`,
      );
    }
  const sunX = W * chance.from(0.2, 0.8);
  const sunY = horizon * chance.from(0.3, 0.85);
  parts.push(brush.fill(disc(sunX, sunY, H * chance.from(0.06, 0.11)), light.sun));
  // Birds, or clouds as long flat shapes.
  for (let index = 0; index < 3; index += 1) {
    const x = W * chance.from(0.05, 0.95);
    const y = horizon * chance.from(0.15, 0.7);
    const long = chance.from(14, 26);
    parts.push(
      brush.line(
        `M${n(x - long)} ${n(y)}q${n(long / 2)} ${n(-long / 2)} ${n(long)} 0q${n(long / 2)} ${n(-long / 2)} ${n(long)} 0`,
        light.land(0.9),
        4,
      ),
    );
  }
  const tree = (x: number, y: number, high: number, near: number): void => {
    parts.push(
      brush.line(
        `M${n(x)} ${n(y + 4)}V${n(y - high * 0.4)}`,
        light.land(Math.min(1, near + 0.3)),
        high / 9,
      ),
    );
    parts.push(
      chance.is(0.5)
        ? brush.fill(
            `M${n(x - high * 0.28)} ${n(y - high * 0.25)}L${n(x)} ${n(y - high)}L${n(x + high * 0.28)} ${n(y - high * 0.25)}Z`,
            light.land(Math.min(1, near + 0.15)),
          )
        : brush.fill(
            disc(x, y - high * 0.62, high * 0.28, high * 0.36),
            light.land(Math.min(1, near + 0.15)),
          ),
    );
  };
  const layers = subject === 'hills' ? 4 : 2;
  for (let index = 0; index < layers; index += 1) {
    const near = subject === 'hills' ? (index + 1) / layers : (index + 1) / (layers * 2.5);
    const level =
      subject === 'hills'
        ? horizon + ((H * 0.92 - horizon) * (index + 0.4)) / layers
        : horizon - 4 + index * 10;
    const points = ridge(chance, level, H * (subject === 'hills' ? 0.07 : 0.05));
    parts.push(brush.fill(land(points), light.land(near)));
    if (subject === 'hills' && index > 0)
      for (let count = Math.floor(chance.from(2, 5 + index)); count > 0; count -= 1) {
        const x = W * chance.from(0.04, 0.96);
        tree(x, heightAt(points, x), H * (0.05 + 0.05 * index) * chance.from(0.7, 1.3), near);
      }
  }
  if (subject === 'shore') {
    const edge = horizon + 18;
    parts.push(brush.fill(`M0 ${n(edge)}H${W}V${H}H0Z`, light.water));
    for (let index = 0; index < 16; index += 1) {
      const y = edge + ((H - edge) * (index + 1)) / 18;
      const long = chance.from(0.04, 0.16) * W * (1 - index / 24);
      const x = index % 2 === 0 ? sunX + chance.from(-30, 30) - long / 2 : W * chance.from(0, 0.9);
      parts.push(
        brush.line(
          `M${n(x)} ${n(y)}h${n(long)}`,
          index % 2 === 0 ? light.sun : between(light.water, light.low, 0.35),
          5,
        ),
      );
    }
    const x = W * chance.from(0.25, 0.75);
    const y = edge + (H - edge) * chance.from(0.2, 0.5);
    const size = H * chance.from(0.08, 0.14);
    parts.push(
      brush.line(`M${n(x)} ${n(y)}V${n(y - size * 1.5)}`, light.land(1), 5),
      brush.fill(
        `M${n(x + 6)} ${n(y - 6)}V${n(y - size * 1.45)}L${n(x + size * 0.8)} ${n(y - 6)}Z`,
        light.window,
      ),
      brush.fill(
        `M${n(x - 6)} ${n(y - 6)}V${n(y - size * 1.2)}L${n(x - size * 0.5)} ${n(y - 6)}Z`,
        between(light.window, light.land(0.6), 0.35),
      ),
      brush.fill(
        `M${n(x - size * 0.7)} ${n(y)}H${n(x + size * 0.95)}L${n(x + size * 0.65)} ${n(y + size * 0.3)}H${n(x - size * 0.45)}Z`,
        light.land(1),
      ),
    );
    const front = ridge(chance, H * 0.95, H * 0.03);
    parts.push(brush.fill(land(front), light.land(0.95)));
  }
  if (subject === 'town')
    for (const near of [0.45, 0.85]) {
      let x = -chance.from(0, 60);
      while (x < W) {
        const wide = chance.from(90, 190) * (0.7 + near * 0.5);
        const top =
          H - (H - horizon) * (near < 0.6 ? chance.from(0.75, 1.15) : chance.from(0.35, 0.75));
        const roof = wide * chance.from(0.2, 0.45);
        const wall = between(light.land(near), light.low, chance.from(0, 0.3));
        parts.push(brush.fill(`M${n(x)} ${H}V${n(top)}H${n(x + wide)}V${H}Z`, wall));
        parts.push(
          brush.fill(
            chance.is(0.7)
              ? `M${n(x - 8)} ${n(top)}L${n(x + wide / 2)} ${n(top - roof)}L${n(x + wide + 8)} ${n(top)}Z`
              : `M${n(x - 6)} ${n(top - 14)}H${n(x + wide + 6)}V${n(top)}H${n(x - 6)}Z`,
            light.land(Math.min(1, near + 0.15)),
          ),
        );
        const columns = Math.max(1, Math.floor(wide / 55));
        for (let row = 0; top + 30 + row * 70 < H - 20; row += 1)
          for (let column = 0; column < columns; column += 1) {
            if (!chance.is(0.75)) continue;
            const left = x + (wide / columns) * (column + 0.5) - 12;
            parts.push(
              brush.fill(`M${n(left)} ${n(top + 26 + row * 70)}h24v34h-24Z`, light.window),
            );
          }
        x += wide + chance.from(-6, 16);
      }
    }
  return framed(W, H, parts.join(''));
}
