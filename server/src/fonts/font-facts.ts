import type { FontFamily } from '@garnish/core/fonts/family';
import { LANGUAGE_CODES, lettersOf } from '@garnish/core/fonts/languages';
import {
  FREQUENCIES,
  letterWidthOf,
  type MeasuredLanguage,
} from '@garnish/core/fonts/letter-width';
import * as fontkit from 'fontkit';
import { strokesOf } from './strokes.ts';

/** A font at its regular weight, from unpacked bytes. Throws where they are no single font. */
export function openFont(bytes: Uint8Array): fontkit.Font {
  const font = fontkit.create(Buffer.from(bytes));
  if (!('glyphForCodePoint' in font)) throw new Error('a collection of fonts, not one');
  return 'wght' in font.variationAxes ? font.getVariation({ wght: 400 }) : font;
}

/** OpenType, OS/2, fsType: the bits that speak of embedding. */
function embeddingOf(font: fontkit.Font): FontFamily['embedding'] {
  const { fsType } = font['OS/2'];
  if (fsType.noEmbedding) return 'restricted';
  if (fsType.viewOnly) return 'preview';
  return fsType.editable ? 'editable' : 'installable';
}

const ZERO = 48;

function figuresOf(font: fontkit.Font): FontFamily['figures'] {
  const widths = new Set(
    Array.from({ length: 10 }, (_, digit) => font.glyphForCodePoint(ZERO + digit).advanceWidth),
  );
  if (widths.size === 1) return 'tabular';
  return font.availableFeatures.includes('tnum') ? 'tnum' : 'proportional';
}

/** A language of which more letters than these are missing is written in another script. */
const FEW = 20;

function languagesOf(covered: ReadonlySet<number>): Pick<FontFamily, 'languages' | 'missing'> {
  const lacking = LANGUAGE_CODES.map(
    (code) =>
      [code, lettersOf(code).filter((letter) => !covered.has(letter.codePointAt(0) ?? 0))] as const,
  );
  return {
    languages: lacking.filter(([, letters]) => letters.length === 0).map(([code]) => code),
    missing: Object.fromEntries(
      lacking
        .filter(([, { length }]) => length > 0 && length <= FEW)
        .map(([code, letters]) => [code, letters.join('')]),
    ),
  };
}

const finite = (value: number): number => {
  if (!Number.isFinite(value)) throw new Error('a measure that is no number');
  return value;
};

/** All that is measured of a font; `covered` is the set of characters that its family's files hold. */
export function factsOf(
  font: fontkit.Font,
  covered: ReadonlySet<number>,
): Pick<FontFamily, 'figures' | 'smallCaps' | 'embedding' | 'languages' | 'missing' | 'metrics'> {
  const share = (units: number): number => finite(Number((units / font.unitsPerEm).toFixed(4)));
  const advance = (letter: string): number =>
    font.glyphForCodePoint(letter.codePointAt(0) ?? 32).advanceWidth / font.unitsPerEm;
  const strokes = strokesOf(font);
  const letterWidths = Object.fromEntries(
    (Object.keys(FREQUENCIES) as MeasuredLanguage[]).map((language) => [
      language,
      finite(Number(letterWidthOf(language, advance).toFixed(4))),
    ]),
  ) as FontFamily['metrics']['letterWidths'];
  return {
    figures: figuresOf(font),
    smallCaps: font.availableFeatures.includes('smcp'),
    embedding: embeddingOf(font),
    ...languagesOf(covered),
    metrics: {
      unitsPerEm: font.unitsPerEm,
      ascent: share(font.ascent),
      descent: share(font.descent),
      lineGap: share(font.lineGap),
      xHeight: share(font.xHeight),
      capHeight: share(font.capHeight),
      letterWidths,
      stem: finite(Number(strokes.stem.toFixed(4))),
      thinToThick: finite(Number(strokes.thinToThick.toFixed(3))),
      foot: finite(Number(strokes.foot.toFixed(2))),
    },
  };
}
