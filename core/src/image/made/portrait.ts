import type { Hex } from '../../color/srgb.ts';
import { between, brushOf, chanceOf, disc, framed, n, type MadePalette } from './ink.ts';
import type { MadeManner } from './kinds.ts';

export const PORTRAIT = { width: 800, height: 800 } as const;

/** Skins from light to dark, and hair by age. Invented, on the range that people have. */
export const SKINS: readonly Hex[] = [
  '#f4d6c4',
  '#ebc1a4',
  '#dca983',
  '#c98e63',
  '#ad7247',
  '#8c5734',
  '#6b3f26',
  '#4a2b1b',
];
export const HAIRS: readonly Hex[] = [
  '#1d1815',
  '#3a271d',
  '#5d3d27',
  '#8a5a34',
  '#a8431f',
  '#d6ae6e',
];
const GRAYS: readonly Hex[] = ['#8d8b88', '#c4c2bf', '#ebe9e5'];
export const AGES = ['child', 'young', 'grown', 'old'] as const;
export const STYLES = ['short', 'bob', 'long', 'curls', 'bun', 'bald', 'scarf', 'cap'] as const;

/** What somebody who does not exist looks like. */
export interface Look {
  readonly age: (typeof AGES)[number];
  readonly skin: Hex;
  readonly hair: Hex;
  readonly style: (typeof STYLES)[number];
  readonly beard: boolean;
  readonly glasses: boolean;
}

/** Drawn from the seed: every age with every skin, hair and style. */
export function lookOf(seed: string): Look {
  const chance = chanceOf(`portrait ${seed}`);
  const age = chance.one(AGES);
  const style = chance.one(STYLES);
  return {
    age,
    skin: chance.one(SKINS),
    hair: age === 'old' ? chance.one(GRAYS) : chance.one(HAIRS),
    style: age === 'child' && style === 'bald' ? 'short' : style,
    beard: age !== 'child' && chance.is(0.25),
    glasses: chance.is(age === 'old' ? 0.5 : 0.22),
  };
}

/** A friendly face of nobody, as far as the shoulders. */
export function drawPortrait(seed: string, manner: MadeManner, palette: MadePalette): string {
  const { age, skin, hair, style, beard, glasses } = lookOf(seed);
  const chance = chanceOf(`face ${seed}`);
  const { page, ink, vivid } = palette;
  const behind = chance.one(vivid);
  const worn = chance.one(vivid);
  const ground =
    manner === 'lines'
      ? page
      : manner === 'dusk'
        ? between(ink, behind, 0.45)
        : between(page, behind, 0.35);
  const brush = brushOf(manner, palette, page);
  const lit = (color: Hex): Hex => (manner === 'dusk' ? between(color, ink, 0.12) : color);
  const face = lit(skin);
  const shade = lit(between(skin, '#3a1a10', 0.18));
  const dark = between(skin, '#1c0f0a', 0.78);
  const locks = lit(hair);
  const parts = [`<path d="M0 0H800V800H0Z" fill="${ground}"/>`];
  if (manner !== 'lines')
    parts.push(
      `<path d="${disc(400 + chance.from(-60, 60), 380, 330)}" fill="${between(ground, manner === 'dusk' ? behind : page, 0.4)}"/>`,
    );

  const small = age === 'child' ? 0.88 : 1;
  const wide = 148 * small * chance.from(0.94, 1.06);
  const high = 186 * small * chance.from(0.95, 1.05) * (age === 'child' ? 0.93 : 1);
  const x = 400;
  const y = 370 + (age === 'child' ? 40 : 0);
  const top = y - high;

  // Hair behind the head.
  const fall = { long: 1.55, bob: 0.95, curls: 0.75 }[style as 'long'] as number | undefined;
  if (fall !== undefined) {
    const bottom = y + high * fall;
    const side = wide * (style === 'curls' ? 1.42 : 1.24);
    parts.push(
      brush.fill(
        `M${n(x - side)} ${n(bottom)}C${n(x - side * 1.12)} ${n(top + 60)} ${n(x - wide * 0.9)} ${n(top - 50)} ${n(x)} ${n(top - 44)}C${n(x + wide * 0.9)} ${n(top - 50)} ${n(x + side * 1.12)} ${n(top + 60)} ${n(x + side)} ${n(bottom)}Q${n(x)} ${n(bottom + 40)} ${n(x - side)} ${n(bottom)}Z`,
        between(locks, '#000000', 0.18),
      ),
    );
  }
  if (style === 'bun') parts.push(brush.fill(disc(x, top - 34, 62), locks));
  if (style === 'scarf')
    parts.push(
      brush.fill(
        `M${n(x - wide * 1.3)} 800C${n(x - wide * 1.5)} ${n(y)} ${n(x - wide)} ${n(top - 40)} ${n(x)} ${n(top - 40)}C${n(x + wide)} ${n(top - 40)} ${n(x + wide * 1.5)} ${n(y)} ${n(x + wide * 1.3)} 800Z`,
        lit(between(worn, ink, 0.25)),
      ),
    );

  // Neck, shoulders and what is worn.
  const neck = y + high * 0.72;
  parts.push(
    brush.fill(
      `M${n(x - 58 * small)} ${n(neck)}V${n(neck + 130)}Q${n(x)} ${n(neck + 190)} ${n(x + 58 * small)} ${n(neck + 130)}V${n(neck)}Z`,
      shade,
    ),
  );
  const broad = 268 * small * chance.from(0.92, 1.08);
  const collar = neck + 104;
  parts.push(
    brush.fill(
      `M${n(x - broad)} 800C${n(x - broad)} ${n(collar + 70)} ${n(x - 140)} ${n(collar + 24)} ${n(x - 66)} ${n(collar)}Q${n(x)} ${n(collar + (chance.is(0.5) ? 90 : 40))} ${n(x + 66)} ${n(collar)}C${n(x + 140)} ${n(collar + 24)} ${n(x + broad)} ${n(collar + 70)} ${n(x + broad)} 800Z`,
      lit(worn),
    ),
  );

  // Ears, head, beard.
  for (const side of [-1, 1])
    parts.push(brush.fill(disc(x + side * wide * 0.98, y + 12, 26 * small, 36 * small), shade));
  parts.push(
    brush.fill(
      `M${n(x - wide)} ${n(y - 20)}C${n(x - wide)} ${n(top - 10)} ${n(x + wide)} ${n(top - 10)} ${n(x + wide)} ${n(y - 20)}C${n(x + wide)} ${n(y + high * 0.72)} ${n(x + wide * 0.5)} ${n(y + high)} ${n(x)} ${n(y + high)}C${n(x - wide * 0.5)} ${n(y + high)} ${n(x - wide)} ${n(y + high * 0.72)} ${n(x - wide)} ${n(y - 20)}Z`,
      face,
    ),
  );
  const mouth = y + high * 0.52;
  if (manner !== 'lines')
    for (const side of [-1, 1])
      parts.push(
        `<path d="${disc(x + side * (wide * 0.44 + 16), y + high * 0.34, 30, 22)}" fill="${between(face, '#c4452f', 0.22)}"/>`,
      );
  if (beard)
    parts.push(
      brush.fill(
        `M${n(x - wide * 0.98)} ${n(y + 20)}C${n(x - wide * 0.8)} ${n(mouth - 40)} ${n(x - 60)} ${n(mouth - 52)} ${n(x)} ${n(mouth - 44)}C${n(x + 60)} ${n(mouth - 52)} ${n(x + wide * 0.8)} ${n(mouth - 40)} ${n(x + wide * 0.98)} ${n(y + 20)}C${n(x + wide)} ${n(y + high * 0.8)} ${n(x + wide * 0.55)} ${n(y + high * 1.12)} ${n(x)} ${n(y + high * 1.12)}C${n(x - wide * 0.55)} ${n(y + high * 1.12)} ${n(x - wide)} ${n(y + high * 0.8)} ${n(x - wide * 0.98)} ${n(y + 20)}Z`,
        locks,
      ),
    );

  // Eyes, brows, nose, cheeks, mouth.
  const apart = wide * 0.44;
  const eyes = y + (age === 'child' ? 14 : 0);
  const isClosed = age === 'old' || chance.is(0.2);
  for (const side of [-1, 1]) {
    const at = x + side * apart;
    if (isClosed)
      parts.push(
        brush.line(
          `M${n(at - 22)} ${n(eyes)}Q${n(at)} ${n(eyes - 20)} ${n(at + 22)} ${n(eyes)}`,
          dark,
          8,
        ),
      );
    else
      parts.push(
        manner === 'lines'
          ? `<path d="${disc(at, eyes, 8)}" fill="${ink}"/>`
          : brush.fill(disc(at, eyes, age === 'child' ? 14 : 11), dark),
        ...(manner === 'lines' ? [] : [brush.fill(disc(at + 4, eyes - 4, 3.5), '#ffffff')]),
      );
    const brow = eyes - (glasses ? 58 : 44);
    parts.push(
      brush.line(
        `M${n(at - 30)} ${n(brow + 6)}Q${n(at)} ${n(brow - 10)} ${n(at + 30)} ${n(brow + 6)}`,
        between(hair, dark, 0.4),
        9,
      ),
    );
    if (age === 'old')
      parts.push(
        brush.line(
          `M${n(at + side * 40)} ${n(eyes - 8)}q${n(side * 12)} -4 ${n(side * 18)} -12M${n(at + side * 40)} ${n(eyes + 4)}q${n(side * 12)} 2 ${n(side * 20)} 8`,
          shade,
          4,
        ),
      );
    if (glasses)
      parts.push(
        brush.line(disc(at, eyes, 44, 38), between(ink, dark, 0.4), 7),
        brush.line(
          `M${n(at + side * 44)} ${n(eyes - 6)}L${n(x + side * wide * 0.98)} ${n(eyes - 12)}`,
          between(ink, dark, 0.4),
          6,
        ),
      );
  }
  if (glasses)
    parts.push(
      brush.line(
        `M${n(x - apart + 44)} ${n(eyes - 4)}Q${n(x)} ${n(eyes - 16)} ${n(x + apart - 44)} ${n(eyes - 4)}`,
        between(ink, dark, 0.4),
        6,
      ),
    );
  const nose = y + high * 0.28;
  parts.push(
    brush.line(
      `M${n(x - 6)} ${n(y + 20)}Q${n(x - 22)} ${n(nose)} ${n(x - 4)} ${n(nose + 8)}H${n(x + 12)}`,
      between(skin, dark, 0.35),
      6,
    ),
  );
  const smile = chance.from(44, 62) * small;
  parts.push(
    chance.is(0.4) && manner !== 'lines'
      ? `${brush.fill(`M${n(x - smile)} ${n(mouth)}Q${n(x)} ${n(mouth + 62)} ${n(x + smile)} ${n(mouth)}Z`, between('#8e2f2a', dark, 0.3))}${brush.fill(`M${n(x - smile * 0.8)} ${n(mouth + 4)}H${n(x + smile * 0.8)}Q${n(x)} ${n(mouth + 26)} ${n(x - smile * 0.8)} ${n(mouth + 4)}Z`, '#fdfaf5')}`
      : brush.line(
          `M${n(x - smile)} ${n(mouth)}Q${n(x)} ${n(mouth + 44)} ${n(x + smile)} ${n(mouth)}`,
          between('#8e2f2a', dark, 0.45),
          9,
        ),
  );

  // Hair, scarf or cap over the forehead.
  const line = top + high * (style === 'bald' ? 0 : chance.from(0.42, 0.56));
  if (style === 'scarf')
    parts.push(
      brush.fill(
        `M${n(x - wide * 1.06)} ${n(y + 30)}C${n(x - wide * 1.3)} ${n(top)} ${n(x - wide * 0.7)} ${n(top - 46)} ${n(x)} ${n(top - 46)}C${n(x + wide * 0.7)} ${n(top - 46)} ${n(x + wide * 1.3)} ${n(top)} ${n(x + wide * 1.06)} ${n(y + 30)}C${n(x + wide * 0.9)} ${n(top + high * 0.3)} ${n(x + wide * 0.4)} ${n(top + high * 0.28)} ${n(x)} ${n(top + high * 0.28)}C${n(x - wide * 0.4)} ${n(top + high * 0.28)} ${n(x - wide * 0.9)} ${n(top + high * 0.3)} ${n(x - wide * 1.06)} ${n(y + 30)}Z`,
        lit(worn),
      ),
    );
  else if (style === 'cap')
    parts.push(
      brush.fill(
        `M${n(x - wide * 1.06)} ${n(top + high * 0.5)}C${n(x - wide * 1.05)} ${n(top - 60)} ${n(x + wide * 1.05)} ${n(top - 60)} ${n(x + wide * 1.06)} ${n(top + high * 0.5)}Q${n(x)} ${n(top + high * 0.3)} ${n(x - wide * 1.06)} ${n(top + high * 0.5)}Z`,
        lit(between(behind, ink, 0.2)),
      ),
      brush.fill(
        `M${n(x - wide * 1.1)} ${n(top + high * 0.46)}Q${n(x)} ${n(top + high * 0.24)} ${n(x + wide * 1.1)} ${n(top + high * 0.46)}Q${n(x)} ${n(top + high * 0.62)} ${n(x - wide * 1.1)} ${n(top + high * 0.46)}Z`,
        lit(between(behind, ink, 0.4)),
      ),
    );
  else if (style !== 'bald') {
    const part = chance.from(-0.5, 0.5) * wide;
    const bump = style === 'curls' ? 34 : 0;
    parts.push(
      brush.fill(
        `M${n(x - wide * 1.05)} ${n(y - 6)}C${n(x - wide * 1.22)} ${n(top - 20 - bump)} ${n(x - wide * 0.6)} ${n(top - 52 - bump)} ${n(x)} ${n(top - 48 - bump)}C${n(x + wide * 0.6)} ${n(top - 52 - bump)} ${n(x + wide * 1.22)} ${n(top - 20 - bump)} ${n(x + wide * 1.05)} ${n(y - 6)}C${n(x + wide * 0.96)} ${n(line)} ${n(x + wide * 0.6)} ${n(line - 14)} ${n(x + part)} ${n(line - 34)}C${n(x - wide * 0.5)} ${n(line - 10)} ${n(x - wide * 0.94)} ${n(line)} ${n(x - wide * 1.05)} ${n(y - 6)}Z`,
        locks,
      ),
    );
  }
  return framed(PORTRAIT.width, PORTRAIT.height, parts.join(''));
}
